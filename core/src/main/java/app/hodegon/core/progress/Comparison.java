package app.hodegon.core.progress;

import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Repeatability;
import java.util.OptionalInt;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.descriptive.DescriptiveStatistics;
import org.hipparchus.stat.interval.BinomialProportion;
import org.hipparchus.stat.interval.ConfidenceInterval;

/**
 * A change between two samples with its interval, 95 % if no other is asked for.
 *
 * @param difference second minus first, in the measure's unit; for counts, in shares of one
 * @param toTell how many further swings or balls per sample would tell with 80 % power if the difference seen is the
 *     true one; empty when it is told already, or no reasonable number would
 */
public record Comparison(double difference, double low, double high, Verdict verdict, OptionalInt toTell) {

    private static final NormalDistribution NORMAL = new NormalDistribution();

    /** Of every interval that is shown. */
    public static final double CONFIDENCE = 0.95;

    private static final double POWER_80 = NORMAL.inverseCumulativeProbability(0.80);

    /** More than this a coach need not ask for. */
    private static final int WORTH_ASKING = 100;

    /** More than this nobody hits for the sake of an answer. */
    private static final int TOO_MANY = 500;

    /** How many more would tell, where it is so few that they can be asked for. */
    public OptionalInt worthAsking() {
        return toTell.orElse(WORTH_ASKING + 1) <= WORTH_ASKING ? toTell : OptionalInt.empty();
    }

    /** Hits among so many balls or tries. */
    public record Count(int hits, int of) {
        public Count {
            if (of < 1 || of > 100_000) throw new IllegalArgumentException("of must be 1 to 100000.");
            if (hits < 0 || hits > of) throw new IllegalArgumentException("hits must be 0 to " + of + ".");
        }
    }

    /**
     * Two means of one measure. Each has the standard error SEM/√swings of its source; a change counts when it exceeds
     * 1.96 of the combined one.
     *
     * @throws IllegalArgumentException if nothing is known about how well a source repeats this measure
     */
    public static Comparison ofReadings(Reading first, Reading second, Better better, Repeatability repeatability) {
        return ofReadings(first, second, better, repeatability, CONFIDENCE);
    }

    /**
     * The same with another interval.
     *
     * @param confidence of the interval, 0 to 1
     */
    public static Comparison ofReadings(
            Reading first, Reading second, Better better, Repeatability repeatability, double confidence) {
        double z = z(confidence);
        double semFirst = sem(repeatability, first);
        double semSecond = sem(repeatability, second);
        double difference = second.value() - first.value();
        double half = z * Math.hypot(semFirst / Math.sqrt(first.swings()), semSecond / Math.sqrt(second.swings()));
        double variance = semFirst * semFirst + semSecond * semSecond;
        return of(
                difference,
                difference - half,
                difference + half,
                better,
                needed(variance, difference),
                Math.min(first.swings(), second.swings()));
    }

    /** The same change, judged by another comparison: what went past its target is no improvement by its size alone. */
    public Comparison judgedBy(Comparison other) {
        return new Comparison(difference, low, high, other.verdict(), other.toTell());
    }

    /**
     * The same, told as no change where the whole interval lies within what would not be worth practising for.
     *
     * @param worth smallest change worth having, in the measure's unit; for counts, in shares of one
     */
    public Comparison weighing(double worth) {
        if (!(worth > 0)) throw new IllegalArgumentException("worth must be over 0.");
        return low >= -worth && high <= worth
                ? new Comparison(difference, low, high, Verdict.NO_CHANGE, OptionalInt.empty())
                : this;
    }

    private static double sem(Repeatability repeatability, Reading reading) {
        return repeatability
                .sem(reading)
                .orElseThrow(() -> new IllegalArgumentException(
                        "No repeatability is known for " + reading.measure().id() + " read as "
                                + reading.source().id() + "; compare a list of values instead (kind \"sample\")."));
    }

    private static double z(double confidence) {
        return NORMAL.inverseCumulativeProbability(1 - (1 - confidence) / 2);
    }

    /** Two proportions: Newcombe's hybrid score interval from Wilson intervals (Newcombe 1998, method 10). */
    public static Comparison ofCounts(Count first, Count second, Better better) {
        return ofCounts(first, second, better, CONFIDENCE);
    }

    /**
     * The same with another interval.
     *
     * @param confidence of the interval, 0 to 1
     */
    public static Comparison ofCounts(Count first, Count second, Better better, double confidence) {
        double p1 = (double) first.hits() / first.of();
        double p2 = (double) second.hits() / second.of();
        ConfidenceInterval w1 = BinomialProportion.getWilsonScoreInterval(first.of(), p1, confidence);
        ConfidenceInterval w2 = BinomialProportion.getWilsonScoreInterval(second.of(), p2, confidence);
        double difference = p2 - p1;
        double low = difference - Math.hypot(p2 - w2.getLowerBound(), w1.getUpperBound() - p1);
        double high = difference + Math.hypot(w2.getUpperBound() - p2, p1 - w1.getLowerBound());
        double pooled = (p1 + p2) / 2;
        double root = z(confidence) * Math.sqrt(2 * pooled * (1 - pooled))
                + POWER_80 * Math.sqrt(p1 * (1 - p1) + p2 * (1 - p2));
        return of(difference, low, high, better, Math.pow(root / difference, 2), Math.min(first.of(), second.of()));
    }

    /**
     * Two samples of single values: Welch's interval for the difference of means (Welch 1947).
     *
     * @throws IllegalArgumentException if a sample has fewer than two values
     */
    public static Comparison ofSamples(double[] first, double[] second, Better better) {
        if (first.length < 2 || second.length < 2) {
            throw new IllegalArgumentException("Each sample needs at least two values.");
        }
        DescriptiveStatistics a = new DescriptiveStatistics(first);
        DescriptiveStatistics b = new DescriptiveStatistics(second);
        double ea = a.getVariance() / a.getN();
        double eb = b.getVariance() / b.getN();
        double difference = b.getMean() - a.getMean();
        double half = 0;
        if (ea + eb > 0) {
            double freedom = Math.pow(ea + eb, 2) / (ea * ea / (a.getN() - 1) + eb * eb / (b.getN() - 1));
            half = new TDistribution(freedom).inverseCumulativeProbability(1 - (1 - CONFIDENCE) / 2)
                    * Math.sqrt(ea + eb);
        }
        return of(
                difference,
                difference - half,
                difference + half,
                better,
                needed(a.getVariance() + b.getVariance(), difference),
                (int) Math.min(a.getN(), b.getN()));
    }

    /** Size of each sample at which the difference seen would be told with 80 % power. */
    private static double needed(double summedVariance, double difference) {
        return Math.pow((z(CONFIDENCE) + POWER_80) / difference, 2) * summedVariance;
    }

    private static Comparison of(double difference, double low, double high, Better better, double needed, int have) {
        Verdict verdict = low <= 0 && high >= 0
                ? Verdict.CANNOT_TELL
                : (difference > 0) == (better == Better.HIGHER) ? Verdict.BETTER : Verdict.WORSE;
        double further = Math.max(1, Math.ceil(needed - have));
        return new Comparison(
                difference,
                low,
                high,
                verdict,
                verdict == Verdict.CANNOT_TELL && further <= TOO_MANY
                        ? OptionalInt.of((int) further)
                        : OptionalInt.empty());
    }
}
