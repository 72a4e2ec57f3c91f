package app.hodegon.server.trace;

import static app.hodegon.server.db.Tables.LESSON;
import static app.hodegon.server.db.Tables.LESSON_MEASURED;

import app.hodegon.core.motion.KeptSwings.Joint;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Source;
import app.hodegon.server.db.tables.records.LessonMeasuredRecord;
import app.hodegon.server.lesson.Stage;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

/** What the kept swings of a lesson say together, by what they were measured with. */
@Repository
class MeasuredRepository {

    private final DSLContext db;

    MeasuredRepository(DSLContext db) {
        this.db = db;
    }

    /** Replaces what those of one source say. */
    void put(UUID lesson, Source source, Map<Stage, List<Joint>> joints) {
        db.deleteFrom(LESSON_MEASURED)
                .where(LESSON_MEASURED.LESSON_ID.eq(lesson))
                .and(LESSON_MEASURED.SOURCE.eq(source.id()))
                .execute();
        List<LessonMeasuredRecord> rows = new ArrayList<>();
        joints.forEach((stage, all) -> {
            for (int i = 0; i < all.size(); i++) rows.add(row(lesson, source, stage, i, all.get(i)));
        });
        db.batchInsert(rows).execute();
        db.update(LESSON)
                .set(LESSON.SWINGS_VERSION, LESSON.SWINGS_VERSION.plus(1))
                .where(LESSON.ID.eq(lesson))
                .execute();
    }

    private static LessonMeasuredRecord row(UUID lesson, Source source, Stage stage, int ordinal, Joint joint) {
        LessonMeasuredRecord row = new LessonMeasuredRecord();
        row.setLessonId(lesson);
        row.setSource(source.id());
        row.setStage(stage.id());
        row.setOrdinal((short) ordinal);
        row.setMeasure(joint.measure().id());
        row.setCheckpoint(joint.at().map(Checkpoint::id).orElse(null));
        row.setMeanValue(joint.mean());
        row.setSwings((short) joint.swings());
        row.setUncertainty(joint.uncertainty());
        row.setSpread(joint.spread().isPresent() ? joint.spread().getAsDouble() : null);
        return row;
    }
}
