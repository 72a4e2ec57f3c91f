package app.hodegon.server.plan;

import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;

/** A planned day and its reps. */
record PlannedDay(@NotNull LocalDate date, @NotNull int reps) {}
