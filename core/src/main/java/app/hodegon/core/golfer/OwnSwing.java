package app.hodegon.core.golfer;

import app.hodegon.core.golfer.Movement.Setting;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.swing.Reading;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A golfer's own swing as far as it was measured: where something was, the golfer is there, and what was not measured is
 * as the school and the faults have it. Between two moments that were measured what a coordinate is off by changes
 * evenly; at address and in the finish it is off by nothing that was not measured there.
 */
public final class OwnSwing {

    private static final Checkpoint[] ALL = Checkpoint.values();
    private static final double MILLISECONDS = 1000;

    private OwnSwing() {}

    /**
     * @param golfer with the faults that are there; the pace gives way to a measured one
     * @param readings of two of the same the harder source counts
     */
    public static Performance of(Golfer golfer, Collection<Reading> readings) {
        Map<Coordinate, Map<Checkpoint, Double>> measured = new EnumMap<>(Coordinate.class);
        // What says where something is comes before what says how far that is from address.
        for (boolean fromAddress : new boolean[] {false, true}) {
            for (Reading reading : softFirst(readings)) {
                Gauge gauge = Gauge.of(reading.measure()).orElse(null);
                if (gauge == null || gauge.fromAddress() != fromAddress) continue;
                Map<Checkpoint, Double> values =
                        measured.computeIfAbsent(gauge.what(), w -> new EnumMap<>(Checkpoint.class));
                double address =
                        values.getOrDefault(Checkpoint.ADDRESS, golfer.displaced(gauge.what(), Checkpoint.ADDRESS));
                values.put(reading.at().orElseThrow(), gauge.value(reading.value(), address));
            }
        }
        List<Setting> own = new ArrayList<>();
        measured.forEach((what, values) -> own.addAll(course(golfer, what, values)));
        return Performance.of(paced(golfer, readings), Movement.SWING.with(own));
    }

    /** Whether a reading moves the golfer. */
    public static boolean shows(Reading reading) {
        return Gauge.of(reading.measure()).isPresent()
                || reading.measure() == Measure.BACKSWING_TIME
                || reading.measure() == Measure.DOWNSWING_TIME;
    }

    private static List<Reading> softFirst(Collection<Reading> readings) {
        return readings.stream().sorted(Comparator.comparing(Reading::source)).toList();
    }

    private static List<Setting> course(Golfer golfer, Coordinate what, Map<Checkpoint, Double> values) {
        double[] off = new double[ALL.length];
        Arrays.fill(off, Double.NaN);
        off[0] = 0;
        off[ALL.length - 1] = 0;
        values.forEach((at, value) -> off[at.ordinal()] = value - golfer.displaced(what, at));
        int before = 0;
        List<Setting> settings = new ArrayList<>();
        for (int i = 0; i < ALL.length; i++) {
            if (Double.isNaN(off[i])) {
                int after = i;
                while (Double.isNaN(off[after])) after++;
                double part = part(golfer.pace(), before, i, after);
                off[i] = off[before] + part * (off[after] - off[before]);
            }
            before = i;
            settings.add(new Setting(what, ALL[i], golfer.displaced(what, ALL[i]) + off[i]));
        }
        return settings;
    }

    private static double part(Pace pace, int from, int at, int to) {
        return (pace.at(ALL[at]) - pace.at(ALL[from])) / (pace.at(ALL[to]) - pace.at(ALL[from]));
    }

    private static Golfer paced(Golfer golfer, Collection<Reading> readings) {
        Pace pace = golfer.pace();
        double back = seconds(readings, Measure.BACKSWING_TIME).orElse(pace.back());
        double down = seconds(readings, Measure.DOWNSWING_TIME).orElse(pace.down());
        return new Golfer(
                golfer.hand(),
                golfer.height(),
                golfer.school(),
                golfer.faults(),
                new Pace(pace.press(), back, down, pace.through()));
    }

    private static Optional<Double> seconds(Collection<Reading> readings, Measure measure) {
        return readings.stream()
                .filter(r -> r.measure() == measure && r.value() > 0)
                .max(Comparator.comparing(Reading::source))
                .map(r -> r.value() / MILLISECONDS);
    }
}
