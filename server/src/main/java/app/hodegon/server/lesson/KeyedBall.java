package app.hodegon.server.lesson;

import app.hodegon.core.practice.Tried;
import app.hodegon.core.shots.Shot;
import app.hodegon.core.swing.Club;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.http.Invalid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How far a ball came, as a coach keyed it in.
 *
 * @param number its place among the others
 * @param carry m; null while not said
 * @param offline m, plus to the side of the trail hand; null while not said
 */
public record KeyedBall(@NotNull @Min(0) @Max(10_000) Integer number, Double carry, Double offline) {

    static final int MOST = Tried.MOST_MEASURED;

    /**
     * In order, all with this club.
     *
     * @param club id; null while not said
     * @param field where they stand, for what is wrong with one
     */
    static List<Shot> shots(Map<String, KeyedBall> balls, String club, String field) {
        String name = club(club, field + ".club").map(Club::label).orElse("");
        return balls.entrySet().stream()
                .sorted(Comparator.comparing(e -> e.getValue().number()))
                .map(e -> e.getValue().shot(name, field + ".balls." + e.getKey()))
                .toList();
    }

    static Optional<Club> club(String id, String field) {
        return Optional.ofNullable(id).map(c -> Invalid.in(field, () -> Identified.of(Club.class, c)));
    }

    private Shot shot(String club, String field) {
        return Invalid.in(
                field,
                () -> new Shot(club, maybe(carry), maybe(offline), OptionalDouble.empty(), OptionalDouble.empty()));
    }

    static KeyedBall of(int number, Shot ball) {
        return new KeyedBall(number, orNull(ball.carry()), orNull(ball.offline()));
    }

    private static Double orNull(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    private static OptionalDouble maybe(Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
