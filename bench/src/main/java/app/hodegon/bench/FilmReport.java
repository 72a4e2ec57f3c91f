package app.hodegon.bench;

import app.hodegon.bench.ErrorStudy.What;
import app.hodegon.core.golfer.GolfSwing;
import app.hodegon.core.motion.Measured;
import app.hodegon.core.motion.Moment;
import app.hodegon.core.simulate.Camera;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.track.Ruler;
import app.hodegon.core.track.TrackReader;
import app.hodegon.core.track.TrackReading;
import app.hodegon.core.track.View;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;

/** What is read from the points of a film against what was put in: a part of docs/measuring.md. */
final class FilmReport {

    private static final int SWINGS = 600;
    private static final long SEED = 1818;
    private static final double REST = 1;
    private static final double[] RATES = {30, 60, 120, 240};

    private static final What LEVEL = new What("arm level, going back and coming down", "ms", 10);
    private static final What TOP = new What("top", "ms", 25);
    private static final What IMPACT = new What("impact", "ms", 12);
    private static final What ADDRESS = new What("address", "ms", 80);
    private static final What TRAVEL = new What("pelvis and head along the line (face on)", "cm", 1);
    private static final What THRUST = new What("pelvis towards the ball (down the line)", "cm", 1);
    private static final What BEND = new What("forward bend lost (down the line)", "°", 2);
    private static final What HEEL = new What("trail heel off the ground", "cm", 1);
    private static final What SHOULDERS = new What("shoulder turn at the top", "°", 5);
    private static final What HIPS = new What("hip turn at the top", "°", 10);

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

    private final ErrorStudy errors =
            new ErrorStudy(LEVEL, TOP, IMPACT, ADDRESS, TRAVEL, THRUST, BEND, HEEL, SHOULDERS, HIPS);
    private int values;
    private int within;

    private FilmReport() {}

    /** Writes the plot, and gives the lines. */
    static List<String> write(Path docs) throws IOException {
        return new FilmReport().run(docs);
    }

    private List<String> run(Path docs) throws IOException {
        for (Film film : Film.values()) {
            Random random = new Random(SEED);
            for (int i = 0; i < SWINGS; i++) swing(film, RATES[i % RATES.length], random);
        }
        List<String> lines = new ArrayList<>(List.of(
                "# Films: what is read from points",
                "",
                "%,d simulated swings, each filmed face on and down the line: every school, %.0f %% with a fault of random"
                        .formatted(SWINGS, 100 * ErrorStudy.FAULTY),
                "strength, 30, 60, 120 or 240 pictures a second, a scale by two marks. Moments are found from the points; what is",
                "measured down the line is read with the moments given, as a film face on beside it would. Errors without their",
                "sign.",
                ""));
        for (Film film : Film.values()) {
            lines.add("## " + film.label.substring(0, 1).toUpperCase(Locale.ROOT) + film.label.substring(1));
            lines.add("");
            lines.addAll(errors.table(film.label));
        }
        lines.addAll(List.of(
                "Of all %,d values read at a moment, %.1f %% lie within twice the uncertainty said of them."
                        .formatted(values, 100.0 * within / values),
                "",
                "![Errors, cumulative](measuring-films.svg)",
                "",
                "- Noise here is white and the same for all points. What finds points in pictures is off by more and goes on being",
                "  off: its errors on the demo's films are held by a browser test.",
                "- A near camera sees what comes closer as larger; the scale holds in the plane of the feet."));
        Files.writeString(docs.resolve("measuring-films.svg"), errors.plot());
        return lines;
    }

    private void swing(Film film, double rate, Random random) {
        GolfSwing swing = ErrorStudy.drawnSwing(random);
        TrackReading face = read(film, View.FACE_ON, rate, swing, List.of(), random);
        moment(film, LEVEL, face, Checkpoint.ARM_BACK, swing);
        moment(film, LEVEL, face, Checkpoint.ARM_DOWN, swing);
        moment(film, TOP, face, Checkpoint.TOP, swing);
        moment(film, IMPACT, face, Checkpoint.IMPACT, swing);
        moment(film, ADDRESS, face, Checkpoint.ADDRESS, swing);
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
            case PELVIS_DRIFT, HEAD_DRIFT -> Optional.of(TRAVEL);
            case PELVIS_THRUST -> Optional.of(THRUST);
            case POSTURE_RISE -> Optional.of(BEND);
            case TRAIL_HEEL_LIFT -> Optional.of(HEEL);
            case SHOULDER_TURN -> top ? Optional.of(SHOULDERS) : Optional.empty();
            case HIP_TURN -> top ? Optional.of(HIPS) : Optional.empty();
            default -> Optional.empty();
        };
    }

    private void add(Film film, What what, double error) {
        errors.add(film.label, what, error);
    }
}
