package app.hodegon.server.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Databases of earlier versions are brought up with every row they had, or left as they were. */
class UpgradeTest {

    /** Told otherwise since: what they say stands in other tables, or is worked out again. */
    private static final Set<String> TOLD_OTHERWISE =
            Set.of("flyway_schema_history", "ATTENTION.URGENCY", "TRACE_SHAPE");

    @TempDir
    private Path path;

    @ParameterizedTest
    @ValueSource(strings = {"7e252f7", "bc119fa"})
    void everyRowThatWasThereIsThereAfterwards(String version) throws Exception {
        DataFolder folder = Stores.of(version, path.resolve("data"));
        Map<String, Map<String, List<String>>> before = columns(folder);
        folder.prepare();
        Map<String, Map<String, List<String>>> after = columns(folder);
        assertThat(before.get("PRACTICE_SESSION").get("ID")).hasSizeGreaterThan(50);
        before.forEach((table, columns) -> columns.forEach((column, values) -> {
            if (TOLD_OTHERWISE.contains(table) || TOLD_OTHERWISE.contains(table + "." + column)) return;
            Map<String, List<String>> now = after.getOrDefault(table, Map.of());
            if (!now.containsKey(column)) {
                assertThat(moved(table, column))
                        .as(table + "." + column + " is gone")
                        .isTrue();
                return;
            }
            assertThat(now.get(column)).as(table + "." + column).containsExactlyElementsOf(values);
        }));
        assertThat(backups(folder)).singleElement().asString().contains("before-schema-" + Upgrade.latest());
        assertThat(folder.path().resolve("upgrading")).doesNotExist();
        folder.prepare();
        assertThat(backups(folder)).as("brought up once").hasSize(1);
    }

    private static boolean moved(String table, String column) {
        return table.equals("PLAN") && Set.of("DOCUMENT", "TERMS").contains(column);
    }

    /** Each table's columns with what stands in them, the rows in the order of their keys. */
    private static Map<String, Map<String, List<String>>> columns(DataFolder folder) throws SQLException {
        Map<String, Map<String, List<String>>> tables = new TreeMap<>();
        try (Connection store = DriverManager.getConnection(folder.url(";ACCESS_MODE_DATA=r"), "sa", "")) {
            Set<String> names = new TreeSet<>();
            try (ResultSet all = store.getMetaData().getTables(null, "PUBLIC", null, new String[] {"BASE TABLE"})) {
                while (all.next()) names.add(all.getString("TABLE_NAME"));
            }
            for (String name : names) tables.put(name, columns(store, name));
        }
        return tables;
    }

    private static Map<String, List<String>> columns(Connection store, String table) throws SQLException {
        List<String> keys = new ArrayList<>();
        try (ResultSet key = store.getMetaData().getPrimaryKeys(null, "PUBLIC", table)) {
            while (key.next()) keys.add('"' + key.getString("COLUMN_NAME") + '"');
        }
        Map<String, List<String>> columns = new TreeMap<>();
        try (Statement sql = store.createStatement();
                ResultSet rows = sql.executeQuery("select * from \"" + table + "\""
                        + (keys.isEmpty() ? "" : " order by " + String.join(", ", keys)))) {
            ResultSetMetaData about = rows.getMetaData();
            while (rows.next()) {
                for (int i = 1; i <= about.getColumnCount(); i++) {
                    Object value = rows.getObject(i);
                    if (value instanceof java.sql.Array array) value = Arrays.toString((Object[]) array.getArray());
                    if (value instanceof java.sql.Clob clob) value = clob.getSubString(1, (int) clob.length());
                    columns.computeIfAbsent(about.getColumnName(i), c -> new ArrayList<>())
                            .add(String.valueOf(value));
                }
            }
        }
        return columns;
    }

    private static List<String> backups(DataFolder folder) throws IOException {
        if (!Files.isDirectory(folder.backups())) return List.of();
        try (Stream<Path> files = Files.list(folder.backups())) {
            return files.map(f -> f.getFileName().toString()).toList();
        }
    }

    /** As a store of 7e252f7 was left by the version whose step 21 failed on it. */
    private DataFolder leftHalfway() throws Exception {
        DataFolder folder = Stores.of("7e252f7", path.resolve("data"));
        Flyway.configure()
                .dataSource(folder.url(""), "sa", "")
                .javaMigrations(new V8__planned_days())
                .target("20")
                .load()
                .migrate();
        execute(folder, """
                alter table student add column look varchar(12);
                alter table attention add column holds_until date;
                alter table practice_session add column checks varchar(8000) default '' not null;
                insert into "flyway_schema_history" values (99, '21', 'looks and lists', 'SQL',
                    'V21__looks_and_lists.sql', -1, 'SA', current_timestamp, 5, false)""");
        return folder;
    }

    @Test
    void oneThatWasLeftHalfwayGoesOn() throws Exception {
        DataFolder folder = leftHalfway();
        folder.prepare();
        Map<String, List<String>> sessions = columns(folder).get("PRACTICE_SESSION");
        String checks =
                sessions.get("CHECKS").stream().filter(c -> !c.isEmpty()).collect(Collectors.joining(","));
        assertThat(checks.split(","))
                .hasSizeGreaterThan(20)
                .allMatch(c -> c.matches("[a-z-]+/[a-z-]+/[a-z]+/[a-z-]+/\\d+/\\d+/[1-5]?"));
    }

    @Test
    void aStepThatFailsLeavesTheFolderAsItWasAndSaysWhereTheCopyIs() throws Exception {
        DataFolder folder = Stores.of("bc119fa", path.resolve("data"));
        // What step 23 adds is there already.
        execute(folder, "alter table installation add column program varchar(60)");
        execute(folder, "update installation set program = '0.1 of a spring day'");
        Map<String, Map<String, List<String>>> before = columns(folder);
        assertThatThrownBy(folder::prepare)
                .isInstanceOf(DataFolder.Refused.class)
                .hasMessageContaining("step 23 failed")
                .hasMessageContaining("0.1 of a spring day, schema 22")
                .hasMessageContaining(folder.backups().resolve("before-schema-").toString())
                .hasMessageNotContaining("\n")
                .hasMessageNotContaining("alter table");
        assertThat(columns(folder)).isEqualTo(before);
        assertThat(folder.path().resolve("upgrading")).doesNotExist();
        Path copy = folder.backups().resolve(backups(folder).get(0));
        assertThat(BackupFile.check(copy)).contains("9 students");
    }

    @Test
    void whatANewerVersionWroteIsLeftToIt() throws Exception {
        DataFolder folder = Stores.of("bc119fa", path.resolve("data"));
        execute(folder, """
                insert into "flyway_schema_history" values (99, '9000', 'later', 'SQL', 'V9000__later.sql', 1, 'SA',
                    current_timestamp, 5, true)""");
        assertThatThrownBy(folder::prepare)
                .isInstanceOf(DataFolder.Refused.class)
                .hasMessageContaining("newer version")
                .hasMessageContaining("schema 9000");
        assertThat(backups(folder)).isEmpty();
    }

    private static void execute(DataFolder folder, String statements) throws SQLException {
        try (Connection store = DriverManager.getConnection(folder.url(""), "sa", "");
                Statement sql = store.createStatement()) {
            sql.execute(statements);
        }
    }
}
