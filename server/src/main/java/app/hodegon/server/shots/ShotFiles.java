package app.hodegon.server.shots;

import app.hodegon.core.diagnosis.Diagnosis.Finding;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.shots.Shot;
import app.hodegon.core.shots.ShotColumns;
import app.hodegon.core.shots.ShotRows;
import app.hodegon.core.simulate.RangeBay;
import app.hodegon.core.simulate.RangeBay.Club;
import app.hodegon.server.account.Account;
import app.hodegon.server.columns.FileShapes;
import app.hodegon.server.columns.FileShapes.Kind;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.lesson.Stage;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.shots.ShotFileEntry.ColumnsEntry;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.Students;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Measured balls of lessons: looked at, taken in as a file and out as a whole. */
@Service
public class ShotFiles {

    private final ShotRepository shots;
    private final Lessons lessons;
    private final Students students;
    private final FileShapes shapes;

    ShotFiles(ShotRepository shots, Lessons lessons, Students students, FileShapes shapes) {
        this.shots = shots;
        this.lessons = lessons;
        this.students = students;
        this.shapes = shapes;
    }

    /** What is in a file, under these columns. */
    record Look(CsvText file, ColumnsEntry columns, boolean remembered, ShotRows rows) {}

    Look look(Account coach, UUID lessonId, ShotFileEntry entry) {
        StoredLesson lesson = lessons.ofCoach(coach, lessonId);
        StoredStudent student = students.ofCoach(coach, lesson.studentId());
        CsvText file = CsvText.read(entry.text());
        ColumnsEntry known = entry.columns() != null
                ? null
                : shapes.columns(coach.id(), Kind.SHOTS, file.heading(), ColumnsEntry.class)
                        .orElse(null);
        ShotColumns columns = entry.columns() != null
                ? entry.columns().toColumns()
                : known != null ? known.toColumns() : ShotColumns.guess(file.heading());
        ShotRows rows = columns.figures().isEmpty()
                ? new ShotRows(List.of(), List.of())
                : Invalid.in("columns", () -> ShotRows.read(file.heading(), file.rows(), columns, student.hand()));
        return new Look(file, ColumnsEntry.of(columns), known != null, rows);
    }

    /**
     * Takes the balls of a file as one of a lesson's moments, and remembers what its columns mean.
     *
     * @param stage before, after, or the name of what was tried
     * @param leaveOut whether rows that cannot be read stay out; else a file with such rows is refused
     * @param club taken alone; null for all
     */
    @Transactional
    public ShotFileView take(
            Account coach,
            UUID lessonId,
            String name,
            String stage,
            ShotFileEntry entry,
            boolean leaveOut,
            String club) {
        StoredLesson lesson = lessons.toChange(coach, lessonId);
        if (!lesson.hasStage(stage)) throw new Invalid("moment", "This lesson has no such stage.");
        Look look = look(coach, lessonId, entry);
        if (!leaveOut && !look.rows().broken().isEmpty()) {
            ShotRows.Broken first = look.rows().broken().get(0);
            throw new Invalid(
                    "text",
                    "%d rows cannot be read; the first is row %d: %s."
                            .formatted(look.rows().broken().size(), first.row(), first.reason()));
        }
        List<Shot> taken = look.rows().shots().stream()
                .filter(s -> club == null || s.club().equals(club))
                .toList();
        if (taken.isEmpty()) throw new Invalid("text", "There is no ball in this file.");
        shapes.remember(coach.id(), Kind.SHOTS, look.file().heading(), look.columns());
        UUID id = shots.add(lessonId, stage, name.strip(), taken);
        return shots.files(lessonId).stream()
                .filter(f -> f.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    /** Keeps balls that come from no file of a coach's. */
    @Transactional
    public void keep(UUID lessonId, Stage stage, String name, List<Shot> balls) {
        shots.add(lessonId, stage.id(), name, balls);
    }

    List<ShotFileView> ofLesson(Account coach, UUID lessonId) {
        lessons.ofCoach(coach, lessonId);
        return shots.files(lessonId);
    }

    @Transactional
    void remove(Account coach, UUID file) {
        lessons.toChange(coach, shots.lessonOf(file).orElseThrow(() -> new NotFound("file")));
        shots.remove(file);
    }

    /**
     * The measured balls of a lesson by stage: before, after, or the name of what was tried; the caller has made sure that
     * the lesson may be seen.
     */
    public Map<String, List<Shot>> ofLesson(UUID lesson) {
        return shots.ofLesson(lesson);
    }

    /**
     * Reads all balls of a lesson.
     *
     * @throws IllegalArgumentException if any of them cannot be
     */
    public void readWhole(UUID lesson) {
        shots.ofLesson(lesson);
    }

    /** The measured balls of these lessons in short; the caller has made sure that they may be seen. */
    public List<ShotSummary> summaries(Collection<UUID> lessonIds) {
        return shots.summaries(lessonIds);
    }

    /** What this student would hit in the simulated bay, with the faults as they were diagnosed last. */
    List<Shot> bay(Account coach, UUID studentId, Club club, int balls, long seed) {
        StoredStudent student = students.ofCoach(coach, studentId);
        Map<Fault, Double> faults = lessons.last(studentId, 1).stream()
                .flatMap(l -> lessons.diagnose(l, student).faults().stream())
                .collect(Collectors.toMap(Finding::fault, Finding::probability));
        return new RangeBay(seed).hit(student.profile().level(), faults, club, balls);
    }
}
