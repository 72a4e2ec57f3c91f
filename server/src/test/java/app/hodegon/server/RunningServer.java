package app.hodegon.server;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import java.time.Duration;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * Starts the real server once for all tests that ask for it, with the demo's data in memory, and hands each test a
 * client. Spring's own test extension needs a newer JUnit (docs/decisions/0001).
 */
public final class RunningServer implements BeforeAllCallback, ParameterResolver {

    /** Connections live this long, so that nothing may rest on the one that made it. */
    private static final Duration CONNECTION_LIVES = Duration.ofSeconds(2);

    private record Started(ConfigurableApplicationContext context, ScheduledExecutorService recycling)
            implements AutoCloseable {

        static Started of(ConfigurableApplicationContext context) {
            ScheduledExecutorService recycling = Executors.newSingleThreadScheduledExecutor();
            HikariPoolMXBean pool = context.getBean(HikariDataSource.class).getHikariPoolMXBean();
            long every = CONNECTION_LIVES.toMillis();
            recycling.scheduleAtFixedRate(pool::softEvictConnections, 0, every, TimeUnit.MILLISECONDS);
            return new Started(context, recycling);
        }

        @Override
        public void close() {
            recycling.shutdownNow();
            context.close();
        }

        int port() {
            return Integer.parseInt(context.getEnvironment().getProperty("local.server.port"));
        }
    }

    @Override
    public void beforeAll(ExtensionContext context) {
        started(context);
    }

    private static Started started(ExtensionContext context) {
        Class<?> test = context.getRequiredTestClass();
        return context.getRoot()
                .getStore(Namespace.GLOBAL)
                .getOrComputeIfAbsent(
                        test.isAnnotationPresent(OwnServer.class) ? test.getName() : "server",
                        key -> Started.of(SpringApplication.run(
                                HodegonApplication.class,
                                "--server.port=0",
                                "--spring.profiles.active=demo",
                                "--hodegon.data=target/test-data",
                                "--spring.datasource.url=jdbc:h2:mem:" + UUID.randomUUID()
                                        + ";DB_CLOSE_DELAY=-1;LOCK_TIMEOUT=10000")),
                        Started.class);
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType() == Client.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        return new Client(started(context).port());
    }
}
