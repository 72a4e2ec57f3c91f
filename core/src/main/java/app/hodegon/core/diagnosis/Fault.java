package app.hodegon.core.diagnosis;

import app.hodegon.core.swing.Identified;

/**
 * The hidden causes a diagnosis weighs, in the order of the swing. Texts are written in lead/trail terms and said for
 * the student's hand.
 */
public enum Fault implements Identified {
    STIFF_TRAIL_ANKLE(
            "stiff-trail-ankle",
            "Stiff {trail} ankle",
            Stage.BODY,
            "The {trail} ankle cannot roll inwards, so the foot has to push up and around instead.",
            "A player who could roll in but never learned to: the wall test separates the two.",
            "Forcing the range. Work it gently, away from the ball; pain goes to a physiotherapist."),
    STIFF_TRAIL_HIP(
            "stiff-trail-hip",
            "Stiff {trail} hip",
            Stage.BODY,
            "The {trail} hip has little inward rotation, so the turn has to come from somewhere else.",
            "A hip that turns freely sitting down but not in the swing is a habit, not a stiff hip.",
            "Stretching hard into the stop. Small range, no force; ask a physiotherapist when it hurts."),
    OPEN_SETUP(
            "open-setup",
            "Open hips at address",
            Stage.SET_UP,
            "The pelvis already faces past the target on the {lead} side before the club has moved.",
            "A ball played forward for the driver opens the hips by itself; move the ball first, then look again.",
            "Aiming the shoulders shut to make up for it: the hips still lead the club across."),
    CLOSED_SETUP(
            "closed-setup",
            "Closed hips at address",
            Stage.SET_UP,
            "The hips point to the far side of the target at address, which invites the club too far inside.",
            "A deliberate draw set-up, agreed with the player.",
            "Spinning the hips open on the way down to catch up."),
    SWAY(
            "sway",
            "Sway",
            Stage.BACKSWING,
            "The pelvis slides away from the target instead of turning over the {trail} foot.",
            "A heavy {trail} foot with a full turn and a pelvis that stayed home is loading, not swaying.",
            "Freezing the hips or staying on the {lead} foot: that swaps the sway for a swing that never loads."),
    REVERSE_PIVOT(
            "reverse-pivot",
            "Reverse pivot",
            Stage.BACKSWING,
            "The load goes to the {lead} foot going back and falls to the {trail} foot coming down.",
            "A swing that stays forward to the end never loaded; a reverse pivot falls back at the finish.",
            "Telling the player to keep it on the {lead} side: that is how it started. A sore back comes first."),
    NO_LOAD(
            "no-load",
            "{Trail} foot never loaded",
            Stage.BACKSWING,
            "The player hangs over the {lead} side throughout and chops down on the ball.",
            "A reverse pivot looks the same at the top but falls back at the finish.",
            "A ball further forward or more {lead} side: there is nothing on the {trail} foot to come from."),
    FROZEN_FEET(
            "frozen-feet",
            "Frozen feet",
            Stage.BACKSWING,
            "Both feet are held still and flat, so the hips cannot turn and the arms lift instead.",
            "A sway also turns little, but there the pelvis travels; here it stays.",
            "Quieter feet. They need more freedom, not less."),
    LATE_RECENTRE(
            "late-recentre",
            "Late recentring",
            Stage.TRANSITION,
            "The load does reach the {lead} foot, but only when half the downswing is already gone.",
            "A coach who loads fully to the top sees a heavy top too; what counts is where it is at arm level.",
            "Starting with more on the {lead} foot: the timing is the fault, not the place."),
    EARLY_SPIN(
            "early-spin",
            "Early hip spin",
            Stage.TRANSITION,
            "The hips spin before the load has moved; the {trail} foot pushes up and around.",
            "Arms that start first also come over the line, but then the hips wait.",
            "Clearing the hips faster: they already clear before there is anything to turn on."),
    ARMS_FIRST(
            "arms-first",
            "Arms start down first",
            Stage.TRANSITION,
            "Hands and arms pull down before anything moves below.",
            "An early spin moves below first, only in the wrong direction.",
            "An ever slower backswing: it forces an ever more sudden change of direction."),
    CLOSED_SLIDE(
            "closed-slide",
            "Closed slide",
            Stage.TRANSITION,
            "The pelvis slides to the target while still shut; the load lands in the {lead} toes.",
            "A good shift also moves to the target, but the hips are opening when the {lead} heel takes the load.",
            "More {lead}-toe pressure, the cue that helped the slice, makes this one worse."),
    HANGING_BACK(
            "hanging-back",
            "Hanging back",
            Stage.DOWNSWING,
            "The {trail} foot is still flat and loaded when the club meets the ball.",
            "Late recentring gets there by the finish; hanging back does not.",
            "Starting with the load on the {lead} foot and holding it there: it cannot be held, and falls back harder."),
    EARLY_EXTENSION(
            "early-extension",
            "Early extension",
            Stage.DOWNSWING,
            "The pelvis goes towards the ball and the body stands up to make room.",
            "Falling to the toes tips the whole body; here the pelvis comes in while the head goes up.",
            "Staying down by force: look at the {trail} ankle and foot first."),
    OVER_THE_TOP(
            "over-the-top",
            "Over the top",
            Stage.DOWNSWING,
            "The club is thrown outwards and comes down steep across the ball.",
            "Almost always the end of a chain: look at the backswing and the change of direction first.",
            "Drilling the club path while the feet still cause it."),
    INSIDE_STUCK(
            "inside-stuck",
            "Stuck inside",
            Stage.DOWNSWING,
            "The club comes from far inside, trapped behind the body.",
            "A strong draw path with the chest in front of the club is not stuck.",
            "More inside-out cues, which trap it further."),
    TOE_FALL(
            "toe-fall",
            "Falling to the toes",
            Stage.DOWNSWING,
            "Balance tips over the toes on the way down, more so with a harder swing.",
            "Early extension brings the pelvis in and the head up; here all of the body tips.",
            "Leaning back on the heels at address: spread the load over the whole foot instead."),
    LEAD_FOOT_SPIN(
            "lead-foot-spin",
            "{Lead} foot spins out",
            Stage.DOWNSWING,
            "The {lead} foot lifts and twists back, the body leans away and the hands flip.",
            "Stuck inside also hooks, but there the {lead} foot stays where it was.",
            "Holding the foot down by tension: the player cannot feel it move and needs to see it.");

