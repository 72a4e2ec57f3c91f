package app.hodegon.core.approach;

import app.hodegon.core.swing.Identified;
import java.util.Arrays;
import java.util.List;

/** An answer to one of the questions on which good coaches disagree. The first of each question is the default. */
public enum Choice implements Identified {
    HOLD_INNER(
            Question.TRAIL_EDGE,
            "hold-inner",
            "Hold the inner edge",
            "Gives the player something to feel: the inner edge, from the first move to the top."),
    LET_FLATTEN(
            Question.TRAIL_EDGE,
            "let-flatten",
            "Let the foot flatten",
            "Forcing the inner edge can block the turn; the foot may flatten, but never past flat."),
    ROLL_LOW(
            Question.TRAIL_HEEL,
            "roll-low",
            "Roll in and stay low",
            "The foot rolls in and stays near the ground, which keeps the posture."),
    RELEASE_UP(
            Question.TRAIL_HEEL,
            "release-up",
            "Let the heel come up",
            "Gets a player who is stuck on the trail foot off it at once; watch that the body does not stand up with it."),
    TOE_THEN_HEEL(
            Question.LEAD_LANDING,
            "toe-then-heel",
            "Toe, then heel",
            "Toe keeps the hips closed, heel then opens them: the right order comes by itself."),
    ANKLE(
            Question.LEAD_LANDING,
            "ankle",
            "Under the ankle",
            "Under the ankle from the start; keeps a player off the toes who tends to slide with the hips shut."),
    EVEN(
            Question.ADDRESS_SPLIT,
            "even",
            "Even",
            "Nothing to undo before the swing begins; fits every school but the centred one."),
    LEAD_BIASED(
            Question.ADDRESS_SPLIT,
            "lead-biased",
            "Lead side",
            "Starts where a centred swing stays. Not for a player who falls back: it cannot be held."),
    BRISK(Question.BACKSWING_TEMPO, "brisk", "Brisk", "A very slow backswing forces a sudden change of direction."),
    UNHURRIED(Question.BACKSWING_TEMPO, "unhurried", "Unhurried", "For the player who snatches the club away."),
    FLARED(Question.TRAIL_FOOT_SET, "flared", "Flared", "Kinder to knee and hip, and frees the turn."),
    SQUARE(Question.TRAIL_FOOT_SET, "square", "Square", "A firmer stop to turn against; asks more of the hip."),
    MAY_LIFT(Question.LEAD_HEEL, "may-lift", "May lift", "Frees the hips of a stiff player."),
    STAYS_DOWN(
            Question.LEAD_HEEL,
            "stays-down",
            "Stays down",
            "Keeps the turn short and the way back simple, for a player who turns easily."),
    FLOWING(Question.CHANGE_OVER, "flowing", "Flowing", "The lower body starts down before the hands have stopped."),
    PAUSE_DRILLS_OK(
            Question.CHANGE_OVER,
            "pause-drills-ok",
            "Pauses allowed as a drill",
            "A pause shows the player where the load is; it stays a drill and never becomes the swing."),
    BALL_SOON(
            Question.FIRST_BALL,
            "ball-soon",
            "A few from the first day",
            "A few short balls in the first session that allows them keep the drill tied to the game."),
    EARN_THE_BALL(
            Question.FIRST_BALL,
            "earn-the-ball",
            "Earned",
            "No ball before its rung: a new movement is lost as soon as there is a ball to hit.");

    /** The questions beside the pressure school. */
    public enum Question implements Identified {
        TRAIL_EDGE("trail-edge", "Keeping off the outer edge"),
        TRAIL_HEEL("trail-heel", "Trail heel through impact"),
        LEAD_LANDING("lead-landing", "Where the load lands in the lead foot"),
        ADDRESS_SPLIT("address-split", "Load at address"),
        BACKSWING_TEMPO("backswing-tempo", "Speed of the backswing"),
        TRAIL_FOOT_SET("trail-foot-set", "Trail foot at address"),
        LEAD_HEEL("lead-heel", "Lead heel in the backswing"),
        CHANGE_OVER("change-over", "Top of the swing"),
        FIRST_BALL("first-ball", "The first ball");

        private final String id;
        private final String label;

        Question(String id, String label) {
            this.id = id;
            this.label = label;
        }

        @Override
        public String id() {
            return id;
        }

        public String label() {
            return label;
        }

        public List<Choice> choices() {
            return Arrays.stream(Choice.values())
                    .filter(c -> c.question == this)
                    .toList();
        }
    }

    private final Question question;
    private final String id;
    private final String label;
    private final String why;

    Choice(Question question, String id, String label, String why) {
        this.question = question;
        this.id = id;
        this.label = label;
        this.why = why;
    }

    @Override
    public String id() {
        return id;
    }

    public Question question() {
        return question;
    }

    public String label() {
        return label;
    }

    /** Whether it is what stands there until a coach answers. */
    public boolean usual() {
        return question.choices().get(0) == this;
    }

    /** Within a sentence, after "because you teach", in lead/trail placeholders. */
    public String taught() {
        return switch (this) {
            case HOLD_INNER -> "holding the inner edge";
            case LET_FLATTEN -> "letting the foot flatten";
            case ROLL_LOW -> "a {trail} foot that rolls in and stays low";
            case RELEASE_UP -> "a {trail} heel that comes up";
            case TOE_THEN_HEEL -> "toe, then heel";
            case ANKLE -> "landing under the ankle";
            case EVEN -> "an even start";
            case LEAD_BIASED -> "a start on the {lead} side";
            case BRISK -> "a brisk backswing";
            case UNHURRIED -> "an unhurried backswing";
            case FLARED -> "a flared {trail} foot";
            case SQUARE -> "a square {trail} foot";
            case MAY_LIFT -> "a {lead} heel that may lift";
            case STAYS_DOWN -> "a {lead} heel that stays down";
            case FLOWING -> "a flowing change of direction";
            case PAUSE_DRILLS_OK -> "pauses as a drill";
            case BALL_SOON -> "a few balls from the first day";
            case EARN_THE_BALL -> "earning the ball";
        };
    }

    /** Why a coach would answer so. */
    public String why() {
        return why;
    }
}
