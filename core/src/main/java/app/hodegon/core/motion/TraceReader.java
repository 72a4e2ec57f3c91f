package app.hodegon.core.motion;

import app.hodegon.core.motion.Trouble.Kind;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Predicate;

/**
 * Reads the loads of one swing: its moments, as far as loads can tell them, and the measures at those that are known.
 * From loads alone come address, trigger and finish; the others are only what a clip, an event or the coach says.
 */
public final class TraceReader {

    /** What two cells of a plate, each loaded alike, may differ in; a working assumption, in points of a share. */
    private static final double CALIBRATION = 1;

    /** The same for the halves of one sole, whose edges never lie exactly on the cells' edges. */
    private static final double CALIBRATION_OF_HALVES = 2;

    /** Under this part of the whole load, %, what a foot's halves share is not worth a number. */
    private static final double HARDLY_LOADED = 3;

    /** Around a moment a foot's halves are fitted so far to each side, seconds; a foot that bears little, further. */
    private static final double HALVES_REACH = 0.02;

    private static final double REACH_OF_LITTLE = 0.1;

    /** Under this part of the whole load, %, a foot bears little. */
    private static final double LITTLE = 20;

    /** At most so long before the fastest moment of the way down the highest trail share is looked for, seconds. */
    private static final double LONGEST_SWING = 2.5;

    private final Trace trace;
    private final Signal share;
    private final Parabola.Fit[] shares;
    private final double noise;
    private final Signal total;
    private final List<Half> halves;
    private final Moments moments;
    private final List<Measured> readings = new ArrayList<>();
    private final List<Trouble> troubles;

    /**
     * A half of a foot.
     *
     * @param noise of a sample of the half, with what the whole foot's does to its share
     */
    private record Half(Measure measure, Signal foot, Signal part, double noise) {

        static Half of(Trace trace, Foot of, Predicate<Cell> which, Measure measure) {
            Signal foot = trace.of(of);
            Signal part = trace.of(of, which);
            return new Half(measure, foot, part, Math.hypot(part.noise(), foot.noise() / 2));
        }
    }

    private TraceReader(Trace trace, Collection<Moment> known) {
        this.trace = trace;
        this.moments = Moments.of(known, 0, trace.duration());
        this.share = trace.trailShare();
        this.shares = share.fitted();
        this.noise = share.noise();
        this.total = trace.total();
        this.halves = trace.hasCells()
                ? List.of(
                        Half.of(trace, Foot.TRAIL, Cell::front, Measure.TRAIL_TOE),
                        Half.of(trace, Foot.LEAD, Cell::front, Measure.LEAD_TOE),
                        Half.of(trace, Foot.TRAIL, Cell::outer, Measure.TRAIL_OUTER),
                        Half.of(trace, Foot.LEAD, Cell::outer, Measure.LEAD_OUTER))
                : List.of();
        this.troubles = Troubles.of(trace);
    }

    /**
     * @param known moments from elsewhere, given or corrected, each at most once
     * @throws IllegalArgumentException in lead/trail placeholders, if a known moment lies outside the trace or they are not in the order of a swing
     * @throws SeveralSwingsException if there is more than one swing in the trace
     */
    public static SwingReading read(Trace trace, Collection<Moment> known) {
        return new TraceReader(trace, known).read();
    }

    private SwingReading read() {
        List<Double> waysDown = SwingFinder.waysDown(trace);
        if (waysDown.size() > 1) throw new SeveralSwingsException(waysDown);
        Optional<Double> wayDown =
                moments.seconds(Checkpoint.IMPACT).or(() -> waysDown.stream().findFirst());
        if (wayDown.isEmpty()) {
            troubles.add(
                    new Trouble(
                            Kind.NO_SWING,
                            "No way down is to be found in these loads. If there is a swing in them, set its impact where it is."));
        } else {
            find(wayDown.get());
            whole(wayDown.get());
        }
        for (Moment moment : moments.all()) at(moment);
        moments.unfitting().ifPresent(troubles::add);
        return new SwingReading(moments.all(), readings, troubles);
    }

