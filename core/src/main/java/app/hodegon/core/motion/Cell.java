package app.hodegon.core.motion;

import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import java.util.Arrays;
import java.util.List;

/** A quarter of a sole: its front or back half, on the inner or the outer edge. */
public enum Cell implements Identified {
    LEAD_FRONT_INNER(Foot.LEAD, true, true),
    LEAD_FRONT_OUTER(Foot.LEAD, true, false),
    LEAD_BACK_INNER(Foot.LEAD, false, true),
    LEAD_BACK_OUTER(Foot.LEAD, false, false),
    TRAIL_FRONT_INNER(Foot.TRAIL, true, true),
    TRAIL_FRONT_OUTER(Foot.TRAIL, true, false),
    TRAIL_BACK_INNER(Foot.TRAIL, false, true),
    TRAIL_BACK_OUTER(Foot.TRAIL, false, false);

    private final Foot foot;
    private final boolean front;
    private final boolean inner;

    Cell(Foot foot, boolean front, boolean inner) {
        this.foot = foot;
        this.front = front;
        this.inner = inner;
    }

    @Override
    public String id() {
        return foot.id() + quarter();
    }

    /** The name of its channel for a student of this hand, such as {@code left-front-inner}. */
    public String channel(Handedness hand) {
        return foot.side(hand) + quarter();
    }

    /** The names of all channels for a student of this hand, in the order of the quarters. */
    public static List<String> channels(Handedness hand) {
        return Arrays.stream(values()).map(cell -> cell.channel(hand)).toList();
    }

    private String quarter() {
        return (front ? "-front" : "-back") + (inner ? "-inner" : "-outer");
    }

    public Foot foot() {
        return foot;
    }

    public boolean front() {
        return front;
    }

    public boolean outer() {
        return !inner;
    }

    static List<Cell> of(Foot foot) {
        return Arrays.stream(values()).filter(c -> c.foot == foot).toList();
    }
}
