package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.golfer.GolfSwing;
import app.hodegon.core.golfer.Golfer;
import app.hodegon.core.golfer.Pace;
import app.hodegon.core.golfer.Plate;
import app.hodegon.core.motion.Foot;
import app.hodegon.core.motion.LoadUnit;
import app.hodegon.core.motion.Trace;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Measure;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** The calculator endpoints, which store nothing. */
@ExtendWith(RunningServer.class)
class CalculatorTest {

    private static final String PLAN = """
            {"student":{"handedness":"right","level":"%s","ageBand":"adult","flags":["knee"],"kit":["ball","rod","disc"],
             "week":{"mon":{"minutes":20,"place":"home"},"sat":{"minutes":60,"place":"range"}},"shoes":"spikes",
             "doneBefore":[{"drill":"%s","rung":"rehearse","passed":true}]},
             "approach":{"pressure":"early-return","trail-heel":"roll-low"},
             "focus":[{"fault":"sway","grade":"likely"}],"likely":["sway","late-recentre"],
             "from":"2026-12-01","nextLesson":"%s"}""";

    private Client client;

    @BeforeEach
    void coach(Client client) {
        this.client = client.coach();
    }

    @Test
    void diagnosis() {
        JsonNode answer = client.post("/api/diagnosis", """
                        {"handedness":"left","approach":{"pressure":"early-return"},
                         "signs":{"pelvis-drifts-back":"yes","trail-outer-edge-loaded":"yes","feet-frozen":"no"},
                         "measures":[{"id":"pelvis-drift","at":"top","value":9.0,"source":"clip","swings":3}],
                         "shots":{"flight":{"slice":6,"straight":2},"strike":{"fat":1,"solid":7},"divot":{}}}""").expect(200).body();
        assertThat(answer.path("faults")).hasSize(18);
        assertThat(answer.at("/faults/0/id").asString()).isEqualTo("sway");
        assertThat(answer.at("/faults/0/grade").asString()).isEqualTo("likely");
        assertThat(answer.at("/faults/0/for").findValuesAsString("text")).anyMatch(t -> t.contains("left foot"));
        assertThat(answer.at("/focus/0").asString()).isEqualTo("sway");
        assertThat(answer.path("chain").get(0).path("from").asString()).isEqualTo("sway");
        assertThat(answer.path("nextLooks").get(0).path("gain").asDouble()).isPositive();
    }

    private String verdict(String request) {
        return client.post("/api/progress/compare", request)
                .expect(200)
                .body()
                .path("verdict")
                .asString();
    }

    @Test
    void whatEarlierLessonsFoundIsEvidenceOfItsOwn() {
        String today = "{\"on\":\"2026-12-01\",\"signs\":{\"feet-frozen\":\"no\"},\"history\":[%s]}";
        String before = "{\"on\":\"2026-11-17\",\"signs\":{\"pelvis-drifts-back\":\"yes\"},\"worked\":[\"sway\"],"
                + "\"practised\":0.2}";
        JsonNode with = sway(today.formatted(before));
        JsonNode without = sway("{\"signs\":{\"feet-frozen\":\"no\"}}");
        assertThat(with.path("probability").asDouble())
                .isGreaterThan(without.path("probability").asDouble() + 0.1);
        assertThat(with.path("for").findValuesAsString("evidence")).contains("history");
        assertThat(sway(today.formatted(""))).as("none").isEqualTo(without);
    }

