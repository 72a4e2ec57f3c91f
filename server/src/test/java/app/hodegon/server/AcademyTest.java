package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import java.time.LocalDate;
import java.util.List;
import java.util.concurrent.BrokenBarrierException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CyclicBarrier;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Several coaches in one house. */
@OwnServer
@ExtendWith(RunningServer.class)
class AcademyTest {

    private Client owner;
    private Client second;

    @BeforeEach
    void signIn(Client owner, Client second) {
        this.owner = owner.coach();
        this.second = second.signIn("second@demo.example", "demo-coach");
    }

    /** A coach who joined by invitation. */
    private Client joined(String name) {
        String token = owner.post("/api/academy/invitations", "{\"name\":\"%s\"}".formatted(name))
                .expect(201)
                .body()
                .path("token")
                .asString();
        Client coach = owner.fresh();
        coach.get("/api/session").expect(200);
        assertThat(coach.get("/api/coach-invitations/" + token)
                        .expect(200)
                        .body()
                        .path("by")
                        .asString())
                .isEqualTo("Tamsin Harrow");
        String account = "{\"name\":\"%s\",\"email\":\"%s@x.example\",\"password\":\"a-long-word\"}"
                .formatted(name, name.toLowerCase());
        coach.post("/api/coach-invitations/" + token, account).expect(201);
        coach.get("/api/session").expect(200);
        Client late = owner.fresh();
        late.get("/api/session");
        late.post("/api/coach-invitations/" + token, account).refused(404);
        return coach;
    }

    @Test
    void onlyTheOwnerInvitesAndLooksAtTheInstallation() {
        assertThat(owner.get("/api/session").body().at("/account/owner").asBoolean())
                .isTrue();
        second.post("/api/academy/invitations", "{\"name\":\"X\"}").refused(403);
        second.get("/api/health").refused(404);
        JsonNode health = owner.get("/api/health").expect(200).body();
        assertThat(health.path("schema").asInt()).isGreaterThan(22);
        assertThat(health.path("freeBytes").asLong()).isPositive();
        Client anybody = owner.fresh();
        assertThat(anybody.get("/health").expect(200).body().toString()).isEqualTo("{\"status\":\"up\"}");
    }

    @Test
    void aStandInTeachesUntilTheDayAndIsOnRecord() {
        String student = owner.student("Petra Lund");
        String lesson = owner.get("/api/students/" + student + "/thread")
                .body()
                .at("/knots/0/lessonId")
                .asString();
        second.get("/api/students/" + student).refused(404);
        second.get("/api/lessons/" + lesson).refused(404);
        String grant = "{\"coachId\":\"%s\",\"until\":\"%s\"}";
        String path = "/api/students/" + student + "/stand-ins";
        owner.post(path, grant.formatted(second.coachId(), LocalDate.now().minusDays(1)))
                .refused(422);
        owner.post(path, grant.formatted(owner.coachId(), LocalDate.now())).refused(422);
        owner.post(path, grant.formatted(second.coachId(), LocalDate.now())).expect(200);

        second.get("/api/students/" + student).expect(200);
        JsonNode entry = second.get("/api/lessons/" + lesson).expect(200).body();
        second.put("/api/lessons/" + lesson + "/entry", entry.path("entry").toString())
                .expect(200);
        assertThat(second.get("/api/students").body().toString()).contains("Petra Lund", "Tamsin Harrow");
        second.get("/api/students/" + student + "/record").refused(404);
        second.post("/api/students/" + student + "/erasure", "{\"name\":\"Petra Lund\"}")
                .refused(404);
        second.post(path, grant.formatted(owner.coachId(), LocalDate.now())).refused(404);
        second.get("/api/students/" + student + "/accesses").refused(404);

        JsonNode log =
                owner.get("/api/students/" + student + "/accesses").expect(200).body();
        assertThat(log.findValuesAsString("what")).contains("looked", "changed");
        assertThat(log.findValuesAsString("place")).contains("student", "lesson");
        assertThat(log.findValuesAsString("coach")).containsOnly("Joren Aldwick");

        owner.delete(path + "/" + second.coachId()).expect(204);
        second.get("/api/lessons/" + lesson).refused(404);
        assertThat(second.get("/api/students").body().toString()).doesNotContain("Petra Lund");
    }

