package app.hodegon.core.practice;

import app.hodegon.core.drill.Joint;
import java.util.Objects;
import java.util.Set;

/**
 * Pain reported after a session.
 *
 * @param score 1 (hardly) to 10 (worst)
 * @param drill the drill it came in
 */
public record Pain(Joint where, int score, String drill) {

    /** From this score on a drill stops whoever the student is. */
    public static final int STOPS_FROM = 3;

    public Pain {
        Objects.requireNonNull(where);
        Objects.requireNonNull(drill);
        if (where == Joint.BALANCE) throw new IllegalArgumentException("Pain sits in ankle, knee, hip or back.");
        if (score < 1 || score > 10) throw new IllegalArgumentException("Pain is scored 1 to 10, not " + score + ".");
    }

    /** Whether the drill stops for this student until the coach lifts it. */
    public boolean stopsDrill(Set<Joint> flags) {
        return score >= STOPS_FROM || flags.contains(where);
    }
}
