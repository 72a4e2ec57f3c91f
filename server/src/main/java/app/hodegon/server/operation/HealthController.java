package app.hodegon.server.operation;

import app.hodegon.server.account.Account;
import app.hodegon.server.account.Accounts;
import app.hodegon.server.account.Guesses;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.operation.SlowRequests.Slow;
import app.hodegon.server.storage.Backups;
import app.hodegon.server.storage.Disk;
import app.hodegon.server.storage.Installation;
import jakarta.validation.constraints.NotNull;
import java.lang.management.ManagementFactory;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.core.env.Environment;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** How the installation is: to everybody whether it is up, to its owner more. */
@RestController
class HealthController {

    private final Installation installation;
    private final Backups backups;
    private final Disk disk;
    private final SlowRequests slow;
    private final Guesses guesses;
    private final Accounts accounts;
    private final Environment environment;

    HealthController(
            Installation installation,
            Backups backups,
            Disk disk,
            SlowRequests slow,
            Guesses guesses,
            Accounts accounts,
            Environment environment) {
        this.installation = installation;
        this.backups = backups;
        this.disk = disk;
        this.slow = slow;
        this.guesses = guesses;
        this.accounts = accounts;
        this.environment = environment;
    }

    /**
     * @param freeBytes of the disk with the data
     * @param full whether so little is left that nothing is stored
     * @param lastBackup null before the first
     * @param refusedSignIns wrong passwords within a day
     * @param certificate what is wrong with it, or soon will be; null if nothing is, or for a server without one
     */
    record HealthView(
            @NotNull String version,
            @NotNull String schema,
            @NotNull Instant startedAt,
            @NotNull long freeBytes,
            @NotNull long diskBytes,
            @NotNull boolean full,
            Instant lastBackup,
            Long lastBackupBytes,
            @NotNull List<Slow> slow,
            @NotNull int refusedSignIns,
            String certificate) {}

    @GetMapping("/health")
    ResponseEntity<Map<String, String>> health() {
        boolean up = installation.isUp();
        return ResponseEntity.status(up ? HttpStatus.OK : HttpStatus.SERVICE_UNAVAILABLE)
                .body(Map.of("status", up ? "up" : "down"));
    }

    @GetMapping("/api/health")
    HealthView forTheOwner(@AuthenticationPrincipal Account coach) {
        if (!accounts.isOwner(coach)) throw new NotFound("page for you");
        Optional<Backups.Made> last = backups.last();
        return new HealthView(
                Optional.ofNullable(HealthController.class.getPackage().getImplementationVersion())
                        .orElse("unpacked"),
                installation.schema(),
                Instant.ofEpochMilli(ManagementFactory.getRuntimeMXBean().getStartTime()),
                disk.free(),
                disk.size(),
                disk.isFull(),
                last.map(Backups.Made::at).orElse(null),
                last.map(Backups.Made::bytes).orElse(null),
                slow.latest(),
                guesses.refusedWithinADay(),
                Certificate.of(environment).flatMap(Certificate::warning).orElse(null));
    }
}
