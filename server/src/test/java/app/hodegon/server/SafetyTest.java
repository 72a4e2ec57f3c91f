package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Who may see what, and what happens to requests that make no sense. */
@ExtendWith(RunningServer.class)
class SafetyTest {

    private static final String NOBODY = "00000000-0000-0000-0000-000000000000";

    @Test
    void wrongPasswordIsRefusedWithoutSayingWhichPartWasWrong(Client client) {
        client.get("/api/session").expect(200);
        String unknown = "{\"email\":\"nobody@demo.example\",\"password\":\"demo-coach\"}";
        String wrong = "{\"email\":\"coach@demo.example\",\"password\":\"wrong\"}";
        assertThat(client.post("/api/session", unknown).refused(401).body())
                .isEqualTo(client.post("/api/session", wrong).refused(401).body());
    }

    @Test
    void writesNeedTheToken(Client client) {
        client.post("/api/session", "{\"email\":\"coach@demo.example\",\"password\":\"demo-coach\"}")
                .refused(403);
    }

    /** Two tabs of one browser, in which one after the other signed in. */
    @Test
    void aPageDoesNothingUnderAnothersSession(Client client) {
        String petra = client.signIn("petra@demo.example", "demo-student")
                .get("/api/session")
                .body()
                .at("/account/id")
                .asString();
        String round = "/api/me/rounds/" + UUID.randomUUID();
        String played =
                "{\"day\":\"%s\",\"thought\":5,\"held\":3,\"cost\":\"tee\",\"edition\":1}".formatted(LocalDate.now());
        client.pageOf(petra).get("/api/me").expect(200);
        client.student();
        assertThat(client.put(round, played)
                        .refused(403)
                        .body()
                        .path("otherAccount")
                        .asBoolean())
                .isTrue();
        client.get("/api/me").refused(403);
        client.get("/api/session").expect(200);
        client.pageOf(null).get("/api/me").expect(200);
    }

    @Test
    void rolesKeepToTheirSide(Client client) {
        client.get("/api/students").refused(401);
        client.student().get("/api/students").refused(403);
        client.get("/api/me").expect(200);
        client.coach().get("/api/me").refused(403);
    }

    @Test
    void aCoachSeesNoOtherCoachsStudents(Client first, Client second) {
        String other = second.signIn("second@demo.example", "demo-coach")
                .get("/api/students")
                .expect(200)
                .body()
                .get(0)
                .path("id")
                .asString();
        first.coach();
        first.get("/api/students/" + other).refused(404);
        first.get("/api/students/" + other + "/thread").refused(404);
        first.post("/api/students/" + other + "/lessons", null).refused(404);
        first.get("/api/students/" + other + "/record").refused(404);
        first.get("/api/students/" + other + "/bay.csv").refused(404);
        JsonNode knots = second.get("/api/students/" + other + "/thread")
                .expect(200)
                .body()
                .path("knots");
        String lesson = knots.get(0).path("lessonId").asString();
        first.get("/api/students/" + other + "/compare?first=" + lesson + "&second=" + lesson)
                .refused(404);
        first.get("/api/lessons/" + lesson + "/shot-files").refused(404);
        first.post("/api/lessons/" + lesson + "/shot-files/look", "{\"text\":\"Carry\\n100\"}")
                .refused(404);
        first.put(
                        "/api/lessons/" + lesson + "/proposal",
                        "{\"proposed\":\"go-on\",\"answer\":\"taken\",\"instead\":null,\"reason\":\"\"}")
                .refused(404);
        first.delete("/api/lessons/" + lesson + "/proposal").refused(404);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/api/students/%s",
                "/api/lessons/%s",
                "/api/lessons/%s/plan",
                "/api/lessons/%s/progress",
                "/api/lessons/%s/shot-files",
                "/api/students/%s/record",
                "/api/students/%s/record.zip",
                "/api/students/%s/bay.csv"
            })
    void unknownIdsAreNotFoundAndNoIdsAreBadRequests(String path, Client client) {
        client.coach().get(path.formatted(NOBODY)).refused(404);
        client.get(path.formatted("7")).refused(400);
    }

    @Test
    void whatIsTooLargeTooDeepOrNoJsonIsRefused(Client client) {
        client.coach();
        client.post("/api/diagnosis", "{\"signs\":{\"x\":\"" + "y".repeat(300_000) + "\"}}")
                .refused(413);
        client.post("/api/diagnosis", "[".repeat(20_000)).refused(400);
        client.post("/api/diagnosis", "{\"signs\":" + "{\"a\":".repeat(2000) + "1" + "}".repeat(2001))
                .refused(400);
        client.post("/api/diagnosis", "{not json").refused(400);
        client.post("/api/diagnosis", "").refused(400);
        client.get("/api/no-such-thing").refused(404);
        client.delete("/api/diagnosis").refused(405);
    }

    @Test
    void refusalsNameTheField(Client client) {
        JsonNode problem = client.coach()
                .post("/api/students", "{\"name\":\"\",\"handedness\":\"right\"}")
                .refused(400)
                .body();
        assertThat(problem.path("fields").findValuesAsString("field")).contains("name", "level", "week");
    }

    @Test
    void aStudentsPracticeCannotBeWrittenByAnotherOrForAnotherPlan(Client client) {
        client.student();
        client.put("/api/me/practice/" + NOBODY, """
                        {"planId":"%s","day":"2026-12-01","edition":1,"blocks":[],"balls":{},"note":"","finished":false}""".formatted(NOBODY)).refused(404);
    }
}
