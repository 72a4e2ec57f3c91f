package app.hodegon.server.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import app.hodegon.server.Upgraded;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Nothing in the store rests on the connection that made it, and every older store is brought up. */
class ConnectionsTest {

    private static final String ROWS = """
            insert into account (id, email, password_hash, role, name, created_at)
                values (random_uuid(), 'b@x.example', '', 'student', 'B', current_timestamp)""";

    @Test
    void whatAConnectionMadeOutlivesIt() throws SQLException {
        String url = "jdbc:h2:mem:outlives;DB_CLOSE_DELAY=-1";
        Flyway.configure()
                .dataSource(url, "sa", "")
                .javaMigrations(new V8__planned_days())
                .load()
                .migrate();
        try (Connection store = DriverManager.getConnection(url, "sa", "");
                Statement sql = store.createStatement()) {
            assertThatCode(() -> sql.execute(ROWS)).doesNotThrowAnyException();
            try (ResultSet checks = sql.executeQuery(
                    "select constraint_name, check_clause from information_schema.check_constraints")) {
                while (checks.next()) {
                    assertThat(checks.getString(2).toUpperCase())
                            .as("a list in a check keeps the connection that made it: " + checks.getString(1))
                            .doesNotContain(" IN(")
                            .doesNotContain(" OR ");
                }
            }
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"1", "2", "3", "4", "5", "6", "7", "8", "9", "10", "11"})
    void everyOlderStoreIsBroughtUpWithWhatIsInIt(String version, @TempDir Path folder) throws Exception {
        Upgraded.withACoachAndAStudent(folder, version);
        Upgraded.migrate(folder, "latest");
        new DataFolder(folder).prepare();
        try (Connection store = DriverManager.getConnection(Upgraded.url(folder), "sa", "");
                Statement sql = store.createStatement();
                ResultSet rows =
                        sql.executeQuery("select s.name, a.owner from student s join account a on a.id = s.coach_id")) {
            assertThat(rows.next()).isTrue();
            assertThat(rows.getString(1)).isEqualTo("Sela Moor");
            boolean madeBeforeThereWereOwners = Integer.parseInt(version) < 11;
            assertThat(rows.getBoolean(2)).isEqualTo(madeBeforeThereWereOwners);
        }
    }
}
