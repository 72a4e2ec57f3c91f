package app.hodegon.server.attention;

import app.hodegon.core.practice.Feel;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.server.account.Account;
import app.hodegon.server.gate.StudentGates;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.plan.Done;
import app.hodegon.server.plan.Plans;
import app.hodegon.server.plan.Plans.LessonDue;
import app.hodegon.server.plan.StoredPlan;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.practice.RungStanding;
import app.hodegon.server.student.Students;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The coach's day: its lessons, and who wants the coach between lessons. */
@RestController
@RequestMapping("/api/day")
class TodayController {

    private final Attentions attentions;
    private final Plans plans;
    private final PracticeLog practice;
    private final Students students;
    private final StudentGates gates;
    private final Clock clock;

    TodayController(
            Attentions attentions,
            Plans plans,
            PracticeLog practice,
            Students students,
            StudentGates gates,
            Clock clock) {
        this.attentions = attentions;
        this.plans = plans;
        this.practice = practice;
        this.students = students;
        this.gates = gates;
        this.clock = clock;
    }

    /**
     * @param students how many this coach has
     */
    record CoachsDay(
            @NotNull LocalDate date,
            @NotNull int students,
            @NotNull List<DueView> lessons,
            @NotNull List<AttentionView> attention) {}

    /**
     * A lesson of the day, with what was done since the one before.
     *
     * @param lessonId of the lesson begun today; null before it
     * @param feel of the last session, 1 (lost) to 5 (clear); null where none was said
     */
    record DueView(
            @NotNull UUID studentId,
            @NotNull String student,
            @NotNull List<String> focus,
            UUID lessonId,
            @NotNull Done done,
            Integer feel,
            @NotNull List<RungStanding> rungs) {}

    record SeenEntry(
            @NotNull UUID studentId,
            @NotNull @Size(max = 12) String kind,
            @NotNull @Size(max = 160) String key) {}

    @GetMapping
    CoachsDay day(@AuthenticationPrincipal Account coach) {
        LocalDate today = LocalDate.now(clock);
        return new CoachsDay(
                today,
                students.count(coach),
                plans.lessonsOn(coach.id(), today).stream()
                        .map(due -> view(due, today))
                        .toList(),
                attentions.due(coach.id(), today));
    }

    private DueView view(LessonDue due, LocalDate today) {
        StoredPlan plan = due.plan();
        List<PracticeSession> sessions = practice.ofPlan(plan.id());
        return new DueView(
                plan.studentId(),
                due.student(),
                plan.plan().route().stream().map(s -> s.fault()).distinct().toList(),
                due.lessonToday().orElse(null),
                Done.of(plan.plannedReps(), practice.reps(List.of(plan.id())).getOrDefault(plan.id(), Map.of()), today),
                sessions.stream()
                        .flatMap(s -> s.feel().stream())
                        .reduce((earlier, later) -> later)
                        .map(Feel::value)
                        .orElse(null),
                RungStanding.of(
                        sessions.stream().flatMap(s -> s.checks().stream()).toList(), gates.of(plan.studentId())));
    }

    /** The coach has looked: it stays off the list until something new of its kind happens. */
    @PostMapping("/seen")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void seen(@AuthenticationPrincipal Account coach, @Valid @RequestBody SeenEntry entry) {
        students.ofCoach(coach, entry.studentId);
        if (!attentions.see(entry.studentId, entry.kind, entry.key)) throw new NotFound("entry of that kind");
    }
}
