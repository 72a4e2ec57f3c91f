package app.hodegon.core.motion;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/**
 * Cuts swings out of loads that come in one sample after the other: stillness, departure, way down, stillness. A swing
 * is told as soon as its finish has stood still. Not for several threads at once.
 */
public final class SwingCutter {

    /** So much is remembered, seconds: the longest rest before address, the longest swing and its finish. */
    private static final double REMEMBERED = 8;

    /** How often it is looked, seconds. */
    private static final double LOOKS = 0.1;

    /** What is kept before address and after the finish, seconds. */
    private static final double BEFORE = 0.8;

    private static final double AFTER = 0.45;

    /** Ways down nearer to the last swing's than this are still its own, seconds. */
    private static final double APART = 1.5;

    /** Swings are looked for in about so many samples a second. */
    private static final double COARSE = 150;

    /** A golfer at address has both feet on the plate: a foot bears at least this share, %. */
    private static final double BOTH_FEET = 15;

    private final double rate;
    private final LoadUnit unit;
    private final boolean cells;
    private final double[][] memory;

    /** Both feet's loads, several samples of a fast plate in one: enough to find a swing by. */
    private final double[][] coarse;

    private final int inOne;
    private final double[] sum = new double[Foot.values().length];
    private long seen;
    private long lastEnd;
    private double lastWayDown = Double.NEGATIVE_INFINITY;

    /** @param cells whether the eight quarters come in, or the two feet */
    public SwingCutter(double rate, LoadUnit unit, boolean cells) {
        this.rate = rate;
        this.unit = unit;
        this.cells = cells;
        this.inOne = Math.max(1, (int) (rate / COARSE));
        int samples = (int) (REMEMBERED * rate) / inOne * inOne;
        this.memory = new double[cells ? Cell.values().length : Foot.values().length][samples];
        this.coarse = new double[Foot.values().length][samples / inOne];
    }

    /**
     * A swing cut out.
     *
     * @param from number of its first sample, counted from 0
     */
    public record Cut(long from, Trace trace) {}

    /**
     * Takes the next sample.
     *
     * @param loads of the cells in their order, or of the lead and the trail foot; NaN where it was lost
     * @return the swing that has just ended, if one has
     */
    public Optional<Cut> add(double... loads) {
        if (loads.length != memory.length) {
            throw new IllegalArgumentException(
                    "a sample has " + memory.length + " loads, this one " + loads.length + ".");
        }
        int at = (int) (seen % memory[0].length);
        for (int c = 0; c < loads.length; c++) {
            memory[c][at] = loads[c];
            sum[cells ? Cell.values()[c].foot().ordinal() : c] += loads[c];
        }
        seen++;
        if (seen % inOne != 0) return Optional.empty();
        for (int foot = 0; foot < sum.length; foot++) {
            coarse[foot][at / inOne] = sum[foot] / inOne;
            sum[foot] = 0;
        }
        int every = Math.max(1, (int) Math.round(LOOKS * rate / inOne)) * inOne;
        return seen % every == 0 ? look() : Optional.empty();
    }

    private Optional<Cut> look() {
        long first = (Math.max(lastEnd, seen - memory[0].length) + inOne - 1) / inOne * inOne;
        if (seen - first < rate) return Optional.empty();
        double slow = rate / inOne;
        Trace trace = Trace.ofFeet(slow, unit, coarse(0, first), coarse(1, first));
        for (double wayDown : SwingFinder.waysDown(trace)) {
            if (first / rate + wayDown - lastWayDown < APART) continue;
            Rest rest = new Rest(trace);
            Optional<Double> address = rest.endsBefore(wayDown).filter(at -> bothFeet(trace, at));
            if (address.isEmpty()) continue;
            Optional<Double> finish = rest.beginsAfter(wayDown, Optional.empty());
            if (finish.isEmpty() || finish.get() + AFTER > trace.duration()) return Optional.empty();
            long from = first + Math.round(Math.max(0, address.get() - BEFORE) * rate);
            long to = Math.min(seen, first + Math.round((finish.get() + AFTER) * rate));
            lastEnd = to;
            lastWayDown = first / rate + wayDown;
            return Optional.of(new Cut(from, remembered(from, to)));
        }
        return Optional.empty();
    }

    private double[] coarse(int foot, long first) {
        double[] part = new double[(int) (seen - first) / inOne];
        for (int i = 0; i < part.length; i++) {
            part[i] = coarse[foot][(int) ((first / inOne + i) % coarse[foot].length)];
        }
        return part;
    }

    private static boolean bothFeet(Trace trace, double at) {
        double share = trace.trailShare().at(at).value();
        return share >= BOTH_FEET && share <= 100 - BOTH_FEET;
    }

    private Trace remembered(long from, long to) {
        double[][] part = new double[memory.length][(int) (to - from)];
        for (int c = 0; c < part.length; c++) {
            for (int i = 0; i < part[c].length; i++) part[c][i] = memory[c][(int) ((from + i) % memory[c].length)];
        }
        if (!cells) return Trace.ofFeet(rate, unit, part[0], part[1]);
        Map<Cell, double[]> loads = new EnumMap<>(Cell.class);
        for (Cell cell : Cell.values()) loads.put(cell, part[cell.ordinal()]);
        return Trace.ofCells(rate, unit, loads);
    }
}
