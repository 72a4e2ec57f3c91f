package app.hodegon.core.swing;

/** Kinds of quantity that share a unit and a repeatability. */
public enum Quantity {
    SHARE("%", 0, 100),
    TRAVEL("cm", -60, 60),
    TURN("°", -180, 180),
    POSTURE("°", -60, 60),
    FOOT("cm", 0, 60),
    TIME("ms", -3000, 6000),
    RATIO("", 0, 20),
    REACH("cm", 0, 40),
    DISTANCE("m", -400, 400);

    private final String unit;
    private final double lowest;
    private final double highest;

    Quantity(String unit, double lowest, double highest) {
        this.unit = unit;
        this.lowest = lowest;
        this.highest = highest;
    }

    public String unit() {
        return unit;
    }

    /** Lowest value a reading may have. */
    public double lowest() {
        return lowest;
    }

    /** Highest value a reading may have. */
    public double highest() {
        return highest;
    }
}
