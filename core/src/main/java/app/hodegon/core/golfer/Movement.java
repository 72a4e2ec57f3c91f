package app.hodegon.core.golfer;

import app.hodegon.core.motion.Foot;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Identified;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a golfer does: a swing or a part of one, or something done standing. Lengths in cm are for a golfer of
 * {@value #FOR_HEIGHT} cm and grow with the height.
 *
 * @param base from where all else departs
 * @param manner length, tempo, hands, club and ball
 * @param stance where the feet stand at the beginning
 * @param pauses seconds of stillness at a checkpoint
 * @param steps in the order done
 * @param settings what is otherwise at which checkpoint
 * @param wrong what a mistake, or a swing as it was measured, has otherwise still, whatever else is said of it
 * @param things what lies, stands or is worn where
 * @param names of the checkpoints where they are not those of a swing; empty for a swing's own
 * @param shown the checkpoint that shows most of it
 */
public record Movement(
        Base base,
        Manner manner,
        Stance stance,
        Map<Checkpoint, Double> pauses,
        List<Step> steps,
        List<Setting> settings,
        List<Setting> wrong,
        List<Thing> things,
        Map<Checkpoint, String> names,
        Checkpoint shown) {

    public static final double FOR_HEIGHT = 175;

    /** From where a movement departs. */
    public enum Base implements Identified {
        /** A sound swing of the school. */
        SWING("swing"),
        /** Standing as at address. */
        STILL("still");

        private final String id;

        Base(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    /**
     * @param length of a full swing, %, 10 to 110
     * @param tempo of the usual pace, %, 15 to 130
     */
    public record Manner(double length, double tempo, Hands hands, Club club, Ball ball) {

        public Manner {
            if (!(length >= 10 && length <= 110)) throw new IllegalArgumentException("length must be 10 to 110 %.");
            if (!(tempo >= 15 && tempo <= 130)) throw new IllegalArgumentException("tempo must be 15 to 130 %.");
        }

        /** With something else in the hands than what swings; nothing is hit with it. */
        public Manner holding(Hands others) {
            return new Manner(length, tempo, others, Club.NONE, Ball.NONE);
        }
    }

    /** What the hands swing. */
    public enum Club implements Identified {
        NONE("none"),
        WEDGE("wedge"),
        IRON("iron"),
        DRIVER("driver"),
        /** An umbrella or any stick, swung like a bat. */
        BAT("bat");

        private final String id;

        Club(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    /** What is hit. */
    public enum Ball implements Identified {
        NONE("none"),
        GROUND("ground"),
        TEE("tee"),
        /** So far forward that only a load on the lead foot reaches it. */
        FORWARD("forward");

        private final String id;

        Ball(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    /** Where the feet stand at the beginning, in cm from their usual places. */
    public enum Stance implements Identified {
        USUAL("usual", 0, 0, 0),
        NARROW("narrow", -7, 7, 0),
        TOGETHER("together", -17, 17, 0),
        /** Together on the trail side. */
        TRAIL_SIDE("trail-side", -34, 0, 0),
        /** The trail foot set back. */
        STAGGERED("staggered", -4, 4, -20);

        private final String id;
        private final double lead;
        private final double trail;
        private final double trailIn;

        Stance(String id, double lead, double trail, double trailIn) {
            this.id = id;
            this.lead = lead;
            this.trail = trail;
            this.trailIn = trailIn;
        }

        @Override
        public String id() {
            return id;
        }

        double of(Coordinate what) {
            return switch (what) {
                case LEAD_STEP -> lead;
                case TRAIL_STEP -> trail;
                case TRAIL_STEP_IN -> trailIn;
                default -> 0;
            };
        }
    }

    /**
     * A foot set elsewhere.
     *
     * @param from it leaves the ground
     * @param to it is down again
     * @param along cm towards the target
     * @param in cm towards the ball
     */
    public record Step(Foot foot, Checkpoint from, Checkpoint to, double along, double in) {

        public Step {
            if (from.compareTo(to) >= 0) throw new IllegalArgumentException("a step ends after it began.");
        }

        double of(Coordinate what) {
            boolean trail = foot == Foot.TRAIL;
            return switch (what) {
                case LEAD_STEP -> trail ? 0 : along;
                case TRAIL_STEP -> trail ? along : 0;
                case LEAD_STEP_IN -> trail ? 0 : in;
                case TRAIL_STEP_IN -> trail ? in : 0;
                default -> 0;
            };
        }

        /** How much of it is done at a checkpoint, 0 to 1. */
        double done(Checkpoint at) {
            double all = to.ordinal() - from.ordinal();
            return Math.max(0, Math.min(1, (at.ordinal() - from.ordinal()) / all));
        }
    }

    /** One coordinate at one checkpoint. */
    public record Setting(Coordinate what, Checkpoint at, double value) {}

    /** Something that the drill is done with. */
    public record Thing(Kind kind, Spot spot) {}

    /** What a thing is. */
    public enum Kind implements Identified {
        BALL("ball"),
        ROD("rod"),
        DISC("disc"),
        HALF_BALL("half-ball"),
        /** A foam half-roll, or balls under a towel, across. */
        WEDGE("wedge"),
        STICK("stick"),
        SQUEAKER("squeaker"),
        /** A line on the ground. */
        MARK("mark"),
        BOARD("board"),
        CHAIR("chair"),
        GLOVE("glove");

        private final String id;

        Kind(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    /** Where a thing is: a part of a foot, or the ground beside it; or elsewhere. */
    public enum Spot implements Identified {
        TRAIL_TOE("trail-toe"),
        TRAIL_HEEL("trail-heel"),
        TRAIL_INNER("trail-inner"),
        TRAIL_OUTER("trail-outer"),
        TRAIL_SOLE("trail-sole"),
        LEAD_TOE("lead-toe"),
        LEAD_HEEL("lead-heel"),
        LEAD_INNER("lead-inner"),
        LEAD_OUTER("lead-outer"),
        LEAD_SOLE("lead-sole"),
        /** Against the inside of the trail ankle. */
        TRAIL_ANKLE("trail-ankle"),
        /** Upright inside the trail thigh. */
        THIGH("thigh"),
        /** Upright outside the trail hip. */
        HIP("hip"),
        /** Through the belt loops. */
        BELT("belt"),
        /** On the ground between the feet, turned by 40°. */
        BETWEEN("between"),
        /** On the ground between the feet, turned by half a right angle. */
        DIAGONAL("diagonal"),
        /** On the ground along the toes. */
        TOE_LINE("toe-line"),
        /** Upright on both sides of the lead foot. */
        FENCE("fence"),
        /** Out of the lead front pocket. */
        POCKET("pocket"),
        /** Under who sits. */
        SEAT("seat");

        private final String id;

        Spot(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }

        /** Whether it is a part of a foot, or the ground beside it. */
        public boolean ofAFoot() {
            return compareTo(LEAD_SOLE) <= 0;
        }
    }

    public Movement {
        pauses = pauses.isEmpty() ? Map.of() : Collections.unmodifiableMap(new EnumMap<>(pauses));
        pauses.forEach((at, seconds) -> {
            if (!(seconds > 0 && seconds <= 10)) throw new IllegalArgumentException("a pause lasts over 0 to 10 s.");
        });
        steps = List.copyOf(steps);
        settings = List.copyOf(settings);
        wrong = List.copyOf(wrong);
        things = List.copyOf(things);
        names = names.isEmpty() ? Map.of() : Collections.unmodifiableMap(new EnumMap<>(names));
    }

    /** A full swing with an iron at a ball on the ground. */
    public static final Movement SWING = new Movement(
            Base.SWING,
            new Manner(100, 100, Hands.CLUB, Club.IRON, Ball.GROUND),
            Stance.USUAL,
            Map.of(),
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            Map.of(),
            Checkpoint.TOP);

    /** The same with these coordinates there, whatever else is said of it. */
    Movement with(List<Setting> there) {
        return new Movement(base, manner, stance, pauses, steps, settings, there, things, names, shown);
    }

    /** The checkpoint's name in this movement, lead/trail placeholders and all; empty for one that is not shown. */
    Optional<String> name(Checkpoint at) {
        return names.isEmpty() ? Optional.of(at.label()) : Optional.ofNullable(names.get(at));
    }
}
