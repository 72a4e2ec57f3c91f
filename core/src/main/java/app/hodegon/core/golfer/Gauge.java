package app.hodegon.core.golfer;

import app.hodegon.core.swing.Measure;
import java.util.Optional;

/**
 * How a measure reads one coordinate at one checkpoint.
 *
 * @param fromAddress whether it reads the way from where the coordinate was at address
 * @param sign of the measure for a coordinate that grows
 */
record Gauge(Coordinate what, boolean fromAddress, int sign) {

    /** Empty for what belongs to no checkpoint, or is nothing that moves here. */
    static Optional<Gauge> of(Measure measure) {
        return Optional.ofNullable(
                switch (measure) {
                    case TRAIL_SHARE -> new Gauge(Coordinate.TRAIL_SHARE, false, 1);
                    case TRAIL_TOE -> new Gauge(Coordinate.TRAIL_FRONT, false, 1);
                    case LEAD_TOE -> new Gauge(Coordinate.LEAD_FRONT, false, 1);
                    case TRAIL_OUTER -> new Gauge(Coordinate.TRAIL_OUTER, false, 1);
                    case LEAD_OUTER -> new Gauge(Coordinate.LEAD_OUTER, false, 1);
                    case PELVIS_DRIFT -> new Gauge(Coordinate.PELVIS_SIDE, true, 1);
                    case HEAD_DRIFT -> new Gauge(Coordinate.HEAD_SIDE, true, 1);
                    case PELVIS_THRUST -> new Gauge(Coordinate.PELVIS_IN, true, 1);
                    case HIP_TURN -> new Gauge(Coordinate.HIP_LINE, true, 1);
                    case SHOULDER_TURN -> new Gauge(Coordinate.SHOULDER_LINE, true, 1);
                    case HIP_LINE -> new Gauge(Coordinate.HIP_LINE, false, -1);
                    case POSTURE_RISE -> new Gauge(Coordinate.BEND, true, -1);
                    case TRAIL_HEEL_LIFT -> new Gauge(Coordinate.TRAIL_HEEL, false, 1);
                    default -> null;
                });
    }

    /** What the measure says of a coordinate. */
    double read(double value, double address) {
        return sign * (value - (fromAddress ? address : 0));
    }

    /** The coordinate of which the measure says so. */
    double value(double reading, double address) {
        return sign * reading + (fromAddress ? address : 0);
    }
}
