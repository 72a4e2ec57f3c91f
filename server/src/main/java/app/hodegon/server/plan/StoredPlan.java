package app.hodegon.server.plan;

import app.hodegon.server.plan.PlanView.DayView;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;

/**
 * A plan as stored and as shown.
 *
 * @param assigned whether the student has it
 */
public record StoredPlan(
        @NotNull UUID id,
        @NotNull UUID studentId,
        @NotNull UUID lessonId,
        @NotNull LocalDate from,
        @NotNull LocalDate nextLesson,
        @NotNull boolean assigned,
        @NotNull PlanView plan) {

    public Optional<DayView> on(LocalDate date) {
        return plan.days().stream().filter(d -> d.date().equals(date)).findFirst();
    }
}
