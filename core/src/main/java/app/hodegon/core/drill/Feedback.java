package app.hodegon.core.drill;

import app.hodegon.core.swing.Identified;

/** How a rep tells the student whether it was good. */
public enum Feedback implements Identified {
    TOUCH("touch", "Touch"),
    SOUND("sound", "Sound"),
    SIGHT("sight", "Sight"),
    BALANCE("balance", "Balance"),
    FEEL("feel", "Feel");

    private final String id;
    private final String label;

    Feedback(String id, String label) {
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

    /** Whether the feedback comes from outside the body, so that it works without the coach. */
    public boolean external() {
        return this != FEEL;
    }
}
