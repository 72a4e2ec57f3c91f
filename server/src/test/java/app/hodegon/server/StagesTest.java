package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A lesson's stages: the climb that is led, how far balls came at each, keyed in or from a file, and the ladder of it. */
@ExtendWith(RunningServer.class)
class StagesTest {

    private static final String BAY = "Club;Carry (m);Side (m)\n;131;-6\n;127;2\n";

    private Client coach;
    private Begun begun;

    @BeforeEach
    void aLesson(Client first) {
        coach = first.coach();
        begun = Begun.swayer(coach, "improver", "", 20, 60, "range");
    }

    /** Two first balls, and after what was tried two more that came further. */
    private String entry() {
        return """
                {"approach":%s,"signs":{},"note":"",
                 "before":{"readings":[],"shots":{"strike":{"solid":1,"thin":1}},"balls":{
                    "b":{"number":2,"carry":118,"offline":-9}, "a":{"number":1,"carry":112}}},
                 "after":{"readings":[],"shots":{}},
                 "tries":{"closer":{"number":1,"words":"a closer stance","length":"full","readings":[],"same":[],
                    "shots":{"strike":{"solid":3}},"begun":"2026-12-01T10:00:00Z","minutes":9,
                    "balls":{"a":{"number":1,"carry":129},"b":{"number":2,"carry":131,"offline":4}}},
                   "short":{"number":2,"words":"short","length":"waist","readings":[],"same":[],"shots":{},
                    "balls":{"a":{"number":1,"carry":40},"b":{"number":2,"carry":42}}}}}""".formatted(coach.get(begun.lesson()).body().at("/entry/approach"));
    }

    private JsonNode stages() {
        return coach.get(begun.lesson() + "/tried").expect(200).body();
    }

    private static JsonNode carry(JsonNode changes) {
        return changes.valueStream()
                .filter(c -> c.path("id").asString().startsWith("carry"))
                .findFirst()
                .orElse(null);
    }

    @Test
    void howFarBallsCameIsKeyedInAtEachStageAndComparedWhereTheSwingIsAsLong() {
        JsonNode kept =
                coach.put(begun.lesson() + "/entry", entry()).expect(200).body();
        assertThat(kept.at("/entry/before/balls/b/offline").asDouble()).isEqualTo(-9);
        assertThat(kept.at("/entry/tries/closer/balls/a/carry").asDouble()).isEqualTo(129);
        assertThat(kept.at("/entry/tries/closer/minutes").asInt()).isEqualTo(9);

        JsonNode stages = stages();
        assertThat(carry(stages.at("/tried/0/fromFirst")).path("then").asString())
                .isEqualTo("115 m (median 115, 2 balls)");
        assertThat(carry(stages.at("/tried/0/fromFirst")).path("now").asString())
                .isEqualTo("130 m (median 130, 2 balls)");
        assertThat(carry(stages.at("/tried/1/fromFirst")))
                .as("a short swing is not to come as far as a full one")
                .isNull();

        assertThat(stages.path("rungs").valueStream().map(r -> r.path("stage").asString()))
                .containsExactly("before", "closer", "short");
        assertThat(stages.at("/rungs/0/struck").asInt()).isEqualTo(2);
        assertThat(stages.at("/rungs/0/solid").asInt()).isEqualTo(1);
        assertThat(stages.at("/rungs/0/carry/balls").valueStream().map(JsonNode::asDouble))
                .as("in the order keyed in")
                .containsExactly(112.0, 118.0);
        assertThat(stages.at("/rungs/0/carry/mean").asDouble()).isEqualTo(115);
        assertThat(stages.at("/rungs/0/offline/mean").asDouble()).isEqualTo(-9);
        assertThat(stages.path("unit").asString()).isEqualTo("m");
    }

    @Test
    void firstBallsKeyedInAreMeasuredBallsEverywhereAndLeaveWithAnUndo() {
        coach.put(begun.lesson() + "/entry", entry()).expect(200);
        assertThat(coach.get(begun.lesson() + "/shot-files").expect(200).body())
                .as("they are no file that could be taken out")
                .isEmpty();
        JsonNode record = coach.get("/api/students/" + begun.student() + "/record")
                .expect(200)
                .body();
        assertThat(record.path("shot")).hasSize(2);
        coach.put(begun.lesson() + "/entry", entry().replaceFirst("\"balls\":\\{[^}]*}[^}]*}", "\"balls\":{"))
                .expect(200);
        assertThat(stages().at("/rungs/0/carry").isNull()).isTrue();
        assertThat(coach.get("/api/students/" + begun.student() + "/record")
                        .body()
                        .path("shot"))
                .isEmpty();
    }

