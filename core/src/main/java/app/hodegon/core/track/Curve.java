package app.hodegon.core.track;

import app.hodegon.core.motion.Noise;
import app.hodegon.core.motion.Parabola;
import java.util.Arrays;

/**
 * One value over the pictures of a film, whose times need not be even; NaN where it was not seen. Of pictures in which points
 * were set by hand, each tells for itself.
 */
final class Curve {

    /** And a fit has so many pictures to each side at least. */
    static final double FEWEST = 1.6;

    /** Times that differ by less are one, seconds: moments are told to a tenth of a millisecond. */
    static final double SAME = 1e-3;

    private final double[] seconds;
    private final double[] values;
    private final boolean byHand;
    private double noise;

    Curve(double[] seconds, double[] values) {
        this(seconds, values, false, Double.NaN);
    }

    private Curve(double[] seconds, double[] values, boolean byHand, double noise) {
        this.seconds = seconds;
        this.values = values;
        this.byHand = byHand;
        this.noise = noise;
    }

    /** @param noise standard deviation of what somebody sets in a picture */
    static Curve byHand(double[] seconds, double[] values, double noise) {
        return new Curve(seconds, values, true, noise);
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
        int found = Arrays.binarySearch(seconds, moment - (byHand ? SAME : 1e-9));
        return found >= 0 ? found : -found - 1;
    }

    /** The parabola around a moment; all NaN where too few pictures show the value. */
    Parabola.Fit at(double moment, double reach) {
        if (byHand) return straight(moment);
        double wide = Math.max(reach, FEWEST * Track.stepAt(seconds, moment));
        Parabola parabola = new Parabola(wide);
        for (int i = from(moment - wide); i < values.length && seconds[i] <= moment + wide + 1e-9; i++) {
            if (!Double.isNaN(values[i])) parabola.add(seconds[i] - moment, values[i]);
        }
        return parabola.fit();
    }

    /** The picture at a moment, and how the value goes from the one before to the one after it. */
    private Parabola.Fit straight(double moment) {
        int i = from(moment);
        if (i >= values.length || Math.abs(seconds[i] - moment) > SAME)
            return new Parabola.Fit(Double.NaN, Double.NaN, 1);
        int before = Math.max(0, i - 1);
        int after = Math.min(values.length - 1, i + 1);
        double slope = (values[after] - values[before]) / (seconds[after] - seconds[before]);
        return new Parabola.Fit(values[i], Double.isNaN(slope) ? 0 : slope, 1);
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
        return with(other, 1, -1);
    }

    /** Half-way between two. */
    Curve middle(Curve other) {
        return with(other, 0.5, 0.5);
    }

    private Curve with(Curve other, double mine, double theirs) {
        double[] both = new double[values.length];
        for (int i = 0; i < both.length; i++) both[i] = mine * values[i] + theirs * other.values[i];
        return new Curve(seconds, both, byHand, byHand ? Math.hypot(mine * noise, theirs * other.noise) : Double.NaN);
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
