package app.hodegon.server.plan;

import app.hodegon.server.practice.DayDone;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
     * A day done counts as due, also one of today or one that a later plan left out: never more days done than planned.
     *
     * @param planned reps by planned day
     * @param done days practised
     * @param until the first day that is not due yet
     */
    public static Done of(Map<LocalDate, Integer> planned, List<DayDone> done, LocalDate until) {
        Set<LocalDate> practised = done.stream().map(DayDone::day).collect(Collectors.toSet());
        Set<LocalDate> due = new HashSet<>(practised);
        planned.keySet().stream().filter(day -> day.isBefore(until)).forEach(due::add);
        return new Done(
                due.size(),
                practised.size(),
                due.stream().mapToInt(day -> planned.getOrDefault(day, 0)).sum(),
                done.stream().mapToInt(DayDone::reps).sum());
    }

    /** Of the reps planned, 0 to 1 and more; empty where none was. */
    public Optional<Double> share() {
        return plannedReps > 0 ? Optional.of((double) doneReps / plannedReps) : Optional.empty();
    }

    /** Of two plans together. */
    public Done and(Done other) {
        return new Done(
                plannedDays + other.plannedDays,
                doneDays + other.doneDays,
                plannedReps + other.plannedReps,
                doneReps + other.doneReps);
    }
}
