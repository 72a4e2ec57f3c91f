package app.hodegon.server.paper;

import app.hodegon.core.practice.PracticeSession;
import app.hodegon.server.account.Account;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.plan.PlanView.DayView;
import app.hodegon.server.plan.Plans;
import app.hodegon.server.plan.StoredPlan;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.practice.StoredSession;
import app.hodegon.server.student.Students;
import app.hodegon.server.zone.Today;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The ticks of a plan on paper, entered by the coach: one session per day, however often it is sent. */
@RestController
@RequestMapping("/api/plans/{planId}/paper")
class PaperController {

    private final Plans plans;
    private final Students students;
    private final PracticeLog practice;
    private final Today today;

    PaperController(Plans plans, Students students, PracticeLog practice, Today today) {
        this.plans = plans;
        this.students = students;
        this.practice = practice;
        this.today = today;
    }

    /**
     * @param day as planned
     * @param entry what was entered; null while nothing was
     * @param byPhone whether the student's phone told of this day already
     */
    record PaperDay(
            @NotNull DayView day, PaperEntry entry, @NotNull boolean byPhone) {}

    /** The days up to today. */
    @GetMapping
    List<PaperDay> days(@AuthenticationPrincipal Account coach, @PathVariable UUID planId) {
        StoredPlan plan = plans.ofCoach(coach, planId);
        List<PracticeSession> sessions = practice.ofPlan(planId);
        LocalDate now = today.ofStudent(plan.studentId());
        return plan.plan().days().stream()
                .filter(day -> !day.date().isAfter(now))
                .map(day -> new PaperDay(
                        day,
                        find(sessions, planId, day.date())
                                .map(s -> PaperEntry.of(s, day))
                                .orElse(null),
                        byPhone(sessions, planId, day.date())))
                .toList();
    }

    @PutMapping("/{date}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void put(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID planId,
            @PathVariable LocalDate date,
            @Valid @RequestBody PaperEntry entry) {
        StoredPlan plan = plans.ofCoach(coach, planId);
        if (!plan.assigned()) throw new Conflict("The student does not have this plan yet.");
        if (date.isAfter(today.ofStudent(plan.studentId()))) throw new Invalid("date", "This day is still to come.");
        DayView day = plan.on(date).orElseThrow(() -> new Invalid("date", "The plan has no practice on " + date + "."));
        if (byPhone(practice.ofPlan(planId), planId, date)) {
            throw new Conflict("This day came by phone already.");
        }
        practice.put(
                plan.studentId(),
                students.ofCoach(coach, plan.studentId()).profile().flags(),
                planId,
                StoredSession.of(entry.toSession(sessionId(planId, date), day)));
    }

    /** Takes back what was entered for a day. */
    @DeleteMapping("/{date}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal Account coach, @PathVariable UUID planId, @PathVariable LocalDate date) {
        StoredPlan plan = plans.ofCoach(coach, planId);
        practice.remove(plan.studentId(), sessionId(planId, date));
    }

    private static Optional<PracticeSession> find(List<PracticeSession> sessions, UUID plan, LocalDate date) {
        UUID id = sessionId(plan, date);
        return sessions.stream().filter(s -> s.id().equals(id)).findFirst();
    }

    private static boolean byPhone(List<PracticeSession> sessions, UUID plan, LocalDate date) {
        UUID paper = sessionId(plan, date);
        return sessions.stream().anyMatch(s -> s.day().equals(date) && !s.id().equals(paper));
    }

    /** A day of a plan has one sheet of paper, so its session's id follows from both. */
    private static UUID sessionId(UUID plan, LocalDate date) {
        return UUID.nameUUIDFromBytes((plan + " on paper " + date).getBytes(StandardCharsets.UTF_8));
    }
}
