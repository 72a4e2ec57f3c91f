package app.hodegon.core.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

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
