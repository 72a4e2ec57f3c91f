package app.hodegon.core.golfer;

import app.hodegon.core.motion.Cell;
import app.hodegon.core.motion.Foot;
import app.hodegon.core.motion.LoadUnit;
import app.hodegon.core.motion.Trace;
import java.util.EnumMap;
import java.util.Map;
import java.util.Random;

/**
 * Stands in for a pressure plate.
 *
 * @param rate samples a second
 * @param noise of each sample, standard deviation: of a foot's share in points of the whole load, spread over its cells
 * @param unit of its loads
 * @param weight of the body, in that unit
 */
public record Plate(double rate, double noise, LoadUnit unit, double weight) {

    /** Shapes in which plates tell loads. */
    public enum Shape {
        FEET,
        CELLS,
        FORCES
    }

    /** A swing as recorded, with so many seconds of rest before address and after the finish. */
    public Trace record(GolfSwing swing, Shape shape, double before, double after, Random random) {
        int samples = (int) Math.ceil((before + swing.duration() + after) * rate);
        Map<Cell, double[]> cells = new EnumMap<>(Cell.class);
        for (Cell cell : Cell.values()) cells.put(cell, new double[samples]);
        for (int i = 0; i < samples; i++) {
            Map<Cell, Double> loads = sample(swing, i / rate - before, random);
            for (Cell cell : Cell.values()) cells.get(cell)[i] = loads.get(cell);
        }
        return switch (shape) {
            case CELLS -> Trace.ofCells(rate, unit, cells);
            case FEET -> Trace.ofFeet(rate, unit, foot(cells, Foot.LEAD), foot(cells, Foot.TRAIL));
            case FORCES -> Trace.ofForces(rate, unit, force(cells, Foot.LEAD), force(cells, Foot.TRAIL));
        };
    }

    /** The eight loads at one moment of a swing, in seconds from address. */
    Map<Cell, Double> sample(GolfSwing swing, double seconds, Random random) {
        Map<Cell, Double> loads = new EnumMap<>(Cell.class);
        double shift = random.nextGaussian() * noise;
        for (Cell cell : Cell.values()) {
            double of = swing.value(Coordinate.PUSH, seconds) / 100;
            double truth = swing.load(cell, seconds) / 100;
            double foot = cell.foot() == Foot.TRAIL ? shift : -shift;
            double share = footShare(swing, cell.foot(), seconds);
            // What one foot seems to bear more, the other seems to bear less, each cell by its part.
            double part = share > 0 ? truth / (of * share) : 0.25;
            double own = random.nextGaussian() * noise / 4;
            loads.put(cell, Math.max(0, weight * (truth + of * (foot * part + own) / 100)));
        }
        return loads;
    }

    private static double footShare(GolfSwing swing, Foot foot, double seconds) {
        double trail = swing.value(Coordinate.TRAIL_SHARE, seconds) / 100;
        return foot == Foot.TRAIL ? trail : 1 - trail;
    }

    private static double[] foot(Map<Cell, double[]> cells, Foot foot) {
        double[] sum = new double[cells.get(Cell.LEAD_FRONT_INNER).length];
        cells.forEach((cell, loads) -> {
            if (cell.foot() == foot) for (int i = 0; i < sum.length; i++) sum[i] += loads[i];
        });
        return sum;
    }

    /** With the centre where the halves' middles, a quarter of the way in, balance. */
    private static Trace.Force force(Map<Cell, double[]> cells, Foot foot) {
        double[] force = foot(cells, foot);
        double[] forward = new double[force.length];
        double[] outward = new double[force.length];
        for (int i = 0; i < force.length; i++) {
            double front = 0;
            double outer = 0;
            for (Cell cell : Cell.values()) {
                if (cell.foot() != foot) continue;
                if (cell.front()) front += cells.get(cell)[i];
                if (cell.outer()) outer += cells.get(cell)[i];
            }
            forward[i] = force[i] > 0 ? 0.25 + 0.5 * front / force[i] : 0.5;
            outward[i] = force[i] > 0 ? 0.25 + 0.5 * outer / force[i] : 0.5;
        }
        return new Trace.Force(force, forward, outward);
    }
}
