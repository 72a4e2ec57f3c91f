package app.hodegon.server.trace;

import app.hodegon.core.swing.Identified;
import app.hodegon.server.account.Account;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.lesson.Stage;
import app.hodegon.server.trace.SwingsView.CurveView;
import app.hodegon.server.trace.SwingsView.EarlierSwings;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Swings measured in a lesson. */
@RestController
@RequestMapping("/api")
class SwingController {

    private final Swings swings;

    SwingController(Swings swings) {
        this.swings = swings;
    }

    /** @param state heard, kept or thrown */
    record Decision(
            @NotNull @Size(max = 10) String state,
            @NotNull @Size(max = 10) String stage) {}

    /** @param moments seconds from the first sample by checkpoint; null gives a moment back */
    record Moved(@NotNull @Size(max = 8) Map<@Size(max = 20) String, Double> moments) {}

    record OwnSpread(@NotNull Boolean own) {}

    @GetMapping("/lessons/{lessonId}/swings")
    SwingsView ofLesson(@AuthenticationPrincipal Account coach, @PathVariable UUID lessonId) {
        return swings.ofLesson(coach, lessonId);
    }

    @GetMapping("/lessons/{lessonId}/earlier-swings")
    List<EarlierSwings> earlier(@AuthenticationPrincipal Account coach, @PathVariable UUID lessonId) {
        return swings.earlier(coach, lessonId);
    }

    @PutMapping("/lessons/{lessonId}/own-spread")
    SwingsView ownSpread(
            @AuthenticationPrincipal Account coach, @PathVariable UUID lessonId, @Valid @RequestBody OwnSpread own) {
        return swings.ownSpread(coach, lessonId, own.own());
    }

    @GetMapping("/swings/{id}/curve")
    CurveView curve(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return swings.curve(coach, id);
    }

    @GetMapping(path = "/swings/{id}/loads", produces = "text/csv")
    ResponseEntity<String> loads(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"swing.csv\"")
                .body(swings.csv(coach, id));
    }

    @DeleteMapping("/trace-files/{file}")
    SwingsView takeOut(@AuthenticationPrincipal Account coach, @PathVariable UUID file) {
        return swings.takeOut(coach, file);
    }

    @PutMapping("/swings/{id}/state")
    SwingsView decide(
            @AuthenticationPrincipal Account coach, @PathVariable UUID id, @Valid @RequestBody Decision decision) {
        Stage stage = Invalid.in("stage", () -> Identified.of(Stage.class, decision.stage()));
        return swings.decide(coach, id, decision.state(), stage);
    }

    @PutMapping("/swings/{id}/moments")
    SwingsView move(@AuthenticationPrincipal Account coach, @PathVariable UUID id, @Valid @RequestBody Moved moved) {
        return swings.move(coach, id, moved.moments());
    }
}
