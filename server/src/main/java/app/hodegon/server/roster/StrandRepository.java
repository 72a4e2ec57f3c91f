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

    /** Reps by student and day. */
    record Reps(Map<UUID, Map<LocalDate, Integer>> planned, Map<UUID, Map<LocalDate, Integer>> done) {}

    /** Planned and done from one day on, before another. */
    Reps reps(Collection<UUID> students, LocalDate from, LocalDate before) {
        Reps reps = new Reps(new HashMap<>(), new HashMap<>());
        // A plan laid after another has its days too: what was asked for last counts.
        db.select(PLAN.STUDENT_ID, PLAN_DAY.PLANNED_FOR, max(PLAN_DAY.REPS))
                .from(PLAN_DAY)
                .join(PLAN)
                .on(PLAN.ID.eq(PLAN_DAY.PLAN_ID))
                .where(among(PLAN.STUDENT_ID, students))
                // By its index: years of plans lie behind.
                .and(PLAN.NEXT_LESSON.gt(from))
                .and(PLAN.ASSIGNED_AT.isNotNull())
                .and(PLAN_DAY.PLANNED_FOR.ge(from).and(PLAN_DAY.PLANNED_FOR.lt(before)))
                .groupBy(PLAN.STUDENT_ID, PLAN_DAY.PLANNED_FOR)
                .forEach(row -> put(reps.planned(), row.value1(), row.value2(), row.value3()));
        db.select(PRACTICE_SESSION.STUDENT_ID, PRACTICE_SESSION.PRACTICE_DAY, sum(PRACTICE_SESSION.REPS))
                .from(PRACTICE_SESSION)
                .where(among(PRACTICE_SESSION.STUDENT_ID, students))
                .and(PRACTICE_SESSION.PRACTICE_DAY.ge(from))
                .groupBy(PRACTICE_SESSION.STUDENT_ID, PRACTICE_SESSION.PRACTICE_DAY)
                .forEach(row -> put(reps.done(), row.value1(), row.value2(), row.value3()));
        return reps;
    }

    private static void put(Map<UUID, Map<LocalDate, Integer>> all, UUID student, LocalDate day, Number reps) {
        all.computeIfAbsent(student, s -> new HashMap<>()).put(day, reps.intValue());
    }
}
