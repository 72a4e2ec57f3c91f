package app.hodegon.core.motion;

import app.hodegon.core.swing.Identified;

/** Where a moment comes from. */
public enum Origin implements Identified {
    /** Told by what recorded the swing, or by another source on the same clock. */
    GIVEN("given"),
    /** Found in the signal itself. */
    FOUND("found"),
    /** Reckoned from other moments. */
    ESTIMATED("estimated"),
    /** Moved by the coach. */
    CORRECTED("corrected");

    private final String id;

    Origin(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
