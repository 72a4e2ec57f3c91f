package app.hodegon.core.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.Drill.Effect;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Feedback;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Step;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Chooses the drill for each rung of a fault's ladder. */
final class RouteFinder {

    /** Transfer (driver, course) is not offered in a shorter plan unless the full swing has been passed. */
    private static final int DAYS_BEFORE_TRANSFER = 21;

    /** A set-up is put right before a ball, before a short one and before a full one; there is no movement to build. */
    private static final Set<Rung> OF_A_SET_UP = EnumSet.of(Rung.FEEL, Rung.SHORT, Rung.FULL);

    private final PlanRequest request;
    private final DrillLibrary library;
    private final DrillChoice choice;

    RouteFinder(PlanRequest request, DrillLibrary library, DrillChoice choice) {
        this.request = request;
        this.library = library;
        this.choice = choice;
    }

    /**
     * One for each focus fault. What the body lacks is short daily work beside the other's climb, whichever of the two
     * was named first.
     */
    List<Route> routes() {
        return request.focus().stream()
                .map(PlanRequest.Focus::fault)
                .sorted(Comparator.comparing(Fault::ofTheBody))
                .map(this::route)
                .toList();
    }

    private Route route(Fault fault) {
        Map<Rung, Map<Place, Step>> standIns = new EnumMap<>(Rung.class);
        List<Step> steps = steps(fault, standIns);
        return new Route(fault, steps, standIns, below(fault), firstBalls(fault, steps), round(fault));
    }

    /** By place with balls, the short-ball drill that needs nothing passed before it; the route's own where it can be. */
    private Map<Place, Step> firstBalls(Fault fault, List<Step> steps) {
        Map<Place, Step> balls = new EnumMap<>(Place.class);
        if (hurtBelow(fault, Rung.SHORT)) return balls;
        Optional<String> first = steps.stream().findFirst().map(Step::drill);
        for (Place place : choice.places()) {
            if (!place.ballsAllowed()) continue;
            steps.stream()
                    .filter(s -> s.rung() == Rung.SHORT)
                    .map(s -> library.drill(s.drill()))
                    .filter(d -> choice.possibleAt(d, place, Rung.SHORT))
                    .filter(d -> d.after().stream().allMatch(request.student()::hasPassed))
                    .findFirst()
                    .or(() -> choice.best(
                            fault,
                            Rung.SHORT,
                            d -> choice.possibleAt(d, place, Rung.SHORT),
                            request.student()::hasPassed,
                            first))
                    .ifPresent(d -> balls.put(
                            place,
                            new Step(Rung.SHORT, fault, d.id(), Optional.empty(), "a few balls from the start")));
        }
        return balls;
    }

    /** The coach's own drill for the game, or the best; without a prop. */
    private Optional<Step> round(Fault fault) {
        if (!choice.places().contains(Place.COURSE)) return Optional.empty();
        Predicate<Drill> comesAlong = d -> choice.possibleAt(d, Place.COURSE, Rung.TRANSFER);
        return Optional.ofNullable(request.edits().chosen().get(new Edits.StepId(fault, Rung.TRANSFER)))
                .filter(library::has)
                .map(library::drill)
                .filter(comesAlong)
                .or(() -> choice.best(fault, Rung.TRANSFER, comesAlong, request.student()::hasPassed, Optional.empty()))
                .map(d -> new Step(Rung.TRANSFER, fault, d.id(), Optional.empty(), "the thought for the round"));
    }

