package app.hodegon.core.golfer;

import app.hodegon.core.swing.Identified;

/** What the hands do in a movement. */
public enum Hands implements Identified {
    /** They swing a club, or what stands for one. */
    CLUB("club"),
    /** Arms crossed before the chest. */
    CROSSED("crossed"),
    /** Arms crossed, and a stick under them across the shoulders. */
    STICK("stick"),
    /** Arms hang. */
    HANGING("hanging"),
    /** Hands on the hips. */
    ON_HIPS("on-hips");

    private final String id;

    Hands(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
