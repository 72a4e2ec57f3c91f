package app.hodegon.server.lesson;

import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.practice.Tried;
import app.hodegon.core.shots.Shot;
import app.hodegon.core.swing.Club;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.SwingLength;
import app.hodegon.server.diagnosis.DiagnosisController;
import app.hodegon.server.diagnosis.ReadingEntry;
import app.hodegon.server.diagnosis.ShotsEntry;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.Plain;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A stage of a lesson, on the wire and in the store.
 *
 * @param number its place among the others; of two with the same, either may come first
 * @param drill id of a drill of the library; null where it is told in words
 * @param club id; null while not said
 * @param length id of the swing's length; null while not said
 * @param balls keyed in, by a name of their own; null for none
 * @param begun when the student began with it; null while not said
 * @param minutes it was to take; null for as long as it takes
 */
public record TryEntry(
        @NotNull @Min(0) @Max(1000) Integer number,
        @Size(max = 60) String drill,
        @NotNull @Plain @Size(max = Tried.LONGEST_WORDS) String words,
        @Size(max = 12) String club,
        @Size(max = 12) String length,
        @NotNull @Valid @Size(max = 20) List<ReadingEntry> readings,
        @NotNull @Valid ShotsEntry shots,
        @NotNull @Size(max = Tried.MOST_PAIRS) List<@NotNull @Valid PairEntry> same,
        @Size(max = KeyedBall.MOST) Map<@Pattern(regexp = LessonEntry.NAME) String, @NotNull @Valid KeyedBall> balls,
        Instant begun,
        @Min(1) @Max(120) Integer minutes) {

    public TryEntry {
        balls = balls == null ? Map.of() : balls;
    }

    /** What student and coach each noticed in one swing. */
    public record PairEntry(
            @NotNull @Size(max = 20) String student,
            @NotNull @Size(max = 20) String coach) {}

    static TryEntry of(int number, Tried tried) {
        return new TryEntry(
                number,
                tried.drill().orElse(null),
                tried.words(),
                tried.club().map(Club::id).orElse(null),
                tried.length().map(SwingLength::id).orElse(null),
                tried.seen().readings().stream().map(ReadingEntry::of).toList(),
                ShotsEntry.of(tried.seen().shots()),
                tried.same().stream()
                        .map(p -> new PairEntry(p.student(), p.coach()))
                        .toList(),
                keyed(tried.measured()),
                null,
                null);
    }

    private static Map<String, KeyedBall> keyed(List<Shot> balls) {
        Map<String, KeyedBall> keyed = new LinkedHashMap<>();
        for (Shot ball : balls) {
            int number = keyed.size() + 1;
            keyed.put("ball-" + number, KeyedBall.of(number, ball));
        }
        return keyed;
    }

    /**
     * @param field where it stands, for what is wrong with it
     */
    Tried tried(String field) {
        return Invalid.in(
                field,
                () -> new Tried(
                        Optional.ofNullable(drill),
                        words,
                        KeyedBall.club(club, field + ".club"),
                        Optional.ofNullable(length)
                                .map(l -> Invalid.in(field + ".length", () -> Identified.of(SwingLength.class, l))),
                        new Observations(
                                Map.of(),
                                DiagnosisController.readings(field + ".readings", readings),
                                shots.tally(field + ".shots")),
                        KeyedBall.shots(balls, club, field),
                        same.stream()
                                .map(p -> new Tried.Pair(p.student(), p.coach()))
                                .toList()));
    }
}
