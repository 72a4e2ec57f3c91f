package app.hodegon.server.progress;

import app.hodegon.core.diagnosis.Diagnosis;
import app.hodegon.core.diagnosis.Grade;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.practice.Ladder;
import app.hodegon.core.practice.Standing;
import app.hodegon.core.progress.Concern;
import app.hodegon.core.progress.Evidence;
import app.hodegon.core.progress.Evidence.Told;
import app.hodegon.core.progress.Proposal;
import app.hodegon.core.progress.Verdict;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Units;
import app.hodegon.server.account.Account;
import app.hodegon.server.approach.Approaches;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.Stage;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.plan.Done;
import app.hodegon.server.plan.PlanHead;
import app.hodegon.server.plan.PlanView.StepView;
import app.hodegon.server.plan.Plans;
import app.hodegon.server.practice.DayDone;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.progress.Changes.Moment;
import app.hodegon.server.progress.CompareView.MomentView;
import app.hodegon.server.progress.ProgressView.Change;
import app.hodegon.server.progress.ProgressView.Promised;
import app.hodegon.server.progress.ProgressView.ProposalView;
import app.hodegon.server.shots.ShotFiles;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.Students;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** What lessons and the practice between them say together. */
@Service
class ProgressService {

    private final Lessons lessons;
    private final Plans plans;
    private final PracticeLog practice;
    private final Students students;
    private final Approaches approaches;
    private final ShotFiles shots;
    private final AnswerRepository answers;
    private final Clock clock;

    ProgressService(
            Lessons lessons,
            Plans plans,
            PracticeLog practice,
            Students students,
            Approaches approaches,
            ShotFiles shots,
            AnswerRepository answers,
            Clock clock) {
        this.lessons = lessons;
        this.plans = plans;
        this.practice = practice;
        this.students = students;
        this.approaches = approaches;
        this.shots = shots;
        this.answers = answers;
        this.clock = clock;
    }

    /**
     * What lies between a lesson and the last one measured before it.
     *
     * @param plan of the earlier lesson, as the student had it
     * @param promised gates of that plan that were due or tried
     * @param ended whether all its gates are passed
     * @param kept first balls against first balls
     * @param gained the same within the earlier lesson, by id
     * @param proposal what follows; empty where nothing was worked on
     */
    record Since(
            StoredLesson then,
            StoredLesson now,
            Optional<PlanHead> plan,
            Optional<Done> done,
            List<Promised> promised,
            boolean ended,
            List<Change> kept,
            Map<String, Change> gained,
            Map<String, Change> lost,
            List<String> notes,
            Optional<Proposal> proposal) {

        Optional<Double> shareDone() {
            return done.filter(d -> d.plannedReps() > 0).map(d -> (double) d.doneReps() / d.plannedReps());
        }
    }

    /** This lesson's first balls against the last lesson's, and what was practised between. */
    ProgressView view(Account coach, UUID lessonId) {
        return since(coach, lessonId).map(this::view).orElse(ProgressView.FIRST);
    }

    private ProgressView view(Since since) {
        return new ProgressView(
                since.then().heldOn(),
                since.then().id(),
                since.then().focus().stream().map(f -> f.id()).toList(),
                since.done().orElse(null),
                since.promised(),
                since.kept().stream()
                        .map(c ->
                                c.with(since.gained().get(c.id()), since.lost().get(c.id())))
                        .toList(),
                since.notes(),
                since.proposal()
                        .map(p ->
                                ProposalView.of(p, answers.of(since.now().id()).orElse(null)))
                        .orElse(null));
    }

    /** Empty where no lesson was measured before this one. */
    Optional<Since> since(Account coach, UUID lessonId) {
        StoredLesson now = lessons.ofCoach(coach, lessonId);
        return lessons.measuredBefore(now).map(then -> since(coach, then, now));
    }

