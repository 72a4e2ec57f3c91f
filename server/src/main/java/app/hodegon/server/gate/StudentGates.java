package app.hodegon.server.gate;

import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Gate;
import app.hodegon.core.plan.Gates;
import app.hodegon.server.account.Account;
import app.hodegon.server.gate.GateRepository.StoredGate;
import app.hodegon.server.http.NotFound;
import app.hodegon.server.student.StudentChanged;
import app.hodegon.server.student.Students;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What passes each rung for a student; who only reads has made sure whose student it is. */
@Service
public class StudentGates {

    private final GateRepository gates;
    private final Students students;
    private final ApplicationEventPublisher events;

    StudentGates(GateRepository gates, Students students, ApplicationEventPublisher events) {
        this.gates = gates;
        this.students = students;
        this.events = events;
    }

    /** A gate the coach has signed asks for no more word. */
    public Gates of(UUID student) {
        return gates(gates.ofStudent(student));
    }

    /** The gates of several students; who has only standard ones is left out. */
    public Map<UUID, Gates> of(Collection<UUID> students) {
        return gates.ofStudents(students).entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, e -> gates(e.getValue())));
    }

    private static Gates gates(List<StoredGate> stored) {
        return new Gates(stored.stream()
                .collect(Collectors.toMap(
                        StoredGate::step, g -> g.signed() ? g.gate().signed() : g.gate())));
    }

    List<StoredGate> stored(UUID student) {
        return gates.ofStudent(student);
    }

    @Transactional
    void set(Account coach, UUID student, StepId step, Gate gate) {
        students.toChange(coach, student);
        gates.set(student, step, gate);
        events.publishEvent(new StudentChanged(student));
    }

    @Transactional
    void sign(Account coach, UUID student, StepId step) {
        students.toChange(coach, student);
        if (gates.sign(student, step) == 0) throw new NotFound("gate that waits for you");
        events.publishEvent(new GateSigned(student, step));
        events.publishEvent(new StudentChanged(student));
    }
}
