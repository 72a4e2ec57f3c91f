package app.hodegon.core.plan;

import app.hodegon.core.swing.Identified;

/** How well a student plays. */
public enum Level implements Identified {
    BEGINNER("beginner", "Beginner", 4),
    IMPROVER("improver", "Improver", 3),
    CLUB("club", "Club player", 3),
    SCRATCH("scratch", "Low handicap", 2);

    private final String id;
    private final String label;
    private final int daysPerRung;

    Level(String id, String label, int daysPerRung) {
        this.id = id;
        this.label = label;
        this.daysPerRung = daysPerRung;
    }

    @Override
    public String id() {
        return id;
    }

    public String label() {
        return label;
    }

    /** Practice days the planner allows for one rung before it lays the next; a working assumption. */
    int daysPerRung() {
        return daysPerRung;
    }
}
