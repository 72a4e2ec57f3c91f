package app.hodegon.core.simulate;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.HalfStep;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.learning.Circumstances;
import app.hodegon.core.learning.Learner;
import app.hodegon.core.plan.AgeBand;
import app.hodegon.core.plan.Level;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.Step;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.Planner;
import app.hodegon.core.plan.Student;
import app.hodegon.core.plan.Week;
import app.hodegon.core.practice.CheckSet;
import app.hodegon.core.practice.PlanWalk;
import app.hodegon.core.practice.Standing;
import app.hodegon.core.swing.Handedness;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/**
 * Simulated students practise the same minutes in different ways; how many are through each rung by the next lesson? The
 * learner is an assumption (see {@link app.hodegon.core.learning.Skill}), so this compares ways of spending minutes
 * under it and proves nothing about people.
 */
public final class PlanStudy {

    /** How the minutes are spent. */
    public enum Way {
        PLAN("the planner's climb"),
        REAL_BALLS_ONLY("the same climb without lesser strikes and half-steps, no ball before its rung"),
        ALL_BALLS("balls wherever balls may be hit, nothing else"),
        SAME_DRILL("the first drill every day, never climbing"),
        NO_SPACING("all reps of a week on one day"),
        RANDOM_ORDER("the plan's days in random order");

        private final String label;

        Way(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * @param through share of students through the gate of feel, rehearse, short and so on
     * @param gates mean number of gates passed
     */
    public record Result(Way way, Map<Rung, Double> through, double gates) {}

    private static final LocalDate FROM = LocalDate.of(2026, 12, 1);
    private static final double DAYS_KEPT = 0.85;
    private static final double PAIN = 0.004;
    private static final List<Rung> GATES =
            Arrays.stream(Rung.values()).filter(Rung::gated).toList();

    private final int students;
    private final int days;
    private final long seed;
    private final Planner planner = new Planner(DrillLibrary.standard());

    /**
     * @param students how many are drawn
     * @param days until the next lesson
     */
    public PlanStudy(int students, int days, long seed) {
        this.students = students;
        this.days = days;
        this.seed = seed;
    }

    /** Every way with the same students, weeks and luck. */
    public List<Result> run() {
        return Arrays.stream(Way.values()).map(this::run).toList();
    }

    private Result run(Way way) {
        List<Set<Rung>> passed = IntStream.range(0, students)
                .parallel()
                .mapToObj(i -> passed(way, new Random(new SplittableRandom(seed + i).nextLong())))
                .toList();
        Map<Rung, Double> through = new EnumMap<>(Rung.class);
        for (Rung gate : GATES) {
            through.put(
                    gate, (double) passed.stream().filter(p -> p.contains(gate)).count() / students);
        }
        return new Result(
                way, through, passed.stream().mapToInt(Set::size).average().orElse(0));
    }

    /** The rungs whose gates one student passes; each counts by itself, also where others were skipped. */
    private Set<Rung> passed(Way way, Random random) {
        PlanRequest request = request(random, days);
        Level level = request.student().level();
        Plan plan = planner.plan(request);
        List<Day> laid = spent(way, plan, random);
        return new Practice(request, plan, Learner.draw(level.repsToLearn(), random), random, way).through(laid);
    }

    /** A student with one fault, a level and a week at random. */
    static PlanRequest request(Random random, int days) {
        Map<DayOfWeek, Week.Slot> week = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            boolean range = day == DayOfWeek.SATURDAY || (day == DayOfWeek.WEDNESDAY && random.nextBoolean());
            if (range) week.put(day, new Week.Slot(40 + random.nextInt(30), Place.RANGE));
            else if (random.nextInt(3) > 0) week.put(day, new Week.Slot(10 + random.nextInt(20), Place.HOME));
        }
        Fault[] faults = {Fault.SWAY, Fault.HANGING_BACK, Fault.EARLY_EXTENSION, Fault.LATE_RECENTRE, Fault.EARLY_SPIN};
        Student student = new Student(
                Handedness.RIGHT,
                Level.values()[random.nextInt(Level.values().length)],
                AgeBand.ADULT,
                Set.of(),
                Set.of(Equipment.BALL, Equipment.DISC, Equipment.ROD, Equipment.STICK),
                new Week(week),
                Shoes.SOFT,
                List.of());
        return new PlanRequest(
                student,
                Approach.DEFAULT,
                List.of(new PlanRequest.Focus(faults[random.nextInt(faults.length)], Grade.LIKELY)),
                Set.of(),
                FROM,
                FROM.plusDays(days));
    }

    /** The same minutes, spent this way. */
    private static List<Day> spent(Way way, Plan plan, Random random) {
        return switch (way) {
            case PLAN, REAL_BALLS_ONLY, ALL_BALLS, SAME_DRILL -> plan.days();
            case NO_SPACING -> massed(plan.days());
            case RANDOM_ORDER -> shuffled(plan.days(), random);
        };
    }

    /** A week's blocks one after the other on its last day. */
    private static List<Day> massed(List<Day> days) {
        List<Day> massed = new ArrayList<>();
        for (int i = 0; i < days.size(); i++) {
            LocalDate week = FROM.plusWeeks(
                    java.time.temporal.ChronoUnit.DAYS.between(FROM, days.get(i).date()) / 7);
            List<Block> blocks = new ArrayList<>();
            Day last = days.get(i);
            while (i < days.size() && days.get(i).date().isBefore(week.plusWeeks(1))) {
                last = days.get(i++);
                blocks.addAll(last.blocks());
            }
            i--;
            massed.add(new Day(last.date(), last.place(), 0, blocks));
        }
        return massed;
    }

