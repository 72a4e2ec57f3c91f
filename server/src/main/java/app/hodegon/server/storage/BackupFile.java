package app.hodegon.server.storage;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Comparator;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;

/** A backup: the database's file in a zip, as the database itself copies it. */
public final class BackupFile {

    private static final String ENTRY = "hodegon.mv.db";

    private BackupFile() {}

    /** The file is no backup, or cannot be read to its end. */
    public static final class Unreadable extends IOException {
        private static final long serialVersionUID = 1;

        Unreadable(Path file, String why) {
            super(file + " is no backup that can be brought back: " + why + ".");
        }
    }

    /** Copies the database into a file that is not there yet. */
    public interface Copy {
        void to(Path zip) throws SQLException;
    }

    /**
     * Makes a backup: it counts once it was read.
     *
     * @param to a file that is there already is replaced then
     * @return how much was read, in words
     */
    public static String make(Path to, Copy copy) throws IOException {
        Path part = to.toAbsolutePath().resolveSibling(to.getFileName() + ".part");
        try {
            Files.deleteIfExists(part);
            copy.to(part);
            DataFolder.onlyForTheOwner(part, "rw-------");
            String read = check(part);
            Files.move(part, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            return read;
        } catch (SQLException failed) {
            throw new IOException("The backup could not be written to " + to + ".");
        } finally {
            Files.deleteIfExists(part);
        }
    }

    /** The statement that copies the open database into a zip file while others go on writing. */
    public static String statement(Path zip) {
        return "backup to '" + zip.toString().replace("'", "''") + "'";
    }

    /**
     * Opens a backup and reads every row of it.
     *
     * @return how much was read, in words
     */
    static String check(Path zip) throws IOException {
        Path folder = roomy(zip.toAbsolutePath().getParent());
        try {
            return unpack(zip, folder);
        } finally {
            try (Stream<Path> files = Files.walk(folder)) {
                for (Path file : files.sorted(Comparator.reverseOrder()).toList()) Files.delete(file);
            }
        }
    }

    /** A folder to unpack into: where the system has such folders, or beside the backup if more room is there. */
    private static Path roomy(Path beside) throws IOException {
        Path usual = Files.createTempDirectory("hodegon-backup");
        if (usual.toFile().getUsableSpace() >= beside.toFile().getUsableSpace()) return usual;
        Files.delete(usual);
        return Files.createTempDirectory(beside, ".hodegon-backup");
    }

    /** Unpacks a backup into a folder, opens it there and reads every row of it. */
    public static String unpack(Path zip, Path folder) throws IOException {
        DataFolder data = new DataFolder(folder);
        try (ZipFile file = new ZipFile(zip.toFile())) {
            ZipEntry entry = file.getEntry(ENTRY);
            if (entry == null) throw new Unreadable(zip, "it holds no database");
            try (InputStream in = file.getInputStream(entry)) {
                Files.copy(in, data.database(), StandardCopyOption.REPLACE_EXISTING);
            }
        } catch (java.util.zip.ZipException broken) {
            throw new Unreadable(zip, "it is damaged");
        }
        DataFolder.onlyForTheOwner(data.database(), "rw-------");
        try (Connection store = DriverManager.getConnection(data.url(";ACCESS_MODE_DATA=r"), "sa", "");
                Statement sql = store.createStatement()) {
            long lines = 0;
            // The script names every row, so that every page is read.
            try (ResultSet script = sql.executeQuery("script simple")) {
                while (script.next()) lines++;
            }
            try (ResultSet people = sql.executeQuery("select (select count(*) from account), count(*) from student")) {
                people.next();
                return people.getInt(1) + " accounts, " + people.getInt(2) + " students, " + lines + " lines read";
            }
        } catch (SQLException broken) {
            throw new Unreadable(zip, "its database cannot be read");
        }
    }

    /** How far the database in a folder has come. */
    public static long beat(Path folder) throws IOException {
        try (Connection store =
                DriverManager.getConnection(new DataFolder(folder).url(";ACCESS_MODE_DATA=r"), "sa", "")) {
            return DataFolder.beat(store);
        } catch (SQLException broken) {
            throw new IOException(broken);
        }
    }
}
