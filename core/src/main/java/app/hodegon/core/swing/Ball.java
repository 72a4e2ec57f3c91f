package app.hodegon.core.swing;

import app.hodegon.core.swing.BallResult.Kind;
import java.util.Collection;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * One ball as a student saw it.
 *
 * @param flight empty where it was not said
 * @param strike empty where it was not said
 */
public record Ball(Optional<BallResult> flight, Optional<BallResult> strike) {

    public Ball {
        if (flight.filter(r -> r.kind() != Kind.FLIGHT).isPresent()) {
            throw new IllegalArgumentException("flight must be a flight.");
        }
        if (strike.filter(r -> r.kind() != Kind.STRIKE).isPresent()) {
            throw new IllegalArgumentException("strike must be a strike.");
        }
    }

    /** All of them counted. */
    public static Tally tally(Collection<Ball> balls) {
        Map<BallResult, Integer> counts = new EnumMap<>(BallResult.class);
        balls.stream()
                .flatMap(b -> Stream.concat(b.flight.stream(), b.strike.stream()))
                .forEach(result -> counts.merge(result, 1, Integer::sum));
        return new Tally(counts);
    }
}
