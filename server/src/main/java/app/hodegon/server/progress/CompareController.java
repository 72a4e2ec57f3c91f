package app.hodegon.server.progress;

import app.hodegon.core.progress.Better;
import app.hodegon.core.progress.Comparison;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.account.Account;
import app.hodegon.server.approach.Approaches;
import app.hodegon.server.diagnosis.ReadingEntry;
import app.hodegon.server.http.Invalid;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** The calculator: two samples in, what they tell out; stores nothing. */
@RestController
class CompareController {

    private static final int MOST_VALUES = 5000;

    private final Approaches approaches;

    CompareController(Approaches approaches) {
        this.approaches = approaches;
    }

    /**
     * @param kind reading (two means of one measure), count (two tallies) or sample (two lists of values)
     * @param first its form depends on the kind
     * @param worth smallest change worth practising for, in the unit of the measure or points of a share; null for any
     */
    record CompareRequest(
            @NotNull @Size(max = 20) String kind,
            @Size(max = 40) String measure,
            @Size(max = 40) String at,
            @NotNull @Size(max = 20) String better,
            @NotNull JsonNode first,
            @NotNull JsonNode second,
            Double worth) {}

    @PostMapping("/api/progress/compare")
    ComparisonView compare(@AuthenticationPrincipal Account coach, @Valid @RequestBody CompareRequest request) {
        Better better = Invalid.in("better", () -> Identified.of(Better.class, request.better()));
        Comparison change = switch (request.kind()) {
            case "reading" ->
                Invalid.in(
                        "measure",
                        () -> Comparison.ofReadings(
                                reading(request, "first", request.first()),
                                reading(request, "second", request.second()),
                                better,
                                approaches.repeatability(coach.id())));
            case "count" ->
                Comparison.ofCounts(count("first", request.first()), count("second", request.second()), better);
            case "sample" ->
                Invalid.in(
                        "first",
                        () -> Comparison.ofSamples(
                                values("first", request.first()), values("second", request.second()), better));
            default -> throw new Invalid("kind", "kind must be reading, count or sample.");
        };
        return ComparisonView.whole(request.worth() == null ? change : weighed(change, request));
    }

    /** Shares are asked for in points. */
    private static Comparison weighed(Comparison change, CompareRequest request) {
        double worth = request.kind().equals("count") ? request.worth() / 100 : request.worth();
        return Invalid.in("worth", () -> change.weighing(worth));
    }

    private static app.hodegon.core.swing.Reading reading(CompareRequest request, String field, JsonNode node) {
        if (request.measure() == null) throw new Invalid("measure", "A reading needs its measure.");
        JsonNode source = node.path("source");
        if (!source.isString()) throw new Invalid(field + ".source", "must name the source.");
        return new ReadingEntry(
                        request.measure(),
                        request.at(),
                        number(field + ".mean", node.path("mean")),
                        source.asString(),
                        whole(field + ".swings", node.path("swings")))
                .reading(field);
    }

    private static Comparison.Count count(String field, JsonNode node) {
        int hits = whole(field + ".hits", node.path("hits"));
        int of = whole(field + ".of", node.path("of"));
        return Invalid.in(field, () -> new Comparison.Count(hits, of));
    }

    private static double[] values(String field, JsonNode node) {
        if (!node.isArray()) throw new Invalid(field, "must be a list of numbers.");
        if (node.size() > MOST_VALUES) throw new Invalid(field, "holds at most " + MOST_VALUES + " values.");
        double[] values = new double[node.size()];
        for (int i = 0; i < values.length; i++) values[i] = number(field + "[" + i + "]", node.get(i));
        return values;
    }

    private static double number(String field, JsonNode node) {
        if (!node.isNumber() || Math.abs(node.asDouble()) > 1e9) throw new Invalid(field, "must be a number.");
        return node.asDouble();
    }

    private static int whole(String field, JsonNode node) {
        if (!node.isInt()) throw new Invalid(field, "must be a whole number.");
        return node.asInt();
    }
}