    /** Address, trigger and finish, where they are not known; each must keep the order of the known ones. */
    private void find(double wayDown) {
        Rest rest = new Rest(trace);
        Optional<Double> before = rest.endsBefore(wayDown);
        if (before.isEmpty() && !moments.has(Checkpoint.ADDRESS)) {
            troubles.add(new Trouble(Kind.NO_STILLNESS, "There is no rest before the swing: address is left open."));
        }
        before.ifPresent(at -> put(Checkpoint.ADDRESS, at, Rest.ADDRESS_UNCERTAINTY));
        moments.seconds(Checkpoint.ADDRESS).ifPresent(address -> {
            double latest = moments.seconds(Checkpoint.HIP_BACK).orElse(wayDown);
            rest.pressAfter(address, latest).ifPresent(at -> put(Checkpoint.TRIGGER, at, Rest.TRIGGER_UNCERTAINTY));
            rest.departsAfter(address, latest)
                    .ifPresent(at -> put(Checkpoint.TRIGGER, at, Rest.DEPARTURE_UNCERTAINTY, Origin.ESTIMATED));
        });
        Optional<Double> after = rest.beginsAfter(wayDown, moments.seconds(Checkpoint.IMPACT));
        if (after.isEmpty() && !moments.has(Checkpoint.FINISH)) {
            troubles.add(new Trouble(Kind.CUT_SHORT, "The loads end before the finish is still: it is left open."));
        }
        after.ifPresent(at -> put(Checkpoint.FINISH, at, Rest.FINISH_UNCERTAINTY));
        if (before.isPresent() && after.isPresent()) {
            double end = after.get();
            Troubles.drift(
                    total,
                    total.mean(before.get() - Rest.LASTS, before.get()),
                    total.mean(end, Math.min(trace.duration(), end + Rest.LASTS)),
                    troubles);
        }
    }

    private void put(Checkpoint at, double seconds, double uncertainty) {
        put(at, seconds, uncertainty, Origin.FOUND);
    }

    private void put(Checkpoint at, double seconds, double uncertainty, Origin from) {
        moments.add(new Moment(at, seconds, from, Math.max(uncertainty, 500 / trace.rate())));
    }

    private void at(Moment moment) {
        Parabola.Fit fit = share.at(moment.seconds());
        if (Double.isNaN(fit.value())) return;
        add(Measure.TRAIL_SHARE, moment, fit.value(), CALIBRATION, noise * fit.gain(), fit.slope());
        for (Half half : halves) half(moment, half);
    }

    private void half(Moment moment, Half half) {
        double all = total.at(moment.seconds(), HALVES_REACH).value();
        double bears = 100 * half.foot().at(moment.seconds(), HALVES_REACH).value() / all;
        if (!(bears > HARDLY_LOADED)) return;
        double reach = bears < LITTLE ? REACH_OF_LITTLE : HALVES_REACH;
        Parabola.Fit whole = half.foot().at(moment.seconds(), reach);
        Parabola.Fit part = half.part().at(moment.seconds(), reach);
        double value = 100 * part.value() / whole.value();
        double slope = 100 * (part.slope() - value / 100 * whole.slope()) / whole.value();
        double scatter = 100 * half.noise() / whole.value() * part.gain();
        add(half.measure(), moment, value, CALIBRATION_OF_HALVES, scatter, slope);
    }

    private void add(Measure measure, Moment moment, double value, double fixed, double scatter, double slope) {
        double late = slope * moment.uncertainty() / 1000;
        reading(
                measure,
                Optional.of(moment.at()),
                Math.max(0, Math.min(100, value)),
                Math.sqrt(fixed * fixed + scatter * scatter + late * late));
    }

    /** Adds what was read; what such a measure cannot be, after a moment set far off, is left out. */
    private void reading(Measure measure, Optional<Checkpoint> at, double value, double uncertainty) {
        if (measure.quantity().mayBe(value)) readings.add(new Measured(measure, at, value, uncertainty));
    }

