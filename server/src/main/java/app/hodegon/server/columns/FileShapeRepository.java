package app.hodegon.server.columns;

import static app.hodegon.server.db.Tables.FILE_SHAPE;

import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

@Repository
class FileShapeRepository {

    private final DSLContext db;

    FileShapeRepository(DSLContext db) {
        this.db = db;
    }

    Optional<String> columns(UUID coach, String kind, String heading) {
        return db.select(FILE_SHAPE.COLUMNS)
                .from(FILE_SHAPE)
                .where(FILE_SHAPE.COACH_ID.eq(coach))
                .and(FILE_SHAPE.KIND.eq(kind))
                .and(FILE_SHAPE.HEADING.eq(heading))
                .fetchOptional(FILE_SHAPE.COLUMNS);
    }

    void remember(UUID coach, String kind, String heading, String columns) {
        db.mergeInto(FILE_SHAPE)
                .columns(FILE_SHAPE.COACH_ID, FILE_SHAPE.KIND, FILE_SHAPE.HEADING, FILE_SHAPE.COLUMNS)
                .key(FILE_SHAPE.COACH_ID, FILE_SHAPE.KIND, FILE_SHAPE.HEADING)
                .values(coach, kind, heading, columns)
                .execute();
    }
}
