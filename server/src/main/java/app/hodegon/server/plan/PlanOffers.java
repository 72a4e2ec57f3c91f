package app.hodegon.server.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Offers;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.Planner;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.account.Account;
import app.hodegon.server.drill.Drills;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.plan.PlanTerms.ChosenEntry;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.Students;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What could be otherwise in a plan: what a coach could give or give up, and which drill could take another's place. */
@Service
class PlanOffers {

    private final PlanRepository plans;
    private final Lessons lessons;
    private final Students students;
    private final Drills drills;
    private final PlanRequests requests;

    PlanOffers(PlanRepository plans, Lessons lessons, Students students, Drills drills, PlanRequests requests) {
        this.plans = plans;
        this.lessons = lessons;
        this.students = students;
        this.drills = drills;
        this.requests = requests;
    }

    /** What the coach could give or give up, each with what it would bring. */
    OffersView offers(Account coach, UUID lessonId) {
        StoredLesson lesson = lessons.ofCoach(coach, lessonId);
        StoredStudent student = students.ofCoach(coach, lesson.studentId());
        StoredPlan current = plans.ofLesson(lessonId).orElseThrow(() -> new NotFound("plan"));
        Optional<StoredPlan> running = plans.assignedOfLesson(lessonId);
        if (running.filter(r -> requests.isOver(r, current.terms())).isPresent()) return OffersView.NONE;
        PlanRequest request = requests.of(student, lesson, current.terms(), running);
        Planner planner = new Planner(drills.of(student.coachId()));
        Plan plan = planner.plan(request);
        return OffersView.of(
                current.terms(), request, plan, planner.expected(request, plan), Offers.of(request, planner));
    }

    /** Drills that could take the place of a step's, the best first. */
    List<Planner.Alternative> alternatives(Account coach, UUID lessonId, Fault fault, Rung rung) {
        StoredLesson lesson = lessons.ofCoach(coach, lessonId);
        StoredStudent student = students.ofCoach(coach, lesson.studentId());
        StoredPlan current = plans.ofLesson(lessonId).orElseThrow(() -> new NotFound("plan"));
        return new Planner(drills.of(student.coachId()))
                .alternatives(
                        requests.of(student, lesson, current.terms(), plans.assignedOfLesson(lessonId)), fault, rung);
    }

    /**
     * Drills that could be done at once with this one on a rung of the lesson's plan.
     *
     * @throws NotFound if there is no plan, or no such drill
     */
    List<Planner.Alternative> partners(Account coach, UUID lessonId, String drill, Rung rung) {
        StoredLesson lesson = lessons.ofCoach(coach, lessonId);
        StoredStudent student = students.ofCoach(coach, lesson.studentId());
        StoredPlan current = plans.ofLesson(lessonId).orElseThrow(() -> new NotFound("plan"));
        DrillLibrary library = drills.of(student.coachId());
        if (!library.has(drill)) throw new NotFound("drill");
        return new Planner(library)
                .partners(requests.of(student, lesson, current.terms(), plans.assignedOfLesson(lessonId)), drill, rung);
    }

    /** Those of these choices that this student may do for the lesson's focus. */
    List<ChosenEntry> fitting(Account coach, StoredLesson lesson, PlanTerms terms, List<ChosenEntry> chosen) {
        StoredStudent student = students.ofCoach(coach, lesson.studentId());
        Optional<StoredPlan> running = plans.assignedOfLesson(lesson.id());
        PlanRequest request = requests.of(student, lesson, requests.complete(student, terms, running), running);
        Planner planner = new Planner(drills.of(student.coachId()));
        return chosen.stream()
                .filter(c ->
                        request.focus().stream().anyMatch(f -> f.fault().id().equals(c.fault())))
                .filter(c -> planner
                        .alternatives(
                                request, Identified.of(Fault.class, c.fault()), Identified.of(Rung.class, c.rung()))
                        .stream()
                        .anyMatch(a -> a.drill().equals(c.drill())))
                .toList();
    }
}
