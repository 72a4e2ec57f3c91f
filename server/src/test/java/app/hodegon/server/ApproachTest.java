package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningServer.class)
class ApproachTest {

    private static final String DEFAULTS = "{\"answers\":{},\"repeatability\":[]}";

    private Client coach;
    private String student;

    @BeforeEach
    void signIn(Client client) {
        coach = client.coach();
        student = "/api/students/"
                + coach.post("/api/students", """
                        {"name":"Odile","handedness":"right","level":"club","ageBand":"adult","shoes":"soft",
                         "units":"metric","complaint":"","flags":[],"kit":[],"week":{}}""").expect(201).body().path("id").asString();
    }

    @AfterEach
    void putBack() {
        coach.put("/api/approach", DEFAULTS).expect(200);
    }

    private JsonNode beginLesson() {
        return coach.post(student + "/lessons", null).expect(201).body();
    }

    @Test
    void aCoachsAnswersHoldForEveryStudentButTheExceptions() {
        coach.put(
                        "/api/approach",
                        "{\"answers\":{\"pressure\":\"centred\",\"trail-heel\":\"release-up\"},\"repeatability\":[]}")
                .expect(200);
        assertThat(beginLesson().at("/entry/approach/pressure").asString()).isEqualTo("centred");
        JsonNode exceptions = coach.put(student + "/approach", "{\"exceptions\":{\"pressure\":\"full-load\"}}")
                .expect(200)
                .body();
        assertThat(exceptions.at("/coach/pressure").asString()).isEqualTo("centred");
        JsonNode lesson = beginLesson();
        assertThat(lesson.at("/entry/approach/pressure").asString()).isEqualTo("full-load");
        assertThat(lesson.at("/entry/approach/trail-heel").asString()).isEqualTo("release-up");
    }

    @Test
    void ownRepeatabilitiesCountInTheDiagnosis() {
        String seen =
                "{\"measures\":[{\"id\":\"trail-share\",\"at\":\"arm-down\",\"value\":62,\"source\":\"seen\",\"swings\":1}]}";
        double assumed = lateRecentre(seen);
        JsonNode set = coach.put(
                        "/api/approach",
                        "{\"answers\":{},\"repeatability\":[{\"quantity\":\"share\",\"source\":\"seen\",\"sem\":2}]}")
                .expect(200)
                .body();
        JsonNode share = set.path("repeatability")
                .valueStream()
                .filter(r -> r.path("quantity").asString().equals("share")
                        && r.path("source").asString().equals("seen"))
                .findFirst()
                .orElseThrow();
        assertThat(share.path("sem").asDouble()).isEqualTo(2);
        assertThat(share.path("assumed").asDouble()).isEqualTo(8);
        assertThat(lateRecentre(seen)).isGreaterThan(assumed);
    }

    private double lateRecentre(String seen) {
        return coach.post("/api/diagnosis", seen)
                .expect(200)
                .body()
                .path("faults")
                .valueStream()
                .filter(f -> f.path("id").asString().equals("late-recentre"))
                .findFirst()
                .orElseThrow()
                .path("probability")
                .asDouble();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"answers\":{\"pressure\":\"sideways\"},\"repeatability\":[]} | 422 | sideways",
                "{\"answers\":{\"hat\":\"on\"},\"repeatability\":[]} | 422 | hat",
                "{\"answers\":{}} | 400 | repeatability",
                "{\"answers\":{},\"repeatability\":[null]} | 400 | repeatability",
                "{\"answers\":{},\"repeatability\":[{\"quantity\":\"share\",\"source\":\"seen\",\"sem\":900}]} | 422 | between",
                "{\"answers\":{},\"repeatability\":[{\"quantity\":\"travel\",\"source\":\"plate\",\"sem\":1}]} | 422 | no source",
                "{\"answers\":{},\"repeatability\":[{\"quantity\":\"luck\",\"source\":\"seen\",\"sem\":1}]} | 422 | luck"
            })
    void refusesWhatCannotBe(String body, int status, String because) {
        assertThat(coach.put("/api/approach", body).refused(status).body().toString())
                .contains(because);
        assertThat(coach.get("/api/approach")
                        .expect(200)
                        .body()
                        .at("/answers/pressure")
                        .asString())
                .isEqualTo("early-return");
    }

    @Test
    void anotherCoachsStudentAndAStudentAreKeptOut(Client client) {
        Client second = client.signIn("second@demo.example", "demo-coach");
        second.get(student + "/approach").refused(404);
        second.put(student + "/approach", "{\"exceptions\":{}}").refused(404);
        Client bram = client.signIn("bram@demo.example", "demo-student");
        bram.get("/api/approach").refused(403);
    }
}
