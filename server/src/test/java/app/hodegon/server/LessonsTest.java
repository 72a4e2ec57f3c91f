package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.core.diagnosis.Catalogue;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningServer.class)
class LessonsTest {

    private static final String ENTRY = """
            {"approach":{"pressure":"full-load","trail-heel":"release-up"},
             "signs":{"weight-late":"yes","feet-frozen":"no"},
             "before":{"readings":[{"id":"trail-share","at":"top","value":80.5,"source":"plate","swings":3},
                                   {"id":"lead-foot-shift","at":null,"value":2,"source":"seen","swings":1}],
                       "shots":{"flight":{"slice":3},"strike":{"thin":2},"divot":{"thin":1}}},
             "after":{"readings":[{"id":"trail-share","at":"top","value":70,"source":"plate","swings":3}],
                      "shots":{"flight":{"straight":4},"strike":{},"divot":{}}},
             "note":"Wind from the %s"}""";

    private Client coach;
    private String student;

    @BeforeEach
    void signIn(Client client) {
        coach = client.coach();
        student = coach.post("/api/students", """
                        {"name":"Cleo","handedness":"left","level":"club","ageBand":"adult","shoes":"soft",
                         "units":"metric","complaint":"","flags":[],"kit":[],"week":{}}""").expect(201).body().path("id").asString();
    }

    private String begin() {
        return "/api/lessons/"
                + coach.post("/api/students/" + student + "/lessons", null)
                        .expect(201)
                        .body()
                        .path("id")
                        .asString();
    }

    @Test
    void everythingEnteredIsStoredAndReplacedAsAWhole() {
        String lesson = begin();
        coach.put(lesson + "/entry", ENTRY.formatted("west")).expect(200);
        JsonNode entry = coach.get(lesson).expect(200).body().path("entry");
        assertThat(entry.at("/approach/pressure").asString()).isEqualTo("full-load");
        assertThat(entry.at("/approach/trail-edge").asString())
                .as("defaults are filled in")
                .isEqualTo("hold-inner");
        assertThat(entry.path("signs").toString()).isEqualTo("{\"feet-frozen\":\"no\",\"weight-late\":\"yes\"}");
        assertThat(entry.at("/before/readings/0/value").asDouble()).isEqualTo(80.5);
        assertThat(entry.at("/before/readings/1/id").asString()).isEqualTo("lead-foot-shift");
        assertThat(entry.at("/before/shots/divot/thin").asInt()).isEqualTo(1);
        assertThat(entry.at("/after/shots/flight/straight").asInt()).isEqualTo(4);

        coach.put(lesson + "/entry", ENTRY.formatted("east").replace("\"weight-late\":\"yes\",", ""))
                .expect(200);
        JsonNode replaced = coach.get(lesson).expect(200).body().path("entry");
        assertThat(replaced.path("signs").toString()).isEqualTo("{\"feet-frozen\":\"no\"}");
        assertThat(replaced.path("note").asString()).isEqualTo("Wind from the east");
    }

    @Test
    void theNextLessonBeginsWithTheCoachsApproachAndTheFirstOfADayCanBeTakenBack() {
        String first = begin();
        coach.put(first + "/entry", ENTRY.formatted("north")).expect(200);
        String second = begin();
        assertThat(coach.get(second)
                        .expect(200)
                        .body()
                        .at("/entry/approach/pressure")
                        .asString())
                .as("the first lesson's school was for that lesson only")
                .isEqualTo("early-return");
        coach.delete(second).expect(204);
        coach.get(second).refused(404);
    }

    @Test
    void whatWasDecidedStaysOnRecordWhenTheLessonIsCorrected() {
        String lesson = begin();
        coach.put(lesson + "/entry", ENTRY.formatted("west")).expect(200);
        coach.put(lesson + "/focus", "{\"faults\":[\"sway\"],\"reason\":\"Seen last year\"}")
                .expect(200);
        double then =
                probability(coach.get(lesson + "/decisions").expect(200).body().at("/0/diagnosis"), "late-recentre");
        JsonNode corrected = coach.put(
                        lesson + "/entry",
                        ENTRY.formatted("west").replace("\"weight-late\":\"yes\"", "\"weight-late\":\"no\""))
                .expect(200)
                .body();
        assertThat(probability(corrected.path("diagnosis"), "late-recentre")).isLessThan(then);
        coach.put(lesson + "/focus", "{\"faults\":[\"toe-fall\"],\"reason\":\"Looked again\"}")
                .expect(200);
        JsonNode decisions = coach.get(lesson + "/decisions").expect(200).body();
        assertThat(decisions).hasSize(2);
        assertThat(decisions.at("/0/focus/0").asString()).isEqualTo("toe-fall");
        assertThat(decisions.at("/1/reason").asString()).isEqualTo("Seen last year");
        assertThat(decisions.at("/1/catalogueVersion").asString()).isEqualTo(Catalogue.VERSION);
        assertThat(probability(decisions.at("/1/diagnosis"), "late-recentre")).isEqualTo(then);
    }

    private static double probability(JsonNode diagnosis, String fault) {
        return diagnosis
                .path("faults")
                .valueStream()
                .filter(f -> f.path("id").asString().equals(fault))
                .findFirst()
                .orElseThrow()
                .path("probability")
                .asDouble();
    }

