package app.hodegon.core.practice;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.Set;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.BetaDistribution;

/**
 * How many of the planned days a student keeps: a beta distribution over the share, from all plans so far, the latest
 * weeks counting most.
 *
 * @param kept days kept, those assumed of anybody among them; over 0
 * @param missed likewise
 */
public record Attendance(double kept, double missed) {

    /** Of five planned days four are kept, until the student's own days tell. */
    public static final Attendance UNKNOWN = new Attendance(4, 1);

    /** A day so many days back counts for half of one today. */
    private static final double HALF_LIFE = 21;

    /**
     * @param planned days of all plans, those ahead among them
     * @param practised days with practice
     * @param today it and what lies before it is behind if it was practised; it lies ahead if not
     */
    public static Attendance of(Collection<LocalDate> planned, Set<LocalDate> practised, LocalDate today) {
        double kept = UNKNOWN.kept;
        double missed = UNKNOWN.missed;
        for (LocalDate day : planned) {
            boolean done = practised.contains(day);
            if (!done && !day.isBefore(today)) continue;
            double weight = Math.pow(0.5, Math.max(0, ChronoUnit.DAYS.between(day, today)) / HALF_LIFE);
            if (done) kept += weight;
            else missed += weight;
        }
        return new Attendance(kept, missed);
    }

    /** The share of days to expect, 0 to 1. */
    public double share() {
        return kept / (kept + missed);
    }

    /** So many shares, equally likely to be the one such a student really keeps, rising. */
    double[] shares(int count) {
        BetaDistribution spread = new BetaDistribution(kept, missed);
        return IntStream.range(0, count)
                .mapToDouble(i -> spread.inverseCumulativeProbability((i + 0.5) / count))
                .toArray();
    }
}
