package app.hodegon.core.motion;

import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import java.util.List;
import java.util.Optional;

/**
 * What one swing's source says: its trace, or its track in one view.
 *
 * @param moments those that are known, in the order of the swing
 * @param readings at those moments, and of the whole swing
 */
public record SwingReading(List<Moment> moments, List<Measured> readings, List<Trouble> troubles) {

    public SwingReading {
        moments = List.copyOf(moments);
        readings = List.copyOf(readings);
        troubles = List.copyOf(troubles);
    }

    public Optional<Moment> moment(Checkpoint at) {
        return moments.stream().filter(m -> m.at() == at).findFirst();
    }

    public Optional<Measured> reading(Measure measure, Optional<Checkpoint> at) {
        return readings.stream()
                .filter(r -> r.measure() == measure && r.at().equals(at))
                .findFirst();
    }
}
