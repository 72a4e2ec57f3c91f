package app.hodegon.core.practice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Feedback;
import app.hodegon.core.drill.Place;
import app.hodegon.core.learning.Learner;
import app.hodegon.core.plan.Level;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.Step;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;

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
    public static Map<Step, Double> of(Plan plan, Level level, DrillLibrary library) {
        Map<Fault, List<Step>> ladders = plan.route().stream()
                .filter(s -> s.gate().isPresent())
                .collect(Collectors.groupingBy(Step::fault, LinkedHashMap::new, Collectors.toList()));
        Map<Fault, int[]> through = new EnumMap<>(Fault.class);
        ladders.forEach((fault, steps) -> through.put(fault, new int[steps.size()]));
        Random random = new Random(SEED);
        for (int i = 0; i < STUDENTS; i++) {
            Walk walk = new Walk(Learner.draw(level.repsToLearn(), random), ladders, library);
            for (Day day : plan.days()) {
                boolean kept = random.nextDouble() < DAYS_KEPT;
                walk.day(day, kept);
            }
            walk.countInto(through);
        }
        Map<Step, Double> chances = new LinkedHashMap<>();
        ladders.forEach((fault, steps) -> {
            for (int i = 0; i < steps.size(); i++) {
                chances.put(steps.get(i), through.get(fault)[i] / (double) STUDENTS);
            }
        });
        return chances;
    }

    /** One student's way through the plan. */
    private static final class Walk {
        private final Learner learner;
        private final Map<Fault, List<Step>> ladders;
        private final DrillLibrary library;
        private final Map<Fault, Integer> passed = new EnumMap<>(Fault.class);
        private final Map<Fault, List<CheckSet>> checks = new EnumMap<>(Fault.class);

        Walk(Learner learner, Map<Fault, List<Step>> ladders, DrillLibrary library) {
            this.learner = learner;
            this.ladders = ladders;
            this.library = library;
            ladders.keySet().forEach(fault -> {
                passed.put(fault, 0);
                checks.put(fault, new ArrayList<>());
            });
        }

        void day(Day day, boolean kept) {
            learner.wakeUp();
            if (!kept) return;
            for (Block block : day.blocks()) {
                List<Step> ladder = ladders.get(block.fault());
                if (ladder == null) continue;
                int at = workedOn(ladder, passed.get(block.fault()), day.place());
                if (at < 0) continue;
                Step step = ladder.get(at);
                if (block.kind() != Kind.CHECK) {
                    learner.learn(block.fault(), step.rung(), block.reps(), external(step));
                    continue;
                }
                int good = 0;
                for (boolean rep : learner.practise(block.fault(), step.rung(), block.reps(), external(step)))
                    if (rep) good++;
                check(step, at, day.date(), good, block.reps());
            }
        }

        private boolean external(Step step) {
            return library.drill(step.drill()).feedback().stream().anyMatch(Feedback::external);
        }

        /** The first step not passed, or the highest below it that needs no ball where there is none; −1 for none. */
        private static int workedOn(List<Step> ladder, int passed, Place place) {
            for (int at = Math.min(passed, ladder.size() - 1); at >= 0; at--) {
                if (!ladder.get(at).rung().withBall() || place.ballsAllowed()) return at;
            }
            return -1;
        }

        private void check(Step step, int at, LocalDate on, int good, int of) {
            if (at != passed.get(step.fault())) return;
            List<CheckSet> done = checks.get(step.fault());
            done.add(new CheckSet(on, step.fault(), step.drill(), step.rung(), good, of, Optional.empty()));
            if (Standing.of(step.gate().orElseThrow(), done) != Standing.PASSED) return;
            passed.merge(step.fault(), 1, Integer::sum);
            done.clear();
        }

        void countInto(Map<Fault, int[]> through) {
            passed.forEach((fault, count) -> {
                for (int i = 0; i < count; i++) through.get(fault)[i]++;
            });
        }
    }
}
