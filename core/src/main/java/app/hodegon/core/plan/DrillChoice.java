package app.hodegon.core.plan;

import app.hodegon.core.approach.Choice;
import app.hodegon.core.diagnosis.Catalogue;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.Drill.Effect;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Ground;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.LeftOut;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** Which drills may be used for this student, and which one is best for a fault on a rung. */
final class DrillChoice {

    /** An answer given against the usual one weighs as much as whether a drill is the fault's own. */
    private static final double FAVOURED = 3;

    /** What answers a sign of the lesson goes before what is told by touch, has its kit and is known already. */
    private static final double ANSWERS_A_SIGN = 2.9;

    /** Who has the days for it learns a set move by move before its parts alone. */
    private static final double MOVE_BY_MOVE = 1.5;

    /** A day at home for each evening of a set of three moves. */
    private static final int DAYS_FOR_MOVES = 7;

    private static final double BROUGHT_ALONG = 3;

    /** More than any school's preference. */
    private static final double BRIDGE = 8;

    /** More than anything else together: the coach has said so. */
    private static final double FIRST_CHOICE = 100;

    private static final Set<Rung> BROUGHT_ALONG_ON = EnumSet.of(Rung.SHORT, Rung.BUILD);

    private final PlanRequest request;
    private final List<Drill> allowed = new ArrayList<>();
    private final List<LeftOut> leftOut = new ArrayList<>();
    private final Map<Drill, String> refused = new LinkedHashMap<>();
    private final List<Place> places;
    private final Map<Where, Optional<Form>> forms = new HashMap<>();

    private record Where(String drill, Place place, Rung rung) {}

    DrillChoice(PlanRequest request, DrillLibrary library) {
        this.request = request;
        List<LocalDate> days = request.student().week().practiceDays(request.from(), request.nextLesson());
        places = days.stream()
                .map(d -> request.student().week().on(d).orElseThrow().place())
                .toList();
        for (Drill drill : library.all()) {
            if (request.focus().stream()
                    .noneMatch(f -> drill.effects().containsKey(f.fault()) || bringsAlong(drill, f.fault()))) continue;
            objection(drill)
                    .ifPresentOrElse(
                            against -> {
                                leftOut.add(new LeftOut(drill.id(), against.reason()));
                                refused.put(drill, against.reason());
                            },
                            () -> allowed.add(drill));
        }
    }

    List<LeftOut> leftOut() {
        return List.copyOf(leftOut);
    }

    /** Where this student practises before the next lesson. */
    Set<Place> places() {
        return places.isEmpty() ? Set.of() : EnumSet.copyOf(places);
    }

    boolean allows(Drill drill) {
        return allowed.contains(drill);
    }

    /**
     * A rule that keeps this drill out.
     *
     * @param firm whether the coach may not put it in anyway: it would hurt, or make a fault worse
     */
    record Objection(String reason, boolean firm) {}

    /** What forbids this drill to this student; empty if it may be used. */
    Optional<Objection> objection(Drill drill) {
        if (request.stopped().contains(drill.id())) {
            return Optional.of(new Objection("stopped for pain until you lift it", true));
        }
        Student student = request.student();
        List<Fault> clash = drill.clashes().stream()
                .filter(request.likely()::contains)
                .sorted()
                .toList();
        if (!clash.isEmpty()) {
            String worse = "would make " + clash.get(0).label().toLowerCase() + " worse";
            return Optional.of(new Objection(student.hand().say(worse), true));
        }
        List<Joint> joints = drill.neverWith().stream()
                .filter(student.flags()::contains)
                .sorted()
                .toList();
        if (!joints.isEmpty()) {
            return Optional.of(
                    new Objection("not with a flagged " + joints.get(0).label().toLowerCase(), true));
        }
        if (!drill.suits(request.approach())) {
            return Optional.of(drill.needs().stream()
                    .filter(n -> !request.approach().has(n))
                    .sorted()
                    .findFirst()
                    .map(n -> "needs \"" + n.label() + "\" for " + decapitalised(n))
                    .or(() -> Optional.of("belongs to another pressure school"))
                    .map(reason -> new Objection(reason, false))
                    .orElseThrow());
        }
        List<Equipment> missing = drill.kit().stream()
                .filter(e -> !student.has(e) && e.substitute().isEmpty())
                .sorted()
                .toList();
        if (!missing.isEmpty()) {
            String items = missing.stream().map(e -> e.label().toLowerCase()).collect(Collectors.joining(" and "));
            return Optional.of(new Objection("needs " + items, false));
        }
        if (!suitsTheShoes(drill) && !(drill.isDoneAt(Place.HOME) && places.contains(Place.HOME))) {
            String shoes = student.shoes().label().toLowerCase();
            return Optional.of(new Objection("not in " + shoes + ": other shoes, or none, for this one", true));
        }
        if (!places.isEmpty()
                && places.stream().anyMatch(drill::isDoneAt)
                && places.stream().noneMatch(p -> drill.isDoneAt(p) && standsWell(drill, p))) {
            return Optional.of(new Objection("the ground is wrong for it where this student practises", true));
        }
        if (!places.isEmpty() && places.stream().noneMatch(drill::isDoneAt)) {
            return Optional.of(new Objection("cannot be done where this student practises", false));
        }
        return Optional.empty();
    }

