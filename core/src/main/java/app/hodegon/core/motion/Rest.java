package app.hodegon.core.motion;

import java.util.List;
import java.util.Optional;

/** Where the loads stand still: before a swing, and in its finish. */
final class Rest {

    /** So long the loads must stand still to be at rest, seconds. */
    static final double LASTS = 0.25;

    /*
     * Standard uncertainties in ms, as found on simulated swings with noise (docs/measuring.md).
     */
    static final double ADDRESS_UNCERTAINTY = 30;
    static final double TRIGGER_UNCERTAINTY = 40;
    static final double DEPARTURE_UNCERTAINTY = 70;
    static final double FINISH_UNCERTAINTY = 60;

    /** Around a sample so far to each side its slope is fitted, seconds. */
    private static final double REACH = 0.05;

    /** What moves before and after a rest takes so much off what is seen of it, seconds. */
    private static final double SEEN = LASTS - REACH;

    /** Slower than this is still: points of trail share a second, percent of the load a second. */
    private static final double SHARE_STILL = 7;

    private static final double LOAD_STILL = 6;

    /** Or than so many standard deviations of a slope that is noise alone. */
    private static final double BEYOND = 4;

    /** A swing's address lies at least so long before its way down, seconds; a pause before that is part of the swing. */
    private static final double SHORTEST_SWING = 0.8;

    /** And at most so long. */
    private static final double LONGEST_SWING = 3;

    /** A finish that never comes to rest is so long after impact, seconds. */
    private static final double FINISH_AT_LAST = 1.2;

    /** From the middle of the way down to impact, seconds. */
    private static final double DOWN_TO_IMPACT = 0.05;

    /** The press before the club moves is over within so long, seconds. */
    private static final double LONGEST_PRESS = 0.35;

    /** It is over when the load moves at this part of its fastest. */
    private static final double PRESS_OVER = 0.3;

    /** The level of a rest is taken from so much of it, and looked for beyond it as long, seconds. */
    private static final double LEVEL = 0.5;

    /** The bend lies at least so far from the ends of what is looked at, seconds. */
    private static final double MARGIN = 0.05;

    /** A departure is so many points at least. */
    private static final double DEPARTED = 1;

    /** So many points from its level the share has gone for good. */
    private static final double GONE = 3;

    /** No plate is without noise, in points of share and percent of the load. */
    private static final double LEAST_NOISE = 0.05;

    private final Trace trace;
    private final Signal share;
    private final Parabola.Fit[] shares;
    private final Parabola.Fit[] fine;
    private final Signal total;
    private final double noise;
    private final double totalNoise;
    private final List<Span> spans;

    Rest(Trace trace) {
        this.trace = trace;
        this.share = trace.trailShare();
        this.shares = share.fitted(REACH);
        this.fine = share.fitted();
        this.total = trace.total();
        this.noise = Math.max(LEAST_NOISE, share.noise());
        this.totalNoise = Math.max(LEAST_NOISE * SwingFinder.usual(total) / 100, total.noise());
        this.spans = spans();
    }

    private List<Span> spans() {
        Parabola.Fit[] totals = total.fitted(REACH);
        double usual = SwingFinder.usual(total);
        double slopeGain = Math.sqrt(1.5 / (REACH * trace.rate())) / REACH;
        double slopeNoise = BEYOND * noise * slopeGain;
        double loadNoise = BEYOND * 100 * totalNoise / usual * slopeGain;
        double still = Math.max(SHARE_STILL, slopeNoise);
        double stillLoad = Math.max(LOAD_STILL, loadNoise);
        return Span.of(
                shares.length,
                i -> Math.abs(shares[i].slope()) < still && Math.abs(100 * totals[i].slope() / usual) < stillLoad,
                trace::time,
                SEEN);
    }

    /** The last instant of the rest before a swing that comes down at this moment. */
    Optional<Double> endsBefore(double wayDown) {
        return spans.stream()
                .filter(s -> s.to() < wayDown - SHORTEST_SWING && s.to() > wayDown - LONGEST_SWING)
                .reduce((first, second) -> second)
                .map(this::leaves);
    }

    /**
     * The moment from which on the loads leave the level of the rest: of all bends between a level and a curve that starts
     * from it without a jump, the one with the least squares.
     */
    private double leaves(Span rest) {
        double from = Math.max(rest.from(), rest.to() - LEVEL);
        int first = (int) Math.ceil(from * trace.rate());
        int last = gone(rest, from);
        double best = Double.POSITIVE_INFINITY;
        int bend = last;
        for (int i = first + (int) (MARGIN * trace.rate()); i < last - MARGIN * trace.rate(); i++) {
            double misfit = misfit(share, noise, first, i, last) + misfit(total, totalNoise, first, i, last);
            if (misfit < best) {
                best = misfit;
                bend = i;
            }
        }
        return trace.time(bend);
    }

    /** The first sample after the rest that nobody would take for its level, at most so much later. */
    private int gone(Span rest, double from) {
        double level = share.mean(from, rest.to() - REACH);
        int i = (int) Math.round((rest.to() - REACH) * trace.rate());
        int latest = Math.min(shares.length - 1, (int) Math.round((rest.to() + LEVEL) * trace.rate()));
        while (i < latest && Math.abs(shares[i].value() - level) < GONE) i++;
        return i;
    }

    /** Squares left, in the noise's own, by a level up to the bend and a parabola from it on. */
    private static double misfit(Signal signal, double noise, int first, int bend, int last) {
        Bend fit = new Bend();
        for (int i = first; i <= last; i++) {
            double value = signal.value(i);
            if (!Double.isNaN(value)) fit.add(i <= bend ? 0 : (i - bend) / (double) (last - bend), value);
        }
        return fit.squares() / (noise * noise);
    }

    /** Where the small press after address is over: the load rests or turns back. */
    Optional<Double> pressAfter(double address, double before) {
        int from = (int) Math.round(address * trace.rate());
        double fastest = 0;
        for (int i = from; i < fine.length && trace.time(i) < Math.min(before, address + LONGEST_PRESS); i++) {
            double speed = Math.abs(shares[i].slope());
            if (speed > fastest) fastest = speed;
            else if (fastest > 2 * SHARE_STILL && speed < PRESS_OVER * fastest) return Optional.of(trace.time(i));
        }
        return Optional.empty();
    }

    /** Where no end of a press is to be seen: the first instant at which the share has left its level beyond the noise. */
    Optional<Double> departsAfter(double address, double before) {
        double level = share.mean(Math.max(0, address - LEVEL), address);
        double gone = Math.max(DEPARTED, BEYOND * noise * fine[0].gain());
        for (int i = (int) Math.round(address * trace.rate()); i < fine.length && trace.time(i) < before; i++) {
            if (Math.abs(fine[i].value() - level) > gone) return Optional.of(trace.time(i));
        }
        return Optional.empty();
    }

    /** The first instant of rest after impact, or a fixed time after it; empty if the loads end before both. */
    Optional<Double> beginsAfter(double wayDown, Optional<Double> impact) {
        double struck = impact.orElse(wayDown + DOWN_TO_IMPACT);
        double latest = struck + FINISH_AT_LAST;
        Optional<Double> still = spans.stream()
                .map(Span::from)
                .filter(from -> from > struck + LASTS)
                .findFirst()
                .filter(from -> from < latest);
        return still.or(() -> latest <= trace.duration() ? Optional.of(latest) : Optional.empty());
    }
}
