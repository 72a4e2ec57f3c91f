package app.hodegon.core.track;

import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.motion.Measured;
import app.hodegon.core.motion.Moment;
import app.hodegon.core.motion.Moments;
import app.hodegon.core.motion.Origin;
import app.hodegon.core.motion.SeveralSwingsException;
import app.hodegon.core.motion.Span;
import app.hodegon.core.motion.SwingReading;
import app.hodegon.core.motion.Trouble;
import app.hodegon.core.motion.Trouble.Kind;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.track.Body.Spot;
import app.hodegon.core.track.WaysDown.WayDown;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Reads the film of one swing: its moments as far as the hands and the body tell them, and what one camera in this view
 * can measure at them. What is not to be found is left open.
 */
public final class TrackReader {

    /** Where the arms pass level, and where they turn, is fitted over so much to each side, seconds. */
    private static final double LEVEL_REACH = 0.025;

    /** What the top is looked for over: so long before and after the hands are highest, seconds. */
    private static final double TOP_BEFORE = 0.18;

    private static final double TOP_AFTER = 0.1;

    /** A swing is at most so long before its way down, seconds; what takes longer was filmed in slow motion. */
    static final double LONGEST_SWING = 3;

    private static final double SHORTEST_SWING = 0.5;

    /** A finish that never comes to rest is so long after impact, seconds. */
    private static final double FINISH_AT_LAST = 1.2;

    private static final double RESTS_FROM = 0.35;

    /*
     * Standard uncertainties in ms beside half a picture, as found on simulated swings with noise (docs/measuring.md).
     */
    private static final double ADDRESS_UNCERTAINTY = 25;
    private static final double ADDRESS_DOWN_THE_LINE = 100;
    private static final double TRIGGER_UNCERTAINTY = 60;
    private static final double LEVEL_UNCERTAINTY = 3;
    private static final double TOP_UNCERTAINTY = 7;
    private static final double IMPACT_UNCERTAINTY = 5;
    private static final double FINISH_UNCERTAINTY = 100;

    /** And what noise does to address and top, ms for noise as large as the body. */
    private static final double ADDRESS_OF_NOISE = 5000;

    private static final double TOP_OF_NOISE = 2000;

    /** The arm hangs within so much of the hands being back over their place, or one of them is not to be trusted, seconds. */
    private static final double BACK_AND_HANGING = 0.05;

    private final Track track;
    private final Body body;
    private final double length;
    private final int swapped;
    private final Moments moments;
    private final List<Trouble> troubles = new ArrayList<>();
    private Optional<Double> takeaway = Optional.empty();

    private TrackReader(Track track, Collection<Moment> known) {
        this.moments = Moments.of(known, track.first(), track.last());
        Cleaning.Cleaned cleaned = Cleaning.of(track);
        this.track = cleaned.track();
        this.body = new Body(this.track, cleaned.body());
        this.length = cleaned.body();
        this.swapped = cleaned.swapped();
    }

    /**
     * @param marks the scale by marks; else the height is taken, where it is known, in cm
     * @param known moments from elsewhere, given or corrected, each at most once
     * @throws IllegalArgumentException in lead/trail placeholders, if a known moment lies outside the film or they are not
     *     in the order of a swing
     * @throws SeveralSwingsException if there is more than one swing in the film
     */
    public static TrackReading read(
            Track track, Optional<Ruler> marks, OptionalDouble height, Collection<Moment> known) {
        return new TrackReader(track, known).read(marks, height);
    }

    private TrackReading read(Optional<Ruler> marks, OptionalDouble height) {
        if (body.lies()) {
            troubles.add(
                    new Trouble(Kind.SIDEWAYS, "The golfer does not stand upright in the picture: turn the film."));
            return new TrackReading(track.view(), Ruler.NONE, new SwingReading(moments.all(), List.of(), troubles));
        }
        if (track.isByHand()) {
            set();
            return measured(marks, height);
        }
        Optional<Spot> hands = body.hands(length);
        List<WayDown> ways = hands.map(h -> WaysDown.of(h, length)).orElse(List.of());
        if (ways.size() > 1) {
            throw new SeveralSwingsException(
                    ways.stream().map(w -> w.fastest() - track.first()).toList());
        }
        if (ways.isEmpty()) {
            troubles.add(new Trouble(Kind.NO_SWING, "No way down of the hands is to be found in this film."));
        } else {
            find(hands.orElseThrow(), ways.get(0));
        }
        return measured(marks, height);
    }

    /** What was set by hand has its moments already, each with its picture. */
    private void set() {
        for (Moment moment : moments.all()) {
            if (track.pictureAt(moment.seconds()).isEmpty()) {
                throw new IllegalArgumentException(
                        moment.at().label() + ": there is no picture with points at this moment.");
            }
        }
    }

