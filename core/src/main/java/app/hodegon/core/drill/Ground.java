package app.hodegon.core.drill;

import app.hodegon.core.swing.Identified;

/** What a place has underfoot. */
public enum Ground implements Identified {
    FLOOR("floor", "Hard floor"),
    CARPET("carpet", "Carpet"),
    MAT("mat", "Range mat"),
    GRASS("grass", "Grass");

    private final String id;
    private final String label;

    Ground(String id, String label) {
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

    /** Whether spikes hold on it. */
    public boolean takesSpikes() {
        return this == GRASS;
    }
}
