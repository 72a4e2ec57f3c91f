package app.hodegon.core.golfer;

import app.hodegon.core.motion.Cell;
import app.hodegon.core.swing.Checkpoint;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeSet;

/**
 * A performance as pictures: bodies and loads at certain times, close enough together that what lies between is a
 * straight way.
 *
 * @param seconds the whole of it
 * @param frames in time
 * @param moments its checkpoints
 * @param held what the hands hold; empty for nothing
 * @param ball where it lies before the strike
 * @param strike when it goes, seconds
 * @param things that the movement is done with
 */
public record Motion(
        double seconds,
        List<Frame> frames,
        List<Performance.Named> moments,
        Checkpoint shown,
        Optional<Held> held,
        Optional<Point> ball,
        OptionalDouble strike,
        List<Placed> things) {

    /** What there is in the hands. */
    public enum Held {
        WEDGE,
        IRON,
        DRIVER,
        BAT,
        STICK
    }

    /**
     * @param seconds from the beginning
     * @param loads by {@link Cell}, percent of the body's weight
     */
    public record Frame(double seconds, Map<BodyPoint, Point> body, double[] loads) {}

    /** From one picture to the next at the usual pace, and on the way down. */
    private static final double STEP = 0.05;

    private static final double FAST = 0.0125;

    /** The fast part ends so long after the strike, seconds. */
    private static final double AFTER = 0.2;

    /** Longest way from one picture to the next, seconds. */
    private static final double LONGEST = 0.1;

    public static Motion of(Performance performance) {
        List<Frame> frames = new ArrayList<>();
        for (double at : times(performance)) frames.add(frame(performance, at));
        return of(performance, frames);
    }

    /** Its one picture that shows most. */
    public static Motion still(Performance performance) {
        double shown = performance.seconds(performance.movement().shown());
        return of(performance, List.of(frame(performance, shown)));
    }

    private static Motion of(Performance performance, List<Frame> frames) {
        Movement movement = performance.movement();
        Map<BodyPoint, Point> first = performance.body(0);
        return new Motion(
                performance.duration(),
                List.copyOf(frames),
                performance.moments(),
                movement.shown(),
                held(movement.manner()),
                performance.ball(),
                performance.ball().isPresent()
                        ? OptionalDouble.of(performance.seconds(Checkpoint.IMPACT))
                        : OptionalDouble.empty(),
                movement.things().stream().map(t -> Placed.of(t, first)).toList());
    }

    /** One picture of it. */
    public static Frame frame(Performance performance, double at) {
        return new Frame(
                at,
                performance.body(at),
                Arrays.stream(Cell.values())
                        .mapToDouble(cell -> performance.load(cell, at))
                        .toArray());
    }

    private static TreeSet<Double> times(Performance performance) {
        double slow = 100 / performance.movement().manner().tempo();
        boolean swung = performance.movement().base() == Movement.Base.SWING;
        double top = performance.seconds(Checkpoint.TOP)
                + performance.movement().pauses().getOrDefault(Checkpoint.TOP, 0.0);
        double after = performance.seconds(Checkpoint.IMPACT) + AFTER * slow;
        TreeSet<Double> times = new TreeSet<>();
        performance.moments().forEach(m -> times.add(m.seconds()));
        double at = 0;
        while (at < performance.duration()) {
            times.add(at);
            boolean fast = swung && at >= top && at < after;
            at += Math.min(LONGEST, slow * (fast ? FAST : STEP));
        }
        times.add(performance.duration());
        return times;
    }

    private static Optional<Held> held(Movement.Manner manner) {
        return switch (manner.hands()) {
            case CLUB ->
                switch (manner.club()) {
                    case NONE -> Optional.empty();
                    case WEDGE -> Optional.of(Held.WEDGE);
                    case IRON -> Optional.of(Held.IRON);
                    case DRIVER -> Optional.of(Held.DRIVER);
                    case BAT -> Optional.of(Held.BAT);
                };
            case STICK -> Optional.of(Held.STICK);
            case CROSSED, HANGING, ON_HIPS -> Optional.empty();
        };
    }
}
