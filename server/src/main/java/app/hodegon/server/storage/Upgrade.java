package app.hodegon.server.storage;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.Map;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/**
 * Brings a database that an earlier version wrote up to this one's schema. It is copied first; the steps are taken on
 * another copy, which takes the database's place once all of them went through: what fails or is killed on the way
 * leaves the folder as it was.
 */
final class Upgrade {

    /** The last version of the program that had a schema, for those before the program wrote down its own name. */
    private static final Map<Integer, String> PROGRAMS = Map.ofEntries(
            Map.entry(9, "7e252f7"),
            Map.entry(12, "ab2718c"),
            Map.entry(13, "93e8497"),
            Map.entry(14, "ffb2939"),
            Map.entry(15, "521b92b"),
            Map.entry(16, "26b0344"),
            Map.entry(17, "aba69ff"),
            Map.entry(18, "bf9eea5"),
            Map.entry(19, "c661459"),
            Map.entry(21, "c104c69"),
            Map.entry(22, "bc119fa"));

    private final DataFolder folder;

    Upgrade(DataFolder folder) {
        this.folder = folder;
    }

    /**
     * What a database says of itself.
     *
     * @param schema number of its last step that went through
     * @param program the version that used it last, in words
     */
    record Written(int schema, String program) {

        static Written by(Connection store) throws SQLException {
            try (Statement sql = store.createStatement()) {
                if (!has(sql, "table_name = 'flyway_schema_history'", "tables")) return new Written(0, "");
                int schema;
                try (ResultSet steps = sql.executeQuery("""
                        select coalesce(max(cast("version" as int)), 0) from "flyway_schema_history"
                        where "success" and "version" is not null""")) {
                    steps.next();
                    schema = steps.getInt(1);
                }
                String program = PROGRAMS.getOrDefault(schema, "");
                if (has(sql, "table_name = 'INSTALLATION' and column_name = 'PROGRAM'", "columns")) {
                    try (ResultSet names = sql.executeQuery("select max(program) from installation")) {
                        names.next();
                        if (names.getString(1) != null) program = names.getString(1);
                    }
                }
                return new Written(schema, program);
            }
        }

        private static boolean has(Statement sql, String what, String where) throws SQLException {
            try (ResultSet rows = sql.executeQuery("select count(*) from information_schema." + where
                    + " where table_schema = 'PUBLIC' and " + what)) {
                rows.next();
                return rows.getInt(1) > 0;
            }
        }

        String version() {
            return "the version that was used before (" + (program.isEmpty() ? "" : program + ", ") + "schema " + schema
                    + ")";
        }
    }

    /** The number of the last step that this version knows. */
    static int latest() {
        try {
            return Stream.of(new PathMatchingResourcePatternResolver().getResources("classpath:db/migration/V*.sql"))
                    .map(step -> step.getFilename())
                    .mapToInt(name -> Integer.parseInt(name.substring(1, name.indexOf("__"))))
                    .max()
                    .orElseThrow();
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    /** The steps for a database; what an earlier version left halfway goes on. */
    static Flyway steps(String url) {
        return Flyway.configure()
                .dataSource(url, "sa", "")
                .javaMigrations(new V8__planned_days())
                .load();
    }

    /**
     * Brings the database up if it is of an earlier version.
     *
     * @param written as the database says
     * @throws DataFolder.Refused if it is of a later version, or cannot be brought up; the folder is as it was, but for
     *     the copy in its backups
     */
    void from(Written written) throws IOException {
        int latest = latest();
        if (written.schema() > latest) {
            throw new DataFolder.Refused("The database " + folder.database() + " was last used by a newer version of"
                    + " Hodegon (" + (written.program().isEmpty() ? "" : written.program() + ", ") + "schema "
                    + written.schema() + "; this one knows " + latest + "): start that version.");
        }
        if (written.schema() == latest) return;
        needRoom();
        Path copy = copy(written.schema(), latest);
        Path next = folder.path().resolve("upgrading");
        try {
            clear(next);
            Files.createDirectory(next);
            DataFolder.onlyForTheOwner(next, "rwx------");
            BackupFile.unpack(copy, next);
            DataFolder upgraded = new DataFolder(next);
            migrate(upgraded, written, copy);
            Files.move(
                    upgraded.database(),
                    folder.database(),
                    StandardCopyOption.ATOMIC_MOVE,
                    StandardCopyOption.REPLACE_EXISTING);
        } finally {
            clear(next);
        }
    }

    /** A backup, one that was unpacked beside it, and what the steps write meanwhile. */
    private void needRoom() throws IOException {
        long needed = 3 * Files.size(folder.database()) + (16L << 20);
        if (folder.path().toFile().getUsableSpace() >= needed) return;
        throw new DataFolder.Refused("The database " + folder.database() + " is of an earlier version and is copied"
                + " before it is brought up, for which " + (needed >> 20) + " MB must be free on its disk. Nothing was"
                + " changed: make room and start again.");
    }

    private Path copy(int from, int to) throws IOException {
        Files.createDirectories(folder.backups());
        DataFolder.onlyForTheOwner(folder.backups(), "rwx------");
        String at = LocalDateTime.now().format(DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss"));
        Path copy = folder.backups().resolve("before-schema-" + to + "-from-" + from + "-" + at + ".zip");
        BackupFile.make(copy, zip -> {
            try (Connection store = DriverManager.getConnection(folder.url(""), "sa", "");
                    Statement sql = store.createStatement()) {
                sql.execute(BackupFile.statement(zip));
            }
        });
        return copy;
    }

    private void migrate(DataFolder upgraded, Written written, Path copy) {
        try {
            Flyway steps = steps(upgraded.url(""));
            // A step that failed under an earlier version is taken again, and one that was mended since is known as it
            // is.
            steps.repair();
            steps.migrate();
            try (Connection store = DriverManager.getConnection(upgraded.url(""), "sa", "");
                    Statement sql = store.createStatement()) {
                sql.execute("shutdown compact");
            }
        } catch (FlywayException | SQLException failed) {
            throw new DataFolder.Refused("The database " + folder.database() + " could not be brought from schema "
                    + written.schema() + " to " + latest() + ": " + why(upgraded, failed)
                    + " Nothing was changed in it, and a copy is "
                    + copy + ". Meanwhile start " + written.version()
                    + ", and tell who gave you this one what stands here.");
        }
    }

    /** The step and the code of the error: its words may hold what somebody entered. */
    private static String why(DataFolder upgraded, Exception failed) {
        String code = failed.getClass().getSimpleName();
        for (Throwable cause = failed; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException sql) code = "error " + sql.getErrorCode();
        }
        try (Connection store = DriverManager.getConnection(upgraded.url(";ACCESS_MODE_DATA=r"), "sa", "");
                Statement sql = store.createStatement();
                ResultSet step = sql.executeQuery("""
                        select "version" from "flyway_schema_history" where not "success\"""")) {
            return (step.next() ? "step " + step.getString(1) + " failed with " : "") + code + ".";
        } catch (SQLException unreadable) {
            return code + ".";
        }
    }

    private static void clear(Path directory) throws IOException {
        if (!Files.exists(directory)) return;
        try (Stream<Path> files = Files.walk(directory)) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) Files.delete(file);
        }
    }
}
