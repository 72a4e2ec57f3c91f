package app.hodegon.core.diagnosis;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A measure lying beyond a value at a checkpoint, as a fault would show it.
 *
 * @param value the limit in the measure's unit; empty for the end of the coach's school's corridor on that side
 */
public record Limit(Measure measure, Optional<Checkpoint> at, Side side, OptionalDouble value) {

    /** On which side of the value the fault lies. */
    public enum Side {
        ABOVE,
        BELOW
    }

    static Limit above(Measure measure, Checkpoint at, double value) {
        return new Limit(measure, Optional.of(at), Side.ABOVE, OptionalDouble.of(value));
    }

    static Limit below(Measure measure, Checkpoint at, double value) {
        return new Limit(measure, Optional.of(at), Side.BELOW, OptionalDouble.of(value));
    }

    static Limit above(Measure measure, double value) {
        return new Limit(measure, Optional.empty(), Side.ABOVE, OptionalDouble.of(value));
    }

    static Limit below(Measure measure, double value) {
        return new Limit(measure, Optional.empty(), Side.BELOW, OptionalDouble.of(value));
    }

    static Limit aboveCorridor(Checkpoint at) {
        return new Limit(Measure.TRAIL_SHARE, Optional.of(at), Side.ABOVE, OptionalDouble.empty());
    }

    static Limit belowCorridor(Checkpoint at) {
        return new Limit(Measure.TRAIL_SHARE, Optional.of(at), Side.BELOW, OptionalDouble.empty());
    }

    /** Whether it is a school's: lying beyond it can be another school as well as a fault, however far. */
    boolean ofSchool() {
        return value.isEmpty();
    }

    /** The limit's value under this school, in the measure's unit. */
    public double value(PressureSchool school) {
        if (value.isPresent()) return value.getAsDouble();
        PressureSchool.Corridor corridor = school.corridor(at.orElseThrow());
        return side == Side.ABOVE ? corridor.high() : corridor.low();
    }
}
