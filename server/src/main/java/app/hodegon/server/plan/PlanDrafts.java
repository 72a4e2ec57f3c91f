package app.hodegon.server.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.plan.PlanRequest;
import app.hodegon.core.plan.Planner;
import app.hodegon.core.plan.Refit;
import app.hodegon.core.practice.LayAgain;
import app.hodegon.server.account.Account;
import app.hodegon.server.drill.Drills;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.http.Stale;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.StudentChanged;
import app.hodegon.server.student.Students;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Plans drafted, changed by their terms, and laid again. */
@Service
public class PlanDrafts {

    private static final Logger LOG = LoggerFactory.getLogger(PlanDrafts.class);

    static final String OVER = "Every day of this plan lies behind: the lesson is due.";

    private final PlanRepository plans;
    private final Plans found;
    private final Lessons lessons;
    private final Students students;
    private final Drills drills;
    private final PlanRequests requests;
    private final Outlooks outlooks;
    private final ApplicationEventPublisher events;

    PlanDrafts(
            PlanRepository plans,
            Plans found,
            Lessons lessons,
            Students students,
            Drills drills,
            PlanRequests requests,
            Outlooks outlooks,
            ApplicationEventPublisher events) {
        this.plans = plans;
        this.found = found;
        this.lessons = lessons;
        this.students = students;
        this.drills = drills;
        this.requests = requests;
        this.outlooks = outlooks;
        this.events = events;
    }

    /**
     * A draft for this lesson's focus; replaces the lesson's earlier draft. Once the student has a plan, what lies
     * behind stays as it was and only the days from today on are laid again.
     */
    @Transactional
    public StoredPlan draft(Account coach, UUID lessonId, PlanTerms terms) {
        StoredLesson lesson = lessons.toChange(coach, lessonId);
        Optional<StoredPlan> running = plans.assignedOfLesson(lessonId);
        Optional<PlanTerms> known = plans.ofLesson(lessonId).map(StoredPlan::terms);
        known.ifPresent(now -> requests.refuseBehind(terms, now, running));
        StoredStudent student = students.ofCoach(coach, lesson.studentId());
        return found.ofCoach(
                coach, lay(student, lesson, requests.complete(student, terms, running), terms.joinedSince(known)));
    }

    /**
     * The same, if the lesson's plan is still what the coach saw.
     *
     * @param seen the version of the plan that the terms are based on; 0 before the first
     */
    @Transactional
    StoredPlan draft(Account coach, UUID lessonId, int seen, PlanTerms terms) {
        if (lessons.toChange(coach, lessonId).planVersion() != seen) {
            Optional<StoredPlan> now = found.ofLesson(coach, lessonId);
            if (now.isPresent()) throw new Stale(now.get());
            // Nothing is overwritten; but whoever saw a draft is told that it is gone.
            if (seen != 0) throw new Conflict("The draft was given up.");
        }
        return draft(coach, lessonId, terms);
    }

    /** A draft from terms that are first changed by what the last plan taught. */
    @Transactional
    public StoredPlan draft(Account coach, UUID lessonId, PlanTerms terms, UnaryOperator<PlanRequest> refit) {
        StoredLesson lesson = lessons.toChange(coach, lessonId);
        if (plans.assignedOfLesson(lessonId).isPresent()) {
            throw new Conflict("The student has the plan of this lesson already: change it there.");
        }
        StoredStudent student = students.ofCoach(coach, lesson.studentId());
        PlanTerms complete = requests.complete(student, terms, Optional.empty());
        PlanRequest asked = requests.of(student, lesson, complete, Optional.empty());
        return found.ofCoach(coach, lay(student, lesson, complete.with(asked, refit.apply(asked)), Set.of()));
    }

    private UUID lay(StoredStudent student, StoredLesson lesson, PlanTerms terms, Set<StepId> joinedNow) {
        PlanView view = laid(student, lesson, terms, joinedNow);
        lessons.planChanged(lesson.id());
        return plans.add(student.id(), lesson.id(), terms, view);
    }

    /**
     * @param joinedNow where the coach just joined two drills: what was joined before goes on alone where it fits no more
     */
    private PlanView laid(StoredStudent student, StoredLesson lesson, PlanTerms terms, Set<StepId> joinedNow) {
        Optional<StoredPlan> running = plans.assignedOfLesson(lesson.id());
        PlanRequest request = requests.of(student, lesson, terms, running);
        Planner planner = new Planner(drills.of(student.coachId()));
        Plan plan = Invalid.in("edits", () -> planner.plan(request));
        Invalid.in("edits.joined", () -> planner.refusedPair(request, plan, joinedNow))
                .ifPresent(why -> {
                    throw new Invalid("edits.joined", why);
                });
        return PlanView.of(
                        plan,
                        outlooks.of(student, plan, terms, request.from(), request.from()),
                        planner.expected(request, plan).gates(),
                        running.map(r -> r.daysBefore(request.from())).orElse(List.of()))
                .sparing(requests.spared(student, lesson, terms).stream()
                        .map(Joint::id)
                        .sorted()
                        .toList());
    }

