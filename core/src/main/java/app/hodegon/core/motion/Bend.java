package app.hodegon.core.motion;

/**
 * How well values that rest at a level and then leave it on a parabola, without a jump, follow that (a change point;
 * Hinkley 1971).
 */
public final class Bend {

    private double n;
    private double x1;
    private double x2;
    private double y1;
    private double y2;
    private double xy;

    /** @param beyond how far behind the bend a value lies, as a part of the way to the last; 0 up to the bend */
    public void add(double beyond, double value) {
        double x = beyond * beyond;
        n++;
        x1 += x;
        x2 += x * x;
        y1 += value;
        y2 += value * value;
        xy += x * value;
    }

    /** The squares left by the best level and parabola; 0 of no values. */
    public double squares() {
        if (n == 0) return 0;
        double across = x2 - x1 * x1 / n;
        double along = xy - x1 * y1 / n;
        return y2 - y1 * y1 / n - (across > 0 ? along * along / across : 0);
    }
}
