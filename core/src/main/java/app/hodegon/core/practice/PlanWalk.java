package app.hodegon.core.practice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Place;
import app.hodegon.core.learning.Learner;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.Step;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A simulated student's way through a plan: works on the first gate not passed, or on the highest ball-free rung below
 * it where no balls may be hit, goes on when a gate is passed and steps back as {@link Ladder} has it.
 */
public final class PlanWalk {

    private final Learner learner;
    private final Map<Fault, List<Step>> ladders;
    private final DrillLibrary library;
    private final Map<Fault, Integer> passed = new EnumMap<>(Fault.class);
    private final Map<Fault, List<CheckSet>> checks = new EnumMap<>(Fault.class);
    private LocalDate yesterday;

    public PlanWalk(Learner learner, Map<Fault, List<Step>> ladders, DrillLibrary library) {
        this.learner = learner;
        this.ladders = ladders;
        this.library = library;
        ladders.keySet().forEach(fault -> {
            passed.put(fault, 0);
            checks.put(fault, new ArrayList<>());
        });
    }

    /** The gated steps of a plan, by fault. */
    public static Map<Fault, List<Step>> ladders(Plan plan) {
        return plan.route().stream()
                .filter(s -> s.gate().isPresent())
                .collect(Collectors.groupingBy(Step::fault, LinkedHashMap::new, Collectors.toList()));
    }

    /** Another student who stands exactly where this one does. */
    PlanWalk copy() {
        PlanWalk other = new PlanWalk(learner.copy(), ladders, library);
        other.passed.putAll(passed);
        checks.forEach((fault, sets) -> other.checks.put(fault, new ArrayList<>(sets)));
        other.yesterday = yesterday;
        return other;
    }

    /** Begins where a real student stands, whatever this one would have scored. */
    void stand(Ladder ladder) {
        ladders.forEach((fault, steps) -> {
            int through = 0;
            while (through < steps.size() && standing(ladder, steps.get(through)) == Standing.PASSED) through++;
            passed.put(fault, through);
            checks.put(fault, new ArrayList<>());
            if (through == steps.size()) return;
            ladder.on(new StepId(fault, steps.get(through).rung()))
                    .ifPresent(open -> checks.get(fault).addAll(open.counting()));
        });
    }

    private static Standing standing(Ladder ladder, Step step) {
        return ladder.on(new StepId(step.fault(), step.rung()))
                .map(Ladder.RungState::standing)
                .orElse(Standing.STAY);
    }

    Learner learner() {
        return learner;
    }

    /** The nights up to this day go by. */
    void wakeUpOn(LocalDate day) {
        if (yesterday == null) learner.wakeUp();
        else learner.sleep(ChronoUnit.DAYS.between(yesterday, day));
        yesterday = day;
    }

    /** Practises a day; what was done in each block, as it would be stored. */
    public List<BlockResult> practise(Day day) {
        List<BlockResult> done = new ArrayList<>();
        walk(day, done);
        return done;
    }

    /** Practises a day of which nobody wants a record. */
    void walk(Day day) {
        walk(day, null);
    }

    private void walk(Day day, List<BlockResult> record) {
        wakeUpOn(day.date());
        for (int i = 0; i < day.blocks().size(); i++) {
            Block block = day.blocks().get(i);
            List<Step> ladder = ladders.get(block.fault());
            int at = ladder == null ? -1 : workedOn(ladder, passed.get(block.fault()), day.place());
            if (at < 0) continue;
            Step step = ladder.get(at);
            int good = block.kind() == Kind.CHECK ? scored(block, step, day.date()) : learned(block, step);
            if (record != null) record.add(result(i, block, step, good));
        }
    }

    private int learned(Block block, Step step) {
        learner.learn(block.fault(), step.rung(), block.reps(), external(step.drill()));
        return 0;
    }

    private int scored(Block block, Step step, LocalDate on) {
        int good = 0;
        for (boolean rep : learner.practise(block.fault(), step.rung(), block.reps(), external(step.drill())))
            if (rep) good++;
        score(new CheckSet(on, block.fault(), step.drill(), step.rung(), good, block.reps(), Optional.empty()));
        return good;
    }

    private static BlockResult result(int index, Block block, Step step, int good) {
        String marks = block.kind() == Kind.CHECK
                ? "+".repeat(good) + "-".repeat(block.reps() - good)
                : "o".repeat(block.reps());
        return new BlockResult(index, block.fault(), step.drill(), step.rung(), block.kind(), marks);
    }

    boolean external(String drill) {
        return library.drill(drill).tellsFromOutside();
    }

    /** The first step not passed, or the highest below it that needs no ball where there is none; −1 for none. */
    private static int workedOn(List<Step> ladder, int passed, Place place) {
        for (int at = Math.min(passed, ladder.size() - 1); at >= 0; at--) {
            if (!ladder.get(at).rung().withBall() || place.ballsAllowed()) return at;
        }
        return -1;
    }

    /** Books a scored set; one of another rung than the open one tells nothing about the gate. */
    private void score(CheckSet set) {
        List<Step> ladder = ladders.get(set.fault());
        int at = passed.getOrDefault(set.fault(), 0);
        if (ladder == null || at == ladder.size() || ladder.get(at).rung() != set.rung()) return;
        List<CheckSet> done = checks.get(set.fault());
        done.add(set);
        Standing standing = Standing.of(ladder.get(at).gate().orElseThrow().signed(), done);
        if (standing == Standing.PASSED) passed.put(set.fault(), at + 1);
        if (standing == Standing.STEP_BACK) passed.put(set.fault(), Math.max(0, at - 1));
        if (standing != Standing.STAY) done.clear();
    }

    /** Gates of this fault's ladder passed so far, from the bottom. */
    public int passed(Fault fault) {
        return passed.get(fault);
    }
}
