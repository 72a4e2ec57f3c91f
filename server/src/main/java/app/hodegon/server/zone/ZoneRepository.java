package app.hodegon.server.zone;

import static app.hodegon.server.db.Tables.ACCOUNT;
import static app.hodegon.server.db.Tables.STUDENT;
import static app.hodegon.server.storage.AmongCondition.among;
import static org.jooq.impl.DSL.coalesce;

import app.hodegon.server.db.tables.Account;
import java.time.ZoneId;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record2;
import org.jooq.SelectConditionStep;
import org.springframework.stereotype.Repository;

@Repository
class ZoneRepository {

    private static final Account COACH = ACCOUNT.as("coach");

    private final DSLContext db;

    ZoneRepository(DSLContext db) {
        this.db = db;
    }

    void set(UUID account, ZoneId zone) {
        db.update(ACCOUNT)
                .set(ACCOUNT.ZONE, zone.getId())
                .where(ACCOUNT.ID.eq(account).and(ACCOUNT.ZONE.isDistinctFrom(zone.getId())))
                .execute();
    }

    Optional<ZoneId> ofAccount(UUID account) {
        return db.select(ACCOUNT.ZONE)
                .from(ACCOUNT)
                .where(ACCOUNT.ID.eq(account))
                .fetchOptional(ACCOUNT.ZONE)
                .map(ZoneId::of);
    }

    List<ZoneId> all() {
        return db.selectDistinct(ACCOUNT.ZONE)
                .from(ACCOUNT)
                .where(ACCOUNT.ZONE.isNotNull())
                .fetch(row -> ZoneId.of(row.value1()));
    }

    /** The student's own, else the coach's. */
    Optional<ZoneId> ofStudent(UUID student) {
        return zones(STUDENT.ID.eq(student)).fetchOptional(row -> row.value2()).map(ZoneId::of);
    }

    Map<UUID, Optional<ZoneId>> ofStudents(Collection<UUID> students) {
        return zones(among(STUDENT.ID, students))
                .fetchMap(
                        row -> row.value1(),
                        row -> Optional.ofNullable(row.value2()).map(ZoneId::of));
    }

    private SelectConditionStep<Record2<UUID, String>> zones(Condition which) {
        return db.select(STUDENT.ID, coalesce(ACCOUNT.ZONE, COACH.ZONE))
                .from(STUDENT)
                .join(COACH)
                .on(COACH.ID.eq(STUDENT.COACH_ID))
                .leftJoin(ACCOUNT)
                .on(ACCOUNT.ID.eq(STUDENT.ACCOUNT_ID))
                .where(which);
    }
}
