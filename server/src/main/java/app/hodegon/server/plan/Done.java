package app.hodegon.server.plan;

import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.Map;
import java.util.TreeSet;

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
     * @param done reps by day practised
     * @param until the first day that is not due yet
     */
    public static Done of(Map<LocalDate, Integer> planned, Map<LocalDate, Integer> done, LocalDate until) {
        TreeSet<LocalDate> due = new TreeSet<>(done.keySet());
        planned.keySet().stream().filter(day -> day.isBefore(until)).forEach(due::add);
        return new Done(
                due.size(),
                done.size(),
                due.stream().mapToInt(day -> planned.getOrDefault(day, 0)).sum(),
                done.values().stream().mapToInt(reps -> reps).sum());
    }
}
