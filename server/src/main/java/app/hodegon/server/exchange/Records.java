package app.hodegon.server.exchange;

import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Units;
import app.hodegon.server.account.Account;
import app.hodegon.server.drill.Drills;
import app.hodegon.server.gate.StudentGates;
import app.hodegon.server.http.Conflict;
import app.hodegon.server.http.Invalid;
import app.hodegon.server.lesson.Lessons;
import app.hodegon.server.plan.Plans;
import app.hodegon.server.practice.PracticeLog;
import app.hodegon.server.progress.Proposals;
import app.hodegon.server.shots.ShotFiles;
import app.hodegon.server.student.StoredStudent;
import app.hodegon.server.student.StudentChanged;
import app.hodegon.server.student.Students;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A student's whole record out, in again on any installation, and erased. */
@Service
class Records {

    private static final LocalDate BEFORE_ANY = LocalDate.of(1900, 1, 1);

    private final RecordRepository records;
    private final Students students;
    private final Lessons lessons;
    private final Plans plans;
    private final PracticeLog practice;
    private final StudentGates gates;
    private final Drills drills;
    private final ShotFiles shots;
    private final Proposals proposals;
    private final JsonMapper json;
    private final ApplicationEventPublisher events;

    Records(
            RecordRepository records,
            Students students,
            Lessons lessons,
            Plans plans,
            PracticeLog practice,
            StudentGates gates,
            Drills drills,
            ShotFiles shots,
            Proposals proposals,
            JsonMapper json,
            ApplicationEventPublisher events) {
        this.records = records;
        this.students = students;
        this.lessons = lessons;
        this.plans = plans;
        this.practice = practice;
        this.gates = gates;
        this.drills = drills;
        this.shots = shots;
        this.proposals = proposals;
        this.json = json;
        this.events = events;
    }

    ObjectNode schema() {
        return new RecordFile(records.sections()).schema();
    }

    List<RecordSection> sections() {
        return records.sections();
    }

    Map<String, List<Map<String, Object>>> rows(Account coach, UUID student) {
        students.ofCoach(coach, student);
        return records.read(student);
    }

    /** With those of the coach's own drills that the record speaks of. */
    ObjectNode file(Account coach, UUID student) {
        ObjectNode file = new RecordFile(records.sections()).write(rows(coach, student), json.createArrayNode());
        String text = file.toString();
        List<String> named = drills.own(coach.id()).stream()
                .filter(id -> text.contains("\"" + id + "\""))
                .toList();
        file.set("drills", json.readTree(drills.file(coach.id(), named)));
        return file;
    }

    /**
     * Takes a record in as a whole, with its own ids, so that going out and coming in again changes nothing. It is read
     * back through the same types that every screen reads; what they cannot read is not taken.
     */
    @Transactional
    public StoredStudent take(Account coach, JsonNode file) {
        Map<String, List<Map<String, Object>>> record = new RecordFile(records.sections()).read(file);
        UUID student = (UUID) record.get("student").get(0).get("id");
        if (records.has(student)) throw new Conflict("This student's record is here already.");
        drills.takeMissing(coach.id(), file.path("drills").toString());
        try {
            records.write(coach.id(), student, record);
        } catch (DataIntegrityViolationException taken) {
            throw new Conflict("An entry of this record is here already, or breaks a rule of the store.");
        }
        try {
            StoredStudent stored = students.byId(student);
            Identified.of(Units.class, stored.units());
            lessons.readWhole(student);
            ids(record, "lesson").forEach(lesson -> {
                shots.readWhole(lesson);
                proposals.readWhole(lesson);
            });
            ids(record, "plan").forEach(plan -> {
                plans.ofStudent(student, plan);
                plans.relaid(plan);
            });
            practice.since(student, BEFORE_ANY);
            practice.ladder(student);
            gates.of(student);
            events.publishEvent(new StudentChanged(student));
            return stored;
        } catch (IllegalArgumentException | NoSuchElementException | JacksonException unreadable) {
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
        if (!students.ofCoach(coach, student).name().equals(name.strip())) {
            throw new Invalid("name", "Type the student's name as it stands in the record.");
        }
        records.erase(coach.id(), student);
    }

    List<LocalDate> erasures(Account coach) {
        return records.erasures(coach.id());
    }
}
