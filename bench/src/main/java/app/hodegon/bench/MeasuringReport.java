package app.hodegon.bench;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.golfer.GolfSwing;
import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Pace;
import app.hodegon.core.golfer.Plate;
import app.hodegon.core.motion.LoadUnit;
import app.hodegon.core.motion.Moment;
import app.hodegon.core.motion.Origin;
import app.hodegon.core.motion.SwingReading;
import app.hodegon.core.motion.Trace;
import app.hodegon.core.motion.TraceReader;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
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
    private static final double FAULTY = 0.6;

    /** What is compared, with the largest error wanted. */
    private enum What {
        SHARE("trail share at a moment", "points", 1.5),
        PEAK("highest trail share", "points", 1.6),
        HALF("front or outer half of a foot", "points", 3),
        RECENTRE("recentring", "ms", 15),
        ADDRESS("address, found from loads alone", "ms", 80),
        FINISH("finish, found from loads alone", "ms", 300);

        private final String label;
        private final String unit;
        private final double wanted;

        What(String label, String unit, double wanted) {
            this.label = label;
            this.unit = unit;
            this.wanted = wanted;
        }
    }

    private final Map<Plate.Shape, Map<What, List<Double>>> errors = new EnumMap<>(Plate.Shape.class);
    private final Map<Plate.Shape, Integer> open = new EnumMap<>(Plate.Shape.class);

    private MeasuringReport() {}

    static void write(Path docs) throws IOException {
        new MeasuringReport().run(docs);
    }

    private void run(Path docs) throws IOException {
        Random random = new Random(SEED);
        for (Plate.Shape shape : Plate.Shape.values()) {
            errors.put(shape, new EnumMap<>(What.class));
            for (int i = 0; i < SWINGS; i++) swing(shape, random);
        }
        List<String> lines = new ArrayList<>(List.of(
                "# Measuring: what is read against what was put in",
                "",
                "Written by `./hodegon bench studies`.",
                "",
                "%,d simulated swings in each shape of loads: every school, %.0f %% of them with a fault of random strength,"
                        .formatted(SWINGS, 100 * FAULTY),
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
                "  are in the table and make its largest values."));
        Files.writeString(docs.resolve("measuring.md"), String.join("\n", lines) + "\n");
        Files.writeString(docs.resolve("measuring.svg"), plot());
    }

    private void swing(Plate.Shape shape, Random random) {
        PressureSchool[] schools = PressureSchool.values();
        Fault[] faults = Fault.values();
        Map<Fault, Double> fault = random.nextDouble() < FAULTY
                ? Map.of(faults[random.nextInt(faults.length)], 0.3 + 0.7 * random.nextDouble())
                : Map.of();
        GolfSwing swing = new Golfer(
                        Handedness.RIGHT,
                        150 + 50 * random.nextDouble(),
                        schools[random.nextInt(schools.length)],
                        fault,
                        Pace.USUAL)
                .swing(random);
        Plate plate = new Plate(RATES[random.nextInt(RATES.length)], NOISE, LoadUnit.KILOGRAM, 75);
        Trace trace = plate.record(swing, shape, REST, 0.8, random);
        double half = 500 / plate.rate();
        SwingReading read = TraceReader.read(
                trace,
                Arrays.stream(Checkpoint.values())
                        .map(at -> new Moment(at, REST + swing.seconds(at), Origin.GIVEN, half))
                        .toList());
        for (Checkpoint at : Checkpoint.values()) {
            compare(shape, What.SHARE, swing, read, Measure.TRAIL_SHARE, Optional.of(at));
            if (shape == Plate.Shape.FEET) continue;
            for (Measure measure :
                    List.of(Measure.TRAIL_TOE, Measure.LEAD_TOE, Measure.TRAIL_OUTER, Measure.LEAD_OUTER)) {
                compare(shape, What.HALF, swing, read, measure, Optional.of(at));
            }
        }
        compare(shape, What.PEAK, swing, read, Measure.PEAK_TRAIL_SHARE, Optional.empty());
        compare(shape, What.RECENTRE, swing, read, Measure.RECENTRE_LEAD, Optional.empty());
        SwingReading alone = TraceReader.read(trace, List.of());
        moment(shape, What.ADDRESS, alone, Checkpoint.ADDRESS, swing);
        moment(shape, What.FINISH, alone, Checkpoint.FINISH, swing);
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
        errors.get(shape).computeIfAbsent(what, w -> new ArrayList<>()).add(Math.abs(error));
    }

    private List<String> table(Plate.Shape shape) {
        List<String> lines = new ArrayList<>(List.of(
                "## "
                        + switch (shape) {
                            case FEET -> "Two channels";
                            case CELLS -> "Eight cells";
                            case FORCES -> "Forces with their centres";
                        },
                "",
                "| what | values | median | 95 % | 99 % | largest | within what is wanted |",
                "|---|---|---|---|---|---|---|"));
        errors.get(shape).forEach((what, all) -> {
            all.sort(null);
            long within = all.stream().filter(e -> e <= what.wanted).count();
            lines.add(String.format(
                    Locale.ROOT,
                    "| %s (%s) | %,d | %.2f | %.2f | %.2f | %.2f | %.1f %% within %.1f |",
                    what.label,
                    what.unit,
                    all.size(),
                    quantile(all, 0.5),
                    quantile(all, 0.95),
                    quantile(all, 0.99),
                    all.get(all.size() - 1),
                    100.0 * within / all.size(),
                    what.wanted));
        });
        lines.add("");
        lines.add("Left open: %d moments.".formatted(open.getOrDefault(shape, 0)));
        lines.add("");
        return lines;
    }

    private static double quantile(List<Double> sorted, double part) {
        return sorted.get((int) Math.min(sorted.size() - 1, part * sorted.size()));
    }

    private static final int WIDTH = 260;
    private static final int HEIGHT = 150;
    private static final int MARGIN = 40;
    private static final String[] COLOURS = {"#1d5c73", "#b4532a", "#5c7a29"};

    /** One panel for each thing read: the part of all values (up) whose error is at most so large (right). */
    private String plot() {
        int columns = 2;
        int rows = What.values().length / columns;
        int width = columns * (WIDTH + MARGIN) + MARGIN;
        int height = rows * (HEIGHT + 2 * MARGIN) + MARGIN;
        StringBuilder svg = new StringBuilder();
        svg.append(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %d %d\" font-family=\"sans-serif\" font-size=\"12\">%n"
                        .formatted(width, height));
        svg.append("<rect width=\"%d\" height=\"%d\" fill=\"#fffcf5\"/>%n".formatted(width, height));
        int s = 0;
        for (Plate.Shape shape : Plate.Shape.values()) {
            svg.append("<text x=\"%d\" y=\"22\" fill=\"%s\">%s</text>%n"
                    .formatted(MARGIN + 80 * s, COLOURS[s], shape.name().toLowerCase(Locale.ROOT)));
            s++;
        }
        for (What what : What.values()) {
            int x = MARGIN + what.ordinal() % columns * (WIDTH + MARGIN);
            int y = MARGIN + 20 + what.ordinal() / columns * (HEIGHT + 2 * MARGIN);
            panel(svg, what, x, y);
        }
        return svg.append("</svg>\n").toString();
    }

    private void panel(StringBuilder svg, What what, int x, int y) {
        double most = 1.4 * what.wanted;
        svg.append(String.format(
                Locale.ROOT,
                "<text x=\"%d\" y=\"%d\">%s, %s</text><rect x=\"%d\" y=\"%d\" width=\"%d\" height=\"%d\" fill=\"none\""
                        + " stroke=\"#8d8168\"/><path d=\"M%.1f %d v%d\" stroke=\"#8d8168\" stroke-dasharray=\"4 4\"/>"
                        + "<text x=\"%.1f\" y=\"%d\" text-anchor=\"middle\">%.1f</text>%n",
                x,
                y - 6,
                what.label,
                what.unit,
                x,
                y,
                WIDTH,
                HEIGHT,
                x + WIDTH * what.wanted / most,
                y,
                HEIGHT,
                x + WIDTH * what.wanted / most,
                y + HEIGHT + 15,
                what.wanted));
        int s = 0;
        for (Plate.Shape shape : Plate.Shape.values()) {
            List<Double> all = errors.get(shape).get(what);
            String colour = COLOURS[s++];
            if (all == null) continue;
            StringBuilder path = new StringBuilder();
            for (int step = 0; step <= 100; step++) {
                double error = quantile(all, step / 100.0);
                if (error > most) break;
                path.append(String.format(
                        Locale.ROOT,
                        "%s%.1f %.1f",
                        step == 0 ? "M" : "L",
                        x + WIDTH * error / most,
                        y + HEIGHT * (1 - step / 100.0)));
            }
            svg.append("<path d=\"%s\" fill=\"none\" stroke=\"%s\" stroke-width=\"1.6\"/>%n".formatted(path, colour));
        }
    }
}
