package app.hodegon.core.track;

import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.track.Track.Path;
import java.util.Map;
import java.util.Optional;

/** The body of a cleaned track: its points and what is half-way between them, as curves in pixels. */
final class Body {

    private final Track track;
    private final Map<BodyPoint, Path> paths;

    /** A point's two curves. */
    record Spot(Curve along, Curve up) {

        Spot middle(Spot other) {
            return new Spot(along.middle(other.along), up.middle(other.up));
        }

        double noise() {
            return Math.hypot(along.noise(), up.noise()) / Math.sqrt(2);
        }
    }

    /** What somebody sets in a picture lies so far beside, as a part of the body's length: about 1 cm; an assumption. */
    private static final double SET_BESIDE = 0.008;

    private final double beside;

    /** @param length of the body, pixels */
    Body(Track track, double length) {
        this.track = track;
        this.paths = track.paths();
        this.beside = SET_BESIDE * length;
    }

    private Spot spot(double[] along, double[] up) {
        return new Spot(curve(along), curve(up));
    }

    private Curve curve(double[] values) {
        if (track.isByHand()) return Curve.byHand(track.seconds(), values, beside);
        return new Curve(track.seconds(), values);
    }

    /** From ankles to ears (or what is next to them), upwards, where it is usual; pixels, over 0. */
    static double length(int n, Map<BodyPoint, Path> paths) {
        double top = usual(n, paths, BodyPoint.LEAD_EAR, BodyPoint.TRAIL_EAR, BodyPoint.NOSE, BodyPoint.LEAD_SHOULDER);
        double bottom =
                usual(n, paths, BodyPoint.LEAD_ANKLE, BodyPoint.TRAIL_ANKLE, BodyPoint.LEAD_HEEL, BodyPoint.LEAD_KNEE);
        return Double.isNaN(top) || Double.isNaN(bottom) ? 1 : Math.max(1, top - bottom);
    }

    /** The usual height of the first of some points that was seen. */
    private static double usual(int n, Map<BodyPoint, Path> paths, BodyPoint... points) {
        for (BodyPoint point : points) {
            if (!paths.containsKey(point)) continue;
            double[] up = paths.get(point).up();
            double[] seen = new double[n];
            int found = 0;
            for (double value : up) if (!Double.isNaN(value)) seen[found++] = value;
            if (found > n / 2) return Curve.median(seen, found);
        }
        return Double.NaN;
    }

    /** Whether the shoulders are rather beside or below the feet than above them: no golfer stands so, but a film may. */
    boolean lies() {
        Optional<Spot> feet =
                middle(BodyPoint.LEAD_ANKLE, BodyPoint.TRAIL_ANKLE).or(this::hips);
        if (feet.isEmpty() || shoulders().isEmpty()) return false;
        Spot shoulders = shoulders().get();
        double up = shoulders.up().minus(feet.get().up()).median(track.first(), track.last());
        double along = shoulders.along().minus(feet.get().along()).median(track.first(), track.last());
        return up < Math.abs(along);
    }

    Optional<Spot> point(BodyPoint point) {
        return Optional.ofNullable(paths.get(point)).map(p -> spot(p.along(), p.up()));
    }

    private Optional<Spot> middle(BodyPoint lead, BodyPoint trail) {
        Optional<Spot> other = point(trail);
        return point(lead).flatMap(l -> other.map(l::middle));
    }

    Optional<Spot> hips() {
        return middle(BodyPoint.LEAD_HIP, BodyPoint.TRAIL_HIP);
    }

    Optional<Spot> shoulders() {
        return middle(BodyPoint.LEAD_SHOULDER, BodyPoint.TRAIL_SHOULDER);
    }

    Optional<Spot> head() {
        return middle(BodyPoint.LEAD_EAR, BodyPoint.TRAIL_EAR);
    }

    Optional<Spot> knees() {
        return middle(BodyPoint.LEAD_KNEE, BodyPoint.TRAIL_KNEE);
    }

    boolean isFound() {
        return track.isFound();
    }

    boolean isByHand() {
        return track.isByHand();
    }

    /** How sure of a point the detector was around a moment: the least of some pictures; 0 where it is not there. */
    double certainty(BodyPoint point, double moment) {
        Path path = paths.get(point);
        if (path == null) return 0;
        double least = 1;
        double near = Math.max(track.step(), 0.01);
        for (int i = 0; i < track.length(); i++) {
            if (Math.abs(track.time(i) - moment) <= near) least = Math.min(least, path.certainty()[i]);
        }
        return least;
    }

    /**
     * The hands, which hold one club: half-way between the wrists, or where they lie further apart than a club allows, the
     * one that is surer.
     *
     * @param length of the body, pixels
     */
    Optional<Spot> hands(double length) {
        Path lead = paths.get(BodyPoint.LEAD_WRIST);
        Path trail = paths.get(BodyPoint.TRAIL_WRIST);
        if (lead == null || trail == null) return point(lead == null ? BodyPoint.TRAIL_WRIST : BodyPoint.LEAD_WRIST);
        int n = track.length();
        double[] along = new double[n];
        double[] up = new double[n];
        for (int i = 0; i < n; i++) {
            double apart = Math.hypot(lead.along()[i] - trail.along()[i], lead.up()[i] - trail.up()[i]);
            double ofLead = 0.5;
            if (!(apart < APART * length)) {
                boolean trailOnly = Double.isNaN(lead.along()[i]);
                boolean leadOnly = Double.isNaN(trail.along()[i]);
                ofLead = trailOnly || !leadOnly && trail.certainty()[i] > lead.certainty()[i] ? 0 : 1;
            }
            along[i] = between(lead.along()[i], trail.along()[i], ofLead);
            up[i] = between(lead.up()[i], trail.up()[i], ofLead);
        }
        return Optional.of(spot(along, up));
    }

    /** Wrists of one grip lie at most this part of the body's length apart. */
    private static final double APART = 0.14;

    private static double between(double lead, double trail, double ofLead) {
        if (ofLead == 1) return lead;
        return ofLead == 0 ? trail : (lead + trail) / 2;
    }
}
