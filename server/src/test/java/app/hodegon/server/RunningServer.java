package app.hodegon.server;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import javax.sql.DataSource;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * Starts the real server once in a JVM for all tests that ask for it, on a copy of the demo's data, and hands each test
 * a client. Spring's own test extension needs a newer JUnit (docs/decisions/0001).
 */
public final class RunningServer implements BeforeAllCallback, AfterAllCallback, ParameterResolver {

    /** Connections live this long, so that nothing may rest on the one that made it. */
    private static final Duration CONNECTION_LIVES = Duration.ofSeconds(2);

    private static final Path TARGET = Path.of("target").toAbsolutePath();

    private static final Map<Integer, ConfigurableApplicationContext> SERVERS = new ConcurrentHashMap<>();

    /** For every class without one of its own; ends with the JVM. */
    private static Started shared;

    private Started own;

    private record Started(ConfigurableApplicationContext context, ScheduledExecutorService recycling) {

        static Started onDemo() {
            try {
                Path data = Files.createTempDirectory(TARGET, "test-data");
                Files.copy(demo().resolve("hodegon.mv.db"), data.resolve("hodegon.mv.db"));
                return of(SpringApplication.run(
                        HodegonApplication.class,
                        "--server.port=0",
                        "--spring.profiles.active=demo",
                        "--hodegon.data=" + data));
            } catch (IOException full) {
                throw new UncheckedIOException(full);
            }
        }

        static Started of(ConfigurableApplicationContext context) {
            ScheduledExecutorService recycling = Executors.newSingleThreadScheduledExecutor();
            HikariPoolMXBean pool = context.getBean(HikariDataSource.class).getHikariPoolMXBean();
            long every = CONNECTION_LIVES.toMillis();
            recycling.scheduleAtFixedRate(pool::softEvictConnections, 0, every, TimeUnit.MILLISECONDS);
            Started started = new Started(context, recycling);
            SERVERS.put(started.port(), context);
            return started;
        }

        void close() {
            recycling.shutdownNow();
            context.close();
        }

        int port() {
            return Integer.parseInt(context.getEnvironment().getProperty("local.server.port"));
        }
    }

    /** Today's demo as the launcher made it, or made by the JVM that needs it first, which the others wait for. */
    static Path demo() throws IOException {
        Path launchers = TARGET.resolve("demo").resolve(LocalDate.now().toString());
        Path own = TARGET.resolve("test-demo-" + LocalDate.now());
        Files.createDirectories(TARGET);
        try (FileChannel channel = FileChannel.open(
                        TARGET.resolve("test-demo.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock mine = channel.lock()) {
            if (isOfThisCode(launchers)) return launchers;
            if (isOfThisCode(own)) return own;
            Path making = Files.createTempDirectory(TARGET, "test-demo-making");
            SpringApplication.run(
                            HodegonApplication.class,
                            "--server.port=0",
                            "--spring.profiles.active=demo",
                            "--hodegon.data=" + making)
                    .close();
            Files.createDirectories(own);
            Files.move(
                    making.resolve("hodegon.mv.db"), own.resolve("hodegon.mv.db"), StandardCopyOption.REPLACE_EXISTING);
            return own;
        }
    }

    private static boolean isOfThisCode(Path made) throws IOException {
        long at = time(made.resolve("hodegon.mv.db"));
        return at > newest(TARGET.resolve("classes")) && at > newest(Path.of("..", "core", "target", "classes"));
    }

    private static long newest(Path folder) throws IOException {
        if (!Files.isDirectory(folder)) return 0;
        try (var files = Files.walk(folder)) {
            return files.filter(Files::isRegularFile)
                    .mapToLong(RunningServer::time)
                    .max()
                    .orElse(0);
        }
    }

    private static long time(Path file) {
        try {
            return Files.exists(file) ? Files.getLastModifiedTime(file).toMillis() : 0;
        } catch (IOException gone) {
            return 0;
        }
    }

    @Override
    public void beforeAll(ExtensionContext context) {
        if (context.getRequiredTestClass().isAnnotationPresent(OwnServer.class)) own = Started.onDemo();
        else shared();
    }

    @Override
    public void afterAll(ExtensionContext context) {
        if (own != null) own.close();
        own = null;
    }

    private static synchronized Started shared() {
        if (shared == null) {
            shared = Started.onDemo();
            Runtime.getRuntime().addShutdownHook(new Thread(shared.recycling()::shutdownNow));
        }
        return shared;
    }

    /** Does in the store of a client's server what no request can do. */
    static void execute(Client at, String statement) throws SQLException {
        try (Connection store = SERVERS.get(at.port()).getBean(DataSource.class).getConnection();
                Statement sql = store.createStatement()) {
            sql.execute(statement);
        }
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType() == Client.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        return new Client((own == null ? shared() : own).port());
    }
}
