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

    @Test
    void earlierDecisionsGoOnRecord(@TempDir Path directory) throws SQLException {
        String url = "jdbc:h2:file:" + directory.resolve("hodegon");
        migrate(url, "1");
        try (Connection connection = DriverManager.getConnection(url);
                Statement sql = connection.createStatement()) {
            sql.execute("""
                    insert into account values (random_uuid(), 'a@b.example', '', 'coach', 'A', current_timestamp);
                    insert into student select random_uuid(), id, null, 'S', 'right', 'club', 'adult', 'soft', 'metric',
                        '', array[], array[], current_timestamp from account;
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

    private static void migrate(String url, String target) {
        Flyway.configure().dataSource(url, null, null).target(target).load().migrate();
    }
}
