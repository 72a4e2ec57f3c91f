package app.hodegon.core.swing;

/** Which way a student plays; decides how lead and trail are said, never how they are stored. */
public enum Handedness implements Identified {
    RIGHT("right"),
    LEFT("left");

    private final String id;

    Handedness(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }

    /** The student's own word for the side away from the target. */
    public String trail() {
        return id;
    }

    /** The student's own word for the side nearer the target. */
    public String lead() {
        return this == RIGHT ? LEFT.id : RIGHT.id;
    }

    /**
     * Turns a text written in lead/trail terms into this student's left and right. Placeholders: {@code {lead}},
     * {@code {trail}}, {@code {Lead}}, {@code {Trail}} and {@code {away}}, the direction of the backswing turn seen
     * from above. Lengths are said in metric units; {@link Wording} says them in others.
     */
    public String say(String text) {
        return new Wording(this, Units.METRIC).say(text);
    }

    String sides(String text) {
        return text.replace("{lead}", lead())
                .replace("{trail}", trail())
                .replace("{Lead}", capital(lead()))
                .replace("{Trail}", capital(trail()))
                .replace("{away}", this == RIGHT ? "clockwise" : "anticlockwise");
    }

    private static String capital(String word) {
        return Character.toUpperCase(word.charAt(0)) + word.substring(1);
    }
}
