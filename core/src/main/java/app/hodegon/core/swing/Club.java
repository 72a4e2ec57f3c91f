package app.hodegon.core.swing;

/** What a ball was hit with, as far as it matters to what a ball tells. */
public enum Club implements Identified {
    DRIVER("driver", "Driver"),
    WOOD("wood", "Fairway wood"),
    HYBRID("hybrid", "Hybrid"),
    LONG_IRON("long-iron", "Long iron"),
    MIDDLE_IRON("middle-iron", "Middle iron"),
    SHORT_IRON("short-iron", "Short iron"),
    WEDGE("wedge", "Wedge");

    private final String id;
    private final String label;

    Club(String id, String label) {
        this.id = id;
        this.label = label;
    }

    @Override
    public String id() {
        return id;
    }

    public String label() {
        return label;
    }
}
