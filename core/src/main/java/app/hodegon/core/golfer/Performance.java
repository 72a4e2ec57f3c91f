package app.hodegon.core.golfer;

import app.hodegon.core.golfer.Movement.Ball;
import app.hodegon.core.golfer.Movement.Base;
import app.hodegon.core.golfer.Movement.Setting;
import app.hodegon.core.golfer.Movement.Step;
import app.hodegon.core.motion.Cell;
import app.hodegon.core.swing.Checkpoint;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A golfer doing a movement, in seconds from its beginning. */
public final class Performance {

    /** Beyond the last knot of the swing. */
    private static final double TAIL = 0.5;

    /** A foot comes off the ground by so much for each cm/s at which it is set elsewhere, and at most by that, cm. */
    private static final double LIFT_PER_SPEED = 0.05;

    private static final double HIGHEST_STEP = 7;

    /** Half a width of the time around the strike in which the club looks for the ball, seconds at full pace. */
    private static final double AT_BALL = 0.03;

    private static final double FORWARD_BALL = 15;
    private static final double BALL_RADIUS = 2.135;
    private static final double TEE = 2.5;

    private final Golfer golfer;
    private final Movement movement;
    private final GolfSwing swing;
    private final Optional<Point> aim;

    private Performance(Golfer golfer, Movement movement) {
        this.golfer = golfer;
        this.movement = movement;
        double slow = 100 / movement.manner().tempo();
        Map<Coordinate, double[]> knots = new EnumMap<>(Coordinate.class);
        for (Coordinate what : Coordinate.values()) {
            double[] values = new double[Checkpoint.values().length];
            for (Checkpoint at : Checkpoint.values()) values[at.ordinal()] = what.within(value(what, at));
            knots.put(what, values);
        }
        Pace usual = golfer.pace();
        Pace pace = new Pace(usual.press() * slow, usual.back() * slow, usual.down() * slow, usual.through() * slow);
        this.swing = new GolfSwing(golfer, pace, knots);
        this.aim = movement.manner().hands() == Hands.CLUB && movement.manner().club() != Movement.Club.BAT
                ? Optional.of(aimed())
                : Optional.empty();
    }

    public static Performance of(Golfer golfer, Movement movement) {
        return new Performance(golfer, movement);
    }

    public Movement movement() {
        return movement;
    }

    private double value(Coordinate what, Checkpoint at) {
        double begin = golfer.sound(what, Checkpoint.ADDRESS);
        double value =
                movement.base() == Base.STILL ? begin : begin + (golfer.sound(what, at) - begin) * lengthOf(what, at);
        double cm = golfer.height() / Movement.FOR_HEIGHT;
        value += cm * movement.stance().of(what);
        for (Step step : movement.steps()) value += cm * step.of(what) * step.done(at);
        value = golfer.displaced(what, at, set(movement.settings(), what, at, value));
        return set(movement.wrong(), what, at, value);
    }

    private static double set(List<Setting> settings, Coordinate what, Checkpoint at, double otherwise) {
        double value = otherwise;
        for (Setting set : settings) if (set.what() == what && set.at() == at) value = set.value();
        return value;
    }

    /** What a swing of another length leaves of the way from address. */
    private double lengthOf(Coordinate what, Checkpoint at) {
        double length = movement.manner().length() / 100;
        return switch (what) {
            case ARM, CLUB, LEAD_ARM -> at == Checkpoint.IMPACT ? 1 : length;
            case SHOULDER_LINE, HIP_LINE, HEAD_SIDE, PELVIS_SIDE, PELVIS_IN, PELVIS_UP, BEND, TRAIL_HEEL, LEAD_HEEL ->
                at == Checkpoint.ARM_DOWN || at == Checkpoint.IMPACT ? (1 + length) / 2 : length;
            default -> 1;
        };
    }

    /** The whole of it in seconds. */
    public double duration() {
        return seconds(Checkpoint.FINISH) + movement.pauses().getOrDefault(Checkpoint.FINISH, 0.0) + TAIL;
    }

    /** When a checkpoint is reached. */
    public double seconds(Checkpoint at) {
        double pauses = movement.pauses().entrySet().stream()
                .filter(p -> p.getKey().compareTo(at) < 0)
                .mapToDouble(Map.Entry::getValue)
                .sum();
        return swing.seconds(at) + pauses;
    }

