package app.hodegon.server.diagnosis;

import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.BallResult.Kind;
import app.hodegon.core.swing.Tally;
import app.hodegon.server.http.Invalid;
import jakarta.validation.constraints.Size;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;

/** A tally on the wire: counts per result and kind; kinds left out were not counted. */
public record ShotsEntry(
        @Size(max = 20) Map<String, Integer> flight,
        @Size(max = 20) Map<String, Integer> strike,
        @Size(max = 20) Map<String, Integer> divot) {

    public static final ShotsEntry NONE = new ShotsEntry(Map.of(), Map.of(), Map.of());

    public Tally tally(String field) {
        Map<BallResult, Integer> counts = new EnumMap<>(BallResult.class);
        add(counts, Kind.FLIGHT, flight, field);
        add(counts, Kind.STRIKE, strike, field);
        add(counts, Kind.DIVOT, divot, field);
        return Invalid.in(field, () -> new Tally(counts));
    }

    private static void add(Map<BallResult, Integer> counts, Kind kind, Map<String, Integer> from, String field) {
        if (from == null) return;
        String path = field + "." + kind.id();
        from.forEach((id, count) -> {
            BallResult result = Invalid.in(path, () -> BallResult.of(kind, id));
            if (count == null) throw new Invalid(path + "." + id, "needs a count.");
            counts.put(result, count);
        });
    }

    public static ShotsEntry of(Tally tally) {
        return new ShotsEntry(of(tally, Kind.FLIGHT), of(tally, Kind.STRIKE), of(tally, Kind.DIVOT));
    }

    private static Map<String, Integer> of(Tally tally, Kind kind) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        tally.counts().forEach((result, count) -> {
            if (result.kind() == kind) counts.put(result.id(), count);
        });
        return counts;
    }
}
