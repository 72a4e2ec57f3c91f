package app.hodegon.server.attention;

import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.UUID;

/**
 * Something that wants the coach, on the wire.
 *
 * @param since the day from which it holds
 * @param planId the running plan; null without one
 * @param lessonId the lesson it was made in
 * @param drill of a pain
 * @param fault of a gate
 * @param rung of a gate
 * @param session of a note
 * @param easedOn since when the plan asks for less; null while it does not
 */
record AttentionView(
        @NotNull UUID studentId,
        @NotNull String student,
        @NotNull String kind,
        @NotNull String key,
        @NotNull LocalDate since,
        UUID planId,
        UUID lessonId,
        String drill,
        String fault,
        String rung,
        UUID session,
        LocalDate easedOn,
        @NotNull String reason) {}
