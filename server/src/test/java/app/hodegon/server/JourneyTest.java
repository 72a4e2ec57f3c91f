package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The main job over HTTP: from a new student to the next lesson's verdict. */
@ExtendWith(RunningServer.class)
class JourneyTest {

    private static final String STUDENT = """
            {"name":"Ferris Dunmore","handedness":"right","level":"improver","ageBand":"adult","shoes":"soft",
             "units":"metric","complaint":"Slices","flags":[],"kit":["ball","disc"],"week":{
             "mon":{"minutes":20,"place":"home"},"tue":{"minutes":20,"place":"home"},"wed":{"minutes":20,"place":"home"},
             "thu":{"minutes":20,"place":"home"},"fri":{"minutes":20,"place":"home"},"sat":{"minutes":60,"place":"range"},
             "sun":{"minutes":20,"place":"home"}}}""";

    private static String entry(int slices) {
        return """
                {"approach":{"pressure":"early-return"},
                 "signs":{"pelvis-drifts-back":"yes","little-hip-turn":"yes","trail-outer-edge-loaded":"yes"},
                 "before":{"readings":[{"id":"pelvis-drift","at":"top","value":9,"source":"clip","swings":3}],
                           "shots":{"flight":{"slice":%d,"straight":%d},"strike":{},"divot":{}}},
                 "after":{"readings":[],"shots":{"flight":{},"strike":{},"divot":{}}},"note":"windy"}""".formatted(slices, 20 - slices);
    }

    @Test
    void fromTheFirstBallToTheNextVerdict(Client coach, Client phone) {
        coach.coach();
        String student = coach.post("/api/students", STUDENT)
                .expect(201)
                .body()
                .path("id")
                .asString();
        JsonNode lesson = coach.post("/api/students/" + student + "/lessons", null)
                .expect(201)
                .body();
        String id = lesson.path("id").asString();

        JsonNode seen = coach.put("/api/lessons/" + id + "/entry", entry(16))
                .expect(200)
                .body();
        assertThat(seen.at("/diagnosis/focus/0").asString()).isEqualTo("sway");
        assertThat(coach.get("/api/lessons/" + id).expect(200).body().path("entry"))
                .isEqualTo(seen.path("entry"));

        LocalDate today = LocalDate.parse(lesson.path("heldOn").asString());
        String dates = "{\"from\":\"%s\",\"nextLesson\":\"%s\"}".formatted(today, today.plusDays(14));
        coach.put("/api/lessons/" + id + "/plan", dates).refused(409);
        coach.put("/api/lessons/" + id + "/focus", "{\"faults\":[\"toe-fall\"],\"reason\":\"\"}")
                .refused(422);
        coach.put("/api/lessons/" + id + "/focus", "{\"faults\":[\"sway\"],\"reason\":\"\"}")
                .expect(200);
        coach.delete("/api/lessons/" + id).refused(409);
        JsonNode plan =
                coach.put("/api/lessons/" + id + "/plan", dates).expect(200).body();
        assertThat(plan.at("/plan/route/1/chance").asDouble()).isBetween(0.0, 1.0);
        String planId = plan.path("id").asString();
        coach.post("/api/plans/" + planId + "/assignment", null).expect(200);

        signUp(coach, phone, student);
        PhoneEntry day = new PhoneEntry(phone.get("/api/me").expect(200).body(), today.toString());
        assertThat(day.planId()).isEqualTo(planId);
        practise(phone, day);

        JsonNode practice =
                coach.get("/api/students/" + student + "/practice").expect(200).body();
        assertThat(practice.path("sessions")).hasSize(1);
        assertThat(practice.at("/sessions/0/note").asString()).isEqualTo("good evening");
        assertThat(practice.path("stopped")).hasSize(1);
        String stopped = practice.at("/stopped/0").asString();
        coach.delete("/api/students/" + student + "/stops/" + stopped).expect(204);
        coach.delete("/api/students/" + student + "/stops/" + stopped).refused(404);

        String next = coach.post("/api/students/" + student + "/lessons", null)
                .expect(201)
                .body()
                .path("id")
                .asString();
        coach.put("/api/lessons/" + next + "/entry", entry(4)).expect(200);
        JsonNode progress =
                coach.get("/api/lessons/" + next + "/progress").expect(200).body();
        assertThat(progress.at("/done/plannedDays").asInt())
                .as("a day done counts as due")
                .isEqualTo(1);
        assertThat(progress.at("/done/doneDays").asInt()).isEqualTo(1);
        assertThat(progress.path("promised")).as("what was tried").hasSize(1);
        assertThat(progress.at("/promised/0/standing").asString()).isEqualTo("stay");
        assertThat(progress.at("/promised/0/checks/0").asInt()).isEqualTo(9);
        JsonNode slice = progress.path("changes")
                .valueStream()
                .filter(c -> c.path("id").asString().equals("flight:slice"))
                .findFirst()
                .orElseThrow();
        assertThat(slice.path("then").asString()).isEqualTo("16 of 20");
        assertThat(slice.at("/comparison/verdict").asString()).isEqualTo("better");
        assertThat(slice.path("gain").isNull())
                .as("nothing was measured after it")
                .isTrue();
        // The slice stands at the end of the chain that begins with the sway, which was worked on.
        assertThat(progress.at("/proposal/kind/id").asString()).isEqualTo("go-on");
        assertThat(progress.at("/proposal/because/0").asString())
                .startsWith("Better and kept: ")
                .contains("slice");
        assertThat(coach.get("/api/students/" + student + "/thread")
                        .expect(200)
                        .body()
                        .path("knots"))
                .hasSize(2);
    }

