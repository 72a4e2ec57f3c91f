package app.hodegon.server.lesson;

import app.hodegon.core.swing.Identified;

/** The two measuring moments of a lesson: the first balls after warming up, and the last. */
public enum Stage implements Identified {
    BEFORE("before"),
    AFTER("after");

    private final String id;

    Stage(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
