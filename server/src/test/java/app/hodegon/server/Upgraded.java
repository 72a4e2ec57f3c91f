package app.hodegon.server;

import app.hodegon.server.storage.V8__planned_days;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import org.flywaydb.core.Flyway;

/** Databases on disk, as earlier versions made them. */
public final class Upgraded {

    private Upgraded() {}

    private static final String PEOPLE = """
            insert into account (id, email, password_hash, role, name, created_at)
                values (random_uuid(), 'c@x.example', '', 'coach', 'Coach', current_timestamp);
            insert into student (id, coach_id, account_id, name, handedness, playing_level, age_band, shoes, units,
                complaint, flags, kit, created_at)
                select random_uuid(), id, null, 'Sela Moor', 'right', 'club', 'adult', 'soft', 'metric', '', array[],
                array[], current_timestamp from account""";

    /** The database of an installation in this folder, brought to that version. */
    public static String url(Path folder) {
        return "jdbc:h2:file:" + folder.toAbsolutePath().resolve("hodegon");
    }

    public static void migrate(Path folder, String target) {
        Flyway.configure()
                .dataSource(url(folder), "sa", "")
                .javaMigrations(new V8__planned_days())
                .target(target)
                .load()
                .migrate();
    }

    /** As the latest version makes it, with somebody in it. */
    public static void withACoachAndAStudent(Path folder) throws Exception {
        withACoachAndAStudent(folder, "latest");
    }

    public static void withACoachAndAStudent(Path folder, String version) throws Exception {
        migrate(folder, version);
        try (Connection store = DriverManager.getConnection(url(folder), "sa", "");
                Statement sql = store.createStatement()) {
            for (String row : PEOPLE.split(";")) sql.execute(row);
        }
    }
}
