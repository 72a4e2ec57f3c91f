package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningServer.class)
class PlansTest {

    private static final String SEEN = """
            {"approach":{},"signs":{"pelvis-drifts-back":"yes","trail-outer-edge-loaded":"yes","little-hip-turn":"yes"},
             "before":{"readings":[],"shots":{"flight":{"slice":6},"strike":{},"divot":{}}},
             "after":{"readings":[],"shots":{"flight":{},"strike":{},"divot":{}}},"note":""}""";

    private Client coach;
    private String plan;
    private LocalDate from;
    private LocalDate next;

    @BeforeEach
    void decide(Client client) {
        coach = client.coach();
        Begun begun = Begun.swayer(coach, "improver", "\"knee\"", 15, 60, "range");
        from = begun.today();
        next = from.plusDays(14);
        coach.put(begun.lesson() + "/entry", SEEN).expect(200);
        plan = begun.lesson() + "/plan";
    }

    private String terms(String edits) {
        return "{\"from\":\"%s\",\"nextLesson\":\"%s\",\"edits\":%s}".formatted(from, next, edits);
    }

    private String locking(LocalDate date, String rung, String drill, int sets) {
        return terms("""
                {"locked":[{"date":"%s","fault":"sway","rung":"%s","drill":"%s","kind":"main","sets":%d,"repsPerSet":5}],
                 "dropped":[],"chosen":[],"skipped":[]}""".formatted(date, rung, drill, sets));
    }

    private JsonNode draft() {
        return coach.put(plan, "{\"from\":\"%s\",\"nextLesson\":\"%s\"}".formatted(from, next))
                .expect(200)
                .body();
    }

    /** What is planned of a day, and so what is missed of it, are its other blocks. */
    @ParameterizedTest
    @CsvSource({"range", "course"})
    void nobodyOwesATry(String place) {
        Begun begun = Begun.swayer(coach, "improver", "", 20, 60, place);
        coach.post("/api/plans/" + begun.draft(coach) + "/assignment", null).expect(200);
        JsonNode days = coach.get(begun.lesson() + "/plan").expect(200).body().at("/plan/days");
        assertThat(days.findValuesAsString("kind")).contains("try");
        Map<String, Integer> owed = new HashMap<>();
        days.forEach(day -> day.path("blocks").forEach(block -> {
            if (block.path("kind").asString().equals("try")) return;
            int reps = block.path("sets").asInt() * block.path("repsPerSet").asInt();
            owed.merge(day.path("date").asString(), reps, Integer::sum);
        }));
        JsonNode record = coach.get("/api/students/" + begun.student() + "/record")
                .expect(200)
                .body();
        Map<String, Integer> planned = new HashMap<>();
        record.path("planDay")
                .forEach(day -> planned.put(
                        day.path("plannedFor").asString(), day.path("reps").asInt()));
        assertThat(planned).isEqualTo(owed);
    }

    @Test
    void aRoundIsSaidToBeOneInTheCalendar() {
        Begun begun = Begun.swayer(coach, "improver", "", 20, 90, "course");
        String id = begun.draft(coach);
        ICalendar calendar =
                Biweekly.parse(coach.text("/api/plans/" + id + "/calendar.ics")).first();
        assertThat(calendar.getEvents())
                .filteredOn(e -> e.getLocation().getValue().equals("Course"))
                .hasSize(2)
                .allSatisfy(round -> {
                    assertThat(round.getSummary().getValue()).startsWith("Round: ");
                    assertThat(round.getDescription().getValue()).contains("6 swings over the round");
                });
    }

    @Test
    void aPlanWithoutADayOfWorkIsNotHandedOver() {
        Begun begun = Begun.swayer(coach, "improver", "", 20, 60, "range");
        JsonNode empty = coach.put(
                        begun.lesson() + "/plan",
                        "{\"from\":\"%s\",\"nextLesson\":\"%s\",\"week\":{}}"
                                .formatted(begun.today(), begun.today().plusDays(14)))
                .expect(200)
                .body();
        String assignment = "/api/plans/" + empty.path("id").asString() + "/assignment";
        assertThat(coach.post(assignment, null)
                        .refused(409)
                        .body()
                        .path("detail")
                        .asString())
                .startsWith("This plan has no day of work. Give it days in the week");
        coach.post("/api/plans/" + begun.draft(coach) + "/assignment", null).expect(200);
    }

