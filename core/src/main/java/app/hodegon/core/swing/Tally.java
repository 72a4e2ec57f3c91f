package app.hodegon.core.swing;

import app.hodegon.core.swing.BallResult.Kind;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;

/** Counts of a run of balls per result. A kind with no count was not looked at. */
public record Tally(Map<BallResult, Integer> counts) {

    /** No ball seen. */
    public static final Tally EMPTY = new Tally(Map.of());

    /** Most balls one tally may hold of one result. */
    public static final int MOST = 500;

    public Tally {
        EnumMap<BallResult, Integer> kept = new EnumMap<>(BallResult.class);
        counts.forEach((result, count) -> {
            if (count < 0 || count > MOST) {
                throw new IllegalArgumentException(
                        "The count for " + result.id() + " must be 0 to " + MOST + ", not " + count + ".");
            }
            if (count > 0) kept.put(result, count);
        });
        counts = Collections.unmodifiableMap(kept);
    }

    /** Both together; a count that would be over {@link #MOST} stays there. */
    public Tally plus(Tally other) {
        Map<BallResult, Integer> sum = new EnumMap<>(BallResult.class);
        sum.putAll(counts);
        other.counts.forEach((result, count) -> sum.merge(result, count, (a, b) -> Math.min(MOST, a + b)));
        return new Tally(sum);
    }

    public int of(BallResult result) {
        return counts.getOrDefault(result, 0);
    }

    /** Balls counted in this kind of tally. */
    public int total(Kind kind) {
        return counts.entrySet().stream()
                .filter(e -> e.getKey().kind() == kind)
                .mapToInt(Map.Entry::getValue)
                .sum();
    }
}
