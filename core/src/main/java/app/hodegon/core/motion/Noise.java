package app.hodegon.core.motion;

import java.util.Arrays;

/** How much values shake from one to the next. */
public final class Noise {

    /** Root of the variance of a second difference of white noise of variance one. */
    private static final double SECOND_DIFFERENCE = Math.sqrt(6);

    /** Of a normal distribution, the median of its absolute values over its standard deviation. */
    private static final double MEDIAN_OF_NORMAL = 0.6745;

    private Noise() {}

    /**
     * Standard deviation of one value's noise, from the second differences, which hardly see the movement (the median of
     * their absolute values: Rousseeuw and Croux 1993); values that are NaN are left out.
     */
    public static double of(double[] values) {
        double[] differences = new double[values.length];
        int n = 0;
        for (int i = 1; i < values.length - 1; i++) {
            double second = Math.abs(values[i - 1] - 2 * values[i] + values[i + 1]);
            if (!Double.isNaN(second)) differences[n++] = second;
        }
        if (n == 0) return 0;
        Arrays.sort(differences, 0, n);
        return differences[n / 2] / MEDIAN_OF_NORMAL / SECOND_DIFFERENCE;
    }
}
