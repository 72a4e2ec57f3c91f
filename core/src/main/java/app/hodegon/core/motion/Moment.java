package app.hodegon.core.motion;

import app.hodegon.core.swing.Checkpoint;
import java.util.Objects;

/**
 * When a swing passed a checkpoint.
 *
 * @param seconds from the first sample, 0 or more
 * @param uncertainty standard uncertainty of the time in milliseconds, over 0: half a sample at least
 */
public record Moment(Checkpoint at, double seconds, Origin from, double uncertainty) {

    public Moment {
        Objects.requireNonNull(at);
        Objects.requireNonNull(from);
        if (!(seconds >= 0) || Double.isInfinite(seconds))
            throw new IllegalArgumentException("a moment lies at 0 s or later.");
        if (!(uncertainty > 0)) throw new IllegalArgumentException("a moment is never certain.");
    }
}
