package app.hodegon.core.track;

import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.motion.Measured;
import app.hodegon.core.motion.Moment;
import app.hodegon.core.motion.Moments;
import app.hodegon.core.motion.Origin;
import app.hodegon.core.motion.Parabola;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Measure;
import app.hodegon.core.track.Body.Spot;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What a view can measure at the moments that are known, each value with its uncertainty. */
final class TrackMeasures {

    /** A body's middle parts are fitted over so much to each side, seconds, and the noisier they are the longer. */
    private static final double REACH = 0.02;

    private static final double REACH_OF_NOISE = 12;
    private static final double LONGEST_REACH = 0.08;

    /** A point that something found lies beside the body's own by so much as the body moves, cm and degrees; assumptions. */
    private static final double BESIDE = 0.35;

    private static final double BESIDE_TURN = 2.5;
    private static final double BESIDE_BEND = 1.2;

    /** What is less certain than this at the very moment is not measured. */
    private static final double SURE = 0.5;

    /**
     * Hip joints lie nearer together than the pelvis is wide: pelvis over hip joints, by the places of the joints within
     * the pelvis (Bell, Pedersen and Brand 1990).
     */
    private static final double PELVIS_OVER_JOINTS = 1.4;

    private static final double JOINTS_DIFFER = 0.06;

    /** A turn whose uncertainty is beyond this tells nothing, degrees. */
    private static final double USELESS = 18;

    /** The lead foot's place after the swing is taken over so long, seconds. */
    private static final double PLACED = 0.25;

    private static final List<Checkpoint> OF_THE_SWING =
            List.of(Checkpoint.HIP_BACK, Checkpoint.ARM_BACK, Checkpoint.TOP, Checkpoint.ARM_DOWN, Checkpoint.IMPACT);

    private static final List<Checkpoint> OF_THE_WAY_DOWN =
            List.of(Checkpoint.TOP, Checkpoint.ARM_DOWN, Checkpoint.IMPACT);

    /** A foot that stands on its toes in the finish is not found well enough. */
    private static final List<Checkpoint> OF_THE_HEEL = List.of(Checkpoint.TOP, Checkpoint.ARM_DOWN, Checkpoint.IMPACT);

    private static final List<Checkpoint> OF_TURNS =
            List.of(Checkpoint.ARM_BACK, Checkpoint.TOP, Checkpoint.ARM_DOWN, Checkpoint.IMPACT);

    private final View view;
    private final Body body;
    private final double length;
    private final Ruler ruler;
    private final Moments moments;
    private final Optional<Double> takeaway;
    private final List<Measured> readings = new ArrayList<>();

    TrackMeasures(View view, Body body, double length, Ruler ruler, Moments moments, Optional<Double> takeaway) {
        this.view = view;
        this.body = body;
        this.length = length;
        this.ruler = ruler;
        this.moments = moments;
        this.takeaway = takeaway;
    }

    List<Measured> read() {
        if (view == View.FACE_ON) faceOn();
        else downTheLine();
        return readings;
    }

    private void faceOn() {
        for (Checkpoint at : OF_THE_SWING) {
            travel(Measure.PELVIS_DRIFT, body.hips().map(Spot::along), -1, at, BodyPoint.LEAD_HIP, BodyPoint.TRAIL_HIP);
            travel(Measure.HEAD_DRIFT, body.head().map(Spot::along), -1, at, BodyPoint.LEAD_EAR, BodyPoint.TRAIL_EAR);
        }
        for (Checkpoint at : OF_THE_HEEL) heel(at);
        turns(Measure.HIP_TURN, BodyPoint.LEAD_HIP, BodyPoint.TRAIL_HIP);
        turns(Measure.SHOULDER_TURN, BodyPoint.LEAD_SHOULDER, BodyPoint.TRAIL_SHOULDER);
        leadFoot();
        stance();
        times();
    }

    private void downTheLine() {
        for (Checkpoint at : OF_THE_WAY_DOWN) {
            travel(Measure.PELVIS_THRUST, body.hips().map(Spot::along), 1, at, BodyPoint.LEAD_HIP, BodyPoint.TRAIL_HIP);
            rise(at);
        }
        for (Checkpoint at : OF_THE_HEEL) heel(at);
    }

    private boolean sure(Checkpoint at, BodyPoint... points) {
        for (BodyPoint point : points) {
            if (body.certainty(point, moments.seconds(at).orElseThrow()) < SURE) return false;
        }
        return true;
    }

    private double reach(Curve curve) {
        return Math.min(LONGEST_REACH, REACH + REACH_OF_NOISE * curve.noise() / length);
    }

    /** Where a curve is while the body stands at address: the median of the rest (or of what there is of it) before. */
    private double atAddress(Curve curve) {
        double address = moments.seconds(Checkpoint.ADDRESS).orElseThrow();
        return curve.median(address - Stillness.LASTS, address);
    }

