package app.hodegon.server.phone;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.plan.AgeBand;
import app.hodegon.core.plan.Edits;
import app.hodegon.core.practice.OwnTempo;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.core.practice.Rescue;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.account.Account;
import app.hodegon.server.diagnosis.ShotsEntry;
import app.hodegon.server.gate.StudentGates;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.http.Plain;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.plan.PlanFollowsPractice;
import app.hodegon.server.plan.PlanView;
import app.hodegon.server.plan.Plans;
import app.hodegon.server.plan.Relaid;
import app.hodegon.server.plan.StoredPlan;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.practice.PracticeSessionView;
import app.hodegon.server.practice.RungStanding;
import app.hodegon.server.practice.StoredSession;
import app.hodegon.server.practice.ToldEntry;
import app.hodegon.server.reminder.Reminders;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.Students;
import app.hodegon.server.word.DrillWordsView;
import app.hodegon.server.word.OwnWords;
import app.hodegon.server.zone.Today;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The student's phone: today, the plan, and practice as it happens. */
@RestController
@RequestMapping("/api/me")
class PhoneController {

    private final Students students;
    private final Plans plans;
    private final PracticeLog practice;
    private final StudentGates gates;
    private final Reminders reminders;
    private final PlanFollowsPractice follows;
    private final Lessons lessons;
    private final OwnWords words;
    private final Today today;

    PhoneController(
            Students students,
            Plans plans,
            PracticeLog practice,
            StudentGates gates,
            Reminders reminders,
            PlanFollowsPractice follows,
            Lessons lessons,
            OwnWords words,
            Today today) {
        this.words = words;
        this.students = students;
        this.plans = plans;
        this.practice = practice;
        this.gates = gates;
        this.reminders = reminders;
        this.follows = follows;
        this.lessons = lessons;
        this.today = today;
    }

    /**
     * All that the phone needs for every day of the running plan, so that it can do without a signal.
     *
     * @param plan the running plan; null before the first
     * @param sessions what was done of it so far, in the order of the days
     * @param why what the fault is, in the student's words
     * @param rescue what to do on the course when it is back, in a sentence; null without a plan
     * @param stopped drills stopped for pain
     * @param laidAgain why the plan changed last; null where it never did
     * @param adult which adult knows that a junior practises; null while not said
     * @param remindAt hour of the reminder on practice days; null for none
     * @param tempo to which a beat is set, ms
     * @param words what the coach says of drills, by drill
     * @param cues what the student calls what to think of, by drill
     */
    record MeView(
            @NotNull String name,
            @NotNull String handedness,
            String look,
            @NotNull String units,
            StoredPlan plan,
            @NotNull List<PracticeSessionView> sessions,
            @NotNull List<String> why,
            String rescue,
            @NotNull List<String> stopped,
            @NotNull List<RungStanding> rungs,
            Relaid laidAgain,
            @NotNull boolean junior,
            String adult,
            Integer remindAt,
            @NotNull TempoView tempo,
            @NotNull Map<String, DrillWordsView> words,
            @NotNull Map<String, String> cues) {}

    /**
     * @param own whether it was measured with this student
     */
    record TempoView(
            @NotNull int backswing,
            @NotNull int downswing,
            @NotNull boolean own) {

        static TempoView of(OwnTempo tempo) {
            return new TempoView(tempo.backswing(), tempo.downswing(), tempo.own());
        }
    }

    /**
     * @param edition how often the phone has changed this session
     */
    record PracticeEntry(
            @NotNull UUID planId,
            @NotNull LocalDate day,
            @NotNull @Min(0) @Max(1_000_000) Integer edition,
            @NotNull @Size(max = 20) List<@NotNull @Valid BlockEntry> blocks,
            Integer feel,
            @Valid PainEntry pain,
            @NotNull @Valid ShotsEntry balls,

            @NotNull @Size(max = PracticeSession.LONGEST_NOTE)
            String note,

            @NotNull Boolean finished) {}

    /**
     * What was done of one block, with what the block was: the plan may have changed meanwhile.
     *
     * @param noticed per set; empty where nothing was asked or said
     * @param form what the club met; null for what the day's plan says
     * @param condition id of the half-step; null for the plain form
     * @param aside why it was done, where the day's plan does not have it; null where it has
     * @param told what was said of it; null for nothing, as from a phone that does not ask yet
     */
    record BlockEntry(
            @NotNull Integer block,
            @NotNull @Size(max = 40) String fault,
            @NotNull @Size(max = 60) String drill,
            @NotNull @Size(max = 20) String rung,
            @NotNull @Size(max = 10) String kind,
            @NotNull @Size(max = 400) String marks,
            @NotNull @Size(max = Edits.MOST_SETS) List<@NotNull @Size(max = 20) String> noticed,
            @Size(max = 10) String form,
            @Size(max = 60) String condition,
            @Size(max = 12) String aside,
            @Valid ToldEntry told) {}

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

