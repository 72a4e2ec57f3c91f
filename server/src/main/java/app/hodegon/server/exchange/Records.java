package app.hodegon.server.exchange;

import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Units;
import app.hodegon.server.account.Account;
import app.hodegon.server.account.Accounts;
import app.hodegon.server.account.SignIns;
import app.hodegon.server.clip.Clips;
import app.hodegon.server.drill.Drills;
import app.hodegon.server.gate.StudentGates;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.plan.Plans;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.progress.Proposals;
import app.hodegon.server.shots.ShotFiles;
import app.hodegon.server.student.Figure;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.StudentChanged;
import app.hodegon.server.student.Students;
import app.hodegon.server.told.ToldLog;
import app.hodegon.server.trace.Swings;
import java.io.InputStream;
import java.io.OutputStream;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.node.ObjectNode;

/** A student's whole record out, in again on any installation, and erased. */
@Service
class Records {

    private final RecordRepository records;
    private final Students students;
    private final SignIns signIns;
    private final Accounts accounts;
    private final Lessons lessons;
    private final Plans plans;
    private final PracticeLog practice;
    private final StudentGates gates;
    private final Drills drills;
    private final ShotFiles shots;
    private final Proposals proposals;
    private final Swings swings;
    private final Clips clips;
    private final ToldLog told;
    private final ApplicationEventPublisher events;

    Records(
            RecordRepository records,
            Students students,
            SignIns signIns,
            Accounts accounts,
            Lessons lessons,
            Plans plans,
            PracticeLog practice,
            StudentGates gates,
            Drills drills,
            ShotFiles shots,
            Proposals proposals,
            Swings swings,
            Clips clips,
            ToldLog told,
            ApplicationEventPublisher events) {
        this.records = records;
        this.students = students;
        this.signIns = signIns;
        this.accounts = accounts;
        this.lessons = lessons;
        this.plans = plans;
        this.practice = practice;
        this.gates = gates;
        this.drills = drills;
        this.shots = shots;
        this.proposals = proposals;
        this.swings = swings;
        this.clips = clips;
        this.told = told;
        this.events = events;
    }

    ObjectNode schema() {
        return new RecordFile(records.sections()).schema();
    }

    List<RecordSection> sections() {
        return records.sections();
    }

    Map<String, List<Map<String, Object>>> rows(Account coach, UUID student) {
        students.own(coach, student);
        return records.read(student);
    }

    /** With those of the coach's own drills that the record speaks of. */
    void write(Account coach, UUID student, OutputStream to) {
        Map<String, List<Map<String, Object>>> rows = rows(coach, student);
        List<String> named = drills.own(coach.id()).stream()
                .filter(id -> rows.values().stream().flatMap(List::stream).anyMatch(row -> names(row, id)))
                .toList();
        new RecordFile(records.sections()).write(rows, drills.file(coach.id(), named), records.about(student), to);
    }

    private static boolean names(Map<String, Object> row, String drill) {
        return row.values().stream()
                .anyMatch(v -> v instanceof String text && (text.equals(drill) || text.contains("\"" + drill + "\"")));
    }

    /**
     * Takes a record in as a whole, with its own ids, so that going out and coming in again changes nothing. It is read
     * back through the same types that every screen reads; what they cannot read is not taken.
     */
    @Transactional
    public StoredStudent take(Account coach, InputStream file) {
        RecordFile.Content content = new RecordFile(records.sections()).read(file);
        Map<String, List<Map<String, Object>>> record = content.rows();
        UUID student = (UUID) record.get("student").get(0).get("id");
        accounts.lockCoach(coach.id());
        if (records.has(student)) throw new Conflict("This student's record is here already.");
        drills.takeMissing(coach.id(), content.drills());
        try {
            records.write(coach.id(), student, record);
        } catch (DataIntegrityViolationException taken) {
            throw new Conflict("An entry of this record is here already, or breaks a rule of the store.");
        }
        try {
            StoredStudent stored = students.byId(student);
            Identified.of(Units.class, stored.units());
            Map<String, Object> given = record.get("student").get(0);
            new Figure(
                    Optional.ofNullable((Double) given.get("height")), Optional.ofNullable((String) given.get("look")));
            lessons.readWhole(student);
            ids(record, "lesson").forEach(lesson -> {
                shots.readWhole(lesson);
                swings.readWhole(lesson);
                clips.readWhole(lesson);
                proposals.readWhole(lesson);
            });
            clips.readSent(student);
            ids(record, "plan").forEach(plan -> plans.readWhole(student, plan));
            practice.readWhole(student);
            told.rounds(student);
            told.checks(student);
            gates.of(student);
            events.publishEvent(new StudentChanged(student));
            return stored;
        } catch (IllegalArgumentException
                | NoSuchElementException
                | NullPointerException
                | DateTimeException
                | JacksonException unreadable) {
            throw new Invalid("file", "This record cannot be read: " + unreadable.getMessage());
        }
    }

    private static Stream<UUID> ids(Map<String, List<Map<String, Object>>> record, String section) {
        return record.get(section).stream().map(row -> (UUID) row.get("id"));
    }

    /**
     * @param name the student's, typed by the coach, so that nobody is erased by a slip
     */
    @Transactional
    public void erase(Account coach, UUID student, String name) {
        students.lock(student);
        if (!students.own(coach, student).name().equals(name.strip())) {
            throw new Invalid("name", "Type the student's name as it stands in the record.");
        }
        records.erase(coach.id(), student).ifPresent(signIns::endAll);
    }

    List<LocalDate> erasures(Account coach) {
        return records.erasures(coach.id());
    }
}
