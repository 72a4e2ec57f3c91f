package app.hodegon.core.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.progress.Comparison.Count;
import app.hodegon.core.progress.Distance.Where;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Source;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where a measure should lie, how far it is from there, and which way is better: the edges by hand. */
class TargetTest {

    private static Reading share(Checkpoint at, double value) {
        return new Reading(Measure.TRAIL_SHARE, Optional.of(at), value, Source.PLATE, 4);
    }

    @ParameterizedTest
    @CsvSource({"30, -5", "35, 0", "40, 0", "45, 0", "47.5, 2.5"})
    void howFarOutside(double value, double beyond) {
        assertThat(new Target(35, 45).beyond(value)).isEqualTo(beyond);
    }

    @ParameterizedTest
    @CsvSource({"30, 50", "47, 33", "35, 35", "45, 45", "40, 40"})
    void asFarOnTheOtherSide(double value, double mirrored) {
        assertThat(new Target(35, 45).mirrored(value)).isEqualTo(mirrored);
    }

    @Test
    void aTargetHasTwoEdgesInOrder() {
        assertThatThrownBy(() -> new Target(5, 5)).isInstanceOf(IllegalArgumentException.class);
        assertThat(Target.of(share(Checkpoint.TOP, 50), PressureSchool.EARLY_RETURN))
                .contains(new Target(40, 60));
    }

    @ParameterizedTest
    @CsvSource({
        "40, 35, 45, INSIDE",
        "40, 34, 45, ACROSS",
        "40, 35, 46, ACROSS",
        "30, 20, 34, OUTSIDE",
        "30, 20, 35, ACROSS",
        "50, 46, 60, OUTSIDE",
        "50, 45, 60, ACROSS"
    })
    void whereAnIntervalLies(double value, double low, double high, Where where) {
        assertThat(Distance.of(new Estimate(value, low, high), new Target(35, 45))
                        .where())
                .isEqualTo(where);
    }

    @Test
    void whatIsEstimatedFromReadingsAndBalls() {
        // A plate's share has SEM 2.5 %; of four swings 1.25 %; 1.96 of it 2.45.
        Estimate share =
                Estimate.of(share(Checkpoint.TOP, 50), Repeatability.ASSUMED).orElseThrow();
        assertThat(share.low()).isCloseTo(47.55, within(0.001));
        assertThat(share.high()).isCloseTo(52.45, within(0.001));
        // Wilson's interval of 3 of 10 is 10.8 to 60.3 %.
        Estimate balls = Estimate.of(new Count(3, 10));
        assertThat(balls.value()).isEqualTo(30);
        assertThat(balls.low()).isCloseTo(10.78, within(0.01));
        assertThat(balls.high()).isCloseTo(60.32, within(0.01));
        assertThat(Estimate.of(new Count(0, 10)).low()).isGreaterThanOrEqualTo(0);
        assertThat(Estimate.of(new Count(10, 10)).high()).isLessThanOrEqualTo(100);
        // Student with one degree of freedom: 12.706 · 2 / √2.
        Estimate mean = Estimate.ofMean(10, 2, 2);
        assertThat(mean.high() - mean.value()).isCloseTo(17.969, within(0.001));
        assertThat(mean.value() - mean.low()).isCloseTo(17.969, within(0.001));
        assertThatThrownBy(() -> Estimate.ofMean(10, 2, 1)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void whichWayIsBetter() {
        PressureSchool school = PressureSchool.EARLY_RETURN;
        assertThat(Aim.of(share(Checkpoint.TOP, 60.5), school)).contains(Better.LOWER);
        assertThat(Aim.of(share(Checkpoint.TOP, 60), school)).as("on the edge").isEmpty();
        assertThat(Aim.of(share(Checkpoint.TOP, 40), school)).as("on the edge").isEmpty();
        assertThat(Aim.of(share(Checkpoint.TOP, 39.5), school)).contains(Better.HIGHER);
        assertThat(Aim.of(BallResult.SLICE)).contains(Better.LOWER);
        assertThat(Aim.of(BallResult.SOLID)).contains(Better.HIGHER);
        assertThat(Aim.of(BallResult.DRAW)).isEmpty();
    }

    @Test
    void countsHaveTheirIntervalAndHowManyMoreWouldTell() {
        // Newcombe's method 10 for 6 of 10 against 2 of 10.
        Comparison change = Comparison.ofCounts(new Count(6, 10), new Count(2, 10), Better.LOWER);
        assertThat(change.difference()).isCloseTo(-0.4, within(1e-12));
        assertThat(change.low()).isCloseTo(-0.6725, within(0.001));
        assertThat(change.high()).isCloseTo(0.0226, within(0.001));
        assertThat(change.verdict()).isEqualTo(Verdict.CANNOT_TELL);
        // (1.96·√(2·0.4·0.6) + 0.8416·√(0.24 + 0.16))² / 0.16 = 22.3 of each; ten are there.
        assertThat(change.toTell()).hasValue(13);
        assertThat(Comparison.ofCounts(new Count(5, 10), new Count(5, 10), Better.LOWER)
                        .toTell())
                .as("no number would tell of nothing")
                .isEmpty();
        assertThat(Comparison.ofCounts(new Count(9, 10), new Count(1, 10), Better.LOWER)
                        .verdict())
                .isEqualTo(Verdict.BETTER);
        assertThat(Comparison.ofCounts(new Count(9, 10), new Count(1, 10), Better.HIGHER)
                        .verdict())
                .isEqualTo(Verdict.WORSE);
    }

    @Test
    void samplesAreComparedByWelch() {
        // Means 142 and 152; variances 39 and 13 of three each: e = 13 + 4.333, freedom 3.2, t 3.07.
        Comparison change =
                Comparison.ofSamples(new double[] {141, 150, 138}, new double[] {151, 149, 156}, Better.HIGHER);
        assertThat(change.difference()).isCloseTo(9, within(1e-9));
        assertThat(change.low()).isLessThan(0);
        assertThat(change.high() - 9).isCloseTo(9 - change.low(), within(1e-9));
        assertThat(change.toTell()).isPresent();
        Comparison constant = Comparison.ofSamples(new double[] {1, 1}, new double[] {2, 2}, Better.HIGHER);
        assertThat(constant.low()).isEqualTo(1);
        assertThat(constant.high()).isEqualTo(1);
        assertThat(constant.verdict()).isEqualTo(Verdict.BETTER);
        assertThatThrownBy(() -> Comparison.ofSamples(new double[] {1}, new double[] {1, 2}, Better.HIGHER))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Comparison.ofSamples(new double[] {1, 2}, new double[] {1}, Better.HIGHER))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void scatterIsBetterWhenItIsSmaller() {
        double[] wide = {-10, -8, -6, -4, -2, 0, 2, 4, 6, 8, 10};
        double[] tight = {-1, -0.8, -0.6, -0.4, -0.2, 0, 0.2, 0.4, 0.6, 0.8, 1};
        assertThat(Spread.compare(wide, tight).verdict()).isEqualTo(Verdict.BETTER);
        assertThat(Spread.compare(tight, wide).verdict()).isEqualTo(Verdict.WORSE);
        assertThat(Spread.compare(wide, wide).verdict()).isEqualTo(Verdict.CANNOT_TELL);
        double[] same = {3, 3, 3};
        assertThat(Spread.compare(same, same).p()).isEqualTo(1);
        assertThat(Spread.compare(same, wide).p())
                .as("one that scatters is enough")
                .isLessThan(1);
        assertThat(Spread.compare(wide, same).p()).isLessThan(1);
    }
}