    private static void signUp(Client coach, Client phone, String student) {
        String token = coach.post("/api/students/" + student + "/invitation", null)
                .expect(201)
                .body()
                .path("token")
                .asString();
        phone.get("/api/session").expect(200);
        assertThat(phone.get("/api/invitations/" + token)
                        .expect(200)
                        .body()
                        .path("student")
                        .asString())
                .isEqualTo("Ferris Dunmore");
        phone.post("/api/invitations/" + token, "{\"email\":\"f@phone.example\",\"password\":\"short\"}")
                .refused(400);
        phone.post("/api/invitations/" + token, "{\"email\":\"f@phone.example\",\"password\":\"long-enough\"}")
                .expect(201);
        phone.get("/api/session").expect(200);
        phone.post("/api/invitations/" + token, "{\"email\":\"g@phone.example\",\"password\":\"long-enough\"}")
                .refused(404);
    }

    /** Sends the session twice, as a phone with a bad signal does, and an earlier state of it last. */
    private static void practise(Client phone, PhoneEntry day) {
        String session = "/api/me/practice/" + UUID.randomUUID();
        int check = day.check();
        String drill = day.blocks().at("/" + check + "/drill").asString();
        phone.put(session, day.with(3, check, "+++")).expect(200);
        String whole = day.with(
                10,
                check,
                "++++++++-+",
                "\"feel\":4,\"pain\":{\"where\":\"knee\",\"score\":4,\"drill\":\"" + drill + "\"},",
                "good evening",
                true);
        phone.put(session, whole).expect(200);
        JsonNode stored = phone.put(session, whole).expect(200).body();
        assertThat(stored.at("/rungs/0/says").asString()).startsWith("9 of 10. Once more");
        JsonNode late =
                phone.put(session, day.with(4, check, "++++")).expect(200).body();
        assertThat(late.at("/session/finished").asBoolean())
                .as("what was stored stays")
                .isTrue();
        phone.put(session, day.with(11, 99, "+")).refused(422);
        phone.put(session, day.with(11, 0, "x")).refused(422);
        phone.put(session, day.with(11, 0, "+").replace(day.date(), "2020-01-01"))
                .refused(422);
        phone.put(session, day.with(11, check, "+").replace(drill, "no-such-drill"))
                .refused(422);
    }
}
