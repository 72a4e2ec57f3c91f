package app.hodegon.server.progress;

import static app.hodegon.server.db.Tables.LESSON;
import static app.hodegon.server.db.Tables.PROPOSAL_ANSWER;
import static app.hodegon.server.db.Tables.STUDENT;

import app.hodegon.core.progress.Proposal;
import app.hodegon.core.progress.Proposal.Kind;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.db.tables.records.ProposalAnswerRecord;
import app.hodegon.server.progress.ProgressView.AnswerView;
import app.hodegon.server.progress.ProgressView.KindView;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.json.JsonMapper;

@Repository
class AnswerRepository {

    private final DSLContext db;
    private final JsonMapper json;
    private final Clock clock;

    AnswerRepository(DSLContext db, JsonMapper json, Clock clock) {
        this.db = db;
        this.json = json;
        this.clock = clock;
    }

    Optional<AnswerView> of(UUID lesson) {
        return db.fetchOptional(PROPOSAL_ANSWER, PROPOSAL_ANSWER.LESSON_ID.eq(lesson))
                .map(AnswerRepository::view);
    }

    private static AnswerView view(ProposalAnswerRecord row) {
        return new AnswerView(
                KindView.of(Identified.of(Kind.class, row.getProposed())),
                row.getAnswer(),
                row.getKind() == null ? null : KindView.of(Identified.of(Kind.class, row.getKind())),
                row.getReason(),
                row.getAnsweredAt());
    }

    /** In place of an earlier answer at this lesson. */
    void put(UUID lesson, Proposal proposed, Answer answer, Optional<Kind> done, String reason) {
        remove(lesson);
        db.insertInto(PROPOSAL_ANSWER)
                .set(PROPOSAL_ANSWER.LESSON_ID, lesson)
                .set(PROPOSAL_ANSWER.PROPOSED, proposed.kind().id())
                .set(PROPOSAL_ANSWER.BECAUSE, json.writeValueAsString(proposed.because()))
                .set(PROPOSAL_ANSWER.ANSWER, answer.id())
                .set(PROPOSAL_ANSWER.KIND, done.map(Kind::id).orElse(null))
                .set(PROPOSAL_ANSWER.REASON, reason)
                .set(PROPOSAL_ANSWER.ANSWERED_AT, OffsetDateTime.now(clock))
                .execute();
    }

    void remove(UUID lesson) {
        db.deleteFrom(PROPOSAL_ANSWER)
                .where(PROPOSAL_ANSWER.LESSON_ID.eq(lesson))
                .execute();
    }

    /** An answer with whose it is. */
    record Given(UUID lesson, UUID studentId, String student, AnswerView answer) {}

    /** A coach's last answers, the latest first. */
    List<Given> last(UUID coach, int most) {
        return db.select(PROPOSAL_ANSWER, STUDENT.ID, STUDENT.NAME)
                .from(PROPOSAL_ANSWER)
                .join(LESSON)
                .on(LESSON.ID.eq(PROPOSAL_ANSWER.LESSON_ID))
                .join(STUDENT)
                .on(STUDENT.ID.eq(LESSON.STUDENT_ID))
                .where(STUDENT.COACH_ID.eq(coach))
                .orderBy(PROPOSAL_ANSWER.ANSWERED_AT.desc())
                .limit(most)
                .fetch(row -> new Given(row.value1().getLessonId(), row.value2(), row.value3(), view(row.value1())));
    }
}
