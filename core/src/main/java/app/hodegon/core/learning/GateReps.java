package app.hodegon.core.learning;

import app.hodegon.core.drill.Rung;
import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;

/**
 * So many times the reps that are assumed do students need to learn: a distribution on a small grid, learnt from those who
 * passed a gate and those still on the way to one, by how many of {@link GateWaits} would have come so far. What is assumed
 * beforehand counts about as much as twenty students.
 */
public final class GateReps {

    private static final int POINTS = 29;
    private static final double MOST = 4;

    /** Twenty students who differ as those assumed tell the logarithm of the factor about so well. */
    private static final double SPREAD = 0.7;

    private static final double EDGE = 0.025;

    /** Reps are told by the day. */
    private static final double A_DAY = 0.2;

    /** Nothing that happened was impossible. */
    private static final double LEAST = 1e-3;

    /** Nothing seen yet. */
    public static final GateReps ASSUMED = assuming(1);

    /** Of each factor of the grid. */
    private final double[] chances;

    private GateReps(double[] chances) {
        this.chances = chances;
    }

    private static double factor(int point) {
        return Math.pow(MOST, 2.0 * point / (POINTS - 1) - 1);
    }

    /** Nothing seen yet where so many times is expected. */
    public static GateReps assuming(double factor) {
        double[] alike = new double[POINTS];
        Arrays.fill(alike, 1);
        return new GateReps(alike).weighed(f -> Math.exp(-0.5 * Math.pow(Math.log(f / factor) / SPREAD, 2)));
    }

    private GateReps weighed(DoubleUnaryOperator by) {
        double[] after = new double[POINTS];
        double sum = 0;
        for (int i = 0; i < POINTS; i++) {
            after[i] = chances[i] * by.applyAsDouble(factor(i));
            sum += after[i];
        }
        for (int i = 0; i < POINTS; i++) after[i] /= sum;
        return new GateReps(after);
    }

    /**
     * After somebody did so much towards a gate and did, or did not yet, pass.
     *
     * @param repsToLearn of their level
     * @param rung one with a gate
     * @param reps spaced, over 0
     */
    public GateReps after(double repsToLearn, Rung rung, double reps, boolean through) {
        return weighed(times -> likelihood(GateWaits.of(times * repsToLearn, rung), reps, through));
    }

    private static double likelihood(GateWaits waits, double reps, boolean through) {
        return through
                ? waits.within(reps * (1 + A_DAY)) - waits.within(reps * (1 - A_DAY)) + LEAST
                : 1 - waits.within(reps);
    }

    /** 1 for as much as assumed. */
    public double mean() {
        double sum = 0;
        for (int i = 0; i < POINTS; i++) sum += chances[i] * Math.log(factor(i));
        return Math.exp(sum);
    }

    /** Lower edge of its 95 % interval. */
    public double low() {
        return quantile(EDGE);
    }

    /** Upper edge of its 95 % interval. */
    public double high() {
        return quantile(1 - EDGE);
    }

    private double quantile(double share) {
        double below = 0;
        for (int i = 0; i < POINTS; i++) {
            if (below + chances[i] >= share) {
                double inside = (share - below) / chances[i] - 0.5;
                return factor(i) * Math.pow(MOST, 2.0 * inside / (POINTS - 1));
            }
            below += chances[i];
        }
        return MOST;
    }

    /**
     * What the next student tells of this: the logarithm of the chance that was given to what happened.
     *
     * @param repsToLearn of the level
     * @param rung one with a gate
     * @param reps spaced, done for it, over 0
     */
    public double logScore(double repsToLearn, Rung rung, double reps, boolean through) {
        double chance = 0;
        for (int i = 0; i < POINTS; i++) {
            chance += chances[i] * likelihood(GateWaits.of(factor(i) * repsToLearn, rung), reps, through);
        }
        return Math.log(chance);
    }

    /**
     * Spaced reps within which half of those assumed are through a rung's gate.
     *
     * @param repsToLearn of the level
     * @param rung one with a gate
     */
    public static double half(double repsToLearn, Rung rung) {
        return GateWaits.of(repsToLearn, rung).half();
    }
}
