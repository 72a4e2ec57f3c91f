package app.hodegon.core.golfer;

import java.util.EnumMap;
import java.util.Map;
import java.util.function.ToDoubleFunction;

/**
 * A body as a chain of segments, posed by the coordinates of a swing. Segments in parts of the height (Drillis and
 * Contini 1966, as in Winter, Biomechanics and Motor Control of Human Movement); pelvis, head and hands are where the
 * swing puts them, knees and elbows follow.
 */
final class Body {

    private static final double FOOT = 0.152;
    private static final double ANKLE_HEIGHT = 0.039;
    private static final double SHANK = 0.246;
    private static final double THIGH = 0.245;
    private static final double HIPS = 0.135;
    private static final double TRUNK = 0.288;
    private static final double SHOULDERS = 0.235;
    private static final double NECK_AND_HEAD = 0.115;
    private static final double HEAD = 0.085;
    private static final double UPPER_ARM = 0.186;
    private static final double FOREARM = 0.150;

    /** Ankles apart at address, in hip widths; a working assumption for a middle iron. */
    private static final double STANCE = 2.0;

    /** Legs as long as this part of their full length at address. */
    private static final double FLEXED = 0.955;

    /** Of the ankle, from heel to toe. */
    private static final double HEEL_TO_ANKLE = 0.27;

    /** An arm stretches freely up to this part of its length, and at most to that. */
    private static final double EASY = 0.9;

    private static final double LONGEST = 0.985;

    /** So far the shoulders open before the eyes leave the ball, radians. */
    private static final double EYES_HELD = Math.toRadians(22);

    /** Where elbows point: down, back to the body, and each to its own side. */
    private static final Point LEAD_ELBOW = new Point(0.5, -0.8, -0.6);

    private static final Point TRAIL_ELBOW = new Point(-0.5, -0.8, -0.6);

    private static final double CLUB_LENGTH = 92;
    private static final double HANDS_APART = 9;

    /** Half of a stick across the shoulders. */
    private static final double STICK = 0.34;

    private final double height;
    private final Hands hands;
    private final ToDoubleFunction<Coordinate> at;
    private final Map<BodyPoint, Point> points = new EnumMap<>(BodyPoint.class);

    /** @param height in cm */
    Body(double height, Hands hands, ToDoubleFunction<Coordinate> at) {
        this.height = height;
        this.hands = hands;
        this.at = at;
    }

    private double of(Coordinate what) {
        return at.applyAsDouble(what);
    }

    private double angle(Coordinate what) {
        return Math.toRadians(of(what));
    }

    Map<BodyPoint, Point> points() {
        foot(LEAD);
        foot(TRAIL);
        Point across = new Point(Math.cos(angle(Coordinate.HIP_LINE)), Math.sin(angle(Coordinate.HIP_LINE)), 0);
        Point pelvis = reached(pelvis(), across.times(HIPS * height / 2));
        leg(LEAD, pelvis.plus(across.times(HIPS * height / 2)));
        leg(TRAIL, pelvis.minus(across.times(HIPS * height / 2)));
        upper(pelvis);
        return points;
    }

    /** What moves one foot, and which side of the stance it stands on. */
    private record Side(
            int sign,
            Coordinate heel,
            Coordinate toeUp,
            Coordinate step,
            Coordinate stepIn,
            Coordinate lift,
            Coordinate roll,
            Coordinate flare) {}

    private static final Side LEAD = new Side(
            1,
            Coordinate.LEAD_HEEL,
            Coordinate.LEAD_TOE_UP,
            Coordinate.LEAD_STEP,
            Coordinate.LEAD_STEP_IN,
            Coordinate.LEAD_LIFT,
            Coordinate.LEAD_ROLL,
            Coordinate.LEAD_FLARE);
    private static final Side TRAIL = new Side(
            -1,
            Coordinate.TRAIL_HEEL,
            Coordinate.TRAIL_TOE_UP,
            Coordinate.TRAIL_STEP,
            Coordinate.TRAIL_STEP_IN,
            Coordinate.TRAIL_LIFT,
            Coordinate.TRAIL_ROLL,
            Coordinate.TRAIL_FLARE);

    /** Level and straight ahead of a foot's toes. */
    private Point forward(Side side) {
        double flare = angle(side.flare());
        return new Point(side.sign() * Math.sin(flare), Math.cos(flare), 0);
    }

