package app.hodegon.core.plan;

import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Ground;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.learning.RepsNeeded;
import app.hodegon.core.swing.Handedness;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What the planner has to know about a student.
 *
 * @param kit what they have beside the usual bag
 * @param grounds what the student's places have underfoot; a place left out has its usual ground
 * @param needs reps to learn a rung, of their level: as assumed, or as a house has learnt
 */
public record Student(
        Handedness hand,
        Level level,
        AgeBand age,
        Set<Joint> flags,
        Set<Equipment> kit,
        Week week,
        Shoes shoes,
        List<Done> doneBefore,
        Map<Place, Ground> grounds,
        RepsNeeded needs) {

    /** A drill worked on before today and whether its gate on this rung was passed. */
    public record Done(String drill, Rung rung, boolean passed) {}

    /** Who needs what is assumed. */
    public Student(
            Handedness hand,
            Level level,
            AgeBand age,
            Set<Joint> flags,
            Set<Equipment> kit,
            Week week,
            Shoes shoes,
            List<Done> doneBefore,
            Map<Place, Ground> grounds) {
        this(hand, level, age, flags, kit, week, shoes, doneBefore, grounds, RepsNeeded.assumed(level.repsToLearn()));
    }

    /** Whose places have their usual grounds. */
    public Student(
            Handedness hand,
            Level level,
            AgeBand age,
            Set<Joint> flags,
            Set<Equipment> kit,
            Week week,
            Shoes shoes,
            List<Done> doneBefore) {
        this(hand, level, age, flags, kit, week, shoes, doneBefore, Map.of());
    }

    public Student {
        grounds = Map.copyOf(grounds);
        flags = Set.copyOf(flags);
        kit = Set.copyOf(kit);
        doneBefore = List.copyOf(doneBefore);
    }

    /** Whether the item is at hand: in every golfer's bag, or their own, spikes also as shoes. */
    boolean has(Equipment item) {
        return item.usual() || kit.contains(item) || (item == Equipment.SPIKES && shoes == Shoes.SPIKES);
    }

    boolean hasPassed(String drill) {
        return doneBefore.stream().anyMatch(d -> d.passed() && d.drill().equals(drill));
    }

    Ground ground(Place place) {
        return grounds.getOrDefault(place, place.usualGround());
    }

    /**
     * Whether a practice day from one on and before another comes to a real ball: with none, no gate of a ball can be passed. A
     * round is no practice.
     */
    public boolean meetsARealBall(LocalDate from, LocalDate until) {
        return week.practiceDays(from, until).stream()
                .flatMap(day -> week.on(day).stream())
                .filter(slot -> slot.place() != Place.COURSE)
                .flatMap(slot -> form(slot.place(), Rung.SHORT).stream())
                .anyMatch(Form::realBall);
    }

    /**
     * The form of this rung nearest to a real ball that this place and the kit allow; empty where the rung cannot be done
     * there. Indoors nothing of full length is swung.
     */
    public Optional<Form> form(Place place, Rung rung) {
        if (!rung.withBall()) return Optional.of(Form.NONE);
        return switch (place) {
            case NET -> Optional.of(Form.NET);
            case RANGE -> Optional.of(Form.RANGE);
            case COURSE -> Optional.of(Form.COURSE);
            case GARDEN ->
                rung == Rung.TRANSFER
                        ? Optional.empty()
                        : Optional.of(kit.contains(Equipment.NET) ? Form.NET : softest(Form.CLIP));
            case HOME ->
                rung.compareTo(Rung.BUILD) > 0
                        ? Optional.empty()
                        : Optional.of(softest(kit.contains(Equipment.STRIKE_MAT) ? Form.CLIP : Form.BRUSH));
        };
    }

    private Form softest(Form withoutSoftBall) {
        return kit.contains(Equipment.FOAM_BALL) ? Form.SOFT_BALL : withoutSoftBall;
    }

    /** In another week. */
    public Student with(Week other) {
        return new Student(hand, level, age, flags, kit, other, shoes, doneBefore, grounds, needs);
    }

    /** Who has done this before. */
    public Student after(List<Done> before) {
        return new Student(hand, level, age, flags, kit, week, shoes, before, grounds, needs);
    }

    /** Of whose like a house has learnt what they need. */
    public Student needing(RepsNeeded learnt) {
        return new Student(hand, level, age, flags, kit, week, shoes, doneBefore, grounds, learnt);
    }

    /** With one thing more. */
    public Student with(Equipment more) {
        Set<Equipment> all = new HashSet<>(kit);
        all.add(more);
        return new Student(hand, level, age, flags, all, week, shoes, doneBefore, grounds, needs);
    }

    /** Spared as if these joints were flagged too. */
    public Student sparing(Set<Joint> sore) {
        Set<Joint> all = new HashSet<>(flags);
        all.addAll(sore);
        return new Student(hand, level, age, all, kit, week, shoes, doneBefore, grounds, needs);
    }
}
