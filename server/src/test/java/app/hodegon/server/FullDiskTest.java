package app.hodegon.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.hodegon.server.operation.Operator;
import app.hodegon.server.storage.FailingDisk;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** A full disk is said in plain words, what is there can be read, and with room it goes on by itself. */
class FullDiskTest {

    private static final Duration PATIENCE = Duration.ofSeconds(20);

    @TempDir
    private Path folder;

    private ConfigurableApplicationContext context;

    private Client start(String... more) {
        FailingDisk.register();
        String[] arguments = new String[more.length + 3];
        arguments[0] = "--server.port=0";
        arguments[1] = "--hodegon.data=" + folder;
        arguments[2] = "--spring.datasource.url=jdbc:h2:failing:" + folder.resolve("hodegon") + ";WRITE_DELAY=0";
        System.arraycopy(more, 0, arguments, 3, more.length);
        context = SpringApplication.run(HodegonApplication.class, arguments);
        Client client = new Client(Integer.parseInt(context.getEnvironment().getProperty("local.server.port")));
        client.get("/api/session").expect(200);
        return client;
    }

    private static Client.Answer add(Client coach, String name) {
        return coach.post("/api/students", StudentsTest.form(name));
    }

    private static void firstCoach(Client client) {
        client.post("/api/first-coach", "{\"name\":\"A\",\"email\":\"a@x.example\",\"password\":\"a-long-word\"}")
                .expect(201);
        client.get("/api/session").expect(200);
    }

    @AfterEach
    void stop() {
        FailingDisk.full(false);
        if (context != null) context.close();
    }

    @Test
    void theStoreThatClosedItselfComesBack() throws InterruptedException {
        Client coach = start();
        firstCoach(coach);
        add(coach, "Before").expect(201);
        FailingDisk.full(true);
        assertThat(add(coach, "Meanwhile").refused(507).body().path("detail").asString())
                .contains("disk")
                .contains("full");
        until(() -> coach.get("/api/students").status() == 200);
        assertThat(coach.get("/api/students").expect(200).body().toString()).contains("Before");
        add(coach, "Meanwhile").refused(507);
        FailingDisk.full(false);
        until(() -> add(coach, "After").status() == 201);
        assertThat(coach.get("/api/students").expect(200).body().findValuesAsString("name"))
                .contains("Before", "After")
                .doesNotContain("Meanwhile");
    }

    @Test
    void beforeTheDiskIsFullNothingMoreIsStored() {
        Client coach = start("--hodegon.disk-reserve-mb=0");
        firstCoach(coach);
        add(coach, "Before").expect(201);
        context.close();
        Client later = start("--hodegon.disk-reserve-mb=100000000000");
        later.signIn("a@x.example", "a-long-word");
        assertThat(later.get("/api/students").expect(200).body().toString()).contains("Before");
        add(later, "Meanwhile").refused(507);
        later.post("/api/diagnosis", "{\"handedness\":\"right\"}").expect(200);
        assertThat(later.get("/api/health").expect(200).body().path("full").asBoolean())
                .isTrue();
        // When the disk is full a copy on another one is needed most.
        ByteArrayOutputStream said = new ByteArrayOutputStream();
        PrintStream to = new PrintStream(said, true);
        Path copy = folder.resolve("elsewhere.zip");
        assertThat(new Operator(to, to).run(List.of("backup", "--data", folder.toString(), "--to", copy.toString())))
                .as(said.toString())
                .isZero();
        assertThat(copy).exists();
    }

    /** The pool looks at its connections again by itself. */
    private static void until(java.util.function.BooleanSupplier holds) throws InterruptedException {
        Instant end = Instant.now().plus(PATIENCE);
        while (!holds.getAsBoolean()) {
            if (Instant.now().isAfter(end)) throw new AssertionError("not within " + PATIENCE);
            Thread.sleep(50);
        }
    }
}
