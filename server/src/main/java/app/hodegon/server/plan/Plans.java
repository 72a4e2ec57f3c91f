package app.hodegon.server.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.practice.Attention.Printed;
import app.hodegon.server.account.Account;
import app.hodegon.server.drill.Drills;
import app.hodegon.server.http.Complete;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.practice.DayDone;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.student.StudentChanged;
import app.hodegon.server.student.Students;
import app.hodegon.server.student.Whose;
import app.hodegon.server.zone.Today;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plans of lessons as they are: found, listed, handed over. */
@Service
public class Plans {

    public static final String NO_WORK = "This plan has no day of work. Give it days in the week or put back what was"
            + " taken out; or let the student play, and measure at the next lesson.";

    private final PlanRepository plans;
    private final Lessons lessons;
    private final Students students;
    private final PracticeLog practice;
    private final Drills drills;
    private final Outlooks outlooks;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final Today today;

    Plans(
            PlanRepository plans,
            Lessons lessons,
            Students students,
            PracticeLog practice,
            Drills drills,
            Outlooks outlooks,
            ApplicationEventPublisher events,
            Clock clock,
            Today today) {
        this.plans = plans;
        this.lessons = lessons;
        this.students = students;
        this.practice = practice;
        this.drills = drills;
        this.outlooks = outlooks;
        this.events = events;
        this.clock = clock;
        this.today = today;
    }

    /**
     * @throws NotFound if there is no such plan of a student of this coach
     */
    public StoredPlan ofCoach(Account coach, UUID id) {
        return plans.byId(id)
                .filter(p -> students.teaches(coach, p.studentId()))
                .map(this::withChanges)
                .map(this::withStopped)
                .orElseThrow(() -> new NotFound("plan"));
    }

    /** The plan made in this lesson: the draft if there is one, else the running one. */
    public Optional<StoredPlan> ofLesson(Account coach, UUID lesson) {
        lessons.ofCoach(coach, lesson);
        return plans.ofLesson(lesson)
                .map(this::withChanges)
                .map(this::withStopped)
                .map(outlooks::with);
    }

    private StoredPlan withStopped(StoredPlan plan) {
        return plan.withStopped(practice.stops(plan.studentId()).entrySet().stream()
                .map(stop -> new StoredPlan.Stopped(stop.getKey(), stop.getValue()))
                .sorted(Comparator.comparing(StoredPlan.Stopped::drill))
                .toList());
    }

    /** The coach has the plan on paper as it stands. */
    @Transactional
    void printed(Account coach, UUID id) {
        StoredPlan plan = ofCoach(coach, id);
        students.toChange(coach, plan.studentId());
        plans.printed(
                id,
                today.ofCoach(coach.id()),
                plan.drills().stream().filter(d -> !plan.isStopped(d)).toList());
    }

    /** What stands on the paper of a plan that was printed. */
    public Optional<Printed> printed(UUID plan) {
        return plans.printed(plan);
    }

    /** Since when a plan asks for less than it did. */
    public Optional<LocalDate> easedOn(UUID plan) {
        return plans.easedOn(plan);
    }

    /** The practice days as a calendar; the caller has made sure that the plan may be seen. */
    public ResponseEntity<String> calendar(StoredPlan plan) {
        return PlanCalendar.download(
                withStopped(plan), plans.givenUp(plan.id()), library(plan.studentId()), clock.instant());
    }

    /** What a draft would change of the plan the student has. */
    private StoredPlan withChanges(StoredPlan plan) {
        if (plan.assigned()) return plan;
        return plans.assignedOfLesson(plan.lessonId())
                .map(running -> plan.withChanges(running.differenceTo(plan, library(plan.studentId()))))
                .orElse(plan);
    }

    /** Hands a plan over. A running plan of the same lesson takes the new days in and keeps its id and its practice. */
    @Transactional
    public StoredPlan assign(Account coach, UUID id) {
        lessons.toChange(coach, ofCoach(coach, id).lessonId());
        StoredPlan plan = ofCoach(coach, id);
        if (plan.assigned()) return plan;
        if (!plan.hasWork()) throw new Conflict(NO_WORK);
        Optional<StoredPlan> running = plans.assignedOfLesson(plan.lessonId());
        UUID handedOver = running.map(StoredPlan::id).orElse(id);
        if (running.isEmpty()) {
            plans.assign(plan);
        } else {
            plans.goOn(handedOver, plan.terms(), plan.plan());
            plans.drop(id);
        }
        plans.promise(handedOver, PromisedGate.of(plan.plan()));
        lessons.planChanged(plan.lessonId());
        events.publishEvent(new StudentChanged(plan.studentId()));
        return ofCoach(coach, handedOver);
    }

    /** How often and why a plan was laid again on what the student did, latest first. */
    public List<Relaid> relaid(UUID planId) {
        return plans.relaid(planId);
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

    /** The drills this student is taught with; the caller has made sure that the student may be seen. */
    public DrillLibrary library(UUID student) {
        return drills.of(students.byId(student).coachId());
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

    /** The lessons of a coach's day, those stood in for among them. */
    public List<LessonDue> lessonsOn(UUID coach, LocalDate day) {
        return plans.lessonsOn(coach, students.standingInFor(coach), day);
    }

    /** A plan the student has or had; the caller has made sure that the student may be seen. */
    public Optional<StoredPlan> ofStudent(UUID student, UUID plan) {
        return plans.byId(plan).filter(p -> p.assigned() && p.studentId().equals(student));
    }

    /**
     * Reads all that is kept of a student's plan.
     *
     * @throws RuntimeException if any of it cannot be read, or is no plan that could have been made
     */
    public void readWhole(UUID student, UUID plan) {
        StoredPlan whole = Complete.check("plan", plans.byId(plan).orElseThrow());
        whole.check(library(student));
        relaid(plan).forEach(r -> Complete.check("planRelaid", r));
    }

    /** The plans of these lessons that were handed over; the caller has made sure that they may be seen. */
    public List<PlanHead> heads(Collection<UUID> lessons) {
        return plans.heads(lessons);
    }

    /** What plans that were handed over promised of a fault, the earliest first. */
    public List<Promise> promises(Whose whose, Fault fault) {
        return plans.promises(whose, fault);
    }
}
