package app.hodegon.bench;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Pace;
import app.hodegon.core.simulate.Camera;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.track.Track;
import app.hodegon.core.track.View;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** The longest film that is read: nineteen points in 3,000 pictures. */
final class FilmedSwing {

    private static final double RATE = 240;
    private static final double STANDS = 9.5;
    private static final List<BodyPoint> POINTS = List.copyOf(Track.POINTS);

    private FilmedSwing() {}

    /** As the calculator wants it. */
    static String request() {
        Track film = Camera.ideal(View.FACE_ON, RATE, 0.4)
                .film(
                        new Golfer(Handedness.RIGHT, 178, PressureSchool.CENTRED, Map.of(), Pace.USUAL).swing(),
                        STANDS,
                        0.84,
                        new Random(3));
        int last = Math.min(film.length(), Track.LONGEST);
        String frames = IntStream.range(0, last)
                .mapToObj(i -> POINTS.stream()
                        .map(p -> film.path(p).orElseThrow())
                        .map(p -> String.format(Locale.ROOT, "[%.1f,%.1f,0.95]", 640 + p.along()[i], 500 - p.up()[i]))
                        .collect(Collectors.joining(",", "[", "]")))
                .collect(Collectors.joining(",", "[", "]"));
        String names =
                POINTS.stream().map(p -> '"' + p.name(Handedness.RIGHT) + '"').collect(Collectors.joining(","));
        return """
                {"handedness":"right","view":"face-on","frameRate":240,"height":178,"points":[%s],"frames":%s}""".formatted(names, frames);
    }
}
