package app.hodegon.core.track;

import app.hodegon.core.swing.Identified;

/**
 * How long things in the plane of the feet are in the picture.
 *
 * @param pixelsPerCentimetre over 0; 0 without a scale
 * @param uncertainty standard uncertainty as a part of the scale
 */
public record Ruler(From from, double pixelsPerCentimetre, double uncertainty) {

    public static final double BALL = 4.27;

    static final Ruler NONE = new Ruler(From.NONE, 0, 0);

    /** A mark is set this well, pixels. */
    private static final double MARK = 1.5;

    /** A thing's known length, and its lying in the plane of the feet, are this good. */
    private static final double THING = 0.01;

    /** Ankles to ears at address as a part of the height, and how much golfers differ; working assumptions. */
    private static final double ANKLES_TO_EARS = 0.82;

    private static final double BUILD = 0.035;

    /** Where a scale comes from. */
    public enum From implements Identified {
        MARKS("marks"),
        HEIGHT("height"),
        BALL("ball"),
        NONE("none");

        private final String id;

        From(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    /** What is one and the same thing for everybody is a ball. */
    private static final double LIKE_A_BALL = 0.05;

    /**
     * By two marks on a thing of known length.
     *
     * @throws IllegalArgumentException for marks nearer than 5 pixels, and for lengths that are not over 0 to 500 cm
     */
    public static Ruler ofMarks(double pixels, double centimetres) {
        if (!(centimetres > 0 && centimetres <= 500)) {
            throw new IllegalArgumentException("The length between the marks must be over 0 and up to 500 cm.");
        }
        if (!(pixels >= 5)) throw new IllegalArgumentException("The marks must be at least 5 pixels apart.");
        From from = Math.abs(centimetres - BALL) < LIKE_A_BALL ? From.BALL : From.MARKS;
        return new Ruler(from, pixels / centimetres, Math.hypot(THING, MARK * Math.sqrt(2) / pixels));
    }

    /**
     * By a body of known height.
     *
     * @param pixels from the ankles up to the ears at address
     * @param height cm
     */
    static Ruler ofHeight(double pixels, double height) {
        return new Ruler(From.HEIGHT, pixels / (ANKLES_TO_EARS * height), BUILD);
    }

    boolean known() {
        return from != From.NONE;
    }
}