    record AdultEntry(@NotBlank @Plain @Size(max = 100) String name) {}

    @GetMapping
    MeView me(@AuthenticationPrincipal Account account) {
        StoredStudent student = students.self(account);
        Optional<StoredPlan> plan = follows.look(student.id());
        return new MeView(
                student.name(),
                student.hand().id(),
                student.figure().look().orElse(null),
                student.units(),
                plan.orElse(null),
                plan.map(p -> practice.storedOfPlan(p.id())).orElse(List.of()).stream()
                        .map(PracticeSessionView::of)
                        .toList(),
                plan.map(p -> why(p, student)).orElse(List.of()),
                plan.flatMap(p -> rescue(p, student)).orElse(null),
                practice.stopped(student.id()),
                RungStanding.of(practice.checks(student.id()), gates.of(student.id())),
                plan.flatMap(p -> plans.relaid(p.id()).stream().findFirst()).orElse(null),
                student.profile().age() == AgeBand.JUNIOR,
                student.adult().orElse(null),
                reminders.hour(student.id()).orElse(null),
                TempoView.of(OwnTempo.of(lessons.last(student.id(), 1).stream()
                        .flatMap(l -> Stream.of(l.before(), l.after()))
                        .flatMap(seen -> seen.readings().stream())
                        .toList())),
                words.ofCoach(student.coachId()),
                words.cues(student.id()));
    }

    /** The running plan for the student's own calendar. */
    @GetMapping(value = "/calendar.ics", produces = "text/calendar")
    ResponseEntity<String> calendar(@AuthenticationPrincipal Account account) {
        StoredStudent student = students.self(account);
        StoredPlan running = plans.running(student.id()).orElseThrow(() -> new NotFound("plan"));
        return plans.calendar(running);
    }

    private static List<String> why(StoredPlan plan, StoredStudent student) {
        return plan.plan().route().stream()
                .map(PlanView.StepView::fault)
                .distinct()
                .map(id -> student.hand().say(Identified.of(Fault.class, id).what()))
                .toList();
    }

    private Optional<String> rescue(StoredPlan plan, StoredStudent student) {
        Supplier<Set<Fault>> likely = () -> Set.copyOf(
                lessons.diagnose(lessons.byId(plan.lessonId()), student).likely());
        return plan.plan().route().stream()
                .findFirst()
                .map(step -> Identified.of(Fault.class, step.fault()))
                .map(fault ->
                        student.hand().say(Rescue.of(fault, student.profile().flags(), likely)));
    }

    /** Stores the session as it is now; the same session may be sent any number of times. */
    @PutMapping("/practice/{id}")
    StoredPractice put(
            @AuthenticationPrincipal Account account, @PathVariable UUID id, @Valid @RequestBody PracticeEntry entry) {
        StoredStudent student = students.self(account);
        StoredPlan plan = plans.ofStudent(student.id(), entry.planId()).orElseThrow(() -> new NotFound("plan"));
        StoredSession sent =
                new SessionReader(plan, plans.library(student.id())).session(id, entry, today.latestOf(student.id()));
        StoredSession stored = practice.put(student.id(), student.profile().flags(), plan.id(), sent);
        List<RungStanding> rungs = RungStanding.of(practice.checks(student.id()), gates.of(student.id())).stream()
                .filter(r -> stored.session().checks().stream()
                        .anyMatch(c ->
                                c.rung().id().equals(r.rung()) && c.fault().id().equals(r.fault())))
                .toList();
        return new StoredPractice(PracticeSessionView.of(stored), rungs, practice.stopped(student.id()));
    }

    /** A junior tells which adult knows. */
    @PutMapping("/adult")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void adult(@AuthenticationPrincipal Account account, @Valid @RequestBody AdultEntry entry) {
        students.setAdult(account, entry.name.strip());
    }

    /** Where a student may say it hurts. */
    static Joint joint(String id) {
        return Invalid.in("pain.where", () -> Identified.of(Joint.class, id));
    }
}
