package app.hodegon.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/** One demo server for all tests of a class. */
final class Demo implements BeforeAllCallback, AfterAllCallback {

    private Path folder;
    private ServerProcess server;

    @Override
    public void beforeAll(ExtensionContext context) throws IOException {
        folder = Files.createTempDirectory("demo");
        server = ServerProcess.demo(folder);
    }

    @Override
    public void afterAll(ExtensionContext context) throws IOException {
        server.close();
        try (Stream<Path> all = Files.walk(folder)) {
            all.sorted(Comparator.reverseOrder()).forEach(Demo::delete);
        }
    }

    private static void delete(Path file) {
        try {
            Files.delete(file);
        } catch (IOException left) {
            throw new UncheckedIOException(left);
        }
    }

    String base() {
        return server.base();
    }
}
