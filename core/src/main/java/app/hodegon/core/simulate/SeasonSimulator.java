package app.hodegon.core.simulate;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Catalogue;
import app.hodegon.core.diagnosis.Diagnosis;
import app.hodegon.core.diagnosis.Diagnostician;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.HalfStep;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.learning.Circumstances;
import app.hodegon.core.learning.Learner;
import app.hodegon.core.plan.Gates;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.Planner;
import app.hodegon.core.plan.Student;
import app.hodegon.core.practice.Aside;
import app.hodegon.core.practice.BlockResult;
import app.hodegon.core.practice.CheckSet;
import app.hodegon.core.practice.Feel;
import app.hodegon.core.practice.Ladder;
import app.hodegon.core.practice.Pain;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.core.practice.Told;
import app.hodegon.core.swing.Tally;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;

/**
 * Lives a student's season: each lesson is seen with noise, diagnosed and planned by the real engine and planner,
 * practised by a {@link Learner}, and the true faults fade as far as the movement was learned. Always ends today.
 */
public final class SeasonSimulator {

    /** Draws a cast whose stories differ clearly. */
    public static final long DEMO_SEED = 40;

    private static final int DAYS_BETWEEN = 14;
    private static final int BALLS = 10;
    private static final int ROUND_AFTER = 9;
    private static final int FELT_AFTER = 5;

    /** Within a lesson the coach's help makes a fault show less; most of that is gone by the next. */
    private static final double WITH_HELP = 0.55;

    /** The share of a fault that full skill takes away. */
    private static final double CURED_BY_SKILL = 0.95;

    private static final Map<Rung, Double> CARRY_TO_THE_GAME =
            Map.of(Rung.FEEL, 0.15, Rung.REHEARSE, 0.25, Rung.SHORT, 0.25, Rung.BUILD, 0.2, Rung.FULL, 0.15);

    private final Random random;
    private final Persona persona;
    private final Learner learner;
    private final Bay bay;
    private final Teller teller;
    private final Diagnostician diagnostician;
    private final Planner planner = new Planner(DrillLibrary.standard());
    private final List<CheckSet> checks = new ArrayList<>();

    private SeasonSimulator(Persona persona, long seed) {
        this.random = new Random(seed * 31 + persona.name().hashCode());
        this.persona = persona;
        this.learner = Learner.draw(persona.profile().level().repsToLearn(), random);
        this.bay = new Bay(random, persona.reads());
        Random words = new Random(seed * 37 + persona.name().hashCode());
        this.teller = new Teller(words, new Bay(words, persona.reads()));
        this.diagnostician =
                new Diagnostician(Approach.DEFAULT.school(), persona.profile().hand());
    }

    /** The same persona, day and seed always give the same season. */
    public static Season live(Persona persona, LocalDate today, long seed) {
        return new SeasonSimulator(persona, seed).season(today);
    }

    private Season season(LocalDate today) {
        LocalDate on = today.minusDays(persona.daysSinceLesson() + (long) DAYS_BETWEEN * (persona.lessons() - 1));
        List<Season.Lesson> lessons = new ArrayList<>();
        List<Fault> focus = List.of();
        for (int i = 0; i < persona.lessons(); i++) {
            Season.Lesson lesson = lesson(on, today, focus, i == persona.lessons() - 1);
            lessons.add(lesson);
            focus = lesson.focus();
            on = on.plusDays(DAYS_BETWEEN);
        }
        return new Season(persona, List.copyOf(lessons));
    }

    private Season.Lesson lesson(LocalDate on, LocalDate today, List<Fault> lastFocus, boolean last) {
        LocalDate next = on.plusDays(DAYS_BETWEEN);
        Observations before = bay.before(showing(1), BALLS);
        Diagnosis diagnosis = diagnostician.diagnose(before);
        List<Fault> focus = focus(diagnosis, lastFocus);
        Student student = withHistory();
        Plan plan = planner.plan(new PlanRequest(
                student,
                Approach.DEFAULT,
                focus.stream()
                        .map(f -> new PlanRequest.Focus(f, diagnosis.of(f).grade()))
                        .toList(),
                Set.copyOf(diagnosis.likely()),
                on.plusDays(1),
                next));
        Observations after = bay.after(showing(WITH_HELP), BALLS);
        List<PracticeSession> practice = practise(plan, today, last);
        Optional<Drill> first = plan.route().stream()
                .filter(step -> step.gate().isPresent())
                .findFirst()
                .map(step -> DrillLibrary.standard().drill(step.drill()));
        double learned = focus.stream().mapToDouble(this::climbed).max().orElse(0);
        return new Season.Lesson(
                on,
                next,
                Approach.DEFAULT,
                before,
                after,
                diagnosis,
                focus,
                plan,
                practice,
                first.map(drill -> teller.tried(drill, showing(WITH_HELP))).stream()
                        .toList(),
                teller.round(persona.name(), on.plusDays(ROUND_AFTER), learned, persona.keepsDays()).stream()
                        .filter(round -> round.day().isBefore(today))
                        .toList(),
                teller.felt(persona.name(), on.plusDays(FELT_AFTER), before).stream()
                        .filter(check -> check.day().isBefore(today))
                        .toList());
    }

    /** What the engine proposes; while it proposes nothing, the coach stays with what was begun. */
    private List<Fault> focus(Diagnosis diagnosis, List<Fault> lastFocus) {
        if (!diagnosis.focus().isEmpty()) return diagnosis.focus();
        if (!lastFocus.isEmpty()) return lastFocus;
        return List.of(diagnosis.faults().get(0).fault());
    }

