package app.hodegon.server.progress;

import app.hodegon.server.account.Account;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What changed since the last lesson, and a student's whole thread. */
@RestController
class ProgressController {

    private final ProgressService progress;

    ProgressController(ProgressService progress) {
        this.progress = progress;
    }

    @GetMapping("/api/lessons/{id}/progress")
    ProgressView since(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return progress.since(coach, id);
    }

    @GetMapping("/api/students/{id}/thread")
    ThreadView thread(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "12") @Min(1) @Max(500) int last) {
        return progress.thread(coach, id, last);
    }
}