    private JsonNode sway(String request) {
        return client.post("/api/diagnosis", request)
                .expect(200)
                .body()
                .path("faults")
                .valueStream()
                .filter(f -> f.path("id").asString().equals("sway"))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "{\"history\":[{\"on\":\"2026-11-17\"}]} | on",
                "{\"on\":\"2026-12-01\",\"history\":[{\"on\":\"2026-12-02\"}]} | before this lesson",
                "{\"on\":\"2026-12-01\",\"history\":[{\"on\":\"2026-11-17\"},{\"on\":\"2026-11-03\"}]} | oldest",
                "{\"on\":\"2026-12-01\",\"history\":[{\"on\":\"2026-11-17\",\"worked\":[\"hop\"]}]} | worked",
                "{\"on\":\"2026-12-01\",\"history\":[{\"on\":\"2026-11-17\",\"practised\":-1}]} | practised",
                "{\"on\":\"2026-12-01\",\"history\":[{\"on\":\"2026-11-17\",\"signs\":{\"hop\":\"yes\"}}]} | hop"
            })
    void earlierLessonsThatCannotBeAreRefused(String request, String named) {
        assertThat(client.post("/api/diagnosis", request).refused(422).body().toString())
                .contains(named);
    }

    @Test
    void diagnosisOfNothing() {
        JsonNode answer = client.post("/api/diagnosis", "{}").expect(200).body();
        assertThat(answer.path("focus")).isEmpty();
        assertThat(answer.path("faults").findValuesAsString("grade")).containsOnly("not-enough-seen");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"signs\":{\"hops\":\"yes\"}} | hops",
                "{\"signs\":{\"feet-frozen\":\"maybe\"}} | yes or no",
                "{\"handedness\":\"both\"} | both",
                "{\"approach\":{\"pressure\":\"none\"}} | none",
                "{\"approach\":{\"hat\":\"on\"}} | hat",
                "{\"shots\":{\"flight\":{\"wedge\":1}}} | wedge",
                "{\"shots\":{\"flight\":{\"slice\":-1}}} | slice",
                "{\"measures\":[{\"id\":\"hop\",\"value\":1,\"source\":\"clip\",\"swings\":3}]} | hop",
                "{\"measures\":[{\"id\":\"pelvis-drift\",\"value\":1,\"source\":\"clip\",\"swings\":3}]} | checkpoint",
                "{\"measures\":[{\"id\":\"pelvis-drift\",\"at\":\"top\",\"value\":1000,\"source\":\"clip\",\"swings\":3}]} | between"
            })
    void unknownWordsAndValuesAreRefusedByName(String request, String named) {
        assertThat(client.post("/api/diagnosis", request)
                        .refused(422)
                        .body()
                        .path("detail")
                        .asString())
                .contains(named);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"signs\":[1]}",
                "{\"measures\":[{\"id\":\"pelvis-drift\",\"at\":\"top\",\"value\":\"9\",\"source\":\"clip\",\"swings\":3}]}",
                "{\"measures\":[{\"id\":\"pelvis-drift\",\"at\":\"top\",\"value\":9,\"source\":\"clip\",\"swings\":2.5}]}",
                "{\"measures\":[{\"id\":\"pelvis-drift\",\"at\":\"top\",\"source\":\"clip\",\"swings\":3}]}",
                "{\"shots\":{\"flight\":{\"slice\":\"many\"}}}"
            })
    void wrongTypesAreRefused(String request) {
        client.post("/api/diagnosis", request).refused(400);
    }

    @Test
    void plan() {
        JsonNode plan = client.post("/api/plans/draft", PLAN.formatted("improver", "outer-prop", "2026-12-15"))
                .expect(200)
                .body();
        assertThat(plan.at("/route/0/rung").asString()).isEqualTo("short");
        assertThat(plan.path("days")).hasSize(4);
        for (JsonNode day : plan.path("days")) {
            double limit = day.path("place").asString().equals("home") ? 20 : 60;
            assertThat(day.path("minutes").asDouble()).isLessThanOrEqualTo(limit);
        }
        assertThat(plan.path("leftOut").findValuesAsString("drill")).contains("grip-turns");
        assertThat(plan.at("/totals/reps").asInt()).isPositive();
    }

    /** Every block says its half-step, null for the plain form, and what the club meets. */
    @Test
    void planThatMovesOn() {
        String request = PLAN.formatted("improver", "outer-prop", "2026-12-15");
        JsonNode plan = client.post("/api/plans/draft", request).expect(200).body();
        plan.path("days")
                .forEach(day -> day.path("blocks").forEach(block -> {
                    assertThat(block.has("condition")).isTrue();
                    boolean home = day.path("place").asString().equals("home");
                    assertThat(block.path("form").asString())
                            .isIn(home ? List.of("none", "brush", "clip", "soft-ball") : List.of("none", "range"));
                    if (home) assertThat(block.path("balls").asInt()).isZero();
                }));
        assertThat(plan.findValuesAsString("form")).contains("brush", "range");
        JsonNode one = client.post("/api/plans/draft", request.replaceFirst("\\{", "{\"oneThing\":true,"))
                .expect(200)
                .body();
        assertThat(one.path("cautions").valueStream().map(JsonNode::asString))
                .anyMatch(c -> c.startsWith("A block of one thing"));
        client.post("/api/plans/draft", request.replaceFirst("\\{", "{\"oneThing\":\"much\","))
                .refused(400);
    }

    @ParameterizedTest
    @CsvSource({
        "expert, outer-prop, 2026-12-15, expert",
        "club, hop, 2026-12-15, hop",
        "club, outer-prop, 2026-11-15, after"
    })
    void plansThatCannotBeAreRefused(String level, String drill, String nextLesson, String named) {
        assertThat(client.post("/api/plans/draft", PLAN.formatted(level, drill, nextLesson))
                        .refused(422)
                        .body()
                        .path("detail")
                        .asString())
                .contains(named);
    }

    @Test
    void comparison() {
        JsonNode reading = client.post("/api/progress/compare", """
                        {"kind":"reading","measure":"trail-share","at":"impact","better":"lower",
                         "first":{"mean":45,"swings":3,"source":"seen"},"second":{"mean":30,"swings":3,"source":"seen"}}""").expect(200).body();
        assertThat(reading.path("low").asDouble()).isCloseTo(-27.8, within(0.05));
        assertThat(reading.path("verdict").asString()).isEqualTo("better");
        assertThat(reading.path("toTell").isNull()).isTrue();
        JsonNode count = client.post("/api/progress/compare", """
                        {"kind":"count","better":"lower","first":{"hits":6,"of":10},"second":{"hits":2,"of":10}}""").expect(200).body();
        assertThat(count.path("verdict").asString()).isEqualTo("cannot-tell");
        assertThat(count.path("toTell").asInt()).isPositive();
        client.post(
                        "/api/progress/compare",
                        "{\"kind\":\"sample\",\"better\":\"higher\",\"first\":[1],\"second\":[1,2]}")
                .refused(422);
        String many = "{\"kind\":\"count\",\"better\":\"lower\",\"first\":{\"hits\":300,\"of\":1000},"
                + "\"second\":{\"hits\":310,\"of\":1000}%s}";
        assertThat(verdict(many.formatted(""))).isEqualTo("cannot-tell");
        assertThat(verdict(many.formatted(",\"worth\":15"))).isEqualTo("no-change");
        assertThat(verdict(many.formatted(",\"worth\":1"))).isEqualTo("cannot-tell");
        assertThat(client.post("/api/progress/compare", many.formatted(",\"worth\":-1"))
                        .refused(422)
                        .body()
                        .toString())
                .contains("worth");
        client.post(
                        "/api/progress/compare",
                        "{\"kind\":\"guess\",\"better\":\"higher\",\"first\":[1],\"second\":[1,2]}")
                .refused(422);
    }

    @Test
    void traces() {
        GolfSwing swing = new Golfer(Handedness.LEFT, 170, PressureSchool.CENTRED, Map.of(), Pace.USUAL).swing();
        Trace trace =
                new Plate(200, 0.4, LoadUnit.NEWTON, 700).record(swing, Plate.Shape.FEET, 0.9, 0.6, new Random(1));
        String left = loads(trace, Foot.TRAIL);
        String right = loads(trace, Foot.LEAD);
        double impact = 0.9 + swing.seconds(Checkpoint.IMPACT);
        String body = """
                {"handedness":"left","rate":200,"unit":"newton","channels":{"left":[%s],"right":[%s]},
                 "events":{"impact":%s}}""";

        JsonNode answer = client.post("/api/traces/read", body.formatted(left, right, impact))
                .expect(200)
                .body();
        assertThat(answer.path("moments").findValuesAsString("id"))
                .containsExactly("address", "trigger", "impact", "finish");
        assertThat(answer.at("/moments/2/from").asString()).isEqualTo("given");
        JsonNode share = answer.path("readings")
                .valueStream()
                .filter(r -> r.path("at").asString("").equals("impact"))
                .findFirst()
                .orElseThrow();
        assertThat(share.path("value").asDouble())
                .isCloseTo(
                        swing.truth(Measure.TRAIL_SHARE, Optional.of(Checkpoint.IMPACT))
                                .orElseThrow(),
                        within(1.5));
        assertThat(share.path("uncertainty").asDouble()).isPositive();

        String lost = left.replaceFirst("^([^,]+,){20}", "null,".repeat(20));
        assertThat(client.post("/api/traces/read", body.formatted(lost, right, impact))
                        .expect(200)
                        .body()
                        .path("warnings")
                        .findValuesAsString("code"))
                .contains("gap");
        assertThat(client.post("/api/traces/read", body.formatted(left + "," + left, right + "," + right, impact))
                        .refused(422)
                        .body()
                        .path("detail")
                        .asString())
                .contains("2 swings");
        client.post("/api/traces/read", body.formatted(left, right, 99)).refused(422);
        client.post("/api/traces/read", body.formatted(left, right, impact).replace("\"right\"", "\"middle\""))
                .refused(422);
        client.post("/api/traces/read", body.formatted(left, "1,2", impact)).refused(422);
        client.post("/api/traces/read", body.formatted(left, right, impact).replace(":200,", ":20,"))
                .refused(422);
    }

    private static String loads(Trace trace, Foot foot) {
        return IntStream.range(0, trace.length())
                .mapToObj(i -> String.format(Locale.ROOT, "%.2f", trace.load(foot, i)))
                .collect(Collectors.joining(","));
    }
}
