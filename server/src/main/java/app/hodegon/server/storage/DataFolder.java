package app.hodegon.server.storage;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The folder an installation lives in, looked at before it is used: a database that is gone, emptied, cut or not to be
 * written is refused, never begun anew, and one of an earlier version is brought up.
 */
public record DataFolder(Path path) {

    /** H2's code for a database that another process has open. */
    private static final int ALREADY_OPEN = 90020;

    private static final int HEADER = 4096;
    private static final String MAGIC = "H:2";

    /** Why the folder cannot be used, in one sentence with what to do. */
    public static final class Refused extends RuntimeException {
        private static final long serialVersionUID = 1;

        public Refused(String message) {
            super(message);
        }
    }

    /** Whether a server has the database open. */
    public static final class InUse extends RuntimeException {
        private static final long serialVersionUID = 1;
    }

    /** Whether a database could not be opened because another process has it open. */
    public static boolean isInUse(SQLException failure) {
        return failure.getErrorCode() == ALREADY_OPEN;
    }

    public Path database() {
        return path.resolve("hodegon.mv.db");
    }

    /** Remembers how far the installation had come, and so that there is one. */
    Path marker() {
        return path.resolve("installation");
    }

    /** How a running server is told to do something; only its owner can read it. */
    public Path operator() {
        return path.resolve("operator");
    }

    public Path backups() {
        return path.resolve("backups");
    }

    /** The address of the database for a direct look; it is never made anew. */
    public String url(String settings) {
        return "jdbc:h2:file:" + path.toAbsolutePath().resolve("hodegon")
                + ";IFEXISTS=TRUE;DB_CLOSE_ON_EXIT=FALSE;TRACE_LEVEL_FILE=0" + settings;
    }

    /**
     * Makes the folder if it is not there, and sees that it can be used; a database of an earlier version is brought up.
     *
     * @return whether there is a database, of this version's schema now
     * @throws Refused if it cannot
     * @throws InUse if another process has the database open
     */
    public boolean prepare() {
        try {
            if (!Files.exists(path)) Files.createDirectories(path);
            if (!Files.isDirectory(path)) throw new Refused(path + " is no folder: name one with --data.");
            if (!Files.isWritable(path)) throw new Refused("The folder " + path + " cannot be written.");
            onlyForTheOwner(path, "rwx------");
            if (Files.exists(database())) {
                check();
                return true;
            }
            if (Files.exists(marker()) || holdsBackups()) {
                throw new Refused("The database " + database() + " is gone, but there was an installation here."
                        + restore() + " To begin anew, use an empty folder.");
            }
            return false;
        } catch (IOException unreadable) {
            throw new Refused("The folder " + path + " cannot be used: " + unreadable.getMessage());
        }
    }

    private boolean holdsBackups() throws IOException {
        if (!Files.isDirectory(backups())) return false;
        try (Stream<Path> all = Files.list(backups())) {
            return all.findAny().isPresent();
        }
    }

    private String restore() {
        return " Bring a backup back with: ./hodegon restore --from FILE --data " + path + ".";
    }

    private void check() throws IOException {
        if (Files.size(database()) < HEADER || !header().startsWith(MAGIC)) {
            throw new Refused("The database " + database() + " is empty or no database of Hodegon." + restore());
        }
        if (!ownerMayWrite(database())) {
            throw new Refused("The database " + database() + " may not be written: allow it with chmod u+w.");
        }
        long beat;
        Upgrade.Written written;
        try (Connection store = DriverManager.getConnection(url(";ACCESS_MODE_DATA=r"), "sa", "")) {
            beat = beat(store);
            written = Upgrade.Written.by(store);
        } catch (SQLException broken) {
            if (isInUse(broken)) throw new InUse();
            throw new Refused("The database " + database() + " is damaged and cannot be opened." + restore());
        }
        if (beat < remembered()) {
            throw new Refused("The database " + database() + " is older than what was stored here last: it was cut or"
                    + " replaced." + restore());
        }
        new Upgrade(this).from(written);
    }

    private String header() throws IOException {
        try (InputStream in = Files.newInputStream(database())) {
            return new String(in.readNBytes(MAGIC.length()), StandardCharsets.US_ASCII);
        }
    }

    private static boolean ownerMayWrite(Path file) throws IOException {
        if (!Files.isWritable(file)) return false;
        // Some users may write whatever the mode says; the mode was set on purpose.
        return !posix(file) || Files.getPosixFilePermissions(file).contains(PosixFilePermission.OWNER_WRITE);
    }

    private static boolean posix(Path file) {
        return file.getFileSystem().supportedFileAttributeViews().contains("posix");
    }

    /** How far the database has come; 0 for one of before it was counted. */
    static long beat(Connection store) throws SQLException {
        try (Statement sql = store.createStatement()) {
            try (ResultSet tables = sql.executeQuery("""
                    select count(*) from information_schema.tables
                    where table_schema = 'PUBLIC' and table_name in ('INSTALLATION', 'flyway_schema_history')""")) {
                tables.next();
                if (tables.getInt(1) < 2) return 0;
            }
            try (ResultSet beats = sql.executeQuery("select max(beat) from installation")) {
                beats.next();
                return beats.getLong(1);
            }
        }
    }

    private long remembered() throws IOException {
        if (!Files.exists(marker())) return 0;
        try {
            return Long.parseLong(Files.readString(marker()).strip());
        } catch (NumberFormatException unreadable) {
            return 0;
        }
    }

    /** Remembers how far the database has come; what was remembered before is replaced at once. */
    public void remember(long beat) {
        try {
            Path next = path.resolve("installation.next");
            Files.writeString(next, beat + "\n");
            onlyForTheOwner(next, "rw-------");
            Files.move(next, marker(), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException full) {
            throw new UncheckedIOException(full);
        }
    }

    /** Lets nobody but the owner read what is in the folder. */
    void lockUp() throws IOException {
        onlyForTheOwner(path, "rwx------");
        try (Stream<Path> files = Files.list(path)) {
            for (Path file : files.toList()) {
                if (Files.isRegularFile(file)) onlyForTheOwner(file, "rw-------");
            }
        }
    }

    static void onlyForTheOwner(Path file, String mode) throws IOException {
        if (!posix(file)) return;
        Set<PosixFilePermission> wanted = PosixFilePermissions.fromString(mode);
        if (!Files.getPosixFilePermissions(file).equals(wanted)) Files.setPosixFilePermissions(file, wanted);
    }
}
