package app.hodegon.core.practice;

/**
 * How a session felt.
 *
 * @param value 1 (lost) to 5 (clear)
 */
public record Feel(int value) {

    private static final int LOST_UP_TO = 2;

    public static final Feel LOST = new Feel(1);

    public Feel {
        if (value < 1 || value > 5) throw new IllegalArgumentException("feel is 1 (lost) to 5 (clear).");
    }

    public boolean lost() {
        return value <= LOST_UP_TO;
    }
}
