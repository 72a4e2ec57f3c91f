package app.hodegon.core.progress;

import app.hodegon.core.swing.Identified;

/** Which way is an improvement. */
public enum Better implements Identified {
    HIGHER("higher"),
    LOWER("lower");

    private final String id;

    Better(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
