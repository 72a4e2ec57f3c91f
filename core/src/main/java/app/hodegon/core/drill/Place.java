package app.hodegon.core.drill;

import app.hodegon.core.swing.Identified;

/** Where practice happens. */
public enum Place implements Identified {
    HOME("home", "At home", "at home", Ground.FLOOR),
    GARDEN("garden", "Garden", "in the garden", Ground.GRASS),
    NET("net", "Net", "at the net", Ground.MAT),
    RANGE("range", "Range", "on the range", Ground.GRASS),
    COURSE("course", "Course", "on the course", Ground.GRASS);

    private final String id;
    private final String label;
    private final String where;
    private final Ground usual;

    Place(String id, String label, String where, Ground usual) {
        this.id = id;
        this.label = label;
        this.where = where;
        this.usual = usual;
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

    /** What is underfoot there where nothing else is said. */
    public Ground usualGround() {
        return usual;
    }

    /** Whether real balls may be hit there. */
    public boolean ballsAllowed() {
        return compareTo(NET) >= 0;
    }
}
