package app.hodegon.server.progress;

import app.hodegon.core.swing.Identified;

/** For whom something is said: each in the own units. */
enum Reader implements Identified {
    COACH("coach"),
    STUDENT("student");

    private final String id;

    Reader(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
