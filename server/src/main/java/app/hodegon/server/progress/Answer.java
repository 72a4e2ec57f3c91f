package app.hodegon.server.progress;

import app.hodegon.core.swing.Identified;

/** What a coach did with a proposal. */
enum Answer implements Identified {
    TAKEN("taken"),
    CHANGED("changed"),
    REFUSED("refused");

    private final String id;

    Answer(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