    @Test
    void aStudentChangesHandsWithTheHistoryOnceBothAgree() {
        Client third = joined("Maren");
        String student = second.get("/api/students").body().at("/0/id").asString();
        String thread = "/api/students/" + student + "/thread";
        int lessons = second.get(thread).expect(200).body().path("knots").size();
        String offer = "{\"coachId\":\"%s\",\"words\":\"You know juniors.\"}".formatted(third.coachId());
        owner.put("/api/students/" + student + "/handover", offer).refused(404);
        second.put("/api/students/" + student + "/handover", offer).expect(200);
        second.get(thread).expect(200);
        third.get(thread).refused(404);
        assertThat(third.get("/api/academy").body().path("handovers").toString())
                .contains("You know juniors.");
        owner.post("/api/students/" + student + "/handover/acceptance", null).refused(404);
        third.post("/api/students/" + student + "/handover/acceptance", null).expect(204);
        second.get(thread).refused(404);
        assertThat(third.get(thread).expect(200).body().path("knots").size()).isEqualTo(lessons);
        assertThat(third.get("/api/academy").body().path("handovers")).isEmpty();

        // Back again, declined first.
        String back = "{\"coachId\":\"%s\",\"words\":\"\"}".formatted(second.coachId());
        third.put("/api/students/" + student + "/handover", back).expect(200);
        second.delete("/api/students/" + student + "/handover").expect(204);
        second.post("/api/students/" + student + "/handover/acceptance", null).refused(404);
        third.put("/api/students/" + student + "/handover", back).expect(200);
        second.post("/api/students/" + student + "/handover/acceptance", null).expect(204);
    }

    @Test
    void whoLeavesHandsOverFirstAndIsSignedOut() {
        Client leaving = joined("Ilse");
        String id = leaving.coachId();
        leaving.post("/api/students", StudentsTest.form("Ada Wright")).expect(201);
        leaving.delete("/api/academy/coaches/" + id).refused(409);
        second.delete("/api/academy/coaches/" + id).refused(403);
        owner.delete("/api/academy/coaches/" + owner.coachId()).refused(409);
        assertThat(owner.post(
                                "/api/academy/coaches/" + id + "/handovers",
                                "{\"coachId\":\"%s\"}".formatted(second.coachId()))
                        .expect(200)
                        .body()
                        .path("students")
                        .asInt())
                .isEqualTo(1);
        String student =
                second.get("/api/academy").body().at("/handovers/0/studentId").asString();
        second.post("/api/students/" + student + "/handover/acceptance", null).expect(204);
        owner.delete("/api/academy/coaches/" + id).expect(204);
        leaving.get("/api/students").refused(401);
        leaving.get("/api/session");
        leaving.post("/api/session", "{\"email\":\"ilse@x.example\",\"password\":\"a-long-word\"}")
                .refused(401);
    }

    @Test
    void theHouseCanChangeItsOwner() {
        second.put("/api/academy/owner", "{\"coachId\":\"%s\"}".formatted(second.coachId()))
                .refused(403);
        owner.put("/api/academy/owner", "{\"coachId\":\"%s\"}".formatted(second.coachId()))
                .expect(204);
        owner.get("/api/health").refused(404);
        second.get("/api/health").expect(200);
        second.put("/api/academy/owner", "{\"coachId\":\"%s\"}".formatted(owner.coachId()))
                .expect(204);
    }

    @Test
    void aDrillsRecordCountsTheCoachsOwnStudentsOnly() {
        Client none = joined("Alma");
        int owners = 0;
        for (String drill :
                owner.get("/api/catalogue").expect(200).body().path("drills").propertyNames()) {
            String record = "/api/drills/" + drill + "/record";
            owners += owner.get(record).expect(200).body().path("students").asInt();
            assertThat(none.get(record).expect(200).body().path("students").asInt())
                    .as(record)
                    .isZero();
        }
        assertThat(owners).isPositive();
    }

    @Test
    void whatWorkedIsToldOfTheOwnStudentsAndToTheOwnerOfTheHouse() {
        Client none = joined("Petr");
        JsonNode whole = owner.get("/api/faults/sway/worked").expect(200).body();
        assertThat(whole.path("house").asBoolean()).isTrue();
        assertThat(whole.at("/gates/drills")).isNotEmpty();
        for (JsonNode share : whole.at("/gates/drills")) {
            assertThat(share.path("worked").asInt())
                    .isLessThanOrEqualTo(share.path("of").asInt());
            assertThat(share.path("low").asDouble())
                    .isLessThan(share.path("share").asDouble());
            assertThat(share.path("high").asDouble())
                    .isGreaterThan(share.path("share").asDouble());
        }
        JsonNode own = none.get("/api/faults/sway/worked").expect(200).body();
        assertThat(own.path("house").asBoolean()).isFalse();
        assertThat(own.at("/gates/drills")).isEmpty();
        assertThat(own.at("/better/drills")).isEmpty();
        none.get("/api/faults/nothing/worked").refused(404);
    }

