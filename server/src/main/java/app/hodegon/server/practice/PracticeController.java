package app.hodegon.server.practice;

import app.hodegon.server.account.Account;
import app.hodegon.server.gate.StudentGates;
import app.hodegon.server.student.Students;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The coach's look at a student's practice. */
@RestController
@RequestMapping("/api/students/{studentId}")
class PracticeController {

    private static final int PAGE = 20;

    private final PracticeLog practice;
    private final Students students;
    private final StudentGates gates;

    PracticeController(PracticeLog practice, Students students, StudentGates gates) {
        this.practice = practice;
        this.students = students;
        this.gates = gates;
    }

    /**
     * @param sessions of this page, latest first
     * @param all how many sessions there are
     * @param stopped drills stopped for pain
     */
    record PracticeView(
            @NotNull List<PracticeSessionView> sessions,
            @NotNull int all,
            @NotNull List<RungStanding> rungs,
            @NotNull List<String> stopped) {}

    @GetMapping("/practice")
    PracticeView practice(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID studentId,
            @RequestParam(defaultValue = "0") @Min(0) @Max(10_000) int page) {
        students.ofCoach(coach, studentId);
        return new PracticeView(
                practice.page(studentId, page * PAGE, PAGE).stream()
                        .map(PracticeSessionView::of)
                        .toList(),
                practice.count(studentId),
                RungStanding.of(practice.checks(studentId), gates.of(studentId)),
                practice.stopped(studentId));
    }

    /** The coach has looked: the drill may be done again. */
    @DeleteMapping("/stops/{drill}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void lift(@AuthenticationPrincipal Account coach, @PathVariable UUID studentId, @PathVariable String drill) {
        students.ofCoach(coach, studentId);
        practice.lift(studentId, drill);
    }
}
