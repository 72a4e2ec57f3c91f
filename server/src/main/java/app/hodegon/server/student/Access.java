package app.hodegon.server.student;

import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.time.OffsetDateTime;

/**
 * What another coach did with a student on a day.
 *
 * @param what looked or changed
 * @param place what was looked at or changed
 */
record Access(
        @NotNull String coach,
        @NotNull LocalDate on,
        @NotNull String what,
        @NotNull String place,
        @NotNull int times,
        @NotNull OffsetDateTime firstAt,
        @NotNull OffsetDateTime lastAt) {}
