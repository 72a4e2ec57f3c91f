package app.hodegon.core.simulate;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Catalogue;
import app.hodegon.core.diagnosis.Diagnosis;
import app.hodegon.core.diagnosis.Diagnostician;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Look;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.diagnosis.PastLesson;
import app.hodegon.core.diagnosis.Sign;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.learning.RepsNeeded;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Gates;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.Plan.Block;
import app.hodegon.core.plan.Plan.Day;
import app.hodegon.core.plan.Plan.Kind;
import app.hodegon.core.plan.Plan.Step;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.Planner;
import app.hodegon.core.plan.Refit;
import app.hodegon.core.plan.Student;
import app.hodegon.core.practice.Attention;
import app.hodegon.core.practice.BlockResult;
import app.hodegon.core.practice.CheckSet;
import app.hodegon.core.practice.DrillRecord;
import app.hodegon.core.practice.Forecast;
import app.hodegon.core.practice.HouseReps;
import app.hodegon.core.practice.Ladder;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.core.practice.RunningPlan;
import app.hodegon.core.practice.Standing;
import app.hodegon.core.progress.Changes;
import app.hodegon.core.progress.Concern;
import app.hodegon.core.progress.Evidence;
import app.hodegon.core.progress.NextPlan;
import app.hodegon.core.progress.Proposal;
import app.hodegon.core.simulate.LoopStudy.Counted;
import app.hodegon.core.simulate.LoopStudy.Share;
import app.hodegon.core.simulate.StrangeLearner.Family;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Source;
import app.hodegon.core.swing.Tally;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;

/** One such student's lessons and what lies between them, lived with the real engine; what follows from what is counted. */
final class StrangeSeason {

    private static final int LESSONS = 4;
    private static final int DAYS = 14;

    /** Looks of a lesson; more, up to twice as many, while nothing is likely. */
    private static final int LOOKS = 8;

    private static final int BALLS = 10;
    private static final LocalDate BEGIN = LocalDate.of(2026, 3, 2);

    /** From so strong on a fault is one that a coach should find. */
    private static final double THERE = 0.5;

    /** By so much a fault must have fallen from lesson to lesson for whoever has it to have improved. */
    private static final double STEP = 0.15;

    /** Proposals that doubt what is worked on. */
    private static final Set<Proposal.Kind> LOOKED_AGAIN =
            EnumSet.of(Proposal.Kind.LOOK_AGAIN, Proposal.Kind.LOOK_FURTHER, Proposal.Kind.TODAY);

    private static final int THIRD = 2;

    private static final Set<Attention.Kind> STANDS_STILL = EnumSet.of(Attention.Kind.STUCK, Attention.Kind.LOST);

    /** Who learned so much of a rung does not stand still on it. */
    private static final double LEARNED = 1.0 / 3;

    /** A fault that fell to this share of what it was has improved. */
    private static final double IMPROVED = 0.75;

    private final DrillLibrary library = DrillLibrary.standard();
    private final Planner planner = new Planner(library);
    private final Diagnostician diagnostician = new Diagnostician(Approach.DEFAULT.school(), Handedness.RIGHT);
    private final boolean remembers;
    private final OtherEyes eyes;
    private final Random random;
    private final Student profile;
    private final StrangeLearner learner;
    private final Map<Fault, Double> faults = new EnumMap<>(Fault.class);
    private final double keeps;
    private final double callsGood;
    private final Map<Counted, Share> counts = new EnumMap<>(Counted.class);
    private final List<Proposal.Kind> proposals = new ArrayList<>();
    private final List<Reliability.Case> cases = new ArrayList<>();
    private final List<Reliability.Case> notKnowing = new ArrayList<>();
    private final List<PastLesson> history = new ArrayList<>();
    private final List<PracticeSession> sessions = new ArrayList<>();
    private final List<LocalDate> planned = new ArrayList<>();
    private List<CheckSet> checks = new ArrayList<>();

    private Observations before;
    private final Set<Fault> ever = EnumSet.noneOf(Fault.class);
    private List<Fault> worked = List.of();
    private Map<StepId, LocalDate> likelyOn = Map.of();
    private LocalDate begun = BEGIN;
    private double shareDone;
    private Optional<Proposal.Kind> done = Optional.empty();
    private boolean lookedAgain;
    private boolean practised = true;
    private Map<Fault, Double> last = Map.of();

