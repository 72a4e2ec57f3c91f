package app.hodegon.server.academy;

import jakarta.validation.constraints.NotNull;
import java.time.OffsetDateTime;
import java.util.UUID;

/**
 * A student offered to another coach, who has not answered yet.
 *
 * @param words from the one who offers
 */
record Handover(
        @NotNull UUID studentId,
        @NotNull String student,
        @NotNull UUID fromId,
        @NotNull String from,
        @NotNull UUID toId,
        @NotNull String to,
        @NotNull String words,
        @NotNull OffsetDateTime offeredAt) {}
