package app.hodegon.core.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.Kit;
import app.hodegon.core.plan.Plan.Step;
import app.hodegon.core.plan.Plan.Totals;
import app.hodegon.core.swing.SwingLength;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * Turns a diagnosis into a climb: a route of drills up the rungs for each focus fault, laid on the days the student has
 * until the next lesson so that as many gates as possible are passed by then. Deterministic. The first fault leads; the
 * second gets at most a third of the main time until the first has passed {@link Rung#REHEARSE}.
 */
public final class Planner {

    /** Lower end of what a new movement wants over seven to ten days. */
    private static final int NEW_MOVEMENT = 700;

    private final DrillLibrary library;

    public Planner(DrillLibrary library) {
        this.library = library;
    }

    /**
     * The plan; total for any request without edits. An empty or short plan says why in its warnings.
     *
     * @throws IllegalArgumentException if the coach's edits break a rule that cannot be set aside; it says which
     */
    public Plan plan(PlanRequest request) {
        DrillChoice choice = new DrillChoice(request, library);
        EditRules.check(request, choice, library);
        Laid laid = lay(request, choice);
        return new Plan(
                laid.routes().stream()
                        .flatMap(r -> r.steps().stream())
                        .map(step -> withStandIns(step, laid.days()))
                        .toList(),
                laid.days(),
                laid.totals(),
                kit(request.student(), laid.days()),
                choice.leftOut(),
                Cautions.of(request, laid.days(), library),
                new Warnings(request, library, choice, laid, other -> lay(other, new DrillChoice(other, library)))
                        .list());
    }

    /** Routes and days, before anything is said about them. */
    record Laid(List<Route> routes, List<Day> days, Totals totals) {}

    private Laid lay(PlanRequest request, DrillChoice choice) {
        List<Route> routes = new RouteFinder(request, library, choice).routes();
        List<Day> days =
                new Pairs(request, library, choice).joined(new Pacing(request, library, choice, routes).best());
        return new Laid(routes, days, totals(request, routes, days));
    }

    /** The step, saying also which drill is worked in its place where its own is not possible. */
    private Step withStandIns(Step step, List<Day> days) {
        Map<Place, String> elsewhere = new EnumMap<>(Place.class);
        for (Day day : days) {
            for (Block block : day.blocks()) {
                if (block.fault() != step.fault() || block.rung() != step.rung() || block.locked()) continue;
                if (block.kind() == Kind.TRY) continue;
                if (block.kind() != Kind.CHECK && step.gate().isPresent() && isFirstBalls(day, block)) continue;
                if (!block.drill().equals(step.drill())) elsewhere.put(day.place(), block.drill());
            }
        }
        if (elsewhere.isEmpty()) return step;
        String also = elsewhere.entrySet().stream()
                .map(e -> "%s %s stands in"
                        .formatted(
                                e.getKey().where(), library.drill(e.getValue()).name()))
                .collect(Collectors.joining("; "));
        return new Step(step.rung(), step.fault(), step.drill(), step.gate(), step.why() + "; " + also);
    }

    /** Whether a block holds the few balls before their rung: the second main block of its fault. */
    private static boolean isFirstBalls(Day day, Block block) {
        return day.blocks().stream()
                .filter(b -> b.kind() == Kind.MAIN && b.fault() == block.fault())
                .findFirst()
                .filter(first -> first != block)
                .isPresent();
    }

    /**
     * Drills that could take a step's place, the best first, each with why.
     *
     * @throws IllegalArgumentException if the request's edits break a rule
     */
    public List<Alternative> alternatives(PlanRequest request, Fault fault, Rung rung) {
        DrillChoice choice = new DrillChoice(request, library);
        RouteFinder finder = new RouteFinder(request, library, choice);
        return choice
                .ranked(
                        fault,
                        rung,
                        d -> choice.possibleSomewhere(d, rung),
                        request.student()::hasPassed,
                        Optional.empty())
                .stream()
                .map(d -> new Alternative(d.id(), finder.why(d, fault, rung, Optional.empty())))
                .toList();
    }

    /**
     * A part of a climb in the lesson.
     *
     * @param length of the swing; empty for a drill without a ball
     */
    public record ClimbPart(Step step, Optional<SwingLength> length, int minutes) {}

    /**
     * The climb of the first fault in focus that has one, as a coach leads it in the lesson: the drill without a ball, then
     * short, to the shoulder, full. Empty where nothing is swung.
     *
     * @param minutes {@value LessonClimb#SHORTEST} to {@value LessonClimb#LONGEST}
     * @throws IllegalArgumentException if they are not, or if the request's edits break a rule
     */
    public List<ClimbPart> climb(PlanRequest request, int minutes) {
        PlanRequest inTheBay = request.with(LessonClimb.BAY);
        DrillChoice choice = new DrillChoice(inTheBay, library);
        RouteFinder finder = new RouteFinder(inTheBay, library, choice);
        return finder.routes().stream()
                .map(route -> LessonClimb.of(
                        route,
                        s -> choice.possibleAt(library.drill(s.drill()), Place.RANGE, s.rung())
                                && !finder.hurtBelow(s.fault(), s.rung()),
                        minutes))
                .filter(parts -> !parts.isEmpty())
                .findFirst()
                .orElse(List.of());
    }

    /**
     * Why two drills that the coach joined are laid apart, in a sentence; empty where none are.
     *
     * @param asked the rungs that matter: what was joined long ago and fits no more goes on alone, unsaid
     */
    public Optional<String> refusedPair(PlanRequest request, Plan plan, Set<Edits.StepId> asked) {
        return new Pairs(request, library, new DrillChoice(request, library)).refused(plan.days(), asked);
    }

    /**
     * Drills that could be done at once with a step's, named pairs first, each with why.
     *
     * @param drill of the step
     */
    public List<Alternative> partners(PlanRequest request, String drill, Rung rung) {
        Pairs pairs = new Pairs(request, library, new DrillChoice(request, library));
        Drill of = library.drill(drill);
        return pairs.partners(of, rung).stream()
                .map(d -> new Alternative(
                        d.id(), pairs.areNamed(of, d) ? "goes together with it" : "asks for the other foot"))
                .toList();
    }

    /** A drill for a step, and what speaks for it. */
    public record Alternative(String drill, String why) {}

    /**
     * What a typical student of this level can be expected to come to by the next lesson.
     *
     * @param gates number of gates passed, over all focus faults
     * @param chances of being through each gate of the route, 0 to 1
     */
    public record Expectation(double gates, Map<Edits.StepId, Double> chances) {}

    /** What can be expected of a plan that this request made. */
    public Expectation expected(PlanRequest request, Plan plan) {
        DrillChoice choice = new DrillChoice(request, library);
        List<Route> routes = new RouteFinder(request, library, choice).routes();
        List<ExpectedClimb.Expected> expected = new ExpectedClimb(request, library, choice, routes).of(plan.days());
        Map<Edits.StepId, Double> chances = new LinkedHashMap<>();
        double gates = 0;
        for (int i = 0; i < routes.size(); i++) {
            gates += expected.get(i).gates();
            List<Step> gated = routes.get(i).steps().stream()
                    .filter(s -> s.gate().isPresent())
                    .toList();
            for (int gate = 0; gate < gated.size(); gate++) {
                Step step = gated.get(gate);
                chances.put(
                        new Edits.StepId(step.fault(), step.rung()),
                        expected.get(i).through().get(gate));
            }
        }
        return new Expectation(gates, chances);
    }

    private Totals totals(PlanRequest request, List<Route> routes, List<Day> days) {
        List<Block> work = days.stream()
                .flatMap(d -> d.blocks().stream())
                .filter(b -> b.kind() != Kind.TRY)
                .toList();
        return new Totals(
                work.stream().mapToInt(Block::reps).sum(),
                work.stream().mapToInt(Block::balls).sum(),
                days.stream().mapToInt(Day::seconds).sum(),
                wantedReps(request.student(), routes.get(0)));
    }

    /** What the first route's rungs want before the next lesson, up to the 700 a new movement takes in ten days. */
    private int wantedReps(Student student, Route first) {
        double wanted = first.steps().stream()
                .mapToDouble(
                        s -> Dose.wantedReps(s.fault(), s.rung()) * Layout.share(student, library.drill(s.drill())))
                .sum();
        return (int) Math.round(Math.min(NEW_MOVEMENT, wanted) * student.age().volume());
    }

    private List<Kit> kit(Student student, List<Day> days) {
        Set<Equipment> used = new TreeSet<>();
        days.stream()
                .flatMap(d -> d.blocks().stream())
                .flatMap(Block::drills)
                .forEach(drill -> used.addAll(library.drill(drill).kit()));
        return used.stream()
                .map(e -> new Kit(e, student.has(e), student.has(e) ? Optional.empty() : e.substitute()))
                .toList();
    }
}