    private static List<Day> shuffled(List<Day> days, Random random) {
        List<Day> order = new ArrayList<>(days);
        Collections.shuffle(order, random);
        List<Day> shuffled = new ArrayList<>();
        for (int i = 0; i < days.size(); i++) {
            Day then = order.get(i);
            shuffled.add(new Day(days.get(i).date(), then.place(), then.seconds(), then.blocks()));
        }
        return shuffled;
    }

    /** One student's way through the days. */
    private static final class Practice {
        private final List<Step> ladder;
        private final PlanWalk.Ways ways;
        private final Learner learner;
        private final Random random;
        private final Way way;
        private final Map<Rung, List<CheckSet>> checks = new EnumMap<>(Rung.class);
        private final Set<Rung> passed = EnumSet.noneOf(Rung.class);
        private boolean hurts;
        private List<Object> lastWork = List.of();
        private int alike;

        Practice(PlanRequest request, Plan plan, Learner learner, Random random, Way way) {
            this.ladder =
                    plan.route().stream().filter(s -> s.gate().isPresent()).toList();
            this.ways = new PlanWalk.Ways(plan, request.student(), DrillLibrary.standard());
            this.learner = learner;
            this.random = random;
            this.way = way;
        }

        Set<Rung> through(List<Day> days) {
            LocalDate yesterday = null;
            for (Day day : days) {
                if (yesterday != null) {
                    for (LocalDate d = yesterday; d.isBefore(day.date()); d = d.plusDays(1)) learner.wakeUp();
                }
                yesterday = day.date();
                if (!hurts && random.nextDouble() < DAYS_KEPT) day(day);
            }
            return passed;
        }

        private void day(Day day) {
            boolean firstMain = true;
            for (Block block : day.blocks()) {
                boolean aboveIt = block.kind() == Kind.MAIN && !firstMain || block.kind() == Kind.TRY;
                if (block.kind() == Kind.MAIN) firstMain = false;
                if (aboveIt && way == Way.PLAN) {
                    learner.learn(block.fault(), block.rung(), block.reps(), how(block.form(), false, false, false));
                    continue;
                }
                Optional<Step> worked = step(block, day.place());
                if (worked.isEmpty()) continue;
                Step step = worked.get();
                Form form = form(step, day.place());
                hurts |= random.nextDouble() < PAIN;
                boolean asLaid = way == Way.PLAN && block.rung() == step.rung();
                boolean mixed = asLaid
                        && block.condition()
                                .filter(c -> c.kind() == HalfStep.Kind.MIXED)
                                .isPresent();
                boolean again = block.kind() == Kind.MAIN && sameAgain(block, step, form, asLaid);
                boolean[] reps = learner.practise(
                        block.fault(), step.rung(), reps(block, step), how(form, ways.external(step), again, mixed));
                if (block.kind() == Kind.CHECK) check(step, form, day.date(), reps);
            }
        }

        private static Circumstances how(Form form, boolean external, boolean again, boolean mixed) {
            return new Circumstances(external, form, again, mixed);
        }

        private Form form(Step step, Place place) {
            return lesserStrikes()
                    ? ways.form(step, place).orElseGet(() -> Form.usual(step.rung()))
                    : Form.usual(step.rung());
        }

        private boolean lesserStrikes() {
            return way == Way.PLAN || way == Way.NO_SPACING || way == Way.RANDOM_ORDER;
        }

        /** A student who stays on a rung longer than planned gets its half-steps in turn, where there are any. */
        private boolean sameAgain(Block block, Step step, Form form, boolean asLaid) {
            if (way == Way.PLAN && !asLaid) return false;
            Object condition = way == Way.PLAN ? block.condition().map(HalfStep::id) : "";
            List<Object> work = List.of(step, form, condition);
            alike = work.equals(lastWork) ? alike + 1 : 1;
            lastWork = work;
            return alike > Circumstances.ALIKE;
        }

        /** With the planner's climb a student goes on when a gate is passed and stays while it is not. */
        private Optional<Step> step(Block block, Place place) {
            if (ladder.isEmpty()) return Optional.empty();
            return switch (way) {
                case PLAN, REAL_BALLS_ONLY, NO_SPACING -> onTheClimb(place);
                case RANDOM_ORDER ->
                    ladder.stream().filter(s -> s.rung() == block.rung()).findFirst();
                case SAME_DRILL -> Optional.of(ladder.get(0));
                case ALL_BALLS ->
                    place.ballsAllowed()
                            ? ladder.stream().filter(s -> s.rung().withBall()).findFirst()
                            : Optional.empty();
            };
        }

        private Optional<Step> onTheClimb(Place place) {
            int open = 0;
            while (open < ladder.size() - 1 && passed.contains(ladder.get(open).rung())) open++;
            for (int i = open; i >= 0; i--) {
                Step step = ladder.get(i);
                boolean possible = lesserStrikes()
                        ? ways.form(step, place).isPresent()
                        : !step.rung().withBall() || place.ballsAllowed();
                if (possible) return Optional.of(step);
            }
            return Optional.empty();
        }

        /** A rep with a ball takes longer: the minutes are the same. */
        private static int reps(Block block, Step step) {
            if (step.rung().withBall() == block.rung().withBall()) return block.reps();
            return step.rung().withBall() ? Math.max(5, block.reps() / 3) : block.reps();
        }

        private void check(Step step, Form form, LocalDate on, boolean[] reps) {
            int good = 0;
            for (boolean rep : reps) if (rep) good++;
            List<CheckSet> sets = checks.computeIfAbsent(step.rung(), r -> new ArrayList<>());
            sets.add(new CheckSet(
                    on, step.fault(), step.drill(), step.rung(), good, reps.length, Optional.empty(), form, false));
            if (Standing.of(step.gate().orElseThrow(), sets) == Standing.PASSED) passed.add(step.rung());
        }
    }
}
