package app.hodegon.core.golfer;

import app.hodegon.core.motion.Cell;
import app.hodegon.core.swing.Checkpoint;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/** A plate with a golfer standing on it, sample after sample: at rest until asked for something. */
public final class PlateStream {

    /** What the golfer can be asked for. */
    public enum Act {
        /** A small rocking before the swing. */
        WAGGLE,
        /** Back to lead arm level, and slowly home again. */
        FALSE_START,
        /** A swing, its finish held, and back to address. */
        SWING
    }

    private static final double WAGGLE_SECONDS = 2;
    private static final double WAGGLES = 3;
    private static final double WAGGLE_POINTS = 4;
    private static final double STILL_BEFORE = 1;
    private static final double STILL_AFTER = 0.8;
    private static final double WAY_HOME = 1.8;

    private static final Set<Checkpoint> TOLD_BY_A_SENSOR = EnumSet.range(Checkpoint.HIP_BACK, Checkpoint.IMPACT);

    private final Golfer golfer;
    private final Plate plate;
    private final Random random;
    private final Deque<Act> wanted = new ArrayDeque<>();
    private GolfSwing swing;
    private Act act;
    private long sample;
    private int swings;

    public PlateStream(Golfer golfer, Plate plate, long seed) {
        this.golfer = golfer;
        this.plate = plate;
        this.random = new Random(seed);
        this.swing = golfer.swing(random);
    }

    public void ask(Act wish) {
        wanted.add(wish);
    }

    public boolean resting() {
        return act == null && wanted.isEmpty();
    }

    /** Swings begun so far. */
    public int swings() {
        return swings;
    }

    /** The swing that is being made, or was made last. */
    public GolfSwing swing() {
        return swing;
    }

    /** What the last sample passed of a swing, as a sensor on the lead arm would tell it. */
    public Optional<Checkpoint> passed() {
        if (act != Act.SWING) return Optional.empty();
        double now = (sample - 1) / plate.rate() - STILL_BEFORE;
        return TOLD_BY_A_SENSOR.stream()
                .filter(at -> swing.seconds(at) <= now && swing.seconds(at) > now - 1 / plate.rate())
                .findFirst();
    }

    /** The eight loads of the next sample. */
    public Map<Cell, Double> next() {
        if (act == null) begin();
        double seconds = sample / plate.rate();
        sample++;
        if (act == null) return plate.sample(swing, 0, random);
        if (seconds >= length()) {
            act = null;
            return plate.sample(swing, 0, random);
        }
        return switch (act) {
            case WAGGLE -> rocked(seconds);
            case FALSE_START -> plate.sample(swing, brokenOff(seconds - STILL_BEFORE), random);
            case SWING -> home(seconds - STILL_BEFORE);
        };
    }

    private void begin() {
        act = wanted.poll();
        if (act == null) return;
        sample = 0;
        swing = golfer.swing(random);
        if (act == Act.SWING) swings++;
    }

    private double length() {
        return switch (act) {
            case WAGGLE -> WAGGLE_SECONDS;
            case FALSE_START -> STILL_BEFORE + 3 * swing.seconds(Checkpoint.ARM_BACK);
            case SWING -> STILL_BEFORE + swing.duration() + STILL_AFTER + WAY_HOME;
        };
    }

    /** As far as lead arm level, then back at half the pace. */
    private double brokenOff(double seconds) {
        double turn = swing.seconds(Checkpoint.ARM_BACK);
        return seconds <= turn ? seconds : Math.max(0, turn - (seconds - turn) / 2);
    }

    private Map<Cell, Double> rocked(double seconds) {
        double fade = Math.sin(Math.PI * seconds / WAGGLE_SECONDS);
        double points = WAGGLE_POINTS * fade * Math.sin(2 * Math.PI * WAGGLES * seconds / WAGGLE_SECONDS);
        Map<Cell, Double> loads = plate.sample(swing, 0, random);
        double trail = swing.value(Coordinate.TRAIL_SHARE, 0);
        loads.replaceAll((cell, load) -> load
                * (cell.id().startsWith("trail") ? (trail + points) / trail : (100 - trail - points) / (100 - trail)));
        return loads;
    }

    /** The swing, its finish, and from there slowly back to address. */
    private Map<Cell, Double> home(double seconds) {
        double leave = swing.duration() + STILL_AFTER;
        if (seconds <= leave) return plate.sample(swing, seconds, random);
        double way = (seconds - leave) / WAY_HOME;
        double part = way * way * (3 - 2 * way);
        Map<Cell, Double> from = plate.sample(swing, swing.duration(), random);
        Map<Cell, Double> to = plate.sample(swing, 0, random);
        Map<Cell, Double> between = new EnumMap<>(Cell.class);
        from.forEach((cell, load) -> between.put(cell, (1 - part) * load + part * to.get(cell)));
        return between;
    }
}
