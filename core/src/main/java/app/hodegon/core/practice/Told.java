package app.hodegon.core.practice;

import app.hodegon.core.swing.Ball;
import app.hodegon.core.swing.Club;
import java.util.List;
import java.util.Optional;

/**
 * What a student told of a block beside good or not.
 *
 * @param noticed per set what the drill's {@link app.hodegon.core.drill.Notice} asks for, empty where nothing was said
 * @param speeds per set how fast it was felt to be, percent of full; 0 where nothing was said
 * @param club what the balls were hit with
 * @param balls what each of them did, in order
 * @param turns what the session did otherwise, in order
 */
public record Told(
        List<String> noticed, List<Integer> speeds, Optional<Club> club, List<Ball> balls, List<Turn> turns) {

    public static final Told NOTHING = new Told(List.of(), List.of(), Optional.empty(), List.of(), List.of());

    /** More turns than anybody takes in one block. */
    public static final int MOST_TURNS = 20;

    private static final int FULL_SPEED = 100;

    public Told {
        noticed = List.copyOf(noticed);
        speeds = List.copyOf(speeds);
        balls = List.copyOf(balls);
        turns = List.copyOf(turns);
        if (speeds.stream().anyMatch(s -> s < 0 || s > FULL_SPEED)) {
            throw new IllegalArgumentException("speeds are percentages, 0 where nothing was said.");
        }
        if (balls.size() > BlockResult.MOST_REPS) {
            throw new IllegalArgumentException("balls holds at most " + BlockResult.MOST_REPS + ".");
        }
        if (turns.size() > MOST_TURNS) {
            throw new IllegalArgumentException("turns holds at most " + MOST_TURNS + ".");
        }
    }

    /** Only what was noticed. */
    public static Told noticing(List<String> noticed) {
        return new Told(noticed, List.of(), Optional.empty(), List.of(), List.of());
    }

    /** How often the session went on like this. */
    public int times(Turn.Kind kind) {
        return (int) turns.stream().filter(t -> t.kind() == kind).count();
    }
}
