package app.hodegon.core.learning;

import org.hipparchus.distribution.discrete.BinomialDistribution;

/** The chance that ten scored reps hold enough good ones, over the spread of form and of students. */
public final class GateChance {

    private static final int STEPS = 100;

    /** Gauss-Hermite nodes and weights for a standard normal, five points (Abramowitz and Stegun 1964, table 25.10). */
    private static final double[] NODES = {-2.856970, -1.355626, 0, 1.355626, 2.856970};

    private static final double[] WEIGHTS = {0.011257, 0.222076, 0.533333, 0.222076, 0.011257};

    /** Day's form and differences between students together, in log-odds. */
    private static final double SPREAD = Math.hypot(Learner.DAILY_WAVER, 0.4);

    private final double[] chance = new double[STEPS + 1];

    /**
     * @param good reps that must be good
     * @param of reps scored
     */
    public GateChance(int good, int of) {
        for (int i = 0; i <= STEPS; i++) {
            double p = Math.min(0.999, Math.max(0.001, (double) i / STEPS));
            for (int n = 0; n < NODES.length; n++) {
                double form = Math.log(p / (1 - p)) + SPREAD * NODES[n];
                double today = 1 / (1 + Math.exp(-form));
                chance[i] += WEIGHTS[n] * (1 - new BinomialDistribution(of, today).cumulativeProbability(good - 1));
            }
        }
    }

    /** For a student whose chance of a good rep is {@code p} on an ordinary day. */
    public double at(double p) {
        double at = p * STEPS;
        int below = Math.min(STEPS - 1, (int) at);
        return chance[below] + (at - below) * (chance[below + 1] - chance[below]);
    }
}