    /** Where in the swing a fault arises; earlier stages are worked on first. */
    public enum Stage {
        BODY,
        SET_UP,
        BACKSWING,
        TRANSITION,
        DOWNSWING
    }

    private final String id;
    private final String label;
    private final Stage stage;
    private final String what;
    private final String lookAlike;
    private final String trap;

    Fault(String id, String label, Stage stage, String what, String lookAlike, String trap) {
        this.id = id;
        this.label = label;
        this.stage = stage;
        this.what = what;
        this.lookAlike = lookAlike;
        this.trap = trap;
    }

    @Override
    public String id() {
        return id;
    }

    /** The name in use, in lead/trail placeholders. */
    public String label() {
        return label;
    }

    public Stage stage() {
        return stage;
    }

    /** What the fault is, in lead/trail placeholders. */
    public String what() {
        return what;
    }

    /** What it is easily mistaken for and how to tell, in lead/trail placeholders. */
    public String lookAlike() {
        return lookAlike;
    }

    /** The fix known to make it worse, in lead/trail placeholders. */
    public String trap() {
        return trap;
    }

    /** A cause in the body rather than in the movement: worked on beside the first movement fault, gently. */
    public boolean ofTheBody() {
        return stage == Stage.BODY;
    }

    /** The club's path rather than the body's movement: the end of a chain. */
    public boolean ofTheClub() {
        return this == OVER_THE_TOP || this == INSIDE_STUCK;
    }
}
