package app.hodegon.core.progress;

import java.util.Arrays;
import java.util.List;
import org.hipparchus.stat.descriptive.rank.Median;
import org.hipparchus.stat.inference.OneWayAnova;

/**
 * Whether two samples scatter differently: an analysis of variance of the distances from each sample's median (Brown and
 * Forsythe 1974), which does not mind skewed values or a few wild ones.
 *
 * @param first and second: median of the distances from the median
 * @param p chance of a difference at least as large if both scatter alike
 */
public record Spread(double first, double second, double p) {

    private static final double ALPHA = 0.05;

    /**
     * @throws IllegalArgumentException if a sample has fewer than three values
     */
    public static Spread compare(double[] first, double[] second) {
        if (first.length < 3 || second.length < 3) {
            throw new IllegalArgumentException("Each sample needs at least three values.");
        }
        double[] a = distances(first);
        double[] b = distances(second);
        Median median = new Median();
        boolean constant =
                Arrays.stream(a).allMatch(d -> d == 0) && Arrays.stream(b).allMatch(d -> d == 0);
        return new Spread(
                median.evaluate(a), median.evaluate(b), constant ? 1 : new OneWayAnova().anovaPValue(List.of(a, b)));
    }

    private static double[] distances(double[] values) {
        double median = new Median().evaluate(values);
        return Arrays.stream(values).map(v -> Math.abs(v - median)).toArray();
    }

    /** A smaller spread is better: shots that lie together. */
    public Verdict verdict() {
        if (p >= ALPHA) return Verdict.CANNOT_TELL;
        return second < first ? Verdict.BETTER : Verdict.WORSE;
    }
}
