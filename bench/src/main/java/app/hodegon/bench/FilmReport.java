package app.hodegon.bench;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.golfer.GolfSwing;
import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Pace;
import app.hodegon.core.motion.Measured;
import app.hodegon.core.motion.Moment;
import app.hodegon.core.simulate.Camera;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.track.Ruler;
import app.hodegon.core.track.TrackReader;
import app.hodegon.core.track.TrackReading;
import app.hodegon.core.track.View;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;

/** What is read from the points of a film against what was put in: a part of docs/measuring.md. */
final class FilmReport {

    private static final int SWINGS = 600;
    private static final long SEED = 1818;
    private static final double REST = 1;
    private static final double FAULTY = 0.6;
    private static final double[] RATES = {30, 60, 120, 240};

    /** What is compared, with the largest error wanted of noisy points. */
    private enum What {
        LEVEL("arm level, going back and coming down", "ms", 10),
        TOP("top", "ms", 25),
        IMPACT("impact", "ms", 12),
        ADDRESS("address", "ms", 80),
        TRAVEL("pelvis and head along the line (face on)", "cm", 1),
        THRUST("pelvis towards the ball (down the line)", "cm", 1),
        BEND("forward bend lost (down the line)", "°", 2),
        HEEL("trail heel off the ground", "cm", 1),
        SHOULDERS("shoulder turn at the top", "°", 5),
        HIPS("hip turn at the top", "°", 10);

        private final String label;
        private final String unit;
        private final double wanted;

        What(String label, String unit, double wanted) {
            this.label = label;
            this.unit = unit;
            this.wanted = wanted;
        }
    }

    /** How the points were found. */
    private enum Film {
        TRUE("true points", 0, Double.POSITIVE_INFINITY, 0),
        NOISY("noise of 0.4 cm", 0.4, Double.POSITIVE_INFINITY, 0),
        OTHER("noise of 1 cm, near, leaning by 3°", 1, 450, 3);

        private final String label;
        private final double noise;
        private final double distance;
        private final double roll;

        Film(String label, double noise, double distance, double roll) {
            this.label = label;
            this.noise = noise;
            this.distance = distance;
            this.roll = roll;
        }
    }

    private final Map<Film, Map<What, List<Double>>> errors = new EnumMap<>(Film.class);
    private int values;
    private int within;

    private FilmReport() {}

    /** Writes the plot, and gives the lines. */
    static List<String> write(Path docs) throws IOException {
        return new FilmReport().run(docs);
    }

    private List<String> run(Path docs) throws IOException {
        for (Film film : Film.values()) {
            errors.put(film, new EnumMap<>(What.class));
            Random random = new Random(SEED);
            for (int i = 0; i < SWINGS; i++) swing(film, RATES[i % RATES.length], random);
        }
        List<String> lines = new ArrayList<>(List.of(
                "# Films: what is read from points",
                "",
                "%,d simulated swings, each filmed face on and down the line: every school, %.0f %% with a fault of random"
                        .formatted(SWINGS, 100 * FAULTY),
                "strength, 30, 60, 120 or 240 pictures a second, a scale by two marks. Moments are found from the points; what is",
                "measured down the line is read with the moments given, as a film face on beside it would. Errors without their",
                "sign.",
                ""));
        errors.forEach((film, all) -> {
            lines.add("## " + film.label.substring(0, 1).toUpperCase(Locale.ROOT) + film.label.substring(1));
            lines.add("");
            lines.add(ErrorPlot.HEADING);
            lines.add(ErrorPlot.RULE);
            all.forEach((what, of) -> lines.add(ErrorPlot.row(what.label, what.unit, what.wanted, of)));
            lines.add("");
        });
        lines.addAll(List.of(
                "Of all %,d values read at a moment, %.1f %% lie within twice the uncertainty said of them."
                        .formatted(values, 100.0 * within / values),
                "",
                "![Errors, cumulative](measuring-films.svg)",
                "",
                "- Noise here is white and the same for all points. What finds points in pictures is off by more and goes on being",
                "  off: its errors on the demo's films are held by a browser test.",
                "- A near camera sees what comes closer as larger; the scale holds in the plane of the feet."));
        List<ErrorPlot.Panel> panels = new ArrayList<>();
        for (What what : What.values()) {
            Map<String, List<Double>> series = new LinkedHashMap<>();
            errors.forEach((film, all) -> series.put(film.label, all.getOrDefault(what, List.of())));
            panels.add(new ErrorPlot.Panel(what.label, what.unit, what.wanted, series));
        }
        Files.writeString(docs.resolve("measuring-films.svg"), ErrorPlot.svg(panels));
        return lines;
    }

    private void swing(Film film, double rate, Random random) {
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
        TrackReading face = read(film, View.FACE_ON, rate, swing, List.of(), random);
        moment(film, What.LEVEL, face, Checkpoint.ARM_BACK, swing);
        moment(film, What.LEVEL, face, Checkpoint.ARM_DOWN, swing);
        moment(film, What.TOP, face, Checkpoint.TOP, swing);
        moment(film, What.IMPACT, face, Checkpoint.IMPACT, swing);
        moment(film, What.ADDRESS, face, Checkpoint.ADDRESS, swing);
        List<Moment> given = List.copyOf(face.swing().moments());
        TrackReading line = read(film, View.DOWN_THE_LINE, rate, swing, given, random);
        for (TrackReading reading : List.of(face, line)) {
            for (Measured measured : reading.swing().readings()) compare(film, measured, swing);
        }
    }

    private static TrackReading read(
            Film film, View view, double rate, GolfSwing swing, List<Moment> given, Random random) {
        Camera camera = new Camera(view, rate, 3.2, film.noise, film.distance, 95, film.roll);
        return TrackReader.read(
                camera.film(swing, REST, 0.8, random),
                Optional.of(Ruler.ofMarks(camera.pixels(90), 90)),
                OptionalDouble.empty(),
                given);
    }

    private void moment(Film film, What what, TrackReading read, Checkpoint at, GolfSwing swing) {
        read.swing().moment(at).ifPresent(m -> add(film, what, 1000 * (m.seconds() - REST - swing.seconds(at))));
    }

    private void compare(Film film, Measured read, GolfSwing swing) {
        if (read.at().isEmpty()) return;
        OptionalDouble truth = swing.truth(read.measure(), read.at());
        if (truth.isEmpty()) return;
        double error = read.value() - truth.getAsDouble();
        values++;
        if (Math.abs(error) < 2 * read.uncertainty()) within++;
        boolean top = read.at().get() == Checkpoint.TOP;
        what(read.measure(), top).ifPresent(what -> add(film, what, error));
    }

    private static Optional<What> what(Measure measure, boolean top) {
        return switch (measure) {
            case PELVIS_DRIFT, HEAD_DRIFT -> Optional.of(What.TRAVEL);
            case PELVIS_THRUST -> Optional.of(What.THRUST);
            case POSTURE_RISE -> Optional.of(What.BEND);
            case TRAIL_HEEL_LIFT -> Optional.of(What.HEEL);
            case SHOULDER_TURN -> top ? Optional.of(What.SHOULDERS) : Optional.empty();
            case HIP_TURN -> top ? Optional.of(What.HIPS) : Optional.empty();
            default -> Optional.empty();
        };
    }

    private void add(Film film, What what, double error) {
        errors.get(film).computeIfAbsent(what, w -> new ArrayList<>()).add(Math.abs(error));
    }
}
