package app.hodegon.core.learning;

import app.hodegon.core.drill.Rung;
import java.util.Map;

/**
 * Spaced reps after which two thirds of a rung are learned, by students of one level: as assumed, or with what a house has
 * learnt of its own students.
 *
 * @param assumed of any rung, over 0
 * @param rungs by rung, so many times that; 1 where nothing is said
 * @param drills by drill, so many times what its rung takes; 1 where nothing is said
 */
public record RepsNeeded(double assumed, Map<Rung, Double> rungs, Map<String, Double> drills) {

    public RepsNeeded {
        rungs = Map.copyOf(rungs);
        drills = Map.copyOf(drills);
    }

    /** As assumed. */
    public static RepsNeeded assumed(double reps) {
        return new RepsNeeded(reps, Map.of(), Map.of());
    }

    /** In the rungs' order, everybody's so many times over. */
    double[] byRung(double times) {
        double[] reps = new double[Rung.values().length];
        for (Rung rung : Rung.values()) reps[rung.ordinal()] = times * assumed * rungs.getOrDefault(rung, 1.0);
        return reps;
    }

    /** What a rep with this drill counts for beside one with any other of its rung. */
    public double worth(String drill) {
        return 1 / drills.getOrDefault(drill, 1.0);
    }
}
