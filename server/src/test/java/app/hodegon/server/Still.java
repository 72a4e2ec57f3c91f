package app.hodegon.server;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Base64;

/** A still of a film, as a page sends it. */
final class Still {

    static final String BASE64 = base64();

    private Still() {}

    private static String base64() {
        try (InputStream in = Still.class.getResourceAsStream("/demo-films/kept/extension-after/top.jpg")) {
            return Base64.getEncoder().encodeToString(in.readAllBytes());
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }
}
