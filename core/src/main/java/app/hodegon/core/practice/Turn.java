package app.hodegon.core.practice;

import app.hodegon.core.swing.Identified;

/**
 * How a session answered what was going on in it, where the student took it.
 *
 * @param at after so many reps of the block
 */
public record Turn(int at, Kind kind) {

    /** So many misses running bring an easier form or more rehearsals. */
    public static final int MISSES = 3;

    /** So many good ones running bring the next half-step. */
    public static final int GOOD = 8;

    /** Rehearsals put in before the next strike. */
    public static final int REHEARSALS = 2;

    /** What is done otherwise from then on. */
    public enum Kind implements Identified {
        /** The drill's easier form. */
        EASIER("easier"),
        /** {@value Turn#REHEARSALS} rehearsals before the next strike. */
        REHEARSE("rehearse"),
        /** The drill's next half-step, or its harder form. */
        HARDER("harder");

        private final String id;

        Kind(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    public Turn {
        if (at < 0 || at > BlockResult.MOST_REPS) {
            throw new IllegalArgumentException("at must be 0 to " + BlockResult.MOST_REPS + ".");
        }
    }
}
