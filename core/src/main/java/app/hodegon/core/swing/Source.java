package app.hodegon.core.swing;

/** Where a reading comes from, from soft to hard. */
public enum Source implements Identified {
    FELT("felt", "Felt by the student", 0.25),
    SEEN("seen", "Seen by the coach", 0.06),
    CLIP("clip", "Measured on a clip", 0.03),
    PLATE("plate", "Pressure plate", 0.01),
    MONITOR("monitor", "Shot file", 0.01);

    private final String id;
    private final String label;
    private final double chanceOfMisreading;

    Source(String id, String label, double chanceOfMisreading) {
        this.id = id;
        this.label = label;
        this.chanceOfMisreading = chanceOfMisreading;
    }

    @Override
    public String id() {
        return id;
    }

    public String label() {
        return label;
    }

    /**
     * The chance that a reading points the wrong way however far it lies from the limit (a student who feels the
     * opposite of what happens, a clip from a bad angle). Averaging swings does not remove it. A working assumption.
     */
    public double chanceOfMisreading() {
        return chanceOfMisreading;
    }
}
