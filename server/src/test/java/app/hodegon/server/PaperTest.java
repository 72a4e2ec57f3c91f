package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** A plan on paper comes back with ticks. */
@ExtendWith(RunningServer.class)
class PaperTest {

    private Client coach;
    private String student;
    private String planId;
    private String paper;
    private LocalDate today;

    @BeforeEach
    void handOver(Client client) {
        coach = client.coach();
        Begun begun = Begun.swayer(coach, "improver", "\"knee\"", 20, 20, "home");
        student = begun.student();
        today = begun.today();
        planId = begun.draft(coach);
        paper = "/api/plans/" + planId + "/paper";
    }

    private JsonNode assigned() {
        coach.post("/api/plans/" + planId + "/assignment", null).expect(200);
        return coach.get(paper).expect(200).body().get(0).at("/day/blocks");
    }

    private static String ticks(int block, int count, String pain) {
        return "{\"ticks\":{\"%d\":%d},\"feel\":5,\"pain\":%s}".formatted(block, count, pain);
    }

    private static String ticks(int block, int count) {
        return ticks(block, count, "null");
    }

    @Test
    void ticksBecomeASessionOnceHoweverOftenTheyAreSent() {
        JsonNode blocks = assigned();
        int reps = blocks.at("/0/repsPerSet").asInt();
        coach.put(paper + "/" + today, ticks(0, 0)).expect(204);
        coach.put(paper + "/" + today, ticks(0, 1)).expect(204);

        JsonNode sessions = coach.get("/api/students/" + student + "/practice")
                .expect(200)
                .body()
                .path("sessions");
        assertThat(sessions).hasSize(1);
        assertThat(sessions.at("/0/blocks/0/marks").asString()).isEqualTo("o".repeat(reps));
        assertThat(sessions.at("/0/feel").asInt()).isEqualTo(5);
        assertThat(coach.get(paper).expect(200).body().at("/0/entry/ticks/0").asInt())
                .isEqualTo(1);

        coach.delete(paper + "/" + today).expect(204);
        assertThat(coach.get(paper).expect(200).body().at("/0/entry").isNull()).isTrue();
    }

    @Test
    void painOnPaperStopsTheDrillAsOnThePhone() {
        JsonNode blocks = assigned();
        String drill = blocks.at("/0/drill").asString();
        String pain = "{\"where\":\"knee\",\"score\":1,\"drill\":\"%s\"}".formatted(drill);
        coach.put(paper + "/" + today, ticks(0, 1, pain)).expect(204);
        assertThat(coach.get("/api/students/" + student + "/practice")
                        .expect(200)
                        .body()
                        .at("/stopped/0")
                        .asString())
                .isEqualTo(drill);
        coach.put(paper + "/" + today, ticks(0, 1)).expect(204);
        assertThat(coach.get("/api/students/" + student + "/practice")
                        .expect(200)
                        .body()
                        .path("stopped"))
                .as("a slip taken back")
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"0, 0, 99, ticks.0", "0, 0, -1, ticks.0", "0, 19, 1, ticks.19", "1, 0, 1, date", "40, 0, 1, date"})
    void whatCannotBeIsRefusedAndNamed(int daysOn, int block, int count, String field) {
        assigned();
        assertThat(coach.put(paper + "/" + today.plusDays(daysOn), ticks(block, count))
                        .refused(422)
                        .body()
                        .toString())
                .contains(field);
    }

    @Test
    void aDraftHasNoPaperYet() {
        coach.put(paper + "/" + today, ticks(0, 1)).refused(409);
    }

    @Test
    void anotherCoachSeesNoPaper(Client other) {
        assigned();
        other.signIn("second@demo.example", "demo-coach").get(paper).refused(404);
        other.delete(paper + "/" + today).refused(404);
    }
}