    @Test
    void anEditIsKeptTheRestLaidAroundItAndAnUndoIsTheFirstPlanAgain() {
        JsonNode first = draft();
        assertThat(first.at("/plan/expectedGates").asDouble()).isPositive();
        LocalDate second = LocalDate.parse(first.at("/plan/days/1/date").asString());
        JsonNode edited = coach.put(plan, locking(second, "feel", "outer-prop", 6))
                .expect(200)
                .body();
        JsonNode block = edited.at("/plan/days/1/blocks")
                .valueStream()
                .filter(b -> b.path("kind").asString().equals("main"))
                .findFirst()
                .orElseThrow();
        assertThat(block.path("locked").asBoolean()).isTrue();
        assertThat(block.path("drill").asString()).isEqualTo("outer-prop");
        assertThat(block.path("sets").asInt()).isEqualTo(6);
        assertThat(edited.at("/terms/edits/locked")).hasSize(1);
        assertThat(draft().path("plan")).isEqualTo(first.path("plan"));
    }

    @Test
    void anEditThatBreaksARuleIsRefusedWithTheRuleAndChangesNothing() {
        JsonNode first = draft();
        LocalDate day = LocalDate.parse(first.at("/plan/days/0/date").asString());
        assertThat(coach.put(plan, locking(day, "feel", "disc-turn", 40))
                        .refused(422)
                        .body()
                        .path("detail")
                        .asString())
                .contains("has 15 minutes");
        assertThat(coach.put(plan, locking(next.plusDays(3), "feel", "disc-turn", 4))
                        .refused(422)
                        .body()
                        .path("detail")
                        .asString())
                .contains("outside this plan");
        assertThat(coach.get(plan).expect(200).body().path("plan")).isEqualTo(first.path("plan"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"locked\":[{\"date\":\"2030-01-01\",\"fault\":\"hop\",\"rung\":\"feel\",\"drill\":\"disc-turn\",\"kind\":\"main\",\"sets\":1,\"repsPerSet\":5}],\"dropped\":[],\"chosen\":[],\"skipped\":[]} | 422",
                "{\"locked\":[{\"date\":\"2030-01-01\",\"fault\":\"sway\",\"rung\":\"feel\",\"drill\":\"disc-turn\",\"kind\":\"dance\",\"sets\":1,\"repsPerSet\":5}],\"dropped\":[],\"chosen\":[],\"skipped\":[]} | 422",
                "{\"locked\":[],\"dropped\":[],\"chosen\":[{\"fault\":\"sway\",\"rung\":\"feel\",\"drill\":\"no-such\"}],\"skipped\":[]} | 422",
                "{\"locked\":[null],\"dropped\":[],\"chosen\":[],\"skipped\":[]} | 400",
                "{\"locked\":[]} | 400"
            })
    void nonsenseIsRefused(String edits, int status) {
        coach.put(plan, terms(edits)).refused(status);
    }

    @Test
    void offersAreWorkedOutAndCanBeTaken() {
        draft();
        JsonNode offers = coach.get(plan + "/offers").expect(200).body();
        assertThat(offers.path("offers").findValuesAsString("code"))
                .contains("soft-ball", "lesson-check", "range-day", "later-lesson");
        for (JsonNode offer : offers.path("offers")) {
            JsonNode taken =
                    coach.put(plan, offer.path("terms").toString()).expect(200).body();
            assertThat(taken.at("/plan/totals/reps").asInt())
                    .as(offer.toString())
                    .isEqualTo(offer.path("reps").asInt());
            assertThat(taken.at("/plan/expectedGates").asDouble())
                    .isEqualTo(offer.path("gates").asDouble());
        }
    }

    @Test
    void aSoreBackIsSparedUntilTheCoachTakesItOff() {
        String lesson = plan.replace("/plan", "");
        coach.put(lesson + "/entry", SEEN.replace("\"signs\":{", "\"signs\":{\"back-soreness\":\"yes\","))
                .expect(200);
        JsonNode sparing = draft();
        assertThat(sparing.at("/plan/spared/0").asString()).isEqualTo("back");
        JsonNode whole = coach.put(
                        plan, "{\"from\":\"%s\",\"nextLesson\":\"%s\",\"unspared\":[\"back\"]}".formatted(from, next))
                .expect(200)
                .body();
        assertThat(whole.at("/plan/spared").isMissingNode()
                        || whole.at("/plan/spared").isNull())
                .isTrue();
        coach.put(plan, "{\"from\":\"%s\",\"nextLesson\":\"%s\",\"unspared\":[\"tail\"]}".formatted(from, next))
                .refused(422);
    }

    @Test
    void aPlanWithoutARealBallMeasuresAtTheNextLessonUnlessTheCoachSaysOtherwise() {
        JsonNode range = draft();
        assertThat(range.at("/terms/lessonCheck").asBoolean()).as("a range day").isFalse();
        Begun home = Begun.swayer(coach, "improver", "", 20, 30, "home");
        home.draft(coach);
        JsonNode laid = coach.get(home.lesson() + "/plan").expect(200).body();
        assertThat(laid.at("/terms/lessonCheck").asBoolean()).isTrue();
        String without = laid.path("terms").toString().replace("\"lessonCheck\":true", "\"lessonCheck\":false");
        JsonNode taken = coach.put(home.lesson() + "/plan", without).expect(200).body();
        assertThat(taken.at("/terms/lessonCheck").asBoolean()).isFalse();
    }

    @Test
    void whatTheStudentWillHaveAndHowItIsLaidAreTerms() {
        JsonNode laid = coach.put(
                        plan,
                        "{\"from\":\"%s\",\"nextLesson\":\"%s\",\"kit\":[\"foam-ball\"],\"lessonCheck\":true,\"oneThing\":false}"
                                .formatted(from, next))
                .expect(200)
                .body();
        assertThat(laid.at("/terms/kit/0").asString()).isEqualTo("foam-ball");
        assertThat(laid.at("/terms/lessonCheck").asBoolean()).isTrue();
        assertThat(laid.at("/plan/days").findValuesAsString("form")).contains("soft-ball");
        coach.put(plan, "{\"from\":\"%s\",\"nextLesson\":\"%s\",\"kit\":[\"trampoline\"]}".formatted(from, next))
                .refused(422);
    }

    @Test
    void aCoachsOwnSetsAreTermsAndWildOnesAreRefused() {
        String asked = "{\"from\":\"%s\",\"nextLesson\":\"%s\",\"sets\":%s}";
        JsonNode laid = coach.put(plan, asked.formatted(from, next, "{\"size\":5,\"repsADay\":40}"))
                .expect(200)
                .body();
        assertThat(laid.at("/terms/sets/size").asInt()).isEqualTo(5);
        assertThat(laid.at("/plan/days")
                        .valueStream()
                        .flatMap(day -> day.path("blocks").valueStream())
                        .filter(block -> block.path("kind").asString().equals("main")
                                && block.path("strikes").asInt() == 0))
                .isNotEmpty()
                .allMatch(block -> block.path("repsPerSet").asInt() == 5
                        && block.path("sets").asInt() <= 8);
        for (String wild : List.of("{\"size\":40}", "{\"repsADay\":600}", "{\"size\":-1}")) {
            coach.put(plan, asked.formatted(from, next, wild)).refused(422);
        }
    }

    @Test
    void aTemplateIsFittedToWhatAnotherStudentMayDo() {
        coach.put(plan, terms("""
                        {"locked":[],"dropped":[],"chosen":[{"fault":"sway","rung":"rehearse","drill":"rod-underfoot"}],
                         "skipped":[{"fault":"sway","rung":"build"}]}""")).expect(200);
        String lesson = plan.split("/")[3];
        JsonNode kept = coach.post(
                        "/api/templates", "{\"lessonId\":\"%s\",\"name\":\"Sway, two weeks\"}".formatted(lesson))
                .expect(201)
                .body();
        assertThat(kept.path("days").asInt()).isEqualTo(14);
        assertThat(coach.get("/api/templates").expect(200).body().findValuesAsString("name"))
                .contains("Sway, two weeks");
        String use = plan + "/template/" + kept.path("id").asString();
        JsonNode drafted = coach.put(use, "").expect(200).body();
        assertThat(drafted.at("/plan/route").findValuesAsString("drill")).contains("rod-underfoot");
        assertThat(drafted.at("/plan/route").findValuesAsString("rung")).doesNotContain("build");
        coach.post("/api/templates", "{\"lessonId\":\"%s\",\"name\":\" \"}".formatted(lesson))
                .refused(400);
        coach.delete("/api/templates/" + kept.path("id").asString()).expect(204);
        coach.put(use, "").refused(404);
    }

    @Test
    void alternativesLeaveOutWhatAFlaggedKneeForbids() {
        draft();
        JsonNode alternatives = coach.get(plan + "/alternatives?fault=sway&rung=feel")
                .expect(200)
                .body();
        assertThat(alternatives.findValuesAsString("drill"))
                .contains("disc-turn")
                .doesNotContain("grip-turns");
        coach.get(plan + "/alternatives?fault=sway&rung=attic").refused(422);
    }

    /** Read back by another library's eyes: plain text lines and the parser's own. */
    @Test
    void theCalendarUpdatesInsteadOfDoubling() {
        JsonNode first = draft();
        String id = first.path("id").asString();
        coach.post("/api/plans/" + id + "/assignment", null).expect(200);
        ICalendar before =
                Biweekly.parse(coach.text("/api/plans/" + id + "/calendar.ics")).first();
        assertThat(before.getEvents())
                .hasSameSizeAs(first.at("/plan/days").valueStream().toList());
        VEvent event = before.getEvents().get(0);
        assertThat(event.getSummary().getValue()).startsWith("Practice: ");
        assertThat(event.getDateStart().getValue().hasTime()).isFalse();
        assertThat(event.getSequence().getValue()).isEqualTo(1);
        assertThat(coach.text("/api/plans/" + id + "/calendar.ics").split("\r\n"))
                .allMatch(line -> line.getBytes(StandardCharsets.UTF_8).length <= 75);

        LocalDate gone = LocalDate.parse(first.at("/plan/days/3/date").asString());
        JsonNode again = coach.put(plan, terms("""
                        {"locked":[],"dropped":[{"date":"%s","fault":"sway","kind":"main"}],"chosen":[],"skipped":[]}""".formatted(gone))).expect(200).body();
        coach.post("/api/plans/" + again.path("id").asString() + "/assignment", null)
                .expect(200);
        ICalendar after =
                Biweekly.parse(coach.text("/api/plans/" + id + "/calendar.ics")).first();
        assertThat(after.getEvents())
                .extracting(e -> e.getUid().getValue())
                .contains(event.getUid().getValue());
        assertThat(after.getEvents())
                .extracting(e -> e.getSequence().getValue())
                .containsOnly(2);
        assertThat(after.getEvents())
                .filteredOn(e -> e.getStatus() != null && e.getStatus().isCancelled())
                .extracting(e -> e.getUid().getValue())
                .containsExactly(id + "-" + gone + "@hodegon");
    }

    @Test
    void aDraftIsThrownAwayAsAWholeAndTheRunningPlanStays() {
        String id = draft().path("id").asString();
        coach.delete(plan).expect(204);
        coach.get(plan).refused(404);
        coach.delete(plan).refused(404);
        id = draft().path("id").asString();
        coach.post("/api/plans/" + id + "/assignment", null).expect(200);
        draft();
        coach.delete(plan).expect(204);
        JsonNode running = coach.get(plan).expect(200).body();
        assertThat(running.path("id").asString()).isEqualTo(id);
        assertThat(running.path("assigned").asBoolean()).isTrue();
        coach.delete(plan).refused(404);
    }

    @Test
    void aRunningPlanTakesNewDaysInAndKeepsItsId() {
        String id = draft().path("id").asString();
        coach.post("/api/plans/" + id + "/assignment", null).expect(200);
        LocalDate last = next.minusDays(2);
        JsonNode again = coach.put(plan, locking(last, "feel", "outer-prop", 3))
                .expect(200)
                .body();
        assertThat(again.path("assigned").asBoolean()).isFalse();
        assertThat(again.path("changes").toString()).contains("outer edge");
        JsonNode handed = coach.post("/api/plans/" + again.path("id").asString() + "/assignment", null)
                .expect(200)
                .body();
        assertThat(handed.path("id").asString()).isEqualTo(id);
        assertThat(handed.path("assigned").asBoolean()).isTrue();
        assertThat(handed.path("changes")).isEmpty();
        assertThat(coach.get(plan).expect(200).body().path("id").asString()).isEqualTo(id);
    }

    @Test
    void twoDrillsAreJoinedTakenApartAgainAndRefusedWhereTheyShareAFoot() {
        Begun begun = Begun.swayer(coach, "improver", "", 20, 60, "range");
        begun.draft(coach);
        JsonNode plan = coach.get(begun.lesson() + "/plan").body();
        JsonNode main = plan.at("/plan/days")
                .valueStream()
                .flatMap(d -> d.path("blocks").valueStream())
                .filter(b -> b.path("kind").asString().equals("main"))
                .findFirst()
                .orElseThrow();
        String rung = main.path("rung").asString();
        String own = main.path("drill").asString();
        String at = "?drill=" + own + "&rung=" + rung;
        JsonNode partners =
                coach.get(begun.lesson() + "/plan/partners" + at).expect(200).body();
        assertThat(partners).isNotEmpty();
        String joined = "{\"fault\":\"sway\",\"rung\":\"%s\",\"drill\":\"%s\"}";
        String terms =
                "{\"from\":\"%s\",\"nextLesson\":\"%s\",\"edits\":{\"locked\":[],\"dropped\":[],\"chosen\":[],\"skipped\":[],\"joined\":[%s]}}";
        String partner = partners.at("/0/drill").asString();
        JsonNode with = coach.put(
                        begun.lesson() + "/plan",
                        terms.formatted(begun.today(), begun.today().plusDays(14), joined.formatted(rung, partner)))
                .expect(200)
                .body();
        assertThat(with.at("/plan/days")
                        .valueStream()
                        .flatMap(d -> d.path("blocks").valueStream())
                        .map(b -> b.path("joined").asString("")))
                .contains(partner);
        JsonNode profile = coach.get("/api/students/" + begun.student()).body().path("profile");
        coach.put(
                        "/api/students/" + begun.student(),
                        profile.toString()
                                .replace("\"flags\":[]", "\"flags\":[\"back\",\"knee\",\"hip\",\"ankle\",\"balance\"]"))
                .expect(200);
        coach.put(
                        begun.lesson() + "/plan",
                        terms.formatted(begun.today(), begun.today().plusDays(13), joined.formatted(rung, partner)))
                .expect(200)
                .body();
        assertThat(coach.put(
                                begun.lesson() + "/plan",
                                terms.formatted(begun.today(), begun.today().plusDays(14), joined.formatted(rung, own)))
                        .refused(422)
                        .body()
                        .path("detail")
                        .asString())
                .isEqualTo("A drill is not joined with itself.");
        coach.put(
                        begun.lesson() + "/plan",
                        terms.formatted(begun.today(), begun.today().plusDays(14), joined.formatted(rung, "no-drill")))
                .refused(422);
        JsonNode apart = coach.put(
                        begun.lesson() + "/plan",
                        terms.formatted(begun.today(), begun.today().plusDays(14), joined.formatted(rung, "")))
                .expect(200)
                .body();
        assertThat(apart.at("/plan/days")
                        .valueStream()
                        .flatMap(d -> d.path("blocks").valueStream()))
                .noneMatch(b -> b.hasNonNull("joined"));
    }
}
