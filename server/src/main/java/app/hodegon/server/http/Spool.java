package app.hodegon.server.http;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.atomic.AtomicLong;

/** Room for large bodies beside the memory: files that go with their request. */
final class Spool {

    private static final long MOST = 256L * 1024 * 1024;

    private final AtomicLong held = new AtomicLong();

    /** More is on its way in than there is room for. */
    static final class Full extends IOException {
        private static final long serialVersionUID = 1;

        Full() {
            super("Too many files are on their way in: try again in a few seconds.");
        }
    }

    Path file() throws IOException {
        return Files.createTempFile("hodegon-", ".body");
    }

    void reserve(long bytes) throws Full {
        if (held.addAndGet(bytes) > MOST) {
            held.addAndGet(-bytes);
            throw new Full();
        }
    }

    void release(long bytes) {
        held.addAndGet(-bytes);
    }
}
