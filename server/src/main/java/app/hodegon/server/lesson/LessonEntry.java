package app.hodegon.server.lesson;

import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.practice.Tried;
import app.hodegon.server.diagnosis.ReadingEntry;
import app.hodegon.server.diagnosis.ShotsEntry;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;

/**
 * Everything a coach enters in a lesson, sent whole each time so that an undo is an earlier state sent again.
 *
 * @param signs yes or no by sign; a sign left out was not looked at
 * @param tries stages by a name of their own, so that two windows can add to them; null for none
 */
public record LessonEntry(
        @NotNull @Size(max = 20) Map<String, String> approach,
        @NotNull @Size(max = 100) Map<String, String> signs,
        @NotNull @Valid Moment before,
        @NotNull @Valid Moment after,
        @NotNull @Size(max = 2000) String note,
        @Size(max = Tried.MOST) Map<@Pattern(regexp = "[\\w-]{1,24}") String, @NotNull @Valid TryEntry> tries) {

    public LessonEntry {
        tries = tries == null ? Map.of() : tries;
    }

    /** One measuring moment: the first balls, or the last. */
    public record Moment(
            @NotNull @Valid @Size(max = 200) List<ReadingEntry> readings,
            @NotNull @Valid ShotsEntry shots) {

        static Moment of(Observations seen) {
            return new Moment(seen.readings().stream().map(ReadingEntry::of).toList(), ShotsEntry.of(seen.shots()));
        }
    }
}
