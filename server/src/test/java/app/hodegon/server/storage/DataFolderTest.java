package app.hodegon.server.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Arrays;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A folder is refused in one sentence when its database is not what it was, and never begun anew. */
class DataFolderTest {

    @TempDir
    private Path path;

    private DataFolder folder;

    @BeforeEach
    void anInstallation() {
        folder = new DataFolder(path.resolve("data"));
        folder.prepare();
    }

    private void make() throws SQLException {
        String url = "jdbc:h2:file:" + folder.path().resolve("hodegon");
        Flyway.configure()
                .dataSource(url, "sa", "")
                .javaMigrations(new V8__planned_days())
                .load()
                .migrate();
        beat(41);
        folder.remember(41);
    }

    private void beat(long beat) throws SQLException {
        execute("update installation set beat = " + beat);
    }

    private void execute(String statement) throws SQLException {
        try (Connection store = DriverManager.getConnection(folder.url(""), "sa", "");
                var sql = store.createStatement()) {
            sql.execute(statement);
        }
    }

    private void refused(String word) {
        assertThatThrownBy(folder::prepare)
                .isInstanceOf(DataFolder.Refused.class)
                .hasMessageContaining(word)
                .hasMessageNotContaining("\n");
    }

    @Test
    void aNewFolderIsMadeForItsOwnerOnly() throws IOException {
        assertThat(Files.getPosixFilePermissions(folder.path()))
                .isEqualTo(PosixFilePermissions.fromString("rwx------"));
    }

    @Test
    void whatIsSoundIsTaken() throws SQLException {
        make();
        assertThatCode(folder::prepare).doesNotThrowAnyException();
        beat(42);
        assertThatCode(folder::prepare).as("a kill leaves the database ahead").doesNotThrowAnyException();
    }

    @Test
    void aDatabaseThatIsGoneIsNotBegunAnew() throws Exception {
        make();
        Files.delete(folder.database());
        refused("is gone");
    }

    @Test
    void anEmptiedOneIsRefused() throws Exception {
        make();
        Files.write(folder.database(), new byte[0]);
        refused("empty");
        Files.writeString(folder.database(), "x".repeat(10_000));
        refused("no database");
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9})
    void aCutOneIsRefusedWhereverItIsCut(int tenths) throws Exception {
        make();
        // Room that is free at the end may be cut off, and nothing is lost.
        execute("shutdown compact");
        byte[] whole = Files.readAllBytes(folder.database());
        Files.write(folder.database(), Arrays.copyOf(whole, whole.length * tenths / 10));
        assertThatThrownBy(folder::prepare).isInstanceOf(DataFolder.Refused.class);
    }

    @Test
    void anOlderCopyIsNoticed() throws Exception {
        make();
        beat(40);
        refused("older");
    }

    @Test
    void aDamagedOneIsRefused() throws Exception {
        make();
        try (RandomAccessFile file = new RandomAccessFile(folder.database().toFile(), "rw")) {
            for (long at = 9000; at < file.length(); at += 512) {
                file.seek(at);
                file.write('?');
            }
        }
        refused("damaged");
    }

    @Test
    void oneThatMayNotBeWrittenIsRefused() throws Exception {
        make();
        Files.setPosixFilePermissions(folder.database(), PosixFilePermissions.fromString("r--r--r--"));
        refused("may not be written");
    }
}
