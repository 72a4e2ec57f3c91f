package app.hodegon.core.practice;

import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Plan;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Why what is left of a plan is laid again after a day of practice. */
public final class LayAgain {

    private LayAgain() {}

    /**
     * In sentences; empty when the plan may stay as it is.
     *
     * @param stopped names of drills that this day stopped for pain
     * @param missed planned days without practice since the day practised before
     */
    public static List<String> reasons(Ladder before, Ladder after, List<String> stopped, int missed) {
        List<String> reasons = new ArrayList<>();
        after.rungs().forEach((step, state) -> {
            Standing was = before.on(step).map(Ladder.RungState::standing).orElse(Standing.STAY);
            if (state.standing() == was) return;
            if (state.standing() == Standing.PASSED) reasons.add(step.rung().label() + " was passed.");
            if (state.standing() == Standing.STEP_BACK) {
                reasons.add(step.rung().label() + " was too high for now: a step back.");
            }
        });
        stopped.forEach(drill -> reasons.add(stopped(drill)));
        missed(missed).ifPresent(reasons::add);
        return List.copyOf(reasons);
    }

    /** Rungs of a day on which the movement was lost, or had to be made easier more than once: fives again. */
    public static Set<StepId> tooHard(PracticeSession session) {
        return session.blocks().stream()
                .filter(b -> b.aside().isEmpty() && b.kind() == Plan.Kind.MAIN)
                .filter(b -> session.lost(b.fault()) || b.told().times(Turn.Kind.EASIER) > 1)
                .map(b -> new StepId(b.fault(), b.rung()))
                .collect(Collectors.toUnmodifiableSet());
    }

    /** In a sentence. */
    public static String inFives(Set<StepId> steps) {
        return steps.stream().map(s -> s.rung().label()).distinct().sorted().collect(Collectors.joining(" and "))
                + " goes on in sets of five: it was too hard on the way.";
    }

    /** In a sentence, of a drill by its name. */
    public static String stopped(String drill) {
        return drill + " was stopped for pain.";
    }

    /** In a sentence; empty where no day was missed. */
    public static Optional<String> missed(int days) {
        if (days == 0) return Optional.empty();
        return Optional.of(days == 1 ? "A planned day was missed." : days + " planned days were missed.");
    }
}
