package app.hodegon.server.attention;

import app.hodegon.core.plan.Gates;
import app.hodegon.core.practice.Feel;
import app.hodegon.server.account.Account;
import app.hodegon.server.gate.StudentGates;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.plan.Done;
import app.hodegon.server.plan.Plans;
import app.hodegon.server.plan.Plans.LessonDue;
import app.hodegon.server.practice.DayDone;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.practice.RungStanding;
import app.hodegon.server.student.Students;
import app.hodegon.server.zone.Today;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
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
    private final Today today;

    TodayController(
            Attentions attentions,
            Plans plans,
            PracticeLog practice,
            Students students,
            StudentGates gates,
            Today today) {
        this.attentions = attentions;
        this.plans = plans;
        this.practice = practice;
        this.students = students;
        this.gates = gates;
        this.today = today;
    }

    /**
     * @param students how many this coach has
     * @param attention the most urgent
     * @param waiting how many there are
     */
    record CoachsDay(
            @NotNull LocalDate date,
            @NotNull int students,
            @NotNull List<DueView> lessons,
            @NotNull List<AttentionView> attention,
            @NotNull int waiting) {}

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
    CoachsDay day(
            @AuthenticationPrincipal Account coach, @RequestParam(defaultValue = "50") @Min(1) @Max(10_000) int most) {
        LocalDate today = this.today.ofCoach(coach.id());
        List<LessonDue> due = plans.lessonsOn(coach.id(), today);
        List<UUID> ids = due.stream().map(d -> d.plan().id()).toList();
        var days = practice.days(ids);
        var checks = practice.checks(ids);
        var own = gates.of(due.stream().map(LessonDue::studentId).toList());
        Attentions.Due attention = attentions.due(coach.id(), today, most);
        return new CoachsDay(
                today,
                students.count(coach),
                due.stream()
                        .map(d -> view(
                                d,
                                days.getOrDefault(d.plan().id(), List.of()),
                                RungStanding.of(
                                        checks.getOrDefault(d.plan().id(), List.of()),
                                        own.getOrDefault(d.studentId(), Gates.STANDARD)),
                                today))
                        .toList(),
                attention.first(),
                attention.all());
    }

    private static DueView view(LessonDue due, List<DayDone> days, List<RungStanding> rungs, LocalDate today) {
        return new DueView(
                due.studentId(),
                due.student(),
                due.focus(),
                due.lessonToday().orElse(null),
                Done.of(due.plan().planned(), days, today),
                days.stream()
                        .flatMap(d -> d.feel().stream())
                        .reduce((earlier, later) -> later)
                        .map(Feel::value)
                        .orElse(null),
                rungs);
    }

    /** The coach has looked: it stays off the list until something new of its kind happens. */
    @PostMapping("/seen")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void seen(@AuthenticationPrincipal Account coach, @Valid @RequestBody SeenEntry entry) {
        if (!attentions.see(coach, entry.studentId, entry.kind, entry.key)) throw new NotFound("entry of that kind");
    }
}
