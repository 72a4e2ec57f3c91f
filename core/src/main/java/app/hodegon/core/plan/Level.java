package app.hodegon.core.plan;

import app.hodegon.core.swing.Identified;

/** How well a student plays. */
public enum Level implements Identified {
    BEGINNER("beginner", "Beginner", 4, 62, 30),
    IMPROVER("improver", "Improver", 3, 44, 35),
    CLUB("club", "Club player", 3, 36, 45),
    SCRATCH("scratch", "Low handicap", 2, 26, 55);

    private final String id;
    private final String label;
    private final int daysPerRung;
    private final double repsToLearn;
    private final int ballsAnHour;

    Level(String id, String label, int daysPerRung, double repsToLearn, int ballsAnHour) {
        this.id = id;
        this.label = label;
        this.daysPerRung = daysPerRung;
        this.repsToLearn = repsToLearn;
        this.ballsAnHour = ballsAnHour;
    }

    @Override
    public String id() {
        return id;
    }

    public String label() {
        return label;
    }

    /** Spaced reps after which a typical student has learned two thirds of a rung; an assumption of the learner. */
    public double repsToLearn() {
        return repsToLearn;
    }

    /** Balls of an hour at the range that is laid as a climb, for a healthy adult; a working assumption. */
    int ballsAnHour() {
        return ballsAnHour;
    }

    /** Practice days on one rung from which the planner starts its search; a working assumption. */
    int daysPerRung() {
        return daysPerRung;
    }
}
