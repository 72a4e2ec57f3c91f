package app.hodegon.core.track;

import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.track.Track.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** Takes out of a track what no body does: sides that are swapped for a while, and points that jump. */
final class Cleaning {

    /** Below this certainty a point is as good as not seen. */
    static final double SEEN = 0.3;

    /**
     * A side's points are taken for swapped where that makes the way shorter, beyond so much of the body's length a picture
     * and so many times their noise: points that are as near as that may be called either.
     */
    private static final double PENALTY = 0.02;

    private static final double PENALTY_OF_NOISE = 3;

    /** Swapped points nearer than this part of the body's length are not worth a word. */
    private static final double APART = 0.08;

    /** A jump is judged by the pictures so far around it, seconds. */
    private static final double AROUND = 0.07;

    /** And it is so many times the usual distance from their median (Hampel 1974). */
    private static final double FAR = 4;

    /** From the median of absolute deviations to a standard deviation. */
    private static final double TO_DEVIATION = 1.4826;

    /** No jump is shorter than this part of the body's length. */
    private static final double LEAST_JUMP = 0.03;

    private record Pair(BodyPoint lead, BodyPoint trail) {}

    private static final List<Pair> PAIRS = List.of(
            new Pair(BodyPoint.LEAD_EAR, BodyPoint.TRAIL_EAR),
            new Pair(BodyPoint.LEAD_SHOULDER, BodyPoint.TRAIL_SHOULDER),
            new Pair(BodyPoint.LEAD_ELBOW, BodyPoint.TRAIL_ELBOW),
            new Pair(BodyPoint.LEAD_WRIST, BodyPoint.TRAIL_WRIST),
            new Pair(BodyPoint.LEAD_HIP, BodyPoint.TRAIL_HIP),
            new Pair(BodyPoint.LEAD_KNEE, BodyPoint.TRAIL_KNEE),
            new Pair(BodyPoint.LEAD_ANKLE, BodyPoint.TRAIL_ANKLE),
            new Pair(BodyPoint.LEAD_HEEL, BodyPoint.TRAIL_HEEL),
            new Pair(BodyPoint.LEAD_TOE, BodyPoint.TRAIL_TOE));

    private final Track track;
    private final Map<BodyPoint, Path> paths = new EnumMap<>(BodyPoint.class);
    private final double body;
    private int swapped;

    private Cleaning(Track track) {
        this.track = track;
        track.paths().forEach((point, path) -> paths.put(point, seen(path.copy())));
        this.body = Body.length(track.length(), paths);
    }

    /**
     * @param track without what was taken out
     * @param body length from ankles to ears where it is usual, pixels
     * @param swapped most pictures in which any two sides were put right
     */
    record Cleaned(Track track, double body, int swapped) {}

    static Cleaned of(Track track) {
        return new Cleaning(track).clean();
    }

    private Cleaned clean() {
        // Who set points by hand meant them.
        if (track.isByHand()) return new Cleaned(track.with(paths), body, 0);
        for (Pair pair : PAIRS) {
            if (paths.containsKey(pair.lead()) && paths.containsKey(pair.trail())) {
                swapped = Math.max(swapped, putRight(paths.get(pair.lead()), paths.get(pair.trail())));
            }
        }
        paths.values().forEach(this::withoutJumps);
        return new Cleaned(track.with(paths), body, swapped);
    }

    private static Path seen(Path path) {
        for (int i = 0; i < path.certainty().length; i++) {
            if (path.certainty()[i] < SEEN || Double.isNaN(path.along()[i]) || Double.isNaN(path.up()[i]))
                lose(path, i);
        }
        return path;
    }

    private static void lose(Path path, int i) {
        path.along()[i] = Double.NaN;
        path.up()[i] = Double.NaN;
    }

    /**
     * The shortest way of both points through all pictures, each picture's two points being called either way (Viterbi
     * 1967). Returns in how many pictures they were swapped.
     */
    private int putRight(Path lead, Path trail) {
        int n = track.length();
        boolean[][] swappedBefore = new boolean[2][n];
        double least = Math.hypot(PENALTY * body, PENALTY_OF_NOISE * Math.max(noise(lead), noise(trail)));
        double penalty = least * least;
        double[] cost = {0, penalty};
        int last = -1;
        for (int i = 0; i < n; i++) {
            if (Double.isNaN(lead.along()[i]) || Double.isNaN(trail.along()[i])) continue;
            if (last >= 0) {
                double same = far(lead, i, lead, last) + far(trail, i, trail, last);
                double crossed = far(lead, i, trail, last) + far(trail, i, lead, last);
                double straight = Math.min(cost[0] + same, cost[1] + crossed);
                double turned = Math.min(cost[0] + crossed, cost[1] + same) + penalty;
                swappedBefore[0][i] = cost[1] + crossed < cost[0] + same;
                swappedBefore[1][i] = cost[1] + same < cost[0] + crossed;
                cost[0] = straight;
                cost[1] = turned;
            }
            last = i;
        }
        boolean now = cost[1] < cost[0];
        int found = 0;
        for (int i = last; i >= 0; i--) {
            if (Double.isNaN(lead.along()[i]) || Double.isNaN(trail.along()[i])) continue;
            if (now) {
                if (far(lead, i, trail, i) > APART * APART * body * body) found++;
                swap(lead.along(), trail.along(), i);
                swap(lead.up(), trail.up(), i);
                swap(lead.certainty(), trail.certainty(), i);
            }
            now = swappedBefore[now ? 1 : 0][i];
        }
        return found;
    }

    private double noise(Path path) {
        return Math.hypot(
                new Curve(track.seconds(), path.along()).noise(), new Curve(track.seconds(), path.up()).noise());
    }

    private static double far(Path a, int i, Path b, int k) {
        double along = a.along()[i] - b.along()[k];
        double up = a.up()[i] - b.up()[k];
        return along * along + up * up;
    }

    private static void swap(double[] a, double[] b, int i) {
        double kept = a[i];
        a[i] = b[i];
        b[i] = kept;
    }

    private void withoutJumps(Path path) {
        int n = track.length();
        int reach = Math.max(2, (int) Math.round(AROUND / track.step()));
        boolean[] jumps = new boolean[n];
        for (int i = 0; i < n; i++) {
            jumps[i] = !Double.isNaN(path.along()[i]) && (jumps(path.along(), i, reach) || jumps(path.up(), i, reach));
        }
        for (int i = 0; i < n; i++) if (jumps[i]) lose(path, i);
    }

    private boolean jumps(double[] values, int i, int reach) {
        double[] around = new double[2 * reach + 1];
        int n = 0;
        for (int k = Math.max(0, i - reach); k <= Math.min(values.length - 1, i + reach); k++) {
            if (!Double.isNaN(values[k])) around[n++] = values[k];
        }
        if (n < 4) return false;
        double median = Curve.median(around, n);
        if (Math.abs(values[i] - median) <= LEAST_JUMP * body) return false;
        for (int k = 0; k < n; k++) around[k] = Math.abs(around[k] - median);
        double usual = TO_DEVIATION * Curve.median(around, n);
        return Math.abs(values[i] - median) > FAR * usual;
    }
}
