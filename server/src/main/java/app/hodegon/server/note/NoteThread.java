package app.hodegon.server.note;

import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.UUID;

/**
 * A note from a day's practice and what was said about it.
 *
 * @param session the practice it came with
 * @param answers oldest first
 */
record NoteThread(
        @NotNull UUID session,
        @NotNull LocalDate day,
        @NotNull String note,
        @NotNull boolean read,
        @NotNull List<Answer> answers) {

    record Answer(
            @NotNull boolean byCoach,
            @NotNull String said,
            @NotNull OffsetDateTime at) {}
}
