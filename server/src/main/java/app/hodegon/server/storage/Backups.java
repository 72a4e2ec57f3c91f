package app.hodegon.server.storage;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;

/** Copies of the database, one a day, each opened and read before it counts. */
@Service
public class Backups {

    private static final Logger LOG = LoggerFactory.getLogger(Backups.class);
    private static final String NAME = "hodegon-\\d{4}-\\d{2}-\\d{2}\\.zip";

    private final InstallationRepository repository;
    private final DataFolder folder;
    private final Disk disk;
    private final Clock clock;
    private final int days;

    Backups(
            InstallationRepository repository,
            Installation installation,
            Disk disk,
            Clock clock,
            @Value("${hodegon.backup-days}") int days) {
        this.repository = repository;
        this.folder = installation.folder();
        this.disk = disk;
        this.clock = clock;
        this.days = days;
    }

    /**
     * A backup that was made.
     *
     * @param bytes of the file
     */
    public record Made(Path file, Instant at, long bytes) {}

    /** The latest of the daily ones. */
    public Optional<Made> last() {
        return daily().stream().findFirst().map(file -> {
            try {
                return new Made(file, Files.getLastModifiedTime(file).toInstant(), Files.size(file));
            } catch (IOException gone) {
                return null;
            }
        });
    }

    /** The latest first. */
    private List<Path> daily() {
        if (!Files.isDirectory(folder.backups())) return List.of();
        try (Stream<Path> files = Files.list(folder.backups())) {
            return files.filter(f -> f.getFileName().toString().matches(NAME))
                    .sorted(Comparator.reverseOrder())
                    .toList();
        } catch (IOException unreadable) {
            return List.of();
        }
    }

    /** Looks every hour whether today's is there: a machine may be off at night. */
    @Scheduled(initialDelay = 10, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
    void makeTodays() {
        if (days < 1 || !repository.isFile() || disk.isFull()) return;
        Path today = folder.backups().resolve("hodegon-" + LocalDate.now(clock) + ".zip");
        if (Files.exists(today)) return;
        try {
            Files.createDirectories(folder.backups());
            DataFolder.onlyForTheOwner(folder.backups(), "rwx------");
            make(today);
            for (Path old : daily().stream().skip(days).toList()) Files.delete(old);
        } catch (IOException | RuntimeException failed) {
            LOG.error("Today's backup failed: {}", failed.getClass().getSimpleName());
        }
    }

    /**
     * Makes a backup while the server goes on.
     *
     * @param to a file that is there already is replaced, once the new one was read
     * @return what was read of it, in words
     */
    public String make(Path to) throws IOException {
        return BackupFile.make(to, repository::copyTo);
    }
}
