package app.hodegon.core.plan;

import app.hodegon.core.plan.Edits.StepId;
import java.util.Map;

/** A student's gates: the standard one, but for the rungs on which the coach asks for something else. */
public record Gates(Map<StepId, Gate> set) {

    public static final Gates STANDARD = new Gates(Map.of());

    public Gates {
        set = Map.copyOf(set);
    }

    public Gate of(StepId step) {
        return set.getOrDefault(step, Gate.STANDARD);
    }
}
