package app.hodegon.core.track;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.golfer.GolfSwing;
import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Pace;
import app.hodegon.core.motion.Trouble;
import app.hodegon.core.motion.Trouble.Kind;
import app.hodegon.core.simulate.Camera;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.track.Track.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.BiConsumer;

/** Films of simulated golfers for the tests that read them. */
final class Films {

    static final double FOUND_NOISE = 0.4;
    static final double BEFORE = 0.9;

    private Films() {}

    static Golfer golfer(PressureSchool school, Map<Fault, Double> faults) {
        return new Golfer(Handedness.RIGHT, 175, school, faults, Pace.USUAL);
    }

    static Optional<Ruler> rod(Camera camera) {
        return Optional.of(Ruler.ofMarks(camera.pixels(91.4), 91.4));
    }

    static TrackReading film(Camera camera, GolfSwing swing, int seed) {
        return read(camera.film(swing, BEFORE, 0.8, new Random(seed)), camera);
    }

    static TrackReading read(Track track, Camera camera) {
        return TrackReader.read(track, rod(camera), OptionalDouble.empty(), List.of());
    }

    static List<Kind> kinds(TrackReading read) {
        return read.swing().troubles().stream().map(Trouble::kind).toList();
    }

    static Track spoiled(Track track, BiConsumer<BodyPoint, Path> change) {
        Map<BodyPoint, Path> paths = new EnumMap<>(BodyPoint.class);
        for (BodyPoint point : Track.POINTS) {
            Path path = track.path(point).orElseThrow().copy();
            change.accept(point, path);
            paths.put(point, path);
        }
        double[] seconds = new double[track.length()];
        for (int i = 0; i < seconds.length; i++) seconds[i] = track.time(i);
        return new Track(track.view(), seconds, paths);
    }
}
