package app.hodegon.core.drill;

import app.hodegon.core.swing.Identified;

/** Where practice happens. */
public enum Place implements Identified {
    HOME("home", "At home", "at home"),
    NET("net", "Net", "at the net"),
    RANGE("range", "Range", "on the range"),
    COURSE("course", "Course", "on the course");

    private final String id;
    private final String label;
    private final String where;

    Place(String id, String label, String where) {
        this.id = id;
        this.label = label;
        this.where = where;
    }

    @Override
    public String id() {
        return id;
    }

    public String label() {
        return label;
    }

    /** Within a sentence. */
    public String where() {
        return where;
    }

    /** Whether balls may be hit there. */
    public boolean ballsAllowed() {
        return this != HOME;
    }
}
