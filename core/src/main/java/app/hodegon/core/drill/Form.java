package app.hodegon.core.drill;

import app.hodegon.core.swing.Identified;

/**
 * What the club meets on a ball rung, with less and less ball. A lesser form counts less towards learning and, of a
 * gate's two checks, only as the first; both are working assumptions of the product.
 */
public enum Form implements Identified {
    NONE("none", "No strike", "No club meets anything.", 0),
    BRUSH("brush", "Brush", "The club brushes a mark on the mat or the grass.", 10),
    CLIP("clip", "Clip a tee", "The club clips a tee, nothing on it.", 14),
    SOFT_BALL("soft-ball", "Soft ball", "A foam or plastic ball, along the lawn or into a curtain.", 20),
    NET("net", "Ball into the net", "A real ball into the net.", 30),
    RANGE("range", "Range ball", "A real ball.", 30),
    COURSE("course", "On the course", "A real ball, as it lies.", 30);

    private final String id;
    private final String label;
    private final String how;
    private final int seconds;

    Form(String id, String label, String how, int seconds) {
        this.id = id;
        this.label = label;
        this.how = how;
        this.seconds = seconds;
    }

    @Override
    public String id() {
        return id;
    }

    public String label() {
        return label;
    }

    /** In a sentence, for the student. */
    public String how() {
        return how;
    }

    /** One strike with setting it up and walking in, in seconds. */
    public int seconds() {
        return seconds;
    }

    /** Whether a real golf ball is hit. */
    public boolean realBall() {
        return compareTo(NET) >= 0;
    }

    /** What a stored rung without a form was done with: before there were lesser forms, always a real ball. */
    public static Form usual(Rung rung) {
        return rung.withBall() ? RANGE : NONE;
    }
}
