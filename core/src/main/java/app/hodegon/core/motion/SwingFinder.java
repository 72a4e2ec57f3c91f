package app.hodegon.core.motion;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Where swings are in loads. A swing is told by its way down: within a seventh of a second the load goes over to the lead
 * foot, or the push of the feet rises or falls by a good part of the body's weight. A waggle and a swing broken off at
 * the top do neither.
 */
final class SwingFinder {

    /** How long the way down is looked at, seconds. */
    private static final double WINDOW = 0.14;

    /** Points of trail share that must go over to the lead foot in it. */
    private static final double SHIFT = 14;

    /** Or the part of the usual load by which the push must change, percent. */
    private static final double PUSH = 22;

    /** With less than this part of the usual load, %, nobody stands on the plate. */
    private static final double STANDING = 40;

    /** Somebody must stand on it for so long before and after a way down, seconds. */
    private static final double STANDS = 0.4;

    /** Ways down less apart than this are one, seconds: a finish that sways back is no second swing. */
    private static final double APART = 1.5;

    /** From so long after the way down on, seconds, less than so many points are under the trail foot. */
    private static final double SETTLED = 0.4;

    private static final double ACROSS = 38;

    private SwingFinder() {}

    /** The moment of the fastest change of each swing, in seconds. */
    static List<Double> waysDown(Trace trace) {
        Signal share = trace.trailShare();
        Signal total = trace.total();
        double usual = usual(total);
        if (!(usual > 0)) return List.of();
        Parabola.Fit[] shares = share.fitted();
        Parabola.Fit[] totals = total.fitted();
        int window = Math.max(2, (int) Math.round(WINDOW * trace.rate()));
        List<Double> found = new ArrayList<>();
        double best = 0;
        for (int i = 0; i + window < shares.length; i++) {
            double shift = (shares[i].value() - shares[i + window].value()) / SHIFT;
            double push = 100 * Math.abs(totals[i].value() - totals[i + window].value()) / usual / PUSH;
            boolean across = shift > 0 && staysAcross(trace, share, i);
            double strength = (across ? shift : 0) + (Double.isNaN(push) ? 0 : push);
            if (strength < 1 || !standing(trace, totals, i, usual)) continue;
            double at = trace.time(i) + WINDOW / 2;
            if (found.isEmpty() || at - found.get(found.size() - 1) > APART) {
                found.add(at);
                best = strength;
            } else if (strength > best) {
                found.set(found.size() - 1, at);
                best = strength;
            }
        }
        return found;
    }

    /** What comes over in a swing stays there; from a swing that is broken off it comes back to where it began. */
    private static boolean staysAcross(Trace trace, Signal share, int from) {
        double struck = trace.time(from) + WINDOW;
        double after = share.mean(struck + SETTLED, struck + 2 * SETTLED);
        return Double.isNaN(after) || after < ACROSS;
    }

    private static boolean standing(Trace trace, Parabola.Fit[] totals, int around, double usual) {
        int reach = (int) (STANDS * trace.rate());
        int to = Math.min(totals.length - 1, around + reach);
        for (int i = Math.max(0, around - reach); i <= to; i++) {
            if (totals[i].value() < usual * STANDING / 100) return false;
        }
        return true;
    }

    /** Half of the samples are below: the load at rest, since most of a trace is rest. */
    static double usual(Signal total) {
        double[] sorted = new double[total.length()];
        int n = 0;
        for (int i = 0; i < sorted.length; i++) if (!Double.isNaN(total.value(i))) sorted[n++] = total.value(i);
        if (n == 0) return Double.NaN;
        Arrays.sort(sorted, 0, n);
        return sorted[n / 2];
    }
}
