package app.hodegon.core.motion;

import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;

/** The foot nearer the target, and the other. */
public enum Foot implements Identified {
    LEAD("lead"),
    TRAIL("trail");

    private final String id;

    Foot(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }

    /** {@code left} or {@code right}, for a student of this hand. */
    public String side(Handedness hand) {
        return this == LEAD ? hand.lead() : hand.trail();
    }
}