    /** In the swing's own time, which stands still in a pause. */
    private double own(double seconds) {
        double own = seconds;
        for (Checkpoint at : Checkpoint.values()) {
            double pause = movement.pauses().getOrDefault(at, 0.0);
            if (pause == 0) continue;
            double begin = swing.seconds(at);
            if (own <= begin) return own;
            own = Math.max(begin, own - pause);
        }
        return own;
    }

    public double value(Coordinate what, double seconds) {
        double own = own(seconds);
        double value = swing.value(what, own);
        return switch (what) {
            case LEAD_LIFT -> value + lift(Coordinate.LEAD_STEP, Coordinate.LEAD_STEP_IN, own);
            case TRAIL_LIFT -> value + lift(Coordinate.TRAIL_STEP, Coordinate.TRAIL_STEP_IN, own);
            default -> value;
        };
    }

    private double lift(Coordinate along, Coordinate in, double own) {
        double speed = Math.hypot(swing.speed(along, own), swing.speed(in, own))
                * 100
                / movement.manner().tempo();
        return Math.min(HIGHEST_STEP, LIFT_PER_SPEED * speed);
    }

    /** Load on a quarter of a sole, in percent of the body's weight; a foot in the air bears none. */
    public double load(Cell cell, double seconds) {
        return swing.load(cell, own(seconds));
    }

    /** Where every point of the body is; the club's ends only where there is something in the hands. */
    public Map<BodyPoint, Point> body(double seconds) {
        Map<BodyPoint, Point> body = posed(seconds);
        if (movement.manner().hands() == Hands.CLUB && movement.manner().club() == Movement.Club.NONE) {
            body.remove(BodyPoint.GRIP);
            body.remove(BodyPoint.CLUB_HEAD);
        }
        aim.ifPresent(ball -> body.computeIfPresent(BodyPoint.CLUB_HEAD, (p, head) -> {
            double drawn = drawn(own(seconds));
            return head.plus(ball.minus(head).times(drawn));
        }));
        return body;
    }

    private Map<BodyPoint, Point> posed(double seconds) {
        return new Body(golfer.height(), movement.manner().hands(), what -> value(what, seconds)).points();
    }

    /** Behind the ball while nothing moves, and through it at the strike. */
    private double drawn(double own) {
        double leaves = swing.seconds(Checkpoint.HIP_BACK);
        double begun = Math.max(0, Math.min(1, own / leaves));
        boolean elsewhere = movement.manner().ball() == Ball.FORWARD
                || movement.settings().stream()
                        .anyMatch(s -> s.what() == Coordinate.CLUB && s.at() == Checkpoint.ADDRESS);
        double behind = elsewhere ? 0 : 1 - begun * begun * (3 - 2 * begun);
        double off = (own - swing.seconds(Checkpoint.IMPACT))
                / (AT_BALL * 100 / movement.manner().tempo());
        return Math.max(behind, Math.exp(-off * off));
    }

    /** Where the club meets the ground: under its head at impact. */
    private Point aimed() {
        Point head = posed(seconds(Checkpoint.IMPACT)).get(BodyPoint.CLUB_HEAD);
        double forward =
                movement.manner().ball() == Ball.FORWARD ? FORWARD_BALL * golfer.height() / Movement.FOR_HEIGHT : 0;
        double up = movement.manner().ball() == Ball.TEE ? TEE : 0;
        return new Point(head.x() + forward, head.y(), BALL_RADIUS + up);
    }

    /** Where the ball lies before the strike; empty where there is none. */
    public Optional<Point> ball() {
        if (movement.manner().ball() == Ball.NONE) return Optional.empty();
        // The head's middle is behind the ball's by half a head and half a ball.
        return aim.map(p -> p.plus(new Point(BALL_RADIUS + 2, 0, 0)));
    }

    /**
     * A checkpoint as it is called here.
     *
     * @param brief in a word or two
     */
    public record Named(Checkpoint at, String name, String brief, double seconds) {}

    public List<Named> moments() {
        List<Named> moments = new ArrayList<>();
        for (Checkpoint at : Checkpoint.values()) {
            String brief = movement.names().getOrDefault(at, at.brief());
            movement.name(at).ifPresent(name -> moments.add(new Named(at, name, brief, seconds(at))));
        }
        return List.copyOf(moments);
    }
}
