package app.hodegon.server.choice;

import static app.hodegon.server.db.Tables.FIRST_CHOICE;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Edits.StepId;
import app.hodegon.core.plan.FirstChoices;
import app.hodegon.core.swing.Identified;
import java.util.List;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

@Repository
class ChoiceRepository {

    private final DSLContext db;

    ChoiceRepository(DSLContext db) {
        this.db = db;
    }

    FirstChoices of(UUID coach) {
        return new FirstChoices(db.selectFrom(FIRST_CHOICE)
                .where(FIRST_CHOICE.COACH_ID.eq(coach))
                .orderBy(FIRST_CHOICE.ORDINAL)
                .fetchGroups(
                        row -> new StepId(
                                Identified.of(Fault.class, row.getFault()), Identified.of(Rung.class, row.getRung())),
                        row -> row.getDrill()));
    }

    void put(UUID coach, StepId step, List<String> drills) {
        db.deleteFrom(FIRST_CHOICE)
                .where(FIRST_CHOICE.COACH_ID.eq(coach))
                .and(FIRST_CHOICE.FAULT.eq(step.fault().id()))
                .and(FIRST_CHOICE.RUNG.eq(step.rung().id()))
                .execute();
        for (int i = 0; i < drills.size(); i++) {
            db.insertInto(FIRST_CHOICE)
                    .set(FIRST_CHOICE.COACH_ID, coach)
                    .set(FIRST_CHOICE.FAULT, step.fault().id())
                    .set(FIRST_CHOICE.RUNG, step.rung().id())
                    .set(FIRST_CHOICE.ORDINAL, i)
                    .set(FIRST_CHOICE.DRILL, drills.get(i))
                    .execute();
        }
    }
}
