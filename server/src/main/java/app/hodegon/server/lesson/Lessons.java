package app.hodegon.server.lesson;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.approach.PressureSchool;
import app.hodegon.core.approach.SchoolComparison;
import app.hodegon.core.diagnosis.Diagnosis;
import app.hodegon.core.diagnosis.Diagnostician;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.HipLine;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.diagnosis.PastLesson;
import app.hodegon.core.practice.Tried;
import app.hodegon.core.shots.Shot;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Units;
import app.hodegon.core.swing.Wording;
import app.hodegon.server.account.Account;
import app.hodegon.server.approach.Approaches;
import app.hodegon.server.diagnosis.DiagnosisController;
import app.hodegon.server.diagnosis.DiagnosisView;
import app.hodegon.server.http.Complete;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.http.Stale;
import app.hodegon.server.lesson.LessonEntry.Keyed;
import app.hodegon.server.lesson.LessonEntry.Moment;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.StudentChanged;
import app.hodegon.server.student.Students;
import java.time.LocalDate;
import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Lessons: what was seen, what it says, what was decided. */
@Service
public class Lessons {

    /** So many of the last saves of an entry are known by name. */
    private static final int SAVES_KEPT = 20;

    /** What older lessons saw is as good as forgotten. */
    private static final int REMEMBERED = 6;

    private final LessonRepository lessons;
    private final Students students;
    private final Approaches approaches;
    private final JsonMapper json;
    private final ApplicationEventPublisher events;
    private final WorkDone work;
    private final MeasuredBalls measured;

    Lessons(
            LessonRepository lessons,
            Students students,
            Approaches approaches,
            JsonMapper json,
            ApplicationEventPublisher events,
            WorkDone work,
            MeasuredBalls measured) {
        this.work = work;
        this.measured = measured;
        this.lessons = lessons;
        this.students = students;
        this.approaches = approaches;
        this.json = json;
        this.events = events;
    }

    /**
     * @throws NotFound if there is no such lesson of this coach's students
     */
    public StoredLesson ofCoach(Account coach, UUID id) {
        return lessons.byId(id)
                .filter(l -> students.teaches(coach, l.studentId()))
                .orElseThrow(() -> new NotFound("lesson"));
    }

    /** The same for a change: writers of a student's things wait for each other until the transaction ends. */
    @Transactional(propagation = Propagation.MANDATORY)
    public StoredLesson toChange(Account coach, UUID id) {
        students.lock(ofCoach(coach, id).studentId());
        return ofCoach(coach, id);
    }

    /** The plan of a lesson is another than it was. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void planChanged(UUID id) {
        lessons.planChanged(id);
    }

    /** Whether there was a lesson on that day or later. */
    public boolean heldSince(UUID student, LocalDate day) {
        return lessons.heldSince(student, day);
    }

    /** A lesson that the caller may see. */
    public StoredLesson byId(UUID id) {
        return lessons.byId(id).orElseThrow(() -> new NotFound("lesson"));
    }

    /** The last lessons of a student, oldest first; the caller has made sure that the student may be seen. */
    public List<StoredLesson> last(UUID student, int most) {
        return lessons.last(student, most);
    }

    /** Which lesson was when. */
    public record Held(UUID id, LocalDate on) {}

    /** From one lesson of a student to another, both with them, oldest first; empty if that is an earlier one. */
    public List<Held> from(StoredLesson first, StoredLesson second) {
        return lessons.from(first.id(), second.id());
    }

    public int count(UUID student) {
        return lessons.count(student);
    }

    /** The last lesson before this one in which something was seen or measured before it. */
    public Optional<StoredLesson> measuredBefore(StoredLesson lesson) {
        return lessons.before(lesson.studentId(), lesson.id(), true);
    }

    /** The lessons of earlier days in which something was seen or measured before them, latest first. */
    public List<StoredLesson> measuredBefore(StoredLesson lesson, int most) {
        return lessons.measuredBefore(lesson.studentId(), lesson.heldOn(), most);
    }

    /** For each of these lessons the next measured one; the caller has made sure that they may be seen. */
    public Map<UUID, StoredLesson> following(Collection<UUID> ids) {
        return lessons.following(ids);
    }

