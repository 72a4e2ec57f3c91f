package app.hodegon.core.motion;

/** Evenly sampled values; NaN where a sample was lost. */
final class Signal {

    /** A fit reaches this far to each side, seconds: short enough for the way down, long enough to average noise. */
    private static final double REACH = 0.016;

    /** And so many samples at least, for plates that are slow. */
    private static final double FEWEST = 1.6;

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

    /** The parabola through the samples around a moment by least squares (Savitzky and Golay 1964). */
    Parabola.Fit at(double seconds) {
        return at(seconds, REACH);
    }

    /** The same with a reach of one's own, in seconds; all NaN where too few samples are left to fit one. */
    Parabola.Fit at(double seconds, double reach) {
        double wide = Math.max(reach, FEWEST / rate);
        int from = Math.max(0, (int) Math.ceil((seconds - wide) * rate - 1e-9));
        int to = Math.min(values.length - 1, (int) Math.floor((seconds + wide) * rate + 1e-9));
        Parabola parabola = new Parabola(wide);
        for (int i = from; i <= to; i++) {
            if (!Double.isNaN(values[i])) parabola.add(i / rate - seconds, values[i]);
        }
        return parabola.fit();
    }

    /** Each sample as fitted. */
    Parabola.Fit[] fitted() {
        return fitted(REACH);
    }

    /** The same with a reach of one's own, in seconds. */
    Parabola.Fit[] fitted(double reach) {
        Parabola.Fit[] fits = new Parabola.Fit[values.length];
        for (int i = 0; i < fits.length; i++) fits[i] = at(i / rate, reach);
        return fits;
    }

    /** Standard deviation of one sample's noise. */
    double noise() {
        return Noise.of(values);
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
