package app.hodegon.core.track;

import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.motion.Moments;
import app.hodegon.core.motion.Trouble;
import app.hodegon.core.motion.Trouble.Kind;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.track.Body.Spot;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Looks for what spoils a film: how it was taken, and what is not to be seen in it. */
final class TrackTroubles {

    /** Feet on a line that leans by more than this in the picture were not filmed level, degrees. */
    private static final double LEVEL = 5;

    /** Ankles face on stand this many hip-joint widths apart at least; nearer, the camera stood aside or behind. */
    private static final double SQUARE = 0.8;

    /** For times, pictures a second that are not few. */
    private static final double FEWEST_PICTURES = 50;

    /** For a reading at impact, pictures a second that are not few. */
    private static final double ENOUGH_AT_IMPACT = 100;

    /** From one picture to the next the pelvis may go so far at impact, cm. */
    private static final double COARSE = 1;

    /** Sides swapped in so few of all pictures are not worth a word. */
    private static final double FEW = 0.02;

    /** Feet that both go by this part of the body's length before the way down did not move: the camera did. */
    private static final double MOVED = 0.03;

    /** A point's certainty under this is none. */
    private static final double SURE = 0.5;

    private final Track track;
    private final Body body;
    private final double length;
    private final Ruler ruler;
    private final Moments moments;
    private final int swapped;
    private final List<Trouble> found = new ArrayList<>();

    TrackTroubles(Track track, Body body, double length, Ruler ruler, Moments moments, int swapped) {
        this.track = track;
        this.body = body;
        this.length = length;
        this.ruler = ruler;
        this.moments = moments;
        this.swapped = swapped;
    }

    List<Trouble> find() {
        if (!ruler.known()) say(Kind.NO_SCALE, "Without a scale there are angles, times and ratios, but no lengths.");
        pictures();
        double to = moments.seconds(Checkpoint.ADDRESS).orElse(track.first() + Stillness.LASTS);
        double from = to - Stillness.LASTS;
        if (track.view() == View.FACE_ON) {
            level(from, to);
            square(from, to);
        }
        moved(from, to);
        if (!track.isByHand()) unseen();
        moments.unfitting().ifPresent(found::add);
        if (swapped > FEW * track.length()) {
            say(Kind.SWAPPED, "Left and right were swapped in %d pictures, and put right.", swapped);
        }
        return found;
    }

    private void say(Kind kind, String text, Object... with) {
        found.add(new Trouble(kind, String.format(Locale.ROOT, text, with)));
    }

    private void pictures() {
        // Where it matters: a film may have been looked at less often while little happens.
        double rate = 1 / track.stepAt(moments.seconds(Checkpoint.IMPACT).orElse((track.first() + track.last()) / 2));
        if (rate < FEWEST_PICTURES) {
            say(Kind.SLOW_CAMERA, "%.0f pictures a second: a time is only good to %.0f ms.", rate, 500 / rate);
        } else if (rate < ENOUGH_AT_IMPACT && moments.has(Checkpoint.IMPACT) && ruler.known()) {
            body.hips().ifPresent(hips -> {
                double speed = Math.abs(hips.along()
                                .at(moments.seconds(Checkpoint.IMPACT).orElseThrow(), 0.06)
                                .slope())
                        / ruler.pixelsPerCentimetre();
                if (!(speed / rate >= COARSE)) return;
                say(
                        Kind.SLOW_CAMERA,
                        "%.0f pictures a second: at impact the pelvis goes %.1f cm from one to the next.",
                        rate,
                        speed / rate);
            });
        }
    }

    private Optional<Spot> foot(BodyPoint heel, BodyPoint toe) {
        Optional<Spot> other = body.point(toe);
        return body.point(heel).flatMap(h -> other.map(h::middle));
    }

    private void level(double from, double to) {
        Optional<Spot> lead = body.point(BodyPoint.LEAD_ANKLE);
        Optional<Spot> trail = body.point(BodyPoint.TRAIL_ANKLE);
        if (lead.isEmpty() || trail.isEmpty()) return;
        double along = lead.get().along().minus(trail.get().along()).median(from, to);
        double up = lead.get().up().minus(trail.get().up()).median(from, to);
        double lean = Math.toDegrees(Math.atan2(up, Math.abs(along)));
        if (Math.abs(lean) > LEVEL) {
            say(
                    Kind.NOT_LEVEL,
                    "The feet stand on a line that leans by %.0f°: the camera was not level.",
                    Math.abs(lean));
        }
    }

