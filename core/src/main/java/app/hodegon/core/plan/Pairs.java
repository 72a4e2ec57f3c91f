package app.hodegon.core.plan;

import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.motion.Foot;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Two drills done at once, in one block and one count: a pair that the library names, or two of one rung in one
 * stance that use different feet, at most one of them a movement of its own. A named pair joins by itself once both parts are passed; the coach joins, or takes apart.
 */
final class Pairs {

    /** What the coach has in place of a partner who wants them apart. */
    static final String APART = "";

    private final PlanRequest request;
    private final DrillLibrary library;
    private final DrillChoice choice;

    Pairs(PlanRequest request, DrillLibrary library, DrillChoice choice) {
        this.request = request;
        this.library = library;
        this.choice = choice;
    }

    /** The same days, their main blocks joined with what goes along; where that cannot be done they stay alone. */
    List<Day> joined(List<Day> days) {
        return days.stream()
                .map(day -> new Day(
                        day.date(),
                        day.place(),
                        day.seconds(),
                        day.blocks().stream().map(b -> joined(b, day.place())).toList()))
                .toList();
    }

    private Block joined(Block block, Place place) {
        if (block.kind() != Kind.MAIN || !library.has(block.drill())) return block;
        Drill drill = library.drill(block.drill());
        return partner(drill, new StepId(block.fault(), block.rung()))
                .filter(other -> choice.possibleAt(other, place, block.rung()))
                .map(other -> block.with(other.id()))
                .orElse(block);
    }

    /** What the coach joined to this rung, or what the library joins once both are passed. */
    private Optional<Drill> partner(Drill drill, StepId step) {
        // After pain there is one thing to do, and that gently.
        if (request.soFar().ease().isPresent()) return Optional.empty();
        String asked = request.edits().joined().get(step);
        if (asked != null) {
            return Optional.of(asked)
                    .filter(library::has)
                    .map(library::drill)
                    .filter(other -> refusal(drill, other, step.rung()).isEmpty());
        }
        if (!request.student().hasPassed(drill.id())) return Optional.empty();
        return named(drill).stream()
                .filter(other -> request.student().hasPassed(other.id()))
                .filter(other -> refusal(drill, other, step.rung()).isEmpty())
                .findFirst();
    }

    /** Why nothing is joined on one of these rungs where the coach joined something, in a sentence; empty where all of it is. */
    Optional<String> refused(List<Day> days, Set<StepId> rungs) {
        for (Map.Entry<StepId, String> asked : request.edits().joined().entrySet()) {
            if (asked.getValue().equals(APART) || !rungs.contains(asked.getKey())) continue;
            Drill other = library.drill(asked.getValue());
            List<Block> blocks = days.stream()
                    .flatMap(d -> d.blocks().stream())
                    .filter(b -> b.kind() == Kind.MAIN)
                    .filter(b -> new StepId(b.fault(), b.rung()).equals(asked.getKey()))
                    .toList();
            if (blocks.isEmpty() || blocks.stream().anyMatch(b -> b.joined().isPresent())) continue;
            if (request.soFar().ease().isPresent()) {
                return Optional.of("After pain each drill is done by itself for a week.");
            }
            return blocks.stream()
                    .flatMap(b -> refusal(library.drill(b.drill()), other, b.rung()).stream())
                    .findFirst()
                    .or(() -> Optional.of(other.name() + " cannot be done where this rung is practised."));
        }
        return Optional.empty();
    }

    /** What could be joined to a drill on a rung at one place at least where that is done, named pairs first. */
    List<Drill> partners(Drill drill, Rung rung) {
        return library.all().stream()
                .filter(other -> refusal(drill, other, rung).isEmpty())
                .filter(other -> choice.places().stream()
                        .anyMatch(at -> choice.possibleAt(drill, at, rung) && choice.possibleAt(other, at, rung)))
                .sorted(Comparator.comparing((Drill other) -> !areNamed(drill, other)))
                .toList();
    }

    boolean areNamed(Drill drill, Drill other) {
        return drill.ways().combines().contains(other.id())
                || other.ways().combines().contains(drill.id());
    }

    private List<Drill> named(Drill drill) {
        return library.all().stream().filter(other -> areNamed(drill, other)).toList();
    }

    /** Why these two are not joined, in a sentence; empty where they may be. */
    Optional<String> refusal(Drill drill, Drill other, Rung rung) {
        if (drill.id().equals(other.id())) return Optional.of("A drill is not joined with itself.");
        if (!other.covers(rung)) {
            return Optional.of(
                    other.name() + " is no drill for the rung " + rung.label().toLowerCase() + ".");
        }
        if (!drill.ways().moves().isEmpty() || !other.ways().moves().isEmpty()) {
            return Optional.of("A set of three moves is done by itself.");
        }
        Optional<DrillChoice.Objection> against = choice.objection(other);
        if (against.isPresent()) return against.map(a -> other.name() + ": " + a.reason() + ".");
        Optional<Joint> sore =
                request.student().flags().stream().filter(other::loads).sorted().findFirst();
        if (sore.isPresent()) {
            return sore.map(joint ->
                    other.name() + " loads the flagged " + joint.label().toLowerCase() + ": by itself only.");
        }
        if (areNamed(drill, other)) return Optional.empty();
        if (drill.servesEveryFault() || other.servesEveryFault()) {
            return Optional.of("The plain swing carries one thought.");
        }
        if (drill.diagram().stance() != other.diagram().stance()) {
            return Optional.of(drill.name() + " and " + lower(other) + " stand differently.");
        }
        if (drill.diagram().move().ofItsOwn() && other.diagram().move().ofItsOwn()) {
            return Optional.of(drill.name() + " and " + lower(other) + " are two movements.");
        }
        Set<Foot> shared = drill.diagram().feet();
        shared.retainAll(other.diagram().feet());
        if (!shared.isEmpty()) {
            String foot = shared.size() == 2
                    ? "both feet"
                    : request.student().hand().say(shared.contains(Foot.LEAD) ? "the {lead} foot" : "the {trail} foot");
            return Optional.of(drill.name() + " and " + lower(other) + " both ask for " + foot + ".");
        }
        return Optional.empty();
    }

    private static String lower(Drill drill) {
        return drill.name().toLowerCase();
    }
}
