package app.hodegon.core.golfer;

/**
 * A smooth course through given values: cubic between knots, at rest before the first and after the last, never beyond
 * two neighbouring values (Fritsch and Carlson 1980).
 */
final class Course {

    /** Steepness at the strike over the mean of the way down: so that speed grows up to it and falls after. */
    private static final double WHIP = 1.25;

    /** After the strike, speed and way decay like this: parts of the speed at the strike, and of the way down's time. */
    private static final double SPEED_SOON = 0.6;

    private static final double SPEED_LATER = 0.12;
    private static final double SOON = 0.6;
    private static final double LATER = 1.2;
    private static final double MEAN_SOON = 0.85;

    private final double[] times;
    private final double[] values;
    private final double[] slopes;

    private Course(double[] times, double[] values, double[] slopes) {
        this.times = times;
        this.values = values;
        this.slopes = slopes;
    }

    static Course through(double[] times, double[] values) {
        return new Course(times, values, monotone(times, values));
    }

    /** The same for what is thrown: fastest at one knot, the last but one, and running out after it. */
    static Course whipped(double[] times, double[] values) {
        int n = times.length;
        int strike = n - 2;
        double down = times[strike] - times[strike - 1];
        double mean = (values[strike] - values[strike - 1]) / down;
        double speed = WHIP * mean;
        double[] t = new double[n + 2];
        double[] v = new double[n + 2];
        System.arraycopy(times, 0, t, 0, n - 1);
        System.arraycopy(values, 0, v, 0, n - 1);
        t[n - 1] = times[strike] + SOON * down;
        v[n - 1] = values[strike] + MEAN_SOON * speed * SOON * down;
        t[n] = t[n - 1] + LATER * down;
        v[n] = v[n - 1] + (SPEED_SOON + SPEED_LATER) / 2 * speed * LATER * down;
        t[n + 1] = times[n - 1];
        v[n + 1] = values[n - 1];
        double[] s = monotone(t, v);
        s[strike - 1] = Math.signum(mean) * Math.max(0, 3 * Math.abs(mean) - 2 * Math.abs(speed));
        s[strike] = speed;
        s[n - 1] = SPEED_SOON * speed;
        s[n] = SPEED_LATER * speed;
        return new Course(t, v, s);
    }

    private static double[] monotone(double[] t, double[] v) {
        double[] slopes = new double[t.length];
        for (int i = 1; i < t.length - 1; i++) {
            double before = (v[i] - v[i - 1]) / (t[i] - t[i - 1]);
            double after = (v[i + 1] - v[i]) / (t[i + 1] - t[i]);
            if (before * after <= 0) continue;
            double w1 = 2 * (t[i + 1] - t[i]) + (t[i] - t[i - 1]);
            double w2 = (t[i + 1] - t[i]) + 2 * (t[i] - t[i - 1]);
            slopes[i] = (w1 + w2) / (w1 / before + w2 / after);
        }
        return slopes;
    }

    double at(double time) {
        int i = segment(time);
        if (i < 0) return values[0];
        if (i >= times.length - 1) return values[values.length - 1];
        double h = times[i + 1] - times[i];
        double x = (time - times[i]) / h;
        double y = 1 - x;
        return y * y * (1 + 2 * x) * values[i]
                + x * x * (1 + 2 * y) * values[i + 1]
                + h * x * y * (y * slopes[i] - x * slopes[i + 1]);
    }

    /** Rate of change per second. */
    double slope(double time) {
        int i = segment(time);
        if (i < 0 || i >= times.length - 1) return 0;
        double h = times[i + 1] - times[i];
        double x = (time - times[i]) / h;
        return 6 * x * (1 - x) * (values[i + 1] - values[i]) / h
                + (1 - x) * (1 - 3 * x) * slopes[i]
                + x * (3 * x - 2) * slopes[i + 1];
    }

    private int segment(double time) {
        int i = -1;
        while (i + 1 < times.length && times[i + 1] <= time) i++;
        return i;
    }
}
