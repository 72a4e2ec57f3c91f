package app.hodegon.core.motion;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntPredicate;
import java.util.function.IntToDoubleFunction;

/** A stretch of time in which something stands still, seconds. */
public record Span(double from, double to) {

    /**
     * The stretches that last long enough.
     *
     * @param n how many samples or pictures there are
     * @param still whether one is
     * @param time of one, seconds
     * @param lasts seconds at least
     */
    public static List<Span> of(int n, IntPredicate still, IntToDoubleFunction time, double lasts) {
        List<Span> found = new ArrayList<>();
        int begun = -1;
        for (int i = 0; i <= n; i++) {
            boolean quiet = i < n && still.test(i);
            if (quiet && begun < 0) begun = i;
            if (!quiet && begun >= 0) {
                Span span = new Span(time.applyAsDouble(begun), time.applyAsDouble(i - 1));
                if (span.to - span.from >= lasts) found.add(span);
                begun = -1;
            }
        }
        return found;
    }
}
