package app.hodegon.core.practice;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.learning.Circumstances;
import app.hodegon.core.learning.GateReps;
import app.hodegon.core.learning.Skill;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Gate;
import app.hodegon.core.plan.Level;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/**
 * What one student did towards one gate.
 *
 * @param drills with which
 * @param reps until two checks running were good enough, or so far, as {@link Skill#spaced} counts them; a check counts
 *     whatever was struck, so that waiting for a real ball is not taken for learning slowly
 */
record GateWork(Level level, Rung rung, Set<String> drills, double reps, boolean through) {

    private static final DrillLibrary LIBRARY = DrillLibrary.standard();

    /** Reps to a gate like this within which half of those assumed are through. */
    double half() {
        return GateReps.half(level.repsToLearn(), rung);
    }

    /** What it tells, known so much before; {@code times} is what a gate like it takes beside what is assumed. */
    GateReps learnt(GateReps before, double times) {
        return before.after(times * level.repsToLearn(), rung, reps, through);
    }

    double logScore(GateReps known) {
        return known.logScore(level.repsToLearn(), rung, reps, through);
    }

    /** Of each gate one student worked towards with any of these drills, whatever was done with others left out. */
    static List<GateWork> of(DrillRecord.Practised student, Predicate<String> counted) {
        Map<StepId, Double> reps = new LinkedHashMap<>();
        Map<StepId, Set<String>> drills = new HashMap<>();
        Set<StepId> good = new HashSet<>();
        Set<StepId> through = new HashSet<>();
        for (PracticeSession session : student.sessions()) {
            Map<StepId, Integer> today = new HashMap<>();
            for (BlockResult block : session.blocks()) {
                StepId step = new StepId(block.fault(), block.rung());
                if (!counted.test(block.drill()) || through.contains(step) || block.reps() == 0) continue;
                double before = today.getOrDefault(step, 0);
                today.merge(step, block.reps(), Integer::sum);
                reps.merge(step, Skill.spaced(step.rung(), before, block.reps(), how(block)), Double::sum);
                drills.computeIfAbsent(step, s -> new HashSet<>()).add(block.drill());
            }
            for (CheckSet set : session.checks()) {
                StepId step = new StepId(set.fault(), set.rung());
                if (!counted.test(set.drill())) continue;
                if (!set.isEnoughFor(Gate.STANDARD)) good.remove(step);
                else if (!good.add(step)) through.add(step);
            }
        }
        return reps.entrySet().stream()
                .filter(e -> e.getKey().rung().gated())
                .map(e -> new GateWork(
                        student.level(),
                        e.getKey().rung(),
                        Set.copyOf(drills.get(e.getKey())),
                        e.getValue(),
                        through.contains(e.getKey())))
                .toList();
    }

    private static Circumstances how(BlockResult block) {
        boolean external =
                LIBRARY.has(block.drill()) && LIBRARY.drill(block.drill()).tellsFromOutside();
        return Circumstances.plain(external).withStrikes(block.form());
    }
}
