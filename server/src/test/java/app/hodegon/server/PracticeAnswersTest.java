package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What a student tells beside good and not, and where the coach finds it. */
@ExtendWith(RunningServer.class)
class PracticeAnswersTest {

    private Client coach;
    private Client phone;
    private Begun begun;
    private String planId;

    @BeforeEach
    void handOver(Client first, Client second) {
        coach = first.coach();
        begun = Begun.swayer(coach, "beginner", "", 20, 20, "home");
        planId = begun.draft(coach);
        coach.post("/api/plans/" + planId + "/assignment", null).expect(200);
        String token = coach.post("/api/students/" + begun.student() + "/invitation", null)
                .expect(201)
                .body()
                .path("token")
                .asString();
        second.get("/api/session").expect(200);
        second.post(
                        "/api/invitations/" + token,
                        "{\"email\":\"%s@x.example\",\"password\":\"long-enough\"}".formatted(UUID.randomUUID()))
                .expect(201);
        phone = second;
        phone.get("/api/session").expect(200);
    }

    private String day() {
        return begun.today().toString();
    }

    private Client.Answer send(String session, int edition, String blocks) {
        return phone.put("/api/me/practice/" + session, """
                {"planId":"%s","day":"%s","edition":%d,"blocks":[%s],"feel":4,"balls":{},"note":"","finished":true}""".formatted(planId, day(), edition, blocks));
    }

    private static String block(int at, String drill, String rung, String kind, String marks, String said) {
        return """
                {"block":%d,"fault":"sway","drill":"%s","rung":"%s","kind":"%s","marks":"%s",%s"noticed":[]}""".formatted(at, drill, rung, kind, marks, said);
    }

    private static final String BALLS = """
            "form":"range","told":{"speeds":[70],"club":"wedge","balls":[{"flight":"slice","strike":"fat"},
              {"flight":"straight","strike":"solid"},{"strike":"solid"}],"turns":[{"at":3,"kind":"easier"}]},""";

    private JsonNode between(String series) {
        JsonNode all = coach.get("/api/students/" + begun.student() + "/thread")
                .expect(200)
                .body()
                .path("between");
        for (JsonNode one : all) if (one.path("id").asString().equals(series)) return one;
        throw new AssertionError(series + " is not among " + all);
    }

    @Test
    void whatWasToldComesBackAsItWas() {
        String session = UUID.randomUUID().toString();
        JsonNode stored = send(session, 1, block(0, "disc-turn", "short", "main", "---+++", BALLS))
                .expect(200)
                .body()
                .path("session");
        JsonNode told = phone.get("/api/me").body().at("/sessions/0/blocks/0/told");
        assertThat(told).isEqualTo(stored.at("/blocks/0/told"));
        assertThat(told.path("club").asString()).isEqualTo("wedge");
        assertThat(told.path("balls")).hasSize(3);
        assertThat(told.at("/balls/2/flight").isNull()).isTrue();
        assertThat(told.at("/turns/0/kind").asString()).isEqualTo("easier");
        assertThat(told.at("/speeds/0").asInt()).isEqualTo(70);

        JsonNode fat = between("practice:strike:fat");
        assertThat(fat.at("/points/0/of").asInt()).isEqualTo(3);
        assertThat(fat.at("/points/0/low").asDouble())
                .isLessThan(fat.at("/points/0/value").asDouble());
        assertThat(fat.path("better").asString()).isEqualTo("lower");
        assertThat(between("practice:flight:slice").at("/points/0/of").asInt()).isEqualTo(2);
    }

