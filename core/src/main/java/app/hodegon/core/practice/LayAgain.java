package app.hodegon.core.practice;

import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.plan.Edits;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Gate;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.Refit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What the days left of a plan take from a day of practice: a gate that a check left open holds them, and each time in
 * another way.
 *
 * @param reasons in sentences for coach and student; empty where nothing came of the day that they would want to hear
 * @param edits what the days to come are laid with
 */
public record LayAgain(List<String> reasons, Edits edits) {

    /** So many reps of the harder step, and so many of them good, say that it held. */
    private static final int ENOUGH = 5;

    private static final double HELD = 0.7;

    /** Checks running under the gate after which the same again is not tried. */
    private static final int OTHERWISE_AFTER = 2;

    /** And after which the coach is asked. */
    private static final int COACH_AFTER = 3;

    /**
     * A day of practice.
     *
     * @param before where the student stood before it
     * @param now and after it
     * @param stopped names of drills that it stopped for pain
     * @param missed planned days without practice since the day practised before
     */
    public record Day(PracticeSession session, Ladder before, Ladder now, List<String> stopped, int missed) {}

    public LayAgain {
        reasons = List.copyOf(reasons);
    }

    /** As before, for another reason than practice. */
    public static LayAgain because(String reason, PlanRequest request) {
        return new LayAgain(List.of(reason), request.edits());
    }

    /**
     * After a day of practice.
     *
     * @param request what the days left are asked for
     */
    public static LayAgain after(Day day, PlanRequest request, DrillLibrary library) {
        return new Following(day, request, library).found();
    }

    /** Why, for whoever has the plan. */
    public String why() {
        return reasons.isEmpty() ? "A day was practised." : String.join(" ", reasons);
    }

    /** One day's consequences, rung by rung. */
    private static final class Following {
        private final Day day;
        private final PlanRequest request;
        private final DrillLibrary library;
        private final List<String> reasons = new ArrayList<>();
        private final Set<StepId> inFives;
        private final Set<StepId> ahead;
        private final Set<StepId> easier;
        private final Map<StepId, String> instead;
        private final Set<StepId> heldToday = new HashSet<>();

        Following(Day day, PlanRequest request, DrillLibrary library) {
            this.day = day;
            this.request = request;
            this.library = library;
            this.inFives = new HashSet<>(request.edits().shortSets());
            this.ahead = new HashSet<>(request.edits().ahead());
            this.easier = new HashSet<>(request.edits().easier());
            this.instead = new HashMap<>(request.edits().instead());
        }

        LayAgain found() {
            day.now().rungs().forEach(this::rung);
            day.stopped().forEach(drill -> reasons.add(LayAgain.stopped(drill)));
            missed(day.missed()).ifPresent(reasons::add);
            turns();
            return new LayAgain(
                    reasons,
                    request.edits()
                            .inShortSets(inFives)
                            .goingOn(ahead)
                            .easing(easier)
                            .goingOnWith(instead));
        }

        private void rung(StepId step, Ladder.RungState state) {
            Standing was = day.before().on(step).map(Ladder.RungState::standing).orElse(Standing.STAY);
            boolean checked =
                    day.session().checks().stream().anyMatch(c -> c.fault() == step.fault() && c.rung() == step.rung());
            switch (state.standing()) {
                case PASSED -> {
                    if (was != Standing.PASSED) reasons.add(step.rung().label() + " was passed.");
                    leave(step);
                }
                case STEP_BACK -> {
                    if (was != Standing.STEP_BACK) stepBack(step, state);
                }
                case STAY, REOPENED -> {
                    if (checked) held(step, state);
                }
                case WAITS -> {
                    if (was != Standing.WAITS) reasons.add(step.rung().label() + " waits for the coach's word.");
                    leave(step);
                }
            }
        }

        private void leave(StepId step) {
            inFives.remove(step);
            easier.remove(step);
            instead.remove(step);
        }

        private void stepBack(StepId step, Ladder.RungState state) {
            String tooHigh = step.rung().label() + " was too high for now: ";
            if (day.now().hasBelow(step)) {
                leave(step);
                reasons.add(tooHigh + "a step back.");
            } else {
                // Nothing lies below: the rung itself comes easier.
                easier.add(step);
                inFives.add(step);
                reasons.add(tooHigh + "slower and in fives" + otherwise(step, state) + ".");
            }
        }

