package app.hodegon.server.plan;

import app.hodegon.core.plan.Plan;
import app.hodegon.core.practice.Forecast;
import app.hodegon.server.drill.Drills;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.Students;
import app.hodegon.server.zone.Today;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** What is to be expected of a plan, after what was practised. */
@Service
class Outlooks {

    /** Practice from so many days back tells where a student stands. */
    private static final int MEMORY = 90;

    private final Students students;
    private final PracticeLog practice;
    private final Drills drills;
    private final Today today;
    private final PlanRepository plans;

    Outlooks(Students students, PracticeLog practice, Drills drills, Today today, PlanRepository plans) {
        this.plans = plans;
        this.students = students;
        this.practice = practice;
        this.drills = drills;
        this.today = today;
    }

    /** The chance of each step of a plan that begins on that day. */
    Map<Plan.Step, Forecast.Outlook> of(
            StoredStudent student, Plan plan, PlanTerms terms, LocalDate begins, LocalDate today) {
        return Forecast.of(
                plan,
                terms.equipped(student.profile()),
                drills.of(student.coachId()),
                new Forecast.History(
                        practice.since(student.id(), begins.minusDays(MEMORY)),
                        practice.ladder(student.id()),
                        today,
                        plans.plannedBetween(student.id(), begins.minusDays(MEMORY), begins)),
                terms.settings().lessonCheck() ? Optional.of(terms.nextLesson()) : Optional.empty());
    }

    /** A plan the student has, with the chances as they are now. */
    StoredPlan with(StoredPlan plan) {
        if (!plan.assigned()) return plan;
        StoredStudent student = students.byId(plan.studentId());
        return plan.with(plan.plan()
                .with(of(student, plan.plan().toPlan(), plan.terms(), plan.from(), today.ofStudent(student.id()))));
    }
}