    private void foot(Side side) {
        double length = FOOT * height;
        Point forward = forward(side);
        double shift = side == LEAD ? of(Coordinate.LEAD_SHIFT) : 0;
        Point stands = new Point(
                side.sign() * STANCE * HIPS * height / 2 + shift + of(side.step()), of(side.stepIn()), of(side.lift()));
        Point toe = stands.plus(forward.times(length * (1 - HEEL_TO_ANKLE)));
        Point heel = toe.minus(forward.times(length));
        // The toes stay where they are, and the foot turns up over them; or the heel does, and the toes come up.
        double up = Math.asin(Math.min(0.95, of(side.heel()) / length));
        double toesUp = Math.asin(Math.min(0.6, of(side.toeUp()) / length));
        Point along = tilted(forward, toesUp - up);
        if (toesUp > up) toe = heel.plus(along.times(length));
        else heel = toe.minus(along.times(length));
        // Rolled inwards, the ankle comes over the inner edge.
        double roll = angle(side.roll());
        Point inwards = new Point(-side.sign() * forward.y(), side.sign() * forward.x(), 0);
        Point instep =
                tilted(forward, toesUp - up + Math.PI / 2).times(Math.cos(roll)).plus(inwards.times(Math.sin(roll)));
        Point ankle = heel.plus(along.times(length * HEEL_TO_ANKLE)).plus(instep.times(ANKLE_HEIGHT * height));
        put(side, BodyPoint.LEAD_TOE, BodyPoint.TRAIL_TOE, toe);
        put(side, BodyPoint.LEAD_HEEL, BodyPoint.TRAIL_HEEL, heel);
        put(side, BodyPoint.LEAD_ANKLE, BodyPoint.TRAIL_ANKLE, ankle);
    }

    /** A level direction turned upwards. */
    private static Point tilted(Point level, double up) {
        return new Point(level.x() * Math.cos(up), level.y() * Math.cos(up), Math.sin(up));
    }

    private Point pelvis() {
        double legs = FLEXED * (SHANK + THIGH) * height;
        double lead = of(Coordinate.LEAD_STEP);
        double trail = of(Coordinate.TRAIL_STEP);
        double half = Math.max(0, ((STANCE - 1) * HIPS * height + lead - trail) / 2);
        double back = 0.055 * height;
        double up =
                ANKLE_HEIGHT * height + Math.sqrt(Math.max(legs * legs / 4, legs * legs - half * half - back * back));
        return new Point(
                (lead + trail) / 2 - of(Coordinate.PELVIS_SIDE),
                -back + of(Coordinate.PELVIS_IN),
                up + of(Coordinate.PELVIS_UP));
    }

    /** The pelvis no higher than both legs reach. */
    private Point reached(Point pelvis, Point half) {
        return pelvis.plus(new Point(
                0,
                0,
                -Math.max(
                        above(pelvis.plus(half), points.get(BodyPoint.LEAD_ANKLE)),
                        above(pelvis.minus(half), points.get(BodyPoint.TRAIL_ANKLE)))));
    }

    /** By how much a hip is too high over its ankle; 0 where the leg reaches. */
    private double above(Point hip, Point ankle) {
        double leg = (THIGH + SHANK) * height;
        double level = Math.hypot(hip.x() - ankle.x(), hip.y() - ankle.y());
        double highest = ankle.z() + Math.sqrt(Math.max(0, leg * leg - level * level));
        return Math.max(0, hip.z() - highest);
    }

    private void leg(Side side, Point hip) {
        Point ankle = points.get(side == LEAD ? BodyPoint.LEAD_ANKLE : BodyPoint.TRAIL_ANKLE);
        put(side, BodyPoint.LEAD_HIP, BodyPoint.TRAIL_HIP, hip);
        put(
                side,
                BodyPoint.LEAD_KNEE,
                BodyPoint.TRAIL_KNEE,
                joint(hip, ankle, THIGH * height, SHANK * height, forward(side)));
    }

    private void upper(Point pelvis) {
        double spine = (TRUNK + NECK_AND_HEAD) * height;
        double side = (-of(Coordinate.HEAD_SIDE) - pelvis.x()) / spine;
        double bend = angle(Coordinate.BEND);
        double rest = Math.sqrt(Math.max(0.05, 1 - side * side));
        Point up = new Point(side, Math.sin(bend) * rest, Math.cos(bend) * rest);
        Point chest = pelvis.plus(up.times(TRUNK * height));
        Point target = new Point(1, 0, 0).squareTo(up);
        Point ball = new Point(0, 1, 0).minus(target.times(target.y())).squareTo(up);
        double turn = angle(Coordinate.SHOULDER_LINE);
        Point across = target.times(Math.cos(turn)).plus(ball.times(Math.sin(turn)));
        Point lead = chest.plus(across.times(SHOULDERS * height / 2));
        Point trail = chest.minus(across.times(SHOULDERS * height / 2));
        points.put(BodyPoint.LEAD_SHOULDER, lead);
        points.put(BodyPoint.TRAIL_SHOULDER, trail);

        // The eyes stay on the ball until the shoulders have passed it, and then go along.
        double eyes = Math.min(0, turn + EYES_HELD);
        Point head = pelvis.plus(up.times(spine));
        Point between = target.times(Math.cos(eyes)).plus(ball.times(Math.sin(eyes)));
        Point ahead = ball.times(Math.cos(eyes)).minus(target.times(Math.sin(eyes)));
        points.put(BodyPoint.LEAD_EAR, head.plus(between.times(HEAD * height / 2)));
        points.put(BodyPoint.TRAIL_EAR, head.minus(between.times(HEAD * height / 2)));
        points.put(BodyPoint.NOSE, head.plus(ahead.times(HEAD * height * 0.6)));

        Point front = ball.times(Math.cos(turn)).minus(target.times(Math.sin(turn)));
        switch (hands) {
            case CLUB -> swinging(lead, trail);
            case CROSSED, STICK -> crossed(chest, across, front, up);
            case HANGING -> {
                arm(true, lead, lead.plus(new Point(0.02, 0.06, -0.3).times(height)), LEAD_ELBOW);
                arm(false, trail, trail.plus(new Point(-0.02, 0.06, -0.3).times(height)), TRAIL_ELBOW);
            }
            case ON_HIPS -> {
                Point aside = across.times(0.05 * height);
                arm(true, lead, points.get(BodyPoint.LEAD_HIP).plus(aside), across);
                arm(false, trail, points.get(BodyPoint.TRAIL_HIP).minus(aside), across.times(-1));
            }
        }
    }