    @Test
    void drillsAndStartingPointsAreShared() {
        JsonNode drill = owner.get("/api/drills/disc-turn/file").expect(200).body();
        String own = drill.toString().replace("\"disc-turn\"", "\"plate-turn\"");
        owner.post("/api/drills/own", own).expect(200);
        assertThat(second.get("/api/drills/shared").body().path("others")).isEmpty();
        owner.put("/api/drills/own/plate-turn/shared", "{\"shared\":true}").expect(204);
        JsonNode shared = second.get("/api/drills/shared").expect(200).body();
        assertThat(shared.at("/others/0/id").asString()).isEqualTo("plate-turn");
        String copy = "/api/drills/shared/" + shared.at("/others/0/coachId").asString() + "/plate-turn/copy";
        second.post(copy, null).expect(204);
        second.post(copy, null).refused(409);
        owner.delete("/api/drills/own/plate-turn").expect(204);
        second.get("/api/drills/plate-turn/file").expect(200);
        second.delete("/api/drills/own/plate-turn").expect(204);

        String student = owner.student("Bram Ellery");
        JsonNode knots =
                owner.get("/api/students/" + student + "/thread").body().path("knots");
        String lesson = knots.get(0).path("lessonId").asString();
        JsonNode template = owner.post(
                        "/api/templates", "{\"lessonId\":\"%s\",\"name\":\"Sway in a fortnight\"}".formatted(lesson))
                .expect(201)
                .body();
        String path = "/api/templates/" + template.path("id").asString();
        assertThat(second.get("/api/templates").body()).isEmpty();
        second.put(path + "/shared", "{\"shared\":true}").refused(404);
        owner.put(path + "/shared", "{\"shared\":true}").expect(204);
        assertThat(second.get("/api/templates").body().at("/0/coach").asString())
                .isEqualTo("Tamsin Harrow");
        second.delete(path).refused(404);
        owner.delete(path).expect(204);
    }

    /** Both at once, so that the one is under way when the other begins. */
    private static List<Integer> atOnce(Supplier<Client.Answer> one, Supplier<Client.Answer> other) {
        CyclicBarrier begin = new CyclicBarrier(2);
        return Stream.of(one, other)
                .map(what -> CompletableFuture.supplyAsync(() -> {
                    try {
                        begin.await();
                    } catch (InterruptedException | BrokenBarrierException alone) {
                        throw new IllegalStateException(alone);
                    }
                    return what.get().status();
                }))
                .toList()
                .stream()
                .map(CompletableFuture::join)
                .toList();
    }

    @Test
    void theHouseIsNeverWithoutAnOwner() {
        for (int i = 0; i < 8; i++) {
            Client next = joined("Next" + i);
            String id = next.coachId();
            List<Integer> statuses = atOnce(
                    () -> owner.put("/api/academy/owner", "{\"coachId\":\"%s\"}".formatted(id)),
                    () -> next.delete("/api/academy/coaches/" + id));
            assertThat(statuses).isIn(List.of(204, 409), List.of(404, 204));
            JsonNode coaches = second.get("/api/academy").expect(200).body().path("coaches");
            assertThat(coaches.valueStream().filter(c -> c.path("owner").asBoolean()))
                    .as("after " + statuses)
                    .hasSize(1);
            if (statuses.get(0) != 204) continue;
            next.put("/api/academy/owner", "{\"coachId\":\"%s\"}".formatted(owner.coachId()))
                    .expect(204);
            next.delete("/api/academy/coaches/" + id).expect(204);
        }
    }

    @Test
    void nobodyLeavesStudentsBehind() {
        for (int i = 0; i < 8; i++) {
            Client leaving = joined("Leaving" + i);
            String id = leaving.coachId();
            String student = owner.post("/api/students", StudentsTest.form("Given " + i))
                    .expect(201)
                    .body()
                    .path("id")
                    .asString();
            boolean accepts = i % 2 == 0;
            if (accepts) {
                owner.put("/api/students/" + student + "/handover", "{\"coachId\":\"%s\",\"words\":\"\"}".formatted(id))
                        .expect(200);
            }
            List<Integer> statuses = atOnce(
                    () -> accepts
                            ? leaving.post("/api/students/" + student + "/handover/acceptance", null)
                            : leaving.post("/api/students", StudentsTest.form("Begun")),
                    () -> owner.delete("/api/academy/coaches/" + id));
            boolean taken = statuses.get(0) < 300;
            assertThat(statuses.get(1)).as("leaving beside " + statuses).isEqualTo(taken ? 409 : 204);
        }
    }