    private Since since(Account coach, StoredLesson then, StoredLesson now) {
        Optional<PlanHead> plan = PlanHead.of(then.id(), plans.heads(List.of(then.id())));
        Optional<Done> done = plan.map(p -> done(p, now.heldOn(), practice.days(List.of(p.id()))));
        Said said = said(coach, now.studentId());
        Concern concern = Concern.of(then.focus());
        Moment first = moment(then, Stage.BEFORE);
        Moment end = moment(then, Stage.AFTER);
        Moment today = moment(now, Stage.BEFORE);
        Changes changes = new Changes(first, today, now.approach().school(), concern, said);
        Changes within = new Changes(first, end, then.approach().school(), concern, said);
        Changes after = new Changes(end, today, now.approach().school(), concern, said);
        List<Change> kept = changes.list();
        Set<String> worse = changes.surelyWorse();
        Map<String, Change> gained = byId(within.list());
        List<Gated> gates = plan.map(p -> gated(now.studentId(), p)).orElse(List.of());
        return new Since(
                then,
                now,
                plan,
                done,
                gates.stream()
                        .filter(g -> g.due(now.heldOn()) || g.standing().isPresent())
                        .map(Gated::view)
                        .toList(),
                !gates.isEmpty() && gates.stream().allMatch(Gated::passed),
                kept,
                gained,
                byId(after.list()),
                Stream.concat(perhapsWorse(kept, worse).stream(), changes.notCompared().stream())
                        .toList(),
                then.focus().isEmpty()
                        ? Optional.empty()
                        : Optional.of(Proposal.of(evidence(
                                coach, then, now, done, gates, told(kept, worse, gained), fresh(kept, worse)))));
    }

    private static Map<String, Change> byId(List<Change> changes) {
        return changes.stream().collect(Collectors.toMap(Change::id, c -> c));
    }

    private Moment moment(StoredLesson lesson, Stage stage) {
        return new Moment(stage == Stage.BEFORE ? lesson.before() : lesson.after(), shots.ofMoment(lesson.id(), stage));
    }

    /** The gates of a plan with where the student stands on them now. */
    private List<Gated> gated(UUID student, PlanHead plan) {
        Ladder ladder = practice.ladder(student);
        return plans.ofStudent(student, plan.id()).stream()
                .flatMap(p -> p.plan().route().stream())
                .filter(step -> step.gate() != null)
                .map(step -> new Gated(step, ladder.on(step.id()).map(Ladder.RungState::standing)))
                .toList();
    }

    private record Gated(StepView step, Optional<Standing> standing) {

        boolean passed() {
            return standing.filter(s -> s == Standing.PASSED).isPresent();
        }

        /** Half of such students would have passed it by then. */
        boolean due(LocalDate day) {
            return passed() || step.likelyOn() != null && !step.likelyOn().isAfter(day);
        }

        Promised view() {
            return new Promised(
                    step.fault(),
                    step.rung(),
                    step.drill(),
                    step.chance(),
                    standing.map(Standing::id).orElse(null));
        }
    }

    /** Bad ball results that the earlier lesson had not at all. */
    private static List<String> fresh(List<Change> kept, Set<String> surelyWorse) {
        return kept.stream()
                .filter(c -> surelyWorse.contains(c.id()) && c.then().startsWith("0 of "))
                .map(Change::label)
                .toList();
    }

    private Evidence evidence(
            Account coach,
            StoredLesson then,
            StoredLesson now,
            Optional<Done> done,
            List<Gated> gates,
            List<Told> told,
            List<String> fresh) {
        List<Gated> due = gates.stream().filter(g -> g.due(now.heldOn())).toList();
        return new Evidence(
                told,
                fresh,
                done.filter(d -> d.plannedReps() > 0).map(d -> (double) d.doneReps() / d.plannedReps()),
                due.size(),
                (int) due.stream().filter(Gated::passed).count(),
                !gates.isEmpty() && gates.stream().allMatch(Gated::passed),
                gone(coach, then, now),
                stopped(coach, now.studentId()));
    }