    /** How strongly each true fault shows now. */
    private Map<Fault, Double> showing(double help) {
        Map<Fault, Double> showing = new EnumMap<>(Fault.class);
        persona.faults().forEach((fault, strength) -> {
            double learned = fault.ofTheBody() ? 0 : learned(fault);
            showing.put(fault, strength * (1 - CURED_BY_SKILL * learned) * (fault.ofTheBody() ? 1 : help));
        });
        return showing;
    }

    /** How far the movement that replaces this fault, or what brings it, is learned: 0 to 1. */
    private double learned(Fault fault) {
        return persona.faults().keySet().stream()
                .filter(worked -> !worked.ofTheBody())
                .filter(worked -> worked == fault || Catalogue.standard().leadsTo(worked, fault))
                .mapToDouble(this::climbed)
                .max()
                .orElse(0);
    }

    /** Learning on the rungs near the game counts for more in the game. */
    private double climbed(Fault fault) {
        return CARRY_TO_THE_GAME.entrySet().stream()
                .mapToDouble(e -> e.getValue() * learner.learned(fault, e.getKey()))
                .sum();
    }

    private Student withHistory() {
        return persona.profile().after(Ladder.of(checks, Gates.STANDARD).done());
    }

    private List<PracticeSession> practise(Plan plan, LocalDate today, boolean last) {
        List<PracticeSession> sessions = new ArrayList<>();
        Set<String> stopped = new HashSet<>();
        for (Day day : plan.days()) {
            boolean kept = random.nextDouble() < persona.keepsDays();
            learner.wakeUp();
            if (!kept || !day.date().isBefore(today)) continue;
            boolean hurts = last && persona.getsSore() && stopped.isEmpty() && sessions.size() == 1;
            PracticeSession session = session(day, hurts, stopped, firstTen(day, sessions));
            if (session.blocks().isEmpty()) continue;
            // What hurt is left alone until the coach has looked, which the running plan has not seen yet.
            session.pain().ifPresent(p -> stopped.add(p.drill()));
            checks.addAll(session.checks());
            sessions.add(session);
        }
        return List.copyOf(sessions);
    }

    /** The first ten after a gap, scored before anything else; nothing is learned by them. */
    private Optional<BlockResult> firstTen(Day day, List<PracticeSession> before) {
        if (before.isEmpty()) return Optional.empty();
        LocalDate last = before.get(before.size() - 1).day();
        if (ChronoUnit.DAYS.between(last, day.date()) < Aside.GAP_DAYS) return Optional.empty();
        return day.blocks().stream()
                .filter(b -> b.kind() == Plan.Kind.MAIN)
                .findFirst()
                .map(main -> new BlockResult(
                        day.blocks().size(),
                        main.fault(),
                        main.drill(),
                        main.rung(),
                        Plan.Kind.CHECK,
                        teller.scored(learner.chanceOfGood(main.fault(), main.rung())),
                        main.form(),
                        Optional.empty(),
                        Told.NOTHING,
                        Optional.of(Aside.FIRST_TEN)));
    }

    private PracticeSession session(Day day, boolean hurts, Set<String> stopped, Optional<BlockResult> firstTen) {
        List<BlockResult> results = new ArrayList<>();
        for (int i = 0; i < day.blocks().size(); i++) {
            Block block = day.blocks().get(i);
            if (stopped.contains(block.drill())) continue;
            String marks = marks(block);
            results.add(new BlockResult(
                    i,
                    block.fault(),
                    block.drill(),
                    block.rung(),
                    block.kind(),
                    marks,
                    block.form(),
                    block.condition().map(HalfStep::id),
                    teller.told(block, DrillLibrary.standard().drill(block.drill()), marks, showing(1)),
                    Optional.empty()));
        }
        if (!results.isEmpty()) firstTen.ifPresent(results::add);
        // How it felt is told by what was planned; the first ten come on top.
        List<BlockResult> planned =
                results.stream().filter(r -> r.aside().isEmpty()).toList();
        int reps = planned.stream().mapToInt(BlockResult::reps).sum();
        int good = planned.stream().mapToInt(BlockResult::good).sum();
        double share = reps == 0 ? 0 : (double) good / reps;
        Optional<Pain> pain = hurts
                ? Optional.of(new Pain(
                        Joint.BACK, 4, day.blocks().get(day.blocks().size() - 1).drill()))
                : Optional.empty();
        return new PracticeSession(
                UUID.nameUUIDFromBytes((persona.name() + day.date()).getBytes(StandardCharsets.UTF_8)),
                day.date(),
                results,
                Optional.of(new Feel(Math.max(1, Math.min(5, (int) Math.round(share * 5.4))))),
                pain,
                Tally.EMPTY,
                hurts ? "Lower back pulled a bit in the last sets, so I stopped there." : "",
                true);
    }

    private String marks(Block block) {
        StringBuilder marks = new StringBuilder();
        for (boolean good : learner.practise(block.fault(), block.rung(), block.reps(), how(block)))
            marks.append(good ? '+' : '-');
        return marks.toString();
    }

    private static Circumstances how(Block block) {
        return Circumstances.plain(DrillLibrary.standard().drill(block.drill()).tellsFromOutside())
                .withStrikes(block.form());
    }
}
