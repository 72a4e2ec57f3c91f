package app.hodegon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The one command, with stand-ins for what it calls: however it ends, it says so and with what code. */
class LauncherTest {

    private static final int STARTS = Boolean.getBoolean("hodegon.all") ? 200 : 20;

    private static final String BUILDS = """
            sleep 0.05; echo "[INFO] Building Hodegon core 0.1 [1/3]"; sleep 0.05
            mkdir -p server/target; echo jar > server/target/hodegon.jar""";

    private static final String RUNS = """
            case "$*" in
              *jarmode*) mkdir -p "${@: -1}"; cp server/target/hodegon.jar "${@: -1}/hodegon.jar" ;;
              *context.exit*) for a in "$@"; do case $a in --hodegon.data=*) echo db > "${a#*=}/hodegon.mv.db" ;; esac; done ;;
              *) echo "Hodegon is ready at http://localhost:8080" ;;
            esac""";

    @TempDir
    private Path root;

    /** What a run said, to the screen and beside it, and its code. */
    private record Said(int code, String text) {}

    @BeforeEach
    void aCheckout() throws IOException {
        Path script = Path.of("..", "hodegon");
        Files.copy(script, root.resolve("hodegon"));
        executable(root.resolve("hodegon"));
        for (String folder : new String[] {"core/src/main", "server/src/main", "web", "bin"}) {
            Files.createDirectories(root.resolve(folder));
        }
        for (String pom : new String[] {"pom.xml", "core/pom.xml"}) Files.writeString(root.resolve(pom), "<project/>");
        stub("mvn", BUILDS);
        stub("java", RUNS);
        stub("node", "");
        stub("npm", "");
    }

    private void stub(String name, String does) throws IOException {
        Path file = root.resolve("bin").resolve(name);
        Files.writeString(file, "#!/usr/bin/env bash\n" + does + "\n");
        executable(file);
    }

    private static void executable(Path file) throws IOException {
        Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rwxr-xr-x"));
    }

    private Process begin(String... arguments) throws IOException {
        String[] command = new String[arguments.length + 1];
        command[0] = root.resolve("hodegon").toString();
        System.arraycopy(arguments, 0, command, 1, arguments.length);
        ProcessBuilder process = new ProcessBuilder(command).redirectErrorStream(true);
        Map<String, String> environment = process.environment();
        environment.put("PATH", root.resolve("bin") + ":" + environment.get("PATH"));
        return process.start();
    }

    private Said run(String... arguments) throws Exception {
        Process process = begin(arguments);
        String text = new String(process.getInputStream().readAllBytes());
        assertThat(process.waitFor(30, TimeUnit.SECONDS)).isTrue();
        return new Said(process.exitValue(), text);
    }

    /** The first look at the build may come before there is anything to look at. */
    @Test
    void noStartEndsInSilence() throws Exception {
        for (int i = 0; i < STARTS; i++) {
            delete("server/target");
            delete("target");
            Said said = run("demo");
            assertThat(said.text()).as("start " + i).contains("Hodegon is ready at");
            assertThat(said.code()).isZero();
        }
    }

    private void delete(String folder) throws Exception {
        new ProcessBuilder("rm", "-rf", root.resolve(folder).toString()).start().waitFor();
    }

    @Test
    void whatATestBuiltIsUsed() throws Exception {
        run("demo");
        stub("mvn", "echo built again >> again; exit 1");
        delete("server/target/app");
        assertThat(run("demo").text()).contains("Hodegon is ready at");
        assertThat(root.resolve("again")).doesNotExist();
    }

    @Test
    void whatFailsIsSaidWithItsCode() throws Exception {
        stub("mvn", "echo '[ERROR] it does not compile'; exit 1");
        Said build = run("demo");
        assertThat(build.code()).isEqualTo(1);
        assertThat(build.text())
                .contains("it does not compile")
                .contains("The build failed: all of it is in target/build.log.");

        stub("mvn", BUILDS);
        stub("java", "echo 'no room' >&2; exit 1");
        assertThat(run("demo").text()).contains("could not be unpacked");

        stub("java", RUNS.replace("*context.exit*)", "*context.exit*) echo 'no store'; exit 3 ;; *never*)"));
        Said data = run("demo");
        assertThat(data.text()).contains("The demo's data could not be made");
        assertThat(data.code()).isEqualTo(1);

        delete("server/target");
        stub(
                "java",
                RUNS.replace(
                        "echo \"Hodegon is ready at http://localhost:8080\"",
                        "echo 'Port 8080 is in use' >&2; exit 1"));
        Said taken = run("demo");
        assertThat(taken.code()).isEqualTo(1);
        assertThat(taken.text()).contains("Port 8080 is in use").doesNotContain("ready at");

        stub("java", RUNS.replace("echo \"Hodegon is ready at http://localhost:8080\"", "kill -9 $$"));
        Said killed = run("demo");
        assertThat(killed.code()).isEqualTo(137);
        assertThat(killed.text()).contains("ended from outside (signal 9)");
    }

    @Test
    void whatIsMissingIsNamed() throws Exception {
        assertThat(run("demo", "--port").text()).contains("--port needs a number");
        assertThat(run("sing").code()).isEqualTo(1);
        Said none = run();
        assertThat(none.code()).isZero();
        assertThat(none.text()).contains("./hodegon demo");
    }

    @Test
    void aBuildThatIsStoppedLeavesNothingRunning() throws Exception {
        stub("mvn", "echo $$ > builder; exec sleep 60");
        Process process = begin("demo");
        while (!Files.exists(root.resolve("builder"))) Thread.onSpinWait();
        process.toHandle().destroy();
        assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
        assertThat(new String(process.getInputStream().readAllBytes())).contains("Stopped.");
        assertThat(process.exitValue()).isEqualTo(130);
        long builder = Long.parseLong(Files.readString(root.resolve("builder")).strip());
        assertThat(ProcessHandle.of(builder).filter(ProcessHandle::isAlive)).isEmpty();
    }
}
