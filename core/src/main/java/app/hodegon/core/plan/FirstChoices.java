package app.hodegon.core.plan;

import app.hodegon.core.drill.Drill;
import app.hodegon.core.plan.Edits.StepId;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * The drills that a coach uses on a rung of a fault, first choice first: used by themselves for every student, unless a rule
 * forbids them.
 *
 * @param orders drills by id, for each rung that the coach has spoken of
 */
public record FirstChoices(Map<StepId, List<String>> orders) {

    public static final FirstChoices NONE = new FirstChoices(Map.of());

    /** Most drills in one order. */
    public static final int MOST = 5;

    /** @throws IllegalArgumentException if an order is empty, too long or names a drill twice */
    public FirstChoices {
        orders = orders.entrySet().stream()
                .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, e -> List.copyOf(e.getValue())));
        for (List<String> order : orders.values()) {
            if (order.isEmpty() || order.size() > MOST) {
                throw new IllegalArgumentException("An order has 1 to " + MOST + " drills, not " + order.size() + ".");
            }
            if (order.stream().distinct().count() < order.size()) {
                throw new IllegalArgumentException("An order names a drill once.");
            }
        }
    }

    /** The drills of a rung in their order; empty where the coach has none. */
    public List<String> on(StepId step) {
        return orders.getOrDefault(step, List.of());
    }

    /** Whether a drill can be a choice there at all: it works on the fault and is done on the rung. */
    public static boolean fits(Drill drill, StepId step) {
        return drill.effects().containsKey(step.fault()) && drill.covers(step.rung());
    }
}
