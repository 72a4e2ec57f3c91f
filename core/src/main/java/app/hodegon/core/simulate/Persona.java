package app.hodegon.core.simulate;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.plan.Student;
import app.hodegon.core.swing.Source;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;

/**
 * An invented student: who they are and what is truly wrong, which no screen may know.
 *
 * @param faults how strongly each true fault shows at the first lesson, 0 to 1
 * @param keepsDays chance that a planned day is practised
 * @param lessons how many lessons so far
 * @param daysSinceLesson days since the last of them
 * @param reads what the coach reads the feet with
 * @param getsSore whether pain turns up in the running plan
 */
public record Persona(
        String name,
        String complaint,
        Student profile,
        Map<Fault, Double> faults,
        double keepsDays,
        int lessons,
        int daysSinceLesson,
        Source reads,
        boolean getsSore) {

    public Persona {
        // In a fixed order, so that a seed draws the same season on every run.
        faults = Collections.unmodifiableMap(new EnumMap<>(faults));
    }
}
