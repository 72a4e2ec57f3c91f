package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Balls from a file: looked at, taken, compared, taken out again. */
@ExtendWith(RunningServer.class)
class ShotFilesTest {

    private static final String BROKEN = "Nr;Club;Carry yd;Side\n1;7 iron;150;L 4\n2;7 iron;far;3\n3;7 iron;148;2\n";

    private Client coach;
    private Begun begun;

    @BeforeEach
    void aLesson(Client first) {
        coach = first.coach();
        begun = Begun.swayer(coach, "improver", "", 20, 60, "range");
    }

    private static String text(String csv) {
        return new JsonMapper().writeValueAsString(csv);
    }

    private JsonNode look(String csv) {
        return coach.post(begun.lesson() + "/shot-files/look", "{\"text\":" + text(csv) + ",\"columns\":null}")
                .expect(200)
                .body();
    }

    private Client.Answer take(String lesson, String moment, String csv, JsonNode columns, boolean leaveOut) {
        return coach.post(
                lesson + "/shot-files",
                "{\"name\":\"range.csv\",\"moment\":\"%s\",\"leaveOut\":%b,\"club\":null,\"file\":{\"text\":%s,\"columns\":%s}}"
                        .formatted(moment, leaveOut, text(csv), columns));
    }

    @Test
    void nothingIsStoredUntilItIsTaken() {
        JsonNode look = look(BROKEN);
        assertThat(look.path("balls").asInt()).isEqualTo(2);
        assertThat(look.path("broken").asInt()).isEqualTo(1);
        assertThat(look.at("/shownBroken/0/row").asInt()).isEqualTo(3);
        assertThat(look.at("/shownBroken/0/column").asString()).isEqualTo("Carry yd");
        assertThat(look.at("/columns/figures/carry/unit").asString()).isEqualTo("yd");
        assertThat(look.path("remembered").asBoolean()).isFalse();
        assertThat(look.at("/clubs/0/figures/0/mean").asDouble()).isEqualTo((150 + 148) / 2.0 * 0.9144);
        assertThat(coach.get(begun.lesson() + "/shot-files").expect(200).body()).isEmpty();

        assertThat(take(begun.lesson(), "before", BROKEN, look.path("columns"), false)
                        .refused(422)
                        .body()
                        .path("detail")
                        .asString())
                .contains("row 3")
                .contains("no number");
        take(begun.lesson(), "sometime", BROKEN, look.path("columns"), true).refused(422);
        JsonNode file = take(begun.lesson(), "before", BROKEN, look.path("columns"), true)
                .expect(201)
                .body();
        assertThat(file.path("balls").asInt()).isEqualTo(2);
        assertThat(look(BROKEN).path("remembered").asBoolean())
                .as("the next file of this shape is known")
                .isTrue();
        coach.delete("/api/shot-files/" + file.path("id").asString()).expect(204);
        assertThat(coach.get(begun.lesson() + "/shot-files").expect(200).body()).isEmpty();
        coach.delete("/api/shot-files/" + file.path("id").asString()).refused(404);
    }

    @Test
    void whatIsNoFileIsRefusedWithAReason() {
        coach.post(begun.lesson() + "/shot-files/look", "{\"text\":\"\",\"columns\":null}")
                .refused(422);
        coach.post(begun.lesson() + "/shot-files/look", "{\"text\":\"a,b\\n\\\"1,2\",\"columns\":null}")
                .refused(422);
        coach.post(
                        begun.lesson() + "/shot-files/look",
                        "{\"text\":\"a,b\\n1,2\",\"columns\":{\"figures\":{\"carry\":{\"index\":4,\"unit\":\"m\"}},\"club\":null,\"plusIsRight\":true}}")
                .refused(422);
        coach.post(begun.lesson() + "/shot-files/look", "{\"text\":" + text("x".repeat(7_000_000)) + "}")
                .refused(413);
        assertThat(look("a,b\n1,2\n").path("balls").asInt())
                .as("unknown columns are asked for, not guessed")
                .isZero();
    }

    @Test
    void measuredBallsAreComparedByMeanMedianAndSpread() {
        take(
                        begun.lesson(),
                        "before",
                        balls(20, 120, 12),
                        look(balls(20, 120, 12)).path("columns"),
                        false)
                .expect(201);
        String next = "/api/lessons/"
                + coach.post("/api/students/" + begun.student() + "/lessons", null)
                        .expect(201)
                        .body()
                        .path("id")
                        .asString();
        take(next, "before", balls(20, 131, 3), look(balls(20, 131, 3)).path("columns"), false)
                .expect(201);

        JsonNode progress = coach.get(next + "/progress").expect(200).body();
        JsonNode carry = progress.path("changes")
                .valueStream()
                .filter(c -> c.path("id").asString().equals("carry/7 iron"))
                .findFirst()
                .orElseThrow();
        assertThat(carry.at("/comparison/verdict").asString()).isEqualTo("better");
        assertThat(carry.at("/comparison/difference").asDouble()).isEqualTo(11);
        assertThat(carry.at("/spread/verdict").asString()).isEqualTo("better");
        assertThat(carry.path("then").asString()).isEqualTo("120 m (median 120, 20 balls)");
        assertThat(carry.path("said").asString()).contains("closer together");
        assertThat(carries("coach")).isEqualTo(131);

        JsonNode profile =
                coach.get("/api/students/" + begun.student()).expect(200).body().path("profile");
        coach.put("/api/students/" + begun.student(), profile.toString().replace("\"metric\"", "\"imperial\""))
                .expect(200);
        assertThat(carries("coach")).as("the coach reads metres").isEqualTo(131);
        assertThat(carries("student")).as("yards").isCloseTo(143.26, within(0.005));
        assertThat(coach.get(next + "/progress?for=student")
                        .expect(200)
                        .body()
                        .path("changes")
                        .findValuesAsString("then"))
                .contains("131.2 yd (median 131.2, 20 balls)");
    }

    private double carries(String reader) {
        return coach.get("/api/students/" + begun.student() + "/thread?for=" + reader)
                .expect(200)
                .body()
                .at("/knots/1/before/carry~17 iron/value")
                .asDouble();
    }

    /** Carries that scatter evenly about a mean. */
    private static String balls(int count, double mean, double half) {
        return IntStream.range(0, count)
                .mapToObj(i -> "%d,7 iron,%s".formatted(i, mean + half * (i - (count - 1) / 2.0) / count * 2))
                .collect(Collectors.joining("\n", "Nr,Club,Carry (m)\n", "\n"));
    }

    @Test
    void theBaysFileIsTakenAsItComes() {
        String csv = coach.text("/api/students/" + begun.student() + "/bay.csv?balls=30&club=driver");
        JsonNode look = look(csv);
        assertThat(look.path("balls").asInt()).isEqualTo(30);
        assertThat(look.path("broken").asInt()).isZero();
        assertThat(look.at("/columns/figures").size()).isEqualTo(4);
        assertThat(look.at("/clubs/0/club").asString()).isEqualTo("driver");
        coach.get("/api/students/" + begun.student() + "/bay.csv?club=spoon").refused(422);
    }
}
