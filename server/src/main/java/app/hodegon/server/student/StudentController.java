package app.hodegon.server.student;

import app.hodegon.server.account.Account;
import app.hodegon.server.account.SessionController;
import app.hodegon.server.http.Stale;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Students and their invitations. */
@RestController
@RequestMapping("/api")
class StudentController {

    private final Students students;
    private final SessionController sessions;

    StudentController(Students students, SessionController sessions) {
        this.students = students;
        this.sessions = sessions;
    }

    /**
     * @param adult which adult knows that a junior practises; null while not said
     * @param version to be named when it is changed
     * @param coachId whose student it is
     * @param own whether the coach who asks may do with it what its coach may
     */
    record StudentView(
            @NotNull UUID id,
            @NotNull boolean signedUp,
            @NotNull StudentEntry profile,
            String adult,
            @NotNull int version,
            @NotNull UUID coachId,
            @NotNull boolean own) {

        static StudentView of(StoredStudent student, boolean own) {
            return new StudentView(
                    student.id(),
                    student.signedUp(),
                    StudentEntry.of(
                            student.name(), student.complaint(), student.units(), student.profile(), student.figure()),
                    student.adult().orElse(null),
                    student.version(),
                    student.coachId(),
                    own);
        }
    }

    private StudentView view(Account coach, StoredStudent student) {
        return StudentView.of(student, students.isOwn(coach, student));
    }

    /**
     * @param token to be put behind the address of the sign-up page; shown once
     */
    record Invitation(@NotNull String token) {}

    record InvitationView(@NotNull String student, @NotNull String coach) {}

    record Acceptance(
            @NotBlank @Email @Size(max = 200) String email,

            @NotBlank @Size(min = Account.SHORTEST_PASSWORD, max = Account.LONGEST_PASSWORD)
            String password) {}

    @GetMapping("/students")
    List<RosterLine> list(@AuthenticationPrincipal Account coach) {
        return students.roster(coach);
    }

    @PostMapping("/students")
    @ResponseStatus(HttpStatus.CREATED)
    StudentView add(@AuthenticationPrincipal Account coach, @Valid @RequestBody StudentEntry entry) {
        return view(coach, students.add(coach, entry));
    }

    @GetMapping("/students/{id}")
    StudentView get(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return view(coach, students.ofCoach(coach, id));
    }

    @PutMapping("/students/{id}")
    StudentView update(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID id,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String seen,
            @Valid @RequestBody StudentEntry entry) {
        return view(coach, students.update(coach, id, Stale.version(seen), entry));
    }

    record StandInEntry(@NotNull UUID coachId, @NotNull LocalDate until) {}

    /** Who stands in for this student's coach. */
    @GetMapping("/students/{id}/stand-ins")
    List<StandIn> standIns(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return students.standIns(coach, id);
    }

    @PostMapping("/students/{id}/stand-ins")
    List<StandIn> letStandIn(
            @AuthenticationPrincipal Account coach, @PathVariable UUID id, @Valid @RequestBody StandInEntry entry) {
        return students.letStandIn(coach, id, entry.coachId(), entry.until());
    }

    @DeleteMapping("/students/{id}/stand-ins/{coachId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endStandIn(@AuthenticationPrincipal Account coach, @PathVariable UUID id, @PathVariable UUID coachId) {
        students.endStandIn(coach, id, coachId);
    }

    /** What other coaches did with a student, the latest first. */
    @GetMapping("/students/{id}/accesses")
    List<Access> accesses(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return students.accesses(coach, id);
    }

    @PostMapping("/students/{id}/invitation")
    @ResponseStatus(HttpStatus.CREATED)
    Invitation invite(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return new Invitation(students.invite(coach, id));
    }

    /** For a student who lost the password. */
    @PostMapping("/students/{id}/password-link")
    @ResponseStatus(HttpStatus.CREATED)
    Invitation passwordLink(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return new Invitation(students.passwordLink(coach, id));
    }

    @GetMapping("/invitations/{token}")
    InvitationView invitation(@PathVariable String token) {
        StudentRepository.Invited invited = students.invited(token);
        return new InvitationView(invited.name(), invited.coach());
    }

    @PostMapping("/invitations/{token}")
    @ResponseStatus(HttpStatus.CREATED)
    SessionController.SessionView accept(
            @PathVariable String token,
            @Valid @RequestBody Acceptance acceptance,
            HttpServletRequest request,
            HttpServletResponse response) {
        return sessions.enter(students.accept(token, acceptance.email(), acceptance.password()), request, response);
    }
}