    @Test
    void aFileBelongsToWhatWasTried() {
        coach.put(begun.lesson() + "/entry", entry()).expect(200);
        String body = "{\"name\":\"bay.csv\",\"moment\":\"%s\",\"leaveOut\":false,\"club\":null,\"file\":{\"text\":\""
                + BAY.replace("\n", "\\n") + "\",\"columns\":null}}";
        coach.post(begun.lesson() + "/shot-files", body.formatted("closer")).expect(201);
        assertThat(stages().at("/rungs/1/carry/balls")).hasSize(4);
        assertThat(coach.post(begun.lesson() + "/shot-files", body.formatted("gone"))
                        .refused(422)
                        .body()
                        .path("detail")
                        .asString())
                .contains("no such stage");
    }

    @Test
    void leftHandersMissToTheSameSideOfTheLine() {
        coach.put(begun.lesson() + "/entry", entry()).expect(200);
        double right = stages().at("/rungs/0/offline/mean").asDouble();
        JsonNode student =
                coach.get("/api/students/" + begun.student()).expect(200).body().path("profile");
        coach.put(
                        "/api/students/" + begun.student(),
                        student.toString().replace("\"handedness\":\"right\"", "\"handedness\":\"left\""))
                .expect(200);
        assertThat(stages().at("/rungs/0/offline/mean").asDouble())
                .as("stored to the side of the trail hand")
                .isEqualTo(-right);
    }

    @Test
    void whatNoBallDoesIsRefusedInWordsAndNothingIsLost() {
        coach.put(begun.lesson() + "/entry", entry()).expect(200);
        JsonNode refused = coach.put(begun.lesson() + "/entry", entry().replace("\"carry\":118", "\"carry\":1180"))
                .refused(422)
                .body();
        assertThat(refused.path("detail").asString()).contains("carry of 1180.0 m lies outside 0 to 400 m");
        coach.put(begun.lesson() + "/entry", entry().replace("\"carry\":112", "\"carry\":null"))
                .refused(422);
        coach.put(begun.lesson() + "/entry", entry().replace("\"closer\":{", "\"after\":{"))
                .refused(422);
        assertThat(coach.get(begun.lesson())
                        .body()
                        .at("/entry/before/balls/b/carry")
                        .asDouble())
                .isEqualTo(118);
    }

    @Test
    void aRecordWithABallThatNoneIsIsRefused() {
        coach.put(begun.lesson() + "/entry", entry()).expect(200);
        String record = coach.get("/api/students/" + begun.student() + "/record")
                .expect(200)
                .body()
                .toString();
        coach.post("/api/students/" + begun.student() + "/erasure", "{\"name\":\"Isolde Brack\"}")
                .expect(204);
        assertThat(record).contains("\"keyed\":{\"before\"");
        for (String wrong : List.of("\"carry\":1118.0", "\"number\":null,\"carry\":118.0")) {
            coach.post("/api/records", record.replaceFirst("\"carry\":118.0", wrong))
                    .refused(422);
        }
        coach.post("/api/records", record).expect(201);
        assertThat(coach.get(begun.lesson())
                        .body()
                        .at("/entry/before/balls/b/carry")
                        .asDouble())
                .isEqualTo(118);
    }

    @Test
    void theClimbOfTheLessonGoesFromTheDrillToTheFullSwing() {
        JsonNode climb = coach.get(begun.lesson() + "/climb").expect(200).body();
        assertThat(climb.valueStream().map(p -> p.path("length").asString("")))
                .containsExactly("", "waist", "shoulder", "full");
        assertThat(climb.valueStream().mapToInt(p -> p.path("minutes").asInt()).sum())
                .isEqualTo(30);
        coach.get(begun.lesson() + "/climb?minutes=400").refused(422);
        String blank = "/api/lessons/"
                + coach.post("/api/students/" + begun.student() + "/lessons", null)
                        .expect(201)
                        .body()
                        .path("id")
                        .asString();
        assertThat(coach.get(blank + "/climb").expect(200).body())
                .as("nothing is chosen or found yet")
                .isEmpty();
    }
}
