package app.hodegon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.CookieManager;
import java.net.CookiePolicy;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** An acknowledged rep survives a power cut. */
class DurabilityTest {

    private static final int KILLS = 4;
    private static final int REPS_PER_KILL = 2;
    private static final String QUICK_START = "--spring.main.lazy-initialization=true";
    private static final JsonMapper JSON = new JsonMapper();

    /** A signed-in client of a server that comes back on other ports. */
    private static final class Client {
        private String base;
        private final CookieManager cookies = new CookieManager(null, CookiePolicy.ACCEPT_ALL);
        private final HttpClient http =
                HttpClient.newBuilder().cookieHandler(cookies).build();

        Client(String base) throws Exception {
            this.base = base;
            send("GET", "/api/session", null);
        }

        JsonNode send(String method, String path, String json) throws IOException, InterruptedException {
            HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                    .method(method, json == null ? BodyPublishers.noBody() : BodyPublishers.ofString(json))
                    .header("Content-Type", "application/json")
                    .header("If-Match", "0");
            cookies.getCookieStore().getCookies().stream()
                    .filter(c -> c.getName().equals("XSRF-TOKEN"))
                    .map(HttpCookie::getValue)
                    .forEach(token -> request.header("X-XSRF-TOKEN", token));
            var response = http.send(request.build(), BodyHandlers.ofString());
            last = response.statusCode();
            if (last == 503) return JSON.nullNode();
            assertThat(response.statusCode()).as(path + ": " + response.body()).isBetween(200, 299);
            return response.body().isEmpty() ? JSON.nullNode() : JSON.readTree(response.body());
        }

        private int last;

        /** The same browser, and the server on another port. */
        Client at(String other) {
            base = other;
            return this;
        }

        Client signIn(String email) throws Exception {
            send("POST", "/api/session", "{\"email\":\"%s\",\"password\":\"long-enough\"}".formatted(email));
            send("GET", "/api/session", null);
            return this;
        }
    }

    @Test
    void everyAcknowledgedRepIsThereAfterBeingKilled(@TempDir Path data) throws Exception {
        Path log = data.resolve("server.log");
        String directory = "--hodegon.data=" + data;
        String planId;
        LocalDate today;
        ServerProcess server = ServerProcess.start(log, directory, QUICK_START);
        try {
            Client coach = new Client(server.base());
            JsonNode plan = planFor(coach, server.base());
            planId = plan.path("id").asString();
            today = LocalDate.parse(plan.path("from").asString());
            List<UUID> sent = new ArrayList<>();
            Client phone = new Client(server.base()).signIn("student@x.example");
            Client looking = new Client(server.base()).signIn("coach@x.example");
            for (int round = 0; round < KILLS; round++) {
                phone.at(server.base());
                for (int rep = 0; rep < REPS_PER_KILL; rep++) {
                    UUID session = UUID.randomUUID();
                    phone.send("PUT", "/api/me/practice/" + session, """
                            {"planId":"%s","day":"%s","edition":1,
                             "blocks":[{"block":0,"fault":"sway","drill":"edge-notice","rung":"feel","kind":"main",
                               "marks":"%s","noticed":["outer"],
                               "told":{"speeds":[70],"club":"wedge","balls":[{"flight":"slice","strike":"fat"}],"turns":[]}}],
                             "pain":{"where":"knee","score":5,"drill":"edge-notice"},
                             "balls":{},"note":"","finished":true}""".formatted(
                                    planId, today, "+".repeat(sent.size() + 1)));
                    sent.add(session);
                }
                server.kill();
                server = ServerProcess.start(log, directory, QUICK_START);
                // Nobody has to sign in again.
                looking.at(server.base());
                assertThat(looking.send("GET", "/api/day", null)
                                .at("/attention/0/kind")
                                .asString())
                        .as("the coach hears of it first")
                        .isEqualTo("pain");
                assertThat(storedReps(looking, plan))
                        .as("after round " + round)
                        .hasSize(sent.size())
                        .contains("+".repeat(sent.size()) + " outer slice fat");
            }
        } finally {
            server.close();
        }
    }

