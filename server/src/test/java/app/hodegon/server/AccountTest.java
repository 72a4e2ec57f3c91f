package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Passwords changed and forgotten, and where one is signed in. */
@OwnServer
@ExtendWith(RunningServer.class)
class AccountTest {

    private static final String PASSWORD = "{\"password\":\"%s\"}";

    private static String change(String current, String next) {
        return "{\"current\":\"%s\",\"next\":\"%s\"}".formatted(current, next);
    }

    @Test
    void aChangedPasswordSignsOutEverywhereElse(Client here, Client there) {
        here.signIn("petra@demo.example", "demo-student");
        there.signIn("petra@demo.example", "demo-student");
        assertThat(here.get("/api/account").expect(200).body().path("signedIn")).hasSize(2);
        here.put("/api/account/password", change("wrong", "another-word")).refused(422);
        here.put("/api/account/password", change("demo-student", "short")).refused(400);
        here.put("/api/account/password", change("demo-student", "another-word"))
                .expect(204);
        here.get("/api/me").expect(200);
        there.get("/api/me").refused(401);
        there.signIn("petra@demo.example", "another-word");

        JsonNode signedIn = here.get("/api/account").expect(200).body().path("signedIn");
        assertThat(signedIn.findValuesAsString("browser")).containsOnly("A computer");
        String other = signedIn.valueStream()
                .filter(s -> !s.path("here").asBoolean())
                .findFirst()
                .orElseThrow()
                .path("id")
                .asString();
        here.delete("/api/account/sessions/" + other).expect(204);
        there.get("/api/me").refused(401);
        there.signIn("petra@demo.example", "another-word");
        here.delete("/api/account/sessions").expect(204);
        there.get("/api/me").refused(401);
        here.get("/api/me").expect(200);
        here.put("/api/account/password", change("another-word", "demo-student"))
                .expect(204);
    }

    @Test
    void aStudentWhoLostThePasswordGetsALinkFromTheCoach(Client coach, Client student, Client other) {
        coach.coach();
        String id = coach.student("Bram Ellery");
        student.student();
        String token = coach.post("/api/students/" + id + "/password-link", null)
                .expect(201)
                .body()
                .path("token")
                .asString();
        other.signIn("second@demo.example", "demo-coach")
                .post("/api/students/" + id + "/password-link", null)
                .refused(404);
        Client phone = other.fresh();
        phone.get("/api/session").expect(200);
        assertThat(phone.get("/api/password-links/" + token)
                        .expect(200)
                        .body()
                        .path("name")
                        .asString())
                .isEqualTo("Bram Ellery");
        phone.post("/api/password-links/" + token, PASSWORD.formatted("short")).refused(400);
        phone.post("/api/password-links/" + token, PASSWORD.formatted("demo-student"))
                .expect(200);
        phone.get("/api/me").expect(200);
        student.get("/api/me").refused(401);
        phone.get("/api/session");
        phone.post("/api/password-links/" + token, PASSWORD.formatted("again-and-again"))
                .refused(404);
        phone.get("/api/password-links/none").refused(404);
    }

    @Test
    void aCoachWhoLostThePasswordUsesAPrintedCodeOnce(Client coach) {
        coach.coach();
        coach.post("/api/account/codes", "{\"current\":\"wrong\"}").refused(422);
        List<String> codes = coach.post("/api/account/codes", "{\"current\":\"demo-coach\"}")
                .expect(200)
                .body()
                .path("codes")
                .valueStream()
                .map(JsonNode::asString)
                .toList();
        assertThat(codes).hasSize(8).doesNotHaveDuplicates().allMatch(c -> c.matches("[A-Z2-9]{5}-[A-Z2-9]{5}"));
        Client lost = coach.fresh();
        lost.get("/api/session").expect(200);
        String typed = codes.get(3).toLowerCase().replace("-", " ");
        String entry = "{\"email\":\"coach@demo.example\",\"code\":\"%s\",\"password\":\"demo-coach\"}";
        Client.Answer wrong = lost.post("/api/forgotten-password", entry.formatted("AAAAA-AAAAA"));
        assertThat(wrong.refused(401).body().path("detail").asString()).isEqualTo("E-mail and password do not match.");
        lost.post("/api/forgotten-password", entry.formatted(typed)).expect(200);
        assertThat(lost.get("/api/account").expect(200).body().path("codesLeft").asInt())
                .isEqualTo(7);
        coach.get("/api/students").refused(401);
        Client again = coach.fresh();
        again.get("/api/session").expect(200);
        again.post("/api/forgotten-password", entry.formatted(typed)).refused(401);
    }

    @Test
    void whoGuessesHasToWaitAndTheKnownBrowserDoesNot(Client coach, Client guesser) {
        coach.signIn("second@demo.example", "demo-coach");
        coach.delete("/api/session").expect(204);
        guesser.get("/api/session").expect(200);
        String wrong = "{\"email\":\"second@demo.example\",\"password\":\"wrong-word\"}";
        Client.Answer answer;
        int tries = 0;
        do answer = guesser.post("/api/session", wrong);
        while (answer.status() == 401 && ++tries < 50);
        answer.refused(429);
        assertThat(answer.body().path("detail").asString()).contains("Try again in");
        assertThat(answer.header("Retry-After")).isPresent();
        coach.signIn("second@demo.example", "demo-coach");
    }

    @Test
    void signingInBringsAFreshToken(Client client) {
        client.get("/api/session").expect(200);
        String before = client.token();
        client.coach();
        assertThat(client.token()).isNotEqualTo(before);
    }
}
