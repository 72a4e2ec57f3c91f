package app.hodegon.core.shots;

import app.hodegon.core.swing.Identified;
import java.util.List;

/** What a file can tell of a ball. */
public enum ShotFigure implements Identified {
    CARRY("carry", "Carry", "m", 0, 400),
    OFFLINE("offline", "Miss from the target line", "m", -200, 200),
    BALL_SPEED("ball-speed", "Ball speed", "m/s", 0, 120),
    CLUB_SPEED("club-speed", "Club speed", "m/s", 0, 80);

    private final String id;
    private final String label;
    private final String unit;
    private final double lowest;
    private final double highest;

    ShotFigure(String id, String label, String unit, double lowest, double highest) {
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

    /** In which it is stored. */
    public String unit() {
        return unit;
    }

    /** Units a file may have it in. */
    public List<ShotUnit> units() {
        return this == CARRY || this == OFFLINE ? ShotUnit.LENGTHS : ShotUnit.SPEEDS;
    }

    void check(double value) {
        check(value, units().get(0));
    }

    /**
     * Refuses what no ball does, in the unit it was written in.
     *
     * @param value in metres, or metres a second
     */
    void check(double value, ShotUnit written) {
        if (!(value >= lowest && value <= highest)) {
            throw new IllegalArgumentException("%s of %.1f %s lies outside %.0f to %.0f %s"
                    .formatted(
                            label.toLowerCase(),
                            written.fromMetric(value),
                            written.id(),
                            written.fromMetric(lowest),
                            written.fromMetric(highest),
                            written.id()));
        }
    }
}
