package app.hodegon.core.motion;

/** The parabola through samples around a moment by least squares (Savitzky and Golay 1964); samples may be missing. */
public final class Parabola {

    private final double reach;
    private final double[] sums = new double[5];
    private final double[] moments = new double[3];
    private int n;

    /**
     * A value and its rate of change at the moment.
     *
     * @param slope per second
     * @param gain by how much the fit lessens the noise of one sample, 0 to 1
     */
    public record Fit(double value, double slope, double gain) {}

    /** @param reach how far from the moment the farthest samples lie, seconds */
    public Parabola(double reach) {
        this.reach = reach;
    }

    /** @param seconds from the moment */
    public void add(double seconds, double value) {
        double x = seconds / reach;
        double power = 1;
        for (int k = 0; k < 5; k++) {
            sums[k] += power;
            if (k < 3) moments[k] += power * value;
            power *= x;
        }
        n++;
    }

    /** All NaN where there are too few samples to fit one. */
    public Fit fit() {
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
        double slope = (c01 * moments[0] + c11 * moments[1] + c12 * moments[2]) / determinant / reach;
        return new Fit(value, slope, Math.sqrt(Math.max(0, c00 / determinant)));
    }
}
