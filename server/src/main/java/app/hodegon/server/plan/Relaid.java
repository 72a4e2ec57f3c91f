package app.hodegon.server.plan;

import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;

/**
 * A running plan laid again on what the student did.
 *
 * @param changes a sentence per day
 */
public record Relaid(
        @NotNull LocalDate on,
        @NotNull String reason,
        @NotNull List<String> changes) {}
