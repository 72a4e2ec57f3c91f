package app.hodegon.server.storage;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** The installation's life: counted in the database and remembered beside it, so that an older file is noticed. */
@Service
public class Installation implements SmartLifecycle {

    private static final Logger LOG = LoggerFactory.getLogger(Installation.class);

    private final InstallationRepository repository;
    private final TransactionTemplate transaction;
    private final DataFolder folder;
    private final Disk disk;
    private boolean running;

    Installation(
            InstallationRepository repository,
            TransactionTemplate transaction,
            Disk disk,
            @Value("${hodegon.data:./data}") Path folder) {
        this.repository = repository;
        this.transaction = transaction;
        this.disk = disk;
        this.folder = new DataFolder(folder);
    }

    public DataFolder folder() {
        return folder;
    }

    /** Whether the store answers. */
    public boolean isUp() {
        try {
            return repository.answers();
        } catch (DataAccessException down) {
            return false;
        }
    }

    /** The version of the program. */
    static String program() {
        String version = Installation.class.getPackage().getImplementationVersion();
        return version == null ? "a version that was not packaged" : version;
    }

    /** The number of the last migration. */
    public String schema() {
        return repository.schema();
    }

    @Override
    public void start() {
        running = true;
        if (repository.isFile()) lockUp();
        beat(true);
    }

    private void lockUp() {
        try {
            folder.lockUp();
        } catch (IOException notOurs) {
            LOG.warn("The data folder's modes could not be set.");
        }
    }

    @Override
    public void stop() {
        beat();
        running = false;
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    @Scheduled(fixedDelay = 5, initialDelay = 5, timeUnit = TimeUnit.MINUTES)
    void beat() {
        beat(false);
    }

    private void beat(boolean first) {
        if (!repository.isFile() || disk.isFull()) return;
        try {
            // In this order: a kill in between leaves the database ahead of what is remembered.
            Long beat = transaction.execute(status -> {
                if (first) repository.usedBy(program());
                return repository.beat();
            });
            folder.remember(beat);
        } catch (RuntimeException fullOrBroken) {
            LOG.warn(
                    "The installation could not be counted on: {}",
                    fullOrBroken.getClass().getSimpleName());
        }
    }
}
