package app.hodegon.server.storage;

import static app.hodegon.server.db.Tables.INSTALLATION;

import java.nio.file.Path;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

@Repository
class InstallationRepository {

    private final DSLContext db;

    InstallationRepository(DSLContext db) {
        this.db = db;
    }

    /** Counts one further and says how far it is. */
    long beat() {
        db.update(INSTALLATION)
                .set(INSTALLATION.BEAT, INSTALLATION.BEAT.plus(1))
                .execute();
        return db.select(INSTALLATION.BEAT).from(INSTALLATION).fetchOne(INSTALLATION.BEAT);
    }

    /** Writes down which version of the program uses the database. */
    void usedBy(String program) {
        db.update(INSTALLATION).set(INSTALLATION.PROGRAM, program).execute();
    }

    boolean answers() {
        return db.selectOne().fetchOne().value1() == 1;
    }

    /** The number of the last migration. */
    String schema() {
        return db.fetchOne("""
                        select "version" from "flyway_schema_history" where "success"
                        order by "installed_rank" desc limit 1""").get(0, String.class);
    }

    /** Whether the database is a file, as in every real installation. */
    boolean isFile() {
        return db.connectionResult(c -> c.getMetaData().getURL().startsWith("jdbc:h2:file:"));
    }

    /** Copies the database as it is at this moment into a zip file, while others go on writing. */
    void copyTo(Path zip) {
        db.execute(BackupFile.statement(zip));
    }
}
