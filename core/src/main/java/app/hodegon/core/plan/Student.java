package app.hodegon.core.plan;

import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.swing.Handedness;
import java.util.List;
import java.util.Set;

/** What the planner has to know about a student. */
public record Student(
        Handedness hand,
        Level level,
        AgeBand age,
        Set<Joint> flags,
        Set<Equipment> kit,
        Week week,
        Shoes shoes,
        List<Done> doneBefore) {

    /** A drill worked on before today and whether its gate on this rung was passed. */
    public record Done(String drill, Rung rung, boolean passed) {}

    public Student {
        flags = Set.copyOf(flags);
        kit = Set.copyOf(kit);
        doneBefore = List.copyOf(doneBefore);
    }

    /** Whether the item is at hand, spikes also as shoes. */
    boolean has(Equipment item) {
        return kit.contains(item) || (item == Equipment.SPIKES && shoes == Shoes.SPIKES);
    }

    boolean hasPassed(String drill) {
        return doneBefore.stream().anyMatch(d -> d.passed() && d.drill().equals(drill));
    }
}
