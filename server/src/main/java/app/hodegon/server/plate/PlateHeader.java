package app.hodegon.server.plate;

import app.hodegon.core.motion.Cell;
import app.hodegon.core.motion.Foot;
import app.hodegon.core.motion.LoadUnit;
import app.hodegon.core.motion.Trace;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/**
 * What a stream says of itself before its samples.
 *
 * @param stream chosen by the bridge; one that comes back under the same name goes on where it was
 * @param channels in the order of the samples' values, by left and right
 */
record PlateHeader(String stream, String plate, double rate, LoadUnit unit, List<String> channels) {

    private static final int LONGEST_NAME = 80;

    /** Force of a foot, and where it presses, in parts of the foot's length from the heel and of its width from inside. */
    private static final List<String> FORCES =
            List.of("left-force", "left-forward", "left-outward", "right-force", "right-forward", "right-outward");

    PlateHeader {
        if (!(rate >= Trace.SLOWEST && rate <= Trace.FASTEST)) {
            throw new IllegalArgumentException("rate must be 50 to 1,000 samples a second.");
        }
        Set<String> given = Set.copyOf(channels);
        if (given.size() != channels.size()
                || !(given.equals(Set.copyOf(Foot.channels(Handedness.RIGHT)))
                        || given.equals(Set.copyOf(Cell.channels(Handedness.RIGHT)))
                        || given.equals(Set.copyOf(FORCES)))) {
            throw new IllegalArgumentException("channels must be left and right; or the eight quarters; or left-force,"
                    + " left-forward, left-outward and the same for right.");
        }
    }

    static PlateHeader of(JsonNode line) {
        List<String> channels = new ArrayList<>();
        line.path("channels").forEach(c -> channels.add(c.asString()));
        String plate = line.path("plate").asString("plate").strip();
        return new PlateHeader(
                line.path("stream").asString(""),
                plate.substring(0, Math.min(LONGEST_NAME, plate.length())),
                line.path("rate").asDouble(0),
                Identified.of(LoadUnit.class, line.path("unit").asString("")),
                List.copyOf(channels));
    }

    boolean hasCells() {
        return channels.size() > Foot.values().length;
    }

    /** A sample's values as the loads that are cut and stored: of lead and trail foot, or of the quarters. */
    double[] loads(double[] values, Handedness hand) {
        if (!hasCells()) {
            double[] loads = new double[Foot.values().length];
            for (Foot foot : Foot.values()) loads[foot.ordinal()] = value(values, foot.side(hand));
            return loads;
        }
        double[] loads = new double[Cell.values().length];
        for (Cell cell : Cell.values()) {
            String foot = cell.foot().side(hand);
            loads[cell.ordinal()] = channels.contains(FORCES.get(0))
                    ? Trace.quarter(
                            cell,
                            value(values, foot + "-force"),
                            value(values, foot + "-forward"),
                            value(values, foot + "-outward"))
                    : value(values, cell.channel(hand));
        }
        return loads;
    }

    private double value(double[] values, String channel) {
        double value = values[channels.indexOf(channel)];
        return Double.isNaN(value) ? value : Math.max(0, value);
    }
}
