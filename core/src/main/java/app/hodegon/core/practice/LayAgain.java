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

    /** So many reps of the harder step, and so many of them good, say that it held. */
    private static final int ENOUGH = 5;

    private static final double HELD = 0.7;

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

    /** Rungs of a day on which the harder step was taken and held: their half-steps are due. */
    public static Set<StepId> wentWell(PracticeSession session) {
        Set<StepId> tooHard = tooHard(session);
        return session.blocks().stream()
                .filter(b -> b.aside().isEmpty() && b.kind() == Plan.Kind.MAIN)
                .filter(b -> b.told().turns().stream().anyMatch(t -> t.kind() == Turn.Kind.HARDER && held(b, t.at())))
                .map(b -> new StepId(b.fault(), b.rung()))
                .filter(step -> !tooHard.contains(step))
                .collect(Collectors.toUnmodifiableSet());
    }

    private static boolean held(BlockResult block, int from) {
        String after = block.marks().substring(Math.min(from, block.reps()));
        long good = after.chars().filter(c -> c == '+').count();
        long judged = good + after.chars().filter(c -> c == '-').count();
        return judged >= ENOUGH && good >= HELD * judged;
    }

    /** In a sentence. */
    public static String onward(Set<StepId> steps) {
        return steps.stream().map(s -> s.rung().label()).distinct().sorted().collect(Collectors.joining(" and "))
                + " goes on with its half-steps: the harder one held.";
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
