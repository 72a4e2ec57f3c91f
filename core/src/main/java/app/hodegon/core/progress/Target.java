package app.hodegon.core.progress;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.approach.PressureSchool.Corridor;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import java.util.Map;
import java.util.Optional;

/**
 * Where a measure should lie: the school's corridor for the trail share, else the range in which sound swings of every
 * school lie. Working ranges of teaching practice, not published norms.
 *
 * @param low lower edge in the measure's unit; minus infinity where there is none
 * @param high upper edge; plus infinity where there is none
 */
public record Target(double low, double high) {

    private record Where(Measure measure, Optional<Checkpoint> at) {}

    /** Half a head of about 16 cm. */
    private static final double HALF_A_HEAD = 8;

    private static final Map<Where, Target> EVERY_SCHOOL = Map.of(
            at(Measure.PELVIS_DRIFT, Checkpoint.TOP),
            upTo(5),
            at(Measure.HEAD_DRIFT, Checkpoint.TOP),
            upTo(HALF_A_HEAD),
            at(Measure.SHOULDER_TURN, Checkpoint.TOP),
            new Target(80, 100),
            at(Measure.HIP_TURN, Checkpoint.TOP),
            new Target(35, 45),
            at(Measure.HIP_LINE, Checkpoint.ADDRESS),
            new Target(-5, 5),
            at(Measure.PELVIS_THRUST, Checkpoint.IMPACT),
            upTo(3),
            new Where(Measure.STANCE_RATIO, Optional.empty()),
            new Target(1, 1.3),
            new Where(Measure.ANKLE_REACH, Optional.empty()),
            new Target(8, Double.POSITIVE_INFINITY));

    /** How far a value lies outside: 0 within, negative below. */
    double beyond(double value) {
        return value < low ? value - low : Math.max(0, value - high);
    }

    /** The smallest change worth having: a quarter of its width; empty where it is open on a side. */
    Optional<Double> worth() {
        return Optional.of((high - low) / 4).filter(Double::isFinite);
    }

    /** A value as far outside on the other side. */
    double mirrored(double value) {
        double beyond = beyond(value);
        return beyond < 0 ? high - beyond : beyond > 0 ? low - beyond : value;
    }

    public Target {
        if (!(low < high)) throw new IllegalArgumentException("low must be under high.");
    }

    private static Where at(Measure measure, Checkpoint at) {
        return new Where(measure, Optional.of(at));
    }

    private static Target upTo(double high) {
        return new Target(Double.NEGATIVE_INFINITY, high);
    }

    /** Empty where nothing is agreed. */
    public static Optional<Target> of(Reading reading, PressureSchool school) {
        if (reading.measure() == Measure.TRAIL_SHARE) {
            Corridor corridor = school.corridor(reading.at().orElseThrow());
            return Optional.of(new Target(corridor.low(), corridor.high()));
        }
        return Optional.ofNullable(EVERY_SCHOOL.get(new Where(reading.measure(), reading.at())));
    }
}
