package app.hodegon.core.track;

import app.hodegon.core.track.Body.Spot;
import java.util.ArrayList;
import java.util.List;

/**
 * Where swings are in a film: the hands come down from high to low at the greatest speed that they have in it. Nothing
 * here rests on the clock, since a slow-motion film's is another.
 */
final class WaysDown {

    /** High are hands over their lowest by this part of the body's length, low are they under that. */
    private static final double HIGH = 0.16;

    private static final double LOW = 0.08;

    /** Of the fastest way down in the film, the speed of another that is a swing as well. */
    private static final double AS_FAST = 0.5;

    /** A way down moves the hands by this part of the body's length in a quarter of its whole time at least. */
    private static final double LEAST_SPEED = 0.5;

    /** Around a picture its speed is fitted so far, seconds. */
    private static final double REACH = 0.02;

    /** Up to this part of the pictures the hands may lie lower than what is called lowest. */
    private static final double OUTLIERS = 0.02;

    /**
     * One of them.
     *
     * @param top the hands are highest before it
     * @param fastest they are fastest
     * @param bottom they are lowest
     * @param end they are high again, or the film ends
     */
    record WayDown(double top, double fastest, double bottom, double end, double speed) {}

    private WaysDown() {}

    /** @param body its length in pixels */
    static List<WayDown> of(Spot hands, double body) {
        double[] heights = heights(hands.up(), body);
        int n = heights.length;
        List<WayDown> found = new ArrayList<>();
        int highSince = -1;
        int left = -1;
        for (int i = 0; i < n; i++) {
            if (Double.isNaN(heights[i])) continue;
            if (heights[i] > HIGH) {
                if (left >= 0) found.add(wayDown(hands, heights, highSince, left, i));
                if (highSince < 0 || left >= 0) highSince = i;
                left = -1;
            } else if (highSince >= 0 && left < 0 && heights[i] < LOW) {
                left = i;
            }
        }
        if (left >= 0) found.add(wayDown(hands, heights, highSince, left, n - 1));
        double fastest = found.stream().mapToDouble(WayDown::speed).max().orElse(0);
        if (fastest < LEAST_SPEED * body) return List.of();
        return found.stream().filter(w -> w.speed() >= AS_FAST * fastest).toList();
    }

    /** Over the lowest, in parts of the body's length. */
    private static double[] heights(Curve up, double body) {
        double[] seen = new double[up.length()];
        int n = 0;
        for (int i = 0; i < up.length(); i++) if (!Double.isNaN(up.value(i))) seen[n++] = up.value(i);
        double[] heights = new double[up.length()];
        java.util.Arrays.sort(seen, 0, n);
        double lowest = n == 0 ? 0 : seen[(int) (OUTLIERS * n)];
        for (int i = 0; i < heights.length; i++) heights[i] = (up.value(i) - lowest) / body;
        return heights;
    }

    private static WayDown wayDown(Spot hands, double[] heights, int high, int low, int end) {
        int top = high;
        for (int i = high; i <= low; i++) if (heights[i] > heights[top]) top = i;
        int bottom = low;
        for (int i = low; i <= end; i++) if (heights[i] < heights[bottom]) bottom = i;
        int fastest = top;
        double speed = 0;
        for (int i = top; i <= end; i++) {
            double moment = hands.up().time(i);
            double now = Math.hypot(
                    hands.along().at(moment, REACH).slope(),
                    hands.up().at(moment, REACH).slope());
            if (now > speed) {
                speed = now;
                fastest = i;
            }
        }
        Curve up = hands.up();
        return new WayDown(up.time(top), up.time(fastest), up.time(bottom), up.time(end), speed);
    }
}
