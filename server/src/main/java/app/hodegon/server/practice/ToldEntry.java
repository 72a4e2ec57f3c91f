package app.hodegon.server.practice;

import app.hodegon.core.practice.BlockResult;
import app.hodegon.core.practice.Told;
import app.hodegon.core.practice.Turn;
import app.hodegon.core.swing.Ball;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Club;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.http.Invalid;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * What a student told of a block, on the wire; what is left out was not told.
 *
 * @param speeds percent of full per set; 0 where nothing was said
 * @param club id of what the balls were hit with; null while not said
 * @param balls what each of them did, in order
 * @param turns what the session did otherwise, in order
 */
public record ToldEntry(
        @Size(max = BlockResult.MOST_REPS) List<@NotNull Integer> speeds,
        @Size(max = 12) String club,
        @Size(max = BlockResult.MOST_REPS) List<@NotNull @Valid BallEntry> balls,
        @Size(max = Told.MOST_TURNS) List<@NotNull @Valid TurnEntry> turns) {

    /** One ball; null where it was not said. */
    public record BallEntry(
            @Size(max = 20) String flight, @Size(max = 20) String strike) {

        static BallEntry of(Ball ball) {
            return new BallEntry(
                    ball.flight().map(BallResult::id).orElse(null),
                    ball.strike().map(BallResult::id).orElse(null));
        }

        Ball ball() {
            return new Ball(
                    Optional.ofNullable(flight).map(f -> BallResult.of(BallResult.Kind.FLIGHT, f)),
                    Optional.ofNullable(strike).map(s -> BallResult.of(BallResult.Kind.STRIKE, s)));
        }
    }

    /** @param at after so many reps of the block */
    public record TurnEntry(
            @NotNull Integer at, @NotNull @Size(max = 12) String kind) {

        static TurnEntry of(Turn turn) {
            return new TurnEntry(turn.at(), turn.kind().id());
        }

        Turn turn() {
            return new Turn(at, Identified.of(Turn.Kind.class, kind));
        }
    }

    public static ToldEntry of(Told told) {
        return new ToldEntry(
                told.speeds(),
                told.club().map(Club::id).orElse(null),
                told.balls().stream().map(BallEntry::of).toList(),
                told.turns().stream().map(TurnEntry::of).toList());
    }

    /**
     * @param field where it stands, for what is wrong with it
     */
    public Told told(String field, List<String> noticed) {
        return new Told(
                noticed,
                speeds == null ? List.of() : speeds,
                Optional.ofNullable(club).map(c -> Invalid.in(field + ".club", () -> Identified.of(Club.class, c))),
                each(field + ".balls", balls, BallEntry::ball),
                each(field + ".turns", turns, TurnEntry::turn));
    }

    private static <E, T> List<T> each(String field, List<E> entries, Function<E, T> read) {
        if (entries == null) return List.of();
        return entries.stream().map(e -> Invalid.in(field, () -> read.apply(e))).toList();
    }
}
