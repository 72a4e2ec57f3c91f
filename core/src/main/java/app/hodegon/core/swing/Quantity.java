package app.hodegon.core.swing;

/** Kinds of quantity that share a unit and a repeatability. */
public enum Quantity implements Identified {
    SHARE("share", "Shares of the load", "%", 0, 100),
    SHIFT("shift", "Speed of the shift", "%/s", 0, 3000),
    TRAVEL("travel", "Drift and thrust", "cm", -60, 60),
    TURN("turn", "Turns and lines", "°", -180, 180),
    POSTURE("posture", "Forward bend", "°", -60, 60),
    FOOT("foot", "Foot shift and heel lift", "cm", 0, 60),
    TIME("time", "Times", "ms", -3000, 6000),
    TEMPO("tempo", "Tempo ratio", "", 0, 20),
    STANCE("stance", "Stance over pelvis", "", 0, 5),
    REACH("reach", "Knee to wall", "cm", 0, 40),
    DISTANCE("distance", "Distances of the ball", "m", -400, 400);

    private final String id;
    private final String label;
    private final String unit;
    private final double lowest;
    private final double highest;

    Quantity(String id, String label, String unit, double lowest, double highest) {
        this.id = id;
        this.label = label;
        this.unit = unit;
        this.lowest = lowest;
        this.highest = highest;
    }

    @Override
    public String id() {
        return id;
    }

    public String label() {
        return label;
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

    public boolean mayBe(double value) {
        return value >= lowest && value <= highest;
    }
}
