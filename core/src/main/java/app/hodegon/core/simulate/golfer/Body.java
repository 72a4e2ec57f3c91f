package app.hodegon.core.simulate.golfer;

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

    /** Feet turned out, radians. */
    private static final double FLARE = Math.toRadians(18);

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

    private final double height;
    private final ToDoubleFunction<Coordinate> at;
    private final Map<BodyPoint, Point> points = new EnumMap<>(BodyPoint.class);

    /** @param height in cm */
    Body(double height, ToDoubleFunction<Coordinate> at) {
        this.height = height;
        this.at = at;
    }

    private double of(Coordinate what) {
        return at.applyAsDouble(what);
    }

    private double angle(Coordinate what) {
        return Math.toRadians(of(what));
    }

    Map<BodyPoint, Point> points() {
        foot(1, of(Coordinate.LEAD_HEEL), of(Coordinate.LEAD_SHIFT));
        foot(-1, of(Coordinate.TRAIL_HEEL), 0);
        Point across = new Point(Math.cos(angle(Coordinate.HIP_LINE)), Math.sin(angle(Coordinate.HIP_LINE)), 0);
        Point pelvis = reached(pelvis(), across.times(HIPS * height / 2));
        leg(1, pelvis.plus(across.times(HIPS * height / 2)));
        leg(-1, pelvis.minus(across.times(HIPS * height / 2)));
        upper(pelvis);
        return points;
    }

    /** @param side 1 for the lead foot, -1 for the trail foot */
    private void foot(int side, double heelUp, double shift) {
        double ankleX = side * STANCE * HIPS * height / 2;
        double length = FOOT * height;
        Point forward = new Point(side * Math.sin(FLARE), Math.cos(FLARE), 0);
        // The toes stay where they are, and the foot turns up over them.
        double up = Math.asin(Math.min(0.95, heelUp / length));
        Point along = new Point(forward.x() * Math.cos(up), forward.y() * Math.cos(up), -Math.sin(up));
        Point toe = new Point(ankleX + shift, 0, 0).plus(forward.times(length * (1 - HEEL_TO_ANKLE)));
        Point heel = toe.minus(along.times(length));
        Point instep = new Point(forward.x() * Math.sin(up), forward.y() * Math.sin(up), Math.cos(up));
        Point ankle = heel.plus(along.times(length * HEEL_TO_ANKLE)).plus(instep.times(ANKLE_HEIGHT * height));
        put(side, BodyPoint.LEAD_TOE, BodyPoint.TRAIL_TOE, toe);
        put(side, BodyPoint.LEAD_HEEL, BodyPoint.TRAIL_HEEL, heel);
        put(side, BodyPoint.LEAD_ANKLE, BodyPoint.TRAIL_ANKLE, ankle);
    }

    private Point pelvis() {
        double legs = FLEXED * (SHANK + THIGH) * height;
        double half = (STANCE - 1) * HIPS * height / 2;
        double back = 0.055 * height;
        double up = ANKLE_HEIGHT * height + Math.sqrt(legs * legs - half * half - back * back);
        return new Point(-of(Coordinate.PELVIS_SIDE), -back + of(Coordinate.PELVIS_IN), up + of(Coordinate.PELVIS_UP));
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

    private void leg(int side, Point hip) {
        Point ankle = points.get(side > 0 ? BodyPoint.LEAD_ANKLE : BodyPoint.TRAIL_ANKLE);
        Point outward = new Point(side * Math.sin(FLARE), Math.cos(FLARE), 0);
        put(side, BodyPoint.LEAD_HIP, BodyPoint.TRAIL_HIP, hip);
        put(
                side,
                BodyPoint.LEAD_KNEE,
                BodyPoint.TRAIL_KNEE,
                joint(hip, ankle, THIGH * height, SHANK * height, outward));
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

        double arm = (UPPER_ARM + FOREARM) * height * of(Coordinate.LEAD_ARM) / 100;
        Point wrist = lead.plus(swung(Coordinate.ARM, Coordinate.ARM_PLANE).times(arm));
        Point shaft = swung(Coordinate.CLUB, Coordinate.CLUB_PLANE);
        Point other = within(trail, wrist.plus(shaft.times(HANDS_APART)), (UPPER_ARM + FOREARM) * height);
        points.put(BodyPoint.LEAD_WRIST, wrist);
        points.put(BodyPoint.TRAIL_WRIST, other);
        points.put(BodyPoint.LEAD_ELBOW, joint(lead, wrist, UPPER_ARM * height, FOREARM * height, LEAD_ELBOW));
        points.put(BodyPoint.TRAIL_ELBOW, joint(trail, other, UPPER_ARM * height, FOREARM * height, TRAIL_ELBOW));
        points.put(BodyPoint.GRIP, wrist);
        points.put(BodyPoint.CLUB_HEAD, wrist.plus(shaft.times(CLUB_LENGTH)));
    }

    /** A direction in a plane that leans towards the ball: 0 straight down it, plus going back. */
    private Point swung(Coordinate turned, Coordinate plane) {
        double steep = angle(plane);
        double angle = angle(turned);
        return new Point(-Math.sin(angle), Math.cos(angle) * Math.cos(steep), -Math.cos(angle) * Math.sin(steep));
    }

    private void put(int side, BodyPoint lead, BodyPoint trail, Point point) {
        points.put(side > 0 ? lead : trail, point);
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
