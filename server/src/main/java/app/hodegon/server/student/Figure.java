package app.hodegon.server.student;

import java.util.Optional;

/**
 * The student's golfer.
 *
 * @param height in cm, {@value #SMALLEST} to {@value #TALLEST}
 * @param look its name, small letters; empty for whatever goes with the student's name
 */
public record Figure(Optional<Double> height, Optional<String> look) {

    static final int SMALLEST = 100;
    static final int TALLEST = 230;
    static final String LOOK = "[a-z]{1,12}";

    public static final Figure UNKNOWN = new Figure(Optional.empty(), Optional.empty());

    public Figure {
        if (height.filter(cm -> !isTall(cm)).isPresent()) {
            throw new IllegalArgumentException("height must be " + SMALLEST + " to " + TALLEST + " cm.");
        }
        if (look.filter(name -> !isLook(name)).isPresent()) {
            throw new IllegalArgumentException("look must be small letters, twelve at most.");
        }
    }

    /** As it is stored: what no figure has, taken in before it was looked at, is not known. */
    static Figure stored(Double height, String look) {
        return new Figure(
                Optional.ofNullable(height).filter(Figure::isTall),
                Optional.ofNullable(look).filter(Figure::isLook));
    }

    private static boolean isTall(double cm) {
        return cm >= SMALLEST && cm <= TALLEST;
    }

    private static boolean isLook(String name) {
        return name.matches(LOOK);
    }
}
