package app.hodegon.core.learning;

import app.hodegon.core.drill.Form;

/**
 * How reps are done, and what they count for beside a rep on its own rung with a range ball, changed from the day
 * before. All of it is assumed, not found: the learner's assumptions about half-steps, mixed sets and lesser strikes
 * stand here and nowhere else.
 *
 * @param external whether something outside the body tells a good rep
 * @param form what the club meets
 * @param again whether the work has looked the same for days
 * @param mixed whether every third set is of the rung below
 * @param worth what a rep with the drill counts for beside another drill's of the rung, usually 1
 */
public record Circumstances(boolean external, Form form, boolean again, boolean mixed, double worth) {

    /** Work that has looked the same for three days or more teaches a little less. */
    private static final double AGAIN = 0.85;

    /** Of mixed sets one in three is of the rung below, which is kept up by it. */
    static final double OF_THE_RUNG_BELOW = 1.0 / 3;

    /** Days running after which the same work counts as the same again. */
    public static final int ALIKE = 3;

    /** With a drill like any other. */
    public Circumstances(boolean external, Form form, boolean again, boolean mixed) {
        this(external, form, again, mixed, 1);
    }

    /** Plain reps where no club meets anything. */
    public static Circumstances plain(boolean external) {
        return new Circumstances(external, Form.NONE, false, false);
    }

    public Circumstances withStrikes(Form other) {
        return new Circumstances(external, other, again, mixed, worth);
    }

    /** With a drill whose reps count for so much. */
    public Circumstances worth(double other) {
        return new Circumstances(external, form, again, mixed, other);
    }

    /** Share of a rep's learning. */
    double share() {
        return worth * strike(form) * (again ? AGAIN : 1) * (mixed ? 1 - OF_THE_RUNG_BELOW : 1);
    }

    private static double strike(Form form) {
        return switch (form) {
            case BRUSH -> 0.6;
            case CLIP -> 0.65;
            case SOFT_BALL -> 0.8;
            case NET -> 0.95;
            case NONE, RANGE, COURSE -> 1;
        };
    }
}
