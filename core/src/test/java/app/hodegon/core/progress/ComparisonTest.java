package app.hodegon.core.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.progress.Comparison.Count;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Source;
import java.util.Optional;
import java.util.Random;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;

class ComparisonTest {

    private static Reading share(double value, Source source, int swings) {
        return new Reading(Measure.TRAIL_SHARE, Optional.of(Checkpoint.IMPACT), value, source, swings);
    }

    @Test
    void readingsCountFromTheCombinedErrorOn() {
        Comparison seen = Comparison.ofReadings(
                share(45, Source.SEEN, 3), share(30, Source.SEEN, 3), Better.LOWER, Repeatability.ASSUMED);
        assertThat(seen.difference()).isEqualTo(-15);
        assertThat(seen.low()).isCloseTo(-27.8, within(0.05));
        assertThat(seen.high()).isCloseTo(-2.2, within(0.05));
        assertThat(seen.verdict()).isEqualTo(Verdict.BETTER);
        assertThat(seen.toTell()).isEmpty();
    }

    @Test
    void aFeltChangeOfTheSameSizeCannotTellAndSaysHowManySwingsWould() {
        Comparison felt = Comparison.ofReadings(
                share(45, Source.FELT, 3), share(30, Source.FELT, 3), Better.LOWER, Repeatability.ASSUMED);
        assertThat(felt.verdict()).isEqualTo(Verdict.CANNOT_TELL);
        // (1.96 + 0.84)² · 2 · 12² / 15² = 10.05: eleven in each, three are there.
        assertThat(felt.toTell()).hasValue(8);
    }

    /** Newcombe 1998, table II, example (a): 56 of 70 against 48 of 80. */
    @Test
    void countsAgreeWithThePublishedExample() {
        Comparison c = Comparison.ofCounts(new Count(48, 80), new Count(56, 70), Better.HIGHER);
        assertThat(c.low()).isCloseTo(0.0524, within(5e-5));
        assertThat(c.high()).isCloseTo(0.3339, within(5e-5));
        assertThat(c.verdict()).isEqualTo(Verdict.BETTER);
    }

    /** Newcombe 1998, table II, example (h): 10 of 10 against 0 of 10. */
    @Test
    void countsHoldAtTheEnds() {
        Comparison c = Comparison.ofCounts(new Count(0, 10), new Count(10, 10), Better.LOWER);
        assertThat(c.low()).isCloseTo(0.6075, within(5e-5));
        assertThat(c.high()).isCloseTo(1.0, within(5e-5));
        assertThat(c.verdict()).isEqualTo(Verdict.WORSE);
    }

    @Test
    void tenBallsAreOftenTooFew() {
        Comparison c = Comparison.ofCounts(new Count(6, 10), new Count(2, 10), Better.LOWER);
        assertThat(c.verdict()).isEqualTo(Verdict.CANNOT_TELL);
        assertThat(c.toTell().orElseThrow()).isBetween(10, 16);
        assertThat(Comparison.ofCounts(new Count(3, 10), new Count(3, 10), Better.LOWER)
                        .toTell())
                .isEmpty();
    }

    /** The sleep data of Student 1908, with the interval that Welch's method gives for it. */
    @Test
    void samplesAgreeWithTheSleepData() {
        double[] one = {0.7, -1.6, -0.2, -1.2, -0.1, 3.4, 3.7, 0.8, 0.0, 2.0};
        double[] two = {1.9, 0.8, 1.1, 0.1, -0.1, 4.4, 5.5, 1.6, 4.6, 3.4};
        Comparison c = Comparison.ofSamples(one, two, Better.HIGHER);
        assertThat(c.difference()).isCloseTo(1.58, within(1e-9));
        assertThat(c.low()).isCloseTo(-0.2054832, within(1e-6));
        assertThat(c.high()).isCloseTo(3.3654832, within(1e-6));
        assertThat(c.verdict()).isEqualTo(Verdict.CANNOT_TELL);
    }

    @Test
    void withoutATrueChangeAVerdictIsRare() {
        Random random = new Random(5);
        int told = 0;
        for (int i = 0; i < 2000; i++) {
            double[] first = DoubleStream.generate(() -> 140 + 8 * random.nextGaussian())
                    .limit(8)
                    .toArray();
            double[] second = DoubleStream.generate(() -> 140 + 8 * random.nextGaussian())
                    .limit(8)
                    .toArray();
            if (Comparison.ofSamples(first, second, Better.HIGHER).verdict() != Verdict.CANNOT_TELL) told++;
        }
        assertThat(told / 2000.0).isLessThan(0.06);
    }

