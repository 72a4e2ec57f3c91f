package app.hodegon.core.diagnosis;

import app.hodegon.core.swing.Identified;

/** A probability as a coach acts on it. */
public enum Grade implements Identified {
    /** At least {@link #LIKELY_FROM}, with something of the fault's own seen. */
    LIKELY("likely"),
    /** At least {@link #POSSIBLE_FROM}, with something seen that speaks for it. */
    POSSIBLE("possible"),
    UNLIKELY("unlikely"),
    /** Nothing that the fault shows was looked at, and nothing else speaks for it. */
    NOT_ENOUGH_SEEN("not-enough-seen");

    public static final double LIKELY_FROM = 0.65;
    public static final double POSSIBLE_FROM = 0.25;

    private final String id;

    Grade(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }

    static Grade of(double probability, boolean ownSeen, boolean spokenFor) {
        if (probability >= LIKELY_FROM && ownSeen) return LIKELY;
        if (probability >= POSSIBLE_FROM && (ownSeen || spokenFor)) return POSSIBLE;
        return ownSeen ? UNLIKELY : NOT_ENOUGH_SEEN;
    }
}
