package app.hodegon.core.practice;

import app.hodegon.core.learning.GateReps;
import app.hodegon.core.plan.Gate;
import app.hodegon.core.plan.Gates;
import app.hodegon.core.plan.Level;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;

/**
 * How a drill has gone for some students. With few of them it is an anecdote: the numbers are shown, not judged.
 *
 * @param students who did it at all
 * @param sessions days on which it was done
 * @param passed rungs whose gate was passed with it, over all students
 * @param setsToPass mean check sets until such a gate was passed; 0 when none was
 * @param stepBacks rungs on which it stands at "step back" now
 * @param pains sessions in which it hurt
 * @param reps to a gate with it; empty where nobody worked towards one
 */
public record DrillRecord(
        int students, int sessions, int passed, double setsToPass, int stepBacks, int pains, Optional<Reps> reps) {

    /**
     * Reps within which half of such students are through a gate like those worked towards.
     *
     * @param assumed what they are with any drill, in the house
     * @param learnt what they are with what these students did
     * @param low lower edge of its 95 % interval
     * @param high upper edge
     */
    public record Reps(double assumed, double learnt, double low, double high) {}

    /** Of one student, oldest first. */
    public record Practised(Level level, List<PracticeSession> sessions) {}

    /**
     * @param practice of each student
     * @param house what the house has learnt of other drills, too
     */
    public static DrillRecord of(Collection<Practised> practice, String drill, HouseReps house) {
        int students = 0;
        int sessions = 0;
        int passed = 0;
        int sets = 0;
        int stepBacks = 0;
        int pains = 0;
        List<GateWork> works = new ArrayList<>();
        for (Practised one : practice) {
            List<PracticeSession> with = one.sessions().stream()
                    .filter(s -> s.blocks().stream().anyMatch(b -> b.drill().equals(drill)))
                    .toList();
            if (with.isEmpty()) continue;
            students++;
            works.addAll(GateWork.of(one, drill::equals));
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
        return new DrillRecord(
                students,
                sessions,
                passed,
                passed == 0 ? 0 : (double) sets / passed,
                stepBacks,
                pains,
                reps(works, house));
    }

    /** As students of each gate's level and rung need with any drill, and what these students add to it. */
    private static Optional<Reps> reps(List<GateWork> works, HouseReps house) {
        if (works.isEmpty()) return Optional.empty();
        GateReps learnt = GateReps.ASSUMED;
        double usual = 0;
        for (GateWork work : works) {
            double any = house.rung(work.level(), work.rung()).mean();
            usual += work.half() * any / works.size();
            learnt = work.learnt(learnt, any);
        }
        return Optional.of(new Reps(usual, usual * learnt.mean(), usual * learnt.low(), usual * learnt.high()));
    }

    private static int setsUntilPassed(List<CheckSet> sets) {
        for (int n = 1; n < sets.size(); n++) {
            if (Standing.of(Gate.STANDARD, sets.subList(0, n)) == Standing.PASSED) return n;
        }
        return sets.size();
    }
}
