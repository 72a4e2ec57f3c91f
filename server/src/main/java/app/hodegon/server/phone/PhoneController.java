package app.hodegon.server.phone;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.plan.AgeBand;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.account.Account;
import app.hodegon.server.diagnosis.ShotsEntry;
import app.hodegon.server.gate.StudentGates;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.plan.PlanCalendar;
import app.hodegon.server.plan.PlanView;
import app.hodegon.server.plan.PlanView.DayView;
import app.hodegon.server.plan.Plans;
import app.hodegon.server.plan.Relaid;
import app.hodegon.server.plan.StoredPlan;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.practice.PracticeSessionView;
import app.hodegon.server.practice.RungStanding;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.Students;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The student's phone: today, the plan, and practice as it happens. */
@RestController
@RequestMapping("/api/me")
class PhoneController {

    /** A change of the plan is told for so many days. */
    private static final int NEWS = 3;

    private final Students students;
    private final Plans plans;
    private final PracticeLog practice;
    private final StudentGates gates;
    private final Clock clock;

    PhoneController(Students students, Plans plans, PracticeLog practice, StudentGates gates, Clock clock) {
        this.students = students;
        this.plans = plans;
        this.practice = practice;
        this.gates = gates;
        this.clock = clock;
    }

    /**
     * @param plan the running plan; null before the first
     * @param day what is planned today; null on a free day
     * @param session what was done of it already; null before the first rep
     * @param why what the fault is, in the student's words
     * @param nextDay the next planned day after today, null if there is none
     * @param stopped drills stopped for pain
     * @param laidAgain why the plan changed lately; null where it did not
     */
    record TodayView(
            @NotNull String name,
            @NotNull String handedness,
            @NotNull LocalDate date,
            StoredPlan plan,
            DayView day,
            PracticeSessionView session,
            @NotNull List<String> why,
            LocalDate nextDay,
            @NotNull List<String> stopped,
            @NotNull List<RungStanding> rungs,
            @NotNull List<LocalDate> practised,
            Relaid laidAgain,
            @NotNull boolean junior) {}

    record PracticeEntry(
            @NotNull UUID planId,
            @NotNull LocalDate day,
            @NotNull @Size(max = 20) List<@NotNull @Valid BlockEntry> blocks,
            Integer feel,
            @Valid PainEntry pain,
            @NotNull @Valid ShotsEntry balls,

            @NotNull @Size(max = PracticeSession.LONGEST_NOTE)
            String note,

            @NotNull Boolean finished) {}

    record BlockEntry(
            @NotNull Integer block,
            @NotNull @Size(max = 400) String marks) {}

    record PainEntry(
            @NotNull @Size(max = 20) String where,
            @NotNull Integer score,
            @NotNull @Size(max = 60) String drill) {}

    /**
     * @param rungs the rungs checked in this session, with what their gates say
     */
    record StoredPractice(
            @NotNull PracticeSessionView session,
            @NotNull List<RungStanding> rungs,
            @NotNull List<String> stopped) {}

    @GetMapping("/today")
    TodayView today(@AuthenticationPrincipal Account account, @RequestParam(required = false) LocalDate date) {
        StoredStudent student = students.self(account);
        LocalDate today = date == null ? LocalDate.now(clock) : date;
        List<StoredPlan> assigned = plans.assigned(student.id());
        Optional<StoredPlan> plan =
                assigned.isEmpty() ? Optional.empty() : Optional.of(assigned.get(assigned.size() - 1));
        List<PracticeSession> ofPlan = plan.map(p -> practice.ofPlan(p.id())).orElse(List.of());
        return new TodayView(
                student.name(),
                student.hand().id(),
                today,
                plan.orElse(null),
                plan.flatMap(p -> p.on(today)).orElse(null),
                ofPlan.stream()
                        .filter(s -> s.day().equals(today))
                        .reduce((earlier, later) -> later)
                        .map(PracticeSessionView::of)
                        .orElse(null),
                plan.map(p -> why(p, student)).orElse(List.of()),
                plan.flatMap(p -> p.plan().days().stream()
                                .map(DayView::date)
                                .filter(d -> d.isAfter(today))
                                .findFirst())
                        .orElse(null),
                practice.stopped(student.id()),
                RungStanding.of(practice.checks(student.id()), gates.of(student.id())),
                ofPlan.stream().map(PracticeSession::day).distinct().toList(),
                plan.flatMap(p -> plans.relaid(p.id()).stream().findFirst())
                        .filter(r -> r.on().isAfter(today.minusDays(NEWS)))
                        .orElse(null),
                student.profile().age() == AgeBand.JUNIOR);
    }

    /** The running plan for the student's own calendar. */
    @GetMapping(value = "/calendar.ics", produces = "text/calendar")
    ResponseEntity<String> calendar(@AuthenticationPrincipal Account account) {
        StoredStudent student = students.self(account);
        StoredPlan running = plans.assigned(student.id()).stream()
                .reduce((earlier, later) -> later)
                .orElseThrow(() -> new NotFound("plan"));
        return PlanCalendar.download(running, plans.library(student.coachId()), clock.instant());
    }

    private static List<String> why(StoredPlan plan, StoredStudent student) {
        return plan.plan().route().stream()
                .map(PlanView.StepView::fault)
                .distinct()
                .map(id -> student.hand().say(Identified.of(Fault.class, id).what()))
                .toList();
    }

    /** Stores the session as it is now; the same session may be sent any number of times. */
    @PutMapping("/practice/{id}")
    StoredPractice put(
            @AuthenticationPrincipal Account account, @PathVariable UUID id, @Valid @RequestBody PracticeEntry entry) {
        StoredStudent student = students.self(account);
        StoredPlan plan = plans.assigned(student.id()).stream()
                .filter(p -> p.id().equals(entry.planId()))
                .findFirst()
                .orElseThrow(() -> new NotFound("plan"));
        DayView day = plan.on(entry.day())
                .orElseThrow(() -> new Invalid("day", "The plan has no practice on " + entry.day() + "."));
        PracticeSession session = new SessionReader(day).session(id, entry);
        practice.put(student.id(), student.profile().flags(), plan.id(), session);
        List<RungStanding> rungs = RungStanding.of(practice.checks(student.id()), gates.of(student.id())).stream()
                .filter(r -> session.checks().stream()
                        .anyMatch(c ->
                                c.rung().id().equals(r.rung()) && c.fault().id().equals(r.fault())))
                .toList();
        return new StoredPractice(PracticeSessionView.of(session), rungs, practice.stopped(student.id()));
    }

    /** Where a student may say it hurts. */
    static Joint joint(String id) {
        return Invalid.in("pain.where", () -> Identified.of(Joint.class, id));
    }
}
