package app.hodegon.server.note;

import static app.hodegon.server.db.Tables.PRACTICE_SESSION;
import static app.hodegon.server.db.Tables.SESSION_ANSWER;
import static org.jooq.impl.DSL.multiset;
import static org.jooq.impl.DSL.select;

import app.hodegon.server.note.NoteThread.Answer;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

@Repository
class NoteRepository {

    private final DSLContext db;
    private final Clock clock;

    NoteRepository(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** The latest notes of a student, latest first. */
    List<NoteThread> latest(UUID student, int limit) {
        var answers = multiset(select(SESSION_ANSWER.BY_COACH, SESSION_ANSWER.SAID, SESSION_ANSWER.SAID_AT)
                        .from(SESSION_ANSWER)
                        .where(SESSION_ANSWER.SESSION_ID.eq(PRACTICE_SESSION.ID))
                        .orderBy(SESSION_ANSWER.SAID_AT))
                .convertFrom(rows -> rows.map(r -> new Answer(r.value1(), r.value2(), r.value3())));
        return db.select(
                        PRACTICE_SESSION.ID,
                        PRACTICE_SESSION.PRACTICE_DAY,
                        PRACTICE_SESSION.NOTE,
                        PRACTICE_SESSION.NOTE_READ_AT,
                        answers)
                .from(PRACTICE_SESSION)
                .where(PRACTICE_SESSION.STUDENT_ID.eq(student).and(PRACTICE_SESSION.NOTE.ne("")))
                .orderBy(PRACTICE_SESSION.PRACTICE_DAY.desc(), PRACTICE_SESSION.UPDATED_AT.desc())
                .limit(limit)
                .fetch(row ->
                        new NoteThread(row.value1(), row.value2(), row.value3(), row.value4() != null, row.value5()));
    }

    /** Whether this student has such a session with a note. */
    boolean isNote(UUID student, UUID session) {
        return db.fetchExists(
                PRACTICE_SESSION,
                PRACTICE_SESSION
                        .ID
                        .eq(session)
                        .and(PRACTICE_SESSION.STUDENT_ID.eq(student))
                        .and(PRACTICE_SESSION.NOTE.ne("")));
    }

    /** What the coach says makes the note read; what the student says makes it new again. */
    void add(UUID session, boolean byCoach, String said) {
        OffsetDateTime now = OffsetDateTime.now(clock);
        db.insertInto(SESSION_ANSWER)
                .set(SESSION_ANSWER.ID, UUID.randomUUID())
                .set(SESSION_ANSWER.SESSION_ID, session)
                .set(SESSION_ANSWER.BY_COACH, byCoach)
                .set(SESSION_ANSWER.SAID, said)
                .set(SESSION_ANSWER.SAID_AT, now)
                .execute();
        db.update(PRACTICE_SESSION)
                .set(PRACTICE_SESSION.NOTE_READ_AT, byCoach ? now : null)
                .where(PRACTICE_SESSION.ID.eq(session))
                .execute();
    }
}
