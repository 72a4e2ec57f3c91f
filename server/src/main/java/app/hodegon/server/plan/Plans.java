package app.hodegon.server.plan;

import app.hodegon.core.diagnosis.Diagnosis;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Offers;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.PlanDifference;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.Planner;
import app.hodegon.core.plan.Student;
import app.hodegon.core.plan.Week;
import app.hodegon.core.practice.Forecast;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.server.account.Account;
import app.hodegon.server.drill.Drills;
import app.hodegon.server.gate.StudentGates;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.plan.PlanView.DayView;
import app.hodegon.server.practice.DayDone;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.StudentChanged;
import app.hodegon.server.student.StudentEntry;
import app.hodegon.server.student.Students;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Plans of lessons: drafted, edited, handed over, laid again. */
@Service
public class Plans {

    private static final double SMALLER = 0.6;

    /** Practice from so many days back tells where a student stands. */
    private static final int MEMORY = 90;

    private final PlanRepository plans;
    private final Lessons lessons;
    private final Students students;
    private final PracticeLog practice;
    private final Drills drills;
    private final StudentGates gates;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Plans(
            PlanRepository plans,
            Lessons lessons,
            Students students,
            PracticeLog practice,
            Drills drills,
            StudentGates gates,
            ApplicationEventPublisher events,
            Clock clock) {
        this.plans = plans;
        this.lessons = lessons;
        this.students = students;
        this.practice = practice;
        this.drills = drills;
        this.gates = gates;
        this.events = events;
        this.clock = clock;
    }

    /**
     * A draft for this lesson's focus; replaces the lesson's earlier draft. Once the student has a plan, what lies
     * behind stays as it was and only the days from today on are laid again.
     */
    @Transactional
    public StoredPlan draft(Account coach, UUID lessonId, PlanTerms terms) {
        StoredLesson lesson = lessons.ofCoach(coach, lessonId);
        return ofCoach(coach, lay(students.ofCoach(coach, lesson.studentId()), lesson, terms));
    }

    /** A draft from terms that are first changed by what the last plan taught. */
    @Transactional
    public StoredPlan draft(Account coach, UUID lessonId, PlanTerms terms, UnaryOperator<PlanRequest> refit) {
        StoredLesson lesson = lessons.ofCoach(coach, lessonId);
        if (plans.assignedOfLesson(lessonId).isPresent()) {
            throw new Conflict("The student has the plan of this lesson already: change it there.");
        }
        StoredStudent student = students.ofCoach(coach, lesson.studentId());
        PlanRequest asked = request(student, lesson, terms, Optional.empty());
        return ofCoach(coach, lay(student, lesson, terms.with(asked, refit.apply(asked))));
    }

    private UUID lay(StoredStudent student, StoredLesson lesson, PlanTerms terms) {
        Optional<StoredPlan> running = plans.assignedOfLesson(lesson.id());
        PlanRequest request = request(student, lesson, terms, running);
        DrillLibrary library = drills.of(student.coachId());
        Planner planner = new Planner(library);
        Plan plan = Invalid.in("edits", () -> planner.plan(request));
        PlanView view = PlanView.of(
                plan,
                Forecast.of(
                        plan,
                        student.profile().level(),
                        library,
                        history(student.id(), request.from(), request.from())),
                planner.expectedGates(request, plan),
                running.map(r -> r.daysBefore(request.from())).orElse(List.of()));
        return plans.add(student.id(), lesson.id(), terms, view);
    }

    /**
     * Lays what is left of a running plan again from its own terms or others, and hands it over at once; what happened
     * stays as it was. Nothing is done while the coach has a draft of that lesson open, nor when every day lies behind,
     * nor when nothing would change.
     *
     * @param reason kept with what changed, for coach and student
     * @param terms from the running plan's terms to the new ones
     * @return whether the plan changed
     */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public boolean layAgain(UUID planId, String reason, UnaryOperator<PlanTerms> terms) {
        StoredPlan running = plans.byId(planId).filter(StoredPlan::assigned).orElseThrow(() -> new NotFound("plan"));
        if (plans.ofLesson(running.lessonId()).filter(p -> !p.assigned()).isPresent()) return false;
        StoredStudent student = students.byId(running.studentId());
        PlanTerms changed = terms.apply(running.terms());
        if (isOver(running, changed)) return false;
        UUID draft = lay(student, lessons.byId(running.lessonId()), changed);
        StoredPlan laid = withChanges(plans.byId(draft).orElseThrow(), student.coachId());
        if (laid.changes().isEmpty()) {
            plans.drop(draft);
            return false;
        }
        plans.takeOver(planId, laid);
        plans.remember(planId, running.revision() + 1, reason, laid.changes());
        events.publishEvent(new StudentChanged(student.id()));
        return true;
    }

