package app.hodegon.core.practice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import java.time.LocalDate;
import java.util.Optional;

/** Scored reps of one drill on one rung on one day. */
public record CheckSet(LocalDate on, Fault fault, String drill, Rung rung, int good, int of, Optional<Feel> feel) {

    /** Reps in a full set. */
    public static final int REPS = 10;

    public CheckSet {
        if (good < 0 || of < 1 || good > of) throw new IllegalArgumentException("good must be 0 to " + of + ".");
    }

    /** Good reps scaled to this many. */
    double goodOf(int reps) {
        return (double) good * reps / of;
    }
}
