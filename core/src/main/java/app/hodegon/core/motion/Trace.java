package app.hodegon.core.motion;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import java.util.function.Predicate;

/**
 * Loads under the feet over time, evenly sampled: two channels, one per foot, or the eight quarters of the soles. A lost
 * sample is NaN in every channel. Immutable.
 *
 * <p>Pressure is not weight: a hard push raises the load of a foot while the body is elsewhere.
 */
public final class Trace {

    /** Samples a second. */
    public static final double SLOWEST = 50;

    public static final double FASTEST = 1000;
    public static final int SHORTEST = 50;
    public static final int LONGEST = 20_000;

    private final double rate;
    private final LoadUnit unit;
    private final double[] lead;
    private final double[] trail;
    private final Optional<Map<Cell, double[]>> cells;

    private Trace(double rate, LoadUnit unit, double[] lead, double[] trail, Optional<Map<Cell, double[]>> cells) {
        if (!(rate >= SLOWEST && rate <= FASTEST)) {
            throw new IllegalArgumentException("rate must be 50 to 1,000 samples a second.");
        }
        if (lead.length < SHORTEST || lead.length > LONGEST) {
            throw new IllegalArgumentException(
                    "a trace has 50 to 20,000 samples, this one %,d.".formatted(lead.length));
        }
        if (lead.length != trail.length) throw new IllegalArgumentException("all channels must be of one length.");
        this.rate = rate;
        this.unit = unit;
        this.lead = lead;
        this.trail = trail;
        this.cells = cells;
    }

    /**
     * @param rate samples a second, {@value #SLOWEST} to {@value #FASTEST}
     * @throws IllegalArgumentException if rate or lengths are outside their ranges, or the channels differ in length
     */
    public static Trace ofFeet(double rate, LoadUnit unit, double[] lead, double[] trail) {
        return new Trace(rate, unit, lead.clone(), trail.clone(), Optional.empty());
    }

    /** The same from the quarters of both soles, all eight of them. */
    public static Trace ofCells(double rate, LoadUnit unit, Map<Cell, double[]> loads) {
        Map<Cell, double[]> cells = new EnumMap<>(Cell.class);
        for (Cell cell : Cell.values()) {
            double[] load = loads.get(cell);
            if (load == null) throw new IllegalArgumentException("the cell " + cell.id() + " is missing.");
            if (load.length != loads.get(Cell.LEAD_FRONT_INNER).length) {
                throw new IllegalArgumentException("all channels must be of one length.");
            }
            cells.put(cell, load.clone());
        }
        return new Trace(rate, unit, sum(cells, Foot.LEAD), sum(cells, Foot.TRAIL), Optional.of(cells));
    }

    /**
     * A foot's force with its centre of pressure.
     *
     * @param force in the trace's unit
     * @param forward of the centre, from 0 at the heel to 1 at the toes
     * @param outward of the centre, from 0 at the inner edge to 1 at the outer
     */
    public record Force(double[] force, double[] forward, double[] outward) {}

    /**
     * From forces with centres of pressure. The load of a half is taken to press at the half's own middle, a quarter of
     * the way in, so that a centre halfway between two middles shares evenly and one beyond a middle gives that half all.
     */
    public static Trace ofForces(double rate, LoadUnit unit, Force lead, Force trail) {
        Map<Cell, double[]> cells = new EnumMap<>(Cell.class);
        for (Cell cell : Cell.values()) {
            Force of = cell.foot() == Foot.LEAD ? lead : trail;
            double[] load = new double[of.force().length];
            for (int i = 0; i < load.length; i++) {
                load[i] = quarter(cell, of.force()[i], of.forward()[i], of.outward()[i]);
            }
            cells.put(cell, load);
        }
        return ofCells(rate, unit, cells);
    }

    /** The part of one sample's force that a quarter bears, as in {@link #ofForces}. */
    public static double quarter(Cell cell, double force, double forward, double outward) {
        double front = half(forward);
        double outer = half(outward);
        return force * (cell.front() ? front : 1 - front) * (cell.outer() ? outer : 1 - outer);
    }

    private static double half(double place) {
        return Math.max(0, Math.min(1, 2 * place - 0.5));
    }

    private static double[] sum(Map<Cell, double[]> cells, Foot foot) {
        double[] sum = new double[cells.get(Cell.LEAD_FRONT_INNER).length];
        for (Cell cell : Cell.of(foot)) {
            double[] load = cells.get(cell);
            for (int i = 0; i < sum.length; i++) sum[i] += load[i];
        }
        return sum;
    }

    public double rate() {
        return rate;
    }

    public LoadUnit unit() {
        return unit;
    }

    public int length() {
        return lead.length;
    }

    /** Time of a sample, seconds from the first. */
    public double time(int sample) {
        return sample / rate;
    }

    /** From the first sample to the last, in seconds. */
    public double duration() {
        return time(length() - 1);
    }

    public boolean hasCells() {
        return cells.isPresent();
    }

    /** Load of a foot in the trace's unit. */
    public double load(Foot foot, int sample) {
        return (foot == Foot.LEAD ? lead : trail)[sample];
    }

    /**
     * Load of a quarter in the trace's unit.
     *
     * @throws IllegalStateException if the trace tells the feet only
     */
    public double load(Cell cell, int sample) {
        return cells.orElseThrow(() -> new IllegalStateException("this trace tells the feet only."))
                .get(cell)[sample];
    }

    /** The samples from one on, before another. */
    public Trace slice(int from, int to) {
        return cells.map(all -> {
                    Map<Cell, double[]> part = new EnumMap<>(Cell.class);
                    all.forEach((cell, load) -> part.put(cell, Arrays.copyOfRange(load, from, to)));
                    return ofCells(rate, unit, part);
                })
                .orElseGet(() ->
                        ofFeet(rate, unit, Arrays.copyOfRange(lead, from, to), Arrays.copyOfRange(trail, from, to)));
    }

    /** Load under both feet, in the trace's unit. */
    Signal total() {
        return signal(i -> lead[i] + trail[i]);
    }

    /** Share under the trail foot, %. */
    Signal trailShare() {
        return signal(i -> percent(trail[i], lead[i] + trail[i]));
    }

    /** Load of a foot, in the trace's unit. */
    Signal of(Foot foot) {
        return signal(i -> load(foot, i));
    }

    /** Load of some quarters of a foot, in the trace's unit. */
    Signal of(Foot foot, Predicate<Cell> which) {
        List<Cell> part = Cell.of(foot).stream().filter(which).toList();
        return signal(i -> {
            double sum = 0;
            for (Cell cell : part) sum += load(cell, i);
            return sum;
        });
    }

    private Signal signal(IntToDoubleFunction value) {
        double[] values = new double[length()];
        for (int i = 0; i < values.length; i++) values[i] = value.applyAsDouble(i);
        return new Signal(rate, values);
    }

    private static double percent(double part, double whole) {
        return whole > 0 ? 100 * part / whole : Double.NaN;
    }
}
