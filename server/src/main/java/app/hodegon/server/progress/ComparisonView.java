package app.hodegon.server.progress;

import app.hodegon.core.progress.Comparison;
import app.hodegon.core.swing.Units.Scale;
import jakarta.validation.constraints.NotNull;
import java.util.OptionalInt;

/**
 * A comparison on the wire.
 *
 * @param toTell further swings or balls per sample that would tell, or null
 */
record ComparisonView(
        @NotNull double difference,
        @NotNull double low,
        @NotNull double high,
        @NotNull String verdict,
        Integer toTell) {

    private static final Scale AS_IT_IS = new Scale(1, "");

    /** As it was worked out. */
    static ComparisonView whole(Comparison comparison) {
        return of(comparison, AS_IT_IS, comparison.toTell());
    }

    /** For a person to read. */
    static ComparisonView of(Comparison comparison) {
        return of(comparison, AS_IT_IS);
    }

    /** In a person's units. */
    static ComparisonView of(Comparison comparison, Scale scale) {
        return of(comparison, scale, comparison.worthAsking());
    }

    private static ComparisonView of(Comparison comparison, Scale scale, OptionalInt toTell) {
        return new ComparisonView(
                scale.factor() * comparison.difference(),
                scale.factor() * comparison.low(),
                scale.factor() * comparison.high(),
                comparison.verdict().id(),
                toTell.isPresent() ? toTell.getAsInt() : null);
    }
}
