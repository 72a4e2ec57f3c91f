package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.IntFunction;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Two and more at once on the same things: put in order, told what changed, never an error. */
@OwnServer
@ExtendWith(RunningServer.class)
class TogetherTest {

    private static final int AT_ONCE = 12;

    private final ExecutorService many = Executors.newFixedThreadPool(AT_ONCE);
    private Client coach;
    private Client student;
    private String id;
    private String lesson;

    @BeforeEach
    void signIn(Client coach, Client student) {
        this.coach = coach.coach();
        this.student = student.student();
        id = coach.student("Bram Ellery");
        lesson = coach.get("/api/students/" + id + "/thread")
                .body()
                .at("/knots/0/lessonId")
                .asString();
    }

    @AfterEach
    void stop() {
        many.shutdown();
    }

    /** All at the same moment. */
    private List<Integer> atOnce(IntFunction<Client.Answer> each) throws Exception {
        CountDownLatch start = new CountDownLatch(1);
        List<Future<Integer>> answers = new ArrayList<>();
        for (int i = 0; i < AT_ONCE; i++) {
            int n = i;
            answers.add(many.submit(() -> {
                start.await();
                return each.apply(n).status();
            }));
        }
        start.countDown();
        List<Integer> statuses = new ArrayList<>();
        for (Future<Integer> answer : answers) statuses.add(answer.get());
        return statuses;
    }

    @Test
    void writersOfOneStudentArePutInOrder() throws Exception {
        JsonNode me = student.get("/api/me").expect(200).body();
        String plan = me.at("/plan/id").asString();
        String day = me.at("/plan/from").asString();
        String practice = """
                {"planId":"%s","day":"%s","edition":%d,"blocks":[],"balls":{},"note":"n %d","finished":true}""";
        String same = UUID.randomUUID().toString();
        String stops = "/api/students/" + id + "/gates/sway/feel";
        assertThat(atOnce(n -> switch (n % 6) {
                    case 0 -> student.put("/api/me/practice/" + UUID.randomUUID(), practice.formatted(plan, day, n, n));
                    case 1 -> student.put("/api/me/practice/" + same, practice.formatted(plan, day, n, n));
                    case 2 -> coach.put(stops, "{\"good\":%d,\"coachSigns\":false}".formatted(6 + n % 4));
                    case 3 -> coach.post("/api/students/" + id + "/lessons", null);
                    case 4 ->
                        coach.put(
                                "/api/lessons/" + lesson + "/focus",
                                "{\"faults\":[\"sway\"],\"reason\":\"as agreed\"}");
                    default -> student.put("/api/me/reminder", "{\"hour\":%d}".formatted(n));
                }))
                .allMatch(status -> status < 300);
        assertThat(student.get("/api/me").expect(200).body().path("sessions").toString())
                .contains(same);
    }

    @Test
    void oneInvitationOneDrillFileOneApproachAtOnce() throws Exception {
        String ada = coach.post("/api/students", StudentsTest.form("Ada Wright"))
                .expect(201)
                .body()
                .path("id")
                .asString();
        assertThat(atOnce(n -> coach.post("/api/students/" + ada + "/invitation", null)))
                .containsOnly(201);
        String drill =
                coach.get("/api/drills/disc-turn/file").body().toString().replace("\"disc-turn\"", "\"my-turn\"");
        assertThat(atOnce(n -> coach.post("/api/drills/own", drill))).containsOnly(200);
        coach.delete("/api/drills/own/my-turn").expect(204);
    }

    @Test
    void aSaveOfAnEarlierStateIsToldHowItIsNow() throws Exception {
        JsonNode seen = coach.get("/api/lessons/" + lesson).expect(200).body();
        String entry = "/api/lessons/" + lesson + "/entry";
        int version = seen.path("version").asInt();
        String noted = seen.path("entry").toString().replaceFirst("\"note\":\"[^\"]*\"", "\"note\":\"%s\"");
        coach.put(entry, noted.formatted("no version"), null).refused(428);
        coach.put(entry, noted.formatted("first"), version).expect(200);
        JsonNode told = coach.put(entry, noted.formatted("second"), version)
                .refused(412)
                .body();
        assertThat(told.at("/current/entry/note").asString()).isEqualTo("first");
        coach.put(entry, noted.formatted("second"), told.at("/current/version").asInt())
                .expect(200);
        int now = coach.get("/api/lessons/" + lesson).body().path("version").asInt();
        List<Integer> statuses = atOnce(n -> coach.put(entry, noted.formatted("n" + n), now));
        assertThat(statuses.stream().filter(s -> s == 200)).as("one of them").hasSize(1);
        assertThat(statuses).containsOnly(200, 412);
    }

