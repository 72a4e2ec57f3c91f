package app.hodegon.core.plan;

/**
 * What passes a rung: at least {@code good} of {@code of} scored reps on this many different days, the latest sets on
 * that rung.
 */
public record Gate(int good, int of, int days) {
    public static final Gate STANDARD = new Gate(8, 10, 2);

    public Gate {
        if (good < 1 || good > of || days < 1) throw new IllegalArgumentException("No such gate.");
    }
}
