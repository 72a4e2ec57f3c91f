package app.hodegon.core.practice;

import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Gates;
import app.hodegon.core.plan.Student;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Where a student stands on each rung of each fault's ladder. */
public final class Ladder {

    private Ladder() {}

    /** The check sets per rung, in the order done. */
    public static Map<StepId, List<CheckSet>> byRung(List<CheckSet> checks) {
        return checks.stream()
                .collect(Collectors.groupingBy(
                        c -> new StepId(c.fault(), c.rung()), LinkedHashMap::new, Collectors.toList()));
    }

    /** What the planner should know of: each rung tried, with the drill last used, passed or not. */
    public static List<Student.Done> done(List<CheckSet> checks, Gates gates) {
        return byRung(checks).entrySet().stream()
                .map(e -> new Student.Done(
                        e.getValue().get(e.getValue().size() - 1).drill(),
                        e.getKey().rung(),
                        Standing.of(gates.of(e.getKey()), e.getValue()) == Standing.PASSED))
                .toList();
    }
}
