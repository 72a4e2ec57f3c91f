package app.hodegon.core.practice;

import app.hodegon.core.drill.Place;
import app.hodegon.core.plan.Level;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.Step;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/**
 * The chance of being through each gate by the next lesson: the share of simulated students of this level who are,
 * practising the plan with nine days in ten kept and going on only when a gate is passed. Rests on the {@link Learner}'s
 * assumptions.
 */
public final class Forecast {

    private static final int STUDENTS = 400;
    private static final long SEED = 20260101;
    private static final double DAYS_KEPT = 0.9;

    private Forecast() {}

    /**
     * Chance per step of the route, 0 to 1, in the route's order; always falling along one fault's route. Steps without
     * a gate are left out.
     */
    public static Map<Step, Double> of(Plan plan, Level level) {
        Map<Step, Integer> through = new HashMap<>();
        Random random = new Random(SEED);
        for (int i = 0; i < STUDENTS; i++) {
            for (Step step : walk(plan, Learner.draw(level, random), random)) through.merge(step, 1, Integer::sum);
        }
        Map<Step, Double> chances = new java.util.LinkedHashMap<>();
        for (Step step : plan.route()) {
            if (step.gate().isPresent()) chances.put(step, through.getOrDefault(step, 0) / (double) STUDENTS);
        }
        return chances;
    }

    /** One student's way through the plan; the steps whose gates were passed. */
    private static List<Step> walk(Plan plan, Learner learner, Random random) {
        List<Step> passed = new ArrayList<>();
        Map<Step, List<CheckSet>> sets = new HashMap<>();
        for (Day day : plan.days()) {
            boolean kept = random.nextDouble() < DAYS_KEPT;
            learner.wakeUp();
            if (!kept) continue;
            for (Block block : day.blocks()) {
                Optional<Step> step = workedOn(plan, block, day.place(), passed);
                if (step.isEmpty()) continue;
                int good = 0;
                for (boolean rep : learner.practise(block.fault(), step.get().rung(), block.reps())) if (rep) good++;
                if (block.kind() == Kind.CHECK) check(step.get(), day.date(), block, good, sets, passed);
            }
        }
        return passed;
    }

    private static void check(
            Step step, LocalDate on, Block block, int good, Map<Step, List<CheckSet>> sets, List<Step> passed) {
        List<CheckSet> done = sets.computeIfAbsent(step, s -> new ArrayList<>());
        done.add(new CheckSet(on, step.fault(), step.drill(), step.rung(), good, block.reps(), Optional.empty()));
        boolean through = step.gate()
                .filter(gate -> Standing.of(gate, done) == Standing.PASSED)
                .isPresent();
        if (through && !passed.contains(step)) passed.add(step);
    }

    /** The first step of this block's fault not yet passed, unless it needs a ball and the place has none. */
    private static Optional<Step> workedOn(Plan plan, Block block, Place place, List<Step> passed) {
        List<Step> open = plan.route().stream()
                .filter(s -> s.fault() == block.fault() && s.gate().isPresent())
                .toList();
        Optional<Step> next = open.stream().filter(s -> !passed.contains(s)).findFirst();
        if (next.isPresent() && (!next.get().rung().withBall() || place.ballsAllowed())) return next;
        return open.stream()
                .filter(s -> !s.rung().withBall() || place.ballsAllowed())
                .reduce((a, b) -> b);
    }
}
