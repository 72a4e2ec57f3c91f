package app.hodegon.server.roster;

import static app.hodegon.server.db.Tables.PLAN;
import static app.hodegon.server.db.Tables.PLAN_DAY;
import static app.hodegon.server.db.Tables.PRACTICE_SESSION;
import static app.hodegon.server.db.Tables.STUDENT;
import static app.hodegon.server.storage.AmongCondition.among;
import static org.jooq.impl.DSL.max;
import static org.jooq.impl.DSL.sum;

import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.student.TaughtByCondition;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

@Repository
class StrandRepository {

    private final DSLContext db;

    StrandRepository(DSLContext db) {
        this.db = db;
    }

    /** The coach of each student, and which way the student plays. */
    record Taught(UUID coach, Handedness hand) {}

    Map<UUID, Taught> taught(UUID coach, Set<UUID> standingInFor) {
        Map<UUID, Taught> taught = new LinkedHashMap<>();
        db.select(STUDENT.ID, STUDENT.COACH_ID, STUDENT.HANDEDNESS)
                .from(STUDENT)
                .where(TaughtByCondition.of(coach, standingInFor))
                .forEach(row -> taught.put(
                        row.value1(), new Taught(row.value2(), Identified.of(Handedness.class, row.value3()))));
        return taught;
    }

    /** A student's reps by day. */
    record Reps(Map<LocalDate, Integer> planned, Map<LocalDate, Integer> done) {
        static final Reps NONE = new Reps(Map.of(), Map.of());
    }

    /** Planned and done from one day on; of students without either, nothing. */
    Map<UUID, Reps> reps(Collection<UUID> students, LocalDate from) {
        Map<UUID, Reps> reps = new HashMap<>();
        // A plan laid after another has its days too: what was asked for last counts.
        db.select(PLAN.STUDENT_ID, PLAN_DAY.PLANNED_FOR, max(PLAN_DAY.REPS))
                .from(PLAN_DAY)
                .join(PLAN)
                .on(PLAN.ID.eq(PLAN_DAY.PLAN_ID))
                .where(among(PLAN.STUDENT_ID, students))
                // By its index: years of plans lie behind.
                .and(PLAN.NEXT_LESSON.gt(from))
                .and(PLAN.ASSIGNED_AT.isNotNull())
                .and(PLAN_DAY.PLANNED_FOR.ge(from))
                .groupBy(PLAN.STUDENT_ID, PLAN_DAY.PLANNED_FOR)
                .forEach(row -> of(reps, row.value1())
                        .planned()
                        .put(row.value2(), row.value3().intValue()));
        db.select(PRACTICE_SESSION.STUDENT_ID, PRACTICE_SESSION.PRACTICE_DAY, sum(PRACTICE_SESSION.REPS))
                .from(PRACTICE_SESSION)
                .where(among(PRACTICE_SESSION.STUDENT_ID, students))
                .and(PRACTICE_SESSION.PRACTICE_DAY.ge(from))
                .groupBy(PRACTICE_SESSION.STUDENT_ID, PRACTICE_SESSION.PRACTICE_DAY)
                .forEach(row -> of(reps, row.value1())
                        .done()
                        .put(row.value2(), row.value3().intValue()));
        return reps;
    }

    private static Reps of(Map<UUID, Reps> all, UUID student) {
        return all.computeIfAbsent(student, s -> new Reps(new HashMap<>(), new HashMap<>()));
    }
}
