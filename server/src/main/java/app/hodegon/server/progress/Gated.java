package app.hodegon.server.progress;

import app.hodegon.core.practice.Ladder;
import app.hodegon.core.practice.Ladder.RungState;
import app.hodegon.core.practice.Standing;
import app.hodegon.server.plan.PromisedGate;
import app.hodegon.server.plan.StoredPlan;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A gate that a plan promised, with where the student stands on it now.
 *
 * @param state empty where it was never checked
 */
record Gated(PromisedGate step, Optional<RungState> state) {

    /** Two pass a gate. */
    private static final int FIRST_CHECKS = 2;

    /** Those of a plan in the order of the climb. */
    static List<Gated> of(StoredPlan plan, Ladder ladder) {
        return plan.promised().stream()
                .map(step -> new Gated(step, ladder.on(step.id())))
                .toList();
    }

    static boolean allPassed(List<Gated> gates) {
        return !gates.isEmpty() && gates.stream().allMatch(Gated::passed);
    }

    boolean passed() {
        return state.filter(s -> s.standing() == Standing.PASSED).isPresent();
    }

    /** Whether it fell at its first checks. */
    boolean atOnce() {
        return state.filter(s -> s.all().size() <= FIRST_CHECKS).isPresent();
    }

    /** The good reps of its checks since a lesson, where it is not passed and they rise; else nothing. */
    List<Integer> rising(LocalDate lesson) {
        if (passed()) return List.of();
        return state.map(s -> s.rising(lesson.plusDays(1))).orElse(List.of());
    }

    /** Half of such students would have passed it by that day, or it is passed. */
    boolean due(LocalDate day) {
        return passed() || step.likelyOn() != null && !step.likelyOn().isAfter(day);
    }

    ProgressView.Promised view() {
        return new ProgressView.Promised(
                step.fault(),
                step.rung(),
                step.drill(),
                step.chance(),
                state.map(s -> s.standing().id()).orElse(null),
                state.map(s -> s.all().stream().map(set -> set.good()).toList()).orElse(List.of()));
    }
}
