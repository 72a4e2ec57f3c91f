package app.hodegon.core.drill;

import app.hodegon.core.golfer.Movement.Kind;
import app.hodegon.core.golfer.Movement.Spot;
import app.hodegon.core.golfer.Movement.Thing;
import app.hodegon.core.motion.Foot;
import app.hodegon.core.swing.Identified;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What the picture of a drill is drawn from: two feet seen from above, things under or beside them, and one movement.
 *
 * @param stance how far apart the feet stand
 * @param props what lies where
 * @param press the zones that should be loaded in the drill
 * @param move what the body or a foot does
 */
public record Diagram(Stance stance, List<Prop> props, List<Spot> press, Move move) {

    private static final Set<Foot> LEAD = Set.of(Foot.LEAD);
    private static final Set<Foot> TRAIL = Set.of(Foot.TRAIL);
    private static final Set<Foot> BOTH = Set.of(Foot.values());
    private static final Set<Foot> NEITHER = Set.of();

    public Diagram {
        props = List.copyOf(props);
        press = List.copyOf(press);
        if (!Stream.concat(press.stream(), props.stream().map(Prop::at)).allMatch(Spot::ofAFoot)) {
            throw new IllegalArgumentException("Only what is at a foot is drawn with the soles.");
        }
    }

    /** The props as what the golfer has there. */
    List<Thing> things() {
        return props.stream()
                .map(p -> new Thing(Identified.of(Kind.class, p.shape().id()), p.at()))
                .toList();
    }

    /** The feet that have something to do: pressed, moved, or with a thing at them; a set of one's own. */
    public Set<Foot> feet() {
        Set<Foot> feet = EnumSet.noneOf(Foot.class);
        Stream.concat(press.stream(), props.stream().map(Prop::at)).forEach(spot -> feet.addAll(at(spot)));
        feet.addAll(moved());
        return feet;
    }

    private static Set<Foot> at(Spot spot) {
        return switch (spot) {
            case LEAD_TOE, LEAD_HEEL, LEAD_INNER, LEAD_OUTER, LEAD_SOLE, FENCE -> LEAD;
            case TRAIL_TOE, TRAIL_HEEL, TRAIL_INNER, TRAIL_OUTER, TRAIL_SOLE, TRAIL_ANKLE -> TRAIL;
            case BETWEEN, DIAGONAL, TOE_LINE -> BOTH;
            case THIGH, HIP, BELT, POCKET, SEAT -> NEITHER;
        };
    }

    private Set<Foot> moved() {
        return switch (move) {
            case STEP_LEAD, SHIFT_LEAD -> LEAD;
            case TURN_TRAIL_FOOT, ROLL_IN, STEP_TRAIL, SHIFT_TRAIL, LIFT_TRAIL_HEEL -> TRAIL;
            case ROCK -> BOTH;
            case NONE, TURN_BODY -> NEITHER;
        };
    }

    public record Prop(PropShape shape, Spot at) {}

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

        /** Whether it is more than the turn that every swing has. */
        public boolean ofItsOwn() {
            return this != NONE && this != TURN_BODY;
        }
    }
}
