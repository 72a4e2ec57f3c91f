package app.hodegon.server.practice;

import app.hodegon.core.practice.Told;
import app.hodegon.core.practice.Turn;
import app.hodegon.core.swing.Ball;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Club;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.db.tables.records.PracticeBlockRecord;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What was told of a block as its row holds it: lists separated by commas, for they are only read with their block. */
final class ToldColumns {

    private ToldColumns() {}

    static Told told(PracticeBlockRecord row) {
        return new Told(
                list(row.getNoticed(), s -> s),
                list(row.getSpeeds(), Integer::parseInt),
                Optional.ofNullable(row.getClub()).map(c -> Identified.of(Club.class, c)),
                list(row.getBalls(), ToldColumns::ball),
                list(row.getTurns(), ToldColumns::turn));
    }

    static String noticed(Told told) {
        return String.join(",", told.noticed());
    }

    static String speeds(Told told) {
        return joined(told.speeds(), String::valueOf);
    }

    static String balls(Told told) {
        return joined(told.balls(), b -> id(b.flight()) + "/" + id(b.strike()));
    }

    static String turns(Told told) {
        return joined(told.turns(), t -> t.at() + ":" + t.kind().id());
    }

    private static String id(Optional<BallResult> result) {
        return result.map(BallResult::id).orElse("");
    }

    private static Ball ball(String stored) {
        String[] parts = pair(stored, "/");
        return new Ball(result(BallResult.Kind.FLIGHT, parts[0]), result(BallResult.Kind.STRIKE, parts[1]));
    }

    private static Optional<BallResult> result(BallResult.Kind kind, String id) {
        return id.isEmpty() ? Optional.empty() : Optional.of(BallResult.of(kind, id));
    }

    private static Turn turn(String stored) {
        String[] parts = pair(stored, ":");
        return new Turn(Integer.parseInt(parts[0]), Identified.of(Turn.Kind.class, parts[1]));
    }

    private static String[] pair(String stored, String separator) {
        String[] parts = stored.split(separator, -1);
        if (parts.length != 2) throw new IllegalArgumentException("Two parts, please, not " + stored + ".");
        return parts;
    }

    private static <T> List<T> list(String stored, Function<String, T> read) {
        return stored.isEmpty()
                ? List.of()
                : Stream.of(stored.split(",", -1)).map(read).toList();
    }

    private static <T> String joined(List<T> all, Function<T, String> write) {
        return all.stream().map(write).collect(Collectors.joining(","));
    }
}
