package app.hodegon.server.note;

import app.hodegon.core.practice.PracticeSession;
import app.hodegon.server.account.Account;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.student.StudentChanged;
import app.hodegon.server.student.Students;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Notes from practice and the few words that go back and forth about them. */
@RestController
class NoteController {

    private static final int SHOWN = 20;

    private final NoteRepository notes;
    private final Students students;
    private final ApplicationEventPublisher events;

    NoteController(NoteRepository notes, Students students, ApplicationEventPublisher events) {
        this.notes = notes;
        this.students = students;
        this.events = events;
    }

    record AnswerEntry(
            @NotBlank @Size(max = PracticeSession.LONGEST_NOTE)
            String said) {}

    @GetMapping("/api/students/{studentId}/notes")
    List<NoteThread> ofStudent(@AuthenticationPrincipal Account coach, @PathVariable UUID studentId) {
        students.ofCoach(coach, studentId);
        return notes.latest(studentId, SHOWN);
    }

    @Transactional
    @PostMapping("/api/students/{studentId}/notes/{session}/answers")
    List<NoteThread> coachAnswers(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID studentId,
            @PathVariable UUID session,
            @Valid @RequestBody AnswerEntry entry) {
        students.toChange(coach, studentId);
        return add(studentId, session, true, entry);
    }

    @GetMapping("/api/me/notes")
    List<NoteThread> own(@AuthenticationPrincipal Account account) {
        return notes.latest(students.self(account).id(), SHOWN);
    }

    @Transactional
    @PostMapping("/api/me/notes/{session}/answers")
    List<NoteThread> studentAnswers(
            @AuthenticationPrincipal Account account,
            @PathVariable UUID session,
            @Valid @RequestBody AnswerEntry entry) {
        UUID student = students.self(account).id();
        students.lock(student);
        return add(student, session, false, entry);
    }

    private List<NoteThread> add(UUID student, UUID session, boolean byCoach, AnswerEntry entry) {
        if (!notes.isNote(student, session)) throw new NotFound("note");
        notes.add(session, byCoach, entry.said.strip());
        events.publishEvent(new StudentChanged(student));
        return notes.latest(student, SHOWN);
    }
}
