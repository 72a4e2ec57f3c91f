package app.hodegon.server.plan;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.plan.Edits;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.PlanDifference;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.server.plan.PlanView.DayView;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.ArrayList;
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
 * @param version to be named when the plan is changed
 * @param today for the student
 * @param stopped drills that hurt and are stopped until the coach lifts it
 * @param promised what it promised when it was handed over; empty of a draft
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
        @NotNull int version,
        @NotNull PlanTerms terms,
        @NotNull List<String> changes,
        @NotNull LocalDate today,
        @NotNull List<Stopped> stopped,
        @NotNull List<PromisedGate> promised,
        @NotNull PlanView plan) {

    public record Stopped(@NotNull String drill, @NotNull LocalDate since) {}

    private static final int MOST_BLOCKS = 20;
    private static final int MOST_REPS = 100;

    public Optional<DayView> on(LocalDate date) {
        return plan.days().stream().filter(d -> d.date().equals(date)).findFirst();
    }

    /** Whether there is anything to do on any day. */
    public boolean hasWork() {
        return plan.days().stream().anyMatch(d -> !d.blocks().isEmpty());
    }

    /** Ids of the drills that it has on any day. */
    public List<String> drills() {
        return plan.days().stream()
                .flatMap(day -> day.blocks().stream())
                .map(PlanView.BlockView::drill)
                .distinct()
                .toList();
    }

    List<DayView> daysBefore(LocalDate date) {
        return plan.days().stream().filter(d -> d.date().isBefore(date)).toList();
    }

    StoredPlan with(PlanView other) {
        return having(changes, stopped, other);
    }

    StoredPlan withStopped(List<Stopped> now) {
        return having(changes, now, plan);
    }

    boolean isStopped(String drill) {
        return stopped.stream().anyMatch(s -> s.drill().equals(drill));
    }

    /** The day on which each gate was likely when the plan was handed over. */
    public Map<StepId, LocalDate> likelyOn() {
        return promised.stream()
                .filter(s -> s.likelyOn() != null)
                .collect(Collectors.toMap(PromisedGate::id, PromisedGate::likelyOn));
    }

    /** What the other plan would change of this one, a sentence per day. */
    List<String> differenceTo(StoredPlan other, DrillLibrary library) {
        return PlanDifference.between(days(plan), days(other.plan), library);
    }

    private static List<Plan.Day> days(PlanView view) {
        List<Plan.Day> days = new ArrayList<>();
        view.days().forEach(day -> days.add(day.toDay()));
        return days;
    }

    /**
     * @throws IllegalArgumentException if a planner could not have made it
     */
    void check(DrillLibrary library) {
        if (!nextLesson.isAfter(from) || nextLesson.isAfter(from.plusDays(PlanRequest.LONGEST))) {
            throw new IllegalArgumentException("A plan runs for 1 to " + PlanRequest.LONGEST + " days.");
        }
        Plan read = plan.toPlan();
        terms.toEdits();
        LocalDate earlier = LocalDate.MIN;
        for (Plan.Day day : read.days()) {
            boolean within = !day.date().isBefore(from) && day.date().isBefore(nextLesson);
            if (!within || !day.date().isAfter(earlier)) {
                throw new IllegalArgumentException("A plan's days follow each other within it: " + day.date() + ".");
            }
            earlier = day.date();
            if (day.blocks().size() > MOST_BLOCKS) {
                throw new IllegalArgumentException("A day has at most " + MOST_BLOCKS + " blocks: " + day.date() + ".");
            }
            day.blocks().forEach(block -> check(block, library));
        }
        read.route().forEach(step -> library.drill(step.drill()));
    }

    private static void check(Plan.Block block, DrillLibrary library) {
        library.drill(block.drill());
        boolean possible = block.sets() >= 1
                && block.sets() <= Edits.MOST_SETS
                && block.repsPerSet() >= 1
                && block.repsPerSet() <= MOST_REPS
                && block.balls() >= 0
                && block.restSeconds() >= 0;
        if (!possible) throw new IllegalArgumentException("A block has impossible numbers: " + block.drill() + ".");
    }

    StoredPlan withChanges(List<String> said) {
        return having(said, stopped, plan);
    }

    private StoredPlan having(List<String> otherChanges, List<Stopped> otherStopped, PlanView otherPlan) {
        return new StoredPlan(
                id,
                studentId,
                lessonId,
                from,
                nextLesson,
                assigned,
                revision,
                version,
                terms,
                otherChanges,
                today,
                otherStopped,
                promised,
                otherPlan);
    }
}
