package app.hodegon.server.plate;

import static app.hodegon.server.db.Tables.TRACE_SHAPE;

import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** What the columns of files with loads mean, by their heading. */
@Repository
class TraceShapeRepository {

    private final DSLContext db;

    TraceShapeRepository(DSLContext db) {
        this.db = db;
    }

    Optional<String> columns(UUID coach, String heading) {
        return db.select(TRACE_SHAPE.COLUMNS)
                .from(TRACE_SHAPE)
                .where(TRACE_SHAPE.COACH_ID.eq(coach).and(TRACE_SHAPE.HEADING.eq(heading)))
                .fetchOptional(TRACE_SHAPE.COLUMNS);
    }

    void remember(UUID coach, String heading, String columns) {
        db.mergeInto(TRACE_SHAPE)
                .columns(TRACE_SHAPE.COACH_ID, TRACE_SHAPE.HEADING, TRACE_SHAPE.COLUMNS)
                .key(TRACE_SHAPE.COACH_ID, TRACE_SHAPE.HEADING)
                .values(coach, heading, columns)
                .execute();
    }
}
