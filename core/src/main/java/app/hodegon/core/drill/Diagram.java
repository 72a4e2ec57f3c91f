package app.hodegon.core.drill;

import app.hodegon.core.swing.Identified;
import java.util.List;

/**
 * What the picture of a drill is drawn from: two feet seen from above, things under or beside them, and one movement.
 *
 * @param stance how far apart the feet stand
 * @param props what lies where
 * @param press the zones that should be loaded in the drill
 * @param move what the body or a foot does
 */
public record Diagram(Stance stance, List<Prop> props, List<Zone> press, Move move) {

    public Diagram {
        props = List.copyOf(props);
        press = List.copyOf(press);
    }

    public record Prop(PropShape shape, Zone at) {}

    public enum Stance implements Identified {
        NORMAL("normal"),
        TOGETHER("together"),
        STAGGERED("staggered");

        private final String id;

        Stance(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    public enum PropShape implements Identified {
        BALL("ball"),
        ROD("rod"),
        DISC("disc"),
        HALF_BALL("half-ball"),
        WEDGE("wedge"),
        STICK("stick");

        private final String id;

        PropShape(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    /** A part of a foot, or the ground beside it. */
    public enum Zone implements Identified {
        TRAIL_TOE("trail-toe"),
        TRAIL_HEEL("trail-heel"),
        TRAIL_INNER("trail-inner"),
        TRAIL_OUTER("trail-outer"),
        TRAIL_SOLE("trail-sole"),
        LEAD_TOE("lead-toe"),
        LEAD_HEEL("lead-heel"),
        LEAD_INNER("lead-inner"),
        LEAD_OUTER("lead-outer"),
        LEAD_SOLE("lead-sole");

        private final String id;

        Zone(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    public enum Move implements Identified {
        NONE("none"),
        TURN_TRAIL_FOOT("turn-trail-foot"),
        TURN_BODY("turn-body"),
        ROLL_IN("roll-in"),
        STEP_LEAD("step-lead"),
        STEP_TRAIL("step-trail"),
        SHIFT_LEAD("shift-lead"),
        SHIFT_TRAIL("shift-trail"),
        LIFT_TRAIL_HEEL("lift-trail-heel"),
        ROCK("rock");

        private final String id;

        Move(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }
}
