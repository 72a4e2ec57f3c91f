package app.hodegon.server.plan;

import app.hodegon.server.account.Account;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.lesson.Lessons;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Drafting and handing over plans. */
@RestController
@RequestMapping("/api")
class PlanController {

    private final Plans plans;
    private final Lessons lessons;

    PlanController(Plans plans, Lessons lessons) {
        this.plans = plans;
        this.lessons = lessons;
    }

    record PlanDates(@NotNull LocalDate from, @NotNull LocalDate nextLesson) {}

    @GetMapping("/lessons/{lessonId}/plan")
    StoredPlan ofLesson(@AuthenticationPrincipal Account coach, @PathVariable UUID lessonId) {
        lessons.ofCoach(coach, lessonId);
        return plans.ofLesson(lessonId).orElseThrow(() -> new NotFound("plan"));
    }

    @PostMapping("/lessons/{lessonId}/plan")
    @ResponseStatus(HttpStatus.CREATED)
    StoredPlan draft(
            @AuthenticationPrincipal Account coach, @PathVariable UUID lessonId, @Valid @RequestBody PlanDates dates) {
        return plans.draft(coach, lessonId, dates.from(), dates.nextLesson());
    }

    @PostMapping("/plans/{id}/assignment")
    StoredPlan assign(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return plans.assign(coach, id);
    }
}
