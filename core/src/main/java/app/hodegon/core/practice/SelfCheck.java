package app.hodegon.core.practice;

import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Source;
import java.time.LocalDate;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * What a student felt of the load under both feet in one slow swing at home.
 *
 * @param id made by the student's phone, so that sending twice stores once
 * @param trailShare share under the trail foot, %, at each of {@link #MOMENTS}
 */
public record SelfCheck(UUID id, LocalDate day, Map<Checkpoint, Integer> trailShare) {

    /** When the student is asked. */
    public static final List<Checkpoint> MOMENTS = List.of(Checkpoint.ADDRESS, Checkpoint.TOP, Checkpoint.IMPACT);

    public SelfCheck {
        Objects.requireNonNull(id);
        Objects.requireNonNull(day);
        if (!trailShare.keySet().equals(Set.copyOf(MOMENTS))) {
            throw new IllegalArgumentException("a share is needed at address, top and impact, and nowhere else.");
        }
        trailShare = Collections.unmodifiableMap(new EnumMap<>(trailShare));
        trailShare.forEach((at, share) -> {
            if (share < 0 || share > 100) throw new IllegalArgumentException("a share must be 0 to 100 %.");
        });
    }

    /** The same as readings, felt, of one swing. */
    public List<Reading> readings() {
        return trailShare.entrySet().stream()
                .map(e -> new Reading(Measure.TRAIL_SHARE, Optional.of(e.getKey()), e.getValue(), Source.FELT, 1))
                .toList();
    }
}