    /** The same terms with about 60 % of each day's minutes. */
    PlanTerms smaller(UUID planId, PlanTerms terms) {
        Week week = terms.week() == null
                ? students.byId(plans.byId(planId).orElseThrow().studentId())
                        .profile()
                        .week()
                : StudentEntry.week(terms.week());
        return terms.with(StudentEntry.slots(week.scaled(SMALLER)));
    }

    /** How often and why a plan was laid again on what the student did, latest first. */
    public List<Relaid> relaid(UUID planId) {
        return plans.relaid(planId);
    }

    private PlanRequest request(
            StoredStudent student, StoredLesson lesson, PlanTerms terms, Optional<StoredPlan> running) {
        if (lesson.focus().isEmpty()) throw new Conflict("Choose what to work on first.");
        if (terms.from().isBefore(lesson.heldOn())) {
            throw new Invalid("from", "A plan cannot begin before its lesson.");
        }
        Diagnosis diagnosis = lessons.diagnose(lesson, student);
        Student profile = student.profile();
        Week week = terms.week() == null ? profile.week() : StudentEntry.week(terms.week());
        List<Fault> focus = terms.firstFaultOnly() ? lesson.focus().subList(0, 1) : lesson.focus();
        LocalDate from = running.map(r -> firstOpenDay(r, terms.from())).orElse(terms.from());
        if (!terms.nextLesson().isAfter(from)) {
            throw new Invalid("nextLesson", "Every day of this plan lies behind: set a later next lesson.");
        }
        Student withHistory = new Student(
                profile.hand(),
                profile.level(),
                profile.age(),
                profile.flags(),
                profile.kit(),
                week,
                profile.shoes(),
                practice.ladder(student.id()).done().stream()
                        .filter(d -> drills.of(student.coachId()).has(d.drill()))
                        .toList());
        return Invalid.in(
                "nextLesson",
                () -> new PlanRequest(
                        withHistory,
                        lesson.approach(),
                        focus.stream()
                                .map(f ->
                                        new PlanRequest.Focus(f, diagnosis.of(f).grade()))
                                .toList(),
                        Set.copyOf(diagnosis.likely()),
                        from,
                        terms.nextLesson(),
                        Set.copyOf(practice.stopped(student.id())),
                        terms.toEdits().from(from).with(gates.of(student.id()))));
    }

    /** Today, or the day after the last one practised; never before the plan begins. */
    private LocalDate firstOpenDay(StoredPlan running, LocalDate from) {
        LocalDate practised = practice.ofPlan(running.id()).stream()
                .map(PracticeSession::day)
                .max(LocalDate::compareTo)
                .orElse(LocalDate.MIN);
        LocalDate today = LocalDate.now(clock);
        LocalDate open = practised.isBefore(today) ? today : practised.plusDays(1);
        return open.isAfter(from) ? open : from;
    }

    private boolean isOver(StoredPlan running, PlanTerms terms) {
        return !terms.nextLesson().isAfter(firstOpenDay(running, terms.from()));
    }

    /** What the coach could give or give up, each with what it would bring. */
    public OffersView offers(Account coach, UUID lessonId) {
        StoredLesson lesson = lessons.ofCoach(coach, lessonId);
        StoredStudent student = students.ofCoach(coach, lesson.studentId());
        StoredPlan current = plans.ofLesson(lessonId).orElseThrow(() -> new NotFound("plan"));
        Optional<StoredPlan> running = plans.assignedOfLesson(lessonId);
        if (running.filter(r -> isOver(r, current.terms())).isPresent()) return OffersView.NONE;
        PlanRequest request = request(student, lesson, current.terms(), running);
        Planner planner = new Planner(drills.of(coach.id()));
        Plan plan = planner.plan(request);
        return OffersView.of(
                current.terms(), request, plan, planner.expectedGates(request, plan), Offers.of(request, planner));
    }

    /** Drills that could take the place of a step's, the best first. */
    public List<Planner.Alternative> alternatives(Account coach, UUID lessonId, Fault fault, Rung rung) {
        StoredLesson lesson = lessons.ofCoach(coach, lessonId);
        StoredStudent student = students.ofCoach(coach, lesson.studentId());
        StoredPlan current = plans.ofLesson(lessonId).orElseThrow(() -> new NotFound("plan"));
        return new Planner(drills.of(coach.id()))
                .alternatives(request(student, lesson, current.terms(), plans.assignedOfLesson(lessonId)), fault, rung);
    }

