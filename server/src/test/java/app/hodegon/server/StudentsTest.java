package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningServer.class)
class StudentsTest {

    private static final String FORM = """
            {"name":"%s","handedness":"left","level":"club","ageBand":"senior","shoes":"spikes","units":"imperial",
             "complaint":"Hooks","flags":["knee","back"],"kit":["ball","rod"],
             "week":{"tue":{"minutes":15,"place":"home"},"sat":{"minutes":%s,"place":"%s"}}}""";

    /** A new student's entry. */
    static String form(String name) {
        return FORM.formatted(name, 60, "range");
    }

    private Client coach;

    @BeforeEach
    void signIn(Client client) {
        coach = client.coach();
    }

    @Test
    void whatIsEnteredComesBackAndCanBeChanged() {
        JsonNode added = coach.post("/api/students", FORM.formatted(" Ada Wright ", 60, "range"))
                .expect(201)
                .body();
        String path = "/api/students/" + added.path("id").asString();
        JsonNode profile = coach.get(path).expect(200).body().path("profile");
        assertThat(profile.path("name").asString()).isEqualTo("Ada Wright");
        assertThat(profile.path("handedness").asString()).isEqualTo("left");
        assertThat(profile.path("units").asString()).isEqualTo("imperial");
        assertThat(profile.path("flags").toString()).isEqualTo("[\"back\",\"knee\"]");
        assertThat(profile.at("/week/sat/minutes").asInt()).isEqualTo(60);
        assertThat(profile.path("week").has("mon")).isFalse();

        coach.put(path, FORM.formatted("Ada Wright-Hale", 0, "range")).expect(200);
        JsonNode changed = coach.get(path).expect(200).body().path("profile");
        assertThat(changed.path("name").asString()).isEqualTo("Ada Wright-Hale");
        assertThat(changed.path("week").has("sat"))
                .as("no minutes is a free day")
                .isFalse();
        assertThat(coach.get("/api/students").expect(200).body().findValuesAsString("name"))
                .contains("Ada Wright-Hale");
    }

    @Test
    void anAddressThatCannotBeIsAnsweredInWords() {
        assertThat(detail(coach.get("/api/students/not-an-id").refused(400))).isEqualTo("\"id\" has the wrong form.");
        assertThat(detail(coach.get("/api/day?most=many").refused(400))).isEqualTo("\"most\" has the wrong form.");
        String lesson = "/api/lessons/" + UUID.randomUUID() + "/hip-line";
        assertThat(detail(coach.get(lesson).refused(400))).isEqualTo("\"degrees\" is missing.");
        assertThat(detail(coach.get(lesson + "?degrees=400&wanted=fade").refused(400)))
                .isEqualTo("\"degrees\" must be less than or equal to 90.");
    }

    private static String detail(Client.Answer answer) {
        return answer.body().path("detail").asString();
    }

    @ParameterizedTest
    @ValueSource(strings = {"a\\u0000b", "a\\nb", "a\\u001bb", "a\\u2028b"})
    void aNameIsOneLineWithoutControlCharacters(String name) {
        coach.post("/api/students", FORM.formatted(name, 60, "range")).refused(400);
    }

    @ParameterizedTest
    @CsvSource({"301, range, week.sat.minutes", "-5, range, week.sat.minutes", "60, moon, week.sat.place"})
    void aWeekThatCannotBeIsRefusedAtItsDay(String minutes, String place, String field) {
        JsonNode problem = coach.post("/api/students", FORM.formatted("X", minutes, place))
                .refused(422)
                .body();
        assertThat(problem.at("/fields/0/field").asString()).isEqualTo(field);
    }

    @Test
    void theRosterShowsWhoHurtsAndWhoIsDue() {
        JsonNode roster = coach.get("/api/students").expect(200).body();
        JsonNode ansel = line(roster, "Ansel Roe");
        assertThat(ansel.path("hurt").asBoolean()).isTrue();
        assertThat(ansel.path("nextLesson").isNull()).isFalse();
        assertThat(line(roster, "Petra Lund").path("hurt").asBoolean()).isFalse();
        assertThat(line(roster, "Petra Lund").path("lastPractice").isNull()).isFalse();
    }

    private static JsonNode line(JsonNode roster, String name) {
        return roster.valueStream()
                .filter(l -> l.path("name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void anInvitationIsReplacedByTheNextAndGoneWithTheAccount() {
        String id = coach.post("/api/students", FORM.formatted("Bo", 60, "range"))
                .expect(201)
                .body()
                .path("id")
                .asString();
        String first = token(id);
        String second = token(id);
        coach.get("/api/invitations/" + first).refused(404);
        coach.get("/api/invitations/" + second).expect(200);
        coach.get("/api/invitations/guess").refused(404);
    }

    private String token(String student) {
        return coach.post("/api/students/" + student + "/invitation", null)
                .expect(201)
                .body()
                .path("token")
                .asString();
    }

    @Test
    void aSecondFirstCoachIsRefused() {
        coach.post("/api/first-coach", "{\"name\":\"X\",\"email\":\"x@x.example\",\"password\":\"long-enough\"}")
                .refused(409);
    }
}
