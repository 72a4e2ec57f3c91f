package app.hodegon.server.plan;

import app.hodegon.core.practice.PracticeSession;
import app.hodegon.server.plan.PlanView.BlockView;
import app.hodegon.server.plan.PlanView.DayView;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What was done of a plan.
 *
 * @param plannedDays days due so far
 * @param plannedReps reps due so far
 */
public record Done(
        @NotNull int plannedDays,
        @NotNull int doneDays,
        @NotNull int plannedReps,
        @NotNull int doneReps) {

    /**
     * A day done already counts as due, today's among them: never more done than planned.
     *
     * @param until the first day that is not due yet
     */
    public static Done of(StoredPlan plan, List<PracticeSession> sessions, LocalDate until) {
        Set<LocalDate> practised = sessions.stream().map(PracticeSession::day).collect(Collectors.toSet());
        List<DayView> due = plan.plan().days().stream()
                .filter(d -> d.date().isBefore(until) || practised.contains(d.date()))
                .toList();
        return new Done(
                due.size(),
                practised.size(),
                due.stream()
                        .flatMap(d -> d.blocks().stream())
                        .mapToInt(BlockView::reps)
                        .sum(),
                sessions.stream().mapToInt(PracticeSession::reps).sum());
    }
}