    /**
     * A lesson as it stood: every save raises its version, every change of its swings theirs.
     *
     * @param focus ids of what was chosen to work on, which is no save
     */
    public record Head(UUID id, UUID studentId, int version, int swingsVersion, List<String> focus) {}

    /**
     * The last lessons since that day of each of these students in which something was seen or measured before it, latest
     * first.
     */
    public List<Head> lastMeasured(Collection<UUID> of, LocalDate since, int each) {
        return lessons.lastMeasured(of, since, each);
    }

    /** These lessons; the caller has made sure that they may be seen. */
    public List<StoredLesson> all(Collection<UUID> ids) {
        return lessons.all(ids);
    }

    /** In metric words, as it is kept; with what earlier lessons leave. */
    public Diagnosis diagnose(StoredLesson lesson, StoredStudent student) {
        return diagnose(lesson, student, Units.METRIC, history(lesson));
    }

    /** In the words of who reads it. */
    Diagnosis diagnose(StoredLesson lesson, StoredStudent student, Units units, List<PastLesson> history) {
        return new Diagnostician(
                        lesson.approach().school(),
                        approaches.repeatability(student.coachId()),
                        new Wording(student.hand(), units))
                .diagnose(lesson.before(), history, lesson.heldOn());
    }

    /** What earlier lessons saw and what was done about it, oldest first; of several on one day the last. */
    List<PastLesson> history(StoredLesson lesson) {
        Map<LocalDate, StoredLesson> byDay = new TreeMap<>();
        measuredBefore(lesson, REMEMBERED).forEach(l -> byDay.putIfAbsent(l.heldOn(), l));
        List<Held> held =
                byDay.values().stream().map(l -> new Held(l.id(), l.heldOn())).toList();
        Map<UUID, Double> done = work.shares(held, lesson.heldOn());
        return byDay.values().stream()
                .map(l -> new PastLesson(
                        l.heldOn(),
                        l.before(),
                        new LinkedHashSet<>(l.focus()),
                        Math.min(PastLesson.MOST, done.getOrDefault(l.id(), 0.0))))
                .toList();
    }

    /** A new lesson, with the approach in which this student is taught. */
    @Transactional
    public StoredLesson begin(Account coach, UUID studentId, LocalDate on) {
        UUID owner = students.toChange(coach, studentId).coachId();
        UUID id = lessons.add(studentId, on, approaches.forStudent(owner, studentId));
        events.publishEvent(new StudentChanged(studentId));
        return ofCoach(coach, id);
    }

    /**
     * @param save the save's own name, so that a page that had no answer can ask whether it got through
     */
    @Transactional
    StoredLesson enter(Account coach, UUID id, int seen, LessonEntry entry, Optional<String> save) {
        StoredLesson now = toChange(coach, id);
        if (now.version() != seen) throw new Stale(LessonController.EntryView.of(now));
        entry.tries().forEach((name, tried) -> {
            // Balls of a file go by the name of their stage.
            if (Identified.ids(Stage.class).contains(name))
                throw new Invalid("tries." + name, "is a moment of every lesson.");
            tried.tried("tries." + name);
        });
        Map<Stage, Keyed> keyed = new EnumMap<>(Stage.class);
        Map<Stage, List<Shot>> shots = new EnumMap<>(Stage.class);
        for (Stage stage : Stage.values()) {
            Keyed moment = (stage == Stage.BEFORE ? entry.before() : entry.after()).keyed();
            keyed.put(stage, moment);
            shots.put(stage, KeyedBall.shots(moment.balls(), moment.club(), stage.id()));
        }
        List<String> saves = Stream.concat(now.saves().stream(), save.stream()).toList();
        lessons.replace(
                id,
                DiagnosisController.approach(entry.approach()),
                new Observations(
                        DiagnosisController.signs(entry.signs()),
                        DiagnosisController.readings(
                                "before.readings", entry.before().readings()),
                        entry.before().shots().tally("before.shots")),
                new Observations(
                        Map.of(),
                        DiagnosisController.readings(
                                "after.readings", entry.after().readings()),
                        entry.after().shots().tally("after.shots")),
                keyed,
                entry.note(),
                entry.tries(),
                saves.subList(Math.max(0, saves.size() - SAVES_KEPT), saves.size()));
        measured.keyedIn(id, shots);
        return ofCoach(coach, id);
    }

