package app.hodegon.core.track;

/** Where a curve turns round. */
final class Turn {

    /** The lowest is fitted over so much to each side, seconds. */
    private static final double REACH = 0.045;

    private Turn() {}

    /**
     * Squares left, of what is between two moments, by two half parabolas that meet level at another between them.
     */
    static double misfit(Curve curve, double at, double from, double to) {
        // Three unknowns: the value at the turn, and one curvature to each side.
        double n = 0;
        double y1 = 0;
        double y2 = 0;
        double[] x1 = new double[2];
        double[] x2 = new double[2];
        double[] xy = new double[2];
        for (int i = curve.from(from); i < curve.length() && curve.time(i) <= to; i++) {
            double y = curve.value(i);
            if (Double.isNaN(y)) continue;
            int side = curve.time(i) <= at ? 0 : 1;
            double x = (curve.time(i) - at) * (curve.time(i) - at);
            n++;
            y1 += y;
            y2 += y * y;
            x1[side] += x;
            x2[side] += x * x;
            xy[side] += x * y;
        }
        if (n < 5) return Double.POSITIVE_INFINITY;
        double left = n;
        double right = y1;
        double squares = y2;
        for (int side = 0; side < 2; side++) {
            if (x2[side] == 0) continue;
            left -= x1[side] * x1[side] / x2[side];
            right -= x1[side] * xy[side] / x2[side];
            squares -= xy[side] * xy[side] / x2[side];
        }
        return squares - (left > 0 ? right * right / left : 0);
    }

    /** The bottom of the parabola around a moment; the moment itself where there is none. */
    static double lowest(Curve curve, double near) {
        double at = near;
        for (int i = 0; i < 3; i++) {
            double here = curve.at(at, REACH).slope();
            double ahead = curve.at(at + REACH / 2, REACH).slope();
            double behind = curve.at(at - REACH / 2, REACH).slope();
            double bend = (ahead - behind) / REACH;
            if (!(bend > 0)) return near;
            double next = at - here / bend;
            if (Math.abs(next - near) > 2 * REACH) return near;
            at = next;
        }
        return at;
    }
}
