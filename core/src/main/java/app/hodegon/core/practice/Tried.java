package app.hodegon.core.practice;

import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.shots.Shot;
import app.hodegon.core.swing.Club;
import app.hodegon.core.swing.SwingLength;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * One stage of a lesson: a move that was tried, and the balls or readings straight after it.
 *
 * @param drill what was tried, where it is one of the library
 * @param words what was tried, in the coach's words; may be empty
 * @param seen balls and readings
 * @param measured how far and how far off line balls came, as keyed in
 * @param same what student and coach each noticed in the same swings
 */
public record Tried(
        Optional<String> drill,
        String words,
        Optional<Club> club,
        Optional<SwingLength> length,
        Observations seen,
        List<Shot> measured,
        List<Pair> same) {

    /** Most balls that are keyed in at one stage. */
    public static final int MOST_MEASURED = 60;

    /** Most stages that one lesson holds. */
    public static final int MOST = 12;

    /** Most swings on which student and coach are asked the same. */
    public static final int MOST_PAIRS = 30;

    public static final int LONGEST_WORDS = 200;

    /** What each noticed in one swing. */
    public record Pair(String student, String coach) {}

    public Tried {
        Objects.requireNonNull(seen);
        measured = List.copyOf(measured);
        same = List.copyOf(same);
        if (words.length() > LONGEST_WORDS) {
            throw new IllegalArgumentException("words holds at most " + LONGEST_WORDS + " letters.");
        }
        if (same.size() > MOST_PAIRS) {
            throw new IllegalArgumentException("same holds at most " + MOST_PAIRS + " swings.");
        }
    }

    /** Whether distances of these swings can be held against those of so long a swing. */
    public boolean asFarAs(Optional<SwingLength> other) {
        return length.orElse(SwingLength.FULL) == other.orElse(SwingLength.FULL);
    }
}