    /** @param remembers whether a lesson knows of the ones before it */
    StrangeSeason(OtherEyes eyes, boolean remembers, HouseReps house, double times, Random random) {
        this.remembers = remembers;
        this.eyes = eyes;
        this.random = random;
        Student any = PlanStudy.request(random, DAYS).student();
        this.profile = any.needing(house.at(any.level()));
        Family[] families = Family.values();
        this.learner = new StrangeLearner(
                families[random.nextInt(families.length)],
                times * profile.level().repsToLearn(),
                random);
        this.keeps = random.nextInt(3) == 0 ? 0.5 : 0.9;
        this.callsGood = random.nextInt(4) == 0 ? 1.0 / 3 : 0;
        NetworkStudent drawn = NetworkStudent.draw(random);
        while (drawn.mostUpstream().isEmpty()) drawn = NetworkStudent.draw(random);
        drawn.faults().forEach(f -> faults.put(f, 1.0));
    }

    private void count(Counted what, boolean hit) {
        counts.merge(what, new Share(hit ? 1 : 0, 1), Share::and);
    }

    Map<Counted, Share> counts() {
        return counts;
    }

    List<Proposal.Kind> proposals() {
        return proposals;
    }

    /** All that was practised. */
    DrillRecord.Practised practised() {
        return new DrillRecord.Practised(profile.level(), List.copyOf(sessions));
    }

    /** Chances at hand-over, and whether the gates were passed by the next lesson. */
    List<Reliability.Case> cases() {
        return cases;
    }

    /** The same, had nothing been learnt of others. */
    List<Reliability.Case> notKnowing() {
        return notKnowing;
    }

    void live() {
        Map<Fault, Double> first = showing();
        for (int lesson = 0; lesson < LESSONS; lesson++) {
            LocalDate on = BEGIN.plusDays((long) lesson * DAYS);
            Map<Fault, Double> showing = showing();
            Observations seen = look(showing, on);
            Diagnosis diagnosis = diagnose(seen, on);
            List<Fault> focus = diagnosis.focus();
            PlanRequest request = null;
            if (lesson > 0 && !worked.isEmpty()) {
                boolean improved =
                        worked.stream().anyMatch(f -> last.containsKey(f) && last.get(f) - showing.get(f) >= STEP);
                Proposal.Kind kind = propose(seen, diagnosis, on);
                ever.addAll(worked);
                practised &= shareDone >= 0.5;
                lookedAgain |= LOOKED_AGAIN.contains(kind);
                if (lesson == THIRD && practised) onTheList(first, showing, on);
                judge(kind, diagnosis, improved);
                if (NextPlan.follows(kind)) {
                    focus = NextPlan.focus(kind, worked, diagnosis, allPassed());
                    request = NextPlan.fit(kind, request(focus, diagnosis, on), library, Optional.of(shareDone));
                } else {
                    diagnosis = diagnose(looking(seen, showing, on), on);
                    focus = diagnosis.focus();
                }
                done = Optional.of(kind);
            }
            if (focus.isEmpty()) focus = List.of(diagnosis.faults().get(0).fault());
            roots(showing, focus, lesson);
            if (request == null) request = request(focus, diagnosis, on);
            practise(request, on.plusDays(DAYS));
            history.add(new PastLesson(on, seen, Set.copyOf(focus), Math.min(1, shareDone)));
            before = seen;
            last = showing;
            worked = focus;
        }
    }

    private void onTheList(Map<Fault, Double> first, Map<Fault, Double> showing, LocalDate on) {
        if (!improved(first, showing)) count(Counted.LOOKED_AGAIN, lookedAgain);
        List<Attention> list = Attention.of(new Attention.Situation(
                        List.of(),
                        Optional.empty(),
                        likelyOn,
                        sessions,
                        Map.of(),
                        Set.of(),
                        Gates.STANDARD,
                        Optional.empty(),
                        library,
                        List.of(),
                        Optional.empty(),
                        Optional.empty()))
                .stream()
                .filter(a -> !a.from().isAfter(on))
                .toList();
        if (learner.family() == Family.NEVER) {
            count(Counted.STANDS_STILL_LISTED, list.stream().anyMatch(a -> STANDS_STILL.contains(a.kind())));
        }
        list.stream()
                .filter(a -> a.kind() == Attention.Kind.STUCK)
                .flatMap(a -> a.subject().step().stream())
                .forEach(step -> count(
                        Counted.STUCK_THOUGH_LEARNING,
                        learned(step) - learnedBefore.getOrDefault(step, 0.0) >= LEARNED));
    }

    private double learned(StepId step) {
        return learner.learned(step.fault(), step.rung());
    }

    private void roots(Map<Fault, Double> showing, List<Fault> focus, int lesson) {
        List<Fault> there = showing.keySet().stream()
                .filter(f -> showing.get(f) >= THERE && !f.ofTheBody())
                .toList();
        if (there.isEmpty()) return;
        Fault chosen = focus.get(0);
        boolean root = showing.getOrDefault(chosen, 0.0) >= THERE
                && there.stream()
                        .noneMatch(f -> f != chosen && Catalogue.standard().leadsTo(f, chosen));
        count(LoopStudy.ROOTS.get(lesson), root);
    }

