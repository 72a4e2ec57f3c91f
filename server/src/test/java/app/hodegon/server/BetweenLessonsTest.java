package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** From one lesson to the next: what a student's practice does to gates, plan and the coach's list. */
@OwnServer
@ExtendWith(RunningServer.class)
class BetweenLessonsTest {

    private static final String GOOD = "++++++++++";
    private static final String POOR = "++--------";
    private static final String SIX = "++++++----";

    private Client coach;
    private Client phone;
    private String student;
    private String planId;

    @BeforeEach
    void handOver(Client first, Client second) {
        coach = first.coach();
        Begun begun = Begun.swayer(coach, "beginner", "", 20, 20, "home");
        student = begun.student();
        planId = begun.draft(coach);
        coach.post("/api/plans/" + planId + "/assignment", null).expect(200);
        String token = coach.post("/api/students/" + student + "/invitation", null)
                .expect(201)
                .body()
                .path("token")
                .asString();
        String mail = UUID.randomUUID() + "@x.example";
        second.get("/api/session").expect(200);
        second.post("/api/invitations/" + token, "{\"email\":\"%s\",\"password\":\"long-enough\"}".formatted(mail))
                .expect(201);
        phone = second.signIn(mail, "long-enough");
    }

    private JsonNode days() {
        return phone.get("/api/me").expect(200).body().at("/plan/plan/days");
    }

    private void nextDay() {
        coach.post("/api/demo/next-day", null).expect(204);
    }

    /** Does today's check and sleeps over it. */
    private void practise(String check) {
        practise(check, "");
        nextDay();
    }

    private void practise(String check, String note) {
        PhoneEntry day = day();
        assertThat(day.blocks().at("/" + day.check() + "/kind").asString()).isEqualTo("check");
        phone.put("/api/me/practice/" + UUID.randomUUID(), day.with(1, day.check(), check, "\"feel\":4,", note, true))
                .expect(200);
    }

    /** Today, as the phone has it. */
    private PhoneEntry day() {
        return new PhoneEntry(
                phone.get("/api/me").expect(200).body(),
                coach.get("/api/day").expect(200).body().path("date").asString());
    }

    private JsonNode laidAgain() {
        return coach.get("/api/plans/" + planId + "/laid-again").expect(200).body();
    }

    @Test
    void aGatePassedEarlyLaysTheRestAgainAndKeepsWhatHappened() {
        JsonNode before = days();
        assertThat(before.at("/2/blocks/1/rung").asString()).as("foreseen").isEqualTo("feel");
        practise(GOOD);
        assertThat(laidAgain()).isEmpty();
        practise(GOOD);
        JsonNode after = days();
        assertThat(laidAgain().at("/0/reason").asString()).isEqualTo("Feel was passed.");
        assertThat(laidAgain().at("/0/changes")).isNotEmpty();
        assertThat(after.get(0)).isEqualTo(before.get(0));
        assertThat(after.get(1)).isEqualTo(before.get(1));
        assertThat(after.at("/2/blocks/1/rung").asString()).isEqualTo("rehearse");
        JsonNode me = phone.get("/api/me").expect(200).body();
        assertThat(me.at("/plan/id").asString()).isEqualTo(planId);
        assertThat(me.path("rescue").asString()).as("for the card").isNotBlank();
    }

    private String lessonPlan() {
        JsonNode thread =
                coach.get("/api/students/" + student + "/thread").expect(200).body();
        return "/api/lessons/" + thread.at("/knots/0/lessonId").asString() + "/plan";
    }

    private JsonNode plan() {
        return coach.get(lessonPlan()).expect(200).body();
    }

