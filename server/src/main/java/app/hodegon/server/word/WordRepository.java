package app.hodegon.server.word;

import static app.hodegon.server.db.Tables.DRILL_FILM;
import static app.hodegon.server.db.Tables.DRILL_WORD;
import static app.hodegon.server.db.Tables.STUDENT_CUE;

import app.hodegon.server.word.DrillWordsView.DrillFilmView;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

@Repository
class WordRepository {

    private final DSLContext db;

    WordRepository(DSLContext db) {
        this.db = db;
    }

    /** A coach's words by drill. */
    Map<String, String> words(UUID coach) {
        return db.select(DRILL_WORD.DRILL, DRILL_WORD.WORDS)
                .from(DRILL_WORD)
                .where(DRILL_WORD.COACH_ID.eq(coach))
                .orderBy(DRILL_WORD.DRILL)
                .fetchMap(DRILL_WORD.DRILL, DRILL_WORD.WORDS);
    }

    /** Of which drills a coach has a film, without the films. */
    Map<String, DrillFilmView> films(UUID coach) {
        return db.select(DRILL_FILM.DRILL, DRILL_FILM.BYTES, DRILL_FILM.AGREED_BY, DRILL_FILM.AGREED_ON)
                .from(DRILL_FILM)
                .where(DRILL_FILM.COACH_ID.eq(coach))
                .orderBy(DRILL_FILM.DRILL)
                .fetchMap(DRILL_FILM.DRILL, row -> new DrillFilmView(row.value2(), row.value3(), row.value4()));
    }

    /** @param words none take those away that were there */
    void put(UUID coach, String drill, String words) {
        db.deleteFrom(DRILL_WORD)
                .where(DRILL_WORD.COACH_ID.eq(coach).and(DRILL_WORD.DRILL.eq(drill)))
                .execute();
        if (words.isEmpty()) return;
        db.insertInto(DRILL_WORD)
                .set(DRILL_WORD.COACH_ID, coach)
                .set(DRILL_WORD.DRILL, drill)
                .set(DRILL_WORD.WORDS, words)
                .execute();
    }

    void putFilm(UUID coach, String drill, byte[] film, String agreedBy, LocalDate agreedOn) {
        removeFilm(coach, drill);
        db.insertInto(DRILL_FILM)
                .set(DRILL_FILM.COACH_ID, coach)
                .set(DRILL_FILM.DRILL, drill)
                .set(DRILL_FILM.AGREED_BY, agreedBy)
                .set(DRILL_FILM.AGREED_ON, agreedOn)
                .set(DRILL_FILM.BYTES, film.length)
                .set(DRILL_FILM.FILM, film)
                .execute();
    }

    int removeFilm(UUID coach, String drill) {
        return db.deleteFrom(DRILL_FILM)
                .where(DRILL_FILM.COACH_ID.eq(coach).and(DRILL_FILM.DRILL.eq(drill)))
                .execute();
    }

    Optional<byte[]> film(UUID coach, String drill) {
        return db.select(DRILL_FILM.FILM)
                .from(DRILL_FILM)
                .where(DRILL_FILM.COACH_ID.eq(coach).and(DRILL_FILM.DRILL.eq(drill)))
                .fetchOptional(DRILL_FILM.FILM);
    }

    /** What a student calls the cues, by drill. */
    Map<String, String> cues(UUID student) {
        return db.select(STUDENT_CUE.DRILL, STUDENT_CUE.WORDS)
                .from(STUDENT_CUE)
                .where(STUDENT_CUE.STUDENT_ID.eq(student))
                .orderBy(STUDENT_CUE.DRILL)
                .fetchMap(STUDENT_CUE.DRILL, STUDENT_CUE.WORDS);
    }

    /** @param words none take those away that were there */
    void putCue(UUID student, String drill, String words) {
        db.deleteFrom(STUDENT_CUE)
                .where(STUDENT_CUE.STUDENT_ID.eq(student).and(STUDENT_CUE.DRILL.eq(drill)))
                .execute();
        if (words.isEmpty()) return;
        db.insertInto(STUDENT_CUE)
                .set(STUDENT_CUE.STUDENT_ID, student)
                .set(STUDENT_CUE.DRILL, drill)
                .set(STUDENT_CUE.WORDS, words)
                .execute();
    }
}