    /** How strongly each true fault shows: what is learned of it, or of what brings it, takes it away. */
    private Map<Fault, Double> showing() {
        Map<Fault, Double> showing = new EnumMap<>(Fault.class);
        faults.forEach((fault, strength) -> {
            double learned = fault.ofTheBody()
                    ? 0
                    : faults.keySet().stream()
                            .filter(w -> w == fault || Catalogue.standard().leadsTo(w, fault))
                            .mapToDouble(this::climbed)
                            .max()
                            .orElse(0);
            showing.put(fault, strength * (1 - 0.95 * learned));
        });
        return showing;
    }

    private double climbed(Fault fault) {
        return (learner.learned(fault, Rung.FEEL)
                        + learner.learned(fault, Rung.REHEARSE)
                        + learner.learned(fault, Rung.SHORT))
                / 3;
    }

    private boolean improved(Map<Fault, Double> first, Map<Fault, Double> now) {
        return ever.stream().filter(first::containsKey).anyMatch(f -> now.get(f) <= IMPROVED * first.get(f));
    }

    private Observations look(Map<Fault, Double> showing, LocalDate on) {
        Bay bay = new Bay(random, Source.SEEN);
        Tally balls = bay.few(showing, BALLS).shots();
        return looking(new Observations(Map.of(), bay.film(showing), balls), showing, on);
    }

    private Observations looking(Observations seen, Map<Fault, Double> showing, LocalDate on) {
        Observations now = seen;
        for (int i = 0; i < 2 * LOOKS; i++) {
            Diagnosis diagnosis = diagnose(now, on);
            if (i >= LOOKS && !diagnosis.focus().isEmpty()) return now;
            Optional<Sign> next = diagnosis.nextLooks().stream()
                    .map(Diagnosis.NextLook::look)
                    .flatMap(l -> l instanceof Look.AtSign at
                            ? Optional.of(at.sign()).stream()
                            : Optional.<Sign>empty().stream())
                    .findFirst();
            if (next.isEmpty()) return now;
            Map<Sign, Boolean> signs = new EnumMap<>(Sign.class);
            signs.putAll(now.signs());
            signs.put(next.get(), eyes.sees(next.get(), showing, random));
            now = new Observations(signs, now.readings(), now.shots());
        }
        return now;
    }

    private Diagnosis diagnose(Observations seen, LocalDate on) {
        return diagnostician.diagnose(seen, remembers ? history : List.of(), on);
    }

    private Ladder ladder() {
        return Ladder.of(checks, Gates.STANDARD);
    }

    private boolean passed(StepId step) {
        return ladder().on(step).filter(s -> s.standing() == Standing.PASSED).isPresent();
    }

    private boolean allPassed() {
        return !promised.isEmpty() && promised.stream().allMatch(this::passed);
    }

    private List<StepId> promised = List.of();
    private final Map<StepId, Double> learnedBefore = new HashMap<>();

    private Proposal.Kind propose(Observations seen, Diagnosis diagnosis, LocalDate on) {
        Changes kept = new Changes(
                new Changes.Moment(before, List.of()),
                new Changes.Moment(seen, List.of()),
                Approach.DEFAULT.school(),
                Concern.of(worked),
                Repeatability.ASSUMED);
        List<StepId> due = promised.stream()
                .filter(s ->
                        passed(s) || likelyOn.containsKey(s) && !likelyOn.get(s).isAfter(on))
                .toList();
        Evidence evidence = new Evidence(
                Evidence.told(kept, List.of(), c -> c.subject().toString()),
                Evidence.fresh(kept).stream().map(b -> b.label()).toList(),
                new Evidence.Work(
                        Optional.of(shareDone),
                        due.size(),
                        (int) due.stream().filter(this::passed).count(),
                        allPassed(),
                        promised.stream()
                                .filter(this::passed)
                                .allMatch(
                                        s -> ladder().on(s).orElseThrow().all().size() <= 2),
                        promised.stream()
                                .filter(s -> !passed(s))
                                .flatMap(s -> ladder().on(s).stream())
                                .map(r -> r.rising(begun))
                                .filter(r -> !r.isEmpty())
                                .findFirst()
                                .orElse(List.of()),
                        done,
                        () -> Refit.couldTellOtherwise(request(worked, diagnosis, on), library)),
                Evidence.Today.of(worked, diagnosis, seen.shots()),
                List.of(),
                List.of());
        return Proposal.of(evidence).kind();
    }

