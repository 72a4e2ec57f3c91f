package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What a coach uses first on a rung of a fault comes by itself in the next plan of every own student. */
@ExtendWith(RunningServer.class)
class FirstChoicesTest {

    private static final String FEEL = "/api/first-choices/sway/feel";

    private Client coach;
    private Begun begun;

    @BeforeEach
    void aLessonOnSway(Client client) {
        coach = client.coach();
        begun = Begun.swayer(coach, "improver", "", 20, 60, "range");
    }

    @AfterEach
    void asItWas() {
        coach.put(FEEL, "{\"drills\":[]}").expect(200);
    }

    private JsonNode feel() {
        return coach.get(begun.lesson() + "/plan")
                .expect(200)
                .body()
                .at("/plan/route")
                .valueStream()
                .filter(s -> s.path("rung").asString().equals("feel"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void itComesInTheNextPlanWithItsReasonAndLeavesTheOneBeforeAlone(Client other) {
        begun.draft(coach);
        String usual = feel().path("drill").asString();
        assertThat(usual).isNotEqualTo("rod-underfoot");
        JsonNode all = coach.put(FEEL, "{\"drills\":[\"rod-underfoot\",\"disc-turn\"]}")
                .expect(200)
                .body();
        assertThat(all).isEqualTo(coach.get("/api/first-choices").expect(200).body());
        assertThat(all.at("/0/drills/0").asString()).isEqualTo("rod-underfoot");
        JsonNode terms = coach.get(begun.lesson() + "/plan").expect(200).body().path("terms");
        assertThat(terms.path("firstChoices")).isEmpty();

        Begun next = Begun.swayer(coach, "improver", "", 20, 60, "range");
        next.draft(coach);
        begun = next;
        assertThat(feel().path("drill").asString()).isEqualTo("rod-underfoot");
        assertThat(feel().path("why").asString()).startsWith("your first choice here");
        coach.put(FEEL, "{\"drills\":[]}").expect(200);
        assertThat(coach.get("/api/first-choices").expect(200).body()).isEmpty();
        assertThat(coach.get(begun.lesson() + "/plan")
                        .expect(200)
                        .body()
                        .at("/terms/firstChoices/0/drills/0")
                        .asString())
                .as("a plan goes on by what it was drafted with")
                .isEqualTo("rod-underfoot");
    }

    @Test
    void aPlanThatTheStudentHasIsNotChangedByAChoiceMadeAfterIt() {
        String plan = begun.draft(coach);
        coach.post("/api/plans/" + plan + "/assignment", null).expect(200);
        String usual = feel().path("drill").asString();
        coach.put(FEEL, "{\"drills\":[\"rod-underfoot\"]}").expect(200);
        begun.draft(coach);
        assertThat(feel().path("drill").asString()).isEqualTo(usual);
    }

    @Test
    void whatIsNotDoneThereIsRefusedInWords() {
        assertThat(coach.put(FEEL, "{\"drills\":[\"forward-ball\"]}")
                        .refused(422)
                        .body()
                        .path("detail")
                        .asString())
                .isEqualTo("Ball far forward is no drill for this fault on this rung.");
        coach.put(FEEL, "{\"drills\":[\"no-such-drill\"]}").refused(422);
        coach.put(FEEL, "{\"drills\":[\"disc-turn\",\"disc-turn\"]}").refused(422);
        coach.put(FEEL, "{}").refused(400);
        coach.put("/api/first-choices/slouch/feel", "{\"drills\":[]}").refused(422);
        assertThat(coach.get("/api/first-choices").expect(200).body()).isEmpty();
    }
}