    @Test
    void theFirstRequestsOfAPageInAnotherZoneDoNotMeet() throws Exception {
        for (String zone : List.of("Europe/Oslo", "Asia/Tokyo", "Europe/Oslo")) {
            coach.in(zone);
            assertThat(atOnce(n -> coach.get("/api/students"))).containsOnly(200);
        }
    }

    @Test
    void aPageWithoutAnAnswerFindsItsOwnSave() {
        String entry = "/api/lessons/" + lesson + "/entry";
        JsonNode seen = coach.get("/api/lessons/" + lesson).expect(200).body();
        int version = seen.path("version").asInt();
        String json = seen.path("entry").toString();
        for (int n = 0; n < 25; n++)
            coach.put(entry, json, version + n, "save-" + n).expect(200);
        JsonNode told = coach.put(entry, json, version, "another").refused(412).body();
        assertThat(told.at("/current/saves")).hasSize(20);
        assertThat(told.at("/current/saves/19").asString()).isEqualTo("save-24");
        assertThat(coach.get("/api/lessons/" + lesson).body().at("/saves/0").asString())
                .isEqualTo("save-5");
        coach.put(entry, json, version + 25, "x'; drop").refused(400);
    }

    @Test
    void theSameHoldsForStudentApproachAndPlan() {
        String path = "/api/students/" + id;
        JsonNode profile = coach.get(path).body();
        int version = profile.path("version").asInt();
        coach.put(path, profile.path("profile").toString(), version).expect(200);
        assertThat(coach.put(path, profile.path("profile").toString(), version)
                        .refused(412)
                        .body()
                        .at("/current/profile/name")
                        .asString())
                .isEqualTo("Bram Ellery");
        coach.put(path + "/approach", "{\"exceptions\":{}}", version).refused(412);
        coach.put(path + "/approach", "{\"exceptions\":{}}").expect(200);

        JsonNode approach = coach.get("/api/approach").body();
        String answers = "{\"answers\":%s,\"repeatability\":[]}".formatted(approach.path("answers"));
        coach.put("/api/approach", answers, approach.path("version").asInt()).expect(200);
        coach.put("/api/approach", answers, approach.path("version").asInt()).refused(412);

        String plan = "/api/lessons/" + lesson + "/plan";
        JsonNode laid = coach.get(plan).expect(200).body();
        String terms = laid.path("terms").toString();
        coach.put(plan, terms, laid.path("version").asInt() - 1).refused(412);
    }

    @Test
    void practiceFromAWrongClockOrUnderAnothersIdIsRefused() {
        JsonNode me = student.get("/api/me").expect(200).body();
        String plan = me.at("/plan/id").asString();
        String practice = """
                {"planId":"%s","day":"%s","edition":1,"blocks":[],"balls":{},"note":"","finished":true}""";
        String last = java.time.LocalDate.parse(me.at("/plan/nextLesson").asString())
                .minusDays(1)
                .toString();
        if (java.time.LocalDate.parse(last).isAfter(java.time.LocalDate.now().plusDays(1))) {
            student.put("/api/me/practice/" + UUID.randomUUID(), practice.formatted(plan, last))
                    .refused(422);
        }
        String made = UUID.nameUUIDFromBytes(
                        (plan + " on paper " + me.at("/plan/from").asString()).getBytes())
                .toString();
        assertThat(student.put(
                                "/api/me/practice/" + made,
                                practice.formatted(plan, me.at("/plan/from").asString()))
                        .refused(422)
                        .body()
                        .at("/fields/0/field")
                        .asString())
                .isEqualTo("id");
        coach.get("/api/plans/" + plan + "/paper").expect(200);
    }
}