    private JsonNode main() {
        return day().blocks()
                .valueStream()
                .filter(b -> b.path("kind").asString().equals("main"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aGateThatDoesNotOpenHoldsEveryDayAfterIt() {
        JsonNode promised = plan().path("promised");
        assertThat(promised.findValuesAsString("rung")).startsWith("feel", "rehearse");
        String drill = main().path("drill").asString();
        practise(SIX);
        assertThat(reasonOfLaying()).isEqualTo("Feel stays at 6 of 10, it takes 8: slower on its next day.");
        assertThat(main().path("condition").asString()).isEqualTo("slower");
        practise(SIX);
        assertThat(reasonOfLaying()).startsWith("Feel stays at 6 of 10, it takes 8: in fives, with ");
        assertThat(main().path("drill").asString()).isNotEqualTo(drill);
        assertThat(main().path("repsPerSet").asInt()).isLessThanOrEqualTo(5);
        for (int day = 0; day < 4; day++) {
            assertThat(main().path("rung").asString()).isEqualTo("feel");
            practise(SIX);
        }
        assertThat(reasonOfLaying()).endsWith("The coach is asked to look.");
        assertThat(plan().path("promised")).as("as it was handed over").isEqualTo(promised);
        assertThat(plan().at("/plan/route/0/likelyOn"))
                .as("while the forecast moves")
                .isNotEqualTo(promised.at("/0/likelyOn"));
    }

    @Test
    void aDraftThatTheCoachHasOpenHoldsNothingUp() {
        coach.put(lessonPlan(), plan().path("terms").toString()).expect(200);
        assertThat(plan().path("assigned").asBoolean()).isFalse();
        practise(SIX);
        assertThat(reasonOfLaying()).startsWith("Feel stays at 6 of 10");
        assertThat(main().path("condition").asString()).isEqualTo("slower");
        assertThat(plan().path("assigned").asBoolean()).isFalse();
        coach.post("/api/plans/" + plan().path("id").asString() + "/assignment", null)
                .expect(200);
        assertThat(main().path("rung").asString()).as("and the draft follows").isEqualTo("feel");
    }

    private String reasonOfLaying() {
        return laidAgain().at("/0/reason").asString();
    }

    @Test
    void aLessonBeginsWithACheckOfTheOpenRung() {
        practise(GOOD);
        String lesson = "/api/lessons/"
                + coach.post("/api/students/" + student + "/lessons", null)
                        .expect(201)
                        .body()
                        .path("id")
                        .asString();
        JsonNode open = coach.get(lesson + "/checks").expect(200).body();
        assertThat(open.at("/0/rung").asString()).isEqualTo("feel");
        assertThat(open.at("/0/good").isNull()).isTrue();
        coach.put(lesson + "/checks/sway", "{\"good\":11}").refused(400);
        coach.put(lesson + "/checks/hop", "{\"good\":8}").refused(422);
        coach.put(lesson + "/checks/toe-fall", "{\"good\":8}").refused(422);
        Client stranger = coach.fresh().signIn("second@demo.example", "demo-coach");
        stranger.put(lesson + "/checks/sway", "{\"good\":8}").refused(404);

        JsonNode scored =
                coach.put(lesson + "/checks/sway", "{\"good\":9}").expect(200).body();
        assertThat(scored.at("/0/said").asString()).contains("gate is passed");
        coach.put(lesson + "/focus", "{\"faults\":[\"sway\"],\"reason\":\"goes on\"}")
                .expect(200);
        assertThat(firstRung(lesson)).as("a check like any other").isEqualTo("rehearse");
        assertThat(coach.delete(lesson + "/checks/sway")
                        .expect(200)
                        .body()
                        .at("/0/good")
                        .isNull())
                .isTrue();
        assertThat(firstRung(lesson)).isEqualTo("feel");
    }

    /** The lowest gated rung of a plan drafted in this lesson. */
    private String firstRung(String lesson) {
        LocalDate today = LocalDate.parse(
                coach.get("/api/day").expect(200).body().path("date").asString());
        return coach.put(
                        lesson + "/plan",
                        "{\"from\":\"%s\",\"nextLesson\":\"%s\"}".formatted(today, today.plusDays(14)))
                .expect(200)
                .body()
                .at("/plan/route")
                .valueStream()
                .filter(step -> !step.path("gate").isNull())
                .findFirst()
                .orElseThrow()
                .path("rung")
                .asString();
    }

    @Test
    void aStepBackOpensTheRungBelowAgain() {
        practise(GOOD);
        practise(GOOD);
        practise(POOR);
        practise(POOR);
        assertThat(laidAgain().at("/0/reason").asString()).isEqualTo("Rehearse was too high for now: a step back.");
        assertThat(days().at("/4/blocks").valueStream().map(b -> b.path("rung").asString()))
                .doesNotContain("rehearse")
                .contains("feel");
    }

    @Test
    void whatWasDoneByThePlanAsItWasIsKeptAndSaysSo() {
        PhoneEntry old = day();
        practise(GOOD);
        practise(GOOD);
        String third = old.me().at("/plan/plan/days/2/date").asString();
        PhoneEntry offline = new PhoneEntry(old.me(), third);
        JsonNode stored = phone.put(
                        "/api/me/practice/" + UUID.randomUUID(), offline.with(1, offline.check(), GOOD, "", "", true))
                .expect(200)
                .body();
        assertThat(stored.at("/session/earlierPlan").asBoolean()).isTrue();
        JsonNode seen = coach.get("/api/students/" + student + "/practice")
                .expect(200)
                .body()
                .at("/sessions/0");
        assertThat(seen.path("earlierPlan").asBoolean()).isTrue();
        assertThat(seen.at("/blocks/0/rung").asString()).isEqualTo("feel");
        assertThat(coach.get("/api/students/" + student + "/practice?page=1")
                        .expect(200)
                        .body()
                        .path("sessions"))
                .isEmpty();
    }

    @Test
    void lostTwiceIsOnTheCoachsListUntilSeen() {
        practise(POOR);
        assertThat(coach.wantedOf(student)).isEmpty();
        practise(POOR);
        assertThat(coach.wantedOf(student)).containsExactly("lost");
        coach.post("/api/day/seen", "{\"studentId\":\"%s\",\"kind\":\"lost\",\"key\":\"%s\"}".formatted(student, key()))
                .expect(204);
        assertThat(coach.wantedOf(student)).isEmpty();
        practise(POOR);
        practise(POOR);
        assertThat(coach.wantedOf(student)).as("it happened again").containsExactly("lost");
    }

    private String key() {
        return entry().path("key").asString();
    }

    /** What the coach's list says first of this student. */
    private JsonNode entry() {
        return coach.get("/api/day")
                .expect(200)
                .body()
                .path("attention")
                .valueStream()
                .filter(a -> a.path("studentId").asString().equals(student))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void threeDaysMissedAreNoticedWithoutAnybodyWriting() {
        practise(GOOD);
        for (int day = 0; day < 3; day++) nextDay();
        assertThat(coach.wantedOf(student)).containsExactly("absent");
        assertThat(laidAgain()).isEmpty();
        assertThat(day().blocks().at("/1/rung").asString())
                .as("what was foreseen for days that did not happen is not taken as done")
                .isEqualTo("feel");
        assertThat(laidAgain().at("/0/reason").asString()).isEqualTo("3 planned days were missed.");
        assertThat(coach.get("/api/students/" + student + "/planned")
                        .expect(200)
                        .body())
                .as("four days behind, and today")
                .hasSize(5);
        practise(GOOD);
        assertThat(coach.wantedOf(student)).isEmpty();
        assertThat(laidAgain().at("/0/reason").asString())
                .as("the missed days are said once")
                .isEqualTo("Feel was passed.");
    }

    @Test
    void aNoteGoesBackAndForth() {
        practise(GOOD, "The disc slips on the carpet.");
        assertThat(coach.wantedOf(student)).containsExactly("note");
        String notes = "/api/students/" + student + "/notes";
        String session = coach.get(notes).expect(200).body().at("/0/session").asString();
        coach.post(notes + "/" + session + "/answers", "{\"said\":\" \"}").refused(400);
        coach.post(notes + "/" + session + "/answers", "{\"said\":\"Try it on tiles.\"}")
                .expect(200);
        assertThat(coach.wantedOf(student)).isEmpty();
        JsonNode seen = phone.get("/api/me/notes").expect(200).body();
        assertThat(seen.at("/0/answers/0/said").asString()).isEqualTo("Try it on tiles.");
        phone.post("/api/me/notes/" + session + "/answers", "{\"said\":\"Better, thanks.\"}")
                .expect(200);
        assertThat(coach.wantedOf(student)).containsExactly("note");
        coach.post(notes + "/" + UUID.randomUUID() + "/answers", "{\"said\":\"x\"}")
                .refused(404);
    }

    @Test
    void aGateThatTheCoachSignsWaitsAndThenOpensTheNextRung() {
        String gate = "/api/students/" + student + "/gates/sway/feel";
        coach.put(gate, "{\"good\":5,\"coachSigns\":true}").refused(422);
        coach.put("/api/students/" + student + "/gates/sway/prepare", "{\"good\":8,\"coachSigns\":true}")
                .refused(422);
        coach.put(gate, "{\"good\":7,\"coachSigns\":true}").expect(204);
        practise(GOOD);
        practise(GOOD);
        assertThat(coach.wantedOf(student)).containsExactly("gate-waits");
        assertThat(laidAgain().at("/0/reason").asString()).isEqualTo("Feel waits for the coach's word.");
        assertThat(days().at("/2/blocks/1/rung").asString())
                .as("and the plan with it")
                .isEqualTo("feel");
        coach.post(gate + "/signature", null).expect(204);
        assertThat(coach.wantedOf(student)).isEmpty();
        assertThat(laidAgain().at("/0/reason").asString()).isEqualTo("Feel was signed by the coach.");
        assertThat(coach.get("/api/students/" + student + "/gates")
                        .expect(200)
                        .body()
                        .at("/0/signed")
                        .asBoolean())
                .isTrue();
    }

    @Test
    void aPlanIsMadeSmallerOnceSaysWhatChangesAndCanBeUndone() {
        String again = "/api/plans/" + planId + "/laid-again";
        practise(GOOD);
        for (int day = 0; day < 5; day++) nextDay();
        assertThat(reason()).startsWith("No practice on 5 planned days, from ");
        // The student looks: what was missed is taken out, and is missed all the same.
        days();
        assertThat(reason()).startsWith("No practice on 5 planned days, from ");

        JsonNode told =
                coach.get("/api/plans/" + planId + "/smaller").expect(200).body();
        coach.post(again, "{\"smaller\":true}").expect(200);
        assertThat(told.path("changes")).isEqualTo(laidAgain().at("/0/changes"));
        assertThat(minutesLeft()).isEqualTo(told.path("minutesThen").asInt());
        assertThat(told.path("minutesThen").asInt())
                .isLessThan(told.path("minutes").asInt());
        assertThat(coach.wantedOf(student)).isEmpty();
        coach.post(again, "{\"smaller\":true}").refused(409);
        assertThat(minutesLeft()).as("once").isEqualTo(told.path("minutesThen").asInt());

        coach.post(again, "{\"smaller\":false}").expect(200);
        assertThat(minutesLeft()).isEqualTo(told.path("minutes").asInt());
        assertThat(coach.wantedOf(student)).containsExactly("absent");
        coach.post(again, "{}").refused(409);

        coach.post(again, "{\"smaller\":true}").expect(200);
        for (int day = 0; day < 3; day++) nextDay();
        assertThat(reason()).as("three more").startsWith("No practice on 3 planned days");
    }

    private String reason() {
        return entry().path("reason").asString();
    }

    private int minutesLeft() {
        String today = coach.get("/api/day").expect(200).body().path("date").asString();
        return (int) Math.round(days().valueStream()
                .filter(d -> d.path("date").asString().compareTo(today) >= 0)
                .mapToDouble(d -> d.path("minutes").asDouble())
                .average()
                .orElseThrow());
    }

    @Test
    void painStopsADrillEverywhereAtOnce() {
        String plan = lessonPlan();
        coach.post("/api/plans/" + planId + "/printed", null).expect(204);
        PhoneEntry day = day();
        String drill = main().path("drill").asString();
        phone.put(
                        "/api/me/practice/" + UUID.randomUUID(),
                        day.with(
                                1,
                                1,
                                "++",
                                "\"pain\":{\"where\":\"back\",\"score\":6,\"drill\":\"%s\"},".formatted(drill),
                                "",
                                false))
                .expect(200);
        JsonNode now = coach.get(plan).expect(200).body();
        assertThat(now.at("/stopped/0/drill").asString()).isEqualTo(drill);
        assertThat(laidAgain().at("/0/reason").asString())
                .contains(" was stopped for pain: for now half as much")
                .doesNotContain(drill);
        assertThat(now.at("/plan/days").valueStream().skip(1).toList().toString())
                .doesNotContain("\"" + drill + "\"");
        assertThat(now.at("/plan/days")
                        .valueStream()
                        .skip(1)
                        .flatMap(d -> d.path("blocks").valueStream()))
                .as("down, never up: no higher rung, half as fast")
                .isNotEmpty()
                .allMatch(b -> Set.of("prepare", "feel").contains(b.path("rung").asString()))
                .allMatch(b -> !b.path("kind").asString().equals("main")
                        || b.path("speed").asInt() <= 25);
        assertThat(reason()).contains("It still stands on the paper printed on ");
        assertThat(coach.text("/api/plans/" + planId + "/calendar.ics").replace("\r\n ", ""))
                .contains("Stopped for pain\\, leave it out");
        coach.delete("/api/students/" + student + "/stops/" + drill).expect(204);
        assertThat(coach.get(plan).expect(200).body().path("stopped")).isEmpty();
    }

    @Test
    void noPlanHasAStoppedDrillOnTheDaysLeft(Client demo) {
        demo.coach();
        int stopped = 0;
        for (JsonNode student : demo.get("/api/students").expect(200).body()) {
            String id = student.path("id").asString();
            JsonNode knots = demo.get("/api/students/" + id + "/thread")
                    .expect(200)
                    .body()
                    .path("knots");
            if (knots.isEmpty()) continue;
            String lesson = knots.get(knots.size() - 1).path("lessonId").asString();
            Client.Answer answer = demo.get("/api/lessons/" + lesson + "/plan");
            if (answer.status() != 200) continue;
            for (JsonNode stop : answer.body().path("stopped")) {
                stopped++;
                assertThat(answer.body()
                                .at("/plan/days")
                                .valueStream()
                                .filter(d -> d.path("date")
                                                .asString()
                                                .compareTo(student.path("today").asString())
                                        >= 0)
                                .toList()
                                .toString())
                        .as(student.path("name").asString())
                        .doesNotContain("\"" + stop.path("drill").asString() + "\"");
            }
        }
        assertThat(stopped).isPositive();
    }

    @Test
    void nothingIsDecidedForDaysThatLieBehind() {
        practise(GOOD);
        String plan = lessonPlan();
        JsonNode now = coach.get(plan).expect(200).body();
        String behind = now.at("/plan/days/0/date").asString();
        String terms = """
                {"from":"%s","nextLesson":"%s","edits":{"locked":[%s],"dropped":[%s],"chosen":[],"skipped":[]}}""";
        String from = now.at("/terms/from").asString();
        String next = now.path("nextLesson").asString();
        String dropped = "{\"date\":\"%s\",\"fault\":\"sway\",\"kind\":\"main\"}";
        String locked =
                "{\"date\":\"%s\",\"fault\":\"sway\",\"rung\":\"feel\",\"drill\":\"%s\",\"kind\":\"main\",\"sets\":3,\"repsPerSet\":5}";
        String drill = now.at("/plan/days/1/blocks/0/drill").asString();
        String ahead = now.at("/plan/days/2/date").asString();
        for (String to :
                List.of(behind, java.time.LocalDate.parse(from).minusDays(1).toString(), next)) {
            coach.put(plan, terms.formatted(from, next, locked.formatted(to, drill), dropped.formatted(ahead)))
                    .refused(422);
        }
        assertThat(coach.put(plan, terms.formatted(from, next, "", dropped.formatted(behind)))
                        .refused(422)
                        .body()
                        .path("detail")
                        .asString())
                .contains("lies behind or is practised already");
        assertThat(coach.get(plan).expect(200).body().at("/plan/days")).isEqualTo(now.at("/plan/days"));
    }

    @Test
    void theCoachsDayNamesItsLessonsWithWhatWasDoneAndPainFirst(Client demo) {
        JsonNode day = demo.coach().get("/api/day").expect(200).body();
        assertThat(day.path("attention").valueStream().map(a -> a.path("kind").asString()))
                .first()
                .isEqualTo("pain");
        // Days pass until somebody's lesson has come.
        while (day.path("lessons").isEmpty()) {
            nextDay();
            day = demo.get("/api/day").expect(200).body();
        }
        JsonNode due = day.at("/lessons/0");
        assertThat(due.at("/done/plannedDays").asInt()).isPositive();
        assertThat(due.at("/done/doneDays").asInt())
                .isBetween(0, due.at("/done/plannedDays").asInt());
    }
}
