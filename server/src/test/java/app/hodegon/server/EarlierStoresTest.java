package app.hodegon.server;

import static app.hodegon.server.db.Tables.ATTENTION_DUE;
import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.server.OpenApi.Endpoint;
import app.hodegon.server.storage.DataFolder;
import app.hodegon.server.storage.Stores;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.jooq.DSLContext;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** Installations of earlier versions, opened by this one: each record is whole, and every page answers. */
class EarlierStoresTest {

    /** Streams go on until they are left. */
    private static final Set<String> ENDLESS = Set.of("/api/lessons/{id}/plate");

    @TempDir
    private Path path;

    @ParameterizedTest
    @ValueSource(strings = {"7e252f7", "bc119fa", "4f13096", "ce02937", "7427e1d", "0e4d61d"})
    void recordsAreWholeAndEveryPageAnswers(String version) throws Exception {
        DataFolder folder = Stores.of(version, path.resolve("data"));
        Map<String, Map<String, Long>> before = rows(folder);
        try (ConfigurableApplicationContext server = HodegonApplication.server()
                .run("--server.port=0", "--hodegon.data=" + folder.path(), "--hodegon.backup-days=0")) {
            Client coach = new Client(Integer.parseInt(server.getEnvironment().getProperty("local.server.port")));
            coach.coach();
            int students = 0;
            for (JsonNode line : coach.get("/api/students").expect(200).body()) {
                String id = line.path("id").asString();
                students++;
                JsonNode record =
                        coach.get("/api/students/" + id + "/record").expect(200).body();
                before.get(id)
                        .forEach((section, count) -> assertThat(record.path(section))
                                .as(version + ": " + section + " of "
                                        + line.path("name").asString())
                                .hasSize(count.intValue()));
            }
            assertThat(students).isGreaterThan(5);
            everyPage(coach, version);
            Client student = coach.fresh().student();
            for (Endpoint endpoint : OpenApi.committed().endpoints()) {
                if (!endpoint.method().equals("GET") || !endpoint.path().startsWith("/api/me")) continue;
                assertThat(student.get(endpoint.at(
                                        Map.of("date", "2026-12-01", "session", "" + UUID.randomUUID()), "disc-turn"))
                                .status())
                        .as(version + ": " + endpoint)
                        .isIn(200, 204, 404);
            }
            student.get("/api/me").expect(200);
            workedOutAnew(server);
        }
    }

    /** What wants the coach is worked out anew for everybody, by itself. */
    private static void workedOutAnew(ConfigurableApplicationContext server) {
        DSLContext db = server.getBean(DSLContext.class);
        long deadline = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
        while (db.fetchExists(ATTENTION_DUE) && System.nanoTime() < deadline) Thread.onSpinWait();
        assertThat(db.fetchCount(ATTENTION_DUE)).isZero();
    }

    /** All pages of one student, and those that hold the most of every other. */
    private static void everyPage(Client coach, String version) {
        boolean first = true;
        for (JsonNode line : coach.get("/api/students").expect(200).body()) {
            Map<String, String> ids = ids(coach, line.path("id").asString());
            for (Endpoint endpoint : OpenApi.committed().endpoints()) {
                if (!first
                        || !endpoint.method().equals("GET")
                        || endpoint.path().startsWith("/api/me")
                        || ENDLESS.contains(endpoint.path())) continue;
                assertThat(coach.get(endpoint.at(endpoint.own(ids), "none")).status())
                        .as(version + ": " + endpoint + " of "
                                + line.path("name").asString())
                        .isLessThan(500);
            }
            first = false;
            for (String page : new String[] {"", "/thread", "/practice"}) {
                coach.get("/api/students/" + ids.get("id") + page).expect(200);
            }
            coach.get("/api/lessons/" + ids.get("lessonId")).expect(200);
        }
    }

    private static Map<String, String> ids(Client coach, String student) {
        JsonNode knots = coach.get("/api/students/" + student + "/thread")
                .expect(200)
                .body()
                .path("knots");
        String lesson = knots.isEmpty()
                ? "" + UUID.randomUUID()
                : knots.get(0).path("lessonId").asString();
        JsonNode plan = coach.get("/api/lessons/" + lesson + "/plan").body();
        return OpenApi.names(student, lesson, plan.path("id").asString("" + UUID.randomUUID()));
    }

    /** By student and section of the record, how many rows the earlier version had. */
    private static Map<String, Map<String, Long>> rows(DataFolder folder) throws SQLException {
        Map<String, Map<String, Long>> rows = new HashMap<>();
        try (Connection store = DriverManager.getConnection(folder.url(";ACCESS_MODE_DATA=r"), "sa", "")) {
            count(store, rows, "lesson", "select student_id, count(*) from lesson group by student_id");
            count(store, rows, "plan", "select student_id, count(*) from plan group by student_id");
            count(
                    store,
                    rows,
                    "practiceSession",
                    "select student_id, count(*) from practice_session group by student_id");
            count(store, rows, "studentDay", "select student_id, count(*) from student_day group by student_id");
            for (String[] of : new String[][] {
                {"lessonSign", "lesson_sign", "lesson"},
                {"lessonReading", "lesson_reading", "lesson"},
                {"lessonShot", "lesson_shot", "lesson"},
                {"lessonDecision", "lesson_decision", "lesson"},
                {"planDay", "plan_day", "plan"},
                {"planRelaid", "plan_relaid", "plan"},
            }) {
                count(
                        store,
                        rows,
                        of[0],
                        "select p.student_id, count(*) from %s c join %s p on p.id = c.%s_id group by p.student_id"
                                .formatted(of[1], of[2], of[2]));
            }
            count(store, rows, "practiceBlock", """
                    select s.student_id, count(*) from practice_block b join practice_session s on s.id = b.session_id
                    group by s.student_id""");
        }
        return rows;
    }

    private static void count(Connection store, Map<String, Map<String, Long>> rows, String section, String query)
            throws SQLException {
        try (ResultSet counted = store.createStatement().executeQuery(query)) {
            while (counted.next()) {
                rows.computeIfAbsent(counted.getString(1), s -> new HashMap<>()).put(section, counted.getLong(2));
            }
        }
    }
}
