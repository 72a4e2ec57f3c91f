package app.hodegon.core.motion;

import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import java.util.Objects;
import java.util.Optional;

/**
 * One value read in one swing.
 *
 * @param at the checkpoint, empty for measures that have none
 * @param value in the measure's unit, within its quantity's range
 * @param uncertainty standard uncertainty of this one value in the measure's unit, over 0
 */
public record Measured(Measure measure, Optional<Checkpoint> at, double value, double uncertainty) {

    public Measured {
        Objects.requireNonNull(measure);
        if (measure.atCheckpoint() != at.isPresent()) {
            throw new IllegalArgumentException(measure.id() + " and its checkpoint do not fit together.");
        }
        if (!measure.quantity().mayBe(value)) throw new IllegalArgumentException(measure.id() + ": no such value.");
        if (!(uncertainty > 0)) throw new IllegalArgumentException("no reading is certain.");
    }
}
