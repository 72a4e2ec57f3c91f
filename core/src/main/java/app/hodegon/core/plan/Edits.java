package app.hodegon.core.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Kind;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What a coach decided about a plan; the planner keeps it and lays the rest around it. An undo is an earlier value
 * again.
 *
 * @param locked blocks that stay as they are
 * @param dropped blocks that the coach took out of a day
 * @param chosen drills the coach wants for a rung, instead of the planner's choice
 * @param skipped rungs left out of the route
 * @param shortSets rungs worked in sets of five throughout, as if the movement were new
 * @param ahead rungs on which the harder step was taken and held: their half-steps begin at once
 * @param easier rungs that a check held: their next day takes an easier half-step
 * @param instead by rung, the drill that tells otherwise and goes on where checks held the one before
 * @param gates what passes each rung for this student
 * @param joined by rung, the drill done at once with the rung's own; {@link Pairs#APART} for none
 * @param proposed which of the chosen drills a proposal chose that the coach took
 */
public record Edits(
        List<Locked> locked,
        Set<Dropped> dropped,
        Map<StepId, String> chosen,
        Set<StepId> skipped,
        Set<StepId> shortSets,
        Set<StepId> ahead,
        Set<StepId> easier,
        Map<StepId, String> instead,
        Gates gates,
        Set<StepId> proposed,
        Map<StepId, String> joined) {

    public static final Edits NONE = new Edits(List.of(), Set.of(), Map.of(), Set.of());

    /** Most sets a coach can ask for in one block. */
    public static final int MOST_SETS = 60;

    /** One rung of one fault's route. */
    public record StepId(Fault fault, Rung rung) {}

    /**
     * A block kept on its day with its sets.
     *
     * @param sets 1 to {@value #MOST_SETS}
     * @param repsPerSet 1 to {@value Dose#LARGEST_SET}; of a check or a refresher the planner's own
     */
    public record Locked(LocalDate date, Fault fault, Rung rung, String drill, Kind kind, int sets, int repsPerSet) {
        public Locked {
            if (repsPerSet < 1 || repsPerSet > Dose.LARGEST_SET) {
                throw new IllegalArgumentException(
                        "A set has 1 to " + Dose.LARGEST_SET + " reps, not " + repsPerSet + ".");
            }
            if (sets < 1 || sets > MOST_SETS) {
                throw new IllegalArgumentException("A block has 1 to " + MOST_SETS + " sets, not " + sets + ".");
            }
        }
    }

    /**
     * A block taken out of a day.
     *
     * @param rung which of the day's blocks of that kind; empty for each of them, as it was once stored
     */
    public record Dropped(LocalDate date, Fault fault, Optional<Rung> rung, Kind kind) {}

    /** With the standard gates. */
    public Edits(List<Locked> locked, Set<Dropped> dropped, Map<StepId, String> chosen, Set<StepId> skipped) {
        this(
                locked,
                dropped,
                chosen,
                skipped,
                Set.of(),
                Set.of(),
                Set.of(),
                Map.of(),
                Gates.STANDARD,
                Set.of(),
                Map.of());
    }

    public Edits {
        locked = List.copyOf(locked);
        dropped = Set.copyOf(dropped);
        chosen = Map.copyOf(chosen);
        skipped = Set.copyOf(skipped);
        shortSets = Set.copyOf(shortSets);
        ahead = Set.copyOf(ahead);
        easier = Set.copyOf(easier);
        instead = Map.copyOf(instead);
        proposed = Set.copyOf(proposed);
        joined = Map.copyOf(joined);
        long places = locked.stream()
                .map(l -> List.of(l.date(), l.fault(), l.rung(), l.kind()))
                .distinct()
                .count();
        if (places < locked.size()) {
            throw new IllegalArgumentException("Two locked blocks of one kind, fault and rung stand on the same day.");
        }
    }

    /** Only what concerns this day and later ones; what lies behind is no longer laid. */
    public Edits from(LocalDate day) {
        return new Edits(
                locked.stream().filter(l -> !l.date().isBefore(day)).toList(),
                dropped.stream().filter(d -> !d.date().isBefore(day)).collect(Collectors.toSet()),
                chosen,
                skipped,
                shortSets,
                ahead,
                easier,
                instead,
                gates,
                proposed,
                joined);
    }

    public Edits with(Gates others) {
        return new Edits(locked, dropped, chosen, skipped, shortSets, ahead, easier, instead, others, proposed, joined);
    }

    /** With this drill on that rung as a proposal wants it, instead of the planner's choice. */
    Edits choosing(StepId step, String drill) {
        Map<StepId, String> all = new HashMap<>(chosen);
        all.put(step, drill);
        Set<StepId> steps = new HashSet<>(proposed);
        steps.add(step);
        return new Edits(locked, dropped, all, skipped, shortSets, ahead, easier, instead, gates, steps, joined);
    }

    public Edits inShortSets(Set<StepId> steps) {
        return new Edits(locked, dropped, chosen, skipped, steps, ahead, easier, instead, gates, proposed, joined);
    }

    public Edits goingOn(Set<StepId> steps) {
        return new Edits(locked, dropped, chosen, skipped, shortSets, steps, easier, instead, gates, proposed, joined);
    }

    /** Whose next day on these rungs is an easier one. */
    public Edits easing(Set<StepId> steps) {
        return new Edits(locked, dropped, chosen, skipped, shortSets, ahead, steps, instead, gates, proposed, joined);
    }

    /** With these drills going on instead of those that checks held. */
    public Edits goingOnWith(Map<StepId, String> drills) {
        return new Edits(locked, dropped, chosen, skipped, shortSets, ahead, easier, drills, gates, proposed, joined);
    }

    /** With these of the chosen drills as a proposal's. */
    public Edits proposing(Set<StepId> steps) {
        return new Edits(locked, dropped, chosen, skipped, shortSets, ahead, easier, instead, gates, steps, joined);
    }

    /** With these drills done at once with those of their rungs. */
    public Edits joining(Map<StepId, String> drills) {
        return new Edits(locked, dropped, chosen, skipped, shortSets, ahead, easier, instead, gates, proposed, drills);
    }

    /** With other rungs left out. */
    Edits skipping(Set<StepId> steps) {
        return new Edits(locked, dropped, chosen, steps, shortSets, ahead, easier, instead, gates, proposed, joined);
    }

    /** The lowest rung first. */
    List<Locked> locked(LocalDate date, Fault fault, Kind kind) {
        if (locked.isEmpty()) return List.of();
        return locked.stream()
                .filter(l -> l.date().equals(date) && l.fault() == fault && l.kind() == kind)
                .sorted(Comparator.comparing(Locked::rung))
                .toList();
    }

    boolean dropped(LocalDate date, Fault fault, Rung rung, Kind kind) {
        return !dropped.isEmpty()
                && (dropped.contains(new Dropped(date, fault, Optional.of(rung), kind))
                        || dropped.contains(new Dropped(date, fault, Optional.empty(), kind)));
    }

    /** Whether the coach took anything out of that day. */
    boolean thinned(LocalDate date) {
        return dropped.stream().anyMatch(d -> d.date().equals(date));
    }
}
