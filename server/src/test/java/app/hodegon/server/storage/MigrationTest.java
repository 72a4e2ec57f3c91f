package app.hodegon.server.storage;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A database made by an earlier version keeps what was decided. */
class MigrationTest {

    private static final String A_STUDENT = """
            insert into account values (random_uuid(), 'a@b.example', '', 'coach', 'A', current_timestamp);
            insert into student select random_uuid(), id, null, 'S', 'right', 'club', 'adult', 'soft', 'metric',
                '', array[], array[], current_timestamp from account;""";

    @Test
    void earlierDecisionsGoOnRecord(@TempDir Path directory) throws SQLException {
        String url = "jdbc:h2:file:" + directory.resolve("hodegon");
        migrate(url, "1");
        try (Connection connection = DriverManager.getConnection(url);
                Statement sql = connection.createStatement()) {
            sql.execute(A_STUDENT);
            sql.execute("""
                    insert into lesson select random_uuid(), id, current_date, '', array['sway'], 'why', '1', '{}',
                        current_timestamp from student;
                    insert into lesson select random_uuid(), id, current_date, '', array[], '', '1', null,
                        current_timestamp from student;""");
        }
        migrate(url, "latest");
        try (Connection connection = DriverManager.getConnection(url);
                Statement sql = connection.createStatement();
                ResultSet decisions = sql.executeQuery("select reason, diagnosed, ordinal from lesson_decision")) {
            assertThat(decisions.next()).isTrue();
            assertThat(decisions.getString(1)).isEqualTo("why");
            assertThat(decisions.getString(2)).isEqualTo("{}");
            assertThat(decisions.next()).as("an undecided lesson has none").isFalse();
        }
    }

    @Test
    void earlierPlansGetTheirDaysAndPracticeItsReps(@TempDir Path directory) throws SQLException {
        String url = "jdbc:h2:file:" + directory.resolve("hodegon");
        migrate(url, "6");
        try (Connection connection = DriverManager.getConnection(url);
                Statement sql = connection.createStatement()) {
            sql.execute(A_STUDENT);
            sql.execute("""
                    insert into lesson select random_uuid(), id, current_date, '', array['sway'], '', current_timestamp
                        from student;
                    insert into plan select random_uuid(), student_id, id, current_date, current_date + 1,
                        '{"days":[{"date":"2026-03-02","blocks":[{"sets":4,"repsPerSet":5},{"sets":1,"repsPerSet":10}]}]}',
                        current_timestamp, current_timestamp, null, 1 from lesson;
                    insert into practice_session select random_uuid(), student_id, id, date '2026-03-02', null, null, null,
                        null, '', true, current_timestamp, null from plan;
                    insert into practice_block select id, 0, 'sway', 'disc-turn', 'feel', 'main', '++-++'
                        from practice_session;
                    insert into practice_block select id, 1, 'sway', 'disc-turn', 'short', 'check', '+++-+++--+'
                        from practice_session;
                    insert into practice_block select id, 2, 'toe-fall', 'heel-press', 'feel', 'check', '++++++++++'
                        from practice_session;""");
        }
        migrate(url, "20");
        try (Connection connection = DriverManager.getConnection(url);
                Statement sql = connection.createStatement()) {
            sql.execute("""
                    update practice_session set feel = 4;
                    insert into practice_block (session_id, block, fault, drill, rung, kind, marks, aside)
                        select id, 3, 'sway', 'disc-turn', 'feel', 'refresh', '+++++', 'below' from practice_session;""");
        }
        migrate(url, "latest");
        try (Connection connection = DriverManager.getConnection(url);
                Statement sql = connection.createStatement();
                ResultSet days = sql.executeQuery("""
                        select d.planned_for, d.reps, s.reps, s.checks from plan_day d
                        join practice_session s on s.plan_id = d.plan_id""")) {
            assertThat(days.next()).isTrue();
            assertThat(days.getString(1)).isEqualTo("2026-03-02");
            assertThat(days.getInt(2)).isEqualTo(30);
            assertThat(days.getInt(3)).isEqualTo(25);
            // Sway was sought on the rung below, and so was lost.
            assertThat(days.getString(4))
                    .isEqualTo("sway/disc-turn/short/range/7/10/1,toe-fall/heel-press/feel/none/10/10/4");
            assertThat(days.next()).isFalse();
        }
    }

    private static void migrate(String url, String target) {
        Flyway.configure()
                .dataSource(url, null, null)
                .javaMigrations(new V8__planned_days())
                .target(target)
                .load()
                .migrate();
    }
}
