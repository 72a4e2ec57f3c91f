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
import app.hodegon.core.practice.Ladder;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.server.account.Account;
import app.hodegon.server.drill.Drills;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.plan.PlanView.DayView;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.StudentEntry;
import app.hodegon.server.student.Students;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plans of lessons: drafted, edited, handed over, laid again. */
@Service
public class Plans {

    private final PlanRepository plans;
    private final Lessons lessons;
    private final Students students;
    private final PracticeLog practice;
    private final Drills drills;
    private final Clock clock;

    Plans(PlanRepository plans, Lessons lessons, Students students, PracticeLog practice, Drills drills, Clock clock) {
        this.plans = plans;
        this.lessons = lessons;
        this.students = students;
        this.practice = practice;
        this.drills = drills;
        this.clock = clock;
    }

    /**
     * A draft for this lesson's focus; replaces the lesson's earlier draft. Once the student has a plan, what lies
     * behind stays as it was and only the days from today on are laid again.
     */
    @Transactional
    public StoredPlan draft(Account coach, UUID lessonId, PlanTerms terms) {
        StoredLesson lesson = lessons.ofCoach(coach, lessonId);
        StoredStudent student = students.ofCoach(coach, lesson.studentId());
        Optional<StoredPlan> running = plans.assignedOfLesson(lessonId);
        PlanRequest request = request(student, lesson, terms, running);
        DrillLibrary library = drills.of(coach.id());
        Planner planner = new Planner(library);
        Plan plan = Invalid.in("edits", () -> planner.plan(request));
        PlanView view = PlanView.of(
                plan,
                Forecast.of(plan, student.profile().level(), library),
                planner.expectedGates(request, plan),
                running.map(r -> r.daysBefore(request.from())).orElse(List.of()));
        return ofCoach(coach, plans.add(student.id(), lessonId, terms, view));
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
                Ladder.done(practice.checks(student.id())).stream()
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
                        terms.toEdits().from(from)));
    }

    /** Today, or tomorrow when today was practised already; never before the plan begins. */
    private LocalDate firstOpenDay(StoredPlan running, LocalDate from) {
        LocalDate today = LocalDate.now(clock);
        Set<LocalDate> practised =
                practice.ofPlan(running.id()).stream().map(PracticeSession::day).collect(Collectors.toSet());
        LocalDate open = practised.contains(today) ? today.plusDays(1) : today;
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
        return OffersView.of(current.terms(), plan, planner.expectedGates(request, plan), Offers.of(request, planner));
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
        if (running.isEmpty()) {
            plans.assign(id);
            return ofCoach(coach, id);
        }
        plans.takeOver(running.get().id(), plan);
        return ofCoach(coach, running.get().id());
    }

    public StoredPlan ofCoach(Account coach, UUID id) {
        return plans.ofCoach(coach.id(), id)
                .map(p -> withChanges(p, coach.id()))
                .orElseThrow(() -> new NotFound("plan"));
    }

    /** The plan made in this lesson: the draft if there is one, else the running one. */
    public Optional<StoredPlan> ofLesson(Account coach, UUID lesson) {
        return plans.ofLesson(lesson).map(p -> withChanges(p, coach.id()));
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

    /** The names of a coach's drills, for texts outside the catalogue. */
    public DrillLibrary library(UUID coach) {
        return drills.of(coach);
    }

    /** A student's assigned plans, the running one last; the caller has made sure that the student may be seen. */
    public List<StoredPlan> assigned(UUID student) {
        return plans.assigned(student);
    }
}
