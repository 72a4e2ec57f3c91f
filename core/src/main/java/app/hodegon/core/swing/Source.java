package app.hodegon.core.swing;

/** Where a reading comes from, from soft to hard. */
public enum Source implements Identified {
    FELT("felt", "Felt by the student", 0.25, 0.25),
    SEEN("seen", "Seen by the coach", 0.06, 0.03),
    CLIP("clip", "Measured on a clip", 0.03, 0.006),
    RULER("ruler", "With a ruler", 0.02, 0.004),
    PLATE("plate", "Pressure plate", 0.01, 0.002),
    MONITOR("monitor", "Shot file", 0.01, 0.002);

    private final String id;
    private final String label;
    private final double chanceOfMisreading;
    private final double chanceOfGrossMisreading;

    Source(String id, String label, double chanceOfMisreading, double chanceOfGrossMisreading) {
        this.id = id;
        this.label = label;
        this.chanceOfMisreading = chanceOfMisreading;
        this.chanceOfGrossMisreading = chanceOfGrossMisreading;
    }

    @Override
    public String id() {
        return id;
    }

    public String label() {
        return label;
    }

    /**
     * The chance that a reading near the limit points the wrong way for a reason that averaging swings does not remove
     * (a student who feels the opposite of what happens, a clip from a bad angle). A working assumption.
     */
    public double chanceOfMisreading() {
        return chanceOfMisreading;
    }

    /**
     * The same for a reading as far outside as can be: feeling can be wholly mistaken, a plate hardly ever. A working
     * assumption.
     */
    public double chanceOfGrossMisreading() {
        return chanceOfGrossMisreading;
    }
}
