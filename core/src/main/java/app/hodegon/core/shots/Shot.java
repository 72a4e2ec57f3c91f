package app.hodegon.core.shots;

import java.util.OptionalDouble;

/**
 * One ball as a file tells it; at least one figure is there.
 *
 * @param club as the file names it, empty where it does not
 * @param carry 0 to 400 m
 * @param offline -200 to 200 m, plus to the side of the trail hand
 * @param ballSpeed 0 to 120 m/s
 * @param clubSpeed 0 to 80 m/s
 */
public record Shot(
        String club, OptionalDouble carry, OptionalDouble offline, OptionalDouble ballSpeed, OptionalDouble clubSpeed) {

    public static final int LONGEST_CLUB = 40;

    public Shot {
        if (club.length() > LONGEST_CLUB) {
            throw new IllegalArgumentException("the club's name is longer than " + LONGEST_CLUB + " characters");
        }
        for (ShotFigure figure : ShotFigure.values()) {
            OptionalDouble value = switch (figure) {
                case CARRY -> carry;
                case OFFLINE -> offline;
                case BALL_SPEED -> ballSpeed;
                case CLUB_SPEED -> clubSpeed;
            };
            value.ifPresent(figure::check);
        }
        if (carry.isEmpty() && offline.isEmpty() && ballSpeed.isEmpty() && clubSpeed.isEmpty()) {
            throw new IllegalArgumentException("no figure in this row");
        }
    }

    public OptionalDouble figure(ShotFigure figure) {
        return switch (figure) {
            case CARRY -> carry;
            case OFFLINE -> offline;
            case BALL_SPEED -> ballSpeed;
            case CLUB_SPEED -> clubSpeed;
        };
    }
}
