package app.hodegon.bench;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.golfer.GolfSwing;
import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Pace;
import app.hodegon.core.golfer.Plate;
import app.hodegon.core.motion.Cell;
import app.hodegon.core.motion.LoadUnit;
import app.hodegon.core.motion.Measured;
import app.hodegon.core.motion.Moment;
import app.hodegon.core.motion.Origin;
import app.hodegon.core.motion.PackedTrace;
import app.hodegon.core.motion.SwingReading;
import app.hodegon.core.motion.Trace;
import app.hodegon.core.motion.TraceCurve;
import app.hodegon.core.motion.TraceReader;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;

/** A simulated swing as the server stores it, and as the rows of a file. */
record KeptSwing(String loads, String moments, String readings, String spark, List<Measured> measured, Trace trace) {

    static final double RATE = 200;
    private static final double REST = 0.9;

    static KeptSwing make() {
        Random random = new Random(1);
        GolfSwing swing =
                new Golfer(Handedness.RIGHT, 178, PressureSchool.EARLY_RETURN, Map.of(), Pace.USUAL).swing(random);
        Trace trace = new Plate(RATE, 0.5, LoadUnit.KILOGRAM, 78).record(swing, Plate.Shape.CELLS, REST, 0.8, random);
        SwingReading read = TraceReader.read(
                trace,
                Arrays.stream(Checkpoint.values())
                        .map(at -> new Moment(at, REST + swing.seconds(at), Origin.GIVEN, 5))
                        .toList());
        return new KeptSwing(
                Base64.getEncoder().encodeToString(PackedTrace.pack(trace)),
                list(read.moments().stream()
                        .map(m -> String.format(
                                Locale.ROOT,
                                "{\"id\":\"%s\",\"time\":%.4f,\"from\":\"given\",\"uncertainty\":5}",
                                m.at().id(),
                                m.seconds()))
                        .toList()),
                list(read.readings().stream()
                        .map(r -> String.format(
                                Locale.ROOT,
                                "{\"measure\":\"%s\",\"at\":%s,\"value\":%.2f,\"uncertainty\":%.2f}",
                                r.measure().id(),
                                r.at().map(at -> '"' + at.id() + '"').orElse("null"),
                                r.value(),
                                r.uncertainty()))
                        .toList()),
                Arrays.stream(TraceCurve.of(trace, 48 / trace.duration()).trailShare())
                        .mapToObj(v -> String.valueOf(Math.round(v)))
                        .collect(Collectors.joining(",")),
                read.readings(),
                trace);
    }

    private static String list(List<String> of) {
        return "[" + String.join(",", of) + "]";
    }

    /**
     * Its rows among those of a file, one after the other.
     *
     * @param first number of the first
     */
    String rows(List<Cell> order, long first) {
        StringBuilder rows = new StringBuilder();
        for (int i = 0; i < trace.length(); i++) {
            rows.append(rows.isEmpty() ? "[" : ",[").append(first + i);
            for (Cell cell : order) rows.append(String.format(Locale.ROOT, ",%.2f", trace.load(cell, i)));
            rows.append(']');
        }
        return rows.toString();
    }
}
