package app.hodegon.server.student;

import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.UUID;

/**
 * Another coach who may see and teach a student.
 *
 * @param until last day
 */
public record StandIn(
        @NotNull UUID coachId,
        @NotNull String coach,
        @NotNull LocalDate until) {}
