package app.hodegon.core.motion;

import java.util.Arrays;

/** Evenly sampled values; NaN where a sample was lost. */
final class Signal {

    /** A fit reaches this far to each side, seconds: short enough for the way down, long enough to average noise. */
    private static final double REACH = 0.016;

    /** And so many samples at least, for plates that are slow. */
    private static final double FEWEST = 1.6;

    /** Root of the variance of a second difference of white noise of variance one. */
    private static final double SECOND_DIFFERENCE = Math.sqrt(6);

    /** Of a normal distribution, the median of its absolute values over its standard deviation. */
    private static final double MEDIAN_OF_NORMAL = 0.6745;

    private final double rate;
    private final double[] values;

    Signal(double rate, double[] values) {
        this.rate = rate;
        this.values = values;
    }

    int length() {
        return values.length;
    }

    double value(int sample) {
        return values[sample];
    }

    /**
     * A value and its rate of change at one moment.
     *
     * @param slope per second
     * @param gain by how much the fit lessens the noise of one sample, 0 to 1
     */
    record Fit(double value, double slope, double gain) {}

    /** The parabola through the samples around a moment by least squares (Savitzky and Golay 1964). */
    Fit at(double seconds) {
        return at(seconds, REACH);
    }

    /** The same with a reach of one's own, in seconds; all NaN where too few samples are left to fit one. */
    Fit at(double seconds, double reach) {
        double wide = Math.max(reach, FEWEST / rate);
        int from = Math.max(0, (int) Math.ceil((seconds - wide) * rate - 1e-9));
        int to = Math.min(values.length - 1, (int) Math.floor((seconds + wide) * rate + 1e-9));
        double[] sums = new double[5];
        double[] moments = new double[3];
        int n = 0;
        for (int i = from; i <= to; i++) {
            if (Double.isNaN(values[i])) continue;
            double x = (i / rate - seconds) / wide;
            double power = 1;
            for (int k = 0; k < 5; k++) {
                sums[k] += power;
                if (k < 3) moments[k] += power * values[i];
                power *= x;
            }
            n++;
        }
        if (n < 3) return new Fit(Double.NaN, Double.NaN, 1);
        // Cramer's rule on the three normal equations.
        double c00 = sums[2] * sums[4] - sums[3] * sums[3];
        double c01 = sums[2] * sums[3] - sums[1] * sums[4];
        double c02 = sums[1] * sums[3] - sums[2] * sums[2];
        double c11 = sums[0] * sums[4] - sums[2] * sums[2];
        double c12 = sums[1] * sums[2] - sums[0] * sums[3];
        double determinant = sums[0] * c00 + sums[1] * c01 + sums[2] * c02;
        if (Math.abs(determinant) < 1e-9) return new Fit(moments[0] / sums[0], 0, 1 / Math.sqrt(n));
        double value = (c00 * moments[0] + c01 * moments[1] + c02 * moments[2]) / determinant;
        double slope = (c01 * moments[0] + c11 * moments[1] + c12 * moments[2]) / determinant / wide;
        return new Fit(value, slope, Math.sqrt(Math.max(0, c00 / determinant)));
    }

    /** Each sample as fitted. */
    Fit[] fitted() {
        return fitted(REACH);
    }

    /** The same with a reach of one's own, in seconds. */
    Fit[] fitted(double reach) {
        Fit[] fits = new Fit[values.length];
        for (int i = 0; i < fits.length; i++) fits[i] = at(i / rate, reach);
        return fits;
    }

    /**
     * Standard deviation of one sample's noise, from the second differences, which hardly see the movement (the median
     * of their absolute values: Rousseeuw and Croux 1993).
     */
    double noise() {
        double[] differences = new double[values.length];
        int n = 0;
        for (int i = 1; i < values.length - 1; i++) {
            double second = values[i - 1] - 2 * values[i] + values[i + 1];
            if (!Double.isNaN(second)) differences[n++] = Math.abs(second);
        }
        if (n == 0) return 0;
        double[] sorted = Arrays.copyOf(differences, n);
        Arrays.sort(sorted);
        return sorted[n / 2] / MEDIAN_OF_NORMAL / SECOND_DIFFERENCE;
    }

    /** The mean of the samples from one moment to another, those that are there; NaN if none is. */
    double mean(double from, double to) {
        double sum = 0;
        int n = 0;
        for (int i = Math.max(0, (int) Math.ceil(from * rate)); i < values.length && i <= to * rate; i++) {
            if (Double.isNaN(values[i])) continue;
            sum += values[i];
            n++;
        }
        return n == 0 ? Double.NaN : sum / n;
    }
}