    @Test
    void nonsenseIsNamed() {
        String session = UUID.randomUUID().toString();
        for (String wrong : List.of(
                BALLS.replace("slice", "curl"),
                BALLS.replace("\"fat\"", "\"slice\""),
                BALLS.replace("wedge", "rake"),
                BALLS.replace("easier", "sideways"),
                BALLS.replace("[70]", "[101]"),
                BALLS + "\"aside\":\"above\",")) {
            Client.Answer answer = send(session, 1, block(0, "disc-turn", "short", "main", "---+++", wrong));
            answer.refused(422);
            assertThat(answer.body().path("errors").toString() + answer.body())
                    .as(wrong)
                    .contains("blocks[0]");
        }
        assertThat(phone.get("/api/me").body().path("sessions")).isEmpty();
    }

    @Test
    void theFirstTenAndASetBelowAreOfTheDayAndPassNothing() {
        String ten = block(5, "disc-turn", "feel", "check", "++++++++++", "\"aside\":\"first-ten\",");
        String below = block(6, "disc-turn", "feel", "refresh", "+++++", "\"aside\":\"below\",");
        JsonNode answer = send(UUID.randomUUID().toString(), 1, ten + "," + below)
                .expect(200)
                .body();
        assertThat(answer.at("/session/earlierPlan").asBoolean()).isFalse();
        assertThat(answer.path("rungs")).isEmpty();
        assertThat(between("first-ten").at("/points/0/value").asDouble()).isEqualTo(100);
    }

    @Test
    void aMovementLostOnTheWayGoesOnInFives() {
        JsonNode main = main(phone.get("/api/me").body().at("/plan/plan/days/0/blocks"));
        String rung = main.path("rung").asString();
        String drill = main.path("drill").asString();
        send(
                        UUID.randomUUID().toString(),
                        1,
                        block(1, drill, rung, "main", "--+--", "") + ","
                                + block(9, drill, rung, "refresh", "++++-", "\"aside\":\"below\","))
                .expect(200);
        JsonNode relaid =
                coach.get("/api/plans/" + planId + "/laid-again").expect(200).body();
        assertThat(relaid.at("/0/reason").asString()).contains("in sets of five");
    }

    @Test
    void aCheckWhoseMovementWasSoughtBelowCountsAsLost() {
        for (int session = 0; session < 2; session++) {
            send(
                            UUID.randomUUID().toString(),
                            1,
                            block(5, "disc-turn", "feel", "check", "+++++++---", "") + ","
                                    + block(6, "disc-turn", "feel", "refresh", "+++++", "\"aside\":\"below\","))
                    .expect(200);
        }
        JsonNode rungs = coach.get("/api/students/" + begun.student() + "/practice")
                .expect(200)
                .body()
                .path("rungs");
        assertThat(rungs.at("/0/sets")).hasSize(2);
        assertThat(rungs.at("/0/standing").asString()).isEqualTo("step-back");
    }

    @Test
    void aHarderStepThatHeldChangesTheComingDays() {
        JsonNode main = main(phone.get("/api/me").body().at("/plan/plan/days/1/blocks"));
        assertThat(main.path("condition").isNull()).isTrue();
        String rung = main.path("rung").asString();
        String turns = "\"told\":{\"turns\":[{\"at\":8,\"kind\":\"harder\"}]},";
        send(
                        UUID.randomUUID().toString(),
                        1,
                        block(1, main.path("drill").asString(), rung, "main", "+++++++++++++++", turns))
                .expect(200);
        JsonNode relaid =
                coach.get("/api/plans/" + planId + "/laid-again").expect(200).body();
        assertThat(relaid.at("/0/reason").asString()).contains("half-steps");
        JsonNode next = main(phone.get("/api/me").body().at("/plan/plan/days/1/blocks"));
        assertThat(next.path("rung").asString()).isEqualTo(rung);
        assertThat(next.path("condition").isNull()).isFalse();
    }

