package app.hodegon.server.storage;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.util.concurrent.atomic.AtomicBoolean;
import org.h2.store.fs.FileBaseDefault;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/** A disk under the database that can be full. */
public final class FailingDisk extends FilePathWrapper {

    private static final AtomicBoolean FULL = new AtomicBoolean();

    /** Databases at {@code jdbc:h2:failing:...} are on it from now on. */
    public static void register() {
        FilePath.register(new FailingDisk());
    }

    public static void full(boolean full) {
        FULL.set(full);
    }

    @Override
    public String getScheme() {
        return "failing";
    }

    @Override
    public FileChannel open(String mode) throws IOException {
        return new Channel(super.open(mode));
    }

    private static final class Channel extends FileBaseDefault {
        private final FileChannel file;

        Channel(FileChannel file) {
            this.file = file;
        }

        private static void room() throws IOException {
            if (FULL.get()) throw new IOException("No space left on device");
        }

        @Override
        public long size() throws IOException {
            return file.size();
        }

        @Override
        public int read(ByteBuffer into, long position) throws IOException {
            return file.read(into, position);
        }

        @Override
        public int write(ByteBuffer from, long position) throws IOException {
            room();
            return file.write(from, position);
        }

        @Override
        public void force(boolean metaData) throws IOException {
            file.force(metaData);
        }

        @Override
        protected void implTruncate(long size) throws IOException {
            file.truncate(size);
        }

        @Override
        public java.nio.channels.FileLock tryLock(long position, long size, boolean shared) throws IOException {
            return file.tryLock(position, size, shared);
        }

        @Override
        protected void implCloseChannel() throws IOException {
            file.close();
        }
    }
}
