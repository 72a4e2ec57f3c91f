package app.hodegon.core.plan;

import app.hodegon.core.swing.Identified;

/** Age as far as the volume of practice depends on it. */
public enum AgeBand implements Identified {
    JUNIOR("junior", "Junior", 0.6),
    ADULT("adult", "Adult", 1.0),
    SENIOR("senior", "Over 65", 0.6);

    private final String id;
    private final String label;
    private final double volume;

    AgeBand(String id, String label, double volume) {
        this.id = id;
        this.label = label;
        this.volume = volume;
    }

    @Override
    public String id() {
        return id;
    }

    public String label() {
        return label;
    }

    /** Share of an adult's repetitions. */
    public double volume() {
        return volume;
    }
}