    /** Whether what was worked on is unlikely on what is seen today. */
    private boolean gone(Account coach, StoredLesson then, StoredLesson now) {
        Diagnosis diagnosis = lessons.diagnose(now, students.ofCoach(coach, now.studentId()));
        return then.focus().stream().allMatch(f -> diagnosis.of(f).grade() == Grade.UNLIKELY);
    }

    private List<String> stopped(Account coach, UUID student) {
        DrillLibrary library = plans.library(coach.id());
        return practice.stopped(student).stream()
                .map(id -> library.has(id) ? library.drill(id).name() : id)
                .toList();
    }

    private static List<Told> told(List<Change> kept, Set<String> surelyWorse, Map<String, Change> gained) {
        List<Told> told = new ArrayList<>();
        for (Change change : kept) {
            if (!change.concerns()) continue;
            boolean perhaps = change.verdict() == Verdict.WORSE && !surelyWorse.contains(change.id());
            told.add(new Told(
                    change.label(),
                    Optional.ofNullable(gained.get(change.id())).map(Change::verdict),
                    Optional.of(perhaps ? Verdict.CANNOT_TELL : change.verdict())));
        }
        return told;
    }

    /** What looks worse and yet overturns nothing, said so that nobody wonders. */
    private static List<String> perhapsWorse(List<Change> kept, Set<String> surelyWorse) {
        return kept.stream()
                .filter(c -> c.concerns() && c.verdict() == Verdict.WORSE && !surelyWorse.contains(c.id()))
                .map(c -> "%s looks worse; of %d things compared one may by chance. The proposal waits for more."
                        .formatted(c.label(), kept.size()))
                .toList();
    }

    /** What a lesson tells of what was worked on in an earlier one. */
    List<Told> told(StoredLesson then, StoredLesson now, Said said) {
        Changes changes = new Changes(
                new Moment(then.before(), List.of()),
                new Moment(now.before(), List.of()),
                now.approach().school(),
                Concern.of(then.focus()),
                said);
        return told(changes.list(), changes.surelyWorse(), Map.of());
    }

    /** Two moments of one student's lessons side by side. */
    CompareView compare(Account coach, UUID student, UUID firstId, Stage firstAt, UUID secondId, Stage secondAt) {
        Said said = said(coach, student);
        StoredLesson first = lesson(coach, student, "first", firstId);
        StoredLesson second = lesson(coach, student, "second", secondId);
        Moment then = moment(first, firstAt);
        Moment now = moment(second, secondAt);
        Changes changes = new Changes(then, now, second.approach().school(), Concern.of(first.focus()), said);
        Optional<PlanHead> plan = first.id().equals(second.id())
                ? Optional.empty()
                : PlanHead.of(first.id(), plans.heads(List.of(first.id())));
        return new CompareView(
                MomentView.of(first, firstAt, then.seen()),
                MomentView.of(second, secondAt, now.seen()),
                plan.map(p -> done(p, second.heldOn(), practice.days(List.of(p.id()))))
                        .orElse(null),
                changes.list(),
                changes.notCompared());
    }

    private StoredLesson lesson(Account coach, UUID student, String field, UUID id) {
        StoredLesson lesson = lessons.ofCoach(coach, id);
        if (!lesson.studentId().equals(student)) throw new Invalid(field, "This lesson is another student's.");
        return lesson;
    }

    Said said(Account coach, UUID student) {
        StoredStudent stored = students.ofCoach(coach, student);
        return new Said(
                stored.hand(), Identified.of(Units.class, stored.units()), approaches.repeatability(coach.id()));
    }

    /** What was planned before {@code until}, or before today if that is earlier, and what was done of it. */
    private Done done(PlanHead plan, LocalDate until, Map<UUID, List<DayDone>> days) {
        LocalDate today = LocalDate.now(clock);
        return Done.of(plan.planned(), days.getOrDefault(plan.id(), List.of()), until.isBefore(today) ? until : today);
    }
}