    private List<Step> steps(Fault fault, Map<Rung, Map<Place, Step>> standIns) {
        Optional<Rung> passed = highestPassed(fault).map(Student.Done::rung);
        Set<String> passedDrills = new HashSet<>();
        request.student().doneBefore().stream().filter(Student.Done::passed).forEach(d -> passedDrills.add(d.drill()));
        List<Step> steps = new ArrayList<>();
        Optional<String> previous = highestPassed(fault).map(Student.Done::drill);
        for (Rung rung : Rung.values()) {
            if (passed.isPresent() && rung.compareTo(passed.get()) <= 0) continue;
            if (rung == Rung.TRANSFER && !transferAllowed(passed)) continue;
            if (hurtBelow(fault, rung)) continue;
            if (Dose.isSetUp(fault) && !OF_A_SET_UP.contains(rung)) continue;
            Edits.StepId id = new Edits.StepId(fault, rung);
            if (request.edits().skipped().contains(id)) continue;
            Optional<String> below = previous;
            String chosen = request.edits().chosen().get(id);
            Optional<Drill> best = chosen != null ? Optional.of(chosen(id, chosen)) : Optional.empty();
            if (best.isEmpty()) best = takesOver(id);
            boolean instead = chosen == null && best.isPresent();
            if (best.isEmpty())
                best = choice.best(fault, rung, d -> choice.possibleSomewhere(d, rung), passedDrills::contains, below);
            if (best.isEmpty()) {
                // Say what the rung would be, so that the plan can say what place it waits for.
                best = choice.best(fault, rung, d -> true, passedDrills::contains, below);
            }
            if (best.isEmpty()) {
                // What a check left open is not climbed past for want of a drill.
                if (request.lowestOpen(fault).equals(Optional.of(rung))) break;
                continue;
            }
            Drill drill = best.get();
            steps.add(new Step(
                    rung,
                    fault,
                    drill.id(),
                    rung.gated() ? Optional.of(gate(id)) : Optional.empty(),
                    chosen != null
                            ? whose(id)
                            : (instead ? "tells otherwise than the one that was stuck; " : "")
                                    + why(drill, fault, rung, below)));
            if (rung.gated()) standIns.put(rung, standIns(fault, rung, drill, passedDrills, below));
            passedDrills.add(drill.id());
            previous = Optional.of(drill.id());
        }
        return List.copyOf(steps);
    }

    /** The drill that goes on where checks held the one before, as long as it may be used. */
    private Optional<Drill> takesOver(Edits.StepId step) {
        return Optional.ofNullable(request.edits().instead().get(step))
                .filter(library::has)
                .map(library::drill)
                .filter(d -> choice.allows(d)
                        && choice.worksOn(d, step.fault(), step.rung())
                        && choice.possibleSomewhere(d, step.rung()));
    }

    private String whose(Edits.StepId step) {
        return request.edits().proposed().contains(step) ? "by the proposal you took" : "your choice";
    }

    /** Other drills of the same rung for places where the chosen one is not possible. */
    private Map<Place, Step> standIns(
            Fault fault, Rung rung, Drill chosen, Set<String> passedDrills, Optional<String> below) {
        Map<Place, Step> standIns = new EnumMap<>(Place.class);
        for (Place place : choice.places()) {
            if (choice.possibleAt(chosen, place, rung)) continue;
            choice.best(fault, rung, d -> choice.possibleAt(d, place, rung), passedDrills::contains, below)
                    .ifPresent(d -> standIns.put(
                            place,
                            new Step(
                                    rung,
                                    fault,
                                    d.id(),
                                    Optional.of(gate(new Edits.StepId(fault, rung))),
                                    why(d, fault, rung, below))));
        }
        return standIns;
    }

    /**
     * What lies under a route that starts above the first rungs, highest first: what was passed, and a ball-free drill
     * for days without a place for balls.
     */
    private List<Step> below(Fault fault) {
        List<Step> below = new ArrayList<>();
        passed(fault)
                .sorted(Comparator.comparing(Student.Done::rung).reversed())
                .forEach(d -> below.add(new Step(d.rung(), fault, d.drill(), Optional.empty(), "passed before")));
        if (!below.isEmpty() && below.stream().allMatch(s -> s.rung().withBall())) {
            choice.best(
                            fault,
                            Rung.REHEARSE,
                            d -> choice.possibleSomewhere(d, Rung.REHEARSE),
                            request.student()::hasPassed,
                            Optional.of(below.get(0).drill()))
                    .ifPresent(d -> below.add(
                            new Step(Rung.REHEARSE, fault, d.id(), Optional.empty(), "keeps it up without a ball")));
        }
        return below;
    }

    private Gate gate(Edits.StepId step) {
        return request.edits().gates().of(step);
    }

    private Drill chosen(Edits.StepId step, String id) {
        Drill drill = library.drill(id);
        if (!choice.worksOn(drill, step.fault(), step.rung())) {
            throw new IllegalArgumentException(drill.name() + " is no drill for "
                    + request.student().hand().say(step.fault().label().toLowerCase()) + " on the rung "
                    + step.rung().label().toLowerCase() + ".");
        }
        choice.refuseWhatHarms(drill);
        return drill;
    }

    private Optional<Student.Done> highestPassed(Fault fault) {
        return passed(fault).max(Comparator.comparing(Student.Done::rung));
    }

