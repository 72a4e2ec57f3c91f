package app.hodegon.server.gate;

import static app.hodegon.server.db.Tables.STUDENT_GATE;
import static app.hodegon.server.storage.AmongCondition.among;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.Gate;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.db.tables.records.StudentGateRecord;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

@Repository
class GateRepository {

    private final DSLContext db;
    private final Clock clock;

    GateRepository(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /**
     * @param signed whether the coach has given the word
     */
    record StoredGate(StepId step, Gate gate, boolean signed) {}

    List<StoredGate> ofStudent(UUID student) {
        return ofStudents(List.of(student)).getOrDefault(student, List.of());
    }

    /** Those who have only standard gates are left out. */
    Map<UUID, List<StoredGate>> ofStudents(Collection<UUID> students) {
        return db.selectFrom(STUDENT_GATE)
                .where(among(STUDENT_GATE.STUDENT_ID, students))
                .orderBy(STUDENT_GATE.FAULT, STUDENT_GATE.RUNG)
                .fetchGroups(StudentGateRecord::getStudentId, GateRepository::gate);
    }

    private static StoredGate gate(StudentGateRecord row) {
        return new StoredGate(
                new StepId(Identified.of(Fault.class, row.getFault()), Identified.of(Rung.class, row.getRung())),
                Gate.set(row.getGood(), row.getCoachSigns()),
                row.getSignedAt() != null);
    }

    /** Another gate than before needs another word. */
    void set(UUID student, StepId step, Gate gate) {
        db.deleteFrom(STUDENT_GATE).where(is(student, step)).execute();
        if (gate.equals(Gate.STANDARD)) return;
        db.insertInto(STUDENT_GATE)
                .set(STUDENT_GATE.STUDENT_ID, student)
                .set(STUDENT_GATE.FAULT, step.fault().id())
                .set(STUDENT_GATE.RUNG, step.rung().id())
                .set(STUDENT_GATE.GOOD, (short) gate.good())
                .set(STUDENT_GATE.COACH_SIGNS, gate.coachSigns())
                .execute();
    }

    int sign(UUID student, StepId step) {
        return db.update(STUDENT_GATE)
                .set(STUDENT_GATE.SIGNED_AT, OffsetDateTime.now(clock))
                .where(is(student, step).and(STUDENT_GATE.COACH_SIGNS))
                .execute();
    }

    private static Condition is(UUID student, StepId step) {
        return STUDENT_GATE
                .STUDENT_ID
                .eq(student)
                .and(STUDENT_GATE.FAULT.eq(step.fault().id()))
                .and(STUDENT_GATE.RUNG.eq(step.rung().id()));
    }
}
