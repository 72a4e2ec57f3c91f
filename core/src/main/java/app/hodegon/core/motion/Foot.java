package app.hodegon.core.motion;

import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import java.util.List;

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

    /** The names of both channels for a student of this hand, lead first. */
    public static List<String> channels(Handedness hand) {
        return List.of(LEAD.side(hand), TRAIL.side(hand));
    }

    /** {@code left} or {@code right}, for a student of this hand. */
    public String side(Handedness hand) {
        return this == LEAD ? hand.lead() : hand.trail();
    }
}
