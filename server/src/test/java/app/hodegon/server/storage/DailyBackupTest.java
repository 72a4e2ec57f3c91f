package app.hodegon.server.storage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.hodegon.server.HodegonApplication;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** One backup a day, read before it counts, and as many kept as were asked for. */
class DailyBackupTest {

    private static ConfigurableApplicationContext start(Path data, String... more) {
        String[] arguments = new String[more.length + 2];
        arguments[0] = "--server.port=0";
        arguments[1] = "--hodegon.data=" + data;
        System.arraycopy(more, 0, arguments, 2, more.length);
        return SpringApplication.run(HodegonApplication.class, arguments);
    }

    @Test
    void theLatestAreKept(@TempDir Path folder) throws Exception {
        Path data = folder.resolve("data");
        try (ConfigurableApplicationContext context = start(data, "--hodegon.backup-days=3")) {
            Backups backups = context.getBean(Backups.class);
            assertThat(backups.last()).isEmpty();
            Path kept = Files.createDirectory(data.resolve("backups"));
            for (int day = 1; day <= 5; day++) {
                Files.writeString(kept.resolve("hodegon-" + LocalDate.now().minusDays(day) + ".zip"), "old");
            }
            Path own = Files.writeString(kept.resolve("before-the-season.zip"), "kept by hand");
            backups.makeTodays();
            Path today = kept.resolve("hodegon-" + LocalDate.now() + ".zip");
            assertThat(BackupFile.check(today)).startsWith("0 accounts");
            assertThat(Files.getPosixFilePermissions(today)).isEqualTo(PosixFilePermissions.fromString("rw-------"));
            assertThat(kept.resolve("hodegon-" + LocalDate.now().minusDays(2) + ".zip"))
                    .exists();
            assertThat(kept.resolve("hodegon-" + LocalDate.now().minusDays(3) + ".zip"))
                    .doesNotExist();
            assertThat(own).exists();
            assertThat(backups.last().orElseThrow().file()).isEqualTo(today);
            long made = Files.getLastModifiedTime(today).toMillis();
            backups.makeTodays();
            assertThat(Files.getLastModifiedTime(today).toMillis())
                    .as("once a day")
                    .isEqualTo(made);
        }
    }

    @Test
    void noneAreMadeWhereNoneAreWanted(@TempDir Path folder) {
        Path data = folder.resolve("data");
        try (ConfigurableApplicationContext context = start(data, "--hodegon.backup-days=0")) {
            context.getBean(Backups.class).makeTodays();
            assertThat(data.resolve("backups")).doesNotExist();
        }
    }

    /** A disk may fill while the copy is written: what was begun goes, the older ones stay, the server goes on. */
    @Test
    void aDiskThatFillsMeanwhileLeavesNothingHalf(@TempDir Path folder) throws Exception {
        Installation installation = mock();
        InstallationRepository repository = mock();
        Disk disk = mock();
        when(installation.folder()).thenReturn(new DataFolder(folder));
        when(repository.isFile()).thenReturn(true);
        doAnswer(call -> {
                    Files.writeString(call.getArgument(0), "half of a copy");
                    throw new SQLException("No space left on device");
                })
                .when(repository)
                .copyTo(any());
        Path kept = Files.createDirectory(folder.resolve("backups"));
        Path old = Files.writeString(kept.resolve("hodegon-" + LocalDate.now().minusDays(9) + ".zip"), "old");
        new Backups(repository, installation, disk, Clock.systemDefaultZone(), 1).makeTodays();
        assertThat(Files.list(kept)).containsExactly(old);
        when(disk.isFull()).thenReturn(true);
        new Backups(repository, installation, disk, Clock.systemDefaultZone(), 1).makeTodays();
        verify(repository, times(1)).copyTo(any());
    }
}
