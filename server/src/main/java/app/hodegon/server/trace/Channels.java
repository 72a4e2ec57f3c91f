package app.hodegon.server.trace;

import app.hodegon.core.motion.Cell;
import app.hodegon.core.motion.Foot;
import app.hodegon.core.motion.LoadUnit;
import app.hodegon.core.motion.Trace;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.http.Invalid;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** Channels as they are called outside, by left and right; inside it is lead and trail. */
final class Channels {

    /** No plate bears more, in any unit. */
    private static final double HEAVIEST = 100_000;

    private Channels() {}

    static Trace trace(Handedness hand, double rate, String unit, Map<String, List<Double>> channels) {
        LoadUnit of = Invalid.in("unit", () -> Identified.of(LoadUnit.class, unit));
        if (channels.keySet().equals(Set.copyOf(Foot.channels(hand)))) {
            List<String> names = Foot.channels(hand);
            return Invalid.in(
                    "channels",
                    () -> Trace.ofFeet(rate, of, loads(channels, names.get(0)), loads(channels, names.get(1))));
        }
        List<String> names = Cell.channels(hand);
        if (!channels.keySet().equals(Set.copyOf(names))) {
            throw new Invalid("channels", "Give left and right, or all eight of " + String.join(", ", names) + ".");
        }
        Map<Cell, double[]> cells = new EnumMap<>(Cell.class);
        for (Cell cell : Cell.values()) cells.put(cell, loads(channels, names.get(cell.ordinal())));
        return Invalid.in("channels", () -> Trace.ofCells(rate, of, cells));
    }

    private static double[] loads(Map<String, List<Double>> channels, String name) {
        return channels.get(name).stream().mapToDouble(v -> load(name, v)).toArray();
    }

    /** NaN for a lost sample. */
    static double load(String name, Double value) {
        if (value == null) return Double.NaN;
        // A plate's zero may lie a little below.
        if (!(Math.abs(value) <= HEAVIEST)) {
            throw new Invalid("channels." + name, "A load must be a number of at most 100,000.");
        }
        return Math.max(0, value);
    }

    static String csv(Trace trace, Handedness hand) {
        List<String> names = trace.hasCells() ? Cell.channels(hand) : Foot.channels(hand);
        StringBuilder csv = new StringBuilder("seconds");
        names.forEach(name ->
                csv.append(',').append(name).append('_').append(trace.unit().id()));
        csv.append('\n');
        for (int i = 0; i < trace.length(); i++) {
            csv.append(String.format(Locale.ROOT, "%.4f", trace.time(i)));
            for (int c = 0; c < names.size(); c++) {
                double load = trace.hasCells() ? trace.load(Cell.values()[c], i) : trace.load(Foot.values()[c], i);
                csv.append(Double.isNaN(load) ? "," : String.format(Locale.ROOT, ",%.3f", load));
            }
            csv.append('\n');
        }
        return csv.toString();
    }
}
