package app.hodegon.core.progress;

import app.hodegon.core.swing.Identified;

/** What two samples say about a change. */
public enum Verdict implements Identified {
    BETTER("better"),
    WORSE("worse"),
    /** The whole interval lies within what would not be worth practising for. */
    NO_CHANGE("no-change"),
    CANNOT_TELL("cannot-tell");

    private final String id;

    Verdict(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
