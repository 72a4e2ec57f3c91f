package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What is proposed after a lesson, what the coach does with it, and what comes of it. */
@OwnServer
@ExtendWith(RunningServer.class)
class LessonAfterLessonTest {

    private Client coach;
    private Begun begun;

    @BeforeEach
    void aLessonWithSlicesAndAPlan(Client first) {
        coach = first.coach();
        begun = Begun.swayer(coach, "improver", "", 20, 60, "range");
        enter(begun.lesson(), 16);
        coach.post("/api/plans/" + begun.draft(coach) + "/assignment", null).expect(200);
    }

    private void enter(String lesson, int slices) {
        coach.put(lesson + "/entry", """
                        {"approach":{"pressure":"early-return"},"signs":{"pelvis-drifts-back":"yes"},
                         "before":{"readings":[{"id":"trail-share","at":"top","value":75,"source":"seen","swings":3}],
                                   "shots":{"flight":{"slice":%d,"straight":%d},"strike":{},"divot":{}}},
                         "after":{"readings":[],"shots":{"flight":{},"strike":{},"divot":{}}},"note":""}""".formatted(slices, 20 - slices)).expect(200);
    }

    private String nextLesson(int slices) {
        String lesson = "/api/lessons/"
                + coach.post("/api/students/" + begun.student() + "/lessons", null)
                        .expect(201)
                        .body()
                        .path("id")
                        .asString();
        enter(lesson, slices);
        return lesson;
    }

    private JsonNode progress(String lesson) {
        return coach.get(lesson + "/progress").expect(200).body();
    }

    private static JsonNode find(JsonNode list, String field, String value) {
        return list.valueStream()
                .filter(n -> n.path(field).asString().equals(value))
                .findFirst()
                .orElseThrow();
    }

    private void daysPass(int days) {
        for (int day = 0; day < days; day++)
            coach.post("/api/demo/next-day", null).expect(204);
    }

    private static double probability(JsonNode diagnosis, String fault) {
        return find(diagnosis.path("faults"), "id", fault).path("probability").asDouble();
    }

    @Test
    void aLessonRemembersTheOnesBeforeAndCanBeLookedAtWithout() {
        coach.put(begun.lesson() + "/focus", "{\"faults\":[\"frozen-feet\",\"sway\"],\"reason\":\"both\"}")
                .expect(200);
        daysPass(2);
        JsonNode lesson = coach.get(nextLesson(8)).expect(200).body();
        JsonNode before = lesson.at("/history/0");
        assertThat(lesson.path("history")).hasSize(1);
        assertThat(before.path("on").asString()).isEqualTo(begun.today().toString());
        assertThat(before.path("worked").valueStream().map(JsonNode::asString)).containsExactly("frozen-feet", "sway");
        assertThat(before.at("/shots/flight/slice").asInt()).isEqualTo(16);
        assertThat(before.path("practised").asDouble()).isZero();

        String asked = """
                {"handedness":"right","approach":{"pressure":"early-return"},"on":"%s","history":%s,
                 "signs":{"pelvis-drifts-back":"yes"},
                 "measures":[{"id":"trail-share","at":"top","value":75,"source":"seen","swings":3}],
                 "shots":{"flight":{"slice":8,"straight":12}}}""";
        String on = lesson.path("heldOn").asString();
        JsonNode with = coach.post("/api/diagnosis", asked.formatted(on, lesson.path("history")))
                .expect(200)
                .body();
        JsonNode without = coach.post("/api/diagnosis", asked.formatted(on, "[]"))
                .expect(200)
                .body();
        for (JsonNode fault : lesson.at("/diagnosis/faults")) {
            assertThat(probability(with, fault.path("id").asString()))
                    .isCloseTo(fault.path("probability").asDouble(), within(1e-9));
        }
        assertThat(probability(lesson.path("diagnosis"), "sway")).isGreaterThan(probability(without, "sway"));
        assertThat(find(find(lesson.at("/diagnosis/faults"), "id", "sway").path("for"), "evidence", "history")
                        .path("weight")
                        .asDouble())
                .isPositive();
    }

    @Test
    void aDrillWorkedWhereTheNextLessonFindsSomethingBetter() {
        Client phone = phone();
        PhoneEntry day = new PhoneEntry(
                phone.get("/api/me").expect(200).body(), begun.today().toString());
        phone.put("/api/me/practice/" + UUID.randomUUID(), day.with(1, day.check(), "++++++++++"))
                .expect(200);
        String drill = day.blocks().get(day.check()).path("drill").asString();
        int[] before = worked(drill);
        daysPass(2);
        assertThat(worked(drill)).as("until there is a next lesson").isEqualTo(before);
        nextLesson(4);
        assertThat(worked(drill)).containsExactly(before[0] + 1, before[1] + 1);
    }

