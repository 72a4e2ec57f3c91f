package app.hodegon.server.drill;

import static app.hodegon.server.db.Tables.ACCOUNT;
import static app.hodegon.server.db.Tables.OWN_DRILL;
import static app.hodegon.server.db.Tables.PLAN;
import static app.hodegon.server.db.Tables.PLAN_DOCUMENT;
import static app.hodegon.server.db.Tables.STUDENT;
import static org.jooq.Records.mapping;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

@Repository
class DrillRepository {

    private final DSLContext db;
    private final Clock clock;

    DrillRepository(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** A coach's own drills by id, each a drill file of one. */
    Map<String, String> documents(UUID coach) {
        return db.select(OWN_DRILL.ID, OWN_DRILL.DOCUMENT)
                .from(OWN_DRILL)
                .where(OWN_DRILL.COACH_ID.eq(coach))
                .orderBy(OWN_DRILL.ID)
                .fetchMap(OWN_DRILL.ID, OWN_DRILL.DOCUMENT);
    }

    void put(UUID coach, String id, String document) {
        db.mergeInto(OWN_DRILL)
                .columns(OWN_DRILL.COACH_ID, OWN_DRILL.ID, OWN_DRILL.DOCUMENT, OWN_DRILL.UPDATED_AT)
                .key(OWN_DRILL.COACH_ID, OWN_DRILL.ID)
                .values(coach, id, document, OffsetDateTime.now(clock))
                .execute();
    }

    /** Drills that other coaches share, by coach and id. */
    List<SharedDrill> shared(UUID butNotOf) {
        return db.select(OWN_DRILL.COACH_ID, ACCOUNT.NAME, OWN_DRILL.ID, OWN_DRILL.DOCUMENT)
                .from(OWN_DRILL)
                .join(ACCOUNT)
                .on(ACCOUNT.ID.eq(OWN_DRILL.COACH_ID))
                .where(OWN_DRILL.COACH_ID.ne(butNotOf).and(OWN_DRILL.SHARED))
                .orderBy(ACCOUNT.NAME, OWN_DRILL.ID)
                .fetch(mapping(SharedDrill::new));
    }

    /**
     * @param document a drill file of one
     */
    record SharedDrill(UUID coach, String coachName, String id, String document) {}

    List<String> sharedBy(UUID coach) {
        return db.select(OWN_DRILL.ID)
                .from(OWN_DRILL)
                .where(OWN_DRILL.COACH_ID.eq(coach).and(OWN_DRILL.SHARED))
                .fetch(OWN_DRILL.ID);
    }

    int share(UUID coach, String id, boolean shared) {
        return db.update(OWN_DRILL)
                .set(OWN_DRILL.SHARED, shared)
                .where(OWN_DRILL.COACH_ID.eq(coach).and(OWN_DRILL.ID.eq(id)))
                .execute();
    }

    /** Whether a plan of one of this coach's students has it. */
    boolean inAPlan(UUID coach, String id) {
        return db.fetchExists(db.selectOne()
                .from(PLAN)
                .join(STUDENT)
                .on(STUDENT.ID.eq(PLAN.STUDENT_ID))
                .join(PLAN_DOCUMENT)
                .on(PLAN_DOCUMENT.PLAN_ID.eq(PLAN.ID))
                .where(STUDENT.COACH_ID.eq(coach).and(PLAN_DOCUMENT.DOCUMENT.contains("\"drill\":\"" + id + "\""))));
    }

    int delete(UUID coach, String id) {
        return db.deleteFrom(OWN_DRILL)
                .where(OWN_DRILL.COACH_ID.eq(coach).and(OWN_DRILL.ID.eq(id)))
                .execute();
    }
}
