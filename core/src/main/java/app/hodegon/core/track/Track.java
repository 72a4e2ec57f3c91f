package app.hodegon.core.track;

import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.swing.Handedness;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Points of one body over time, seen by one camera: found in every picture of a film, or set by hand in the pictures of
 * some moments.
 */
public final class Track {

    /** Fewest and most pictures. */
    public static final int SHORTEST = 30;

    public static final int LONGEST = 3000;

    private static final int MOST_BY_HAND = 8;

    /** Longest time from one picture to the next, seconds: slower films hold no swing. */
    private static final double SLOWEST = 0.2;

    /** And shortest, in the mean, seconds. */
    private static final double FASTEST = 0.0009;

    /** The points a track may have: the body's, without the club. */
    public static final Set<BodyPoint> POINTS =
            Collections.unmodifiableSet(EnumSet.complementOf(EnumSet.of(BodyPoint.GRIP, BodyPoint.CLUB_HEAD)));

    private final View view;
    private final double[] seconds;
    private final Map<BodyPoint, Path> paths;

    /** Whether a program found the points in pictures: then they lie beside the body's own. */
    private final boolean found;

    /** Time from one picture of the film to the next where points were set in some of them, seconds; else NaN. */
    private final double ofTheFilm;

    /**
     * One point's way through the pictures; NaN where it was not seen.
     *
     * @param along pixels towards target or ball
     * @param up pixels upwards
     * @param certainty how sure of it is what found it, 0 to 1
     */
    public record Path(double[] along, double[] up, double[] certainty) {

        /**
         * As pictures have it.
         *
         * @param x pixels to the right
         * @param y pixels down
         */
        public static Path inPicture(View view, Handedness hand, double[] x, double[] y, double[] certainty) {
            double[] along = new double[x.length];
            double[] up = new double[y.length];
            for (int i = 0; i < x.length; i++) {
                along[i] = view.sign(hand) * x[i];
                up[i] = -y[i];
            }
            return new Path(along, up, certainty);
        }

        Path copy() {
            return new Path(along.clone(), up.clone(), certainty.clone());
        }
    }

    /**
     * @param seconds of each picture from any zero, rising
     * @throws IllegalArgumentException for too few or too many pictures, for times that do not rise or lie too far apart, and
     *     for paths of another length
     */
    public Track(View view, double[] seconds, Map<BodyPoint, Path> paths) {
        this(view, ofFilm(seconds), paths, Double.NaN, false);
    }

    private static double[] ofFilm(double[] seconds) {
        if (seconds.length < SHORTEST || seconds.length > LONGEST) {
            throw new IllegalArgumentException(
                    "A swing has " + SHORTEST + " to 3,000 pictures; these are " + seconds.length + ".");
        }
        double[] rising = rising(seconds);
        for (int i = 1; i < rising.length; i++) {
            if (rising[i] - rising[i - 1] > SLOWEST)
                throw new IllegalArgumentException("Two pictures may lie at most " + SLOWEST + " s apart.");
        }
        if (rising[rising.length - 1] - rising[0] < FASTEST * (rising.length - 1)) {
            throw new IllegalArgumentException("A film has at most 1,000 pictures a second.");
        }
        return rising;
    }

    private static double[] rising(double[] seconds) {
        double[] rising = seconds.clone();
        for (int i = 1; i < rising.length; i++) {
            if (!(rising[i] > rising[i - 1]))
                throw new IllegalArgumentException("The times of the pictures must rise.");
        }
        return rising;
    }

    /**
     * Points that somebody set in one picture for each of some moments.
     *
     * @param seconds of these pictures, rising
     * @param step from one picture of the film to the next, seconds
     * @throws IllegalArgumentException for fewer than 2 or more than 8 pictures, and as for a film
     */
    public static Track byHand(View view, double[] seconds, Map<BodyPoint, Path> paths, double step) {
        if (seconds.length < 2 || seconds.length > MOST_BY_HAND) {
            throw new IllegalArgumentException(
                    "By hand points are set at 2 to 8 moments; these are " + seconds.length + ".");
        }
        if (!(step >= FASTEST && step <= SLOWEST)) {
            throw new IllegalArgumentException("A film has 5 to 1,000 pictures a second.");
        }
        return new Track(view, rising(seconds), paths, step, false);
    }

    private Track(View view, double[] seconds, Map<BodyPoint, Path> paths, double ofTheFilm, boolean found) {
        this.view = Objects.requireNonNull(view);
        this.seconds = seconds;
        this.ofTheFilm = ofTheFilm;
        this.found = found;
        this.paths = new EnumMap<>(BodyPoint.class);
        paths.forEach((point, path) -> {
            if (path.along().length != seconds.length
                    || path.up().length != seconds.length
                    || path.certainty().length != seconds.length) {
                throw new IllegalArgumentException("Every picture needs every point.");
            }
            if (!POINTS.contains(point)) throw new IllegalArgumentException(point.id() + " is no point of the body.");
            this.paths.put(point, path);
        });
    }

    /** The same with other points. */
    Track with(Map<BodyPoint, Path> others) {
        return new Track(view, seconds, others, ofTheFilm, found);
    }

    /** The same, of points that a program found in a film: what that may be off by is part of every reading. */
    public Track asFound() {
        return new Track(view, seconds, paths, ofTheFilm, true);
    }

    boolean isFound() {
        return found;
    }

    /** Whether its points were set at some moments. */
    public boolean isByHand() {
        return !Double.isNaN(ofTheFilm);
    }

    public View view() {
        return view;
    }

    public int length() {
        return seconds.length;
    }

    /** When a picture was taken. */
    public double time(int picture) {
        return seconds[picture];
    }

    /** Which picture was taken at a moment. */
    OptionalInt pictureAt(double moment) {
        return IntStream.range(0, seconds.length)
                .filter(i -> Math.abs(seconds[i] - moment) < Curve.SAME)
                .findFirst();
    }

    double[] seconds() {
        return seconds;
    }

    public double first() {
        return seconds[0];
    }

    public double last() {
        return seconds[seconds.length - 1];
    }

    /** Usual time from one picture of the film to the next, seconds: their mean. */
    public double step() {
        if (isByHand()) return ofTheFilm;
        return (last() - first()) / (seconds.length - 1);
    }

    /** Time from one picture to the next around a moment, seconds. */
    public double stepAt(double moment) {
        return isByHand() ? ofTheFilm : stepAt(seconds, moment);
    }

    static double stepAt(double[] seconds, double moment) {
        int found = Arrays.binarySearch(seconds, moment);
        int next = Math.max(1, Math.min(seconds.length - 1, found >= 0 ? found : -found - 1));
        return seconds[next] - seconds[next - 1];
    }

    public Optional<Path> path(BodyPoint point) {
        return Optional.ofNullable(paths.get(point));
    }

    Map<BodyPoint, Path> paths() {
        return paths;
    }
}
