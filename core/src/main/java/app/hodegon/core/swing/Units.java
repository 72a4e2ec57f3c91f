package app.hodegon.core.swing;

/** In which units lengths and speeds are said to a person; everything is stored in metric ones. */
public enum Units implements Identified {
    METRIC("metric"),
    IMPERIAL("imperial");

    private static final double CM_PER_INCH = 2.54;
    private static final double M_PER_YARD = 0.9144;
    private static final double MS_PER_MPH = 0.44704;

    /**
     * A unit as it is said.
     *
     * @param factor by which the metric value is multiplied
     */
    public record Scale(double factor, String unit) {}

    private final String id;

    Units(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }

    /** How a metric unit is said; shares, angles, times and ratios are the same for everybody. */
    public Scale of(String unit) {
        if (this == METRIC) return new Scale(1, unit);
        return switch (unit) {
            case "cm" -> new Scale(1 / CM_PER_INCH, "in");
            case "m" -> new Scale(1 / M_PER_YARD, "yd");
            case "m/s" -> new Scale(1 / MS_PER_MPH, "mph");
            default -> new Scale(1, unit);
        };
    }
}