    /** How often a drill was followed by something better, of how many lessons. */
    private int[] worked(String drill) {
        return coach.get("/api/faults/sway/worked")
                .expect(200)
                .body()
                .at("/better/drills")
                .valueStream()
                .filter(share -> share.path("drill").asString().equals(drill))
                .findFirst()
                .map(share -> new int[] {
                    share.path("worked").asInt(), share.path("of").asInt()
                })
                .orElse(new int[] {0, 0});
    }

    private Client phone() {
        String token = coach.post("/api/students/" + begun.student() + "/invitation", null)
                .expect(201)
                .body()
                .path("token")
                .asString();
        Client phone = coach.fresh();
        phone.get("/api/session").expect(200);
        String email = UUID.randomUUID() + "@phone.example";
        phone.post("/api/invitations/" + token, "{\"email\":\"%s\",\"password\":\"long-enough\"}".formatted(email))
                .expect(201);
        phone.get("/api/session").expect(200);
        return phone;
    }

    @Test
    void theWholeWorkIsComparedFromItsFirstLessonOn() {
        daysPass(1);
        String second = nextLesson(10);
        coach.put(second + "/focus", "{\"faults\":[\"sway\"],\"reason\":\"again\"}")
                .expect(200);
        assertThat(progress(second).path("whole").isNull())
                .as("it began with the last")
                .isTrue();
        assertThat(progress(second).path("signs"))
                .singleElement()
                .satisfies(s -> assertThat(
                                s.path("then").asBoolean() && s.path("now").asBoolean())
                        .isTrue());
        daysPass(1);
        JsonNode third = progress(nextLesson(2));
        assertThat(third.at("/whole/since").asString()).isEqualTo(begun.today().toString());
        JsonNode slices = find(third.at("/whole/changes"), "id", "flight:slice");
        assertThat(slices.path("then").asString()).isEqualTo("16 of 20");
        assertThat(slices.path("now").asString()).isEqualTo("2 of 20");
        assertThat(find(third.path("changes"), "id", "flight:slice")
                        .path("then")
                        .asString())
                .as("since last time")
                .isEqualTo("10 of 20");
    }

    @Test
    void aPlanHandedOverToNobodyIsOnTheOwnCoachsListUntilItsStudentIsInvited(Client second) {
        second.signIn("second@demo.example", "demo-coach");
        coach.post(
                        "/api/students/" + begun.student() + "/stand-ins",
                        "{\"coachId\":\"%s\",\"until\":\"%s\"}".formatted(second.coachId(), begun.today()))
                .expect(200);
        assertThat(coach.wantedOf(begun.student())).contains("not-invited");
        assertThat(second.get("/api/students").body().toString()).contains(begun.student());
        assertThat(second.wantedOf(begun.student()))
                .as("who stands in cannot invite")
                .isEmpty();
        coach.post("/api/students/" + begun.student() + "/invitation", null).expect(201);
        assertThat(coach.wantedOf(begun.student())).doesNotContain("not-invited", "not-opened");
        daysPass(3);
        assertThat(coach.wantedOf(begun.student())).contains("not-opened");
    }

    @Test
    void takenAProposalOpensTheNextPlanAndTheRecordTellsWhatCameOfIt() {
        String second = nextLesson(5);
        JsonNode seen = progress(second);
        assertThat(seen.at("/proposal/kind/id").asString()).isEqualTo("go-on");
        assertThat(seen.at("/proposal/answer").isNull()).isTrue();
        assertThat(seen.path("promised")).as("nothing was due on the first day").isEmpty();
        assertThat(find(seen.path("changes"), "id", "flight:slice").path("said").asString())
                .isEqualTo("From 16 of 20 to 5 of 20: better, and by more than chance.");
        assertThat(find(seen.path("changes"), "id", "trail-share@top/seen")
                        .at("/distance/value")
                        .asDouble())
                .as("the early school wants at most 60 % at the top")
                .isEqualTo(15);

        coach.put(
                        second + "/proposal",
                        "{\"proposed\":\"advance\",\"answer\":\"taken\",\"instead\":null,\"reason\":\"\"}")
                .refused(409);
        coach.put(
                        second + "/proposal",
                        "{\"proposed\":\"go-on\",\"answer\":\"taken\",\"instead\":null,\"reason\":\"\"}")
                .expect(200);
        JsonNode plan = coach.get(second + "/plan").expect(200).body();
        assertThat(plan.path("assigned").asBoolean()).isFalse();
        assertThat(plan.path("nextLesson").asString())
                .isEqualTo(begun.today().plusDays(14).toString());
        assertThat(coach.get(second).expect(200).body().at("/focus/0").asString())
                .isEqualTo("sway");
        assertThat(progress(second).at("/proposal/answer/answer").asString()).isEqualTo("taken");
        coach.post("/api/plans/" + plan.path("id").asString() + "/assignment", null)
                .expect(200);
        coach.put(
                        second + "/proposal",
                        "{\"proposed\":\"go-on\",\"answer\":\"taken\",\"instead\":null,\"reason\":\"\"}")
                .refused(409);

        JsonNode untold = goOn();
        nextLesson(0);
        JsonNode told = goOn();
        assertThat(told.path("taken")).isEqualTo(untold.path("taken"));
        for (String count : List.of("takenTold", "takenBorneOut")) {
            assertThat(told.path(count).asInt()).isEqualTo(untold.path(count).asInt() + 1);
        }
    }