    private double noiseAtAddress(Curve curve) {
        double address = moments.seconds(Checkpoint.ADDRESS).orElseThrow();
        int n = Math.max(1, curve.seen(address - Stillness.LASTS, address));
        // The median of n is as good as the mean of 0.64 n.
        return curve.noise() / Math.sqrt(0.64 * n);
    }

    /** How far a curve is from its place at address. */
    private void travel(Measure measure, Optional<Curve> of, int sign, Checkpoint at, BodyPoint... points) {
        if (of.isEmpty() || !ruler.known() || !moments.has(Checkpoint.ADDRESS) || !moments.has(at)) {
            return;
        }
        if (!sure(at, points)) return;
        Moment moment = moments.at(at).orElseThrow();
        Curve curve = of.get();
        Parabola.Fit fit = curve.at(moment.seconds(), reach(curve));
        double value = sign * (fit.value() - atAddress(curve)) / ruler.pixelsPerCentimetre();
        double scatter = Math.hypot(curve.noise() * fit.gain(), noiseAtAddress(curve)) / ruler.pixelsPerCentimetre();
        double late = fit.slope() / ruler.pixelsPerCentimetre() * moment.uncertainty() / 1000;
        // A heel that stays down is read a little under the ground as often as over it.
        double kept = measure.quantity().lowest() == 0 ? Math.max(0, value) : value;
        add(
                measure,
                Optional.of(at),
                kept,
                together(scatter, late, value * ruler.uncertainty(), beside(measure, at, BESIDE)));
    }

    /** How far points lie beside the body's own: as learnt where a program found them, else as assumed. */
    private double beside(Measure measure, Checkpoint at, double assumed) {
        return body.isFound() ? FoundErrors.of(measure, at).orElse(assumed) : assumed;
    }

    private void heel(Checkpoint at) {
        travel(Measure.TRAIL_HEEL_LIFT, body.point(BodyPoint.TRAIL_HEEL).map(Spot::up), 1, at, BodyPoint.TRAIL_HEEL);
    }

    /** How far the lead foot, heel and toe, lies from its mark along the line, at impact or at last. */
    private void leadFoot() {
        Optional<Spot> heel = body.point(BodyPoint.LEAD_HEEL);
        Optional<Spot> toe = body.point(BodyPoint.LEAD_TOE);
        if (heel.isEmpty() || toe.isEmpty() || !ruler.known()) return;
        if (!moments.has(Checkpoint.ADDRESS) || !moments.has(Checkpoint.IMPACT)) return;
        Curve foot = heel.get().along().middle(toe.get().along());
        double place = atAddress(foot);
        double impact = moments.seconds(Checkpoint.IMPACT).orElseThrow();
        double struck = foot.value(impact, PLACED / 4) - place;
        double end = moments.at(Checkpoint.FINISH).map(Moment::seconds).orElse(impact);
        double last = end > impact ? foot.median(end - PLACED / 2, end + PLACED / 2) - place : struck;
        double moved =
                Math.max(Math.abs(struck), Double.isNaN(last) ? 0 : Math.abs(last)) / ruler.pixelsPerCentimetre();
        double scatter = 2 * noiseAtAddress(foot) / ruler.pixelsPerCentimetre();
        add(Measure.LEAD_FOOT_SHIFT, Optional.empty(), moved, together(scatter, moved * ruler.uncertainty(), BESIDE));
    }

    private void stance() {
        if (!moments.has(Checkpoint.ADDRESS)) return;
        Optional<Curve> ankles = across(BodyPoint.LEAD_ANKLE, BodyPoint.TRAIL_ANKLE);
        Optional<Curve> hips = across(BodyPoint.LEAD_HIP, BodyPoint.TRAIL_HIP);
        if (ankles.isEmpty() || hips.isEmpty()) return;
        double wide = atAddress(ankles.get());
        double joints = atAddress(hips.get());
        if (!(joints > 0)) return;
        double value = wide / (joints * PELVIS_OVER_JOINTS);
        double scatter = value
                * together(noiseAtAddress(ankles.get()) / wide, noiseAtAddress(hips.get()) / joints, JOINTS_DIFFER);
        add(Measure.STANCE_RATIO, Optional.empty(), value, scatter);
    }

    private Optional<Curve> across(BodyPoint lead, BodyPoint trail) {
        Optional<Spot> other = body.point(trail);
        return body.point(lead).flatMap(l -> other.map(t -> l.along().minus(t.along())));
    }

