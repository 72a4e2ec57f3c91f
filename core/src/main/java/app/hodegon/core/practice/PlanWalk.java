package app.hodegon.core.practice;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.HalfStep;
import app.hodegon.core.drill.Place;
import app.hodegon.core.learning.Circumstances;
import app.hodegon.core.learning.Learner;
import app.hodegon.core.learning.RepsNeeded;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.Step;
import app.hodegon.core.plan.Student;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A simulated student's way through a plan: works on the first gate not passed, or on the highest rung below it that the
 * place allows, in the form nearest to a real ball; goes on when a gate is passed and steps back as {@link Ladder} has it.
 */
public final class PlanWalk {

    private final Learner learner;
    private final Ways ways;
    private final Map<Fault, List<Step>> ladders;
    private final Map<Fault, Integer> passed = new EnumMap<>(Fault.class);
    private final Map<Fault, List<CheckSet>> checks = new EnumMap<>(Fault.class);
    private final Map<Fault, Block> lastMain = new EnumMap<>(Fault.class);
    private final Map<Fault, Integer> alike = new EnumMap<>(Fault.class);
    private LocalDate yesterday;

    public PlanWalk(Learner learner, Ways ways) {
        this.learner = learner;
        this.ways = ways;
        this.ladders = ways.ladders;
        ladders.keySet().forEach(fault -> {
            passed.put(fault, 0);
            checks.put(fault, new ArrayList<>());
        });
    }

    /** What a plan has to climb and where each step can be worked in which form; shared by all who walk it. */
    public static final class Ways {
        private final Map<Fault, List<Step>> ladders;
        private final Map<Step, Boolean> external = new HashMap<>();
        private final Map<Step, Map<Place, Form>> forms = new HashMap<>();
        private final DrillLibrary library;
        private final RepsNeeded needs;

        public Ways(Plan plan, Student student, DrillLibrary library) {
            this.library = library;
            this.needs = student.needs();
            this.ladders = PlanWalk.ladders(plan);
            Set<List<Object>> laid = new HashSet<>();
            plan.days().forEach(d -> d.blocks().forEach(b -> laid.add(List.of(b.fault(), b.rung(), d.place()))));
            ladders.values()
                    .forEach(steps -> steps.forEach(step -> {
                        Drill drill = library.drill(step.drill());
                        external.put(step, drill.tellsFromOutside());
                        Map<Place, Form> there = new EnumMap<>(Place.class);
                        for (Place place : Place.values()) {
                            if (!drill.isDoneAt(place) && !laid.contains(List.of(step.fault(), step.rung(), place)))
                                continue;
                            student.form(place, step.rung()).ifPresent(form -> there.put(place, form));
                        }
                        forms.put(step, there);
                    }));
        }

        Map<Fault, List<Step>> ladders() {
            return ladders;
        }

        /** What the club meets at this step there; empty where it cannot be worked. */
        public Optional<Form> form(Step step, Place place) {
            return Optional.ofNullable(forms.get(step).get(place));
        }

        public boolean external(Step step) {
            return external.get(step);
        }

        /** Plain reps with a drill. */
        Circumstances plain(String drill) {
            return Circumstances.plain(library.drill(drill).tellsFromOutside()).worth(needs.worth(drill));
        }
    }

    /** The gated steps of a plan, by fault. */
    public static Map<Fault, List<Step>> ladders(Plan plan) {
        return plan.route().stream()
                .filter(s -> s.gate().isPresent())
                .collect(Collectors.groupingBy(Step::fault, LinkedHashMap::new, Collectors.toList()));
    }

