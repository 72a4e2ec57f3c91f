package app.hodegon.core.approach;

import app.hodegon.core.swing.Identified;
import java.util.Arrays;
import java.util.List;

/** An answer to one of the questions on which good coaches disagree. The first of each question is the default. */
public enum Choice implements Identified {
    HOLD_INNER(Question.TRAIL_EDGE, "hold-inner", "Hold the inner edge"),
    LET_FLATTEN(Question.TRAIL_EDGE, "let-flatten", "Let the foot flatten"),
    ROLL_LOW(Question.TRAIL_HEEL, "roll-low", "Roll in and stay low"),
    RELEASE_UP(Question.TRAIL_HEEL, "release-up", "Let the heel come up"),
    TOE_THEN_HEEL(Question.LEAD_LANDING, "toe-then-heel", "Toe, then heel"),
    ANKLE(Question.LEAD_LANDING, "ankle", "Under the ankle"),
    EVEN(Question.ADDRESS_SPLIT, "even", "Even"),
    LEAD_BIASED(Question.ADDRESS_SPLIT, "lead-biased", "Lead side"),
    BRISK(Question.BACKSWING_TEMPO, "brisk", "Brisk"),
    UNHURRIED(Question.BACKSWING_TEMPO, "unhurried", "Unhurried"),
    FLARED(Question.TRAIL_FOOT_SET, "flared", "Flared"),
    SQUARE(Question.TRAIL_FOOT_SET, "square", "Square"),
    MAY_LIFT(Question.LEAD_HEEL, "may-lift", "May lift"),
    STAYS_DOWN(Question.LEAD_HEEL, "stays-down", "Stays down"),
    FLOWING(Question.CHANGE_OVER, "flowing", "Flowing"),
    PAUSE_DRILLS_OK(Question.CHANGE_OVER, "pause-drills-ok", "Pauses allowed as a drill");

    /** The questions beside the pressure school. */
    public enum Question implements Identified {
        TRAIL_EDGE("trail-edge", "Keeping off the outer edge"),
        TRAIL_HEEL("trail-heel", "Trail heel through impact"),
        LEAD_LANDING("lead-landing", "Where the load lands in the lead foot"),
        ADDRESS_SPLIT("address-split", "Load at address"),
        BACKSWING_TEMPO("backswing-tempo", "Speed of the backswing"),
        TRAIL_FOOT_SET("trail-foot-set", "Trail foot at address"),
        LEAD_HEEL("lead-heel", "Lead heel in the backswing"),
        CHANGE_OVER("change-over", "Top of the swing");

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

    Choice(Question question, String id, String label) {
        this.question = question;
        this.id = id;
        this.label = label;
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
}
