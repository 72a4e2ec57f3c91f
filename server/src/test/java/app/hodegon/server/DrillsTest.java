package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A coach's own drills: in and out as files, and in use. */
@ExtendWith(RunningServer.class)
class DrillsTest {

    private static final JsonMapper JSON = new JsonMapper();

    private Client coach;

    @BeforeEach
    void signIn(Client client) {
        coach = client.signIn("second@demo.example", "demo-coach");
    }

    @AfterEach
    void tidy() {
        for (JsonNode drill : JSON.readTree(coach.text("/api/drills/own"))) {
            coach.delete("/api/drills/own/" + drill.path("id").asString() + "?anyway=true");
        }
    }

    /** A copy of a drill that ships, with another id and name. */
    private ObjectNode copy(String id) {
        ObjectNode drill = (ObjectNode)
                JSON.readTree(coach.text("/api/drills/disc-turn/file")).get(0);
        return drill.put("id", id).put("name", "Plate turn");
    }

    @Test
    void aCopyIsStoredShownAndComesOutAsItWentIn() {
        String file = "[" + copy("plate-turn") + "]";
        assertThat(coach.post("/api/drills/own", file)
                        .expect(200)
                        .body()
                        .path("drills")
                        .asInt())
                .isEqualTo(1);
        assertThat(JSON.readTree(coach.text("/api/drills/own")))
                .contains(JSON.readTree(file).get(0));
        JsonNode catalogue = coach.get("/api/catalogue?hand=left").expect(200).body();
        assertThat(catalogue.path("ownDrills").toString()).contains("plate-turn");
        assertThat(catalogue.at("/drills/plate-turn/setUp").asString()).startsWith("Left foot on the disc");
        coach.post("/api/drills/own", "[" + copy("plate-turn").put("cue", "Turn the plate") + "]")
                .expect(200);
        assertThat(coach.text("/api/drills/own"))
                .containsOnlyOnce("\"plate-turn\"")
                .contains("Turn the plate");
        coach.delete("/api/drills/own/plate-turn").expect(204);
        coach.delete("/api/drills/own/plate-turn").refused(404);
    }

    @Test
    void aBrokenFileIsRefusedWholeWithEverythingThatIsWrong() {
        String file = "[" + copy("good-one") + ","
                + copy("bad-one").put("pace", "FAST").put("feel", "") + "]";
        JsonNode refused = coach.post("/api/drills/own", file).refused(422).body();
        assertThat(refused.path("fields").findValuesAsString("field"))
                .containsExactlyInAnyOrder("[1].feel", "[1].pace");
        assertThat(coach.text("/api/drills/own")).doesNotContain("good-one");
        assertThat(coach.post("/api/drills/own", "[" + copy("disc-turn") + "]")
                        .refused(422)
                        .body()
                        .path("detail")
                        .asString())
                .contains("ships with Hodegon");
        coach.post("/api/drills/own", "{").refused(422);
        coach.post("/api/drills/own", "[" + " ".repeat(300_000) + "]").refused(413);
    }

    @Test
    void anOwnDrillIsPlannedWithAndThenStays() {
        coach.post("/api/drills/own", "[" + copy("oak-turn") + "]").expect(200);
        String student =
                coach.post("/api/students", """
                        {"name":"Perrin Oake","handedness":"right","level":"improver","ageBand":"adult","shoes":"soft",
                         "units":"metric","complaint":"","flags":[],"kit":["disc"],"week":{"mon":{"minutes":20,"place":"home"},
                         "wed":{"minutes":20,"place":"home"},"fri":{"minutes":20,"place":"home"}}}""").expect(201).body().path("id").asString();
        JsonNode lesson = coach.post("/api/students/" + student + "/lessons", null)
                .expect(201)
                .body();
        String path = "/api/lessons/" + lesson.path("id").asString();
        coach.put(path + "/focus", "{\"faults\":[\"sway\"],\"reason\":\"seen on the course\"}")
                .expect(200);
        String from = lesson.path("heldOn").asString();
        JsonNode plan = coach.put(path + "/plan", """
                        {"from":"%s","nextLesson":"%s","edits":{"locked":[],"dropped":[],
                         "chosen":[{"fault":"sway","rung":"feel","drill":"oak-turn"}],"skipped":[]}}""".formatted(
                                from, java.time.LocalDate.parse(from).plusDays(14)))
                .expect(200)
                .body();
        assertThat(plan.at("/plan/days").toString()).contains("oak-turn");
        coach.delete("/api/drills/own/oak-turn").refused(409);
        assertThat(coach.text("/api/plans/" + plan.path("id").asString() + "/calendar.ics"))
                .contains("Plate turn");
    }

    @Test
    void aDrillThatOthersComeAfterGoesOnlyWhenAsked() {
        ObjectNode second = copy("second-turn");
        second.putArray("after").add("first-turn");
        coach.post("/api/drills/own", "[" + copy("first-turn") + "," + second + "]")
                .expect(200);
        assertThat(coach.delete("/api/drills/own/first-turn")
                        .refused(409)
                        .body()
                        .path("detail")
                        .asString())
                .contains("comes after this drill");
        coach.delete("/api/drills/own/first-turn?anyway=true").expect(204);
        assertThat(JSON.readTree(coach.text("/api/drills/second-turn/file")).at("/0/after"))
                .isEmpty();
        coach.get("/api/catalogue").expect(200);
    }

    @Test
    void theLimitsHoldOverSeveralFilesAndWithinADrill() {
        for (int from = 0; from < 200; from += 40)
            coach.post("/api/drills/own", several(from, 40)).expect(200);
        coach.post("/api/drills/own", several(200, 1)).refused(422);
        coach.post("/api/drills/own", several(0, 1)).expect(200);
        coach.get("/api/catalogue").expect(200);
        coach.delete("/api/drills/own/turn-0").expect(204);
        ObjectNode endless = copy("turn-0");
        ArrayNode press = ((ObjectNode) endless.path("diagram")).putArray("press");
        for (int i = 0; i < 2000; i++) press.add("trail-inner");
        coach.post("/api/drills/own", "[" + endless + "]").refused(422);
        coach.get("/api/catalogue").expect(200);
    }

    private String several(int from, int count) {
        StringBuilder file = new StringBuilder("[");
        for (int i = from; i < from + count; i++)
            file.append(i == from ? "" : ",").append(copy("turn-" + i));
        return file.append("]").toString();
    }

    @Test
    void anotherCoachDoesNotSeeIt(Client other) {
        coach.post("/api/drills/own", "[" + copy("plate-turn") + "]").expect(200);
        other.coach();
        assertThat(other.get("/api/catalogue").expect(200).body().path("drills").has("plate-turn"))
                .isFalse();
        other.get("/api/drills/plate-turn/file").refused(404);
        assertThat(other.text("/api/drills/schema")).contains("json-schema.org");
    }
}