    private static JsonNode main(JsonNode blocks) {
        return blocks.valueStream()
                .filter(b -> b.path("kind").asString().equals("main"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void roundsAndFeltSharesAreKeptOnceAndStandInTheThread() {
        String id = UUID.randomUUID().toString();
        String round = "{\"day\":\"%s\",\"edition\":1,\"thought\":7,\"held\":4,\"cost\":\"tee\"}".formatted(day());
        phone.put("/api/me/rounds/" + id, round).expect(204);
        phone.put("/api/me/rounds/" + id, round).expect(204);
        phone.put("/api/me/rounds/" + UUID.randomUUID(), round.replace("tee", "hole"))
                .refused(422);
        phone.put("/api/me/rounds/" + UUID.randomUUID(), round.replace(":7", ":11"))
                .refused(400);
        coach.fresh().student().put("/api/me/rounds/" + id, round).refused(404);
        assertThat(between("round:thought").path("points")).hasSize(1);
        assertThat(between("round:held").at("/points/0/value").asDouble()).isEqualTo(40);

        String feet = "{\"day\":\"%s\",\"edition\":1,\"address\":50,\"top\":80,\"impact\":35}".formatted(day());
        phone.put("/api/me/self-checks/" + UUID.randomUUID(), feet).expect(204);
        phone.put("/api/me/self-checks/" + UUID.randomUUID(), feet.replace("80", "180"))
                .refused(400);
        assertThat(between("felt:top").at("/points/0/value").asDouble()).isEqualTo(80);
    }

    @Test
    void aDayThatHasNotComeIsRefusedWithThePhonesClockNamed() {
        LocalDate latest = LocalDateTime.now().plusHours(12).toLocalDate();
        String body = """
                {"planId":"%s","day":"%s","edition":1,"blocks":[],"balls":{},"note":"","finished":false}""";
        String path = "/api/me/practice/" + UUID.randomUUID();
        assertThat(phone.put(path, body.formatted(planId, latest.plusDays(1)))
                        .refused(422)
                        .body()
                        .path("detail")
                        .asString())
                .contains("clock may be wrong");
        phone.put(path, body.formatted(planId, latest)).expect(200);
        phone.put(
                        "/api/me/rounds/" + UUID.randomUUID(),
                        "{\"day\":\"%s\",\"edition\":1,\"thought\":7,\"held\":4,\"cost\":\"tee\"}"
                                .formatted(latest.plusDays(1)))
                .refused(422);
    }

    @Test
    void whatWasTriedInALessonIsHeldAgainstItsFirstBalls() {
        JsonNode lesson = coach.get(begun.lesson()).expect(200).body();
        String entry = """
                {"approach":%s,"signs":{},"before":{"readings":[],"shots":{"flight":{"slice":9,"straight":1}}},
                 "after":{"readings":[],"shots":{}},"note":"","tries":{
                   "b":{"number":2,"drill":"edge-notice","words":"","club":"wedge","length":"waist","readings":[],
                        "shots":{"flight":{"straight":10}},"same":[{"student":"inner","coach":"inner"},
                        {"student":"inner","coach":"outer"}]},
                   "a":{"number":1,"words":"closer stance","readings":[],"shots":{"flight":{"slice":8,"straight":2}},
                        "same":[]}}}""".formatted(lesson.at("/entry/approach"));
        coach.put(begun.lesson() + "/entry", entry).expect(200);
        assertThat(coach.get(begun.lesson()).body().at("/entry/tries/b/club").asString())
                .isEqualTo("wedge");
        JsonNode tried = coach.get(begun.lesson() + "/tried").expect(200).body().path("tried");
        assertThat(tried).hasSize(2);
        assertThat(verdict(tried.at("/0/fromFirst"))).isEqualTo("cannot-tell");
        assertThat(verdict(tried.at("/1/fromFirst"))).isEqualTo("better");
        assertThat(verdict(tried.at("/1/fromBefore"))).isEqualTo("better");
        assertThat(between("agreement:edge-notice").at("/points/0/of").asInt()).isEqualTo(2);
        coach.put(begun.lesson() + "/entry", entry.replace("waist", "knee")).refused(422);
        coach.put(begun.lesson() + "/entry", entry.replace("\"a\":{", "\"a b\":{"))
                .refused(400);
    }

    private static String verdict(JsonNode changes) {
        return changes.valueStream()
                .filter(c -> c.path("id").asString().equals("flight:slice"))
                .map(c -> c.at("/comparison/verdict").asString())
                .findFirst()
                .orElse("none");
    }

    @Test
    void theLastWeeksStandBesideEachName() {
        assertThat(strand(begun.student()).at("/weeks/5/done").asInt()).isZero();
        send(UUID.randomUUID().toString(), 1, block(0, "disc-turn", "feel", "main", "+++++", ""))
                .expect(200);
        JsonNode mine = strand(begun.student());
        assertThat(mine.path("weeks")).hasSize(6);
        assertThat(mine.at("/weeks/5/done").asInt()).isEqualTo(5);
        assertThat(mine.at("/weeks/5/planned").asInt()).isPositive();
        assertThat(mine.path("last").isNull()).as("one lesson says nothing yet").isTrue();
        assertThat(said(coach.student("Bram Ellery"))).isIn("better", "worse", "cannot-tell");
    }

    private JsonNode strand(String student) {
        return coach.get("/api/strands")
                .expect(200)
                .body()
                .valueStream()
                .filter(s -> s.path("studentId").asString().equals(student))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aLessonSavedAgainIsReadAgain() {
        Begun other = Begun.swayer(coach, "improver", "", 15, 30, "home");
        String first = other.lesson();
        coach.put(first + "/focus", "{\"faults\":[\"over-the-top\"],\"reason\":\"seen often\"}")
                .expect(200);
        String second = "/api/lessons/"
                + coach.post("/api/students/" + other.student() + "/lessons", null)
                        .expect(201)
                        .body()
                        .path("id")
                        .asString();
        slices(first, 9);
        slices(second, 9);
        assertThat(said(other.student())).isEqualTo("cannot-tell");
        slices(second, 0);
        assertThat(said(other.student())).isEqualTo("better");
    }

    private void slices(String lesson, int of10) {
        coach.put(lesson + "/entry", """
                {"approach":%s,"signs":{},"before":{"readings":[],"shots":{"flight":{"slice":%d,"straight":%d}}},
                 "after":{"readings":[],"shots":{}},"note":"","tries":{}}""".formatted(coach.get(lesson).body().at("/entry/approach"), of10, 10 - of10))
                .expect(200);
    }

    private String said(String student) {
        return strand(student).at("/last/verdict").asString();
    }

    @Test
    void lengthsAreSaidInTheReadersUnitsAndStoredInOne() {
        coach.put("/api/account/units", "{\"units\":\"furlongs\"}", (Integer) null)
                .refused(422);
        coach.put("/api/account/units", "{\"units\":\"imperial\"}", (Integer) null)
                .expect(204);
        try {
            assertThat(coach.get("/api/session").body().at("/account/units").asString())
                    .isEqualTo("imperial");
            JsonNode said = coach.get("/api/catalogue").expect(200).body();
            assertThat(said.at("/scales/cm/unit").asString()).isEqualTo("in");
            assertThat(said.at("/drills/foot-fence/good").asString()).isEqualTo("It moved 0.8 in or less.");
            JsonNode metric =
                    coach.get("/api/catalogue?units=metric").expect(200).body();
            assertThat(metric.at("/drills/foot-fence/good").asString()).isEqualTo("It moved 2 cm or less.");
            assertThat(phone.get("/api/catalogue").body().at("/scales/cm/unit").asString())
                    .as("the student has an own setting")
                    .isEqualTo("cm");
            String answer = coach.post("/api/diagnosis", """
                            {"measures":[{"id":"pelvis-drift","at":"top","value":12.7,"source":"clip","swings":3}]}""").expect(200).body().toString();
            assertThat(answer).contains("5 in").doesNotContain("{5").doesNotContain(" cm");
        } finally {
            coach.put("/api/account/units", "{\"units\":\"metric\"}", (Integer) null)
                    .expect(204);
        }
    }
}
