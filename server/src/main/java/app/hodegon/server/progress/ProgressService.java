package app.hodegon.server.progress;

import app.hodegon.core.diagnosis.Diagnosis;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.progress.Change;
import app.hodegon.core.progress.Changes;
import app.hodegon.core.progress.Changes.Moment;
import app.hodegon.core.progress.Concern;
import app.hodegon.core.progress.Evidence;
import app.hodegon.core.progress.Evidence.Told;
import app.hodegon.core.progress.Proposal;
import app.hodegon.core.progress.SignChange;
import app.hodegon.core.progress.Verdict;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Units;
import app.hodegon.server.account.Account;
import app.hodegon.server.account.AccountUnits;
import app.hodegon.server.approach.Approaches;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.Stage;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.plan.Done;
import app.hodegon.server.plan.PlanDrafts;
import app.hodegon.server.plan.PlanHead;
import app.hodegon.server.plan.Plans;
import app.hodegon.server.practice.DayDone;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.progress.CompareView.MomentView;
import app.hodegon.server.progress.ProgressView.AnswerView;
import app.hodegon.server.progress.ProgressView.ProposalView;
import app.hodegon.server.progress.ProgressView.SignChangeView;
import app.hodegon.server.progress.ProgressView.Whole;
import app.hodegon.server.shots.ShotFiles;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.Students;
import app.hodegon.server.zone.Today;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** What lessons and the practice between them say together. */
@Service
class ProgressService {

    /** What of practice stands in a proposal: what tells of the movement, not each ball. */
    private static final Set<String> PROPOSED = Set.of("noticed", "agreement", "first-ten", "round");

    /** To the next lesson, where nothing else is known. */
    static final int USUAL_DAYS = 14;

    private static final int MOST_SENTENCES = 4;

    /** Lessons that one work is looked back over. */
    private static final int WORK = 20;

    private final Lessons lessons;
    private final Plans plans;
    private final PracticeLog practice;
    private final Students students;
    private final Approaches approaches;
    private final ShotFiles shots;
    private final AnswerRepository answers;
    private final BetweenService between;
    private final AccountUnits accountUnits;
    private final PlanDrafts drafts;
    private final Today today;

    ProgressService(
            Lessons lessons,
            Plans plans,
            PracticeLog practice,
            Students students,
            Approaches approaches,
            ShotFiles shots,
            AnswerRepository answers,
            BetweenService between,
            AccountUnits accountUnits,
            PlanDrafts drafts,
            Today today) {
        this.lessons = lessons;
        this.plans = plans;
        this.practice = practice;
        this.students = students;
        this.approaches = approaches;
        this.shots = shots;
        this.answers = answers;
        this.between = between;
        this.accountUnits = accountUnits;
        this.drafts = drafts;
        this.today = today;
    }

    /**
     * What lies between a lesson and the last one measured before it.
     *
     * @param plan of the earlier lesson, as the student had it
     * @param gates of that plan
     * @param kept first balls against first balls
     * @param gained the earlier lesson's last balls against its first
     * @param lost first balls now against those last ones
     * @param practised what practice between them tells by itself
     * @param proposal what follows; empty where nothing was worked on
     */
    record Since(
            StoredLesson then,
            StoredLesson now,
            Optional<PlanHead> plan,
            Optional<Done> done,
            List<Gated> gates,
            Changes kept,
            Changes gained,
            Changes lost,
            List<BetweenView.Sum> practised,
            Optional<Proposal> proposal) {

        Optional<Double> shareDone() {
            return done.flatMap(Done::share);
        }
    }

    /** This lesson's first balls against the last lesson's, and what was practised between. */
    ProgressView view(Account coach, UUID lessonId, Reader reader) {
        return since(coach, lessonId)
                .map(since -> view(since, said(coach, since.now().studentId(), reader)))
                .orElse(ProgressView.FIRST);
    }

    private ProgressView view(Since since, Said said) {
        Map<Object, ChangeView> gained = bySubject(since.gained(), said);
        Map<Object, ChangeView> lost = bySubject(since.lost(), said);
        return new ProgressView(
                since.then().heldOn(),
                since.then().id(),
                since.then().focus().stream().map(f -> f.id()).toList(),
                since.done().orElse(null),
                since.gates().stream()
                        .filter(g -> g.due(since.now().heldOn()) || g.state().isPresent())
                        .map(Gated::view)
                        .toList(),
                since.kept().list().stream()
                        .map(c -> ChangeView.of(c, said).with(gained.get(c.subject()), lost.get(c.subject())))
                        .toList(),
                SignChangeView.of(
                        SignChange.of(since.then().before(), since.now().before())),
                whole(since, said).orElse(null),
                since.practised(),
                stopped(since.now().studentId()),
                notes(since.kept(), said),
                since.proposal()
                        .map(p ->
                                ProposalView.of(p, answers.of(since.now().id()).orElse(null)))
                        .orElse(null));
    }

