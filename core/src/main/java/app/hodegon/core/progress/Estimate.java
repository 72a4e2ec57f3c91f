package app.hodegon.core.progress;

import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import java.util.Optional;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.interval.BinomialProportion;
import org.hipparchus.stat.interval.ConfidenceInterval;

/** A value with its 95 % interval. */
public record Estimate(double value, double low, double high) {

    private static final double CONFIDENCE = 0.95;
    private static final double Z = new NormalDistribution().inverseCumulativeProbability(1 - (1 - CONFIDENCE) / 2);

    /** The mean of some readings, ± 1.96·SEM/√swings; empty where no repeatability is known. */
    public static Optional<Estimate> of(Reading reading, Repeatability repeatability) {
        double root = Math.sqrt(reading.swings());
        return repeatability.sem(reading).stream()
                .mapToObj(sem -> new Estimate(
                        reading.value(), reading.value() - Z * sem / root, reading.value() + Z * sem / root))
                .findFirst();
    }

    /** A share of balls in per cent, with Wilson's interval (Wilson 1927). */
    public static Estimate of(Comparison.Count count) {
        double share = (double) count.hits() / count.of();
        ConfidenceInterval wilson = BinomialProportion.getWilsonScoreInterval(count.of(), share, CONFIDENCE);
        return new Estimate(
                100 * share, 100 * Math.max(0, wilson.getLowerBound()), 100 * Math.min(1, wilson.getUpperBound()));
    }

    /**
     * The mean of single values with Student's interval (Student 1908).
     *
     * @param deviation their standard deviation
     * @param n how many; at least two
     */
    public static Estimate ofMean(double mean, double deviation, int n) {
        if (n < 2) throw new IllegalArgumentException("A mean with an interval needs at least two values.");
        double half = new TDistribution(n - 1).inverseCumulativeProbability(1 - (1 - CONFIDENCE) / 2)
                * deviation
                / Math.sqrt(n);
        return new Estimate(mean, mean - half, mean + half);
    }
}
