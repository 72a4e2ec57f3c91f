package app.hodegon.core.plan;

import app.hodegon.core.swing.Identified;

/** How well a student plays. */
public enum Level implements Identified {
    BEGINNER("beginner", "Beginner", 4, 62),
    IMPROVER("improver", "Improver", 3, 44),
    CLUB("club", "Club player", 3, 36),
    SCRATCH("scratch", "Low handicap", 2, 26);

    private final String id;
    private final String label;
    private final int daysPerRung;
    private final double repsToLearn;

    Level(String id, String label, int daysPerRung, double repsToLearn) {
        this.id = id;
        this.label = label;
        this.daysPerRung = daysPerRung;
        this.repsToLearn = repsToLearn;
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

    /** Practice days on one rung from which the planner starts its search; a working assumption. */
    int daysPerRung() {
        return daysPerRung;
    }
}
