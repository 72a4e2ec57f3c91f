package app.hodegon.server.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.practice.Ladder.RungState;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.plan.PlanView.StepView;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What a plan promised of one rung when it was handed over.
 *
 * @param from the first day with a main block on it; null where it has none
 * @param chance of being through it by the next lesson, 0 to 1; null where none was forecast
 * @param likelyOn the day on which half of such students are through its gate; null where that is not before the next
 *     lesson
 */
public record PromisedGate(
        @NotNull String fault,
        @NotNull String rung,
        @NotNull String drill,
        LocalDate from,
        LocalDate likelyOn,
        Double chance) {

    /** By the plan's route. */
    static List<PromisedGate> of(PlanView plan) {
        List<PromisedGate> all = new ArrayList<>();
        for (StepView step : plan.route()) {
            if (step.gate() != null)
                all.add(new PromisedGate(
                        step.fault(), step.rung(), step.drill(), firstDay(plan, step), step.likelyOn(), step.chance()));
        }
        return List.copyOf(all);
    }

    /** A day's first main block of a fault is its work; what follows are first balls. */
    private static LocalDate firstDay(PlanView plan, StepView step) {
        for (PlanView.DayView day : plan.days()) {
            Set<String> worked = new HashSet<>();
            for (PlanView.BlockView block : day.blocks()) {
                boolean first = block.kind().equals(Kind.MAIN.id()) && worked.add(block.fault());
                if (first && block.fault().equals(step.fault()) && block.rung().equals(step.rung())) return day.date();
            }
        }
        return null;
    }

    /**
     * Whether it was passed by the day promised; empty where none was, and while that day is still to come.
     *
     * @param state of its rung now
     * @param from the plan's first day
     */
    public Optional<Boolean> inTime(RungState state, LocalDate from, LocalDate today) {
        if (likelyOn == null) return Optional.empty();
        boolean passed = state.passes().stream().anyMatch(day -> !day.isBefore(from) && !day.isAfter(likelyOn));
        return passed || likelyOn.isBefore(today) ? Optional.of(passed) : Optional.empty();
    }

    public StepId id() {
        return new StepId(Identified.of(Fault.class, fault), Identified.of(Rung.class, rung));
    }
}
