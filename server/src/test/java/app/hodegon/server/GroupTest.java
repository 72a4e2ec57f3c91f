package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** One plan's drills and days for several students, each fitted by the rules to the one student. */
@ExtendWith(RunningServer.class)
class GroupTest {

    private Client coach;
    private Begun first;

    @BeforeEach
    void aPlan(Client client) {
        coach = client.coach();
        first = Begun.swayer(coach, "improver", "", 20, 60, "range");
        first.draft(coach);
    }

    private Client.Answer also(String student, boolean sameDays) {
        return coach.post(first.lesson() + "/plan/also/" + student, "{\"sameDays\":%b}".formatted(sameDays));
    }

    private String student(String flags, String week) {
        return coach.post("/api/students", """
                        {"name":"Corin Vale","handedness":"left","level":"beginner","ageBand":"adult","shoes":"soft",
                         "units":"metric","complaint":"","flags":[%s],"kit":["ball","disc","rod"],"week":{%s}}""".formatted(flags, week))
                .expect(201)
                .body()
                .path("id")
                .asString();
    }

    private static List<String> days(JsonNode plan) {
        return plan.at("/plan/days")
                .valueStream()
                .map(d -> d.path("date").asString())
                .toList();
    }

    private JsonNode plan(String lesson) {
        return coach.get("/api/lessons/" + lesson + "/plan").expect(200).body();
    }

    @Test
    void anotherStudentGetsTheSameDrillsAndDaysFromALessonOfToday() {
        String student = student("", "\"mon\":{\"minutes\":10,\"place\":\"home\"}");
        JsonNode laid = also(student, true).expect(200).body();
        assertThat(laid.path("kept").asInt()).isEqualTo(laid.path("of").asInt()).isPositive();
        assertThat(laid.path("otherwise")).isEmpty();
        JsonNode source = coach.get(first.lesson() + "/plan").body();
        JsonNode plan = plan(laid.path("lesson").asString());
        assertThat(plan.path("assigned").asBoolean()).as("a draft first").isFalse();
        assertThat(days(plan)).containsAll(days(source).subList(1, days(source).size()));
        assertThat(plan.path("nextLesson").asString())
                .isEqualTo(first.today().plusDays(15).toString());
        assertThat(coach.get("/api/lessons/" + laid.path("lesson").asString())
                        .body()
                        .path("focusReason")
                        .asString())
                .doesNotContain("Isolde");

        JsonNode own = also(student, false).expect(200).body();
        assertThat(own.path("lesson").asString())
                .as("the lesson of today goes on")
                .isEqualTo(laid.path("lesson").asString());
        assertThat(plan(own.path("lesson").asString()).at("/plan/days").size()).isLessThanOrEqualTo(2);
    }

    @Test
    void whatAStudentMayNotDoIsReplacedAndSaid() {
        String route =
                coach.get(first.lesson() + "/plan").body().at("/plan/route").toString();
        JsonNode catalogue = coach.get("/api/catalogue").body();
        String joint = catalogue
                .path("drills")
                .valueStream()
                .filter(d -> route.contains("\"" + d.path("id").asString() + "\""))
                .flatMap(d -> d.path("neverWith").valueStream())
                .map(JsonNode::asString)
                .findFirst()
                .orElse("knee");
        String student = student("\"" + joint + "\"", "\"mon\":{\"minutes\":30,\"place\":\"range\"}");
        JsonNode laid = also(student, true).expect(200).body();
        int of = laid.path("of").asInt();
        assertThat(laid.path("kept").asInt() + laid.path("otherwise").size()).isEqualTo(of);
        for (JsonNode step : plan(laid.path("lesson").asString()).at("/plan/route")) {
            assertThat(catalogue
                            .at("/drills/" + step.path("drill").asString() + "/neverWith")
                            .valueStream()
                            .map(JsonNode::asString))
                    .doesNotContain(joint);
        }
    }

    @Test
    void whoWorksOnSomethingElseTodayOrIsAnothersStudentIsLeftAlone() {
        String student = student("", "\"mon\":{\"minutes\":10,\"place\":\"home\"}");
        String lesson = coach.post("/api/students/" + student + "/lessons", null)
                .expect(201)
                .body()
                .path("id")
                .asString();
        coach.put("/api/lessons/" + lesson + "/focus", "{\"faults\":[\"early-extension\"],\"reason\":\"seen\"}")
                .expect(200);
        assertThat(also(student, true).refused(409).body().path("detail").asString())
                .isEqualTo("Works on something else today: early extension.");
        coach.get("/api/lessons/" + lesson + "/plan").refused(404);
        Client other = coach.fresh().signIn("second@demo.example", "demo-coach");
        String foreign = other.get("/api/students").body().at("/0/id").asString();
        also(foreign, true).refused(404);
        other.post(first.lesson() + "/plan/also/" + foreign, "{\"sameDays\":true}")
                .refused(404);
    }
}