    private TrackReading measured(Optional<Ruler> marks, OptionalDouble height) {
        Ruler ruler = marks.orElseGet(() -> byHeight(height));
        List<Measured> readings = new TrackMeasures(track.view(), body, length, ruler, moments, takeaway).read();
        troubles.addAll(new TrackTroubles(track, body, length, ruler, moments, swapped).find());
        if (track.isFound() && track.view() == View.FACE_ON && moments.has(Checkpoint.TOP)) {
            troubles.add(
                    new Trouble(
                            Kind.NOT_TOLD,
                            "How far the hips turn, and the shoulders at the top, cannot be told from points that were found: judge it by eye."));
        }
        return new TrackReading(track.view(), ruler, new SwingReading(moments.all(), readings, troubles));
    }

    private Ruler byHeight(OptionalDouble height) {
        if (height.isEmpty()) return Ruler.NONE;
        Optional<Spot> head = body.head();
        Optional<Spot> lead = body.point(BodyPoint.LEAD_ANKLE);
        Optional<Spot> trail = body.point(BodyPoint.TRAIL_ANKLE);
        if (head.isEmpty() || lead.isEmpty() || trail.isEmpty()) return Ruler.NONE;
        double to = moments.seconds(Checkpoint.ADDRESS).orElse(track.first() + Stillness.LASTS);
        Curve up = head.get().up().minus(lead.get().up().middle(trail.get().up()));
        double pixels = up.median(to - Stillness.LASTS, to);
        return pixels > 0 ? Ruler.ofHeight(pixels, height.getAsDouble()) : Ruler.NONE;
    }

    private void find(Spot hands, WayDown way) {
        Curve arm = arm(hands);
        double wayDown = way.fastest();
        List<Curve> all = new ArrayList<>();
        List<Curve> below = new ArrayList<>();
        all.add(hands.along());
        all.add(hands.up());
        body.shoulders().ifPresent(s -> all.add(s.along()));
        body.hips().ifPresent(s -> below.add(s.along()));
        for (BodyPoint point : List.of(BodyPoint.LEAD_KNEE, BodyPoint.TRAIL_KNEE)) {
            body.point(point).ifPresent(s -> below.add(s.along()));
        }
        all.addAll(below);
        for (BodyPoint point : List.of(BodyPoint.LEAD_HEEL, BodyPoint.TRAIL_HEEL)) {
            body.point(point).ifPresent(s -> below.add(s.up()));
        }
        Stillness stillness = new Stillness(length, all);
        List<Span> spans = stillness.spans();
        Optional<Span> rest = rest(spans, way);
        double noise = hands.noise() / length;
        double standing = track.view() == View.FACE_ON ? ADDRESS_UNCERTAINTY : ADDRESS_DOWN_THE_LINE;
        double latest = Math.min(way.top(), moments.seconds(Checkpoint.HIP_BACK).orElse(way.top()));
        rest.flatMap(r -> stillness.leaves(all, r, latest, Stillness.GONE_FAR))
                .ifPresent(at -> put(Checkpoint.ADDRESS, at, Math.hypot(standing, ADDRESS_OF_NOISE * noise)));
        if (!moments.has(Checkpoint.ADDRESS)) {
            troubles.add(new Trouble(Kind.NO_STILLNESS, "There is no rest before the swing: address is left open."));
        }
        moments.seconds(Checkpoint.ADDRESS).ifPresent(address -> {
            Span before = rest.map(r -> new Span(Math.min(r.from(), address - Stillness.LASTS), address))
                    .orElse(new Span(address - Stillness.LASTS, address));
            takeaway = stillness.leaves(List.of(hands.along(), hands.up()), before, latest, Stillness.GONE_FAR);
            if (!below.isEmpty()) {
                stillness
                        .leaves(below, before, latest, Stillness.GONE_NEAR)
                        .ifPresent(at ->
                                put(Checkpoint.TRIGGER, Math.max(at, address + track.step() / 2), TRIGGER_UNCERTAINTY));
            }
        });
        double begin = moments.seconds(Checkpoint.ADDRESS).orElse(Math.max(track.first(), way.top() - LONGEST_SWING));
        body.hips().ifPresent(hips -> {
            double at = hands.up().minus(hips.up()).crossing(begin, way.top(), 0, true, LEVEL_REACH);
            put(Checkpoint.HIP_BACK, at, LEVEL_UNCERTAINTY);
        });
        put(Checkpoint.ARM_BACK, arm.crossing(begin, way.top(), 0, true, LEVEL_REACH), LEVEL_UNCERTAINTY);
        Curve angle = angle(hands);
        Curve turning = track.view() == View.FACE_ON ? angle : arm;
        put(Checkpoint.TOP, top(turning, way), Math.hypot(TOP_UNCERTAINTY, TOP_OF_NOISE * noise));
        put(Checkpoint.ARM_DOWN, arm.crossing(way.top(), way.bottom(), 0, false, LEVEL_REACH), LEVEL_UNCERTAINTY);
        put(Checkpoint.IMPACT, impact(hands, angle, way), IMPACT_UNCERTAINTY);
        double struck = moments.seconds(Checkpoint.IMPACT).orElse(way.bottom());
        double atLast = struck + FINISH_AT_LAST;
        Optional<Double> still = spans.stream()
                .map(Span::from)
                .filter(from -> from > struck + RESTS_FROM && from < atLast)
                .findFirst();
        still.or(() -> atLast <= track.last() ? Optional.of(atLast) : Optional.empty())
                .ifPresent(at -> put(Checkpoint.FINISH, at, FINISH_UNCERTAINTY));
        if (!moments.has(Checkpoint.FINISH)) {
            troubles.add(new Trouble(Kind.CUT_SHORT, "The film ends before the finish is still: it is left open."));
        }
        moments.seconds(Checkpoint.ADDRESS).ifPresent(address -> {
            if (wayDown - address > LONGEST_SWING) {
                troubles.add(new Trouble(
                        Kind.SLOW_MOTION,
                        "The swing lasts over three seconds: if it was recorded in slow motion, say how many pictures a"
                                + " second the camera took."));
            }
        });
    }

