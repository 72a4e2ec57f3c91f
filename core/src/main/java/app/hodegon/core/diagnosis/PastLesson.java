package app.hodegon.core.diagnosis;

import java.time.LocalDate;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.Objects;
import java.util.Set;

/**
 * What an earlier lesson saw, and what was done about it.
 *
 * @param worked what was then chosen to be worked on, in its order; may be nothing
 * @param practised the share of its plan that was done since, 0 to 1 and more
 */
public record PastLesson(LocalDate on, Observations seen, Set<Fault> worked, double practised) {

    public PastLesson {
        Objects.requireNonNull(on);
        Objects.requireNonNull(seen);
        worked = Collections.unmodifiableSet(new LinkedHashSet<>(worked));
        if (!(practised >= 0 && practised <= MOST)) {
            throw new IllegalArgumentException("practised must be 0 to " + MOST + ".");
        }
    }

    /** Who does twenty times what was planned has typed something else. */
    public static final int MOST = 20;
}
