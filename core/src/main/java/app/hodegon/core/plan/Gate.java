package app.hodegon.core.plan;

/**
 * What passes a rung: at least {@code good} of {@code of} scored reps on this many different days, the latest sets on
 * that rung.
 *
 * @param coachSigns whether the coach's word is needed besides
 */
public record Gate(int good, int of, int days, boolean coachSigns) {

    public static final Gate STANDARD = new Gate(8, 10, 2, false);

    public Gate {
        if (good < 1 || good > of || days < 1) throw new IllegalArgumentException("No such gate.");
    }

    /** As the coach set it for one student; between 6 and 10 of ten. */
    public static Gate set(int good, boolean coachSigns) {
        if (good < 6 || good > STANDARD.of) throw new IllegalArgumentException("A gate asks for 6 to 10 good of ten.");
        return new Gate(good, STANDARD.of, STANDARD.days, coachSigns);
    }

    /** With the coach's word given. */
    public Gate signed() {
        return new Gate(good, of, days, false);
    }
}
