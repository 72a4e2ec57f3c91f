package app.hodegon.server.check;

import static app.hodegon.server.db.Tables.LESSON;
import static app.hodegon.server.db.Tables.LESSON_CHECK;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.practice.CheckSet;
import app.hodegon.core.swing.Identified;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

@Repository
class LessonCheckRepository {

    private final DSLContext db;

    LessonCheckRepository(DSLContext db) {
        this.db = db;
    }

    /** What was scored in a lesson, by fault. */
    Map<Fault, CheckSet> of(UUID lesson) {
        Map<Fault, CheckSet> sets = new LinkedHashMap<>();
        db.select(LESSON.HELD_ON, LESSON_CHECK.FAULT, LESSON_CHECK.DRILL, LESSON_CHECK.RUNG, LESSON_CHECK.GOOD)
                .from(LESSON_CHECK)
                .join(LESSON)
                .on(LESSON.ID.eq(LESSON_CHECK.LESSON_ID))
                .where(LESSON_CHECK.LESSON_ID.eq(lesson))
                .orderBy(LESSON_CHECK.FAULT)
                .forEach(row -> {
                    Fault fault = Identified.of(Fault.class, row.value2());
                    sets.put(
                            fault,
                            CheckSet.inLesson(
                                    row.value1(),
                                    fault,
                                    row.value3(),
                                    Identified.of(Rung.class, row.value4()),
                                    row.value5()));
                });
        return sets;
    }

    /** Scored anew, the fault's earlier score of this lesson is replaced. */
    void put(UUID lesson, CheckSet set) {
        db.mergeInto(LESSON_CHECK)
                .columns(
                        LESSON_CHECK.LESSON_ID,
                        LESSON_CHECK.FAULT,
                        LESSON_CHECK.RUNG,
                        LESSON_CHECK.DRILL,
                        LESSON_CHECK.GOOD)
                .key(LESSON_CHECK.LESSON_ID, LESSON_CHECK.FAULT)
                .values(lesson, set.fault().id(), set.rung().id(), set.drill(), (short) set.good())
                .execute();
    }

    void remove(UUID lesson, Fault fault) {
        db.deleteFrom(LESSON_CHECK)
                .where(LESSON_CHECK.LESSON_ID.eq(lesson).and(LESSON_CHECK.FAULT.eq(fault.id())))
                .execute();
    }
}
