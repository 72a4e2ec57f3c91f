package app.hodegon.core.practice;

import app.hodegon.core.drill.Rung;
import app.hodegon.core.learning.GateReps;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Gate;
import app.hodegon.core.plan.Gates;
import app.hodegon.core.plan.Level;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

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
     * Reps to a gate, for gates like those worked towards.
     *
     * @param assumed what they would be of anybody
     * @param learnt what they are with what these students did
     * @param low lower edge of its 95 % interval
     * @param high upper edge
     */
    public record Reps(double assumed, double learnt, double low, double high) {}

    /** Of one student, oldest first. */
    public record Practised(Level level, List<PracticeSession> sessions) {}

    /**
     * @param practice of each student
     */
    public static DrillRecord of(Collection<Practised> practice, String drill) {
        int students = 0;
        int sessions = 0;
        int passed = 0;
        int sets = 0;
        int stepBacks = 0;
        int pains = 0;
        Towards towards = new Towards();
        for (Practised one : practice) {
            List<PracticeSession> with = one.sessions().stream()
                    .filter(s -> s.blocks().stream().anyMatch(b -> b.drill().equals(drill)))
                    .toList();
            if (with.isEmpty()) continue;
            students++;
            towards.add(one.level(), with, drill);
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
                students, sessions, passed, passed == 0 ? 0 : (double) sets / passed, stepBacks, pains, towards.reps());
    }

    private static final Map<Level, Map<Rung, Double>> USUAL = Arrays.stream(Level.values())
            .collect(Collectors.toMap(
                    level -> level,
                    level -> Arrays.stream(Rung.values())
                            .collect(Collectors.toMap(
                                    rung -> rung, rung -> GateReps.assumed(level.repsToLearn(), rung)))));

    /** What was done towards gates, passed or not yet. */
    private static final class Towards {
        private GateReps learnt = GateReps.ASSUMED;
        private double assumed;
        private int tries;

        void add(Level level, List<PracticeSession> sessions, String drill) {
            Map<StepId, Integer> reps = new LinkedHashMap<>();
            Map<StepId, List<CheckSet>> checks = new HashMap<>();
            Set<StepId> through = new HashSet<>();
            for (PracticeSession session : sessions) {
                for (BlockResult block : session.blocks()) {
                    StepId step = new StepId(block.fault(), block.rung());
                    if (block.drill().equals(drill) && !through.contains(step)) {
                        reps.merge(step, block.reps(), Integer::sum);
                    }
                }
                for (CheckSet set : session.checks()) {
                    StepId step = new StepId(set.fault(), set.rung());
                    if (!set.drill().equals(drill) || through.contains(step)) continue;
                    checks.computeIfAbsent(step, s -> new ArrayList<>()).add(set);
                    if (Standing.of(Gate.STANDARD, checks.get(step)) == Standing.PASSED) through.add(step);
                }
            }
            reps.forEach((step, done) -> add(level, step, done, through.contains(step)));
        }

        private void add(Level level, StepId step, int reps, boolean through) {
            double usual = USUAL.get(level).get(step.rung());
            assumed += usual;
            tries++;
            learnt = learnt.after(reps / usual, through);
        }

        Optional<Reps> reps() {
            if (tries == 0) return Optional.empty();
            double usual = assumed / tries;
            return Optional.of(new Reps(usual, usual * learnt.mean(), usual * learnt.low(), usual * learnt.high()));
        }
    }

    private static int setsUntilPassed(List<CheckSet> sets) {
        for (int n = 1; n < sets.size(); n++) {
            if (Standing.of(Gate.STANDARD, sets.subList(0, n)) == Standing.PASSED) return n;
        }
        return sets.size();
    }
}
