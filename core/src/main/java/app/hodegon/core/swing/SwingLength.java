package app.hodegon.core.swing;

/** How far a swing goes. */
public enum SwingLength implements Identified {
    WAIST("waist", "Waist-high"),
    SHOULDER("shoulder", "Shoulder-high"),
    FULL("full", "Full");

    private final String id;
    private final String label;

    SwingLength(String id, String label) {
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
