package app.hodegon.server.academy;

import app.hodegon.server.account.Account;
import app.hodegon.server.account.Coach;
import app.hodegon.server.account.SessionController;
import app.hodegon.server.account.SessionController.NewAccount;
import app.hodegon.server.account.SessionController.SessionView;
import app.hodegon.server.http.Plain;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
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

/** The coaches of the house and what passes between them. */
@RestController
@RequestMapping("/api")
class AcademyController {

    private final Academy academy;
    private final SessionController sessions;

    AcademyController(Academy academy, SessionController sessions) {
        this.academy = academy;
        this.sessions = sessions;
    }

    record CoachView(
            @NotNull UUID id,
            @NotNull String name,
            @NotNull boolean owner,
            @NotNull boolean you,
            @NotNull int students,
            @NotNull boolean left) {}

    /**
     * @param coaches of the house; for its owner also those who left and whose students have no other coach yet
     * @param handovers offered to or by this coach
     */
    record AcademyView(
            @NotNull List<CoachView> coaches, @NotNull List<Handover> handovers) {}

    record InvitationEntry(@NotBlank @Plain @Size(max = 100) String name) {}

    /**
     * @param token to be put behind the address of the sign-up page; shown once
     */
    record CoachInvitation(@NotNull String token) {}

    record InvitedView(@NotNull String name, @NotNull String by) {}

    record OfferEntry(
            @NotNull UUID coachId, @NotNull @Size(max = 500) String words) {}

    record CoachEntry(@NotNull UUID coachId) {}

    record Offered(@NotNull int students) {}

    @GetMapping("/academy")
    AcademyView get(@AuthenticationPrincipal Account coach) {
        Map<UUID, Integer> students = academy.studentsByCoach();
        return new AcademyView(
                Stream.concat(
                                academy.coaches().stream().map(c -> view(c, coach, students, false)),
                                academy.gone(coach).stream().map(c -> view(c, coach, students, true)))
                        .toList(),
                academy.handovers(coach));
    }

    private static CoachView view(Coach coach, Account you, Map<UUID, Integer> students, boolean left) {
        return new CoachView(
                coach.id(),
                coach.name(),
                coach.owner(),
                coach.id().equals(you.id()),
                students.getOrDefault(coach.id(), 0),
                left);
    }

    @PostMapping("/academy/invitations")
    @ResponseStatus(HttpStatus.CREATED)
    CoachInvitation invite(@AuthenticationPrincipal Account owner, @Valid @RequestBody InvitationEntry entry) {
        return new CoachInvitation(academy.invite(owner, entry.name()));
    }

    @GetMapping("/coach-invitations/{token}")
    InvitedView invited(@PathVariable String token) {
        AcademyRepository.Invited invited = academy.invited(token);
        return new InvitedView(invited.name(), invited.by());
    }

    @PostMapping("/coach-invitations/{token}")
    @ResponseStatus(HttpStatus.CREATED)
    SessionView accept(
            @PathVariable String token,
            @Valid @RequestBody NewAccount account,
            HttpServletRequest request,
            HttpServletResponse response) {
        return sessions.enter(
                academy.accept(
                        token,
                        account.email(),
                        account.password(),
                        account.name().strip()),
                request,
                response);
    }

    @PutMapping("/academy/owner")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void makeOwner(@AuthenticationPrincipal Account owner, @Valid @RequestBody CoachEntry entry) {
        academy.makeOwner(owner, entry.coachId());
    }

    /** The owner offers all students of one coach to another. */
    @PostMapping("/academy/coaches/{id}/handovers")
    Offered offerAll(
            @AuthenticationPrincipal Account owner, @PathVariable UUID id, @Valid @RequestBody CoachEntry entry) {
        return new Offered(academy.offerAll(owner, id, entry.coachId()));
    }

    @DeleteMapping("/academy/coaches/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void leave(@AuthenticationPrincipal Account by, @PathVariable UUID id) {
        academy.leave(by, id);
    }

    @PutMapping("/students/{id}/handover")
    Handover offer(
            @AuthenticationPrincipal Account coach, @PathVariable UUID id, @Valid @RequestBody OfferEntry entry) {
        return academy.offer(coach, id, entry.coachId(), entry.words());
    }

    @DeleteMapping("/students/{id}/handover")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void withdraw(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        academy.withdraw(coach, id);
    }

    @PostMapping("/students/{id}/handover/acceptance")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void accept(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        academy.accept(coach, id);
    }
}
