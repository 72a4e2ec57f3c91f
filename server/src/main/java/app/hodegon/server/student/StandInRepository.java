package app.hodegon.server.student;

import static app.hodegon.server.db.Tables.ACCOUNT;
import static app.hodegon.server.db.Tables.STAND_IN;
import static app.hodegon.server.db.Tables.STUDENT;
import static app.hodegon.server.db.Tables.STUDENT_ACCESS;
import static org.jooq.Records.mapping;

import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

@Repository
class StandInRepository {

    private static final int SHOWN = 200;

    private final DSLContext db;
    private final Clock clock;

    StandInRepository(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    boolean standsIn(UUID coach, UUID student, LocalDate on) {
        return db.fetchExists(STAND_IN, holds(coach, on).and(STAND_IN.STUDENT_ID.eq(student)));
    }

    Set<UUID> students(UUID coach, LocalDate on) {
        return db.select(STAND_IN.STUDENT_ID)
                .from(STAND_IN)
                .where(holds(coach, on))
                .fetchSet(STAND_IN.STUDENT_ID);
    }

    private static Condition holds(UUID coach, LocalDate on) {
        return STAND_IN.COACH_ID.eq(coach).and(STAND_IN.UNTIL_DAY.ge(on));
    }

    /** The coaches of those students for whom this one stands in. */
    Set<UUID> coaches(UUID coach, LocalDate on) {
        return db.selectDistinct(STUDENT.COACH_ID)
                .from(STAND_IN)
                .join(STUDENT)
                .on(STUDENT.ID.eq(STAND_IN.STUDENT_ID))
                .where(holds(coach, on))
                .fetchSet(STUDENT.COACH_ID);
    }

    /** Who stands in for this student's coach. */
    List<StandIn> of(UUID student, LocalDate on) {
        return db.select(STAND_IN.COACH_ID, ACCOUNT.NAME, STAND_IN.UNTIL_DAY)
                .from(STAND_IN)
                .join(ACCOUNT)
                .on(ACCOUNT.ID.eq(STAND_IN.COACH_ID))
                .where(STAND_IN.STUDENT_ID.eq(student).and(STAND_IN.UNTIL_DAY.ge(on)))
                .orderBy(ACCOUNT.NAME)
                .fetch(mapping(StandIn::new));
    }

    void put(UUID student, UUID coach, LocalDate until) {
        db.mergeInto(STAND_IN)
                .columns(STAND_IN.STUDENT_ID, STAND_IN.COACH_ID, STAND_IN.UNTIL_DAY, STAND_IN.SINCE)
                .key(STAND_IN.STUDENT_ID, STAND_IN.COACH_ID)
                .values(student, coach, until, OffsetDateTime.now(clock))
                .execute();
    }

    int end(UUID student, UUID coach) {
        return db.deleteFrom(STAND_IN)
                .where(STAND_IN.STUDENT_ID.eq(student).and(STAND_IN.COACH_ID.eq(coach)))
                .execute();
    }

    void endAll(UUID student) {
        db.deleteFrom(STAND_IN).where(STAND_IN.STUDENT_ID.eq(student)).execute();
    }

    /** Adds one to what a coach did with a student today. */
    void note(UUID coach, UUID student, String what, String place) {
        OffsetDateTime now = OffsetDateTime.now(clock);
        Condition line = STUDENT_ACCESS
                .STUDENT_ID
                .eq(student)
                .and(STUDENT_ACCESS.COACH_ID.eq(coach))
                .and(STUDENT_ACCESS.HAPPENED_ON.eq(now.toLocalDate()))
                .and(STUDENT_ACCESS.WHAT.eq(what))
                .and(STUDENT_ACCESS.PLACE.eq(place));
        db.insertInto(STUDENT_ACCESS)
                .set(STUDENT_ACCESS.STUDENT_ID, student)
                .set(STUDENT_ACCESS.COACH_ID, coach)
                .set(STUDENT_ACCESS.HAPPENED_ON, now.toLocalDate())
                .set(STUDENT_ACCESS.WHAT, what)
                .set(STUDENT_ACCESS.PLACE, place)
                .set(STUDENT_ACCESS.TIMES, 0)
                .set(STUDENT_ACCESS.FIRST_AT, now)
                .set(STUDENT_ACCESS.LAST_AT, now)
                .onConflictDoNothing()
                .execute();
        db.update(STUDENT_ACCESS)
                .set(STUDENT_ACCESS.TIMES, STUDENT_ACCESS.TIMES.plus(1))
                .set(STUDENT_ACCESS.LAST_AT, now)
                .where(line)
                .execute();
    }

    /** What other coaches did with a student, the latest first. */
    List<Access> accesses(UUID student) {
        return db.select(
                        ACCOUNT.NAME,
                        STUDENT_ACCESS.HAPPENED_ON,
                        STUDENT_ACCESS.WHAT,
                        STUDENT_ACCESS.PLACE,
                        STUDENT_ACCESS.TIMES,
                        STUDENT_ACCESS.FIRST_AT,
                        STUDENT_ACCESS.LAST_AT)
                .from(STUDENT_ACCESS)
                .join(ACCOUNT)
                .on(ACCOUNT.ID.eq(STUDENT_ACCESS.COACH_ID))
                .where(STUDENT_ACCESS.STUDENT_ID.eq(student))
                .orderBy(STUDENT_ACCESS.LAST_AT.desc())
                .limit(SHOWN)
                .fetch(mapping(Access::new));
    }
}
