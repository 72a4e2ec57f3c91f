package app.hodegon.core.diagnosis;

import app.hodegon.core.swing.Identified;

/** What it costs a coach between two balls to look at something; the gain of a look is divided by it. */
public enum Effort implements Identified {
    EYE("eye", 1),
    SCREEN("screen", 2),
    CLIP("clip", 3),
    PLATE("plate", 5);

    private final String id;
    private final double cost;

    Effort(String id, double cost) {
        this.id = id;
        this.cost = cost;
    }

    @Override
    public String id() {
        return id;
    }

    public double cost() {
        return cost;
    }
}