    /** What belongs to the swing as a whole. */
    private void whole(double wayDown) {
        double begin = moments.seconds(Checkpoint.ADDRESS).orElse(Math.max(0, wayDown - LONGEST_SWING));
        int peak = highest(begin, moments.seconds(Checkpoint.IMPACT).orElse(wayDown));
        if (peak < 0) return;
        reading(
                Measure.PEAK_TRAIL_SHARE,
                Optional.empty(),
                Math.min(100, shares[peak].value()),
                Math.hypot(CALIBRATION, noise * shares[peak].gain()));
        double end = moments.seconds(Checkpoint.IMPACT)
                .or(() -> moments.seconds(Checkpoint.FINISH))
                .orElse(trace.duration());
        moments.seconds(Checkpoint.ARM_DOWN)
                .ifPresent(armDown -> recentring(
                        trace.time(peak), end, moments.at(Checkpoint.ARM_DOWN).orElseThrow()));
        shiftSpeed(moments.seconds(Checkpoint.TOP).orElse(trace.time(peak)), end);
        duration(Measure.BACKSWING_TIME, Checkpoint.TRIGGER, Checkpoint.TOP);
        duration(Measure.DOWNSWING_TIME, Checkpoint.TOP, Checkpoint.IMPACT);
    }

    private int highest(double from, double to) {
        int best = -1;
        for (int i = (int) Math.ceil(from * trace.rate()); i < shares.length && trace.time(i) < to; i++) {
            if (!Double.isNaN(shares[i].value()) && (best < 0 || shares[i].value() > shares[best].value())) best = i;
        }
        return best;
    }

    /** Last fall through even between the highest share and the end; negative when it comes after the arm is level. */
    private void recentring(double from, double to, Moment armDown) {
        OptionalDouble even = OptionalDouble.empty();
        double slope = 0;
        for (int i = (int) Math.ceil(from * trace.rate()); i + 1 < shares.length && trace.time(i + 1) <= to; i++) {
            double here = shares[i].value() - 50;
            double next = shares[i + 1].value() - 50;
            if (here > 0 && next <= 0) {
                even = OptionalDouble.of(trace.time(i) + here / (here - next) / trace.rate());
                slope = Math.abs(here - next) * trace.rate();
            }
        }
        if (even.isEmpty()) return;
        double crossing = 1000
                * Math.hypot(CALIBRATION, noise * share.at(even.getAsDouble()).gain())
                / slope;
        reading(
                Measure.RECENTRE_LEAD,
                Optional.empty(),
                1000 * (armDown.seconds() - even.getAsDouble()),
                Math.hypot(crossing, armDown.uncertainty()));
    }

    /** The steepest fall of the trail share on the way down. */
    private void shiftSpeed(double from, double to) {
        double fastest = 0;
        double gain = 1;
        for (int i = (int) Math.ceil(from * trace.rate()); i < shares.length && trace.time(i) <= to; i++) {
            if (-shares[i].slope() > fastest) {
                fastest = -shares[i].slope();
                gain = shares[i].gain();
            }
        }
        if (fastest == 0) return;
        // A slope over the fit's reach of twice 16 ms: noise over that time, and the calibration in proportion.
        double scatter = noise * gain / 0.016;
        reading(Measure.SHIFT_SPEED, Optional.empty(), fastest, Math.hypot(scatter, fastest * CALIBRATION / 50));
    }

    private void duration(Measure measure, Checkpoint from, Checkpoint to) {
        if (!moments.has(from) || !moments.has(to)) return;
        reading(
                measure,
                Optional.empty(),
                1000
                        * (moments.at(to).orElseThrow().seconds()
                                - moments.at(from).orElseThrow().seconds()),
                Math.hypot(
                        moments.at(from).orElseThrow().uncertainty(),
                        moments.at(to).orElseThrow().uncertainty()));
    }
}