    private JsonNode goOn() {
        return coach.get("/api/proposals")
                .expect(200)
                .body()
                .path("lines")
                .valueStream()
                .filter(l -> l.at("/kind/id").asString().equals("go-on"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void changedItLaysTheOtherPlanAndNeedsAReason() {
        String second = nextLesson(15);
        String changed = "{\"proposed\":\"go-on-and-measure\",\"answer\":\"changed\",\"instead\":%s,\"reason\":\"%s\"}";
        coach.put(second + "/proposal", changed.formatted("\"smaller-plan\"", ""))
                .refused(422);
        coach.put(second + "/proposal", changed.formatted("null", "busy month")).refused(422);
        coach.put(second + "/proposal", changed.formatted("\"go-on-and-measure\"", "busy month"))
                .refused(422);
        coach.put(second + "/proposal", changed.formatted("\"more-of-it\"", "busy month"))
                .refused(422);
        coach.put(second + "/proposal", changed.formatted("\"smaller-plan\"", "busy month"))
                .expect(200);
        JsonNode terms = coach.get(second + "/plan").expect(200).body().path("terms");
        assertThat(terms.path("week").findValuesAsString("minutes"))
                .containsOnly("8", "24")
                .containsOnlyOnce("24");

        coach.put(second + "/proposal", changed.formatted("\"same-rung\"", "needs more of it"))
                .expect(200);
        JsonNode denser = coach.get(second + "/plan").expect(200).body();
        assertThat(denser.at("/terms/edits/shortSets/0/fault").asString()).isEqualTo("sway");
        assertThat(denser.at("/terms/week").isNull())
                .as("every day of the week is taken already")
                .isTrue();
        coach.delete(second + "/proposal").expect(204);
        assertThat(progress(second).at("/proposal/answer").isNull()).isTrue();
    }

    @Test
    void whatWouldBeAnEmptyPlanIsNotTaken() {
        String second = nextLesson(15);
        coach.put("/api/students/" + begun.student(), """
                        {"name":"Isolde Brack","handedness":"right","level":"improver","ageBand":"adult","shoes":"soft",
                         "units":"metric","complaint":"","flags":[],"kit":[],"week":{}}""").expect(200);
        String taken = "{\"proposed\":\"go-on-and-measure\",\"answer\":\"taken\",\"instead\":null,\"reason\":\"\"}";
        assertThat(coach.put(second + "/proposal", taken)
                        .refused(409)
                        .body()
                        .path("detail")
                        .asString())
                .contains("no day of work");
        assertThat(progress(second).at("/proposal/answer").isNull()).isTrue();
        coach.get(second + "/plan").refused(404);
    }

    @Test
    void refusedItIsKeptWithItsReasonAndNothingIsLaid() {
        String second = nextLesson(15);
        coach.put(
                        second + "/proposal",
                        "{\"proposed\":\"go-on-and-measure\",\"answer\":\"refused\",\"instead\":null,\"reason\":\"\"}")
                .refused(422);
        coach.put(
                        second + "/proposal",
                        "{\"proposed\":\"go-on-and-measure\",\"answer\":\"refused\",\"instead\":null,\"reason\":\"going away\"}")
                .expect(200);
        coach.get(second + "/plan").refused(404);
        assertThat(progress(second).at("/proposal/answer/reason").asString()).isEqualTo("going away");
        coach.put(
                        begun.lesson() + "/proposal",
                        "{\"proposed\":\"go-on-and-measure\",\"answer\":\"taken\",\"instead\":null,\"reason\":\"\"}")
                .refused(409);
    }

    @Test
    void aResultThatTurnedUpOnceHasItsZerosInEveryLesson() {
        nextLesson(0);
        JsonNode thread = coach.get("/api/students/" + begun.student() + "/thread")
                .expect(200)
                .body();
        assertThat(thread.at("/knots/0/before/flight:slice/value").asInt()).isEqualTo(80);
        assertThat(thread.at("/knots/1/before/flight:slice/value").asInt()).isZero();
        assertThat(thread.path("series").findValuesAsString("id")).doesNotContain("flight:hook");
        JsonNode top = find(thread.path("series"), "id", "trail-share@top/seen");
        assertThat(top.at("/target/low").asInt()).isEqualTo(40);
        assertThat(thread.at("/knots/0/before/trail-share@top~1seen/distance/value")
                        .asInt())
                .isEqualTo(15);
    }

    @Test
    void twoMomentsStandSideBySide() {
        String second = nextLesson(5);
        String query =
                "/api/students/" + begun.student() + "/compare?first=" + id(begun.lesson()) + "&second=" + id(second);
        JsonNode compared = coach.get(query).expect(200).body();
        assertThat(compared.at("/first/shots/flight/slice").asInt()).isEqualTo(16);
        assertThat(compared.at("/second/readings/0/value").asInt()).isEqualTo(75);
        assertThat(find(compared.path("changes"), "id", "flight:slice")
                        .at("/comparison/verdict")
                        .asString())
                .isEqualTo("better");
        assertThat(coach.get(query + "&secondAt=after").expect(200).body().path("changes"))
                .as("nothing was measured after it")
                .isEmpty();
        coach.get(query + "&secondAt=never").refused(422);
        Begun other = Begun.swayer(coach, "improver", "", 20, 60, "range");
        coach.get("/api/students/" + other.student() + "/compare?first=" + id(other.lesson()) + "&second=" + id(second))
                .refused(422);
    }

    @Test
    void whatWasPractisedBetweenTwoLessonsIsThatOfEveryPlanBetweenThem() {
        String wren = "/api/students/" + coach.student("Wren Castell");
        JsonNode knots = coach.get(wren + "/thread").expect(200).body().path("knots");
        int last = knots.size() - 1;
        assertThat(last).isGreaterThan(1);
        for (String what : List.of("doneDays", "doneReps", "plannedDays", "plannedReps")) {
            int sum = IntStream.range(0, last)
                    .map(i -> knots.at("/%d/done/%s".formatted(i, what)).asInt())
                    .sum();
            assertThat(coach.get(wren + "/compare?first=" + lesson(knots.get(0)) + "&second=" + lesson(knots.get(last)))
                            .expect(200)
                            .body()
                            .at("/done/" + what)
                            .asInt())
                    .as(what)
                    .isEqualTo(sum)
                    .isPositive();
        }
        assertThat(coach.get(wren + "/compare?first=" + lesson(knots.get(last)) + "&second=" + lesson(knots.get(0)))
                        .expect(200)
                        .body()
                        .path("done")
                        .isNull())
                .isTrue();
    }

    private static String lesson(JsonNode knot) {
        return knot.path("lessonId").asString();
    }

    /** 5 of 20 slices, then 12: beyond chance alone, not beyond chance among all that was compared. */
    @Test
    void whatLooksWorseAmongManyOverturnsNothing() {
        String second = nextLesson(5);
        String third = nextLesson(12);
        JsonNode seen = progress(third);
        assertThat(find(seen.path("changes"), "id", "flight:slice")
                        .at("/comparison/verdict")
                        .asString())
                .isEqualTo("worse");
        assertThat(seen.at("/proposal").isNull())
                .as("nothing was decided on in the second")
                .isTrue();
        coach.put(second + "/focus", "{\"faults\":[\"sway\"],\"reason\":\"seen often\"}")
                .expect(200);
        seen = progress(third);
        assertThat(seen.at("/proposal/kind/id").asString()).isEqualTo("go-on-and-measure");
        assertThat(seen.at("/notes/0").asString()).startsWith("slice looks worse; of 3 things compared");
        coach.put(third + "/focus", "{\"faults\":[\"sway\"],\"reason\":\"seen often\"}")
                .expect(200);
        assertThat(progress(nextLesson(20)).at("/proposal/kind/id").asString())
                .as("12 of 20, then all")
                .isEqualTo("look-again");
    }

    @Test
    void twoSourcesOfOneMeasureAreNotSetAgainstEachOther() {
        String second = nextLesson(5);
        JsonNode entry = coach.get(second).expect(200).body().path("entry");
        coach.put(second + "/entry", entry.toString().replace("\"seen\",\"swings\"", "\"plate\",\"swings\""))
                .expect(200);
        JsonNode seen = progress(second);
        assertThat(seen.path("changes").findValuesAsString("id")).noneMatch(id -> id.startsWith("trail-share"));
        assertThat(seen.at("/notes/0").asString()).contains("seen then, plate now");
    }

    static String id(String lesson) {
        return lesson.substring("/api/lessons/".length());
    }
}
