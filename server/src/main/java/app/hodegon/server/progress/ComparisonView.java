package app.hodegon.server.progress;

import app.hodegon.core.progress.Comparison;
import jakarta.validation.constraints.NotNull;

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

    static ComparisonView of(Comparison comparison) {
        return new ComparisonView(
                comparison.difference(),
                comparison.low(),
                comparison.high(),
                comparison.verdict().id(),
                comparison.toTell().isPresent() ? comparison.toTell().getAsInt() : null);
    }
}
