package app.hodegon.core.golfer;

import app.hodegon.core.motion.Foot;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import java.util.Optional;

/** The points of the body that are known at every moment, and the club's two ends. */
public enum BodyPoint implements Identified {
    NOSE("nose"),
    LEAD_EAR("ear", Foot.LEAD),
    TRAIL_EAR("ear", Foot.TRAIL),
    LEAD_SHOULDER("shoulder", Foot.LEAD),
    TRAIL_SHOULDER("shoulder", Foot.TRAIL),
    LEAD_ELBOW("elbow", Foot.LEAD),
    TRAIL_ELBOW("elbow", Foot.TRAIL),
    LEAD_WRIST("wrist", Foot.LEAD),
    TRAIL_WRIST("wrist", Foot.TRAIL),
    LEAD_HIP("hip", Foot.LEAD),
    TRAIL_HIP("hip", Foot.TRAIL),
    LEAD_KNEE("knee", Foot.LEAD),
    TRAIL_KNEE("knee", Foot.TRAIL),
    LEAD_ANKLE("ankle", Foot.LEAD),
    TRAIL_ANKLE("ankle", Foot.TRAIL),
    LEAD_HEEL("heel", Foot.LEAD),
    TRAIL_HEEL("heel", Foot.TRAIL),
    LEAD_TOE("toe", Foot.LEAD),
    TRAIL_TOE("toe", Foot.TRAIL),
    GRIP("grip"),
    CLUB_HEAD("club-head");

    private final String part;
    private final Optional<Foot> side;

    BodyPoint(String part) {
        this.part = part;
        this.side = Optional.empty();
    }

    BodyPoint(String part, Foot side) {
        this.part = part;
        this.side = Optional.of(side);
    }

    @Override
    public String id() {
        return side.map(s -> s.id() + "-").orElse("") + part;
    }

    /** Its name for a golfer of this hand, such as {@code left-knee}. */
    public String name(Handedness hand) {
        return side.map(s -> s.side(hand) + "-").orElse("") + part;
    }
}
