package app.hodegon.core.track;

import app.hodegon.core.motion.Noise;
import app.hodegon.core.motion.Parabola;
import java.util.Arrays;

/** One value over the pictures of a film, whose times need not be even; NaN where it was not seen. */
final class Curve {

    /** And a fit has so many pictures to each side at least. */
    static final double FEWEST = 1.6;

    private final double[] seconds;
    private final double[] values;
    private double noise = Double.NaN;

    Curve(double[] seconds, double[] values) {
        this.seconds = seconds;
        this.values = values;
    }

    int length() {
        return values.length;
    }

    double value(int picture) {
        return values[picture];
    }

    double time(int picture) {
        return seconds[picture];
    }

    /** The first picture at or after a moment; the number of pictures when there is none. */
    int from(double moment) {
        int found = Arrays.binarySearch(seconds, moment - 1e-9);
        return found >= 0 ? found : -found - 1;
    }

    /** The parabola around a moment; all NaN where too few pictures show the value. */
    Parabola.Fit at(double moment, double reach) {
        double wide = Math.max(reach, FEWEST * Track.stepAt(seconds, moment));
        Parabola parabola = new Parabola(wide);
        for (int i = from(moment - wide); i < values.length && seconds[i] <= moment + wide + 1e-9; i++) {
            if (!Double.isNaN(values[i])) parabola.add(seconds[i] - moment, values[i]);
        }
        return parabola.fit();
    }

    double value(double moment, double reach) {
        return at(moment, reach).value();
    }

    /** Each picture as fitted. */
    Curve smooth(double reach) {
        double[] smooth = new double[values.length];
        for (int i = 0; i < smooth.length; i++) smooth[i] = value(seconds[i], reach);
        return new Curve(seconds, smooth);
    }

    /** How fast it changes at each picture, per second. */
    Curve speed(double reach) {
        double[] speed = new double[values.length];
        for (int i = 0; i < speed.length; i++) speed[i] = at(seconds[i], reach).slope();
        return new Curve(seconds, speed);
    }

    Curve minus(Curve other) {
        return with(other, -1);
    }

    /** Half-way between two. */
    Curve middle(Curve other) {
        Curve sum = with(other, 1);
        for (int i = 0; i < sum.values.length; i++) sum.values[i] /= 2;
        return sum;
    }

    private Curve with(Curve other, int sign) {
        double[] both = new double[values.length];
        for (int i = 0; i < both.length; i++) both[i] = values[i] + sign * other.values[i];
        return new Curve(seconds, both);
    }

    /** Standard deviation of one picture's noise. */
    double noise() {
        if (Double.isNaN(noise)) noise = Noise.of(values);
        return noise;
    }

    /** The value that half of the pictures from one moment to another lie under; NaN where none shows it. */
    double median(double from, double to) {
        double[] seen = new double[values.length];
        int n = 0;
        for (int i = from(from); i < values.length && seconds[i] <= to + 1e-9; i++) {
            if (!Double.isNaN(values[i])) seen[n++] = values[i];
        }
        return n == 0 ? Double.NaN : median(seen, n);
    }

    /** How many pictures from one moment to another show it. */
    int seen(double from, double to) {
        int n = 0;
        for (int i = from(from); i < values.length && seconds[i] <= to + 1e-9; i++) if (!Double.isNaN(values[i])) n++;
        return n;
    }

    static double median(double[] values, int n) {
        double[] sorted = Arrays.copyOf(values, n);
        Arrays.sort(sorted);
        return n % 2 == 1 ? sorted[n / 2] : (sorted[n / 2 - 1] + sorted[n / 2]) / 2;
    }

    /** The last moment from one to another at which it passes a level upwards (or downwards); NaN if it never does. */
    double crossing(double from, double to, double level, boolean upwards, double reach) {
        double found = Double.NaN;
        double before = Double.NaN;
        double at = Double.NaN;
        for (int i = from(from); i < values.length && seconds[i] <= to + 1e-9; i++) {
            double value = value(seconds[i], reach) - level;
            if (Double.isNaN(value)) continue;
            boolean passed = upwards ? before < 0 && value >= 0 : before > 0 && value <= 0;
            if (passed) found = at + (seconds[i] - at) * before / (before - value);
            before = value;
            at = seconds[i];
        }
        return found;
    }
}
