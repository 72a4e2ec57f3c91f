package app.hodegon.server.shots;

import jakarta.validation.constraints.NotNull;
import java.time.OffsetDateTime;
import java.util.UUID;

/**
 * A file whose balls were taken.
 *
 * @param stage before, after, or the name of what was tried
 */
public record ShotFileView(
        @NotNull UUID id,
        @NotNull String name,
        @NotNull String stage,
        @NotNull int balls,
        @NotNull OffsetDateTime takenAt) {}