    /**
     * @throws IllegalArgumentException if this drill would hurt this student or make a fault worse
     */
    void refuseWhatHarms(Drill drill) {
        objection(drill).filter(Objection::firm).ifPresent(against -> {
            throw new IllegalArgumentException(drill.name() + ": " + against.reason() + ".");
        });
    }

    private static String decapitalised(Choice choice) {
        String label = choice.question().label();
        return Character.toLowerCase(label.charAt(0)) + label.substring(1);
    }

    /**
     * The best allowed drill for a fault on a rung.
     *
     * @param passedBefore drills the student will have passed by then
     * @param previous the drill of the rung below, to keep variety low
     */
    Optional<Drill> best(
            Fault fault, Rung rung, Predicate<Drill> also, Predicate<String> passedBefore, Optional<String> previous) {
        return ranked(fault, rung, also, passedBefore, previous).stream().findFirst();
    }

    /** All allowed drills for a fault on a rung, the best first. */
    List<Drill> ranked(
            Fault fault, Rung rung, Predicate<Drill> also, Predicate<String> passedBefore, Optional<String> previous) {
        return allowed.stream()
                .filter(d -> worksOn(d, fault, rung) && also.test(d))
                .filter(d -> d.after().stream().allMatch(passedBefore))
                .sorted(Comparator.comparingDouble((Drill d) -> -score(d, fault, rung, previous))
                        // Of two that are as good, the one that was begun; then what takes fewer reps to the gate, as
                        // the
                        // house has seen; then what this student has met least.
                        .thenComparingInt(d ->
                                -request.worked(new Edits.StepId(fault, rung)).days(d.id()))
                        .thenComparingDouble(d -> -request.student().needs().worth(d.id()))
                        .thenComparingInt(this::met))
                .toList();
    }

    /**
     * The drill that would have come before the chosen one, were it not left out, with the reason.
     *
     * @param chosen what takes its place
     */
    Optional<LeftOut> insteadOf(Drill chosen, Fault fault, Rung rung, Optional<String> previous) {
        double least = score(chosen, fault, rung, previous);
        return refused.entrySet().stream()
                .filter(e -> worksOn(e.getKey(), fault, rung) && score(e.getKey(), fault, rung, previous) > least)
                .max(Comparator.comparingDouble(e -> score(e.getKey(), fault, rung, previous)))
                .map(e -> new LeftOut(e.getKey().id(), e.getValue()));
    }

    boolean possibleSomewhere(Drill drill, Rung rung) {
        return places.stream().anyMatch(p -> possibleAt(drill, p, rung));
    }

    boolean possibleAt(Drill drill, Place place, Rung rung) {
        return formAt(drill, place, rung).isPresent();
    }

    /** What the club meets there on this rung of the drill; empty where it cannot be done. */
    Optional<Form> formAt(Drill drill, Place place, Rung rung) {
        return forms.computeIfAbsent(new Where(drill.id(), place, rung), w -> found(drill, place, rung));
    }

    private Optional<Form> found(Drill drill, Place place, Rung rung) {
        if (!drill.isDoneAt(place) || !standsWell(drill, place)) return Optional.empty();
        if (place == Place.COURSE && !drill.bare()) return Optional.empty();
        return request.student().form(place, rung);
    }

    /** Whether it is done in the shoes this student plays in; at home there are others. */
    private boolean suitsTheShoes(Drill drill) {
        return !drill.footing().notIn().contains(request.student().shoes());
    }

