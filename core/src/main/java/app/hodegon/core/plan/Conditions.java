package app.hodegon.core.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.HalfStep;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.swing.Handedness;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Which half-steps a student may do of a drill, and which one a day of it takes. */
final class Conditions {

    /** Days under one half-step before the next comes up; the moves of a set take one each. */
    private static final int DAYS_EACH = 2;

    private final PlanRequest request;
    private final DrillLibrary library;
    private final DrillChoice choice;
    private final Map<Key, Turns> turns = new HashMap<>();

    private record Key(Fault fault, String drill, Rung rung, Place place) {}

    /**
     * What a drill allows on a rung at a place.
     *
     * @param moves of a set, in their order, each with the plain form after it
     * @param rounds what comes after them, beginning with each in turn; the plain form is among them
     */
    private record Turns(List<List<Optional<HalfStep>>> moves, List<List<Optional<HalfStep>>> rounds) {

        static Turns of(List<HalfStep> steps) {
            List<List<Optional<HalfStep>>> moves = steps.stream()
                    .filter(s -> s.kind() == HalfStep.Kind.MOVE)
                    .map(s -> List.of(Optional.of(s), Optional.<HalfStep>empty()))
                    .toList();
            List<Optional<HalfStep>> round = new ArrayList<>();
            round.add(Optional.empty());
            steps.stream().filter(s -> s.kind() != HalfStep.Kind.MOVE).forEach(s -> round.add(Optional.of(s)));
            List<List<Optional<HalfStep>>> rounds = new ArrayList<>();
            for (int first = 0; first < round.size(); first++) {
                List<Optional<HalfStep>> turned = new ArrayList<>(round.subList(first, round.size()));
                turned.addAll(round.subList(0, first));
                rounds.add(List.copyOf(turned));
            }
            return new Turns(moves, List.copyOf(rounds));
        }
    }

    Conditions(PlanRequest request, DrillLibrary library, DrillChoice choice) {
        this.request = request;
        this.library = library;
        this.choice = choice;
    }

    /**
     * In the order in which they are to be tried on a day; an empty one is the plain form. The first two days are plain,
     * but for a set, which begins with its first move.
     *
     * @param worked days of this drill's rung so far
     * @param ahead whether the plain days are left out: the student is past them
     */
    List<Optional<HalfStep>> on(Fault fault, Drill drill, Rung rung, Place place, int worked, boolean ahead) {
        Turns all = turns.computeIfAbsent(
                new Key(fault, drill.id(), rung, place), k -> Turns.of(safe(fault, drill, rung, place)));
        if (worked < all.moves().size()) return all.moves().get(worked);
        int days = worked - all.moves().size() + (ahead ? DAYS_EACH : 0);
        return all.rounds().get(days / DAYS_EACH % all.rounds().size());
    }

    /** Those that neither hurt nor need what is not there; always at least one. */
    private List<HalfStep> safe(Fault fault, Drill drill, Rung rung, Place place) {
        Handedness hand = request.student().hand();
        List<HalfStep> safe = library.halfSteps(drill, rung).stream()
                .filter(s -> isSafe(s, fault, drill, place))
                .map(s -> s.said(hand))
                .toList();
        if (safe.stream().anyMatch(s -> s.kind() != HalfStep.Kind.MOVE)) return safe;
        List<HalfStep> more = new ArrayList<>(safe);
        HalfStep.usual(rung).stream()
                .filter(s -> isSafe(s, fault, drill, place))
                .map(s -> s.said(hand))
                .forEach(more::add);
        return more;
    }

    private boolean isSafe(HalfStep step, Fault fault, Drill drill, Place place) {
        boolean sound = request.student().flags().isEmpty();
        return switch (step.kind()) {
            case CHANGE -> sound || step.speed() <= 0;
            case MIXED -> true;
            case STEADY ->
                sound
                        && !drill.careWith().contains(Joint.BALANCE)
                        && request.student().age() != AgeBand.SENIOR;
            case PROP -> !drill.kit().isEmpty();
            case MOVE ->
                step.with().stream()
                        .map(library::drill)
                        .allMatch(d -> choice.objection(d).isEmpty());
            case COMBINED ->
                sound
                        && step.with().stream()
                                .map(library::drill)
                                .allMatch(d -> choice.objection(d).isEmpty()
                                        && d.effects().containsKey(fault)
                                        && d.isDoneAt(place)
                                        && d.after().isEmpty());
        };
    }
}