    /** From the first lesson of the work that the last one went on with; empty where the last one began it. */
    private Optional<Whole> whole(Since since, Said said) {
        StoredLesson first = since.then();
        for (StoredLesson earlier : lessons.measuredBefore(since.then(), WORK)) {
            if (!Concern.goesOn(earlier.focus(), first.focus())) break;
            first = earlier;
        }
        if (first == since.then()) return Optional.empty();
        StoredLesson now = since.now();
        Changes changes = new Changes(
                moment(first, Stage.BEFORE),
                moment(now, Stage.BEFORE),
                now.approach().school(),
                Concern.of(since.then().focus()),
                said.repeatability());
        return Optional.of(new Whole(
                first.heldOn(),
                first.id(),
                changes.list().stream()
                        .filter(Change::concerns)
                        .map(c -> ChangeView.of(c, said))
                        .toList(),
                SignChangeView.of(SignChange.of(first.before(), now.before()))));
    }

    private static Map<Object, ChangeView> bySubject(Changes changes, Said said) {
        return changes.list().stream().collect(Collectors.toMap(Change::subject, c -> ChangeView.of(c, said)));
    }

    /** What looks worse and yet overturns nothing, and what could not be compared. */
    private static List<String> notes(Changes kept, Said said) {
        Set<Object> surelyWorse = kept.surelyWorse();
        Stream<String> perhaps = kept.list().stream()
                .filter(c -> c.concerns() && c.verdict() == Verdict.WORSE && !surelyWorse.contains(c.subject()))
                .map(c -> "%s looks worse; of %d things compared one may by chance. The proposal waits for more."
                        .formatted(said.label(c), kept.weighed()));
        return Stream.concat(perhaps, notCompared(kept, said)).toList();
    }

    private static Stream<String> notCompared(Changes changes, Said said) {
        return changes.notCompared().stream()
                .map(pair -> "%s: %s then, %s now. Two sources are not compared."
                        .formatted(
                                said.label(pair.then()),
                                pair.then().source().id(),
                                pair.now().source().id()));
    }

    /** Empty where no lesson was measured before this one. */
    Optional<Since> since(Account coach, UUID lessonId) {
        StoredLesson now = lessons.ofCoach(coach, lessonId);
        return lessons.measuredBefore(now).map(then -> since(coach, then, now));
    }

    private Since since(Account coach, StoredLesson then, StoredLesson now) {
        Optional<PlanHead> plan = PlanHead.of(then.id(), plans.heads(List.of(then.id())));
        Optional<Done> done = doneBetween(then, now);
        List<Gated> gates = plan.flatMap(p -> plans.ofStudent(now.studentId(), p.id()))
                .map(p -> Gated.of(p, practice.ladder(now.studentId())))
                .orElse(List.of());
        Said said = said(coach, now.studentId());
        Concern concern = Concern.of(then.focus());
        Moment first = moment(then, Stage.BEFORE);
        Moment end = moment(then, Stage.AFTER);
        Moment today = moment(now, Stage.BEFORE);
        Changes kept = new Changes(first, today, now.approach().school(), concern, said.repeatability());
        Changes gained = new Changes(first, end, then.approach().school(), concern, said.repeatability());
        Changes lost = new Changes(end, today, now.approach().school(), concern, said.repeatability());
        List<BetweenView.Sum> practised = practised(then, now, said);
        Optional<Proposal> proposal = then.focus().isEmpty()
                ? Optional.empty()
                : Optional.of(Proposal.of(evidence(
                                coach, then, now, done.flatMap(Done::share), gates, kept, gained, practised, said))
                        .said(said.hand()));
        return new Since(then, now, plan, done, gates, kept, gained, lost, practised, proposal);
    }

    /** From the day after a lesson to the day before the next; what was asked in the later one counts as now. */
    private List<BetweenView.Sum> practised(StoredLesson then, StoredLesson now, Said said) {
        DrillLibrary library = plans.library(now.studentId());
        return between.since(now.studentId(), then.heldOn(), List.of(then, now)).stream()
                .flatMap(series -> BetweenView.Sum.of(series, then.heldOn(), now.heldOn(), library, said).stream())
                .toList();
    }

    private Moment moment(StoredLesson lesson, Stage stage) {
        return new Moment(
                stage == Stage.BEFORE ? lesson.before() : lesson.after(),
                shots.ofLesson(lesson.id()).getOrDefault(stage.id(), List.of()));
    }

