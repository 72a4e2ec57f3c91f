package app.hodegon.server.progress;

import app.hodegon.core.progress.Proposal;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.account.Account;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.lesson.Stage;
import app.hodegon.server.progress.ProgressView.AnswerView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What changed since the last lesson, what is proposed, two lessons side by side, and a student's whole thread. */
@RestController
@RequestMapping("/api")
class ProgressController {

    private final ProgressService progress;
    private final StageService stages;
    private final ThreadService threads;
    private final Proposals proposals;

    ProgressController(ProgressService progress, StageService stages, ThreadService threads, Proposals proposals) {
        this.progress = progress;
        this.stages = stages;
        this.threads = threads;
        this.proposals = proposals;
    }

    /**
     * @param proposed what the coach saw proposed
     * @param answer taken, changed or refused
     * @param instead what is done where it is changed; null else
     * @param reason needed unless it is taken
     */
    record AnswerEntry(
            @NotNull @Size(max = 20) String proposed,
            @NotNull @Size(max = 10) String answer,
            @Size(max = 20) String instead,
            @NotNull @Size(max = 500) String reason) {}

    @GetMapping("/lessons/{id}/progress")
    ProgressView since(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID id,
            @RequestParam(name = "for", defaultValue = "coach") @Size(max = 10) String reader) {
        return progress.view(coach, id, reader(reader));
    }

    private static Reader reader(String id) {
        return Invalid.in("for", () -> Identified.of(Reader.class, id));
    }

    /** What each stage of the lesson brought, in order, and all of them as a ladder. */
    @GetMapping("/lessons/{id}/tried")
    StagesView tried(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return stages.view(coach, id);
    }

    @PutMapping("/lessons/{id}/proposal")
    AnswerView answer(
            @AuthenticationPrincipal Account coach, @PathVariable UUID id, @Valid @RequestBody AnswerEntry entry) {
        return proposals.answer(
                coach,
                id,
                Invalid.in("proposed", () -> Identified.of(Proposal.Kind.class, entry.proposed())),
                Invalid.in("answer", () -> Identified.of(Answer.class, entry.answer())),
                entry.instead(),
                entry.reason());
    }

    @DeleteMapping("/lessons/{id}/proposal")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeBack(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        proposals.takeBack(coach, id);
    }

    @GetMapping("/proposals")
    ProposalRecordView record(@AuthenticationPrincipal Account coach) {
        return proposals.record(coach);
    }

    @GetMapping("/students/{id}/thread")
    ThreadView thread(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "12") @Min(1) @Max(500) int last,
            @RequestParam(name = "for", defaultValue = "coach") @Size(max = 10) String reader) {
        return threads.thread(coach, id, last, reader(reader));
    }

    /**
     * @param firstAt and secondAt: before or after
     */
    @GetMapping("/students/{id}/compare")
    CompareView compare(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID id,
            @RequestParam UUID first,
            @RequestParam(defaultValue = "before") @Size(max = 10) String firstAt,
            @RequestParam UUID second,
            @RequestParam(defaultValue = "before") @Size(max = 10) String secondAt) {
        return progress.compare(coach, id, first, stage("firstAt", firstAt), second, stage("secondAt", secondAt));
    }

    private static Stage stage(String field, String id) {
        return Invalid.in(field, () -> Identified.of(Stage.class, id));
    }
}
