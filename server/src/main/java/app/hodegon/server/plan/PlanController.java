package app.hodegon.server.plan;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Planner;
import app.hodegon.core.practice.LayAgain;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.SwingLength;
import app.hodegon.server.account.Account;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.http.Stale;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.student.Students;
import app.hodegon.server.zone.Today;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Drafting and handing over plans. */
@RestController
@RequestMapping("/api")
class PlanController {

    private final Plans plans;
    private final PlanDrafts drafts;
    private final PlanOffers offers;
    private final Groups groups;
    private final Lessons lessons;
    private final Students students;
    private final Today today;

    PlanController(
            Plans plans,
            PlanDrafts drafts,
            PlanOffers offers,
            Groups groups,
            Lessons lessons,
            Students students,
            Today today) {
        this.groups = groups;
        this.plans = plans;
        this.drafts = drafts;
        this.offers = offers;
        this.lessons = lessons;
        this.students = students;
        this.today = today;
    }

    private static final String NOTHING_CHANGES =
            "Nothing would change: the days left stay as they are, or a draft of the plan is open.";

    @GetMapping("/lessons/{lessonId}/plan")
    StoredPlan ofLesson(@AuthenticationPrincipal Account coach, @PathVariable UUID lessonId) {
        return plans.ofLesson(coach, lessonId).orElseThrow(() -> new NotFound("plan"));
    }

    @PutMapping("/lessons/{lessonId}/plan")
    StoredPlan draft(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID lessonId,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String seen,
            @Valid @RequestBody PlanTerms terms) {
        return drafts.draft(coach, lessonId, Stale.version(seen), terms);
    }

    /** Gives up the draft as a whole; the plan that the student has stays. */
    @DeleteMapping("/lessons/{lessonId}/plan")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void throwAway(@AuthenticationPrincipal Account coach, @PathVariable UUID lessonId) {
        drafts.throwAway(coach, lessonId);
    }

    /** The days on which the plan of this lesson was practised. */
    @GetMapping("/lessons/{lessonId}/plan/practised")
    List<LocalDate> practised(@AuthenticationPrincipal Account coach, @PathVariable UUID lessonId) {
        lessons.ofCoach(coach, lessonId);
        return plans.practised(lessonId);
    }

    /** The days up to today of the plan a student has, the latest first. */
    @GetMapping("/students/{studentId}/planned")
    List<PlannedDay> planned(@AuthenticationPrincipal Account coach, @PathVariable UUID studentId) {
        students.ofCoach(coach, studentId);
        return plans.planned(studentId, today.ofStudent(studentId));
    }

    /**
     * @param sameDays whether on the plan's weekdays; else in the student's own week
     */
    record GroupEntry(@NotNull Boolean sameDays) {}

    /** Drafts what this plan has for another student too, or for the same one again. */
    @PostMapping("/lessons/{lessonId}/plan/also/{studentId}")
    Groups.GroupPlanView also(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID lessonId,
            @PathVariable UUID studentId,
            @Valid @RequestBody GroupEntry entry) {
        return groups.lay(coach, lessonId, studentId, entry.sameDays());
    }

    @GetMapping("/lessons/{lessonId}/plan/offers")
    OffersView offers(@AuthenticationPrincipal Account coach, @PathVariable UUID lessonId) {
        return offers.offers(coach, lessonId);
    }

    record AlternativeView(@NotNull String drill, @NotNull String why) {

        static List<AlternativeView> of(List<Planner.Alternative> all) {
            return all.stream()
                    .map(a -> new AlternativeView(a.drill(), a.why()))
                    .toList();
        }
    }

    @GetMapping("/lessons/{lessonId}/plan/alternatives")
    List<AlternativeView> alternatives(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID lessonId,
            @RequestParam @Size(max = 40) String fault,
            @RequestParam @Size(max = 20) String rung) {
        return AlternativeView.of(offers.alternatives(
                coach,
                lessonId,
                Invalid.in("fault", () -> Identified.of(Fault.class, fault)),
                Invalid.in("rung", () -> Identified.of(Rung.class, rung))));
    }

    /** Drills that could be done at once with this one on a rung. */
    @GetMapping("/lessons/{lessonId}/plan/partners")
    List<AlternativeView> partners(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID lessonId,
            @RequestParam @Size(max = 60) String drill,
            @RequestParam @Size(max = 20) String rung) {
        return AlternativeView.of(offers.partners(
                coach, lessonId, drill, Invalid.in("rung", () -> Identified.of(Rung.class, rung))));
    }

    /**
     * A part of a climb in the lesson.
     *
     * @param length id of the swing's length; null for a drill without a ball
     */
    record ClimbPartView(
            @NotNull String drill,
            @NotNull String rung,
            @NotNull String label,
            String length,
            @NotNull int minutes,
            @NotNull String why) {

        static ClimbPartView of(Planner.ClimbPart part) {
            Rung rung = part.step().rung();
            return new ClimbPartView(
                    part.step().drill(),
                    rung.id(),
                    rung.label(),
                    part.length().map(SwingLength::id).orElse(null),
                    part.minutes(),
                    part.step().why());
        }
    }

    /** The climb that the coach can lead within this lesson; empty where nothing to swing is chosen or found. */
    @GetMapping("/lessons/{lessonId}/climb")
    List<ClimbPartView> climb(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID lessonId,
            @RequestParam(defaultValue = "30") int minutes) {
        return drafts.climb(coach, lessonId, minutes).stream()
                .map(ClimbPartView::of)
                .toList();
    }

    @GetMapping(value = "/plans/{id}/calendar.ics", produces = "text/calendar")
    ResponseEntity<String> calendar(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return plans.calendar(plans.ofCoach(coach, id));
    }

    /** What a smaller plan would ask for; nothing is stored. */
    @GetMapping("/plans/{id}/smaller")
    SmallerView smaller(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return drafts.smaller(plans.ofCoach(coach, id));
    }

    /** The coach has it on paper now, as it stands. */
    @PostMapping("/plans/{id}/printed")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void printed(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        plans.printed(coach, id);
    }

    /**
     * @param smaller whether each day asks for less from now on; null for as it is
     */
    record LayAgainEntry(Boolean smaller) {}

    /** Lays the days left again at once, for a student who did less than planned. */
    @PostMapping("/plans/{id}/laid-again")
    StoredPlan layAgain(
            @AuthenticationPrincipal Account coach, @PathVariable UUID id, @Valid @RequestBody LayAgainEntry entry) {
        StoredPlan plan = plans.ofCoach(coach, id);
        if (!plan.nextLesson().isAfter(plan.today())) throw new Conflict(PlanDrafts.OVER);
        String reason = entry.smaller == null
                ? "Your coach laid the days left again."
                : entry.smaller ? "Your coach made the plan smaller." : "Your coach gave the plan its minutes back.";
        boolean changed = drafts.layAgain(
                id,
                terms -> entry.smaller == null ? terms : terms.smaller(entry.smaller),
                request -> LayAgain.because(reason, request));
        if (!changed) throw new Conflict(NOTHING_CHANGES);
        return plans.ofCoach(coach, id);
    }

    @GetMapping("/plans/{id}/laid-again")
    List<Relaid> laidAgain(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        plans.ofCoach(coach, id);
        return plans.relaid(id);
    }

    @PostMapping("/plans/{id}/assignment")
    StoredPlan assign(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return plans.assign(coach, id);
    }
}
