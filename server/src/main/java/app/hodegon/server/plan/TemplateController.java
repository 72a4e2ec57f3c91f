package app.hodegon.server.plan;

import app.hodegon.server.account.Account;
import app.hodegon.server.http.Plain;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Plans kept as starting points. */
@RestController
@RequestMapping("/api")
class TemplateController {

    private final Templates templates;

    TemplateController(Templates templates) {
        this.templates = templates;
    }

    /**
     * @param lessonId whose plan is kept
     */
    record TemplateEntry(
            @NotNull UUID lessonId,
            @NotBlank @Plain @Size(max = 80) String name) {}

    @GetMapping("/templates")
    List<StoredTemplate> list(@AuthenticationPrincipal Account coach) {
        return templates.ofCoach(coach);
    }

    @PostMapping("/templates")
    @ResponseStatus(HttpStatus.CREATED)
    StoredTemplate keep(@AuthenticationPrincipal Account coach, @Valid @RequestBody TemplateEntry entry) {
        return templates.keep(coach, entry.lessonId(), entry.name());
    }

    /** Drafts this lesson's plan from a template. */
    @PutMapping("/lessons/{lessonId}/plan/template/{id}")
    StoredPlan use(@AuthenticationPrincipal Account coach, @PathVariable UUID lessonId, @PathVariable UUID id) {
        return templates.use(coach, lessonId, id);
    }

    record SharingEntry(@NotNull Boolean shared) {}

    /** Lets the other coaches of the house begin from it, or not any more. */
    @PutMapping("/templates/{id}/shared")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void share(@AuthenticationPrincipal Account coach, @PathVariable UUID id, @Valid @RequestBody SharingEntry entry) {
        templates.share(coach, id, entry.shared());
    }

    @DeleteMapping("/templates/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        templates.delete(coach, id);
    }
}