    /** Stores what was seen, as a whole. */
    @Transactional
    public void enter(UUID id, Approach approach, Observations before, Observations after, List<Tried> tried) {
        Map<String, TryEntry> tries = new LinkedHashMap<>();
        for (Tried one : tried) tries.put("try-" + (tries.size() + 1), TryEntry.of(tries.size() + 1, one));
        lessons.replace(id, approach, before, after, Map.of(), "", tries, List.of());
    }

    /** Keeps the choice of focus with the diagnosis it was made on; overruling the engine needs a reason. */
    @Transactional
    public StoredLesson decide(Account coach, UUID id, List<String> faults, String reason) {
        StoredLesson lesson = toChange(coach, id);
        List<Fault> focus = faults.stream()
                .map(f -> Invalid.in("faults", () -> Identified.of(Fault.class, f)))
                .distinct()
                .toList();
        Diagnosis diagnosis = diagnose(lesson, students.ofCoach(coach, lesson.studentId()));
        if (!diagnosis.focus().equals(focus) && reason.isBlank()) {
            throw new Invalid("reason", "Say in a few words why you choose another focus than proposed.");
        }
        lessons.decide(id, focus, reason.strip(), json.writeValueAsString(DiagnosisView.of(diagnosis)));
        return ofCoach(coach, id);
    }

    /** What was decided when, on which diagnosis; latest first. A lesson corrected later does not change it. */
    List<DecisionView> decisions(Account coach, UUID id) {
        ofCoach(coach, id);
        return lessons.decisions(id).stream()
                .map(d -> new DecisionView(
                        d.decidedAt(),
                        d.focus(),
                        d.reason(),
                        d.catalogueVersion(),
                        json.readValue(d.diagnosed(), DiagnosisView.class)))
                .toList();
    }

    /**
     * Reads all that is kept of a student's lessons.
     *
     * @throws RuntimeException if any of it cannot be read
     */
    public void readWhole(UUID student) {
        for (StoredLesson lesson : lessons.last(student, Integer.MAX_VALUE)) {
            lesson.tries().values().forEach(t -> Complete.check("tries", t));
            lesson.tried();
            lesson.checkKeyed();
            lessons.decisions(lesson.id())
                    .forEach(d -> Complete.check("diagnosed", json.readValue(d.diagnosed(), DiagnosisView.class)));
        }
    }

    /** The readings against the lesson's school and another, and the lesson before. */
    FeetView feet(Account coach, UUID id, PressureSchool against) {
        StoredLesson lesson = ofCoach(coach, id);
        Repeatability repeatability =
                approaches.repeatability(students.byId(lesson.studentId()).coachId());
        FeetView.EarlierView earlier = lessons.before(lesson.studentId(), id, false)
                .map(l -> new FeetView.EarlierView(
                        l.heldOn(),
                        Moment.of(l.before(), l.keyed(Stage.BEFORE)),
                        Moment.of(l.after(), l.keyed(Stage.AFTER))))
                .orElse(null);
        return new FeetView(
                earlier,
                deviations(lesson.before(), lesson.approach().school(), against, repeatability),
                deviations(lesson.after(), lesson.approach().school(), against, repeatability));
    }

    private static List<FeetView.DeviationView> deviations(
            Observations seen, PressureSchool own, PressureSchool against, Repeatability repeatability) {
        return SchoolComparison.of(seen.readings(), own, against, repeatability).stream()
                .map(FeetView.DeviationView::of)
                .toList();
    }

    /** Where to press in the lead foot for this hip line and wanted flight. */
    HipLine hipLine(Account coach, UUID id, double degrees, HipLine.Flight wanted) {
        StoredLesson lesson = ofCoach(coach, id);
        StoredStudent student = students.ofCoach(coach, lesson.studentId());
        return HipLine.at(degrees, wanted, Set.copyOf(diagnose(lesson, student).likely()), student.hand());
    }

    /** Takes back a lesson begun by mistake. */
    @Transactional
    void delete(Account coach, UUID id) {
        if (!toChange(coach, id).focus().isEmpty()) {
            throw new Conflict("This lesson has a decision and stays on record.");
        }
        lessons.delete(id);
    }
}