    private void turns(Measure measure, BodyPoint lead, BodyPoint trail) {
        Optional<Curve> across = across(lead, trail);
        if (across.isEmpty() || !moments.has(Checkpoint.ADDRESS) || !moments.has(Checkpoint.TOP)) return;
        Width width = new Width(
                across.get(),
                moments.seconds(Checkpoint.ADDRESS).orElseThrow(),
                moments.seconds(Checkpoint.TOP).orElseThrow(),
                moments.at(Checkpoint.IMPACT).map(Moment::seconds));
        for (Checkpoint at : OF_TURNS) {
            // Between single pictures nobody sees to which side of square a line is turned on the way down.
            if (body.isByHand() && at.compareTo(Checkpoint.TOP) > 0) continue;
            if (!moments.has(at) || !sure(at, lead, trail)) continue;
            Moment moment = moments.at(at).orElseThrow();
            Width.Turned turned = width.turn(moment.seconds(), reach(across.get()), moment.uncertainty() / 1000);
            turn(measure, at, turned.since(), turned);
            // Open is plus for a line, and closed for a turn.
            if (measure == Measure.HIP_TURN && at.compareTo(Checkpoint.TOP) > 0) {
                turn(Measure.HIP_LINE, at, -turned.line(), turned);
            }
        }
    }

    private void turn(Measure measure, Checkpoint at, double value, Width.Turned turned) {
        double beside = beside(measure, at, BESIDE_TURN);
        double uncertainty = Math.hypot(turned.uncertainty(), beside);
        if (body.isFound() && !FoundErrors.tellTurn(measure, at)) return;
        if (uncertainty < USELESS) add(measure, Optional.of(at), value, uncertainty);
    }

    /** Forward bend at address less the bend now: the line from hips to shoulders against the vertical. */
    private void rise(Checkpoint at) {
        Optional<Spot> hips = body.hips();
        Optional<Spot> shoulders = body.shoulders();
        if (hips.isEmpty() || shoulders.isEmpty()) return;
        if (!moments.has(Checkpoint.ADDRESS) || !moments.has(at)) return;
        if (!sure(at, BodyPoint.LEAD_HIP, BodyPoint.TRAIL_HIP, BodyPoint.LEAD_SHOULDER, BodyPoint.TRAIL_SHOULDER)) {
            return;
        }
        Curve along = shoulders.get().along().minus(hips.get().along());
        Curve up = shoulders.get().up().minus(hips.get().up());
        Moment moment = moments.at(at).orElseThrow();
        double reach = Math.max(reach(along), reach(up));
        Parabola.Fit x = along.at(moment.seconds(), reach);
        Parabola.Fit y = up.at(moment.seconds(), reach);
        double before = Math.atan2(atAddress(along), atAddress(up));
        double now = Math.atan2(x.value(), y.value());
        double trunk = Math.hypot(x.value(), y.value());
        double scatter = Math.hypot(along.noise() * x.gain(), noiseAtAddress(along)) / trunk;
        double late = (x.slope() * y.value() - y.slope() * x.value()) / (trunk * trunk) * moment.uncertainty() / 1000;
        add(
                Measure.POSTURE_RISE,
                Optional.of(at),
                Math.toDegrees(before - now),
                together(Math.toDegrees(scatter), Math.toDegrees(late), beside(Measure.POSTURE_RISE, at, BESIDE_BEND)));
    }

    /** The way back begins with the hands' first movement, unless the trigger is known better than from this film. */
    private void times() {
        Optional<Moment> trigger = moments.at(Checkpoint.TRIGGER);
        boolean told = trigger.isPresent() && trigger.get().from() != Origin.FOUND;
        Optional<Double> begin = told ? trigger.map(Moment::seconds) : takeaway;
        Optional<Moment> top = moments.at(Checkpoint.TOP);
        Optional<Moment> impact = moments.at(Checkpoint.IMPACT);
        double back = begin.isPresent() && top.isPresent() ? 1000 * (top.get().seconds() - begin.get()) : Double.NaN;
        double backUncertainty = top.map(m -> Math.hypot(
                        m.uncertainty(),
                        moments.at(Checkpoint.ADDRESS).map(Moment::uncertainty).orElse(0.0)))
                .orElse(0.0);
        if (back > 0) add(Measure.BACKSWING_TIME, Optional.empty(), back, backUncertainty);
        if (top.isEmpty() || impact.isEmpty()) return;
        double down = 1000 * (impact.get().seconds() - top.get().seconds());
        double downUncertainty =
                Math.hypot(top.get().uncertainty(), impact.get().uncertainty());
        add(Measure.DOWNSWING_TIME, Optional.empty(), down, downUncertainty);
        if (back > 0 && down > 0) {
            double ratio = back / down;
            add(
                    Measure.TEMPO_RATIO,
                    Optional.empty(),
                    ratio,
                    ratio * Math.hypot(backUncertainty / back, downUncertainty / down));
        }
    }

    private static double together(double... parts) {
        double squares = 0;
        for (double part : parts) squares += part * part;
        return Math.sqrt(squares);
    }

    /** Adds what was read; what such a measure cannot be, after a moment set far off, is left out. */
    private void add(Measure measure, Optional<Checkpoint> at, double value, double uncertainty) {
        if (uncertainty > 0 && measure.quantity().mayBe(value)) {
            readings.add(new Measured(measure, at, value, uncertainty));
        }
    }
}
