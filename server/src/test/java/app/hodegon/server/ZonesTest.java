package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A coach and a student so far apart that it is never the same day for both. */
@OwnServer
@ExtendWith(RunningServer.class)
class ZonesTest {

    /** Twenty-five hours ahead of the other. */
    private static final String EAST = "Pacific/Kiritimati";

    private static final String WEST = "Pacific/Pago_Pago";

    private Client coach;
    private Client phone;
    private Begun begun;
    private String plan;

    @BeforeEach
    void handOver(Client first, Client second) {
        coach = first.in(WEST).coach();
        begun = Begun.swayer(coach, "beginner", "", 20, 20, "home");
        plan = begun.draft(coach);
        coach.post("/api/plans/" + plan + "/assignment", null).expect(200);
        String token = coach.post("/api/students/" + begun.student() + "/invitation", null)
                .expect(201)
                .body()
                .path("token")
                .asString();
        phone = second.in(EAST);
        String mail = UUID.randomUUID() + "@x.example";
        phone.get("/api/session").expect(200);
        phone.post("/api/invitations/" + token, "{\"email\":\"%s\",\"password\":\"long-enough\"}".formatted(mail))
                .expect(201);
        phone.get("/api/me").expect(200);
    }

    private static String now(String zone) {
        return LocalDate.now(ZoneId.of(zone)).toString();
    }

    private JsonNode line() {
        return coach.get("/api/students")
                .expect(200)
                .body()
                .valueStream()
                .filter(s -> s.path("id").asString().equals(begun.student()))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aDayIsTheStudentsDayEverywhere() {
        String theirs = now(EAST);
        assertThat(coach.get("/api/day").expect(200).body().path("date").asString())
                .isEqualTo(now(WEST));
        assertThat(begun.today()).as("a lesson is held where the coach is").hasToString(now(WEST));

        PhoneEntry day = new PhoneEntry(phone.get("/api/me").expect(200).body(), theirs);
        phone.put("/api/me/practice/" + UUID.randomUUID(), day.with(1, day.check(), "++++++++++", "", "", true))
                .expect(200);
        assertThat(line().path("lastPractice").asString()).isEqualTo(theirs);
        assertThat(line().path("today").asString()).isEqualTo(theirs);
        JsonNode planned = coach.get("/api/students/" + begun.student() + "/planned")
                .expect(200)
                .body();
        assertThat(planned.at("/0/date").asString()).isEqualTo(theirs);
        JsonNode stored = coach.get(begun.lesson() + "/plan").expect(200).body();
        assertThat(stored.path("today").asString()).isEqualTo(theirs);
    }

    @Test
    void thePaperOfThatDayCanBeEntered() {
        String paper = "/api/plans/" + plan + "/paper/";
        String ticks = "{\"ticks\":{\"0\":1},\"feel\":5}";
        coach.put(paper + now(EAST), ticks).expect(204);
        assertThat(coach.get("/api/plans/" + plan + "/paper").expect(200).body().findValuesAsString("date"))
                .contains(now(EAST));
        coach.put(paper + LocalDate.now(ZoneId.of(EAST)).plusDays(1), ticks).refused(422);
    }

    @Test
    void aZoneThatIsNoneChangesNothing() {
        phone.in("Moon/Crater").get("/api/me").expect(200);
        assertThat(line().path("today").asString()).isEqualTo(now(EAST));
    }
}