    /** The lead hand over its shoulder, pixels: 0 where the arm is level. */
    private Curve arm(Spot hands) {
        Curve wrist = body.point(BodyPoint.LEAD_WRIST).map(Spot::up).orElse(hands.up());
        return body.point(BodyPoint.LEAD_SHOULDER)
                .or(body::shoulders)
                .map(s -> wrist.minus(s.up()))
                .orElse(wrist);
    }

    /** The last rest before the hands go up, whatever the clock of a film in slow motion says. */
    private static Optional<Span> rest(List<Span> spans, WayDown way) {
        return spans.stream()
                .filter(s -> s.to() < way.top() - SHORTEST_SWING / 2)
                .reduce((first, second) -> second);
    }

    /**
     * Where the lead arm turns round: of all tops between two half parabolas, one up to it and one from it on, the one with
     * the least squares. The way back is slow and the way down quick, so that one parabola would lie beside it.
     */
    private double top(Curve turning, WayDown way) {
        double highest = way.top();
        double from = highest - TOP_BEFORE;
        double to = Math.min(highest + TOP_AFTER, way.bottom());
        double best = Double.POSITIVE_INFINITY;
        double top = highest;
        double fine = Math.min(track.stepAt(highest) / 4, 0.004);
        for (double at = from + fine; at < to; at += fine) {
            double misfit = Turn.misfit(turning, at, from, to);
            if (misfit < best) {
                best = misfit;
                top = at;
            }
        }
        return top;
    }

    /** The lead arm in the picture, radians from hanging, going back is plus. */
    private Curve angle(Spot hands) {
        Optional<Spot> shoulder = body.point(BodyPoint.LEAD_SHOULDER).or(body::shoulders);
        if (shoulder.isEmpty()) return hands.up();
        Spot wrist = body.point(BodyPoint.LEAD_WRIST).orElse(hands);
        double[] angles = new double[track.length()];
        double before = 0;
        for (int i = 0; i < angles.length; i++) {
            double along = wrist.along().value(i) - shoulder.get().along().value(i);
            double up = wrist.up().value(i) - shoulder.get().up().value(i);
            double angle = Math.atan2(-along, -up);
            if (Double.isNaN(angle)) {
                angles[i] = Double.NaN;
                continue;
            }
            angle += 2 * Math.PI * Math.rint((before - angle) / (2 * Math.PI));
            angles[i] = before = angle;
        }
        return new Curve(track.seconds(), angles);
    }

    /**
     * Face on, where the lead arm hangs straight down, close to the hands being back over their place at address; down the
     * line, where they are lowest.
     */
    private double impact(Spot hands, Curve angle, WayDown way) {
        if (track.view() == View.DOWN_THE_LINE) return Turn.lowest(hands.up(), way.bottom());
        double down = moments.seconds(Checkpoint.ARM_DOWN).orElse(way.top());
        double hangs = angle.crossing(down, way.end(), 0, false, LEVEL_REACH);
        Optional<Double> address = moments.seconds(Checkpoint.ADDRESS);
        if (address.isEmpty()) return hangs;
        double place = hands.along().median(address.get() - Stillness.LASTS, address.get());
        double back = hands.along().crossing(down, way.end(), place, true, LEVEL_REACH);
        return Math.abs(hangs - back) < BACK_AND_HANGING ? hangs : back;
    }

    private void put(Checkpoint at, double seconds, double uncertainty) {
        if (Double.isNaN(seconds) || seconds < track.first() || seconds > track.last()) return;
        moments.add(new Moment(at, seconds, Origin.FOUND, Math.hypot(uncertainty, 500 * track.stepAt(seconds))));
    }
}
