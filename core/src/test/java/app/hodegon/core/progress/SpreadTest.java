package app.hodegon.core.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.DoubleStream;
import org.hipparchus.distribution.continuous.FDistribution;
import org.junit.jupiter.api.Test;

class SpreadTest {

    private static final double[] WIDE = {12, -18, 25, -30, 8, -5, 22, -14, 31, -27};
    private static final double[] NARROW = {2, -3, 4, -1, 0, -2, 3, 1, -4, 2};

    @Test
    void tellsThatShotsLieTogether() {
        Spread spread = Spread.compare(WIDE, NARROW);
        assertThat(spread.verdict()).isEqualTo(Verdict.BETTER);
        assertThat(Spread.compare(NARROW, WIDE).verdict()).isEqualTo(Verdict.WORSE);
        assertThat(Spread.compare(WIDE, WIDE).verdict()).isEqualTo(Verdict.CANNOT_TELL);
        assertThat(spread.second()).isLessThan(spread.first());
    }

    /** F worked out by hand from the distances: between groups over within groups. */
    @Test
    void agreesWithTheDefinition() {
        double[] a = distances(WIDE);
        double[] b = distances(NARROW);
        double ma = Arrays.stream(a).average().orElseThrow();
        double mb = Arrays.stream(b).average().orElseThrow();
        double all = (ma * a.length + mb * b.length) / (a.length + b.length);
        double between = a.length * Math.pow(ma - all, 2) + b.length * Math.pow(mb - all, 2);
        double within = Arrays.stream(a).map(x -> Math.pow(x - ma, 2)).sum()
                + Arrays.stream(b).map(x -> Math.pow(x - mb, 2)).sum();
        double f = between / (within / (a.length + b.length - 2));
        double p = 1 - new FDistribution(1, a.length + b.length - 2).cumulativeProbability(f);
        assertThat(Spread.compare(WIDE, NARROW).p()).isCloseTo(p, within(1e-9));
    }

    private static double[] distances(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        double median = (sorted[sorted.length / 2 - 1] + sorted[sorted.length / 2]) / 2;
        return Arrays.stream(values).map(v -> Math.abs(v - median)).toArray();
    }

    @Test
    void isNotFooledByOneWildBallAndRarelyByChance() {
        double[] wild = NARROW.clone();
        wild[0] = 60;
        assertThat(Spread.compare(NARROW, wild).verdict()).isEqualTo(Verdict.CANNOT_TELL);
        Random random = new Random(9);
        int told = 0;
        for (int i = 0; i < 2000; i++) {
            double[] first =
                    DoubleStream.generate(random::nextGaussian).limit(12).toArray();
            double[] second =
                    DoubleStream.generate(random::nextGaussian).limit(12).toArray();
            if (Spread.compare(first, second).verdict() != Verdict.CANNOT_TELL) told++;
        }
        assertThat(told / 2000.0).isLessThan(0.06);
    }

    @Test
    void needsThreeValuesAndTakesEqualOnes() {
        assertThatThrownBy(() -> Spread.compare(new double[] {1, 2}, NARROW)).hasMessageContaining("three");
        assertThat(Spread.compare(new double[] {1, 1, 1}, new double[] {2, 2, 2})
                        .verdict())
                .isEqualTo(Verdict.CANNOT_TELL);
    }
}
