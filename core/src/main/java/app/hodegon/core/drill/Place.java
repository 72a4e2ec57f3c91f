package app.hodegon.core.drill;

import app.hodegon.core.swing.Identified;

/** Where practice happens. */
public enum Place implements Identified {
    HOME("home", "At home"),
    NET("net", "Net"),
    RANGE("range", "Range"),
    COURSE("course", "Course");

    private final String id;
    private final String label;

    Place(String id, String label) {
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

    /** Whether balls may be hit there. */
    public boolean ballsAllowed() {
        return this != HOME;
    }
}
