package app.hodegon.core.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Feedback;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Plan.Step;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** A plan's request changed by what the last one taught; the planner lays the rest. */
public final class Refit {

    /** Not even a student who did nothing is asked for less than this share of the minutes. */
    private static final double SMALLEST = 0.4;

    /** What is done is kept up on so many days a week, so many minutes each, for so many days. */
    private static final int KEEPING_DAYS = 2;

    private static final int KEEPING_MINUTES = 15;
    private static final int KEEPING = 20;

    private static final Set<Feedback> KEEPS = EnumSet.of(Feedback.TOUCH, Feedback.SOUND);

    private Refit() {}

    /**
     * The minutes that were really used, and the first fault only.
     *
     * @param shareDone reps done of those planned, 0 and more
     */
    public static PlanRequest smaller(PlanRequest request, double shareDone) {
        PlanRequest oneFault = request.with(request.focus().subList(0, 1));
        return oneFault.with(request.student().week().scaled(Math.min(1, Math.max(SMALLEST, shareDone))));
    }

    /** The rung the student stands on in fives, on one more day, by a drill that tells by touch or sound. */
    public static PlanRequest denser(PlanRequest request, DrillLibrary library) {
        PlanRequest more = request.with(request.student().week().withOneMoreDay());
        return current(more, library)
                .map(step -> {
                    Edits edits = more.edits().inShortSets(Set.of(id(step)));
                    Drill drill = library.drill(step.drill());
                    return more.with(
                            drill.feedback().stream().anyMatch(KEEPS::contains)
                                    ? edits
                                    : other(
                                                    more,
                                                    step,
                                                    library,
                                                    d -> d.feedback().stream().anyMatch(KEEPS::contains))
                                            .map(d -> edits.choosing(id(step), d))
                                            .orElse(edits));
                })
                .orElse(more);
    }

    /** The rung the student stands on slower and in fives. */
    public static PlanRequest easier(PlanRequest request, DrillLibrary library) {
        return current(request, library)
                .map(step -> request.with(
                        request.edits().inShortSets(Set.of(id(step))).easing(Set.of(id(step)))))
                .orElse(request);
    }

    /** The next lesson begins with scored balls. */
    public static PlanRequest measured(PlanRequest request) {
        return request.with(request.settings().checking());
    }

    /** Two short days a week for three weeks, for the first fault, and scored balls at their end. */
    public static PlanRequest keeping(PlanRequest request) {
        return measured(request.with(request.focus().subList(0, 1))
                .with(request.student().week().keeping(KEEPING_DAYS, KEEPING_MINUTES))
                .until(request.from().plusDays(KEEPING)));
    }

    /**
     * Whether another feedback would be the main work of most days on the rung the student stands on.
     */
    public static boolean couldTellOtherwise(PlanRequest request, DrillLibrary library) {
        PlanRequest other = otherFeedback(request, library);
        if (other.equals(request)) return false;
        StepId step = current(other, library).map(Refit::id).orElseThrow();
        String drill = other.edits().chosen().get(step);
        List<String> mains = new Planner(library)
                .plan(other).days().stream()
                        .flatMap(d -> d.blocks().stream()
                                .filter(b -> b.kind() == Plan.Kind.MAIN && b.fault() == step.fault())
                                .filter(b -> b.rung() == step.rung())
                                .limit(1))
                        .map(Plan.Block::drill)
                        .toList();
        return 2 * mains.stream().filter(d -> d.equals(drill)).count() > mains.size();
    }

    /** On the rung the student stands on, a drill with a feedback that the one used so far did not have. */
    public static PlanRequest otherFeedback(PlanRequest request, DrillLibrary library) {
        return current(request, library)
                .flatMap(step -> tellsOtherwise(request, id(step), Set.of(lastUsed(request, step)), library)
                        .map(d -> request.with(request.edits().choosing(id(step), d))))
                .orElse(request);
    }

    /** A drill for this rung that tells in a way none of these did; the best of them. */
    public static Optional<String> tellsOtherwise(
            PlanRequest request, StepId step, Set<String> had, DrillLibrary library) {
        Set<Feedback> told = had.stream()
                .filter(library::has)
                .flatMap(d -> library.drill(d).feedback().stream())
                .collect(Collectors.toSet());
        return new Planner(library)
                .alternatives(request, step.fault(), step.rung()).stream()
                        .map(Planner.Alternative::drill)
                        .filter(d -> !had.contains(d)
                                && library.drill(d).feedback().stream()
                                        .anyMatch(f -> f.external() && !told.contains(f)))
                        .findFirst();
    }

    /** The drill last tried on this rung, whatever the planner would choose now. */
    private static String lastUsed(PlanRequest request, Step step) {
        return request.student().doneBefore().stream()
                .filter(done -> done.rung() == step.rung() && !done.passed())
                .map(Student.Done::drill)
                .reduce((earlier, later) -> later)
                .orElse(step.drill());
    }

    /** The lowest rung of the first fault's route that has a gate. */
    private static Optional<Step> current(PlanRequest request, DrillLibrary library) {
        Fault first = request.focus().get(0).fault();
        return new Planner(library)
                .plan(request).route().stream()
                        .filter(s -> s.fault() == first && s.gate().isPresent())
                        .findFirst();
    }

    private static Optional<String> other(
            PlanRequest request, Step step, DrillLibrary library, Predicate<Drill> tells) {
        List<Planner.Alternative> ranked = new Planner(library).alternatives(request, step.fault(), step.rung());
        String used = lastUsed(request, step);
        return ranked.stream()
                .map(Planner.Alternative::drill)
                .filter(id -> !id.equals(used) && tells.test(library.drill(id)))
                .findFirst();
    }

    private static StepId id(Step step) {
        return new StepId(step.fault(), step.rung());
    }
}