    /** Hands a plan over. A running plan of the same lesson takes the new days in and keeps its id and its practice. */
    @Transactional
    public StoredPlan assign(Account coach, UUID id) {
        StoredPlan plan = ofCoach(coach, id);
        if (plan.assigned()) return plan;
        Optional<StoredPlan> running = plans.assignedOfLesson(plan.lessonId());
        UUID handedOver = running.map(StoredPlan::id).orElse(id);
        if (running.isEmpty()) plans.assign(plan);
        else plans.takeOver(handedOver, plan);
        events.publishEvent(new StudentChanged(plan.studentId()));
        return ofCoach(coach, handedOver);
    }

    public StoredPlan ofCoach(Account coach, UUID id) {
        return plans.ofCoach(coach.id(), id)
                .map(p -> withChanges(p, coach.id()))
                .orElseThrow(() -> new NotFound("plan"));
    }

    /** The plan made in this lesson: the draft if there is one, else the running one. */
    public Optional<StoredPlan> ofLesson(Account coach, UUID lesson) {
        return plans.ofLesson(lesson).map(p -> withChanges(p, coach.id())).map(this::withOutlook);
    }

    private Forecast.History history(UUID student, LocalDate begins, LocalDate today) {
        return new Forecast.History(practice.since(student, begins.minusDays(MEMORY)), practice.ladder(student), today);
    }

    /** A plan the student has, with the chances as they are after what was practised. */
    private StoredPlan withOutlook(StoredPlan plan) {
        if (!plan.assigned()) return plan;
        StoredStudent student = students.byId(plan.studentId());
        return plan.with(plan.plan()
                .with(Forecast.of(
                        plan.plan().toPlan(),
                        student.profile().level(),
                        drills.of(student.coachId()),
                        history(student.id(), plan.from(), LocalDate.now(clock)))));
    }

    /** What a draft would change of the plan the student has. */
    private StoredPlan withChanges(StoredPlan plan, UUID coach) {
        if (plan.assigned()) return plan;
        return plans.assignedOfLesson(plan.lessonId())
                .map(running -> plan.withChanges(PlanDifference.between(
                        days(running.plan().days()), days(plan.plan().days()), drills.of(coach))))
                .orElse(plan);
    }

    private static List<Plan.Day> days(List<DayView> views) {
        List<Plan.Day> days = new ArrayList<>();
        views.forEach(view -> days.add(view.toDay()));
        return days;
    }

    /** The days up to that one of the plan a student has, the latest first. */
    List<PlannedDay> planned(UUID student, LocalDate until) {
        return plans.planned(student, until);
    }

    /** The days on which the plan that the student has of this lesson was practised, in order. */
    List<LocalDate> practised(UUID lessonId) {
        return plans.assignedOfLesson(lessonId).stream()
                .flatMap(p -> practice.days(List.of(p.id())).values().stream())
                .flatMap(days -> days.stream().map(DayDone::day))
                .distinct()
                .toList();
    }

    /** The names of a coach's drills, for texts outside the catalogue. */
    public DrillLibrary library(UUID coach) {
        return drills.of(coach);
    }

    /** The plan a student has now; the caller has made sure that the student may be seen. */
    public Optional<StoredPlan> running(UUID student) {
        return plans.running(student);
    }

    /**
     * A lesson that a running plan leads to.
     *
     * @param focus faults worked on, by id
     * @param lessonToday the lesson held that day, once it is begun
     */
    public record LessonDue(
            PlanHead plan, UUID studentId, String student, List<String> focus, Optional<UUID> lessonToday) {}

    /** The lessons of a coach's day. */
    public List<LessonDue> lessonsOn(UUID coach, LocalDate day) {
        return plans.lessonsOn(coach, day);
    }

    /** A plan the student has or had; the caller has made sure that the student may be seen. */
    public Optional<StoredPlan> ofStudent(UUID student, UUID plan) {
        return plans.byId(plan).filter(p -> p.assigned() && p.studentId().equals(student));
    }

    /** The plans of these lessons that were handed over; the caller has made sure that they may be seen. */
    public List<PlanHead> heads(Collection<UUID> lessons) {
        return plans.heads(lessons);
    }
}
