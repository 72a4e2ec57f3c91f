package app.hodegon.core.simulate;

import java.util.List;

/**
 * How often things given a chance happened, by tenths of the chance given.
 *
 * @param cases how many chances fell into each tenth
 * @param given mean chance in each tenth, 0 to 1; not a number where there was none
 * @param happened share that happened
 */
public record Reliability(int[] cases, double[] given, double[] happened) {

    public static final int TENTHS = 10;

    /**
     * @param chance 0 to 1
     */
    public record Case(double chance, boolean happened) {

        /** Chances closer to none or all than this count as this. */
        private static final double EDGE = 0.002;

        /** Logarithm of the chance given to what happened. */
        double logScore() {
            double given = Math.max(EDGE, Math.min(1 - EDGE, chance));
            return Math.log(happened ? given : 1 - given);
        }
    }

    public static Reliability of(List<Case> all) {
        int[] cases = new int[TENTHS];
        double[] given = new double[TENTHS];
        double[] happened = new double[TENTHS];
        for (Case one : all) {
            int tenth = Math.min(TENTHS - 1, (int) (one.chance() * TENTHS));
            cases[tenth]++;
            given[tenth] += one.chance();
            if (one.happened()) happened[tenth]++;
        }
        for (int t = 0; t < TENTHS; t++) {
            given[t] /= cases[t];
            happened[t] /= cases[t];
        }
        return new Reliability(cases, given, happened);
    }
}
