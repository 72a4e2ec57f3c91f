package app.hodegon.core.diagnosis;

import static app.hodegon.core.diagnosis.Effort.EYE;
import static app.hodegon.core.diagnosis.Effort.SCREEN;
import static app.hodegon.core.swing.Checkpoint.ADDRESS;
import static app.hodegon.core.swing.Checkpoint.ARM_BACK;
import static app.hodegon.core.swing.Checkpoint.ARM_DOWN;
import static app.hodegon.core.swing.Checkpoint.FINISH;
import static app.hodegon.core.swing.Checkpoint.IMPACT;
import static app.hodegon.core.swing.Checkpoint.TOP;
import static app.hodegon.core.swing.Checkpoint.TRIGGER;

import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Identified;

/** What a coach sees, hears or is told; answered yes, no or not looked at. Texts use lead/trail placeholders. */
public enum Sign implements Identified {
    HIPS_OPEN_AT_ADDRESS(
            "hips-open-at-address",
            ADDRESS,
            EYE,
            "Hips open to the target line",
            "Stand behind the hands; lay a club across the hip bones."),
    HIPS_CLOSED_AT_ADDRESS(
            "hips-closed-at-address",
            ADDRESS,
            EYE,
            "Hips closed to the target line",
            "Stand behind the hands; lay a club across the hip bones."),
    TOE_HEAVY_AT_ADDRESS(
            "toe-heavy-at-address",
            ADDRESS,
            EYE,
            "Load well forward under the toes",
            "From the side: knees past the laces? Ask the player to wiggle the toes."),
    LEAD_HEAVY_AT_ADDRESS(
            "lead-heavy-at-address",
            ADDRESS,
            EYE,
            "Clearly more load on the {lead} foot",
            "Face on: which hip sits over which foot, and can the {lead} heel be lifted?"),
    PICKS_UP_CLUB(
            "picks-up-club",
            TRIGGER,
            EYE,
            "Club snatched up by the hands",
            "Face on: does the clubhead rise before the hands have passed the {trail} thigh?"),
    FEET_FROZEN(
            "feet-frozen",
            ARM_BACK,
            EYE,
            "Feet stay flat and still",
            "Watch nothing but the shoes for one whole backswing."),
    SLOW_BACKSWING(
            "slow-backswing",
            ARM_BACK,
            EYE,
            "Very slow, careful backswing",
            "Count it aloud: more than a slow one-and-two is careful."),
    LITTLE_HIP_TURN(
            "little-hip-turn",
            TOP,
            EYE,
            "Hips hardly turn",
            "From behind: does the {lead} hip pocket come into view at the top?"),
    PELVIS_DRIFTS_BACK(
            "pelvis-drifts-back",
            TOP,
            EYE,
            "Pelvis slides away from the target",
            "Face on: hold a club upright at the {trail} hip at address; is it pushed over?"),
    TRAIL_OUTER_EDGE_LOADED(
            "trail-outer-edge-loaded",
            TOP,
            EYE,
            "Load rolls to the outer edge of the {trail} foot",
            "From behind: do you see daylight under the inner edge of the {trail} shoe?"),
    HEAD_DRIFTS_BACK(
            "head-drifts-back",
            TOP,
            EYE,
            "Head moves away by more than half its width",
            "Face on: line the cap up with something still behind it."),
    WEIGHT_LEAD_AT_TOP(
            "weight-lead-at-top",
            TOP,
            EYE,
            "On the {lead} foot at the top, leaning to the target",
            "Face on at the top: which way does the upper body lean?"),
    ARMS_LIFT(
            "arms-lift",
            TOP,
            EYE,
            "Arms lift and fold to finish the backswing",
            "Face on: does the {lead} arm lose its width after the turn has stopped?"),
    OVERLONG_BACKSWING(
            "overlong-backswing",
            TOP,
            EYE,
            "Club far past level, {lead} arm buckles",
            "Face on at the top: where does the clubhead point?"),
    TOES_LOADED_BACK(
            "toes-loaded-back",
            TOP,
            EYE,
            "Both feet in their toes at the top",
            "From the side: is there light under both heels?"),
    HIPS_SPIN_FIRST(
            "hips-spin-first",
            ARM_DOWN,
            EYE,
            "{Lead} hip goes back and away before it goes to the target",
            "From the side: follow the {lead} front pocket through the change of direction."),
    ARMS_START_DOWN_FIRST(
            "arms-start-down-first",
            ARM_DOWN,
            EYE,
            "Hands pull down before anything moves below",
            "Face on: which moves first out of the top, the {lead} knee or the hands?"),
    TRAIL_FOOT_PUSHES_UP(
            "trail-foot-pushes-up",
            ARM_DOWN,
            EYE,
            "{Trail} heel comes up and out early",
            "From behind: is the {trail} heel in the air before the hands are at hip height?"),
    TRAIL_KNEE_OUT(
            "trail-knee-out",
            ARM_DOWN,
            EYE,
            "{Trail} knee goes out towards the ball",
            "From the side: does the {trail} knee hide the {lead} one?"),
    WEIGHT_LATE(
            "weight-late",
            ARM_DOWN,
            EYE,
            "Still on the {trail} foot when the {lead} arm is level",
            "Face on, coming down: where is the belt buckle when the {lead} arm is level?"),
    PELVIS_SLIDES_CLOSED(
            "pelvis-slides-closed",
            ARM_DOWN,
            EYE,
            "Pelvis slides to the target, hips still shut",
            "Face on: does the buckle pass the {lead} ankle before it starts to turn?"),
    LEAD_FOOT_SPINS(
            "lead-foot-spins",
            ARM_DOWN,
            EYE,
            "{Lead} foot lifts and twists back",
            "Put a tee at the {lead} toe cap and one at the heel; look after the swing."),
    FALLS_TO_TOES(
            "falls-to-toes",
            ARM_DOWN,
            EYE,
            "Balance tips forward over the toes",
            "From the side: does the player step forward after a hard one?"),
    TOES_LOADED_DOWN(
            "toes-loaded-down",
            ARM_DOWN,
            EYE,
            "Both feet in their toes coming down",
            "From the side: is there light under both heels before impact?"),
    CLUB_STEEP_OUTSIDE(
            "club-steep-outside",
            ARM_DOWN,
            EYE,
            "Club comes down steep, from outside",
            "Down the line: does the shaft pass outside the hands coming down?"),
    CLUB_FAR_INSIDE(
            "club-far-inside",
            ARM_DOWN,
            EYE,
            "Club comes from far inside, behind the body",
            "Down the line: is the clubhead hidden behind the player when the hands are at hip height?"),
    PELVIS_TOWARD_BALL(
            "pelvis-toward-ball",
            IMPACT,
            EYE,
            "Pelvis has moved towards the ball",
            "Down the line: touch the seat with a club at address; is there a gap at impact?"),
    POSTURE_RISES(
            "posture-rises",
            IMPACT,
            EYE,
            "Body stands up, head lifts",
            "Down the line: line the cap up with the horizon before and at impact."),
    TRAIL_FOOT_FLAT_AT_IMPACT(
            "trail-foot-flat-at-impact",
            IMPACT,
            EYE,
            "{Trail} foot flat and loaded",
            "Face on: is the whole {trail} sole still down as the ball leaves?"),
    FLIPS_HANDS(
            "flips-hands",
            IMPACT,
            EYE,
            "Hands flick, clubhead overtakes",
            "Face on: is the clubhead past the hands just after the ball?"),
    LEAD_ARM_BUCKLES(
            "lead-arm-buckles",
            IMPACT,
            EYE,
            "{Lead} elbow folds and points out after the ball",
            "Face on, just after the ball: where does the {lead} elbow point?"),
    FALLS_BACK_AT_FINISH(
            "falls-back-at-finish",
            FINISH,
            EYE,
            "Balance goes back to the {trail} foot",
            "Ask for a held finish: can the {trail} foot be lifted?"),
    FINISH_OFF_BALANCE(
            "finish-off-balance",
            FINISH,
            EYE,
            "Cannot hold the finish",
            "Ask for three seconds of stillness after a full swing."),
    LOSES_DISTANCE(
            "loses-distance",
            FINISH,
            EYE,
            "Player reports a clear loss of distance",
            "Ask: one club, two clubs, and since when?"),
    BACK_SORENESS(
            "back-soreness",
            FINISH,
            EYE,
            "Player reports a sore lower back after practice",
            "Ask every time. When yes, lighten the session and send lasting pain to a doctor."),
    ANKLE_ROLL_LIMITED(
            "ankle-roll-limited",
            ADDRESS,
            SCREEN,
            "{Trail} ankle cannot roll in with the foot grounded",
            "Standing, foot flat: roll the {trail} ankle in. Or knee to wall, heel down: under {8 cm} is limited."),
    HIP_ROTATION_LIMITED(
            "hip-rotation-limited",
            ADDRESS,
            SCREEN,
            "Clearly short of inward rotation in the {trail} hip",
            "Seated, thigh still: swing the {trail} foot outwards and compare with the other side.");

