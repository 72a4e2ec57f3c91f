package app.hodegon.server.student;

import app.hodegon.server.account.Account;
import app.hodegon.server.account.SessionController;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
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
     */
    record StudentView(
            @NotNull UUID id,
            @NotNull boolean signedUp,
            @NotNull StudentEntry profile,
            String adult) {

        static StudentView of(StoredStudent student) {
            return new StudentView(
                    student.id(),
                    student.signedUp(),
                    StudentEntry.of(student.name(), student.complaint(), student.units(), student.profile()),
                    student.adult().orElse(null));
        }
    }

    /**
     * @param token to be put behind the address of the sign-up page; shown once
     */
    record Invitation(@NotNull String token) {}

    record InvitationView(@NotNull String student, @NotNull String coach) {}

    record Acceptance(
            @NotBlank @Email @Size(max = 200) String email,
            @NotBlank @Size(min = 8, max = 72) String password) {}

    @GetMapping("/students")
    List<RosterLine> list(@AuthenticationPrincipal Account coach) {
        return students.roster(coach);
    }

    @PostMapping("/students")
    @ResponseStatus(HttpStatus.CREATED)
    StudentView add(@AuthenticationPrincipal Account coach, @Valid @RequestBody StudentEntry entry) {
        return StudentView.of(students.add(coach, entry));
    }

    @GetMapping("/students/{id}")
    StudentView get(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return StudentView.of(students.ofCoach(coach, id));
    }

    @PutMapping("/students/{id}")
    StudentView update(
            @AuthenticationPrincipal Account coach, @PathVariable UUID id, @Valid @RequestBody StudentEntry entry) {
        return StudentView.of(students.update(coach, id, entry));
    }

    @PostMapping("/students/{id}/invitation")
    @ResponseStatus(HttpStatus.CREATED)
    Invitation invite(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return new Invitation(students.invite(coach, id));
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
