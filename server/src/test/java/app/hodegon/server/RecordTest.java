package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A student's whole record: out, erased, in again. */
@OwnServer
@ExtendWith(RunningServer.class)
class RecordTest {

    private static final JsonMapper JSON = new JsonMapper();

    private static String named(Client coach, String name) {
        return coach.get("/api/students")
                .expect(200)
                .body()
                .valueStream()
                .filter(s -> s.path("name").asString().equals(name))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asString();
    }

    /** Seasons of lessons, plans and practice, as the demo has them. */
    @Test
    void outErasedAndInAgainItIsTheSame(Client coach, Client other, Client student) {
        coach.coach();
        student.student();
        String id = named(coach, "Bram Ellery");
        JsonNode out = coach.get("/api/students/" + id + "/record").expect(200).body();
        JsonNode thread =
                coach.get("/api/students/" + id + "/thread").expect(200).body();
        assertThat(out.path("practiceBlock").size()).isGreaterThan(50);
        assertThat(out.path("shot").size()).isGreaterThan(50);
        coach.post("/api/records", out.toString()).refused(409);

        coach.post("/api/students/" + id + "/erasure", "{\"name\":\"Bram\"}").refused(422);
        other.signIn("second@demo.example", "demo-coach");
        other.post("/api/students/" + id + "/erasure", "{\"name\":\"Bram Ellery\"}")
                .refused(404);
        coach.post("/api/students/" + id + "/erasure", "{\"name\":\"Bram Ellery\"}")
                .expect(204);
        coach.get("/api/students/" + id).refused(404);
        coach.get("/api/students/" + id + "/record").refused(404);
        student.get("/api/me").refused(404);
        other.get("/api/session").expect(200);
        other.post("/api/session", "{\"email\":\"bram@demo.example\",\"password\":\"demo-student\"}")
                .refused(401);
        assertThat(coach.get("/api/records/erasures").expect(200).body()).hasSize(1);
        assertThat(coach.get("/api/day").expect(200).body().toString()).doesNotContain("Bram");

        assertThat(coach.post("/api/records", out.toString())
                        .expect(201)
                        .body()
                        .path("name")
                        .asString())
                .isEqualTo("Bram Ellery");
        assertThat(coach.get("/api/students/" + id + "/record").expect(200).body())
                .isEqualTo(out);
        assertThat(coach.get("/api/students/" + id + "/thread").expect(200).body())
                .isEqualTo(thread);
        assertThat(coach.get("/api/students/" + id)
                        .expect(200)
                        .body()
                        .path("signedUp")
                        .asBoolean())
                .as("an account is not part of the record")
                .isFalse();
    }

    @ParameterizedTest
    @CsvSource({
        "student,     playingLevel, wizard",
        "student,     name,         ",
        "lesson,      heldOn,       soon",
        "lessonReading, swings,     many",
        "lessonReading, lessonId,   00000000-0000-0000-0000-000000000001",
        "practiceBlock, rung,       attic",
        "proposalAnswer, proposed,  luck",
        "student,     units,        furlongs",
        "planDocument, planId,      00000000-0000-0000-0000-000000000001"
    })
    void aRecordThatCannotBeIsRefusedAndNothingOfItIsKept(String section, String field, String value, Client coach) {
        coach.signIn("second@demo.example", "demo-coach");
        String id = coach.get("/api/students").expect(200).body().at("/0/id").asString();
        ObjectNode out = (ObjectNode)
                coach.get("/api/students/" + id + "/record").expect(200).body();
        ObjectNode mine =
                (ObjectNode) JSON.readTree(out.toString().replace(id, "99999999-0000-0000-0000-000000000000"));
        // New ids for everything, as if it came from elsewhere.
        String elsewhere = mine.toString();
        for (String table : List.of("lesson", "plan", "practiceSession", "shotFile", "sessionAnswer")) {
            for (JsonNode row : mine.path(table)) {
                String old = row.path("id").asString();
                elsewhere = elsewhere.replace(old, "9" + old.substring(1, 8) + "-9" + old.substring(10));
            }
        }
        ObjectNode broken = (ObjectNode) JSON.readTree(elsewhere);
        ArrayNode rows = (ArrayNode) broken.path(section);
        ((ObjectNode) rows.get(0)).put(field, value);
        coach.post("/api/records", broken.toString()).refused(422);
        coach.get("/api/students/99999999-0000-0000-0000-000000000000").refused(404);
    }

    @Test
    void theSchemaDescribesWhatGoesOut(Client coach) {
        coach.coach();
        JsonNode schema = coach.get("/api/records/schema").expect(200).body();
        String id = named(coach, "Petra Lund");
        JsonNode out = coach.get("/api/students/" + id + "/record").expect(200).body();
        assertThat(schema.path("properties").propertyNames()).containsExactlyInAnyOrderElementsOf(out.propertyNames());
        for (Map.Entry<String, JsonNode> section : out.properties()) {
            JsonNode fields = schema.at("/properties/" + section.getKey() + "/items/properties");
            if (!section.getValue().isArray()
                    || section.getValue().isEmpty()
                    || section.getKey().equals("drills")) continue;
            assertThat(fields.propertyNames())
                    .containsExactlyInAnyOrderElementsOf(
                            section.getValue().get(0).propertyNames());
        }
        coach.post("/api/records", "{\"kind\":\"something\"}").refused(422);
        coach.post("/api/records", "[]").refused(422);
        ((ObjectNode) out).remove("drills");
        coach.post("/api/records", out.toString()).refused(422);
    }
}