    @Test
    void theOwnerSeesToTheStudentsOfWhoeverLeft(Client anybody) throws SQLException {
        Client leaving = joined("Gone");
        String id = leaving.coachId();
        String student = leaving.post("/api/students", StudentsTest.form("Left Behind"))
                .expect(201)
                .body()
                .path("id")
                .asString();
        String path = "/api/students/" + student;
        owner.get(path).refused(404);
        // As an installation may have it from before leaving was put in order.
        RunningServer.execute(
                owner, "update account set left_at = current_timestamp, email = 'left' where id = '" + id + "'");
        assertThat(owner.get("/api/students").body().toString()).contains("Left Behind");
        assertThat(second.get("/api/students").body().toString()).doesNotContain("Left Behind");
        second.get(path).refused(404);
        assertThat(owner.get(path).expect(200).body().path("own").asBoolean()).isTrue();
        assertThat(owner.get("/api/academy").body().path("coaches").toString()).contains("\"left\":true");
        assertThat(second.get("/api/academy").body().path("coaches").toString()).doesNotContain("\"left\":true");
        owner.get(path + "/record").expect(200);
        owner.post("/api/academy/coaches/" + id + "/handovers", "{\"coachId\":\"%s\"}".formatted(second.coachId()))
                .expect(200);
        second.post(path + "/handover/acceptance", null).expect(204);
        second.get(path).expect(200);
        owner.get(path).refused(404);
        second.post(path + "/erasure", "{\"name\":\"Left Behind\"}").expect(204);
    }

    @Test
    void whatTheEarlierCoachMadeOpensTheAccountNoMore() {
        String lost = owner.student("Petra Lund");
        String link = owner.post("/api/students/" + lost + "/password-link", null)
                .expect(201)
                .body()
                .path("token")
                .asString();
        String fresh = owner.post("/api/students", StudentsTest.form("Odo Fenn"))
                .expect(201)
                .body()
                .path("id")
                .asString();
        String invitation = owner.post("/api/students/" + fresh + "/invitation", null)
                .expect(201)
                .body()
                .path("token")
                .asString();
        Client nobody = owner.fresh();
        nobody.get("/api/session");
        nobody.get("/api/password-links/" + link).expect(200);
        nobody.get("/api/invitations/" + invitation).expect(200);
        for (String student : List.of(lost, fresh)) {
            owner.put(
                            "/api/students/" + student + "/handover",
                            "{\"coachId\":\"%s\",\"words\":\"\"}".formatted(second.coachId()))
                    .expect(200);
            second.post("/api/students/" + student + "/handover/acceptance", null)
                    .expect(204);
        }
        nobody.get("/api/password-links/" + link).refused(404);
        nobody.get("/api/invitations/" + invitation).refused(404);
        second.put(
                        "/api/students/" + lost + "/handover",
                        "{\"coachId\":\"%s\",\"words\":\"\"}".formatted(owner.coachId()))
                .expect(200);
        owner.post("/api/students/" + lost + "/handover/acceptance", null).expect(204);
    }

    @Test
    void ofTwoWhoJoinWithOneEmailOneIsRefused() {
        List<String> tokens = Stream.of("A", "B")
                .map(name -> owner.post("/api/academy/invitations", "{\"name\":\"%s\"}".formatted(name))
                        .expect(201)
                        .body()
                        .path("token")
                        .asString())
                .toList();
        List<Client> both = Stream.of(owner.fresh(), owner.fresh())
                .peek(c -> c.get("/api/session"))
                .toList();
        String account = "{\"name\":\"Twin\",\"email\":\"twin@x.example\",\"password\":\"a-long-word\"}";
        List<Integer> statuses = atOnce(
                () -> both.get(0).post("/api/coach-invitations/" + tokens.get(0), account),
                () -> both.get(1).post("/api/coach-invitations/" + tokens.get(1), account));
        assertThat(statuses).containsExactlyInAnyOrder(201, 422);
    }

    @Test
    void aStandInEndsWithItsDay() throws SQLException {
        String student = owner.student("Bram Ellery");
        String path = "/api/students/" + student;
        owner.post(
                        path + "/stand-ins",
                        "{\"coachId\":\"%s\",\"until\":\"%s\"}".formatted(second.coachId(), LocalDate.now()))
                .expect(200);
        second.get(path).expect(200);
        RunningServer.execute(owner, "update stand_in set until_day = dateadd('DAY', -1, until_day)");
        second.get(path).refused(404);
        assertThat(second.get("/api/students").body().toString()).doesNotContain("Bram Ellery");
        assertThat(second.get("/api/day").expect(200).body().toString()).doesNotContain("Bram Ellery");
        assertThat(owner.get(path + "/stand-ins").expect(200).body()).isEmpty();
        RunningServer.execute(owner, "delete from stand_in");
    }
}
