package app.hodegon.server.motion;

import app.hodegon.core.golfer.BodyPoint;
import app.hodegon.core.golfer.FaultLook;
import app.hodegon.core.golfer.Motion;
import app.hodegon.core.golfer.Motion.Frame;
import app.hodegon.core.golfer.Placed;
import app.hodegon.core.golfer.Point;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import jakarta.validation.constraints.NotNull;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * A movement of the golfer as pictures. Places are in mm from the middle of the usual stance on the ground: towards the
 * target, towards the ball, up; a left-hander's is the mirror image.
 *
 * @param seconds the whole of it
 * @param points what each picture's places are of, three numbers each; the club's two ends come last, and are left out
 *     where there is nothing in the hands
 * @param frames pictures in time
 * @param shown id of the moment that shows most
 * @param held what the hands hold: wedge, iron, driver, bat or stick; null for nothing
 * @param ball where it lies; null for none
 * @param strike when it goes, seconds; null for never
 * @param look where to look
 * @param seen from where at first: face, line or above
 */
record MotionView(
        @NotNull double seconds,
        @NotNull List<String> points,
        @NotNull List<FrameView> frames,
        @NotNull List<MotionMoment> moments,
        @NotNull String shown,
        String held,
        List<Integer> ball,
        Double strike,
        @NotNull List<ThingView> things,
        @NotNull List<String> look,
        @NotNull String seen) {

    /**
     * @param at milliseconds
     * @param p places
     * @param l loads of the eight quarters, lead first, each front inner, front outer, back inner, back outer; tenths of
     *     a percent of the body's weight
     */
    record FrameView(
            @NotNull int at, @NotNull int[] p, @NotNull int[] l) {}

    /** @param time seconds */
    record MotionMoment(
            @NotNull String id,
            @NotNull String label,
            @NotNull String brief,
            @NotNull double time) {}

    /** @param follows what it moves with: nothing, trail-foot, lead-foot or hips */
    record ThingView(
            @NotNull String kind,
            @NotNull String follows,
            @NotNull List<Integer> from,
            @NotNull List<Integer> to) {}

    private static final List<BodyPoint> ALL = List.of(BodyPoint.values());

    static MotionView of(Motion motion, FaultLook look, Handedness hand) {
        return new MotionView(
                Math.round(1000 * motion.seconds()) / 1000.0,
                Identified.ids(BodyPoint.class),
                motion.frames().stream().map(MotionView::view).toList(),
                motion.moments().stream()
                        .map(m -> new MotionMoment(
                                m.at().id(),
                                hand.say(m.name()),
                                hand.say(m.brief()),
                                Math.round(1000 * m.seconds()) / 1000.0))
                        .toList(),
                look.at().id(),
                motion.held().map(MotionView::id).orElse(null),
                motion.ball().map(MotionView::mm).orElse(null),
                motion.strike().isPresent() ? motion.strike().getAsDouble() : null,
                motion.things().stream().map(MotionView::view).toList(),
                look.points().stream().map(BodyPoint::id).toList(),
                id(look.seen()));
    }

    static FrameView view(Frame frame) {
        Map<BodyPoint, Point> body = frame.body();
        int[] p = ALL.stream()
                .filter(body::containsKey)
                .flatMap(point -> mm(body.get(point)).stream())
                .mapToInt(i -> i)
                .toArray();
        int[] l = Arrays.stream(frame.loads())
                .mapToInt(load -> (int) Math.round(10 * load))
                .toArray();
        return new FrameView((int) Math.round(1000 * frame.seconds()), p, l);
    }

    static ThingView view(Placed thing) {
        return new ThingView(thing.kind().id(), id(thing.follows()), mm(thing.from()), mm(thing.to()));
    }

    private static List<Integer> mm(Point point) {
        return List.of(mm(point.x()), mm(point.y()), mm(point.z()));
    }

    private static int mm(double cm) {
        return (int) Math.round(10 * cm);
    }

    private static String id(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
