package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.server.OpenApi.Endpoint;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Every endpoint of the published API, by everybody, with others' ids and with nonsense. */
@OwnServer
@ExtendWith(RunningServer.class)
class EveryEndpointTest {

    /** To be reached without an account. */
    private static final Set<String> OPEN = Set.of(
            "/health",
            "/error",
            "/plate/samples",
            "/api/session",
            "/api/first-coach",
            "/api/forgotten-password",
            "/api/invitations/{token}",
            "/api/coach-invitations/{token}",
            "/api/password-links/{token}");

    /** Names of the first coach's students: whoever is not theirs must not read them. */
    private static final List<String> SECRET = List.of("Ellery", "Petra", "Lund");

    /** As texts are kept, for either hand. */
    private static final String OPEN_WORD = "\\{(lead|trail|away|Lead|Trail)}";

    private static final int NONSENSE = Boolean.getBoolean("hodegon.all") ? 10_000 : 800;
    private static final int SLOWEST_MILLISECONDS = 2000;

    private final OpenApi api = OpenApi.committed();

    /** What the first coach's things are called in addresses. */
    private static Map<String, String> ids(Client owner) {
        String student = owner.student("Bram Ellery");
        JsonNode knots =
                owner.get("/api/students/" + student + "/thread").body().path("knots");
        String lesson = knots.get(0).path("lessonId").asString();
        String plan = owner.get("/api/lessons/" + lesson + "/plan")
                .expect(200)
                .body()
                .path("id")
                .asString();
        String session = owner.get("/api/students/" + student + "/practice")
                .body()
                .at("/sessions/0/id")
                .asString();
        Map<String, String> names = OpenApi.names(student, lesson, plan);
        names.put("session", session);
        names.put("coachId", UUID.randomUUID().toString());
        return names;
    }

    private Client.Answer send(Client client, Endpoint endpoint, String address, String body) {
        return switch (endpoint.method()) {
            case "GET" -> client.get(address);
            case "DELETE" -> client.delete(address);
            case "PUT" -> client.put(address, body, 0);
            default -> client.post(address, body);
        };
    }

    @Test
    void nobodyGetsAtWhatIsNotTheirs(Client owner, Client second, Client student, Client nobody) {
        Map<String, String> ids = ids(owner.coach());
        second.signIn("second@demo.example", "demo-coach");
        student.student();
        nobody.get("/api/session").expect(200);
        Random random = new Random(1);
        for (Endpoint endpoint : api.endpoints()) {
            String address = endpoint.at(endpoint.own(ids), "none");
            String body = endpoint.body() == null
                    ? null
                    : api.sound(endpoint.body(), random, 0).toString();
            boolean open = OPEN.contains(endpoint.path());
            boolean forStudents = endpoint.path().startsWith("/api/me");
            boolean forBoth = endpoint.path().startsWith("/api/account")
                    || endpoint.path().equals("/api/catalogue")
                    || endpoint.path().equals("/api/tracks/read")
                    || endpoint.path().startsWith("/api/demo/films")
                    || (endpoint.path().startsWith("/api/motions")
                            && endpoint.method().equals("GET"));
            if (!open) {
                assertThat(send(nobody, endpoint, address, body).status())
                        .as(endpoint + " by nobody")
                        .isEqualTo(401);
            }
            if (!open && !forStudents && !forBoth) {
                assertThat(send(student, endpoint, address, body).status())
                        .as(endpoint + " by a student")
                        .isEqualTo(403);
            }
            if (endpoint.method().equals("DELETE") && (open || forBoth)) continue;
            Client.Answer answer = send(second, endpoint, address, body);
            assertThat(answer.status()).as(endpoint + " by another coach").isLessThan(500);
            if (endpoint.path().matches(".*\\{(id|studentId|lessonId|planId)}.*") && !endpoint.isOfALibrary()) {
                assertThat(answer.status())
                        .as(endpoint + " by another coach with ids of the first")
                        .isGreaterThanOrEqualTo(400);
            }
            if (!endpoint.path().equals("/api/session")) {
                assertThat(answer.body().toString()).as(endpoint.toString()).doesNotContain(SECRET);
            }
        }
        assertThat(owner.get("/api/students").expect(200).body().toString()).contains("Bram Ellery");
    }

    @Test
    void noAnswerLeavesAWordOpenThatDependsOnTheHand(Client owner) {
        owner.coach();
        assertThat(owner.get("/api/day").expect(200).body().toString()).doesNotContainPattern(OPEN_WORD);
        for (JsonNode student : owner.get("/api/students").expect(200).body()) {
            String at = "/api/students/" + student.path("id").asString();
            assertThat(owner.get(at + "/practice").expect(200).body().toString())
                    .doesNotContainPattern(OPEN_WORD);
            JsonNode thread = owner.get(at + "/thread").expect(200).body();
            assertThat(thread.toString()).doesNotContainPattern(OPEN_WORD);
            for (JsonNode knot : thread.path("knots")) {
                String lesson = "/api/lessons/" + knot.path("lessonId").asString();
                for (String part : List.of("", "/progress", "/plan", "/tried")) {
                    assertThat(owner.get(lesson + part).body().toString())
                            .as(lesson + part)
                            .doesNotContainPattern(OPEN_WORD);
                }
            }
        }
    }

    @Test
    void nonsenseIsRefusedQuickly(Client second, Client student) {
        long seed = Long.getLong("nonsense.seed", System.nanoTime());
        System.out.println("EveryEndpointTest: -Dnonsense.seed=" + seed);
        Random random = new Random(seed);
        List<Endpoint> endpoints = api.endpoints();
        List<String> odd =
                List.of("none", "-1", "%00", "99999999999999999999", "..%2f", "%F0%9F%8F%8C", "a".repeat(300));
        for (int i = 0; i < NONSENSE; i++) {
            if (i % 100 == 0) {
                second.signIn("second@demo.example", "demo-coach");
                student.student();
            }
            Endpoint endpoint = endpoints.get(random.nextInt(endpoints.size()));
            Client client = endpoint.path().startsWith("/api/me") ? student : second;
            if (endpoint.path().equals("/api/session") && !endpoint.method().equals("GET")) continue;
            String otherwise = random.nextBoolean()
                    ? odd.get(random.nextInt(odd.size()))
                    : new UUID(random.nextLong(), random.nextLong()).toString();
            String address = endpoint.at(Map.of(), otherwise);
            String body = endpoint.body() == null
                    ? null
                    : api.broken(api.sound(endpoint.body(), random, 0), random).toString();
            String what = "seed " + seed + ", request " + i + ": " + endpoint + " at " + address + " with " + body;
            long took = Long.MAX_VALUE;
            // What is slow by itself is slow each time, what a busy machine held up is not.
            for (int again = 0; again < 3 && took >= SLOWEST_MILLISECONDS; again++) {
                long began = System.nanoTime();
                assertThat(send(client, endpoint, address, body).status())
                        .as(what)
                        .isLessThan(500);
                took = (System.nanoTime() - began) / 1_000_000;
            }
            assertThat(took).as(what).isLessThan(SLOWEST_MILLISECONDS);
        }
    }
}
