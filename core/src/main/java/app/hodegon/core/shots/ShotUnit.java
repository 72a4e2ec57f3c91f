package app.hodegon.core.shots;

import app.hodegon.core.swing.Identified;
import java.util.List;

/** A unit of a column in a file. */
public enum ShotUnit implements Identified {
    METRES("m", "metres", 1),
    YARDS("yd", "yards", 0.9144),
    FEET("ft", "feet", 0.3048),
    METRES_A_SECOND("m/s", "metres a second", 1),
    KILOMETRES_AN_HOUR("km/h", "kilometres an hour", 1 / 3.6),
    MILES_AN_HOUR("mph", "miles an hour", 0.44704);

    static final List<ShotUnit> LENGTHS = List.of(METRES, YARDS, FEET);
    static final List<ShotUnit> SPEEDS = List.of(METRES_A_SECOND, KILOMETRES_AN_HOUR, MILES_AN_HOUR);

    private final String id;
    private final String label;
    private final double factor;

    ShotUnit(String id, String label, double factor) {
        this.id = id;
        this.label = label;
        this.factor = factor;
    }

    @Override
    public String id() {
        return id;
    }

    public String label() {
        return label;
    }

    /** In metres, or metres a second. */
    public double toMetric(double value) {
        return value * factor;
    }

    /** From metres, or metres a second. */
    public double fromMetric(double value) {
        return value / factor;
    }
}
