package app.hodegon.server.lesson;

import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.HipLine;
import app.hodegon.core.diagnosis.PastLesson;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.account.Account;
import app.hodegon.server.account.AccountUnits;
import app.hodegon.server.diagnosis.DiagnosisView;
import app.hodegon.server.diagnosis.PastLessonEntry;
import app.hodegon.server.diagnosis.ReadingEntry;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.Stale;
import app.hodegon.server.lesson.LessonEntry.Moment;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.Students;
import app.hodegon.server.zone.Today;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** A lesson and its live diagnosis. */
@RestController
@RequestMapping("/api")
class LessonController {

    private final Lessons lessons;
    private final Students students;
    private final AccountUnits units;
    private final Today today;

    LessonController(Lessons lessons, Students students, AccountUnits units, Today today) {
        this.units = units;
        this.lessons = lessons;
        this.students = students;
        this.today = today;
    }

    /**
     * @param complaint in the student's own words; may be empty
     * @param flags ids of what is to be spared
     * @param studentUnits in which the student reads; all else is said in the coach's
     * @param studentHeight cm; null where it is not known
     * @param measured readings from kept swings
     * @param diagnosis on what is entered now and what earlier lessons leave
     * @param history the lessons that leave something, as the calculator takes them
     * @param focus what the coach decided; empty while undecided
     * @param version of what is entered, to be named when it is changed
     * @param saves the names of the last saves that are in it: a page that had no answer finds its own among them
     */
    record LessonView(
            @NotNull UUID id,
            @NotNull UUID studentId,
            @NotNull String studentName,
            @NotNull String handedness,
            @NotNull String complaint,
            @NotNull List<String> flags,
            @NotNull String studentUnits,
            String studentLook,
            Double studentHeight,
            @NotNull LocalDate heldOn,
            @NotNull LessonEntry entry,
            @NotNull DiagnosisView diagnosis,
            @NotNull List<PastLessonEntry> history,
            @NotNull List<StageReading> measured,
            @NotNull List<String> focus,
            @NotNull String focusReason,
            @NotNull int version,
            @NotNull List<String> saves) {}

    record StageReading(@NotNull String stage, @NotNull ReadingEntry reading) {}

    record Decision(
            @NotEmpty @Size(max = 2) List<@NotNull String> faults,
            @NotNull @Size(max = 500) String reason) {}

    @PostMapping("/students/{studentId}/lessons")
    @ResponseStatus(HttpStatus.CREATED)
    LessonView begin(@AuthenticationPrincipal Account coach, @PathVariable UUID studentId) {
        return view(coach, lessons.begin(coach, studentId, today.ofCoach(coach.id())));
    }

    @GetMapping("/lessons/{id}")
    LessonView get(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return view(coach, lessons.ofCoach(coach, id));
    }

    @PutMapping("/lessons/{id}/entry")
    LessonView enter(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID id,
            @RequestHeader(name = HttpHeaders.IF_MATCH, required = false) String seen,
            @RequestHeader(name = "Save-Id", required = false) @Pattern(regexp = "[\\w-]{1,24}") String save,
            @Valid @RequestBody LessonEntry entry) {
        return view(coach, lessons.enter(coach, id, Stale.version(seen), entry, Optional.ofNullable(save)));
    }

    @PutMapping("/lessons/{id}/focus")
    LessonView decide(
            @AuthenticationPrincipal Account coach, @PathVariable UUID id, @Valid @RequestBody Decision decision) {
        return view(coach, lessons.decide(coach, id, decision.faults(), decision.reason()));
    }

    @GetMapping("/lessons/{id}/decisions")
    List<DecisionView> decisions(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        return lessons.decisions(coach, id);
    }

    @GetMapping("/lessons/{id}/feet")
    FeetView feet(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID id,
            @RequestParam @Size(max = 20) String against) {
        return lessons.feet(coach, id, Invalid.in("against", () -> Identified.of(PressureSchool.class, against)));
    }

    /**
     * @param press lead-toe or lead-heel; null when the line fits
     */
    record HipLineView(String press, @NotNull List<String> texts) {}

    @GetMapping("/lessons/{id}/hip-line")
    HipLineView hipLine(
            @AuthenticationPrincipal Account coach,
            @PathVariable UUID id,
            @RequestParam @Min(-90) @Max(90) double degrees,
            @RequestParam @Size(max = 20) String wanted) {
        HipLine line = lessons.hipLine(
                coach, id, degrees, Invalid.in("wanted", () -> Identified.of(HipLine.Flight.class, wanted)));
        return new HipLineView(line.press().map(Identified::id).orElse(null), line.texts());
    }

    @DeleteMapping("/lessons/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@AuthenticationPrincipal Account coach, @PathVariable UUID id) {
        lessons.delete(coach, id);
    }

    private LessonView view(Account coach, StoredLesson lesson) {
        StoredStudent student = students.ofCoach(coach, lesson.studentId());
        List<PastLesson> history = lessons.history(lesson);
        return new LessonView(
                lesson.id(),
                student.id(),
                student.name(),
                student.hand().id(),
                student.complaint(),
                student.profile().flags().stream().sorted().map(Joint::id).toList(),
                student.units(),
                student.figure().look().orElse(null),
                student.figure().height().orElse(null),
                lesson.heldOn(),
                EntryView.of(lesson).entry(),
                DiagnosisView.of(lessons.diagnose(lesson, student, units.of(coach.id()), history)),
                history.stream().map(PastLessonEntry::of).toList(),
                lesson.measured().entrySet().stream()
                        .flatMap(e -> e.getValue().stream()
                                .map(r -> new StageReading(e.getKey().id(), ReadingEntry.of(r))))
                        .toList(),
                lesson.focus().stream().map(Fault::id).toList(),
                lesson.focusReason(),
                lesson.version(),
                lesson.saves());
    }

    /** What is entered, as in {@link LessonView}. */
    record EntryView(
            @NotNull LessonEntry entry,
            @NotNull int version,
            @NotNull List<String> saves) {

        static EntryView of(StoredLesson lesson) {
            Map<String, String> signs = new LinkedHashMap<>();
            lesson.enteredBefore().signs().forEach((sign, yes) -> signs.put(sign.id(), yes ? "yes" : "no"));
            return new EntryView(
                    new LessonEntry(
                            lesson.approach().ids(),
                            signs,
                            Moment.of(lesson.enteredBefore(), lesson.keyed(Stage.BEFORE)),
                            Moment.of(lesson.enteredAfter(), lesson.keyed(Stage.AFTER)),
                            lesson.note(),
                            lesson.tries()),
                    lesson.version(),
                    lesson.saves());
        }
    }
}
