package app.hodegon.server.academy;

import static app.hodegon.server.db.Tables.ACCOUNT;
import static app.hodegon.server.db.Tables.COACH_INVITATION;
import static app.hodegon.server.db.Tables.HANDOVER;
import static app.hodegon.server.db.Tables.STUDENT;
import static org.jooq.Records.mapping;
import static org.jooq.impl.DSL.count;
import static org.jooq.impl.DSL.select;

import app.hodegon.server.account.Coach;
import app.hodegon.server.db.tables.Account;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

@Repository
class AcademyRepository {

    private final DSLContext db;
    private final Clock clock;

    AcademyRepository(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** How many students each coach has; who has none is left out. */
    Map<UUID, Integer> students() {
        return db.select(STUDENT.COACH_ID, count())
                .from(STUDENT)
                .groupBy(STUDENT.COACH_ID)
                .fetchMap(STUDENT.COACH_ID, row -> row.value2());
    }

    List<Coach> leftWithStudents() {
        return db.select(ACCOUNT.ID, ACCOUNT.NAME)
                .from(ACCOUNT)
                .where(ACCOUNT.LEFT_AT.isNotNull())
                .and(ACCOUNT.ID.in(select(STUDENT.COACH_ID).from(STUDENT)))
                .orderBy(ACCOUNT.NAME)
                .fetch(row -> new Coach(row.value1(), row.value2(), "", false));
    }

    void invite(String tokenHash, String name, UUID by, OffsetDateTime expires) {
        db.insertInto(COACH_INVITATION)
                .set(COACH_INVITATION.TOKEN_HASH, tokenHash)
                .set(COACH_INVITATION.NAME, name)
                .set(COACH_INVITATION.INVITED_BY, by)
                .set(COACH_INVITATION.EXPIRES_AT, expires)
                .execute();
    }

    /**
     * @param by who invited
     */
    record Invited(String name, String by) {}

    Optional<Invited> invited(String tokenHash) {
        return db.select(COACH_INVITATION.NAME, ACCOUNT.NAME)
                .from(COACH_INVITATION)
                .join(ACCOUNT)
                .on(ACCOUNT.ID.eq(COACH_INVITATION.INVITED_BY))
                .where(COACH_INVITATION.TOKEN_HASH.eq(tokenHash))
                .and(COACH_INVITATION.EXPIRES_AT.gt(OffsetDateTime.now(clock)))
                .fetchOptional(mapping(Invited::new));
    }

    /** Whether there was such an invitation; of two at once only one finds it. */
    boolean useUp(String tokenHash) {
        return db.deleteFrom(COACH_INVITATION)
                        .where(COACH_INVITATION.TOKEN_HASH.eq(tokenHash))
                        .execute()
                == 1;
    }

    /** In place of an earlier offer of this student. */
    void offer(UUID student, UUID to, UUID by, String words) {
        db.mergeInto(HANDOVER)
                .columns(
                        HANDOVER.STUDENT_ID,
                        HANDOVER.TO_COACH,
                        HANDOVER.OFFERED_BY,
                        HANDOVER.WORDS,
                        HANDOVER.OFFERED_AT)
                .key(HANDOVER.STUDENT_ID)
                .values(student, to, by, words, OffsetDateTime.now(clock))
                .execute();
    }

    List<Handover> handovers(UUID coach) {
        return handovers(HANDOVER.TO_COACH.eq(coach).or(STUDENT.COACH_ID.eq(coach)));
    }

    Optional<Handover> handover(UUID student) {
        return handovers(HANDOVER.STUDENT_ID.eq(student)).stream().findFirst();
    }

    private List<Handover> handovers(Condition which) {
        Account to = ACCOUNT.as("to_coach");
        return db.select(
                        HANDOVER.STUDENT_ID,
                        STUDENT.NAME,
                        STUDENT.COACH_ID,
                        ACCOUNT.NAME,
                        HANDOVER.TO_COACH,
                        to.NAME,
                        HANDOVER.WORDS,
                        HANDOVER.OFFERED_AT)
                .from(HANDOVER)
                .join(STUDENT)
                .on(STUDENT.ID.eq(HANDOVER.STUDENT_ID))
                .join(ACCOUNT)
                .on(ACCOUNT.ID.eq(STUDENT.COACH_ID))
                .join(to)
                .on(to.ID.eq(HANDOVER.TO_COACH))
                .where(which)
                .orderBy(HANDOVER.OFFERED_AT)
                .fetch(mapping(Handover::new));
    }

    boolean withdraw(UUID student) {
        return db.deleteFrom(HANDOVER).where(HANDOVER.STUDENT_ID.eq(student)).execute() == 1;
    }

    /** What was offered to a coach who leaves is offered no more. */
    void withdrawAllTo(UUID coach) {
        db.deleteFrom(HANDOVER).where(HANDOVER.TO_COACH.eq(coach)).execute();
    }
}