        /** A check under the gate does not become the same evening again. */
        private void held(StepId step, Ladder.RungState state) {
            Gate gate = request.edits().gates().of(step);
            int held = state.held(gate);
            easier.remove(step);
            if (held == 0) {
                reasons.add("%s: %d of %d, once more on another day."
                        .formatted(
                                step.rung().label(),
                                state.last().good(),
                                state.last().of()));
                return;
            }
            String stays = "%s stays at %d of %d, it takes %d: "
                    .formatted(
                            step.rung().label(),
                            state.last().good(),
                            state.last().of(),
                            gate.good());
            if (held < OTHERWISE_AFTER) {
                easier.add(step);
                reasons.add(stays + "slower on its next day.");
                return;
            }
            inFives.add(step);
            heldToday.add(step);
            String other = otherwise(step, state);
            // With nothing else to tell it by, slower evenings and the rung's half-steps take turns.
            boolean slower = other.isEmpty() && held % 2 == 0;
            if (slower) easier.add(step);
            reasons.add(stays + "in fives" + (slower ? " and slower" : other) + "."
                    + (held >= COACH_AFTER ? " The coach is asked to look." : ""));
        }

        /** Goes over to a drill that tells otherwise, once the one there had its checks; in words, or nothing. */
        private String otherwise(StepId step, Ladder.RungState state) {
            List<CheckSet> done = state.all();
            List<CheckSet> latest = done.subList(Math.max(0, done.size() - OTHERWISE_AFTER), done.size());
            boolean hadItsChance =
                    latest.stream().map(CheckSet::drill).distinct().count() == 1;
            if (request.edits().chosen().containsKey(step) || !hadItsChance) return "";
            Set<String> had = done.stream().map(CheckSet::drill).collect(Collectors.toSet());
            Optional<String> other = Refit.tellsOtherwise(request, step, had, library);
            other.ifPresent(drill -> instead.put(step, drill));
            return other.map(drill ->
                            ", with " + inASentence(library.drill(drill).name()))
                    .orElse("");
        }

        /** What happened within the session. */
        private void turns() {
            Set<StepId> hard = new HashSet<>(tooHard(day.session()));
            hard.removeAll(inFives);
            if (!hard.isEmpty()) reasons.add(LayAgain.inFives(hard));
            Set<StepId> well = new HashSet<>(wentWell(day.session()));
            well.removeAll(ahead);
            // The check decides: what it held goes on in fives, however well the drill went before it.
            well.removeAll(heldToday);
            if (!well.isEmpty()) reasons.add(onward(well));
            inFives.addAll(hard);
            inFives.removeAll(well);
            ahead.addAll(well);
            ahead.removeAll(hard);
        }
    }

    private static String inASentence(String name) {
        return Character.toLowerCase(name.charAt(0)) + name.substring(1);
    }

    /** Rungs of a day on which the movement was lost, or had to be made easier more than once: fives again. */
    static Set<StepId> tooHard(PracticeSession session) {
        return session.blocks().stream()
                .filter(b -> b.aside().isEmpty() && b.kind() == Plan.Kind.MAIN)
                .filter(b -> session.lost(b.fault()) || b.told().times(Turn.Kind.EASIER) > 1)
                .map(b -> new StepId(b.fault(), b.rung()))
                .collect(Collectors.toUnmodifiableSet());
    }

    /** Rungs of a day on which the harder step was taken and held: their half-steps are due. */
    static Set<StepId> wentWell(PracticeSession session) {
        Set<StepId> tooHard = tooHard(session);
        return session.blocks().stream()
                .filter(b -> b.aside().isEmpty() && b.kind() == Plan.Kind.MAIN)
                .filter(b -> b.told().turns().stream().anyMatch(t -> t.kind() == Turn.Kind.HARDER && held(b, t.at())))
                .map(b -> new StepId(b.fault(), b.rung()))
                .filter(step -> !tooHard.contains(step))
                .collect(Collectors.toUnmodifiableSet());
    }

    private static boolean held(BlockResult block, int from) {
        String after = block.marks().substring(Math.min(from, block.reps()));
        long good = after.chars().filter(c -> c == '+').count();
        long judged = good + after.chars().filter(c -> c == '-').count();
        return judged >= ENOUGH && good >= HELD * judged;
    }

    static String onward(Set<StepId> steps) {
        return steps.stream().map(s -> s.rung().label()).distinct().sorted().collect(Collectors.joining(" and "))
                + " goes on with its half-steps: the harder one held.";
    }

    static String inFives(Set<StepId> steps) {
        return steps.stream().map(s -> s.rung().label()).distinct().sorted().collect(Collectors.joining(" and "))
                + " goes on in sets of five: it was too hard on the way.";
    }

    /** In a sentence, of a drill by its name. */
    public static String stopped(String drill) {
        return drill + " was stopped for pain: for now half as much at half the speed, and nothing above it.";
    }

    /** In a sentence; empty where no day was missed. */
    public static Optional<String> missed(int days) {
        if (days == 0) return Optional.empty();
        return Optional.of(days == 1 ? "A planned day was missed." : days + " planned days were missed.");
    }
}
