package app.hodegon.core.simulate;

import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.golfer.GolfSwing;
import app.hodegon.core.golfer.Point;
import app.hodegon.core.track.Track;
import app.hodegon.core.track.Track.Path;
import app.hodegon.core.track.View;
import java.util.EnumMap;
import java.util.Map;
import java.util.Random;

/**
 * A camera before or behind the simulated golfer, with what finds a body's points in its pictures.
 *
 * @param rate pictures a second
 * @param pixelsPerCentimetre in the plane of the feet
 * @param noise of each point in each picture, cm, standard deviation to each side
 * @param distance from the feet, cm: nearer things look larger
 * @param height of the lens over the ground, cm
 * @param roll by how much it leans to its side, degrees
 */
public record Camera(
        View view, double rate, double pixelsPerCentimetre, double noise, double distance, double height, double roll) {

    private static final double CERTAINTY = 0.95;

    /** Level and far, without what a lens does. */
    public static Camera ideal(View view, double rate, double noise) {
        return new Camera(view, rate, 3.2, noise, Double.POSITIVE_INFINITY, 95, 0);
    }

    /** The scale of {@code rod} cm lying in the plane of the feet, in pixels. */
    public double pixels(double rod) {
        return rod * pixelsPerCentimetre;
    }

    /**
     * Films a swing.
     *
     * @param before seconds of address before it
     * @param after seconds of finish after it
     */
    public Track film(GolfSwing swing, double before, double after, Random random) {
        int n = (int) Math.floor((before + swing.duration() + after) * rate) + 1;
        double[] seconds = new double[n];
        Map<BodyPoint, Path> paths = new EnumMap<>(BodyPoint.class);
        for (BodyPoint point : Track.POINTS) paths.put(point, new Path(new double[n], new double[n], new double[n]));
        for (int i = 0; i < n; i++) {
            seconds[i] = i / rate;
            double at = Math.max(0, Math.min(swing.duration(), seconds[i] - before));
            Map<BodyPoint, Point> body = swing.body(at);
            for (BodyPoint point : Track.POINTS) {
                double[] seen = seen(body.get(point));
                Path path = paths.get(point);
                path.along()[i] = seen[0] + pixels(noise) * random.nextGaussian();
                path.up()[i] = seen[1] + pixels(noise) * random.nextGaussian();
                path.certainty()[i] = CERTAINTY;
            }
        }
        return new Track(view, seconds, paths);
    }

    /** Where a place is in the picture, pixels towards target or ball and up from what the camera looks at. */
    private double[] seen(Point point) {
        boolean faceOn = view == View.FACE_ON;
        double along = faceOn ? point.x() : point.y();
        // Face on the ball is nearer, down the line the trail side.
        double nearer = faceOn ? point.y() : -point.x();
        double lens = Double.isInfinite(distance) ? 1 : distance / (distance - nearer);
        double right = along * lens;
        double up = (point.z() - height) * lens;
        double lean = Math.toRadians(roll);
        return new double[] {
            pixels(right * Math.cos(lean) + up * Math.sin(lean)), pixels(up * Math.cos(lean) - right * Math.sin(lean))
        };
    }
}
