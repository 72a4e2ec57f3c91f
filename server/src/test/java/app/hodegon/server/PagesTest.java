package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** The interface's own files and addresses, and the vocabulary. */
@ExtendWith(RunningServer.class)
class PagesTest {

    @ParameterizedTest
    @ValueSource(strings = {"/", "/students", "/lessons/7/plan", "/welcome/some-token", "/sign-in"})
    void everyAddressOfTheInterfaceIsThePage(String path, Client client) {
        assertThat(client.get(path).expect(200).contentType()).startsWith("text/html");
    }

    @ParameterizedTest
    @ValueSource(strings = {"/assets/none.js", "/none.png", "/robots.txt"})
    void filesThatAreNotThereAreNotThePage(String path, Client client) {
        client.get(path).expect(404);
    }

    @Test
    void everyAnswerTellsTheBrowserWhatItMayDo(Client client) {
        for (String path : new String[] {"/", "/api/session", "/health"}) {
            Client.Answer answer = client.get(path);
            assertThat(answer.header("Content-Security-Policy").orElse("")).contains("default-src 'self'");
            assertThat(answer.header("Referrer-Policy")).contains("no-referrer");
            assertThat(answer.header("Permissions-Policy").orElse(""))
                    .contains("camera=(self)", "microphone=(self)", "geolocation=()");
            assertThat(answer.header("X-Content-Type-Options")).contains("nosniff");
        }
    }

    @Test
    void theVocabularyIsSaidForTheHand(Client client) {
        client.get("/api/catalogue").refused(401);
        client.student();
        JsonNode right = client.get("/api/catalogue?hand=right").expect(200).body();
        JsonNode left = client.get("/api/catalogue?hand=left").expect(200).body();
        assertThat(right.toString())
                .doesNotContain("{lead}")
                .doesNotContain("{trail}")
                .doesNotContain("{away}");
        assertThat(right.at("/drills/disc-turn/action").asString()).contains("clockwise");
        assertThat(left.at("/drills/disc-turn/action").asString()).contains("anticlockwise");
        assertThat(right.path("faults")).hasSize(18);
        assertThat(right.path("checkpoints")).hasSize(8);
        assertThat(right.path("drills").size()).isGreaterThanOrEqualTo(18);
        client.get("/api/catalogue?hand=both").refused(422);
    }

    @Test
    void thePhoneKnowsEveryDayOfThePlan(Client client) {
        client.signIn("petra@demo.example", "demo-student");
        JsonNode me = client.get("/api/me").expect(200).body();
        assertThat(me.at("/plan/plan/days")).isNotEmpty();
        assertThat(me.path("sessions")).isNotEmpty();
        assertThat(me.path("why").get(0).asString()).isNotBlank();
    }
}