    /** Another student who stands where this one does, and learns nearly alike. */
    PlanWalk alike() {
        PlanWalk other = new PlanWalk(learner.alike(), ways);
        other.passed.putAll(passed);
        checks.forEach((fault, sets) -> other.checks.put(fault, new ArrayList<>(sets)));
        other.lastMain.putAll(lastMain);
        other.alike.putAll(alike);
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
        Set<Fault> worked = EnumSet.noneOf(Fault.class);
        for (int i = 0; i < day.blocks().size(); i++) {
            Block block = day.blocks().get(i);
            List<Step> ladder = ladders.get(block.fault());
            if (ladder == null) continue;
            boolean aboveIt = block.kind() == Kind.MAIN && !worked.add(block.fault()) || block.kind() == Kind.TRY;
            if (aboveIt) {
                learner.learn(
                        block.fault(),
                        block.rung(),
                        block.reps(),
                        Circumstances.plain(false).withStrikes(block.form()));
                if (record != null) record.add(asLaid(i, block));
                continue;
            }
            int at = workedOn(ladder, passed.get(block.fault()), day.place());
            if (at < 0) continue;
            Step step = ladder.get(at);
            Form form = ways.forms.get(step).get(day.place());
            int good = block.kind() == Kind.CHECK ? scored(block, step, form, day.date()) : learned(block, step, form);
            if (record != null) record.add(result(i, block, step, form, good));
        }
    }

    private int learned(Block block, Step step, Form form) {
        boolean asLaid = block.rung() == step.rung();
        boolean mixed = asLaid
                && block.condition()
                        .filter(c -> c.kind() == HalfStep.Kind.MIXED)
                        .isPresent();
        learner.learn(
                block.fault(),
                step.rung(),
                block.reps(),
                new Circumstances(
                        ways.external.get(step),
                        form,
                        asLaid && sameAgain(block),
                        mixed,
                        ways.needs.worth(step.drill())));
        return 0;
    }

    /** Whether a main block looks like those of the days before it. */
    private boolean sameAgain(Block block) {
        if (block.kind() != Kind.MAIN) return false;
        Block before = lastMain.put(block.fault(), block);
        int now = before != null && before.looksLike(block) ? alike.merge(block.fault(), 1, Integer::sum) : 1;
        alike.put(block.fault(), now);
        return now > Circumstances.ALIKE;
    }

    private int scored(Block block, Step step, Form form, LocalDate on) {
        int good = 0;
        Circumstances how = ways.plain(step.drill()).withStrikes(form);
        for (boolean rep : learner.practise(block.fault(), step.rung(), block.reps(), how)) if (rep) good++;
        score(new CheckSet(
                on, block.fault(), step.drill(), step.rung(), good, block.reps(), Optional.empty(), form, false));
        return good;
    }

    /** Ten scored balls at the start of a lesson, for the first gate of each fault that is open. */
    void inLesson(LocalDate on) {
        wakeUpOn(on);
        ladders.forEach((fault, ladder) -> {
            int at = passed.get(fault);
            if (at == ladder.size()) return;
            Step step = ladder.get(at);
            int good = 0;
            Circumstances how = ways.plain(step.drill());
            for (boolean rep : learner.practise(fault, step.rung(), CheckSet.REPS, how)) if (rep) good++;
            score(CheckSet.inLesson(on, fault, step.drill(), step.rung(), good));
        });
    }

    private static BlockResult result(int index, Block block, Step step, Form form, int good) {
        String marks = block.kind() == Kind.CHECK
                ? "+".repeat(good) + "-".repeat(block.reps() - good)
                : "o".repeat(block.reps());
        return new BlockResult(
                index,
                block.fault(),
                step.drill(),
                step.rung(),
                block.kind(),
                marks,
                form,
                block.condition().map(HalfStep::id).filter(c -> block.rung() == step.rung()));
    }

    private static BlockResult asLaid(int index, Block block) {
        return new BlockResult(
                index,
                block.fault(),
                block.drill(),
                block.rung(),
                block.kind(),
                "o".repeat(block.reps()),
                block.form(),
                block.condition().map(HalfStep::id));
    }

    /** The first step not passed, or the highest below it that can be worked there; −1 for none. */
    private int workedOn(List<Step> ladder, int passed, Place place) {
        for (int at = Math.min(passed, ladder.size() - 1); at >= 0; at--) {
            if (ways.forms.get(ladder.get(at)).containsKey(place)) return at;
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