    @Test
    void theFeetAreHeldAgainstTwoSchoolsAndTheLessonBefore() {
        String first = begin();
        coach.put(first + "/entry", ENTRY.formatted("west")).expect(200);
        String second = begin();
        coach.put(second + "/entry", ENTRY.formatted("west")).expect(200);
        JsonNode feet =
                coach.get(second + "/feet?against=early-return").expect(200).body();
        assertThat(feet.at("/before/0/kind").asString()).isEqualTo("difference-of-school");
        assertThat(feet.at("/before/0/beyond").asDouble()).isZero();
        assertThat(feet.at("/after/0/reading/value").asDouble()).isEqualTo(70);
        assertThat(feet.at("/earlier/before/readings/0/value").asDouble()).isEqualTo(80.5);
        assertThat(coach.get(first + "/feet?against=full-load")
                        .expect(200)
                        .body()
                        .path("earlier")
                        .isNull())
                .isTrue();
        coach.get(second + "/feet?against=none").refused(422);
    }

    @Test
    void theHipLineIsAnsweredForTheHand() {
        String lesson = begin();
        JsonNode line = coach.get(lesson + "/hip-line?degrees=9&wanted=straight")
                .expect(200)
                .body();
        assertThat(line.path("press").asString()).isEqualTo("lead-toe");
        assertThat(line.path("texts").toString()).contains("right toes");
        assertThat(coach.get(lesson + "/hip-line?degrees=0&wanted=straight")
                        .expect(200)
                        .body()
                        .path("press")
                        .isNull())
                .isTrue();
        coach.get(lesson + "/hip-line?degrees=400&wanted=straight").refused(400);
        coach.get(lesson + "/hip-line?degrees=much&wanted=straight").refused(400);
        coach.get(lesson + "/hip-line?degrees=1&wanted=hook").refused(422);
    }

    @Test
    void whatIsRefusedChangesNothing() {
        String lesson = begin();
        coach.put(lesson + "/entry", ENTRY.formatted("south")).expect(200);
        String broken = ENTRY.formatted("nowhere").replace("\"slice\":3", "\"wedge\":3");
        assertThat(coach.put(lesson + "/entry", broken)
                        .refused(422)
                        .body()
                        .at("/fields/0/field")
                        .asString())
                .isEqualTo("before.shots.flight");
        coach.put(lesson + "/entry", ENTRY.formatted("x".repeat(2001))).refused(400);
        assertThat(coach.get(lesson).expect(200).body().at("/entry/note").asString())
                .isEqualTo("Wind from the south");
    }

    @Test
    void overrulingTheEngineNeedsAReasonAndKeepsIt() {
        String lesson = begin();
        coach.put(lesson + "/focus", "{\"faults\":[\"sway\"],\"reason\":\" \"}").refused(422);
        coach.put(lesson + "/focus", "{\"faults\":[\"hop\"],\"reason\":\"why not\"}")
                .refused(422);
        coach.put(lesson + "/focus", "{\"faults\":[],\"reason\":\"none\"}").refused(400);
        JsonNode decided = coach.put(lesson + "/focus", "{\"faults\":[\"sway\"],\"reason\":\"Seen last year\"}")
                .expect(200)
                .body();
        assertThat(decided.path("focusReason").asString()).isEqualTo("Seen last year");
        coach.put(lesson + "/plan", "{\"from\":\"2020-01-01\",\"nextLesson\":\"2020-01-14\"}")
                .refused(422);
        coach.put(lesson + "/plan", "{\"from\":\"soon\",\"nextLesson\":\"2020-01-14\"}")
                .refused(400);
    }

    @Test
    void aFirstLessonHasNothingToCompareWith() {
        String lesson = begin();
        JsonNode progress = coach.get(lesson + "/progress").expect(200).body();
        assertThat(progress.path("since").isNull()).isTrue();
        assertThat(progress.path("changes")).isEmpty();
        coach.get(lesson + "/plan").refused(404);
        JsonNode thread =
                coach.get("/api/students/" + student + "/thread").expect(200).body();
        assertThat(thread.path("knots")).hasSize(1);
        assertThat(thread.path("series")).isEmpty();
    }

    @Test
    void theDemosThreadTellsWhatWasPractisedBetween() {
        JsonNode bram = coach.get("/api/students")
                .expect(200)
                .body()
                .valueStream()
                .filter(s -> s.path("name").asString().equals("Bram Ellery"))
                .findFirst()
                .orElseThrow();
        JsonNode thread = coach.get("/api/students/" + bram.path("id").asString() + "/thread")
                .expect(200)
                .body();
        assertThat(thread.path("knots")).hasSize(4);
        for (JsonNode knot : thread.path("knots")) {
            JsonNode done = knot.path("done");
            assertThat(done.path("doneDays").asInt())
                    .isBetween(1, done.path("plannedDays").asInt());
            // A day may have been laid with more before what was done of it made the rest less.
            assertThat(done.path("doneReps").asInt())
                    .isBetween(1, 2 * done.path("plannedReps").asInt());
            JsonNode drift = knot.at("/before/pelvis-drift@top~1clip");
            assertThat(drift.path("low").asDouble())
                    .isLessThan(drift.path("value").asDouble());
        }
        String last = thread.at("/knots/3/lessonId").asString();
        JsonNode progress =
                coach.get("/api/lessons/" + last + "/progress").expect(200).body();
        assertThat(progress.path("changes").findValuesAsString("id")).contains("pelvis-drift@top/clip");
        assertThat(progress.at("/done/doneDays").asInt()).isPositive();
    }
}
