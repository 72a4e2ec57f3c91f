package app.hodegon.core.practice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Gate;
import java.time.LocalDate;
import java.util.Optional;

/**
 * Scored reps of one drill on one rung on one day.
 *
 * @param form what the club met
 * @param byCoach whether it was scored by the coach, in a lesson
 */
public record CheckSet(
        LocalDate on,
        Fault fault,
        String drill,
        Rung rung,
        int good,
        int of,
        Optional<Feel> feel,
        Form form,
        boolean byCoach) {

    /** Reps in a full set. */
    public static final int REPS = 10;

    /** Scored by the student, on ball rungs with a range ball. */
    public CheckSet(LocalDate on, Fault fault, String drill, Rung rung, int good, int of, Optional<Feel> feel) {
        this(on, fault, drill, rung, good, of, feel, Form.usual(rung), false);
    }

    /** Ten balls at the start of a lesson. */
    public static CheckSet inLesson(LocalDate on, Fault fault, String drill, Rung rung, int good) {
        return new CheckSet(on, fault, drill, rung, good, REPS, Optional.empty(), Form.usual(rung), true);
    }

    /** Whether it can be the second of a gate's checks: a lesser strike is only the first. */
    boolean closesAGate() {
        return !rung.withBall() || form.realBall();
    }

    public CheckSet {
        if (good < 0 || of < 1 || good > of) throw new IllegalArgumentException("good must be 0 to " + of + ".");
    }

    /** Whether it holds the good reps that this gate asks for. */
    boolean isEnoughFor(Gate gate) {
        return goodOf(gate.of()) >= gate.good();
    }

    /** Good reps scaled to this many. */
    double goodOf(int reps) {
        return (double) good * reps / of;
    }
}
