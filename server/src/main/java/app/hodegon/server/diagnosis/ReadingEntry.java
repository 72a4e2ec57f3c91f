package app.hodegon.server.diagnosis;

import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Source;
import app.hodegon.server.http.Invalid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Optional;

/**
 * A reading on the wire.
 *
 * @param at a checkpoint, null for measures of the whole swing
 */
public record ReadingEntry(
        @NotNull @Size(max = 40) String id,
        @Size(max = 40) String at,
        @NotNull Double value,
        @NotNull @Size(max = 40) String source,
        @NotNull Integer swings) {

    public Reading reading(String field) {
        Measure measure = Invalid.in(field + ".id", () -> Identified.of(Measure.class, id));
        Optional<Checkpoint> checkpoint =
                Optional.ofNullable(at).map(a -> Invalid.in(field + ".at", () -> Identified.of(Checkpoint.class, a)));
        Source from = Invalid.in(field + ".source", () -> Identified.of(Source.class, source));
        return Invalid.in(field, () -> new Reading(measure, checkpoint, value, from, swings));
    }

    public static ReadingEntry of(Reading reading) {
        return new ReadingEntry(
                reading.measure().id(),
                reading.at().map(Checkpoint::id).orElse(null),
                reading.value(),
                reading.source().id(),
                reading.swings());
    }
}
