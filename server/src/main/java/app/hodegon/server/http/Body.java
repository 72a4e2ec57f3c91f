package app.hodegon.server.http;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;

/** A request's body: in memory while it is small, in a file beyond. */
final class Body implements AutoCloseable {

    private static final int IN_MEMORY = 256 * 1024;

    private final int most;
    private final Spool spool;
    private ByteArrayOutputStream memory = new ByteArrayOutputStream(1024);
    private Path file;
    private OutputStream toFile;
    private long spooled;
    private int size;

    private Body(int most, Spool spool, long spooled) {
        this.most = most;
        this.spool = spool;
        this.spooled = spooled;
    }

    /**
     * Room for a body is taken before it comes, so that of many large ones the first get in and not none.
     *
     * @param announced length in bytes; negative where it was not announced
     * @throws Spool.Full if there is none
     */
    static Body expected(int most, long announced, Spool spool) throws Spool.Full {
        long length = announced < 0 ? most : Math.min(announced, most);
        long spooled = length > IN_MEMORY ? length : 0;
        spool.reserve(spooled);
        return new Body(most, spool, spooled);
    }

    /** More than a body of its kind may hold. */
    static final class TooLarge extends IOException {
        private static final long serialVersionUID = 1;

        TooLarge(int most) {
            super(Bodies.tooLarge(most));
        }
    }

    synchronized void add(byte[] bytes, int length) throws IOException {
        size += length;
        if (size > most) throw new TooLarge(most);
        if (file == null && size > IN_MEMORY) {
            file = spool.file();
            toFile = Files.newOutputStream(file);
            memory.writeTo(toFile);
            memory = null;
        }
        if (file == null) {
            memory.write(bytes, 0, length);
        } else {
            toFile.write(bytes, 0, length);
        }
    }

    synchronized InputStream read() throws IOException {
        if (file == null) return new ByteArrayInputStream(memory.toByteArray());
        toFile.close();
        return Files.newInputStream(file);
    }

    @Override
    public synchronized void close() {
        try {
            if (toFile != null) toFile.close();
            if (file != null) Files.deleteIfExists(file);
        } catch (IOException left) {
            // The system clears its own folder for such files.
        }
        spool.release(spooled);
        spooled = 0;
    }
}
