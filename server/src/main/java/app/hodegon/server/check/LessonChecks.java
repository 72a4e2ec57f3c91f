package app.hodegon.server.check;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Gate;
import app.hodegon.core.practice.CheckSet;
import app.hodegon.core.practice.Ladder;
import app.hodegon.core.practice.Standing;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.account.Account;
import app.hodegon.server.gate.StudentGates;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.plan.PlanView.StepView;
import app.hodegon.server.plan.Plans;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.student.StudentChanged;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Ten scored balls at the start of a lesson: a check of the rung on which the last plan left the student. */
@Service
class LessonChecks {

    private final LessonCheckRepository checks;
    private final Lessons lessons;
    private final Plans plans;
    private final PracticeLog practice;
    private final StudentGates gates;
    private final ApplicationEventPublisher events;

    LessonChecks(
            LessonCheckRepository checks,
            Lessons lessons,
            Plans plans,
            PracticeLog practice,
            StudentGates gates,
            ApplicationEventPublisher events) {
        this.checks = checks;
        this.lessons = lessons;
        this.plans = plans;
        this.practice = practice;
        this.gates = gates;
        this.events = events;
    }

    /** What can be checked at the start of this lesson, or was; one rung for each fault that was worked on. */
    List<LessonCheckView> of(Account coach, UUID lessonId) {
        StoredLesson lesson = lessons.ofCoach(coach, lessonId);
        Map<Fault, CheckSet> scored = checks.of(lessonId);
        Map<Fault, LessonCheckView> views = new LinkedHashMap<>();
        Ladder before = Ladder.of(
                practice.checks(lesson.studentId()).stream()
                        .filter(c -> c.on().isBefore(lesson.heldOn()))
                        .toList(),
                gates.of(lesson.studentId()));
        plans.running(lesson.studentId())
                .filter(plan -> !plan.lessonId().equals(lessonId) && plan.from().isBefore(lesson.heldOn()))
                .ifPresent(plan -> plan.plan().route().forEach(step -> {
                    if (step.gate() == null) return;
                    StepId id = step.id();
                    if (!passed(before, id)) views.putIfAbsent(id.fault(), view(id, step));
                }));
        scored.forEach((fault, set) -> views.put(
                fault,
                new LessonCheckView(
                        fault.id(), set.rung().id(), set.drill(), set.good(), said(lesson.studentId(), set, before))));
        return List.copyOf(views.values());
    }

    private static LessonCheckView view(StepId id, StepView step) {
        return new LessonCheckView(id.fault().id(), id.rung().id(), step.drill(), null, null);
    }

    private static boolean passed(Ladder ladder, StepId step) {
        return ladder.on(step).filter(r -> r.standing() == Standing.PASSED).isPresent();
    }

    /** What the gate says after this check. */
    private String said(UUID student, CheckSet set, Ladder before) {
        StepId id = new StepId(set.fault(), set.rung());
        List<CheckSet> counting =
                new ArrayList<>(before.on(id).map(Ladder.RungState::counting).orElse(List.of()));
        counting.add(set);
        Gate gate = gates.of(student).of(id);
        return Standing.say(gate, set, Standing.of(gate, counting), before.hasBelow(id));
    }

    @Transactional
    void score(Account coach, UUID lessonId, Fault fault, int good) {
        StoredLesson lesson = lessons.toChange(coach, lessonId);
        LessonCheckView open = of(coach, lessonId).stream()
                .filter(v -> v.fault().equals(fault.id()))
                .findFirst()
                .orElseThrow(() -> new Invalid("fault", "No gate of this fault is open in the last plan."));
        checks.put(
                lessonId,
                CheckSet.inLesson(lesson.heldOn(), fault, open.drill(), Identified.of(Rung.class, open.rung()), good));
        events.publishEvent(new StudentChanged(lesson.studentId()));
    }

    @Transactional
    void takeBack(Account coach, UUID lessonId, Fault fault) {
        StoredLesson lesson = lessons.toChange(coach, lessonId);
        checks.remove(lessonId, fault);
        events.publishEvent(new StudentChanged(lesson.studentId()));
    }
}