    @Test
    void aCleanStopLetsRunningWritesEnd(@TempDir Path data) throws Exception {
        Path log = data.resolve("server.log");
        String directory = "--hodegon.data=" + data;
        ServerProcess server = ServerProcess.start(log, directory, QUICK_START);
        List<Integer> stored = new CopyOnWriteArrayList<>();
        AtomicBoolean broken = new AtomicBoolean();
        JsonNode plan;
        Thread writer;
        try {
            plan = planFor(new Client(server.base()), server.base());
            Client phone = new Client(server.base()).signIn("student@x.example");
            LocalDate day = LocalDate.parse(plan.path("from").asString());
            writer = new Thread(() -> {
                for (int i = 0; ; i++) {
                    try {
                        phone.send("PUT", "/api/me/practice/" + UUID.randomUUID(), """
                                {"planId":"%s","day":"%s","edition":1,"blocks":[],"balls":{},"note":"n%d","finished":true}""".formatted(
                                        plan.path("id").asString(), day, i));
                        if (phone.last == 503) return;
                        stored.add(i);
                    } catch (IOException closed) {
                        return;
                    } catch (AssertionError | Exception failed) {
                        broken.set(true);
                        return;
                    }
                }
            });
            writer.start();
            Instant end = Instant.now().plusSeconds(30);
            while (stored.size() < 20 && Instant.now().isBefore(end)) Thread.onSpinWait();
        } finally {
            server.close();
        }
        writer.join();
        assertThat(broken).as("no write was answered with an error").isFalse();
        ServerProcess again = ServerProcess.start(log, directory, QUICK_START);
        try {
            Client looking = new Client(again.base()).signIn("coach@x.example");
            JsonNode practice = looking.send(
                    "GET", "/api/students/" + plan.path("studentId").asString() + "/practice", null);
            assertThat(practice.path("all").asInt()).isGreaterThanOrEqualTo(stored.size());
        } finally {
            again.close();
        }
    }

    private static List<String> storedReps(Client coach, JsonNode plan) throws Exception {
        return coach.send("GET", "/api/students/" + plan.path("studentId").asString() + "/practice", null)
                .path("sessions")
                .valueStream()
                .map(s -> s.at("/blocks/0"))
                .map(b -> "%s %s %s %s"
                        .formatted(
                                b.path("marks").asString(),
                                b.at("/noticed/0").asString(),
                                b.at("/told/balls/0/flight").asString(),
                                b.at("/told/balls/0/strike").asString()))
                .toList();
    }

    /** A coach, a student with an account, and an assigned plan. */
    private static JsonNode planFor(Client coach, String base) throws Exception {
        coach.send(
                "POST",
                "/api/first-coach",
                "{\"name\":\"Coach\",\"email\":\"coach@x.example\",\"password\":\"long-enough\"}");
        coach.send("GET", "/api/session", null);
        StringBuilder week = new StringBuilder();
        for (String day : List.of("mon", "tue", "wed", "thu", "fri", "sat", "sun")) {
            week.append(week.isEmpty() ? "" : ",").append("\"%s\":{\"minutes\":20,\"place\":\"home\"}".formatted(day));
        }
        String student = coach.send("POST", "/api/students", """
                        {"name":"Student","handedness":"right","level":"improver","ageBand":"adult","shoes":"soft",
                         "units":"metric","complaint":"","flags":[],"kit":["ball"],"week":{%s}}""".formatted(week))
                .path("id")
                .asString();
        JsonNode lesson = coach.send("POST", "/api/students/" + student + "/lessons", null);
        String path = "/api/lessons/" + lesson.path("id").asString();
        coach.send("PUT", path + "/focus", "{\"faults\":[\"sway\"],\"reason\":\"for this test\"}");
        LocalDate today = LocalDate.parse(lesson.path("heldOn").asString());
        JsonNode plan = coach.send(
                "PUT", path + "/plan", "{\"from\":\"%s\",\"nextLesson\":\"%s\"}".formatted(today, today.plusDays(14)));
        coach.send("POST", "/api/plans/" + plan.path("id").asString() + "/assignment", null);
        String token = coach.send("POST", "/api/students/" + student + "/invitation", null)
                .path("token")
                .asString();
        new Client(base)
                .send(
                        "POST",
                        "/api/invitations/" + token,
                        "{\"email\":\"student@x.example\",\"password\":\"long-enough\"}");
        return plan;
    }
}