    /** Chance that a coach answers a sign wrongly either way; keeps a single slip from deciding everything. */
    public static final double CHANCE_OF_SLIP = 0.02;

    /** The same of what stands still, with a club laid across it. */
    private static final double CHANCE_OF_SLIP_AT_REST = 0.01;

    private final String id;
    private final Checkpoint at;
    private final Effort effort;
    private final String label;
    private final String how;

    Sign(String id, Checkpoint at, Effort effort, String label, String how) {
        this.id = id;
        this.at = at;
        this.effort = effort;
        this.label = label;
        this.how = how;
    }

    @Override
    public String id() {
        return id;
    }

    /** Whether it is plain to see: the player stands still and a club shows the line. */
    public boolean isPlain() {
        return this == HIPS_OPEN_AT_ADDRESS || this == HIPS_CLOSED_AT_ADDRESS;
    }

    /** Chance that it is answered wrongly. */
    public double chanceOfSlip() {
        return isPlain() ? CHANCE_OF_SLIP_AT_REST : CHANCE_OF_SLIP;
    }

    /** The checkpoint under which it is looked for. */
    public Checkpoint at() {
        return at;
    }

    public Effort effort() {
        return effort;
    }

    /** Short statement of what is seen, in lead/trail placeholders. */
    public String label() {
        return label;
    }

    /** Where to stand and what to watch, in lead/trail placeholders. */
    public String how() {
        return how;
    }
}
