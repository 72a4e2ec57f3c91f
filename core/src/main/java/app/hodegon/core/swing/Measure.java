package app.hodegon.core.swing;

/** What can be measured in a swing. Lead share is 100 − trail share, so only the trail foot's is stored. */
public enum Measure implements Identified {
    TRAIL_SHARE("trail-share", "Load under the {trail} foot", Quantity.SHARE, true),
    TRAIL_TOE("trail-toe", "{Trail} foot's load in its front half", Quantity.SHARE, true),
    LEAD_TOE("lead-toe", "{Lead} foot's load in its front half", Quantity.SHARE, true),
    TRAIL_OUTER("trail-outer", "{Trail} foot's load on its outer half", Quantity.SHARE, true),
    LEAD_OUTER("lead-outer", "{Lead} foot's load on its outer half", Quantity.SHARE, true),
    PEAK_TRAIL_SHARE("peak-trail-share", "Highest load under the {trail} foot before impact", Quantity.SHARE, false),
    RECENTRE_LEAD("recentre-lead", "Back through even before the {lead} arm is level", Quantity.TIME, false),
    SHIFT_SPEED("shift-speed", "Fastest shift to the {lead} foot", Quantity.SHIFT, false),
    PELVIS_DRIFT("pelvis-drift", "Pelvis travel away from the target", Quantity.TRAVEL, true),
    HEAD_DRIFT("head-drift", "Head travel away from the target", Quantity.TRAVEL, true),
    HIP_TURN("hip-turn", "Hip turn", Quantity.TURN, true),
    SHOULDER_TURN("shoulder-turn", "Shoulder turn", Quantity.TURN, true),
    HIP_LINE("hip-line", "Hip line, open is plus", Quantity.TURN, true),
    PELVIS_THRUST("pelvis-thrust", "Pelvis travel towards the ball", Quantity.TRAVEL, true),
    POSTURE_RISE("posture-rise", "Forward bend lost", Quantity.POSTURE, true),
    LEAD_FOOT_SHIFT("lead-foot-shift", "{Lead} foot moved from its mark", Quantity.FOOT, false),
    TRAIL_HEEL_LIFT("trail-heel-lift", "{Trail} heel off the ground", Quantity.FOOT, true),
    BACKSWING_TIME("backswing-time", "Backswing time", Quantity.TIME, false),
    DOWNSWING_TIME("downswing-time", "Downswing time", Quantity.TIME, false),
    TEMPO_RATIO("tempo-ratio", "Backswing to downswing", Quantity.TEMPO, false),
    STANCE_RATIO("stance-ratio", "Stance over pelvis width", Quantity.STANCE, false),
    ANKLE_REACH("ankle-reach", "Knee to wall, {trail} ankle", Quantity.REACH, false),
    CARRY("carry", "Carry", Quantity.DISTANCE, false),
    OFFLINE("offline", "Miss from the target line", Quantity.DISTANCE, false);

    private final String id;
    private final String label;
    private final Quantity quantity;
    private final boolean atCheckpoint;

    Measure(String id, String label, Quantity quantity, boolean atCheckpoint) {
        this.id = id;
        this.label = label;
        this.quantity = quantity;
        this.atCheckpoint = atCheckpoint;
    }

    @Override
    public String id() {
        return id;
    }

    /** What is measured, in lead/trail placeholders. */
    public String label() {
        return label;
    }

    public Quantity quantity() {
        return quantity;
    }

    /** Whether a reading of this measure belongs to one checkpoint. */
    public boolean atCheckpoint() {
        return atCheckpoint;
    }
}
