package app.hodegon.server.reminder;

import static app.hodegon.server.db.Tables.ACCOUNT;
import static app.hodegon.server.db.Tables.PLAN;
import static app.hodegon.server.db.Tables.PLAN_DAY;
import static app.hodegon.server.db.Tables.PRACTICE_SESSION;
import static app.hodegon.server.db.Tables.REMINDER;
import static app.hodegon.server.db.Tables.STUDENT;
import static org.jooq.Records.mapping;
import static org.jooq.impl.DSL.exists;
import static org.jooq.impl.DSL.notExists;
import static org.jooq.impl.DSL.selectOne;

import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

@Repository
class ReminderRepository {

    private final DSLContext db;
    private final Clock clock;

    ReminderRepository(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    Optional<Integer> hour(UUID student) {
        return db.select(REMINDER.AT_HOUR)
                .from(REMINDER)
                .where(REMINDER.STUDENT_ID.eq(student))
                .fetchOptional(row -> row.value1().intValue());
    }

    void set(UUID student, int hour) {
        db.mergeInto(REMINDER)
                .columns(REMINDER.STUDENT_ID, REMINDER.AT_HOUR)
                .key(REMINDER.STUDENT_ID)
                .values(student, (short) hour)
                .execute();
    }

    void remove(UUID student) {
        db.deleteFrom(REMINDER).where(REMINDER.STUDENT_ID.eq(student)).execute();
    }

    /**
     * Whom to remind now.
     *
     * @param reps planned for today
     */
    record Due(UUID student, UUID coach, String name, String address, int reps) {}

    /** Where those who want to be reminded are; none where that is not known. */
    List<Optional<ZoneId>> zones() {
        return db.selectDistinct(ACCOUNT.ZONE)
                .from(REMINDER)
                .join(STUDENT)
                .on(STUDENT.ID.eq(REMINDER.STUDENT_ID))
                .join(ACCOUNT)
                .on(ACCOUNT.ID.eq(STUDENT.ACCOUNT_ID))
                .fetch(row -> Optional.ofNullable(row.value1()).map(ZoneId::of));
    }

    /**
     * Students there whose hour has come since {@code earliest}, with practice planned for today, none done yet and no reminder
     * today; and only those who practised, or were given their plan, since {@code active}.
     */
    List<Due> due(Optional<ZoneId> zone, LocalDate today, int earliest, int hour, LocalDate active) {
        var sessions = selectOne().from(PRACTICE_SESSION).where(PRACTICE_SESSION.STUDENT_ID.eq(STUDENT.ID));
        OffsetDateTime activeAt =
                active.atStartOfDay(zone.orElse(clock.getZone())).toOffsetDateTime();
        return db.select(STUDENT.ID, STUDENT.COACH_ID, STUDENT.NAME, ACCOUNT.EMAIL, PLAN_DAY.REPS)
                .from(REMINDER)
                .join(STUDENT)
                .on(STUDENT.ID.eq(REMINDER.STUDENT_ID))
                .join(ACCOUNT)
                .on(ACCOUNT.ID.eq(STUDENT.ACCOUNT_ID))
                .join(PLAN)
                .on(PLAN.ID.eq(STUDENT.RUNNING_PLAN))
                .join(PLAN_DAY)
                .on(PLAN_DAY.PLAN_ID.eq(PLAN.ID).and(PLAN_DAY.PLANNED_FOR.eq(today)))
                .where(ACCOUNT.ZONE.isNotDistinctFrom(zone.map(ZoneId::getId).orElse(null)))
                .and(REMINDER.AT_HOUR.between((short) earliest, (short) hour))
                .and(REMINDER.REMINDED_ON.isNull().or(REMINDER.REMINDED_ON.lt(today)))
                .and(notExists(selectOne()
                        .from(PRACTICE_SESSION)
                        .where(PRACTICE_SESSION.STUDENT_ID.eq(STUDENT.ID))
                        .and(PRACTICE_SESSION.PRACTICE_DAY.eq(today))))
                .and(PLAN.ASSIGNED_AT.ge(activeAt).or(exists(sessions.and(PRACTICE_SESSION.PRACTICE_DAY.ge(active)))))
                .fetch(mapping(Due::new));
    }

    void reminded(UUID student, LocalDate today) {
        db.update(REMINDER)
                .set(REMINDER.REMINDED_ON, today)
                .where(REMINDER.STUDENT_ID.eq(student))
                .execute();
    }
}
