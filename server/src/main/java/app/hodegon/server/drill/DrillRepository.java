package app.hodegon.server.drill;

import static app.hodegon.server.db.Tables.OWN_DRILL;
import static app.hodegon.server.db.Tables.PLAN;
import static app.hodegon.server.db.Tables.PLAN_DOCUMENT;
import static app.hodegon.server.db.Tables.STUDENT;

import app.hodegon.core.drill.Drill;
import app.hodegon.core.drill.DrillFile;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
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

    /** A coach's own drills as one drill file. */
    String file(UUID coach) {
        return db
                .select(OWN_DRILL.DOCUMENT)
                .from(OWN_DRILL)
                .where(OWN_DRILL.COACH_ID.eq(coach))
                .orderBy(OWN_DRILL.ID)
                .fetch(OWN_DRILL.DOCUMENT)
                .stream()
                .map(document -> document.substring(1, document.length() - 1))
                .reduce((a, b) -> a + "," + b)
                .map(all -> "[" + all + "]")
                .orElse("[]");
    }

    void put(UUID coach, Drill drill) {
        db.mergeInto(OWN_DRILL)
                .columns(OWN_DRILL.COACH_ID, OWN_DRILL.ID, OWN_DRILL.DOCUMENT, OWN_DRILL.UPDATED_AT)
                .key(OWN_DRILL.COACH_ID, OWN_DRILL.ID)
                .values(coach, drill.id(), DrillFile.write(List.of(drill)).strip(), OffsetDateTime.now(clock))
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
