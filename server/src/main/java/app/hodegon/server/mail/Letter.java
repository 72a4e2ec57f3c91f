package app.hodegon.server.mail;

import jakarta.validation.constraints.NotNull;
import java.time.OffsetDateTime;
import java.util.UUID;

/** A letter in the outbox. */
record Letter(
        @NotNull UUID id,
        @NotNull String address,
        @NotNull String subject,
        @NotNull String body,
        @NotNull OffsetDateTime writtenAt) {}
