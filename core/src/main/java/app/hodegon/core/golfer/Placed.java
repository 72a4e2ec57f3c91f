package app.hodegon.core.golfer;

import app.hodegon.core.golfer.Movement.Spot;
import app.hodegon.core.golfer.Movement.Thing;
import java.util.Map;

/**
 * Where a thing is at the beginning of a movement: from one end to the other, or twice the same place.
 *
 * @param follows what it moves with
 */
public record Placed(Movement.Kind kind, Follows follows, Point from, Point to) {

    /** What a thing moves with. */
    public enum Follows {
        NOTHING,
        TRAIL_FOOT,
        LEAD_FOOT,
        HIPS
    }

    private static final double HALF_A_ROD = 50;
    private static final double UPRIGHT = 95;
    private static final double FENCE = 14;
    private static final double HALF_A_FOOT = 4.5;

    /** Of a foot's length from the heel. */
    private static final double AT_TOES = 0.86;

    private static final double AT_HEEL = 0.12;
    private static final double IN_THE_MIDDLE = 0.5;

    /** Of a half width from its middle line: half of it shows. */
    private static final double AT_THE_EDGE = 1.3;

    /** Of a thing as it lies for a body as it stands. */
    static Placed of(Thing thing, Map<BodyPoint, Point> body) {
        return new Placer(body).place(thing);
    }

    private record Placer(Map<BodyPoint, Point> body) {

        Placed place(Thing thing) {
            Spot spot = thing.spot();
            return switch (spot) {
                case TRAIL_TOE -> under(thing, false, AT_TOES, 0);
                case TRAIL_HEEL -> under(thing, false, AT_HEEL, 0);
                case TRAIL_INNER -> under(thing, false, IN_THE_MIDDLE, -AT_THE_EDGE);
                case TRAIL_OUTER -> under(thing, false, IN_THE_MIDDLE, AT_THE_EDGE);
                case TRAIL_SOLE -> under(thing, false, IN_THE_MIDDLE, 0);
                case LEAD_TOE -> under(thing, true, AT_TOES, 0);
                case LEAD_HEEL -> under(thing, true, AT_HEEL, 0);
                case LEAD_INNER -> under(thing, true, IN_THE_MIDDLE, -AT_THE_EDGE);
                case LEAD_OUTER -> under(thing, true, IN_THE_MIDDLE, AT_THE_EDGE);
                case LEAD_SOLE -> under(thing, true, IN_THE_MIDDLE, 0);
                case TRAIL_ANKLE -> at(thing, ground(foot(false, 0.3, -1.9)));
                case THIGH -> upright(thing, ground(foot(false, IN_THE_MIDDLE, -2.6)), UPRIGHT);
                case HIP -> upright(thing, ground(foot(false, IN_THE_MIDDLE, 2.6)), UPRIGHT);
                case BELT -> {
                    Point lead = body.get(BodyPoint.LEAD_HIP);
                    Point across = lead.minus(body.get(BodyPoint.TRAIL_HIP)).unit();
                    Point middle = lead.plus(body.get(BodyPoint.TRAIL_HIP)).times(0.5);
                    yield new Placed(
                            thing.kind(),
                            Follows.HIPS,
                            middle.minus(across.times(HALF_A_ROD)),
                            middle.plus(across.times(HALF_A_ROD)));
                }
                case BETWEEN -> lying(thing, between(0.5), Math.toRadians(40), 22);
                case DIAGONAL -> lying(thing, between(0.5), Math.toRadians(45), HALF_A_ROD);
                case TOE_LINE ->
                    lying(
                            thing,
                            body.get(BodyPoint.LEAD_TOE)
                                    .plus(body.get(BodyPoint.TRAIL_TOE))
                                    .times(0.5)
                                    .plus(new Point(0, 4, 0)),
                            0,
                            HALF_A_ROD);
                case FENCE -> upright(thing, ground(foot(true, AT_TOES, 1.7)), FENCE);
                case POCKET -> {
                    Point hip = body.get(BodyPoint.LEAD_HIP).plus(new Point(1, 8, 2));
                    yield new Placed(thing.kind(), Follows.HIPS, hip, hip.plus(new Point(0, 1, -16)));
                }
                case SEAT -> {
                    Point pelvis = body.get(BodyPoint.LEAD_HIP)
                            .plus(body.get(BodyPoint.TRAIL_HIP))
                            .times(0.5);
                    yield at(thing, pelvis);
                }
            };
        }

        private Placed at(Thing thing, Point point) {
            return new Placed(thing.kind(), Follows.NOTHING, point, point);
        }

        private Placed upright(Thing thing, Point from, double height) {
            return new Placed(thing.kind(), Follows.NOTHING, from, from.plus(new Point(0, 0, height)));
        }

        private Placed lying(Thing thing, Point middle, double turned, double half) {
            Point along = new Point(Math.cos(turned), Math.sin(turned), 0).times(half);
            return new Placed(thing.kind(), Follows.NOTHING, ground(middle.minus(along)), ground(middle.plus(along)));
        }

        /** A disc and boards go with the foot; a rod lies along it; a wedge lies across. */
        private Placed under(Thing thing, boolean lead, double along, double out) {
            // What sounds sticks out from under the foot, where it is seen.
            boolean seen = thing.kind() == Movement.Kind.SQUEAKER && out == 0;
            Point place = ground(foot(lead, along, seen ? AT_THE_EDGE : out));
            return switch (thing.kind()) {
                case DISC, BOARD ->
                    new Placed(thing.kind(), lead ? Follows.LEAD_FOOT : Follows.TRAIL_FOOT, place, place);
                case ROD, STICK ->
                    new Placed(
                            thing.kind(), Follows.NOTHING, ground(foot(lead, -0.4, out)), ground(foot(lead, 1.6, out)));
                case WEDGE -> {
                    Point across = new Point(HALF_A_FOOT * 1.8, 0, 0);
                    yield new Placed(thing.kind(), Follows.NOTHING, place.minus(across), place.plus(across));
                }
                default -> at(thing, place);
            };
        }

        /**
         * @param along from the heel, in lengths of the foot
         * @param out from its middle line outwards, in half widths
         */
        private Point foot(boolean lead, double along, double out) {
            Point heel = body.get(lead ? BodyPoint.LEAD_HEEL : BodyPoint.TRAIL_HEEL);
            Point toe = body.get(lead ? BodyPoint.LEAD_TOE : BodyPoint.TRAIL_TOE);
            Point forward = toe.minus(heel);
            Point flat = new Point(forward.x(), forward.y(), 0).unit();
            int side = lead ? 1 : -1;
            Point outwards = new Point(side * flat.y(), -side * flat.x(), 0);
            return heel.plus(forward.times(along)).plus(outwards.times(out * HALF_A_FOOT));
        }

        private Point between(double part) {
            Point lead = body.get(BodyPoint.LEAD_ANKLE);
            return lead.times(part)
                    .plus(body.get(BodyPoint.TRAIL_ANKLE).times(1 - part))
                    .plus(new Point(0, 8, 0));
        }

        private static Point ground(Point point) {
            return new Point(point.x(), point.y(), 0);
        }
    }
}