    /** Whether another drill would tell otherwise, and be the main work of most days of a plan for these faults. */
    public boolean couldTellOtherwise(StoredLesson lesson, List<Fault> faults, LocalDate nextLesson) {
        StoredStudent student = students.byId(lesson.studentId());
        PlanTerms terms = requests.complete(
                student, PlanTerms.between(lesson.heldOn().plusDays(1), nextLesson), Optional.empty());
        PlanRequest asked = requests.of(student, lesson.workingOn(faults), terms, Optional.empty());
        return Refit.couldTellOtherwise(asked, drills.of(student.coachId()));
    }

    /**
     * The climb that a coach leads within a lesson, for what was chosen or else found in it; empty where neither is, or
     * nothing of it is swung.
     */
    List<Planner.ClimbPart> climb(Account coach, UUID lessonId, int minutes) {
        StoredLesson lesson = lessons.ofCoach(coach, lessonId);
        StoredStudent student = students.ofCoach(coach, lesson.studentId());
        List<Fault> faults =
                lesson.focus().isEmpty() ? lessons.diagnose(lesson, student).focus() : lesson.focus();
        if (faults.isEmpty()) return List.of();
        LocalDate day = lesson.heldOn();
        PlanTerms terms = requests.complete(student, PlanTerms.between(day, day.plusDays(1)), Optional.empty());
        PlanRequest asked = requests.of(student, lesson.workingOn(faults), terms, Optional.empty());
        return Invalid.in("minutes", () -> new Planner(drills.of(student.coachId())).climb(asked, minutes));
    }

    /** What a smaller plan would ask for, before it is made. */
    SmallerView smaller(StoredPlan running) {
        StoredStudent student = students.byId(running.studentId());
        PlanTerms terms = requests.withoutStopped(student.id(), running.terms());
        if (requests.isOver(running, terms)) throw new Conflict(OVER);
        PlanView view = laid(student, lessons.byId(running.lessonId()), terms.smaller(true), Set.of());
        return SmallerView.of(
                running.plan(),
                view,
                requests.firstOpenDay(running, terms.from()),
                running.differenceTo(running.with(view), drills.of(student.coachId())));
    }

    /**
     * Lays what is left of a running plan again and hands it over at once; what happened stays as it was. Nothing is done
     * when every day lies behind, nor when nothing would change. A draft that the coach has open for that lesson is laid
     * again from its own terms.
     *
     * @param terms from the running plan's terms to those it goes on by
     * @param how what changes of the edits, and why: kept with what changed, for coach and student
     * @return whether the plan changed
     */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public boolean layAgain(UUID planId, UnaryOperator<PlanTerms> terms, Function<PlanRequest, LayAgain> how) {
        students.lock(assigned(planId).studentId());
        StoredPlan running = assigned(planId);
        StoredStudent student = students.byId(running.studentId());
        StoredLesson lesson = lessons.byId(running.lessonId());
        PlanTerms goesOnBy = requests.withoutStopped(student.id(), terms.apply(running.terms()));
        if (requests.isOver(running, goesOnBy)) return false;
        PlanRequest asked = requests.of(student, lesson, goesOnBy, Optional.of(running));
        LayAgain again = how.apply(asked);
        PlanTerms changed = goesOnBy.with(asked, asked.with(again.edits()));
        PlanView view = laid(student, lesson, changed, Set.of());
        List<String> changes = running.differenceTo(running.with(view), drills.of(student.coachId()));
        if (changes.isEmpty()) return false;
        plans.goOn(planId, changed, view);
        lessons.planChanged(lesson.id());
        plans.remember(planId, running.revision() + 1, again.why(), changes);
        plans.ofLesson(lesson.id()).filter(p -> !p.assigned()).ifPresent(draft -> follow(student, lesson, draft));
        events.publishEvent(new StudentChanged(student.id()));
        return true;
    }

    /** A draft that no longer fits stays as it was: whoever hands it over is told. */
    private void follow(StoredStudent student, StoredLesson lesson, StoredPlan draft) {
        try {
            lay(student, lesson, requests.withoutStopped(student.id(), draft.terms()), Set.of());
        } catch (Invalid | Conflict doesNotFit) {
            LOG.info("The draft of plan {} was not laid again: it does not fit any more.", draft.id());
        }
    }

    /**
     * Gives up a lesson's draft.
     *
     * @throws NotFound if there is none
     */
    @Transactional
    void throwAway(Account coach, UUID lessonId) {
        lessons.toChange(coach, lessonId);
        StoredPlan draft = plans.ofLesson(lessonId)
                .filter(plan -> !plan.assigned())
                .orElseThrow(() -> new NotFound("draft of this plan"));
        plans.drop(draft.id());
        lessons.planChanged(lessonId);
    }

    private StoredPlan assigned(UUID planId) {
        return plans.byId(planId).filter(StoredPlan::assigned).orElseThrow(() -> new NotFound("plan"));
    }
}