    private Evidence evidence(
            Account coach,
            StoredLesson then,
            StoredLesson now,
            Optional<Double> shareDone,
            List<Gated> gates,
            Changes kept,
            Changes gained,
            List<BetweenView.Sum> practised,
            Said said) {
        List<Gated> due = gates.stream().filter(g -> g.due(now.heldOn())).toList();
        return new Evidence(
                Evidence.told(kept, gained.list(), said::label),
                Evidence.fresh(kept).stream().map(BallResult::label).toList(),
                new Evidence.Work(
                        shareDone,
                        due.size(),
                        (int) due.stream().filter(Gated::passed).count(),
                        Gated.allPassed(gates),
                        gates.stream().filter(Gated::passed).allMatch(Gated::atOnce),
                        gates.stream()
                                .map(g -> g.rising(then.heldOn()))
                                .filter(r -> !r.isEmpty())
                                .findFirst()
                                .orElse(List.of()),
                        answers.of(then.id()).flatMap(AnswerView::kind),
                        () -> drafts.couldTellOtherwise(
                                now, then.focus(), now.heldOn().plusDays(USUAL_DAYS))),
                today(coach, then, now),
                stopped(now.studentId()),
                practised.stream()
                        .filter(sum -> !sum.few() && PROPOSED.contains(sum.id().replaceAll(":.*", "")))
                        .limit(MOST_SENTENCES)
                        .map(BetweenView.Sum::sentence)
                        .toList());
    }

    /** What is seen today says of what was worked on. */
    private Evidence.Today today(Account coach, StoredLesson then, StoredLesson now) {
        Diagnosis diagnosis = lessons.diagnose(now, students.ofCoach(coach, now.studentId()));
        return Evidence.Today.of(then.focus(), diagnosis, now.before().shots());
    }

    private List<String> stopped(UUID student) {
        DrillLibrary library = plans.library(student);
        return practice.stopped(student).stream()
                .map(id -> library.has(id) ? library.drill(id).name() : id)
                .toList();
    }

    /** What a lesson tells of what was worked on in an earlier one. */
    List<Told> told(StoredLesson then, StoredLesson now, Said said) {
        Changes kept = new Changes(
                new Moment(then.before(), List.of()),
                new Moment(now.before(), List.of()),
                now.approach().school(),
                Concern.of(then.focus()),
                said.repeatability());
        return Evidence.told(kept, List.of(), said::label);
    }

    /** Two moments of one student's lessons side by side. */
    CompareView compare(Account coach, UUID student, UUID firstId, Stage firstAt, UUID secondId, Stage secondAt) {
        Said said = said(coach, student);
        StoredLesson first = lesson(coach, student, "first", firstId);
        StoredLesson second = lesson(coach, student, "second", secondId);
        Moment then = moment(first, firstAt);
        Moment now = moment(second, secondAt);
        Changes changes =
                new Changes(then, now, second.approach().school(), Concern.of(first.focus()), said.repeatability());
        return new CompareView(
                MomentView.of(first, firstAt, then.seen()),
                MomentView.of(second, secondAt, now.seen()),
                doneBetween(first, second).orElse(null),
                changes.list().stream().map(c -> ChangeView.of(c, said)).toList(),
                notCompared(changes, said).toList());
    }

    /** What was done of the plans of all lessons from one up to another. */
    private Optional<Done> doneBetween(StoredLesson first, StoredLesson second) {
        List<Lessons.Held> all = lessons.from(first, second);
        List<PlanHead> heads = plans.heads(all.stream().map(Lessons.Held::id).toList());
        Map<UUID, List<DayDone>> days =
                practice.days(heads.stream().map(PlanHead::id).toList());
        LocalDate now = today.ofStudent(first.studentId());
        return IntStream.range(1, all.size())
                .mapToObj(next -> PlanHead.of(all.get(next - 1).id(), heads)
                        .map(plan -> done(plan, all.get(next).on(), days, now)))
                .flatMap(Optional::stream)
                .reduce(Done::and);
    }

    private StoredLesson lesson(Account coach, UUID student, String field, UUID id) {
        StoredLesson lesson = lessons.ofCoach(coach, id);
        if (!lesson.studentId().equals(student)) throw new Invalid(field, "This lesson is another student's.");
        return lesson;
    }

    /** As the coach reads it. */
    Said said(Account coach, UUID student) {
        return said(coach, student, Reader.COACH);
    }

    Said said(Account coach, UUID student, Reader reader) {
        StoredStudent stored = students.ofCoach(coach, student);
        Units units = reader == Reader.COACH ? accountUnits.of(coach.id()) : Identified.of(Units.class, stored.units());
        return new Said(stored.hand(), units, approaches.repeatability(stored.coachId()));
    }

    /** What was planned before {@code until}, or before today if that is earlier, and what was done of it. */
    Done done(PlanHead plan, LocalDate until, Map<UUID, List<DayDone>> days, LocalDate now) {
        return Done.of(plan.planned(), days.getOrDefault(plan.id(), List.of()), until.isBefore(now) ? until : now);
    }
}
