package app.hodegon.server.plan;

import app.hodegon.server.plan.PlanView.BlockView;
import app.hodegon.server.plan.PlanView.DayView;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;

/**
 * What a smaller plan would ask for on the days left.
 *
 * @param minutes a day in the mean as it stands, rounded; {@code then} as it would be
 * @param reps over all days left
 * @param changes a sentence per day
 */
record SmallerView(
        @NotNull int minutes,
        @NotNull int minutesThen,
        @NotNull int reps,
        @NotNull int repsThen,
        @NotNull List<String> changes) {

    static SmallerView of(PlanView now, PlanView then, LocalDate from, List<String> changes) {
        return new SmallerView(minutes(now, from), minutes(then, from), reps(now, from), reps(then, from), changes);
    }

    private static List<DayView> left(PlanView plan, LocalDate from) {
        return plan.days().stream().filter(d -> !d.date().isBefore(from)).toList();
    }

    private static int minutes(PlanView plan, LocalDate from) {
        return (int) Math.round(left(plan, from).stream()
                .mapToDouble(DayView::minutes)
                .average()
                .orElse(0));
    }

    private static int reps(PlanView plan, LocalDate from) {
        return left(plan, from).stream()
                .flatMap(d -> d.blocks().stream())
                .mapToInt(BlockView::reps)
                .sum();
    }
}
