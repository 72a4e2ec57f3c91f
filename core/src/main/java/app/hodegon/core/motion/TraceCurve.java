package app.hodegon.core.motion;

import java.util.Optional;

/**
 * A trace as it is drawn: smoothed, at even steps; NaN where nothing can be told.
 *
 * @param step seconds from one point to the next
 * @param trailShare load under the trail foot, %
 * @param push load under both feet, % of the load at rest
 * @param halves of both feet; empty for a trace that tells the feet only
 */
public record TraceCurve(double step, double[] trailShare, double[] push, Optional<Halves> halves) {

    /** Load of the front and the outer half, % of the foot's. */
    public record Halves(double[] leadFront, double[] leadOuter, double[] trailFront, double[] trailOuter) {}

    /** Under this part of the whole load, %, a foot's halves are not drawn. */
    private static final double HARDLY_LOADED = 3;

    /** @param perSecond points a second; never more than the trace has samples */
    public static TraceCurve of(Trace trace, double perSecond) {
        double step = 1 / Math.min(perSecond, trace.rate());
        int points = (int) Math.floor(trace.duration() / step + 1e-9) + 1;
        Signal share = trace.trailShare();
        Signal total = trace.total();
        double usual = SwingFinder.usual(total);
        double[] shares = new double[points];
        double[] push = new double[points];
        for (int i = 0; i < points; i++) {
            shares[i] = Math.max(0, Math.min(100, share.at(i * step).value()));
            push[i] = Math.max(0, 100 * total.at(i * step).value() / usual);
        }
        if (!trace.hasCells()) return new TraceCurve(step, shares, push, Optional.empty());
        return new TraceCurve(
                step,
                shares,
                push,
                Optional.of(new Halves(
                        half(trace, Foot.LEAD, true, shares, step),
                        half(trace, Foot.LEAD, false, shares, step),
                        half(trace, Foot.TRAIL, true, shares, step),
                        half(trace, Foot.TRAIL, false, shares, step))));
    }

    private static double[] half(Trace trace, Foot foot, boolean front, double[] shares, double step) {
        Signal whole = trace.of(foot);
        Signal part = trace.of(foot, front ? Cell::front : Cell::outer);
        double[] half = new double[shares.length];
        for (int i = 0; i < half.length; i++) {
            double bears = foot == Foot.TRAIL ? shares[i] : 100 - shares[i];
            double value = 100 * part.at(i * step).value() / whole.at(i * step).value();
            half[i] = bears > HARDLY_LOADED ? Math.max(0, Math.min(100, value)) : Double.NaN;
        }
        return half;
    }
}
