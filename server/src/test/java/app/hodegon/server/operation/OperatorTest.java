package app.hodegon.server.operation;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.server.Upgraded;
import app.hodegon.server.storage.DataFolder;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The command line, on data no server runs on. */
class OperatorTest {

    @TempDir
    private Path folder;

    private final ByteArrayOutputStream said = new ByteArrayOutputStream();

    private int run(String... arguments) {
        said.reset();
        PrintStream to = new PrintStream(said, true);
        return new Operator(to, to).run(List.of(arguments));
    }

    private Path data(String name) throws Exception {
        Path data = Files.createDirectories(folder.resolve(name));
        Upgraded.withACoachAndAStudent(data);
        return data;
    }

    @Test
    void aBackupIsReadAndBroughtBack() throws Exception {
        Path data = data("data");
        Path zip = folder.resolve("copy.zip");
        assertThat(run("backup", "--data", data.toString(), "--to", zip.toString()))
                .as(said.toString())
                .isZero();
        assertThat(said.toString()).contains("1 accounts, 1 students");
        assertThat(Files.getPosixFilePermissions(zip)).isEqualTo(PosixFilePermissions.fromString("rw-------"));

        Path other = folder.resolve("other");
        assertThat(run("restore", "--from", zip.toString(), "--data", other.toString()))
                .as(said.toString())
                .isZero();
        new DataFolder(other).prepare();
        assertThat(names(other)).isEqualTo("Sela Moor");
    }

    @Test
    void dataIsNotOverwrittenWithoutBeingToldSoAndThenKept() throws Exception {
        Path data = data("data");
        Path zip = folder.resolve("copy.zip");
        run("backup", "--data", data.toString(), "--to", zip.toString());
        sql(data, "update student set name = 'Later'");
        assertThat(run("restore", "--from", zip.toString(), "--data", data.toString()))
                .isEqualTo(1);
        assertThat(said.toString()).contains("--replace");
        assertThat(names(data)).isEqualTo("Later");
        assertThat(run("restore", "--from", zip.toString(), "--data", data.toString(), "--replace"))
                .isZero();
        assertThat(names(data)).isEqualTo("Sela Moor");
        try (var files = Files.list(data)) {
            assertThat(files.map(f -> f.getFileName().toString())).anyMatch(n -> n.startsWith("before-restore"));
        }
    }

    @Test
    void aDamagedBackupChangesNothing() throws Exception {
        Path data = data("data");
        Path zip = folder.resolve("copy.zip");
        run("backup", "--data", data.toString(), "--to", zip.toString());
        byte[] whole = Files.readAllBytes(zip);
        Files.write(zip, Arrays.copyOf(whole, whole.length / 2));
        assertThat(run("restore", "--from", zip.toString(), "--data", data.toString(), "--replace"))
                .isEqualTo(1);
        assertThat(said.toString()).contains("no backup that can be brought back");
        assertThat(names(data)).isEqualTo("Sela Moor");
        Files.writeString(zip, "no zip");
        assertThat(run(
                        "restore",
                        "--from",
                        zip.toString(),
                        "--data",
                        folder.resolve("new").toString()))
                .isEqualTo(1);
    }

    @Test
    void aLinkIsMadeForAnAccountThatIsThere() throws Exception {
        Path data = data("data");
        assertThat(run("link", "--data", data.toString(), "--email", "C@x.example"))
                .as(said.toString())
                .isZero();
        assertThat(said.toString()).contains("/password/");
        assertThat(run("link", "--data", data.toString(), "--email", "nobody@x.example"))
                .isEqualTo(1);
        assertThat(said.toString()).contains("no account");
    }

    @Test
    void anOwnerIsNamed() throws Exception {
        Path data = data("data");
        sql(data, "update account set owner = null");
        assertThat(run("owner", "--data", data.toString(), "--email", "C@x.example"))
                .as(said.toString())
                .isZero();
        assertThat(said.toString()).contains("Coach owns the house now");
        assertThat(run("owner", "--data", data.toString(), "--email", "nobody@x.example"))
                .isEqualTo(1);
        assertThat(said.toString()).contains("no coach");
    }

    @Test
    void whatIsMissingIsNamed() {
        assertThat(run("backup", "--data", folder.toString())).isEqualTo(1);
        assertThat(said.toString()).contains("--to is missing");
        assertThat(run(
                        "backup",
                        "--data",
                        folder.toString(),
                        "--to",
                        folder.resolve("x.zip").toString()))
                .isEqualTo(1);
        assertThat(said.toString()).contains("no database");
        assertThat(run("restore", "--from", folder.resolve("none.zip").toString(), "--data", folder.toString()))
                .isEqualTo(1);
        assertThat(run("shout")).isEqualTo(1);
    }

    private static void sql(Path data, String command) throws Exception {
        try (Connection store = DriverManager.getConnection(new DataFolder(data).url(""), "sa", "")) {
            store.createStatement().execute(command);
        }
    }

    private static String names(Path data) throws Exception {
        try (Connection store = DriverManager.getConnection(new DataFolder(data).url(""), "sa", "");
                ResultSet names = store.createStatement().executeQuery("select name from student")) {
            names.next();
            return names.getString(1);
        }
    }
}
