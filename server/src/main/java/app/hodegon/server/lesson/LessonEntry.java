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
        @Size(max = Tried.MOST) Map<@Pattern(regexp = NAME) String, @NotNull @Valid TryEntry> tries) {

    /** Of what two windows can both add to. */
    static final String NAME = "[\\w-]{1,24}";

    public LessonEntry {
        tries = tries == null ? Map.of() : tries;
    }

    /**
     * One measuring moment: the first balls, or the last.
     *
     * @param club of the balls that were keyed in; null while not said
     * @param balls keyed in, by a name of their own; null for none
     */
    public record Moment(
            @NotNull @Valid @Size(max = 200) List<ReadingEntry> readings,
            @NotNull @Valid ShotsEntry shots,
            @Size(max = 12) String club,
            @Size(max = KeyedBall.MOST) Map<@Pattern(regexp = NAME) String, @NotNull @Valid KeyedBall> balls) {

        public Moment {
            balls = balls == null ? Map.of() : balls;
        }

        static Moment of(Observations seen, Keyed keyed) {
            return new Moment(
                    seen.readings().stream().map(ReadingEntry::of).toList(),
                    ShotsEntry.of(seen.shots()),
                    keyed.club(),
                    keyed.balls());
        }

        Keyed keyed() {
            return new Keyed(club, balls);
        }
    }

    /**
     * What was keyed in at one moment, as it is kept.
     *
     * @param club id; null while not said
     */
    public record Keyed(String club, @NotNull Map<String, KeyedBall> balls) {
        static final Keyed NOTHING = new Keyed(null, Map.of());
    }
}
