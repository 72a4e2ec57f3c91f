package app.hodegon.server.track;

import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.track.Track;
import app.hodegon.core.track.Track.Path;
import app.hodegon.core.track.View;
import app.hodegon.server.http.Invalid;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Points as they are called and lie outside, by left and right in the picture; inside it is lead and trail. */
final class Points {

    /** No picture is larger, pixels. */
    private static final double WIDEST = 100_000;

    /** No film is longer, seconds. */
    private static final double LONGEST = 3600;

    private static final double SLOWEST_RATE = 10;
    private static final double FASTEST_RATE = 1000;

    private Points() {}

    static double[] seconds(Double frameRate, double[] times, int frames) {
        if (times == null) {
            if (frameRate == null) throw new Invalid("frameRate", "Give frameRate, or times for every frame.");
            if (!(frameRate >= SLOWEST_RATE && frameRate <= FASTEST_RATE)) {
                throw new Invalid("frameRate", "A film has 10 to 1,000 frames a second.");
            }
            double[] even = new double[frames];
            for (int i = 0; i < frames; i++) even[i] = i / frameRate;
            return even;
        }
        if (times.length != frames) {
            throw new Invalid("times", "There are %d times for %d frames.".formatted(times.length, frames));
        }
        for (double time : times) {
            if (!(time >= 0 && time <= LONGEST)) throw new Invalid("times", "A time lies between 0 and 3,600 s.");
        }
        return times;
    }

    static Map<BodyPoint, Path> paths(View view, Handedness hand, List<String> names, double[][][] frames) {
        List<BodyPoint> points = names.stream().map(name -> point(name, hand)).toList();
        if (points.stream().distinct().count() < points.size()) {
            throw new Invalid("points", "Name every point once.");
        }
        Map<BodyPoint, Path> paths = new EnumMap<>(BodyPoint.class);
        for (int k = 0; k < points.size(); k++) paths.put(points.get(k), path(view, hand, frames, k, points.size()));
        return paths;
    }

    private static BodyPoint point(String name, Handedness hand) {
        BodyPoint point = named(hand).get(name);
        if (point == null) {
            throw new Invalid(
                    "points",
                    "\"%s\" is no point; known: %s."
                            .formatted(name, String.join(", ", named(hand).keySet())));
        }
        return point;
    }

    private static Map<String, BodyPoint> named(Handedness hand) {
        Map<String, BodyPoint> named = new LinkedHashMap<>();
        for (BodyPoint point : BodyPoint.values()) if (Track.POINTS.contains(point)) named.put(point.name(hand), point);
        return named;
    }

    private static Path path(View view, Handedness hand, double[][][] frames, int k, int points) {
        double[] x = new double[frames.length];
        double[] y = new double[frames.length];
        double[] certainty = new double[frames.length];
        for (int i = 0; i < frames.length; i++) {
            double[][] frame = frames[i];
            if (frame == null || frame.length != points) throw wrong(i, "needs every named point");
            double[] point = frame[k];
            if (point == null || point.length != 3) throw wrong(i, "has a point that is not [x, y, certainty]");
            if (!(Math.abs(point[0]) <= WIDEST && Math.abs(point[1]) <= WIDEST)) {
                throw wrong(i, "has a point beyond 100,000 pixels");
            }
            if (!(point[2] >= 0 && point[2] <= 1)) throw wrong(i, "has a certainty that is not 0 to 1");
            x[i] = point[0];
            y[i] = point[1];
            certainty[i] = point[2];
        }
        return Path.inPicture(view, hand, x, y, certainty);
    }

    private static Invalid wrong(int frame, String what) {
        return new Invalid("frames", "Frame %d %s.".formatted(frame, what));
    }
}
