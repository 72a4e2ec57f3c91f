package app.hodegon.server.plan;

import app.hodegon.core.diagnosis.Diagnosis;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.Planner;
import app.hodegon.core.plan.Student;
import app.hodegon.core.practice.Forecast;
import app.hodegon.core.practice.Ladder;
import app.hodegon.server.account.Account;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.Students;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plans of lessons. */
@Service
public class Plans {

    private final Planner planner = new Planner(DrillLibrary.standard());
    private final PlanRepository plans;
    private final Lessons lessons;
    private final Students students;
    private final PracticeLog practice;

    Plans(PlanRepository plans, Lessons lessons, Students students, PracticeLog practice) {
        this.plans = plans;
        this.lessons = lessons;
        this.students = students;
        this.practice = practice;
    }

    /** A draft for this lesson's focus; replaces the lesson's earlier draft. */
    @Transactional
    public StoredPlan draft(Account coach, UUID lessonId, LocalDate from, LocalDate nextLesson) {
        StoredLesson lesson = lessons.ofCoach(coach, lessonId);
        if (lesson.focus().isEmpty()) throw new Conflict("Choose what to work on first.");
        StoredStudent student = students.ofCoach(coach, lesson.studentId());
        if (from.isBefore(lesson.heldOn())) throw new Invalid("from", "A plan cannot begin before its lesson.");
        PlanRequest request = Invalid.in("nextLesson", () -> request(student, lesson, from, nextLesson));
        Plan plan = planner.plan(request);
        PlanView view = PlanView.of(plan, Forecast.of(plan, student.profile().level()));
        return ofCoach(coach, plans.add(student.id(), lessonId, from, nextLesson, view));
    }

    private PlanRequest request(StoredStudent student, StoredLesson lesson, LocalDate from, LocalDate nextLesson) {
        Diagnosis diagnosis = lessons.diagnose(lesson, student);
        Student profile = student.profile();
        Student withHistory = new Student(
                profile.hand(),
                profile.level(),
                profile.age(),
                profile.flags(),
                profile.kit(),
                profile.week(),
                profile.shoes(),
                Ladder.done(practice.checks(student.id())));
        return new PlanRequest(
                withHistory,
                lesson.approach(),
                lesson.focus().stream()
                        .map(f -> new PlanRequest.Focus(f, diagnosis.of(f).grade()))
                        .toList(),
                Set.copyOf(diagnosis.likely()),
                from,
                nextLesson);
    }

    @Transactional
    public StoredPlan assign(Account coach, UUID id) {
        ofCoach(coach, id);
        plans.assign(id);
        return ofCoach(coach, id);
    }

    public StoredPlan ofCoach(Account coach, UUID id) {
        return plans.ofCoach(coach.id(), id).orElseThrow(() -> new NotFound("plan"));
    }

    /** The plan made in this lesson, the latest if there are several. */
    public Optional<StoredPlan> ofLesson(UUID lesson) {
        return plans.ofLesson(lesson);
    }

    /** A student's assigned plans, the running one last; the caller has made sure that the student may be seen. */
    public List<StoredPlan> assigned(UUID student) {
        return plans.assigned(student);
    }
}