    private void judge(Proposal.Kind kind, Diagnosis diagnosis, boolean improved) {
        proposals.add(kind);
        boolean another = kind == Proposal.Kind.OTHER_FEEDBACK || kind == Proposal.Kind.EASIER_FORM;
        boolean before = done.filter(k -> k == Proposal.Kind.OTHER_FEEDBACK || k == Proposal.Kind.EASIER_FORM)
                .isPresent();
        count(Counted.ANOTHER_TWICE, another && before);
        if (kind == Proposal.Kind.ADVANCE) {
            count(
                    Counted.ADVANCED_TO_THE_SAME,
                    NextPlan.focus(kind, worked, diagnosis, allPassed()).equals(worked));
        }
        if (!NextPlan.instead(worked, diagnosis).isEmpty())
            count(Counted.CONFLICT_FOLLOWED, kind == Proposal.Kind.TODAY);
        if (improved) count(Counted.IMPROVER_BLAMED, another || kind == Proposal.Kind.LOOK_AGAIN);
    }

    private PlanRequest request(List<Fault> focus, Diagnosis diagnosis, LocalDate on) {
        PlanRequest bare = new PlanRequest(
                profile.after(ladder().done()),
                Approach.DEFAULT,
                focus.stream()
                        .map(f -> new PlanRequest.Focus(f, diagnosis.of(f).grade()))
                        .toList(),
                Set.copyOf(diagnosis.likely()),
                on.plusDays(1),
                on.plusDays(DAYS));
        return bare.after(new PlanRequest.SoFar(ladder().worked(Gates.STANDARD), Optional.empty()));
    }

    private void practise(PlanRequest request, LocalDate nextLesson) {
        Plan plan = planner.plan(request);
        count(Counted.EMPTY_PLAN, plan.days().isEmpty());
        Map<Step, Forecast.Outlook> outlooks = outlooks(plan, request, request.student());
        Map<Step, Forecast.Outlook> assumed = outlooks(
                plan,
                request,
                profile.needing(RepsNeeded.assumed(profile.level().repsToLearn())));
        begun = request.from();
        ladder().rungs().keySet().forEach(step -> learnedBefore.put(step, learned(step)));
        promised = new ArrayList<>();
        likelyOn = new HashMap<>();
        outlooks.forEach((step, outlook) -> {
            StepId id = new StepId(step.fault(), step.rung());
            promised.add(id);
            outlook.likelyOn().ifPresent(day -> likelyOn.put(id, day));
        });
        RunningPlan running = new RunningPlan(request, plan.days(), checks, library);
        int asked = 0;
        int reps = 0;
        LocalDate date = request.from();
        LocalDate night = date;
        while (date.isBefore(nextLesson)) {
            Optional<Day> next = running.next(date);
            if (next.isEmpty() || !next.get().date().isBefore(nextLesson)) break;
            Day day = next.get();
            for (; night.isBefore(day.date()) || night.equals(day.date()); night = night.plusDays(1)) learner.wakeUp();
            planned.add(day.date());
            int ofTheDay = day.blocks().stream().mapToInt(Block::reps).sum();
            asked += ofTheDay;
            if (random.nextDouble() < keeps) {
                count(Counted.ABOVE_AN_OPEN_GATE, running.ladder().isAboveAnOpenGate(day));
                PracticeSession session = session(day);
                running.practised(session, List.of());
                sessions.add(session);
                reps += ofTheDay;
            }
            date = day.date().plusDays(1);
        }
        checks = running.checks();
        shareDone = asked == 0 ? 0 : (double) reps / asked;
        outlooks.forEach((step, outlook) -> cases.add(happened(step, outlook)));
        assumed.forEach((step, outlook) -> notKnowing.add(happened(step, outlook)));
    }

    private Map<Step, Forecast.Outlook> outlooks(Plan plan, PlanRequest request, Student student) {
        return Forecast.of(
                plan,
                student,
                library,
                new Forecast.History(sessions, ladder(), request.from(), planned),
                Optional.empty());
    }

    private Reliability.Case happened(Step step, Forecast.Outlook outlook) {
        return new Reliability.Case(outlook.chance(), passed(new StepId(step.fault(), step.rung())));
    }

    private PracticeSession session(Day day) {
        List<BlockResult> results = new ArrayList<>();
        for (int i = 0; i < day.blocks().size(); i++) {
            Block block = day.blocks().get(i);
            String marks = "o".repeat(block.reps());
            if (block.kind() == Kind.CHECK) {
                int good = learner.good(block.fault(), block.rung(), block.reps());
                for (int bad = block.reps() - good; bad > 0; bad--) if (random.nextDouble() < callsGood) good++;
                marks = "+".repeat(good) + "-".repeat(block.reps() - good);
            }
            learner.practise(block.fault(), block.rung(), block.reps());
            results.add(new BlockResult(
                    i,
                    block.fault(),
                    block.drill(),
                    block.rung(),
                    block.kind(),
                    marks,
                    block.form(),
                    Optional.empty()));
        }
        return PracticeSession.of(new UUID(1, day.date().toEpochDay()), day.date(), results);
    }
}
