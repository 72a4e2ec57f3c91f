package app.hodegon.core.practice;

import app.hodegon.core.plan.Gate;
import app.hodegon.core.plan.Gates;
import java.util.Collection;
import java.util.List;

/**
 * How a drill has gone for some students. With few of them it is an anecdote: the numbers are shown, not judged.
 *
 * @param students who did it at all
 * @param sessions days on which it was done
 * @param passed rungs whose gate was passed with it, over all students
 * @param setsToPass mean check sets until such a gate was passed; 0 when none was
 * @param stepBacks rungs on which it stands at "step back" now
 * @param pains sessions in which it hurt
 */
public record DrillRecord(int students, int sessions, int passed, double setsToPass, int stepBacks, int pains) {

    /**
     * @param practice all sessions of each student, oldest first
     */
    public static DrillRecord of(Collection<List<PracticeSession>> practice, String drill) {
        int students = 0;
        int sessions = 0;
        int passed = 0;
        int sets = 0;
        int stepBacks = 0;
        int pains = 0;
        for (List<PracticeSession> one : practice) {
            List<PracticeSession> with = one.stream()
                    .filter(s -> s.blocks().stream().anyMatch(b -> b.drill().equals(drill)))
                    .toList();
            if (with.isEmpty()) continue;
            students++;
            sessions += with.size();
            pains += (int) with.stream()
                    .filter(s -> s.pain().filter(p -> p.drill().equals(drill)).isPresent())
                    .count();
            List<CheckSet> checks = with.stream()
                    .flatMap(s -> s.checks().stream())
                    .filter(c -> c.drill().equals(drill))
                    .toList();
            for (Ladder.RungState onRung :
                    Ladder.of(checks, Gates.STANDARD).rungs().values()) {
                if (onRung.standing() == Standing.STEP_BACK) stepBacks++;
                if (onRung.standing() != Standing.PASSED) continue;
                passed++;
                sets += setsUntilPassed(onRung.all());
            }
        }
        return new DrillRecord(students, sessions, passed, passed == 0 ? 0 : (double) sets / passed, stepBacks, pains);
    }

    private static int setsUntilPassed(List<CheckSet> sets) {
        for (int n = 1; n < sets.size(); n++) {
            if (Standing.of(Gate.STANDARD, sets.subList(0, n)) == Standing.PASSED) return n;
        }
        return sets.size();
    }
}