    /** Readings of a plate, and balls of which the true share is known. */
    @Test
    void noChangeIsSeldomToldAndTwiceTheDetectableOneMostly() {
        Random random = new Random(6);
        double sem =
                Repeatability.ASSUMED.sem(Measure.TRAIL_SHARE, Source.PLATE).orElseThrow();
        double detectable = 1.96 * sem * Math.sqrt(2.0 / 3);
        assertThat(toldReadings(random, sem, 0)).isLessThan(0.06);
        assertThat(toldReadings(random, sem, 2 * detectable)).isGreaterThan(0.9);
        for (int balls : new int[] {10, 20, 60}) {
            assertThat(toldCounts(random, balls, 0.5, 0.5)).as(balls + " balls").isLessThan(0.06);
            double half = 1.96 * Math.sqrt(2 * 0.25 / balls);
            double apart = Math.min(1, 2 * half);
            assertThat(toldCounts(random, balls, 0.5 - apart / 2, 0.5 + apart / 2))
                    .as(balls + " balls, " + apart + " apart")
                    .isGreaterThan(0.9);
        }
    }

    private static double toldReadings(Random random, double sem, double change) {
        int told = 0;
        for (int i = 0; i < 4000; i++) {
            double first = 60 + sem / Math.sqrt(3) * random.nextGaussian();
            double second = 60 - change + sem / Math.sqrt(3) * random.nextGaussian();
            Comparison c = Comparison.ofReadings(
                    share(clamped(first), Source.PLATE, 3),
                    share(clamped(second), Source.PLATE, 3),
                    Better.LOWER,
                    Repeatability.ASSUMED);
            if (c.verdict() != Verdict.CANNOT_TELL) told++;
        }
        return told / 4000.0;
    }

    private static double clamped(double share) {
        return Math.max(0, Math.min(100, share));
    }

    private static double toldCounts(Random random, int balls, double before, double after) {
        int told = 0;
        for (int i = 0; i < 4000; i++) {
            Count first = new Count(hits(random, balls, before), balls);
            Count second = new Count(hits(random, balls, after), balls);
            if (Comparison.ofCounts(first, second, Better.HIGHER).verdict() != Verdict.CANNOT_TELL) told++;
        }
        return told / 4000.0;
    }

    private static int hits(Random random, int balls, double share) {
        int hits = 0;
        for (int ball = 0; ball < balls; ball++) if (random.nextDouble() < share) hits++;
        return hits;
    }

    @Test
    void whatCannotBeComparedIsRefused() {
        assertThatThrownBy(() -> Comparison.ofSamples(new double[] {1}, new double[] {1, 2}, Better.LOWER))
                .hasMessageContaining("at least two");
        assertThatThrownBy(() -> new Count(4, 3)).hasMessageContaining("0 to 3");
        Reading ratio = new Reading(Measure.TEMPO_RATIO, Optional.empty(), 3, Source.MONITOR, 3);
        assertThatThrownBy(() -> Comparison.ofReadings(ratio, ratio, Better.LOWER, Repeatability.ASSUMED))
                .hasMessageContaining("No repeatability");
    }

    /** Within what is worth having on both sides, it is told as no change; ten balls are never that sure. */
    @Test
    void aChangeNotWorthHavingIsSaidAsSuch() {
        Comparison many = Comparison.ofCounts(new Count(300, 1000), new Count(310, 1000), Better.LOWER);
        assertThat(many.verdict()).isEqualTo(Verdict.CANNOT_TELL);
        assertThat(many.weighing(0.15).verdict()).isEqualTo(Verdict.NO_CHANGE);
        assertThat(many.weighing(0.15).low()).isEqualTo(many.low());
        assertThat(many.weighing(0.01).verdict()).isEqualTo(Verdict.CANNOT_TELL);
        Comparison ten = Comparison.ofCounts(new Count(3, 10), new Count(3, 10), Better.LOWER);
        assertThat(ten.weighing(0.15).verdict()).isEqualTo(Verdict.CANNOT_TELL);
        Comparison sure = Comparison.ofCounts(new Count(300, 1000), new Count(360, 1000), Better.LOWER);
        assertThat(sure.verdict()).isEqualTo(Verdict.WORSE);
        assertThat(sure.weighing(0.15).verdict()).as("sure, and too little").isEqualTo(Verdict.NO_CHANGE);
        assertThatThrownBy(() -> sure.weighing(0)).hasMessage("worth must be over 0.");
    }

    @Test
    void soManyMoreThatNobodyHitsThemAreNotAskedFor() {
        Comparison thin = Comparison.ofCounts(new Count(2, 10), new Count(3, 10), Better.LOWER);
        assertThat(thin.toTell().orElseThrow()).isGreaterThan(100);
        assertThat(thin.worthAsking()).isEmpty();
        Comparison push = Comparison.ofCounts(new Count(3, 10), new Count(1, 10), Better.LOWER);
        assertThat(push.worthAsking()).isEqualTo(push.toTell()).isPresent();
    }
}
