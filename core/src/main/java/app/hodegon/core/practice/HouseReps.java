package app.hodegon.core.practice;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.learning.GateReps;
import app.hodegon.core.learning.RepsNeeded;
import app.hodegon.core.plan.Level;
import app.hodegon.core.practice.DrillRecord.Practised;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a house has learnt of how many reps a gate takes its students, by level, rung and drill. Each is drawn towards what
 * lies over it as if that were twenty students: the house towards the assumption, a rung of a level towards the house, a
 * drill towards its rungs. No student can be told from it.
 */
public final class HouseReps {

    /** Told in tenths, so that no plan is laid otherwise for one student's evening. */
    private static final double STEPS = 10;

    private static final DrillLibrary LIBRARY = DrillLibrary.standard();

    /** Nothing learnt yet. */
    public static final HouseReps NONE = of(Stream.of());

    private record Cell(Level level, Rung rung) {}

    private final Map<Cell, GateReps> cells = new HashMap<>();
    private final Map<String, GateReps> drills = new HashMap<>();
    private final int students;
    private final double gain;

    private HouseReps(List<List<GateWork>> practice) {
        this.students = practice.size();
        List<GateWork> all = practice.stream().flatMap(List::stream).toList();
        double house = learnt(1, all).mean();
        all.stream()
                .collect(Collectors.groupingBy(w -> new Cell(w.level(), w.rung())))
                .forEach((cell, works) -> cells.put(cell, learnt(house, works)));
        for (Level level : Level.values()) {
            for (Rung rung : Rung.values()) cells.putIfAbsent(new Cell(level, rung), GateReps.assuming(house));
        }
        // Who passed with two drills tells of the one no more than of the other; a coach's own has its name for itself.
        all.stream()
                .filter(w -> w.drills().size() == 1 && w.drills().stream().allMatch(LIBRARY::has))
                .collect(Collectors.groupingBy(w -> w.drills().iterator().next()))
                .forEach((drill, works) -> drills.put(drill, beside(works)));
        this.gain = gain(practice);
    }

    /** @param practice of each student, in order */
    public static HouseReps of(Stream<Practised> practice) {
        return new HouseReps(practice.map(student -> GateWork.of(student, drill -> true))
                .filter(works -> !works.isEmpty())
                .toList());
    }

    private static GateReps learnt(double before, List<GateWork> works) {
        GateReps learnt = GateReps.assuming(before);
        for (GateWork work : works) learnt = work.learnt(learnt, 1);
        return learnt;
    }

    /** With a drill beside any other of the same rungs. */
    private GateReps beside(List<GateWork> works) {
        GateReps drill = GateReps.ASSUMED;
        for (GateWork work : works) {
            double any = rung(work.level(), work.rung()).mean();
            drill = work.learnt(drill, any);
        }
        return drill;
    }

    /** Each student is told of by those before. */
    private static double gain(List<List<GateWork>> practice) {
        Map<Cell, GateReps> before = new HashMap<>();
        double gained = 0;
        int gates = 0;
        for (List<GateWork> student : practice) {
            for (GateWork work : student) {
                GateReps known = before.getOrDefault(new Cell(work.level(), work.rung()), GateReps.ASSUMED);
                gained += work.logScore(known) - work.logScore(GateReps.ASSUMED);
                gates++;
            }
            for (GateWork work : student) {
                before.compute(
                        new Cell(work.level(), work.rung()),
                        (cell, known) -> work.learnt(known == null ? GateReps.ASSUMED : known, 1));
            }
        }
        return gates == 0 ? 0 : gained / gates;
    }

    /** Students who worked towards a gate. */
    public int students() {
        return students;
    }

    /**
     * What each student's gates were told better for what was known of the students before, than by the assumption alone:
     * the mean gain of the logarithm of the chance given to what happened; 0 without any.
     */
    public double gain() {
        return gain;
    }

    /** What students of this level need. */
    public RepsNeeded at(Level level) {
        Map<Rung, Double> rungs = new EnumMap<>(Rung.class);
        for (Rung rung : Rung.values()) rungs.put(rung, told(rung(level, rung)));
        Map<String, Double> ofDrills = new HashMap<>();
        drills.forEach((drill, seen) -> ofDrills.put(drill, told(seen)));
        return new RepsNeeded(level.repsToLearn(), rungs, ofDrills);
    }

    /** What a gate on this rung takes students of this level, beside what is assumed. */
    GateReps rung(Level level, Rung rung) {
        return cells.get(new Cell(level, rung));
    }

    /** What is surely other than assumed; all else is noise that would only move plans. */
    private static double told(GateReps learnt) {
        boolean surely = learnt.low() > 1 || learnt.high() < 1;
        return surely ? Math.round(learnt.mean() * STEPS) / STEPS : 1;
    }
}
