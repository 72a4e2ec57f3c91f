package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.server.operation.Operator;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** A new installation on disk: begun once, kept for its owner, backed up and asked while it runs. */
class OperationTest {

    private static final String ACCOUNT = "{\"name\":\"A\",\"email\":\"a%d@x.example\",\"password\":\"a-long-word\"}";

    @TempDir
    private Path folder;

    private Path data;
    private ConfigurableApplicationContext context;
    private Client client;

    @BeforeEach
    void start() {
        data = folder.resolve("data");
        context = SpringApplication.run(HodegonApplication.class, "--server.port=0", "--hodegon.data=" + data);
        client = new Client(Integer.parseInt(context.getEnvironment().getProperty("local.server.port")));
        client.get("/api/session").expect(200);
    }

    @AfterEach
    void stop() {
        context.close();
    }

    private static String run(String... arguments) {
        ByteArrayOutputStream said = new ByteArrayOutputStream();
        PrintStream to = new PrintStream(said, true);
        int code = new Operator(to, to).run(List.of(arguments));
        return code + " " + said;
    }

    @Test
    void ofManyFirstCoachesAtOnceThereIsOne() throws Exception {
        ExecutorService many = Executors.newFixedThreadPool(10);
        List<Callable<Integer>> tries = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            int n = i;
            Client each = client.fresh();
            each.get("/api/session").expect(200);
            tries.add(() -> each.post("/api/first-coach", ACCOUNT.formatted(n)).status());
        }
        List<Integer> statuses = new ArrayList<>();
        for (Future<Integer> one : many.invokeAll(tries)) statuses.add(one.get());
        many.shutdown();
        assertThat(statuses.stream().filter(s -> s == 201)).hasSize(1);
        assertThat(statuses).containsOnly(201, 409);
    }

    @Test
    void theFolderIsForItsOwnerOnlyAndRemembersItself() throws Exception {
        assertThat(Files.getPosixFilePermissions(data)).isEqualTo(PosixFilePermissions.fromString("rwx------"));
        assertThat(Files.getPosixFilePermissions(data.resolve("hodegon.mv.db")))
                .isEqualTo(PosixFilePermissions.fromString("rw-------"));
        assertThat(Files.readString(data.resolve("installation")).strip()).matches("\\d+");
    }

    @Test
    void itIsBackedUpAndAskedForALinkWhileItRuns() throws Exception {
        client.post("/api/first-coach", ACCOUNT.formatted(1)).expect(201);
        Path zip = folder.resolve("while-running.zip");
        assertThat(run("backup", "--data", data.toString(), "--to", zip.toString()))
                .startsWith("0 Backup made while Hodegon runs: 1 accounts");
        assertThat(run("restore", "--from", zip.toString(), "--data", data.toString(), "--replace"))
                .startsWith("1 Hodegon is running");

        assertThat(run("link", "--data", data.toString(), "--email", "nobody@x.example"))
                .startsWith("1 There is no account");
        String said = run("link", "--data", data.toString(), "--email", "a1@x.example");
        String token = said.replaceAll("(?s).*/password/(\\S+) .*", "$1");
        Client lost = client.fresh();
        lost.get("/api/session").expect(200);
        lost.post("/api/password-links/" + token, "{\"password\":\"another-word\"}")
                .expect(200);
        client.get("/api/students").refused(401);

        Path other = folder.resolve("other");
        assertThat(run("restore", "--from", zip.toString(), "--data", other.toString()))
                .startsWith("0 Brought back: 1 accounts");
    }

    @Test
    void itIsAskedWhereItListens() {
        context.close();
        context = SpringApplication.run(
                HodegonApplication.class, "--server.port=0", "--server.address=127.0.0.2", "--hodegon.data=" + data);
        Path zip = folder.resolve("elsewhere.zip");
        assertThat(run("backup", "--data", data.toString(), "--to", zip.toString()))
                .startsWith("0 Backup made while Hodegon runs");
    }

    @Test
    void theCommandLinesDoorIsShutWithoutItsSecret() throws Exception {
        for (String order : List.of("backup", "link", "nonsense")) {
            HttpRequest request = HttpRequest.newBuilder(
                            URI.create("http://localhost:" + client.port() + "/operator/" + order))
                    .header("X-Hodegon-Operator", "guessed")
                    .header("X-About", "%2Ftmp%2Fx")
                    .POST(BodyPublishers.noBody())
                    .build();
            assertThat(HttpClient.newHttpClient()
                            .send(request, BodyHandlers.discarding())
                            .statusCode())
                    .isEqualTo(404);
        }
        assertThat(Files.getPosixFilePermissions(data.resolve("operator")))
                .isEqualTo(PosixFilePermissions.fromString("rw-------"));
        context.close();
        assertThat(data.resolve("operator")).doesNotExist();
    }

    @Test
    void whoIsSignedInStaysSoOverARestart() {
        client.post("/api/first-coach", ACCOUNT.formatted(1)).expect(201);
        client.get("/api/session").expect(200);
        context.close();
        context = SpringApplication.run(HodegonApplication.class, "--server.port=0", "--hodegon.data=" + data);
        Client same = client.at(Integer.parseInt(context.getEnvironment().getProperty("local.server.port")));
        same.get("/api/students").expect(200);
        same.post("/api/students", StudentsTest.form("Ada Wright")).expect(201);
    }
}
