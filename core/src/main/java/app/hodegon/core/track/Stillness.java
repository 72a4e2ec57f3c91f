package app.hodegon.core.track;

import app.hodegon.core.motion.Bend;
import app.hodegon.core.motion.Parabola;
import app.hodegon.core.motion.Span;
import java.util.List;
import java.util.Optional;

/** Where a body stands still before a swing and after it, and when parts of it leave their places. */
final class Stillness {

    /** So long every point must stand still to be at rest, seconds. */
    static final double LASTS = 0.25;

    /** Speeds are fitted over so much to each side, seconds. */
    private static final double REACH = 0.1;

    /** What moves before and after a rest takes so much off what is seen of it, seconds. */
    private static final double SEEN = LASTS - REACH;

    /** Slower than this part of the body's length a second is still. */
    private static final double STILL = 0.11;

    /** Or than so many standard deviations of a speed that is noise alone. */
    private static final double BEYOND = 4.5;

    /** Its level is taken from so much of a rest, and what leaves it is followed as long, seconds. */
    private static final double LEVEL = 0.5;

    /** The bend lies at least so far from the ends of what is looked at, seconds. */
    private static final double MARGIN = 0.06;

    /** These parts of the body's length from its level a point has gone for good: hands, and what moves less. */
    static final double GONE_FAR = 0.018;

    static final double GONE_NEAR = 0.006;

    /** Or so many times its noise. */
    private static final double GONE_NOISE = 6;

    private static final double GONE_REACH = 0.03;

    /** No film is sharper than this part of the body's length. */
    private static final double SHARPEST = 0.0008;

    private final double body;
    private final List<Curve> all;

    /** @param all what must stand still, in pixels */
    Stillness(double body, List<Curve> all) {
        this.body = body;
        this.all = all;
    }

    List<Span> spans() {
        Curve clock = all.get(0);
        boolean[] moves = new boolean[clock.length()];
        double step = (clock.time(clock.length() - 1) - clock.time(0)) / (clock.length() - 1);
        double reach = Math.max(REACH, Curve.FEWEST * step);
        double gain = Math.sqrt(1.5 * step / reach) / reach;
        for (Curve curve : all) {
            double still = Math.max(STILL * body, BEYOND * curve.noise() * gain);
            for (int i = 0; i < moves.length; i++) {
                Parabola.Fit fit = curve.at(clock.time(i), REACH);
                if (Math.abs(fit.slope()) > still) moves[i] = true;
            }
        }
        return Span.of(moves.length, i -> !moves[i], clock::time, SEEN);
    }

    /**
     * The moment from which on some curves leave the levels of a rest: of all bends between levels and parabolas that start
     * from them without a jump, the one with the least squares. Empty where none of them
     * leaves its level beyond its noise by the latest.
     *
     * @param far what is called gone, in parts of the body's length
     */
    Optional<Double> leaves(List<Curve> curves, Span rest, double latest, double far) {
        double from = Math.max(rest.from(), rest.to() - LEVEL);
        double to = curves.stream()
                .mapToDouble(c -> gone(c, from, rest.to(), latest, far))
                .min()
                .orElse(Double.NaN);
        if (Double.isNaN(to) || to >= latest) return Optional.empty();
        Curve clock = curves.get(0);
        double best = Double.POSITIVE_INFINITY;
        double bend = Double.NaN;
        for (int i = clock.from(from + MARGIN); i < clock.length() && clock.time(i) <= to - MARGIN / 2; i++) {
            double misfit = 0;
            for (Curve curve : curves) misfit += misfit(curve, from, clock.time(i), to);
            if (misfit < best) {
                best = misfit;
                bend = clock.time(i);
            }
        }
        return Double.isNaN(bend) ? Optional.empty() : Optional.of(bend);
    }

    /** When a curve is so far from its level that nobody would take it for that. */
    private double gone(Curve curve, double from, double to, double latest, double part) {
        double level = curve.median(from, to - REACH / 2);
        double gain = curve.at(to, GONE_REACH).gain();
        double far = Math.max(part * body, GONE_NOISE * curve.noise() * gain);
        for (int i = curve.from(to - REACH); i < curve.length() && curve.time(i) < latest; i++) {
            if (Math.abs(curve.value(curve.time(i), GONE_REACH) - level) > far) return curve.time(i);
        }
        return latest;
    }

    /** Squares left, in the noise's own, by a level up to the bend and a parabola from it on. */
    private double misfit(Curve curve, double from, double bend, double to) {
        Bend fit = new Bend();
        for (int i = curve.from(from); i < curve.length() && curve.time(i) <= to + 1e-9; i++) {
            double value = curve.value(i);
            if (Double.isNaN(value)) continue;
            fit.add(curve.time(i) <= bend ? 0 : (curve.time(i) - bend) / (to - bend), value);
        }
        double noise = Math.max(SHARPEST * body, curve.noise());
        return fit.squares() / (noise * noise);
    }
}
