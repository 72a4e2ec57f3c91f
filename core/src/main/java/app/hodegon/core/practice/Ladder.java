package app.hodegon.core.practice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Gate;
import app.hodegon.core.plan.Student;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Where a student stands on each rung of each fault's ladder. */
public final class Ladder {

    /** One rung of one fault's ladder. */
    public record Place(Fault fault, Rung rung) {}

    private Ladder() {}

    /** The check sets per rung, in the order done. */
    public static Map<Place, List<CheckSet>> byRung(List<CheckSet> checks) {
        return checks.stream()
                .collect(Collectors.groupingBy(
                        c -> new Place(c.fault(), c.rung()), LinkedHashMap::new, Collectors.toList()));
    }

    /** What the planner should know of: each rung tried, with the drill last used, passed or not. */
    public static List<Student.Done> done(List<CheckSet> checks) {
        return byRung(checks).values().stream()
                .map(sets -> new Student.Done(
                        sets.get(sets.size() - 1).drill(),
                        sets.get(0).rung(),
                        Standing.of(Gate.STANDARD, sets) == Standing.PASSED))
                .toList();
    }
}
