package app.hodegon.core.practice;

import app.hodegon.core.swing.Identified;

/** Why a block was done that the day's plan does not have. */
public enum Aside implements Identified {
    /** One set on the rung below: the movement was lost. */
    BELOW("below"),
    /** Ten scored reps before anything else, after days without practice: what stayed. */
    FIRST_TEN("first-ten");

    /** Days without practice after which the first ten are asked for. */
    public static final int GAP_DAYS = 3;

    private final String id;

    Aside(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
