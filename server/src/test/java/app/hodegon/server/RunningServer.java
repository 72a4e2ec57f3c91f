package app.hodegon.server;

import java.util.UUID;
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

    private record Started(ConfigurableApplicationContext context) implements AutoCloseable {
        @Override
        public void close() {
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
                        key -> new Started(SpringApplication.run(
                                HodegonApplication.class,
                                "--server.port=0",
                                "--spring.profiles.active=demo",
                                "--hodegon.data=target/test-data",
                                "--spring.datasource.url=jdbc:h2:mem:" + UUID.randomUUID() + ";DB_CLOSE_DELAY=-1")),
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
