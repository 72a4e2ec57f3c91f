package app.hodegon.bench;

import app.hodegon.bench.ErrorStudy.What;
import app.hodegon.core.golfer.GolfSwing;
import app.hodegon.core.golfer.Plate;
import app.hodegon.core.motion.LoadUnit;
import app.hodegon.core.motion.Moment;
import app.hodegon.core.motion.Origin;
import app.hodegon.core.motion.SwingReading;
import app.hodegon.core.motion.Trace;
import app.hodegon.core.motion.TraceReader;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/** Writes docs/measuring.md: what is read from a trace against what was put in. */
final class MeasuringReport {

    private static final int SWINGS = 1000;
    private static final long SEED = 1616;
    private static final double NOISE = 0.5;
    private static final double REST = 0.9;
    private static final double[] RATES = {100, 200, 500};

    private static final What SHARE = new What("trail share at a moment", "points", 1.5);
    private static final What PEAK = new What("highest trail share", "points", 1.6);
    private static final What HALF = new What("front or outer half of a foot", "points", 3);
    private static final What RECENTRE = new What("recentring", "ms", 15);
    private static final What ADDRESS = new What("address, found from loads alone", "ms", 80);
    private static final What FINISH = new What("finish, found from loads alone", "ms", 300);

    private final ErrorStudy errors = new ErrorStudy(SHARE, PEAK, HALF, RECENTRE, ADDRESS, FINISH);
    private final Map<Plate.Shape, Integer> open = new EnumMap<>(Plate.Shape.class);

    private MeasuringReport() {}

    static void write(Path docs) throws IOException {
        new MeasuringReport().run(docs);
    }

    private void run(Path docs) throws IOException {
        Random random = new Random(SEED);
        for (Plate.Shape shape : Plate.Shape.values()) {
            for (int i = 0; i < SWINGS; i++) swing(shape, random);
        }
        List<String> lines = new ArrayList<>(List.of(
                "# Measuring: what is read against what was put in",
                "",
                "Written by `./hodegon bench studies`.",
                "",
                "%,d simulated swings in each shape of loads: every school, %.0f %% of them with a fault of random strength,"
                        .formatted(SWINGS, 100 * ErrorStudy.FAULTY),
                "100, 200 or 500 samples a second, noise of %.1f points on every sample's share. The simulated golfer"
                        .formatted(NOISE),
                "(`core/golfer`) knows the truth. Errors are as large as they came, without their sign.",
                "",
                "Shares, halves, peak and recentring are read with the moments given; address and finish are found from the",
                "loads alone. A top or an impact is never found from loads.",
                ""));
        for (Plate.Shape shape : Plate.Shape.values()) lines.addAll(table(shape));
        lines.addAll(List.of(
                "## Errors of single values",
                "",
                "The broken line is what is wanted.",
                "",
                "![Errors, cumulative](measuring.svg)",
                "",
                "## Limits",
                "",
                "- The golfer is an assumption: its loads are smooth, its noise is white, its feet stand still under it.",
                "- Where the first press moves the load by less than two points, its begin is hardly to be seen: those swings",
                "  are in the table and make its largest values.",
                ""));
        lines.addAll(FilmReport.write(docs));
        Files.writeString(docs.resolve("measuring.md"), String.join("\n", lines) + "\n");
        Files.writeString(docs.resolve("measuring.svg"), errors.plot());
    }

    private void swing(Plate.Shape shape, Random random) {
        GolfSwing swing = ErrorStudy.drawnSwing(random);
        Plate plate = new Plate(RATES[random.nextInt(RATES.length)], NOISE, LoadUnit.KILOGRAM, 75);
        Trace trace = plate.record(swing, shape, REST, 0.8, random);
        double half = 500 / plate.rate();
        SwingReading read = TraceReader.read(
                trace,
                Arrays.stream(Checkpoint.values())
                        .map(at -> new Moment(at, REST + swing.seconds(at), Origin.GIVEN, half))
                        .toList());
        for (Checkpoint at : Checkpoint.values()) {
            compare(shape, SHARE, swing, read, Measure.TRAIL_SHARE, Optional.of(at));
            if (shape == Plate.Shape.FEET) continue;
            for (Measure measure :
                    List.of(Measure.TRAIL_TOE, Measure.LEAD_TOE, Measure.TRAIL_OUTER, Measure.LEAD_OUTER)) {
                compare(shape, HALF, swing, read, measure, Optional.of(at));
            }
        }
        compare(shape, PEAK, swing, read, Measure.PEAK_TRAIL_SHARE, Optional.empty());
        compare(shape, RECENTRE, swing, read, Measure.RECENTRE_LEAD, Optional.empty());
        SwingReading alone = TraceReader.read(trace, List.of());
        moment(shape, ADDRESS, alone, Checkpoint.ADDRESS, swing);
        moment(shape, FINISH, alone, Checkpoint.FINISH, swing);
    }

    private void compare(
            Plate.Shape shape,
            What what,
            GolfSwing swing,
            SwingReading read,
            Measure measure,
            Optional<Checkpoint> at) {
        read.reading(measure, at)
                .ifPresent(r -> swing.truth(measure, at).ifPresent(truth -> add(shape, what, r.value() - truth)));
    }

    private void moment(Plate.Shape shape, What what, SwingReading read, Checkpoint at, GolfSwing swing) {
        read.moment(at)
                .ifPresentOrElse(
                        m -> add(shape, what, 1000 * (m.seconds() - REST - swing.seconds(at))),
                        () -> open.merge(shape, 1, Integer::sum));
    }

    private void add(Plate.Shape shape, What what, double error) {
        errors.add(shape.name().toLowerCase(Locale.ROOT), what, error);
    }

    private List<String> table(Plate.Shape shape) {
        List<String> lines = new ArrayList<>(List.of(
                "## "
                        + switch (shape) {
                            case FEET -> "Two channels";
                            case CELLS -> "Eight cells";
                            case FORCES -> "Forces with their centres";
                        },
                ""));
        lines.addAll(errors.table(shape.name().toLowerCase(Locale.ROOT)));
        lines.add("Left open: %d moments.".formatted(open.getOrDefault(shape, 0)));
        lines.add("");
        return lines;
    }
}
