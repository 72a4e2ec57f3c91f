package app.hodegon.core.golfer;

import app.hodegon.core.motion.Cell;
import app.hodegon.core.motion.Foot;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** One swing of a simulated golfer, in seconds from address, and the truth about it. */
public final class GolfSwing {

    /** Step of what is looked for along a course, seconds. */
    private static final double STEP = 0.0002;

    private final Golfer golfer;
    private final Pace pace;
    private final Map<Coordinate, double[]> knots;
    private final Map<Coordinate, Course> courses = new EnumMap<>(Coordinate.class);

    GolfSwing(Golfer golfer, Pace pace, Map<Coordinate, double[]> knots) {
        this.golfer = golfer;
        this.pace = pace;
        this.knots = knots;
        double[] times =
                Arrays.stream(Checkpoint.values()).mapToDouble(pace::at).toArray();
        knots.forEach((what, values) -> courses.put(
                what, isThrown(what, values) ? Course.whipped(times, values) : Course.through(times, values)));
    }

    /** Arms and club, where they go on beyond the ball. */
    private static boolean isThrown(Coordinate what, double[] values) {
        if (what != Coordinate.ARM && what != Coordinate.CLUB) return false;
        int ball = Checkpoint.IMPACT.ordinal();
        return (values[ball + 1] - values[ball]) * (values[ball] - values[Checkpoint.TOP.ordinal()]) > 0;
    }

    public Golfer golfer() {
        return golfer;
    }

    /** When the swing passes a checkpoint, in seconds from address. */
    public double seconds(Checkpoint at) {
        return pace.at(at);
    }

    /** How long the swing takes, to the still finish. */
    public double duration() {
        return pace.at(Checkpoint.FINISH);
    }

    double value(Coordinate what, double seconds) {
        return courses.get(what).at(seconds);
    }

    double speed(Coordinate what, double seconds) {
        return courses.get(what).slope(seconds);
    }

    /** Where every point of the body is, in seconds from address. */
    public Map<BodyPoint, Point> body(double seconds) {
        return new Body(golfer.height(), Hands.CLUB, what -> value(what, seconds)).points();
    }

    /** Load on a quarter of a sole, in percent of the body's weight. */
    public double load(Cell cell, double seconds) {
        boolean trail = cell.foot() == Foot.TRAIL;
        double share = value(Coordinate.TRAIL_SHARE, seconds) / 100;
        double front = value(trail ? Coordinate.TRAIL_FRONT : Coordinate.LEAD_FRONT, seconds) / 100;
        double outer = value(trail ? Coordinate.TRAIL_OUTER : Coordinate.LEAD_OUTER, seconds) / 100;
        return value(Coordinate.PUSH, seconds)
                * (trail ? share : 1 - share)
                * (cell.front() ? front : 1 - front)
                * (cell.outer() ? outer : 1 - outer);
    }

    /** What is true of this swing; empty for what the golfer does not know, or what never happens. */
    public OptionalDouble truth(Measure measure, Optional<Checkpoint> at) {
        Optional<Gauge> gauge = Gauge.of(measure);
        if (gauge.isPresent()) {
            double[] values = knots.get(gauge.get().what());
            return OptionalDouble.of(gauge.get().read(values[at.orElseThrow().ordinal()], values[0]));
        }
        return switch (measure) {
            case LEAD_FOOT_SHIFT -> OptionalDouble.of(knots.get(Coordinate.LEAD_SHIFT)[Checkpoint.FINISH.ordinal()]);
            case PEAK_TRAIL_SHARE -> OptionalDouble.of(value(Coordinate.TRAIL_SHARE, peak()));
            case RECENTRE_LEAD -> recentring();
            case SHIFT_SPEED -> OptionalDouble.of(shiftSpeed());
            case BACKSWING_TIME -> OptionalDouble.of(1000 * pace.back());
            case DOWNSWING_TIME -> OptionalDouble.of(1000 * pace.down());
            case TEMPO_RATIO -> OptionalDouble.of(pace.back() / pace.down());
            default -> OptionalDouble.empty();
        };
    }

    private double peak() {
        double best = 0;
        for (double t = 0; t < seconds(Checkpoint.IMPACT); t += STEP) {
            if (value(Coordinate.TRAIL_SHARE, t) > value(Coordinate.TRAIL_SHARE, best)) best = t;
        }
        return best;
    }

    private OptionalDouble recentring() {
        OptionalDouble last = OptionalDouble.empty();
        for (double t = peak(); t < seconds(Checkpoint.IMPACT); t += STEP) {
            if (value(Coordinate.TRAIL_SHARE, t) > 50 && value(Coordinate.TRAIL_SHARE, t + STEP) <= 50) {
                last = OptionalDouble.of(1000 * (seconds(Checkpoint.ARM_DOWN) - t));
            }
        }
        return last;
    }

    private double shiftSpeed() {
        double fastest = 0;
        for (double t = seconds(Checkpoint.TOP); t < seconds(Checkpoint.IMPACT); t += STEP) {
            fastest = Math.max(fastest, -speed(Coordinate.TRAIL_SHARE, t));
        }
        return fastest;
    }
}