    private Stream<Student.Done> passed(Fault fault) {
        return request.student().doneBefore().stream()
                .filter(Student.Done::passed)
                // What was passed of another fault with the same drill does not open a gate that a check left open.
                .filter(d -> request.lowestOpen(fault)
                        .filter(open -> d.rung().compareTo(open) >= 0)
                        .isEmpty())
                .filter(d -> {
                    Drill drill = library.drill(d.drill());
                    return drill.effects().containsKey(fault) && drill.covers(d.rung()) && choice.allows(drill);
                });
    }

    /** Whether it hurt on a lower rung: nobody goes up out of pain. */
    boolean hurtBelow(Fault fault, Rung rung) {
        return request.soFar()
                .ease()
                .map(e -> e.notAbove().get(fault))
                .filter(hurt -> rung.compareTo(hurt) > 0)
                .isPresent();
    }

    private boolean transferAllowed(Optional<Rung> passed) {
        return passed.filter(r -> r == Rung.FULL).isPresent()
                || ChronoUnit.DAYS.between(request.from(), request.nextLesson()) >= DAYS_BEFORE_TRANSFER;
    }

    String why(Drill drill, Fault fault, Rung rung, Optional<String> previous) {
        List<String> reasons = new ArrayList<>();
        int place = choice.placeAmongChoices(drill, fault, rung);
        if (place >= 0) reasons.add(place == 0 ? "your first choice here" : "next of your own choices here");
        // Why it was chosen is said where it is met first; the rungs above say that it goes on.
        if (previous.filter(drill.id()::equals).isPresent()) reasons.add("goes on with the drill already known");
        else reasons.addAll(whyFirst(drill, fault));
        if (rung.compareTo(Rung.REHEARSE) <= 0) {
            drill.feedback().stream()
                    .filter(Feedback::external)
                    .findFirst()
                    .ifPresent(f -> reasons.add("tells by " + f.label().toLowerCase() + ", without a coach"));
        }
        if (request.student().flags().stream().anyMatch(drill::loads)) {
            reasons.add("at half the volume for the flagged joint");
        }
        choice.insteadOf(drill, fault, rung, previous).ifPresent(left -> {
            Drill wanted = library.drill(left.drill());
            boolean own = choice.placeAmongChoices(wanted, fault, rung) >= 0;
            reasons.add("in place of %s (%s%s)"
                    .formatted(wanted.name().toLowerCase(), own ? "your choice, but " : "", left.reason()));
        });
        choicesThatWait(drill, fault, rung)
                .forEach(wanted -> reasons.add("%s, your choice, comes once %s is passed"
                        .formatted(wanted.name().toLowerCase(), notPassedBefore(wanted))));
        return request.student().hand().say(String.join("; ", reasons));
    }

    /** The coach's own choices before the one taken that another drill has to go before. */
    private Stream<Drill> choicesThatWait(Drill taken, Fault fault, Rung rung) {
        return request.settings().first().on(new Edits.StepId(fault, rung)).stream()
                .takeWhile(id -> !id.equals(taken.id()))
                .filter(library::has)
                .map(library::drill)
                .filter(d -> choice.allows(d) && choice.possibleSomewhere(d, rung))
                .filter(d -> !d.after().stream().allMatch(request.student()::hasPassed));
    }

    /** The names of what has to be passed before a drill. */
    private String notPassedBefore(Drill drill) {
        return drill.after().stream()
                .filter(id -> !request.student().hasPassed(id))
                .map(id -> library.drill(id).name().toLowerCase())
                .collect(Collectors.joining(" and "));
    }

    private List<String> whyFirst(Drill drill, Fault fault) {
        List<String> reasons = new ArrayList<>();
        drill.favour().of(request.approach()).ifPresent(taught -> reasons.add("because you teach " + taught));
        drill.favour()
                .of(request.seen())
                .ifPresent(sign -> reasons.add("answers what was seen: "
                        + Character.toLowerCase(sign.label().charAt(0))
                        + sign.label().substring(1)));
        reasons.add(
                drill.effects().containsKey(fault)
                        ? (drill.effects().get(fault) == Effect.MAIN ? "works directly on " : "helps with ")
                                + fault.label().toLowerCase()
                        : "your answer to what " + fault.label().toLowerCase() + " brings");
        for (String before : drill.after()) {
            reasons.add("comes after " + library.drill(before).name().toLowerCase());
        }
        return reasons;
    }
}
