package app.hodegon.core.golfer;

import static app.hodegon.core.golfer.BodyPoint.*;
import static app.hodegon.core.swing.Checkpoint.ADDRESS;
import static app.hodegon.core.swing.Checkpoint.ARM_DOWN;
import static app.hodegon.core.swing.Checkpoint.FINISH;
import static app.hodegon.core.swing.Checkpoint.IMPACT;
import static app.hodegon.core.swing.Checkpoint.TOP;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.swing.Checkpoint;
import java.util.List;

/**
 * From where, when and where a fault is best seen.
 *
 * @param points of the body to look at
 */
public record FaultLook(Seen seen, Checkpoint at, List<BodyPoint> points) {

    /** Where the eye stands. */
    public enum Seen {
        FACE,
        LINE,
        ABOVE
    }

    private static FaultLook look(Seen seen, Checkpoint at, BodyPoint... points) {
        return new FaultLook(seen, at, List.of(points));
    }

    public static FaultLook of(Fault fault) {
        return switch (fault) {
            case STIFF_TRAIL_ANKLE -> look(Seen.LINE, ARM_DOWN, TRAIL_HEEL);
            case STIFF_TRAIL_HIP, SWAY -> look(Seen.FACE, TOP, LEAD_HIP, TRAIL_HIP);
            case OPEN_SETUP, CLOSED_SETUP -> look(Seen.ABOVE, ADDRESS, LEAD_HIP, TRAIL_HIP);
            case REVERSE_PIVOT -> look(Seen.FACE, TOP, NOSE, LEAD_ANKLE);
            case NO_LOAD -> look(Seen.FACE, TOP, TRAIL_HIP, LEAD_SHOULDER);
            case FROZEN_FEET -> look(Seen.FACE, TOP, LEAD_HEEL, LEAD_HIP);
            case LATE_RECENTRE, CLOSED_SLIDE -> look(Seen.FACE, ARM_DOWN, LEAD_HIP, TRAIL_HIP);
            case EARLY_SPIN -> look(Seen.LINE, ARM_DOWN, LEAD_HIP, TRAIL_HEEL);
            case ARMS_FIRST -> look(Seen.FACE, ARM_DOWN, LEAD_WRIST, CLUB_HEAD);
            case HANGING_BACK -> look(Seen.FACE, IMPACT, TRAIL_HIP, TRAIL_HEEL);
            case EARLY_EXTENSION -> look(Seen.LINE, IMPACT, TRAIL_HIP, TRAIL_HEEL);
            case OVER_THE_TOP, INSIDE_STUCK -> look(Seen.LINE, ARM_DOWN, LEAD_WRIST, CLUB_HEAD);
            case TOE_FALL -> look(Seen.LINE, IMPACT, NOSE, LEAD_HEEL);
            case LEAD_FOOT_SPIN -> look(Seen.FACE, FINISH, LEAD_TOE);
        };
    }
}
