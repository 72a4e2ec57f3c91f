package app.hodegon.core.motion;

import java.util.Objects;

/**
 * Something about a trace that its readings suffer from.
 *
 * @param text in lead/trail placeholders
 */
public record Trouble(Kind kind, String text) {

    public Trouble {
        Objects.requireNonNull(kind);
        Objects.requireNonNull(text);
    }

    /** What can be wrong. */
    public enum Kind implements app.hodegon.core.swing.Identified {
        NO_SWING("no-swing"),
        NO_STILLNESS("no-stillness"),
        CUT_SHORT("cut-short"),
        GAP("gap"),
        DEAD_CELL("dead-cell"),
        SATURATED_CELL("saturated-cell"),
        DRIFT("drift"),
        NOISY("noisy"),
        SLOW_PLATE("slow-plate");

        private final String id;

        Kind(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }
}