    private void swinging(Point lead, Point trail) {
        double arm = (UPPER_ARM + FOREARM) * height * of(Coordinate.LEAD_ARM) / 100;
        Point wrist = lead.plus(swung(Coordinate.ARM, Coordinate.ARM_PLANE).times(arm));
        Point shaft = swung(Coordinate.CLUB, Coordinate.CLUB_PLANE);
        Point other = within(trail, wrist.plus(shaft.times(HANDS_APART)), (UPPER_ARM + FOREARM) * height);
        arm(true, lead, wrist, LEAD_ELBOW);
        arm(false, trail, other, TRAIL_ELBOW);
        points.put(BodyPoint.GRIP, wrist);
        points.put(BodyPoint.CLUB_HEAD, wrist.plus(shaft.times(CLUB_LENGTH)));
    }

    /** Each hand before the other shoulder. */
    private void crossed(Point chest, Point across, Point front, Point up) {
        Point before = chest.plus(front.times(0.085 * height)).minus(up.times(0.055 * height));
        Point aside = across.times(0.075 * height);
        arm(true, points.get(BodyPoint.LEAD_SHOULDER), before.minus(aside), LEAD_ELBOW);
        arm(
                false,
                points.get(BodyPoint.TRAIL_SHOULDER),
                before.plus(aside).plus(front.times(0.02 * height)),
                TRAIL_ELBOW);
        if (hands == Hands.STICK) {
            Point held = chest.plus(front.times(0.07 * height)).minus(up.times(0.02 * height));
            points.put(BodyPoint.GRIP, held.minus(across.times(STICK * height)));
            points.put(BodyPoint.CLUB_HEAD, held.plus(across.times(STICK * height)));
        }
    }

    private void arm(boolean lead, Point shoulder, Point wrist, Point elbow) {
        points.put(lead ? BodyPoint.LEAD_WRIST : BodyPoint.TRAIL_WRIST, wrist);
        points.put(
                lead ? BodyPoint.LEAD_ELBOW : BodyPoint.TRAIL_ELBOW,
                joint(shoulder, wrist, UPPER_ARM * height, FOREARM * height, elbow));
    }

    /** A direction in a plane that leans towards the ball: 0 straight down it, plus going back. */
    private Point swung(Coordinate turned, Coordinate plane) {
        double steep = angle(plane);
        double angle = angle(turned);
        return new Point(-Math.sin(angle), Math.cos(angle) * Math.cos(steep), -Math.cos(angle) * Math.sin(steep));
    }

    private void put(Side side, BodyPoint lead, BodyPoint trail, Point point) {
        points.put(side == LEAD ? lead : trail, point);
    }

    /** As far towards a place as an arm reaches; the nearer to its full length, the less it gives, and never all. */
    private static Point within(Point from, Point to, double arm) {
        double distance = from.distance(to);
        double easy = EASY * arm;
        if (distance <= easy) return to;
        double rest = (LONGEST - EASY) * arm;
        double reach = easy + rest * (1 - Math.exp(-(distance - easy) / rest));
        return from.plus(to.minus(from).times(reach / distance));
    }

    /** The joint between two segments from one end to the other, bent towards a direction. */
    private static Point joint(Point from, Point to, double upper, double lower, Point towards) {
        double distance = Math.min(from.distance(to), upper + lower);
        Point along = to.minus(from).unit();
        double first = (upper * upper - lower * lower + distance * distance) / (2 * distance);
        double off = Math.sqrt(Math.max(0, upper * upper - first * first));
        return from.plus(along.times(first)).plus(towards.squareTo(along).times(off));
    }
}