    /** Whether the ground suits the drill and the shoes it needs. */
    private boolean standsWell(Drill drill, Place place) {
        Ground ground = request.student().ground(place);
        if (drill.kit().contains(Equipment.SPIKES) && !ground.takesSpikes()) return false;
        if (place != Place.HOME && !suitsTheShoes(drill)) return false;
        return drill.footing().onlyOn().isEmpty() || drill.footing().onlyOn().contains(ground);
    }

    private double score(Drill drill, Fault fault, Rung rung, Optional<String> previous) {
        Student student = request.student();
        double score = effect(drill, fault) == Effect.MAIN ? 3 : 1;
        if (drill.kit().stream().allMatch(student::has)) score += 1;
        // What somebody has got beside the usual bag was got to be used.
        if (drill.kit().stream().anyMatch(e -> !e.usual() && student.kit().contains(e))) score += 0.5;
        boolean early = rung.compareTo(Rung.REHEARSE) <= 0;
        if (early && rung != Rung.PREPARE && drill.tellsFromOutside()) score += 1;
        if (previous.filter(drill.id()::equals).isPresent()) score += 0.75;
        score += favour(drill);
        int choice = placeAmongChoices(drill, fault, rung);
        if (choice >= 0) score += FIRST_CHOICE * (FirstChoices.MOST - choice);
        // Every route ends without a prop, so that the game is not left to chance.
        if (rung.compareTo(Rung.FULL) >= 0
                && (drill.servesEveryFault() || drill.kit().isEmpty() && askedFor(drill))) score += BRIDGE;
        if (!drill.ways().moves().isEmpty() && daysAtHome() >= DAYS_FOR_MOVES) score += MOVE_BY_MOVE;
        // Once its easier form is passed, the harder and longer-lasting drill goes first.
        if (!drill.after().isEmpty()) score += 0.9;
        if (drill.careWith().stream().anyMatch(student.flags()::contains)) score -= 1.5;
        if (serves(drill, 1) && serves(drill, 0)) score += 0.5;
        // The coach's own answer to what this fault brings is in the route, once the root's movement is there.
        if (bringsAlong(drill, fault)) score += BROUGHT_ALONG;
        if (!places.isEmpty()) {
            score += (double) places.stream()
                            .filter(p -> possibleAt(drill, p, rung))
                            .count()
                    / places.size();
        }
        return score;
    }

    /** Where the coach has put it for this rung of this fault, 0 for first; -1 for nowhere. */
    int placeAmongChoices(Drill drill, Fault fault, Rung rung) {
        return request.settings().first().on(new Edits.StepId(fault, rung)).indexOf(drill.id());
    }

    /** Whether the coach's own answers or what was seen ask for it. */
    private boolean askedFor(Drill drill) {
        return drill.favour().of(request.approach()).isPresent()
                || drill.favour().of(request.seen()).isPresent();
    }

    private long daysAtHome() {
        return places.stream().filter(Place.HOME::equals).count();
    }

    private double favour(Drill drill) {
        double score = 0;
        if (drill.favour().of(request.approach()).isPresent()) score += FAVOURED;
        if (drill.favour().of(request.seen()).isPresent()) score += ANSWERS_A_SIGN;
        return score;
    }

    /** On how many rungs this student has passed it. */
    private int met(Drill drill) {
        return (int) request.student().doneBefore().stream()
                .filter(d -> d.passed() && d.drill().equals(drill.id()))
                .count();
    }

    private static Effect effect(Drill drill, Fault fault) {
        return drill.effects().getOrDefault(fault, Effect.HELPS);
    }

    /**
     * Whether it works on this fault on this rung, or is the coach's own answer to a likely fault that this one brings: that
     * has its place once there is a ball.
     */
    boolean worksOn(Drill drill, Fault fault, Rung rung) {
        return drill.covers(rung)
                && (drill.effects().containsKey(fault) || BROUGHT_ALONG_ON.contains(rung) && bringsAlong(drill, fault));
    }

    private boolean bringsAlong(Drill drill, Fault fault) {
        return !fault.ofTheBody()
                && !drill.effects().containsKey(fault)
                && drill.favour().choices().stream()
                        .anyMatch(c -> !c.usual() && request.approach().has(c))
                && drill.effects().entrySet().stream()
                        .anyMatch(e -> e.getValue() == Effect.MAIN
                                && request.likely().contains(e.getKey())
                                && Catalogue.standard().leadsTo(fault, e.getKey()));
    }

    private boolean serves(Drill drill, int focus) {
        return request.focus().size() > focus
                && drill.effects().containsKey(request.focus().get(focus).fault());
    }
}
