package app.hodegon.core.motion;

import java.util.Objects;

/**
 * Something about a trace or a track that its readings suffer from.
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
        SLOW_PLATE("slow-plate"),
        NO_SCALE("no-scale"),
        NOT_LEVEL("not-level"),
        NOT_SQUARE("not-square"),
        CAMERA_MOVED("camera-moved"),
        OUT_OF_PICTURE("out-of-picture"),
        SLOW_CAMERA("slow-camera"),
        SLOW_MOTION("slow-motion"),
        UNSURE("unsure"),
        SIDEWAYS("sideways"),
        MIRRORED("mirrored"),
        SWAPPED("swapped"),
        UNFITTING("unfitting"),
        NOT_TOLD("not-told");

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