    private void square(double from, double to) {
        Optional<Spot> lead = body.point(BodyPoint.LEAD_ANKLE);
        Optional<Spot> trail = body.point(BodyPoint.TRAIL_ANKLE);
        Optional<Spot> leadHip = body.point(BodyPoint.LEAD_HIP);
        Optional<Spot> trailHip = body.point(BodyPoint.TRAIL_HIP);
        if (lead.isEmpty() || trail.isEmpty() || leadHip.isEmpty() || trailHip.isEmpty()) return;
        double ankles = lead.get().along().minus(trail.get().along()).median(from, to);
        double hips = leadHip.get().along().minus(trailHip.get().along()).median(from, to);
        if (ankles < 0 && hips < 0) {
            say(
                    Kind.MIRRORED,
                    "The {lead} side is where the {trail} side should be: the film is mirrored, taken from behind, or of a"
                            + " golfer of the other hand.");
        } else if (ankles < SQUARE * Math.abs(hips)) {
            say(
                    Kind.NOT_SQUARE,
                    "The stance looks narrow for the hips: the camera did not stand square to the target line.");
        } else {
            double leadShoe = shoe(BodyPoint.LEAD_HEEL, BodyPoint.LEAD_ANKLE, from, to);
            double trailShoe = shoe(BodyPoint.TRAIL_HEEL, BodyPoint.TRAIL_ANKLE, from, to);
            double larger = Math.max(leadShoe, trailShoe) / Math.min(leadShoe, trailShoe);
            double low = lead.get().up().minus(trail.get().up()).median(from, to);
            if (larger > 1.35 && Math.abs(low) > 0.02 * length) {
                say(Kind.NOT_SQUARE, "One foot looks much larger than the other: the camera did not stand square.");
            }
        }
    }

    private double shoe(BodyPoint heel, BodyPoint ankle, double from, double to) {
        Optional<Spot> low = body.point(heel);
        return body.point(ankle)
                .flatMap(a -> low.map(h -> Math.hypot(
                        a.along().minus(h.along()).median(from, to),
                        a.up().minus(h.up()).median(from, to))))
                .orElse(1.0);
    }

    /** Both feet together, between address and top. */
    private void moved(double from, double to) {
        Optional<Double> top = moments.seconds(Checkpoint.TOP);
        Optional<Spot> lead = body.point(BodyPoint.LEAD_TOE);
        Optional<Spot> trail = body.point(BodyPoint.TRAIL_TOE);
        if (top.isEmpty() || lead.isEmpty() || trail.isEmpty()) return;
        double leadWent = went(lead.get().along(), from, to, top.get());
        double trailWent = went(trail.get().along(), from, to, top.get());
        double leadRose = went(lead.get().up(), from, to, top.get());
        double trailRose = went(trail.get().up(), from, to, top.get());
        double along = leadWent * trailWent > 0 ? Math.min(Math.abs(leadWent), Math.abs(trailWent)) : 0;
        double up = leadRose * trailRose > 0 ? Math.min(Math.abs(leadRose), Math.abs(trailRose)) : 0;
        if (Math.hypot(along, up) > MOVED * length) {
            say(Kind.CAMERA_MOVED, "Both feet go the same way while they stand: the camera moved during the swing.");
        }
    }

    private static double went(Curve curve, double from, double to, double later) {
        return curve.value(later, 0.05) - curve.median(from, to);
    }

    /** Hands and feet that are hardly ever seen, and points that are not sure at a moment that needs them. */
    private void unseen() {
        double begin = moments.seconds(Checkpoint.ADDRESS).orElse(track.first());
        double end = moments.seconds(Checkpoint.IMPACT).orElse(track.last());
        boolean hands = body.hands(length).map(h -> often(h, begin, end)).orElse(false);
        boolean feet = foot(BodyPoint.LEAD_HEEL, BodyPoint.LEAD_TOE)
                        .map(f -> often(f, begin, end))
                        .orElse(false)
                && foot(BodyPoint.TRAIL_HEEL, BodyPoint.TRAIL_TOE)
                        .map(f -> often(f, begin, end))
                        .orElse(false);
        if (!hands || !feet) {
            say(
                    Kind.OUT_OF_PICTURE,
                    "%s not to be seen all through: leave room around the golfer.",
                    hands ? "The feet are" : feet ? "The hands are" : "Hands and feet are");
        }
        List<String> at = moments.all().stream()
                .filter(m -> m.at() != Checkpoint.FINISH)
                .filter(m ->
                        List.of(
                                        BodyPoint.LEAD_HIP,
                                        BodyPoint.TRAIL_HIP,
                                        BodyPoint.LEAD_SHOULDER,
                                        BodyPoint.TRAIL_SHOULDER)
                                .stream()
                                .anyMatch(p -> body.certainty(p, m.seconds()) < SURE))
                .map(m -> m.at().brief().toLowerCase(Locale.ROOT))
                .toList();
        if (!at.isEmpty()) {
            say(
                    Kind.UNSURE,
                    "Hips or shoulders are not sure at %s: what rests on them there is left out.",
                    String.join(", ", at));
        }
    }

    private static boolean often(Spot spot, double from, double to) {
        int seen = spot.up().seen(from, to);
        int all = spot.up().from(to) - spot.up().from(from) + 1;
        return seen >= 0.7 * all;
    }
}
