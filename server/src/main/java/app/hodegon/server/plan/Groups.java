package app.hodegon.server.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.DrillLibrary;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.account.Account;
import app.hodegon.server.drill.Drills;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.plan.PlanTerms.ChosenEntry;
import app.hodegon.server.plan.PlanView.LeftOutView;
import app.hodegon.server.plan.PlanView.StepView;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.StudentEntry;
import app.hodegon.server.student.Students;
import app.hodegon.server.zone.Today;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The drills and days of one student's plan for others too, each fitted to the one student by the planner. */
@Service
class Groups {

    private static final String WHY = "In a group: the same for all.";

    private final Plans plans;
    private final Templates templates;
    private final Lessons lessons;
    private final Students students;
    private final Drills drills;
    private final Today today;

    Groups(Plans plans, Templates templates, Lessons lessons, Students students, Drills drills, Today today) {
        this.plans = plans;
        this.templates = templates;
        this.lessons = lessons;
        this.students = students;
        this.drills = drills;
        this.today = today;
    }

    /**
     * A draft for one of a group.
     *
     * @param lesson of today, begun for it where there was none
     * @param kept rungs with the same drill
     * @param of rungs that the plan it was made after has
     * @param otherwise a sentence for each rung that is otherwise
     */
    record GroupPlanView(
            @NotNull UUID student,
            @NotNull UUID lesson,
            @NotNull UUID plan,
            @NotNull int kept,
            @NotNull int of,
            @NotNull List<String> otherwise) {}

    /**
     * Drafts for this student what a lesson's plan has, as long, from tomorrow on.
     *
     * @param sameDays whether on that plan's weekdays; else in the student's own week
     * @throws Conflict if the student works on something else today
     */
    @Transactional
    GroupPlanView lay(Account coach, UUID lessonId, UUID studentId, boolean sameDays) {
        StoredLesson from = lessons.ofCoach(coach, lessonId);
        StoredPlan source = plans.ofLesson(coach, lessonId).orElseThrow(() -> new NotFound("plan"));
        StoredStudent first = students.ofCoach(coach, from.studentId());
        StoredStudent student = students.toChange(coach, studentId);
        StoredLesson lesson = ofToday(coach, student, from.focus());
        LocalDate begins = lesson.heldOn().plusDays(1);
        PlanTerms terms =
                PlanTerms.between(begins, begins.plusDays(ChronoUnit.DAYS.between(source.from(), source.nextLesson())));
        if (sameDays) {
            terms = terms.in(
                    source.terms().week() != null
                            ? source.terms().week()
                            : StudentEntry.slots(first.profile().week()));
        }
        StoredPlan plan = templates.fitted(coach, lesson, terms, Templates.chosenIn(source));
        List<ChosenEntry> wanted = Templates.chosenIn(source).chosen().stream()
                .filter(c -> lesson.focus().stream().anyMatch(f -> f.id().equals(c.fault())))
                .toList();
        List<String> otherwise = otherwise(wanted, plan, student);
        return new GroupPlanView(
                studentId, lesson.id(), plan.id(), wanted.size() - otherwise.size(), wanted.size(), otherwise);
    }

    private StoredLesson ofToday(Account coach, StoredStudent student, List<Fault> focus) {
        LocalDate day = today.ofCoach(coach.id());
        StoredLesson lesson = lessons.last(student.id(), 1).stream()
                .filter(l -> l.heldOn().equals(day))
                .findFirst()
                .orElseGet(() -> lessons.begin(coach, student.id(), day));
        if (lesson.focus().isEmpty()) {
            return lessons.decide(
                    coach, lesson.id(), focus.stream().map(Fault::id).toList(), WHY);
        }
        if (lesson.focus().stream().noneMatch(focus::contains)) {
            throw new Conflict("Works on something else today: "
                    + lesson.focus().stream()
                            .map(f -> student.hand().say(f.label().toLowerCase()))
                            .collect(Collectors.joining(", "))
                    + ".");
        }
        return lesson;
    }

    private List<String> otherwise(List<ChosenEntry> wanted, StoredPlan plan, StoredStudent student) {
        DrillLibrary library = drills.of(student.coachId());
        List<String> sentences = new ArrayList<>();
        for (ChosenEntry step : wanted) {
            Optional<StepView> has = plan.plan().route().stream()
                    .filter(s -> s.fault().equals(step.fault()) && s.rung().equals(step.rung()))
                    .findFirst();
            if (has.filter(s -> s.drill().equals(step.drill())).isPresent()) continue;
            String rung = Identified.of(Rung.class, step.rung()).label();
            String why = plan.plan().leftOut().stream()
                    .filter(l -> l.drill().equals(step.drill()))
                    .map(LeftOutView::reason)
                    .findFirst()
                    .map(reason -> ": " + student.hand().say(reason))
                    .orElse("");
            sentences.add(has.map(s -> "%s: %s, not %s%s"
                            .formatted(rung, name(library, s.drill()), lower(library, step.drill()), why))
                    .orElse("%s is not laid%s".formatted(rung, why)));
        }
        return sentences;
    }

    private static String name(DrillLibrary library, String drill) {
        return library.has(drill) ? library.drill(drill).name() : drill;
    }

    private static String lower(DrillLibrary library, String drill) {
        return name(library, drill).toLowerCase();
    }
}
