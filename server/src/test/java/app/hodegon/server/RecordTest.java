package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A student's whole record: out, erased, in again. */
@OwnServer
@ExtendWith(RunningServer.class)
class RecordTest {

    private static final String ELSEWHERE = "99999999-0000-0000-0000-000000000000";

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
        JsonNode rungs = rungs(coach, id);
        assertThat(rungs).isNotEmpty();
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
        student.get("/api/me").refused(401);
        assertThat(student.get("/api/session")
                        .expect(200)
                        .body()
                        .path("account")
                        .isNull())
                .as("nor is the name answered")
                .isTrue();
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
        assertThat(out.at("/about/email").asString()).isEqualTo("bram@demo.example");
        assertThat(out.at("/about/accesses").isArray()).isTrue();
        JsonNode again =
                coach.get("/api/students/" + id + "/record").expect(200).body();
        assertThat(again.at("/about/email").isMissingNode())
                .as("the account is gone")
                .isTrue();
        ((ObjectNode) out).remove("about");
        ((ObjectNode) again).remove("about");
        assertThat(again).isEqualTo(out);
        assertThat(coach.get("/api/students/" + id + "/thread").expect(200).body())
                .isEqualTo(thread);
        assertThat(rungs(coach, id)).isEqualTo(rungs);
        assertThat(coach.get("/api/students/" + id)
                        .expect(200)
                        .body()
                        .path("signedUp")
                        .asBoolean())
                .as("an account is not part of the record")
                .isFalse();
    }

    @Test
    void filmsGoOutWithItAreErasedAndComeInAgain(Client coach) {
        coach.coach();
        String id = named(coach, "Petra Lund");
        JsonNode out = coach.get("/api/students/" + id + "/record").expect(200).body();
        assertThat(out.path("clipFilm").size()).isEqualTo(2);
        assertThat(out.at("/clipFilm/0/agreedBy").asString()).isEqualTo("Petra Lund");
        String film = "/api/clips/" + out.at("/clipFilm/0/clipId").asString() + "/film";
        coach.get(film).expect(200);
        coach.post("/api/students/" + id + "/erasure", "{\"name\":\"Petra Lund\"}")
                .expect(204);
        coach.get(film).refused(404);
        ObjectNode broken = (ObjectNode) JSON.readTree(out.toString());
        ((ObjectNode) broken.at("/clipFilm/0")).put("bytes", 7);
        coach.post("/api/records", broken.toString()).refused(422);
        coach.post("/api/records", out.toString()).expect(201);
        JsonNode again =
                coach.get("/api/students/" + id + "/record").expect(200).body();
        ((ObjectNode) out).remove("about");
        ((ObjectNode) again).remove("about");
        assertThat(again).isEqualTo(out);
        coach.get(film).expect(200);
    }

    private static JsonNode rungs(Client coach, String student) {
        return coach.get("/api/students/" + student + "/practice")
                .expect(200)
                .body()
                .path("rungs");
    }

    /** A record of another student, as if it came from elsewhere: new ids for everything. */
    private static ObjectNode fromElsewhere(Client coach) {
        String id = coach.get("/api/students").expect(200).body().at("/0/id").asString();
        JsonNode out = coach.get("/api/students/" + id + "/record").expect(200).body();
        String elsewhere = out.toString().replace(id, ELSEWHERE);
        for (JsonNode row : rowsWithAnId(out)) {
            elsewhere = elsewhere.replace(
                    row.path("id").asString(), UUID.randomUUID().toString());
        }
        return (ObjectNode) JSON.readTree(elsewhere);
    }

    private static List<JsonNode> rowsWithAnId(JsonNode record) {
        return record.valueStream()
                .filter(rows -> rows.isArray() && !rows.equals(record.path("drills")))
                .flatMap(JsonNode::valueStream)
                .filter(row -> row.has("id"))
                .toList();
    }

    @ParameterizedTest
    @CsvSource({
        "/days/0/date, \"9999-12-31\"",
        "/days/0/date, \"2020-01-01\"",
        "/days/0/place, \"moon\"",
        "/days/0/place, null",
        "/days/0/blocks, null",
        "/days/0/blocks/0/drill, \"no-such-drill\"",
        "/days/0/blocks/0/sets, 100000",
        "/days/0/blocks/0/repsPerSet, 0",
        "/route/0/drill, null",
        "/totals, null",
        "/kit, null",
        "/days/1/date, same"
    })
    void aPlanThatNoPlannerCouldHaveMadeIsRefused(String at, String value, Client coach) {
        coach.signIn("second@demo.example", "demo-coach");
        ObjectNode record = fromElsewhere(coach);
        JsonNode document = record.at("/planDocument/0/document");
        ObjectNode holder = (ObjectNode) document.at(at.substring(0, at.lastIndexOf('/')));
        JsonNode broken = value.equals("same") ? document.at("/days/0/date") : JSON.readTree(value);
        holder.set(at.substring(at.lastIndexOf('/') + 1), broken);
        coach.post("/api/records", record.toString()).refused(422);
        coach.get("/api/students/" + ELSEWHERE).refused(404);
    }

    @Test
    void plansToTheEndOfTimeAndControlCharactersAreRefused(Client coach) {
        coach.signIn("second@demo.example", "demo-coach");
        ObjectNode endless = fromElsewhere(coach);
        ((ObjectNode) endless.at("/plan/0")).put("nextLesson", "2099-12-31");
        coach.post("/api/records", endless.toString()).refused(422);
        ObjectNode far = fromElsewhere(coach);
        ((ObjectNode) far.at("/plan/0")).put("nextLesson", "9999-12-31");
        coach.post("/api/records", far.toString()).refused(422);
        ObjectNode odd = fromElsewhere(coach);
        ((ObjectNode) odd.at("/student/0")).put("name", "Sela\u0000Moor");
        coach.post("/api/records", odd.toString()).refused(422);
        coach.post("/api/records", "{\"kind\":\"hodegon-student-record\",\"version\":1,\"student\":[{")
                .refused(422);
        coach.post("/api/records", "[]").refused(422);
        coach.get("/api/students/" + ELSEWHERE).refused(404);
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
        ObjectNode broken = fromElsewhere(coach);
        ArrayNode rows = (ArrayNode) broken.path(section);
        ((ObjectNode) rows.get(0)).put(field, value);
        coach.post("/api/records", broken.toString()).refused(422);
        coach.get("/api/students/" + ELSEWHERE).refused(404);
    }

    @Test
    void aGolferAsTallAsAHouseAndSetsWithoutEndAreRefused(Client coach) {
        coach.signIn("second@demo.example", "demo-coach");
        for (double height : new double[] {12, 900}) {
            ObjectNode tall = fromElsewhere(coach);
            ((ObjectNode) tall.at("/student/0")).put("height", height);
            coach.post("/api/records", tall.toString()).refused(422);
        }
        ObjectNode odd = fromElsewhere(coach);
        ((ObjectNode) odd.at("/student/0")).put("look", "<Red>");
        coach.post("/api/records", odd.toString()).refused(422);
        ObjectNode endless = fromElsewhere(coach);
        ArrayNode blocks = (ArrayNode) endless.path("practiceBlock");
        ObjectNode check = ((ObjectNode) blocks.get(0)).deepCopy();
        check.put("kind", "check").put("marks", "+".repeat(10)).putNull("aside");
        for (int block = 100; block < 500; block++) {
            blocks.add(check.deepCopy().put("block", block));
        }
        coach.post("/api/records", endless.toString()).refused(422);
        coach.get("/api/students/" + ELSEWHERE).refused(404);
    }

    /** A file of an earlier version has no checks of lessons, no grounds and no forms. */
    @Test
    void aRecordOfAnEarlierVersionComesIn(Client coach) {
        coach.signIn("second@demo.example", "demo-coach");
        ObjectNode earlier = fromElsewhere(coach);
        earlier.remove("lessonCheck");
        ((ObjectNode) earlier.at("/student/0")).remove("grounds");
        earlier.path("practiceBlock").forEach(block -> ((ObjectNode) block).remove(List.of("form", "halfStep")));
        earlier.path("plan").forEach(plan -> ((ObjectNode) plan).remove(List.of("printedDrills", "givenUp")));
        coach.post("/api/records", earlier.toString()).expect(201);
        String name = coach.get("/api/students/" + ELSEWHERE)
                .expect(200)
                .body()
                .at("/profile/name")
                .asString();
        coach.post("/api/students/" + ELSEWHERE + "/erasure", "{\"name\":\"%s\"}".formatted(name))
                .expect(204);
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

    static Stream<String> beyond() {
        return Stream.of(
                "[".repeat(600) + "]".repeat(600),
                "1".repeat(1_100),
                "{\"" + "k".repeat(60_000) + "\":1}",
                "\"" + "t".repeat(4_100_000) + "\"",
                "[" + "{},".repeat(200_000) + "{}]",
                "{\"a\":");
    }

    @ParameterizedTest
    @MethodSource("beyond")
    void whatNoRecordHoldsIsRefusedInWords(String value, Client coach) {
        coach.coach();
        for (String file : List.of(
                "{\"lesson\":[{\"tries\":" + value + "}]}",
                "{\"drills\":[" + value + "]}",
                "{\"other\":" + value + "}")) {
            coach.post("/api/records", file).refused(422);
        }
    }
}
