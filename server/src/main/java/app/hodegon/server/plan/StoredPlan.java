package app.hodegon.server.plan;

import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.server.plan.PlanView.DayView;
import app.hodegon.server.plan.PlanView.StepView;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * A plan as stored and as shown.
 *
 * @param assigned whether the student has it
 * @param revision how often it was handed over; 1 for a draft
 * @param terms what it was made from
 * @param changes of a draft: what it would change of the plan the student has, a sentence per day
 */
public record StoredPlan(
        @NotNull UUID id,
        @NotNull UUID studentId,
        @NotNull UUID lessonId,
        @NotNull LocalDate from,
        @NotNull LocalDate nextLesson,
        @NotNull boolean assigned,
        @NotNull int revision,
        @NotNull PlanTerms terms,
        @NotNull List<String> changes,
        @NotNull PlanView plan) {

    public Optional<DayView> on(LocalDate date) {
        return plan.days().stream().filter(d -> d.date().equals(date)).findFirst();
    }

    List<DayView> daysBefore(LocalDate date) {
        return plan.days().stream().filter(d -> d.date().isBefore(date)).toList();
    }

    StoredPlan with(PlanView other) {
        return new StoredPlan(id, studentId, lessonId, from, nextLesson, assigned, revision, terms, changes, other);
    }

    /** The day on which each gate was likely when the plan was laid. */
    public Map<StepId, LocalDate> likelyOn() {
        return plan.route().stream()
                .filter(s -> s.likelyOn() != null)
                .collect(Collectors.toMap(StepView::id, StepView::likelyOn));
    }

    StoredPlan withChanges(List<String> said) {
        return new StoredPlan(id, studentId, lessonId, from, nextLesson, assigned, revision, terms, said, plan);
    }
}
