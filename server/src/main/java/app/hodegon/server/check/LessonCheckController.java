package app.hodegon.server.check;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.account.Account;
import app.hodegon.server.http.Invalid;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The check with which a lesson begins. */
@RestController
@RequestMapping("/api/lessons/{lessonId}/checks")
class LessonCheckController {

    private final LessonChecks checks;

    LessonCheckController(LessonChecks checks) {
        this.checks = checks;
    }

    /**
     * @param good good balls of ten
     */
    record ScoreEntry(@NotNull @Min(0) @Max(10) Integer good) {}

    @GetMapping
    List<LessonCheckView> of(@AuthenticationPrincipal Account coach, @PathVariable UUID lessonId) {
        return checks.of(coach, lessonId);
    }

    @PutMapping("/{fault}")
    List<LessonCheckView> score(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID lessonId,
            @PathVariable String fault,
            @Valid @RequestBody ScoreEntry entry) {
        checks.score(coach, lessonId, fault(fault), entry.good);
        return checks.of(coach, lessonId);
    }

    @DeleteMapping("/{fault}")
    List<LessonCheckView> takeBack(
            @AuthenticationPrincipal Account coach, @PathVariable UUID lessonId, @PathVariable String fault) {
        checks.takeBack(coach, lessonId, fault(fault));
        return checks.of(coach, lessonId);
    }

    private static Fault fault(String id) {
        return Invalid.in("fault", () -> Identified.of(Fault.class, id));
    }
}
