package app.hodegon.server.approach;

import static app.hodegon.server.db.Tables.ACCOUNT;
import static app.hodegon.server.db.Tables.COACH_ANSWER;
import static app.hodegon.server.db.Tables.COACH_REPEATABILITY;
import static app.hodegon.server.db.Tables.STUDENT_ANSWER;

import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Quantity;
import app.hodegon.core.swing.Repeatability;
import app.hodegon.core.swing.Source;
import app.hodegon.server.approach.Approaches.OwnSem;
import app.hodegon.server.db.tables.records.CoachRepeatabilityRecord;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

@Repository
class ApproachRepository {

    private final DSLContext db;

    ApproachRepository(DSLContext db) {
        this.db = db;
    }

    Map<String, String> ofCoach(UUID coach) {
        return db.selectFrom(COACH_ANSWER)
                .where(COACH_ANSWER.COACH_ID.eq(coach))
                .fetchMap(COACH_ANSWER.QUESTION, COACH_ANSWER.ANSWER);
    }

    /** Where this student is taught otherwise. */
    Map<String, String> ofStudent(UUID student) {
        return db.selectFrom(STUDENT_ANSWER)
                .where(STUDENT_ANSWER.STUDENT_ID.eq(student))
                .fetchMap(STUDENT_ANSWER.QUESTION, STUDENT_ANSWER.ANSWER);
    }

    int version(UUID coach) {
        return db.select(ACCOUNT.APPROACH_VERSION)
                .from(ACCOUNT)
                .where(ACCOUNT.ID.eq(coach))
                .fetchOne(ACCOUNT.APPROACH_VERSION);
    }

    void setOfCoach(UUID coach, Map<String, String> answers) {
        db.update(ACCOUNT)
                .set(ACCOUNT.APPROACH_VERSION, ACCOUNT.APPROACH_VERSION.plus(1))
                .where(ACCOUNT.ID.eq(coach))
                .execute();
        db.deleteFrom(COACH_ANSWER).where(COACH_ANSWER.COACH_ID.eq(coach)).execute();
        answers.forEach((question, answer) -> db.insertInto(COACH_ANSWER)
                .set(COACH_ANSWER.COACH_ID, coach)
                .set(COACH_ANSWER.QUESTION, question)
                .set(COACH_ANSWER.ANSWER, answer)
                .execute());
    }

    void setOfStudent(UUID student, Map<String, String> answers) {
        db.deleteFrom(STUDENT_ANSWER)
                .where(STUDENT_ANSWER.STUDENT_ID.eq(student))
                .execute();
        answers.forEach((question, answer) -> db.insertInto(STUDENT_ANSWER)
                .set(STUDENT_ANSWER.STUDENT_ID, student)
                .set(STUDENT_ANSWER.QUESTION, question)
                .set(STUDENT_ANSWER.ANSWER, answer)
                .execute());
    }

    Repeatability repeatability(UUID coach) {
        Repeatability repeatability = Repeatability.ASSUMED;
        for (CoachRepeatabilityRecord own : db.fetch(COACH_REPEATABILITY, COACH_REPEATABILITY.COACH_ID.eq(coach))) {
            repeatability = repeatability.with(
                    Identified.of(Quantity.class, own.getQuantity()),
                    Identified.of(Source.class, own.getSource()),
                    own.getSem());
        }
        return repeatability;
    }

    void setRepeatability(UUID coach, List<OwnSem> own) {
        db.deleteFrom(COACH_REPEATABILITY)
                .where(COACH_REPEATABILITY.COACH_ID.eq(coach))
                .execute();
        for (OwnSem one : own) {
            db.insertInto(COACH_REPEATABILITY)
                    .set(COACH_REPEATABILITY.COACH_ID, coach)
                    .set(COACH_REPEATABILITY.QUANTITY, one.quantity().id())
                    .set(COACH_REPEATABILITY.SOURCE, one.source().id())
                    .set(COACH_REPEATABILITY.SEM, one.sem())
                    .execute();
        }
    }
}
