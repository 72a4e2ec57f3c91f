package app.hodegon.server.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.server.account.Account;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.plan.PlanTerms.ChosenEntry;
import app.hodegon.server.plan.PlanTerms.EditsEntry;
import app.hodegon.server.plan.PlanTerms.StepEntry;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plans kept as starting points and fitted afresh to other students by the planner. */
@Service
class Templates {

    private final TemplateRepository templates;
    private final Plans plans;
    private final PlanDrafts drafts;
    private final PlanOffers offers;
    private final Lessons lessons;

    Templates(TemplateRepository templates, Plans plans, PlanDrafts drafts, PlanOffers offers, Lessons lessons) {
        this.templates = templates;
        this.plans = plans;
        this.drafts = drafts;
        this.offers = offers;
        this.lessons = lessons;
    }

    List<StoredTemplate> ofCoach(Account coach) {
        return templates.ofCoach(coach.id());
    }

    /** Keeps what a lesson's plan chose for each rung, without its days. */
    @Transactional
    StoredTemplate keep(Account coach, UUID lessonId, String name) {
        lessons.ofCoach(coach, lessonId);
        StoredPlan plan = plans.ofLesson(coach, lessonId).orElseThrow(() -> new NotFound("plan"));
        int days = (int) ChronoUnit.DAYS.between(plan.from(), plan.nextLesson());
        UUID id = templates.add(coach.id(), name.strip(), days, chosenIn(plan));
        return templates.ofCoach(coach.id(), id).orElseThrow();
    }

    /**
     * A draft from a template: of its drills those are kept that this student may do for this lesson's focus, and the
     * planner chooses the others.
     */
    @Transactional
    StoredPlan use(Account coach, UUID lessonId, UUID templateId) {
        StoredTemplate template = templates.ofCoach(coach.id(), templateId).orElseThrow(() -> new NotFound("template"));
        StoredLesson lesson = lessons.toChange(coach, lessonId);
        LocalDate from = lesson.heldOn().plusDays(1);
        return fitted(coach, lesson, PlanTerms.between(from, from.plusDays(template.days())), template.edits());
    }

    /** What a plan chose for each rung and which it left out, without what belongs to its days. */
    static EditsEntry chosenIn(StoredPlan plan) {
        return edits(
                plan.plan().route().stream()
                        .map(s -> new ChosenEntry(s.fault(), s.rung(), s.drill(), false))
                        .toList(),
                plan.terms().edits().skipped());
    }

    private static EditsEntry edits(List<ChosenEntry> chosen, List<StepEntry> skipped) {
        return new EditsEntry(List.of(), List.of(), chosen, skipped, null, null, null, null, null);
    }

    /** A draft with those of these drills that this student may do for the lesson's focus; the planner chooses the others. */
    StoredPlan fitted(Account coach, StoredLesson lesson, PlanTerms bare, EditsEntry wanted) {
        Set<String> focus = lesson.focus().stream().map(Fault::id).collect(Collectors.toSet());
        return drafts.draft(
                coach,
                lesson.id(),
                bare.with(edits(
                        offers.fitting(coach, lesson, bare, wanted.chosen()),
                        wanted.skipped().stream()
                                .filter(s -> focus.contains(s.fault()))
                                .toList())));
    }

    @Transactional
    void share(Account coach, UUID id, boolean shared) {
        if (templates.share(coach.id(), id, shared) == 0) throw new NotFound("template of yours");
    }

    @Transactional
    void delete(Account coach, UUID id) {
        if (templates.delete(coach.id(), id) == 0) throw new NotFound("template");
    }
}
