package app.hodegon.core.drill;

import app.hodegon.core.swing.Identified;

/** What a student practises in. */
public enum Shoes implements Identified {
    SPIKES("spikes", "Spikes"),
    SOFT("soft", "Soft golf shoes"),
    SMOOTH("smooth", "Smooth soles"),
    SOCKS("socks", "Socks");

    private final String id;
    private final String label;

    Shoes(String id, String label) {
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
