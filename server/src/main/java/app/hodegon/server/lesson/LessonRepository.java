package app.hodegon.server.lesson;

import static app.hodegon.server.db.Tables.LESSON;
import static app.hodegon.server.db.Tables.LESSON_ANSWER;
import static app.hodegon.server.db.Tables.LESSON_DECISION;
import static app.hodegon.server.db.Tables.LESSON_MEASURED;
import static app.hodegon.server.db.Tables.LESSON_READING;
import static app.hodegon.server.db.Tables.LESSON_SHOT;
import static app.hodegon.server.db.Tables.LESSON_SIGN;
import static app.hodegon.server.db.Tables.SHOT_FILE;
import static app.hodegon.server.storage.AmongCondition.among;
import static org.jooq.impl.DSL.exists;
import static org.jooq.impl.DSL.noCondition;
import static org.jooq.impl.DSL.partitionBy;
import static org.jooq.impl.DSL.row;
import static org.jooq.impl.DSL.rowNumber;
import static org.jooq.impl.DSL.select;
import static org.jooq.impl.DSL.selectOne;

import app.hodegon.core.approach.Approach;
import app.hodegon.core.diagnosis.Catalogue;
import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.diagnosis.Observations;
import app.hodegon.core.motion.KeptSwings;
import app.hodegon.core.swing.Checkpoint;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Reading;
import app.hodegon.core.swing.Source;
import app.hodegon.server.db.tables.Lesson;
import app.hodegon.server.db.tables.records.LessonAnswerRecord;
import app.hodegon.server.db.tables.records.LessonMeasuredRecord;
import app.hodegon.server.db.tables.records.LessonReadingRecord;
import app.hodegon.server.db.tables.records.LessonRecord;
import app.hodegon.server.db.tables.records.LessonShotRecord;
import app.hodegon.server.db.tables.records.LessonSignRecord;
import app.hodegon.server.lesson.LessonEntry.Keyed;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Records;
import org.jooq.Result;
import org.springframework.stereotype.Repository;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

@Repository
class LessonRepository {

    private static final TypeReference<Map<String, TryEntry>> TRIES = new TypeReference<>() {};
    private static final TypeReference<Map<String, Keyed>> KEYED = new TypeReference<>() {};

    private final DSLContext db;
    private final JsonMapper json;
    private final Clock clock;

    LessonRepository(DSLContext db, Clock clock, JsonMapper json) {
        this.json = json;
        this.db = db;
        this.clock = clock;
    }

    boolean heldSince(UUID student, LocalDate day) {
        return db.fetchExists(LESSON, LESSON.STUDENT_ID.eq(student).and(LESSON.HELD_ON.ge(day)));
    }

    Optional<StoredLesson> byId(UUID id) {
        return fetch(LESSON.ID.eq(id)).stream().findFirst();
    }

    /** The last lessons of a student, oldest first. */
    List<StoredLesson> last(UUID student, int most) {
        List<StoredLesson> latestFirst = new ArrayList<>(whole(latest(LESSON.STUDENT_ID.eq(student), most)));
        Collections.reverse(latestFirst);
        return latestFirst;
    }

    int count(UUID student) {
        return db.fetchCount(LESSON, LESSON.STUDENT_ID.eq(student));
    }

    /**
     * The lesson before this one.
     *
     * @param measured only one in which something was seen or measured before it
     */
    Optional<StoredLesson> before(UUID student, UUID id, boolean measured) {
        Lesson now = LESSON.as("now");
        Condition earlier = row(LESSON.HELD_ON, LESSON.CREATED_AT)
                .lt(select(now.HELD_ON, now.CREATED_AT).from(now).where(now.ID.eq(id)));
        Condition which = LESSON.STUDENT_ID.eq(student).and(earlier).and(measured ? seenBefore() : noCondition());
        return whole(latest(which, 1)).stream().findFirst();
    }

    /** The last measured lessons of earlier days, latest first. */
    List<StoredLesson> measuredBefore(UUID student, LocalDate day, int most) {
        return whole(
                latest(LESSON.STUDENT_ID.eq(student).and(LESSON.HELD_ON.lt(day)).and(seenBefore()), most));
    }

    /** For each of these lessons the next one of the student in which something was seen or measured before it. */
    Map<UUID, StoredLesson> following(Collection<UUID> lessons) {
        Lesson earlier = LESSON.as("earlier");
        Map<UUID, LessonRecord> next = new HashMap<>();
        db.select(earlier.ID, LESSON)
                .from(earlier)
                .join(LESSON)
                .on(LESSON.STUDENT_ID.eq(earlier.STUDENT_ID))
                .and(row(LESSON.HELD_ON, LESSON.CREATED_AT).gt(earlier.HELD_ON, earlier.CREATED_AT))
                .where(among(earlier.ID, lessons))
                .and(seenBefore())
                .orderBy(LESSON.HELD_ON, LESSON.CREATED_AT)
                .forEach(row -> next.putIfAbsent(row.value1(), row.value2()));
        Map<UUID, StoredLesson> whole = whole(next.values().stream().distinct().toList()).stream()
                .collect(Collectors.toMap(StoredLesson::id, l -> l));
        Map<UUID, StoredLesson> following = new HashMap<>();
        next.forEach((id, row) -> following.put(id, whole.get(row.getId())));
        return following;
    }

    /**
     * The last lessons since that day of each of these students in which something was seen or measured before it, latest
     * first.
     */
    List<Lessons.Head> lastMeasured(Collection<UUID> students, LocalDate since, int each) {
        return db.select(
                        LESSON.ID,
                        LESSON.STUDENT_ID,
                        LESSON.VERSION,
                        LESSON.SWINGS_VERSION,
                        LESSON.FOCUS.convertFrom(List::of))
                .from(LESSON)
                .where(among(LESSON.STUDENT_ID, students))
                .and(LESSON.HELD_ON.ge(since))
                .and(seenBefore())
                .qualify(rowNumber()
                        .over(partitionBy(LESSON.STUDENT_ID).orderBy(LESSON.HELD_ON.desc(), LESSON.CREATED_AT.desc()))
                        .le(each))
                .orderBy(LESSON.HELD_ON.desc(), LESSON.CREATED_AT.desc())
                .fetch(Records.mapping(Lessons.Head::new));
    }

    List<StoredLesson> all(Collection<UUID> ids) {
        return fetch(among(LESSON.ID, ids));
    }

    /** Whether something was seen or measured before the lesson. */
    private static Condition seenBefore() {
        return exists(selectOne().from(LESSON_SIGN).where(LESSON_SIGN.LESSON_ID.eq(LESSON.ID)))
                .or(exists(selectOne()
                        .from(LESSON_READING)
                        .where(LESSON_READING.LESSON_ID.eq(LESSON.ID))
                        .and(LESSON_READING.STAGE.eq(Stage.BEFORE.id()))))
                .or(exists(selectOne()
                        .from(LESSON_MEASURED)
                        .where(LESSON_MEASURED.LESSON_ID.eq(LESSON.ID))
                        .and(LESSON_MEASURED.STAGE.eq(Stage.BEFORE.id()))
                        .and(LESSON_MEASURED
                                .SWINGS
                                .ge((short) KeptSwings.READING_FROM)
                                .or(LESSON_MEASURED.SOURCE.eq(Source.CLIP.id())))))
                .or(exists(selectOne()
                        .from(LESSON_SHOT)
                        .where(LESSON_SHOT.LESSON_ID.eq(LESSON.ID))
                        .and(LESSON_SHOT.STAGE.eq(Stage.BEFORE.id()))))
                .or(exists(selectOne()
                        .from(SHOT_FILE)
                        .where(SHOT_FILE.LESSON_ID.eq(LESSON.ID))
                        .and(SHOT_FILE.STAGE.eq(Stage.BEFORE.id()))));
    }

    /** From one lesson to another, both with them, oldest first; empty if that is an earlier one. */
    List<Lessons.Held> from(UUID first, UUID second) {
        Lesson begins = LESSON.as("begins");
        Lesson ends = LESSON.as("ends");
        return db.select(LESSON.ID, LESSON.HELD_ON)
                .from(LESSON)
                .join(begins)
                .on(begins.ID.eq(first))
                .and(begins.STUDENT_ID.eq(LESSON.STUDENT_ID))
                .and(row(LESSON.HELD_ON, LESSON.CREATED_AT).ge(begins.HELD_ON, begins.CREATED_AT))
                .join(ends)
                .on(ends.ID.eq(second))
                .and(row(LESSON.HELD_ON, LESSON.CREATED_AT).le(ends.HELD_ON, ends.CREATED_AT))
                .orderBy(LESSON.HELD_ON, LESSON.CREATED_AT)
                .fetch(Records.mapping(Lessons.Held::new));
    }

    private Result<LessonRecord> latest(Condition which, int most) {
        return db.selectFrom(LESSON)
                .where(which)
                .orderBy(LESSON.HELD_ON.desc(), LESSON.CREATED_AT.desc())
                .limit(most)
                .fetch();
    }

    private List<StoredLesson> fetch(Condition which) {
        return whole(db.selectFrom(LESSON).where(which).fetch());
    }

    /** With all that belongs to each, in one query per table: nested queries cost several times as much here. */
    private List<StoredLesson> whole(List<LessonRecord> lessons) {
        List<UUID> ids = lessons.stream().map(LessonRecord::getId).toList();
        var answers = db.selectFrom(LESSON_ANSWER)
                .where(among(LESSON_ANSWER.LESSON_ID, ids))
                .fetchGroups(LESSON_ANSWER.LESSON_ID);
        var signs = db.selectFrom(LESSON_SIGN)
                .where(among(LESSON_SIGN.LESSON_ID, ids))
                .fetchGroups(LESSON_SIGN.LESSON_ID);
        var readings = db.selectFrom(LESSON_READING)
                .where(among(LESSON_READING.LESSON_ID, ids))
                .orderBy(LESSON_READING.STAGE, LESSON_READING.ORDINAL)
                .fetchGroups(LESSON_READING.LESSON_ID);
        var measured = db.selectFrom(LESSON_MEASURED)
                .where(among(LESSON_MEASURED.LESSON_ID, ids))
                .orderBy(LESSON_MEASURED.ORDINAL)
                .fetchGroups(LESSON_MEASURED.LESSON_ID);
        var shots = db.selectFrom(LESSON_SHOT)
                .where(among(LESSON_SHOT.LESSON_ID, ids))
                .fetchGroups(LESSON_SHOT.LESSON_ID);
        return lessons.stream()
                .map(row -> lesson(
                        row,
                        answers.getOrDefault(row.getId(), db.newResult(LESSON_ANSWER)),
                        signs.getOrDefault(row.getId(), db.newResult(LESSON_SIGN)),
                        readings.getOrDefault(row.getId(), db.newResult(LESSON_READING)),
                        measured.getOrDefault(row.getId(), db.newResult(LESSON_MEASURED)),
                        shots.getOrDefault(row.getId(), db.newResult(LESSON_SHOT))))
                .toList();
    }

    private StoredLesson lesson(
            LessonRecord row,
            Result<LessonAnswerRecord> answers,
            Result<LessonSignRecord> signs,
            Result<LessonReadingRecord> readings,
            Result<LessonMeasuredRecord> measured,
            Result<LessonShotRecord> shots) {
        return new StoredLesson(
                row.getId(),
                row.getStudentId(),
                row.getHeldOn(),
                Approach.of(answers.intoMap(LESSON_ANSWER.QUESTION, LESSON_ANSWER.ANSWER)),
                new Observations(
                        LessonRows.signs(signs.intoMap(LESSON_SIGN.SIGN, LESSON_SIGN.SEEN)),
                        LessonRows.readings(readings, Stage.BEFORE),
                        LessonRows.tally(shots, Stage.BEFORE)),
                new Observations(
                        Map.of(), LessonRows.readings(readings, Stage.AFTER), LessonRows.tally(shots, Stage.AFTER)),
                keyed(row.getKeyed()),
                LessonRows.measured(measured, row.getOwnSpread()),
                row.getNote(),
                json.readValue(row.getTries(), TRIES),
                Arrays.stream(row.getFocus())
                        .map(id -> Identified.of(Fault.class, id))
                        .toList(),
                row.getFocusReason(),
                row.getVersion(),
                row.getPlanVersion(),
                List.of(row.getSaves()));
    }

    private Map<Stage, Keyed> keyed(String document) {
        Map<Stage, Keyed> keyed = new EnumMap<>(Stage.class);
        json.readValue(document, KEYED).forEach((stage, of) -> keyed.put(Identified.of(Stage.class, stage), of));
        return keyed;
    }

    UUID add(UUID student, LocalDate heldOn, Approach approach) {
        UUID id = UUID.randomUUID();
        db.insertInto(LESSON)
                .set(LESSON.ID, id)
                .set(LESSON.STUDENT_ID, student)
                .set(LESSON.HELD_ON, heldOn)
                .set(LESSON.NOTE, "")
                .set(LESSON.FOCUS, new String[0])
                .set(LESSON.FOCUS_REASON, "")
                .set(LESSON.CREATED_AT, OffsetDateTime.now(clock))
                .execute();
        setAnswers(id, approach);
        return id;
    }

    /**
     * Replaces everything the coach entered.
     *
     * @param saves the names of the last saves, this one among them
     */
    void replace(
            UUID id,
            Approach approach,
            Observations before,
            Observations after,
            Map<Stage, Keyed> keyed,
            String note,
            Map<String, TryEntry> tries,
            List<String> saves) {
        db.update(LESSON)
                .set(LESSON.NOTE, note)
                .set(
                        LESSON.KEYED,
                        json.writeValueAsString(keyed.entrySet().stream()
                                .filter(e -> !e.getValue().equals(Keyed.NOTHING))
                                .collect(Collectors.toMap(e -> e.getKey().id(), Map.Entry::getValue))))
                .set(LESSON.TRIES, json.writeValueAsString(tries))
                .set(LESSON.SAVES, saves.toArray(String[]::new))
                .set(LESSON.VERSION, LESSON.VERSION.plus(1))
                .where(LESSON.ID.eq(id))
                .execute();
        setAnswers(id, approach);
        db.deleteFrom(LESSON_SIGN).where(LESSON_SIGN.LESSON_ID.eq(id)).execute();
        db.deleteFrom(LESSON_READING).where(LESSON_READING.LESSON_ID.eq(id)).execute();
        db.deleteFrom(LESSON_SHOT).where(LESSON_SHOT.LESSON_ID.eq(id)).execute();
        var signs = new ArrayList<org.jooq.TableRecord<?>>();
        before.signs().forEach((sign, seen) -> {
            var row = db.newRecord(LESSON_SIGN);
            row.setLessonId(id);
            row.setSign(sign.id());
            row.setSeen(seen);
            signs.add(row);
        });
        addMoment(signs, id, Stage.BEFORE, before);
        addMoment(signs, id, Stage.AFTER, after);
        db.batchInsert(signs).execute();
    }

    private void addMoment(List<org.jooq.TableRecord<?>> rows, UUID id, Stage stage, Observations seen) {
        short ordinal = 0;
        for (Reading reading : seen.readings()) {
            var row = db.newRecord(LESSON_READING);
            row.setLessonId(id);
            row.setStage(stage.id());
            row.setOrdinal(ordinal++);
            row.setMeasure(reading.measure().id());
            row.setAtCheckpoint(reading.at().map(Checkpoint::id).orElse(null));
            row.setReading(reading.value());
            row.setSource(reading.source().id());
            row.setSwings((short) reading.swings());
            rows.add(row);
        }
        seen.shots().counts().forEach((result, hits) -> {
            var row = db.newRecord(LESSON_SHOT);
            row.setLessonId(id);
            row.setStage(stage.id());
            row.setKind(result.kind().id());
            row.setResult(result.id());
            row.setHits(hits.shortValue());
            rows.add(row);
        });
    }

    private void setAnswers(UUID id, Approach approach) {
        db.deleteFrom(LESSON_ANSWER).where(LESSON_ANSWER.LESSON_ID.eq(id)).execute();
        var rows = approach.ids().entrySet().stream()
                .map(answer -> {
                    var row = db.newRecord(LESSON_ANSWER);
                    row.setLessonId(id);
                    row.setQuestion(answer.getKey());
                    row.setAnswer(answer.getValue());
                    return row;
                })
                .toList();
        db.batchInsert(rows).execute();
    }

    /** Makes this the lesson's focus and puts it on record with what was diagnosed then. */
    void decide(UUID id, List<Fault> focus, String reason, String diagnosed) {
        String[] ids = focus.stream().map(Fault::id).toArray(String[]::new);
        db.update(LESSON)
                .set(LESSON.FOCUS, ids)
                .set(LESSON.FOCUS_REASON, reason)
                .where(LESSON.ID.eq(id))
                .execute();
        int earlier = db.fetchCount(LESSON_DECISION, LESSON_DECISION.LESSON_ID.eq(id));
        db.insertInto(LESSON_DECISION)
                .set(LESSON_DECISION.LESSON_ID, id)
                .set(LESSON_DECISION.ORDINAL, (short) (earlier + 1))
                .set(LESSON_DECISION.DECIDED_AT, OffsetDateTime.now(clock))
                .set(LESSON_DECISION.FOCUS, ids)
                .set(LESSON_DECISION.REASON, reason)
                .set(LESSON_DECISION.CATALOGUE_VERSION, Catalogue.VERSION)
                .set(LESSON_DECISION.DIAGNOSED, diagnosed)
                .execute();
    }

    /**
     * @param diagnosed the diagnosis as it stood then (JSON)
     */
    record StoredDecision(
            OffsetDateTime decidedAt, List<String> focus, String reason, String catalogueVersion, String diagnosed) {}

    /** Everything decided in a lesson, latest first. */
    List<StoredDecision> decisions(UUID lesson) {
        return db.selectFrom(LESSON_DECISION)
                .where(LESSON_DECISION.LESSON_ID.eq(lesson))
                .orderBy(LESSON_DECISION.ORDINAL.desc())
                .fetch(row -> new StoredDecision(
                        row.getDecidedAt(),
                        List.of(row.getFocus()),
                        row.getReason(),
                        row.getCatalogueVersion(),
                        row.getDiagnosed()));
    }

    void planChanged(UUID id) {
        db.update(LESSON)
                .set(LESSON.PLAN_VERSION, LESSON.PLAN_VERSION.plus(1))
                .where(LESSON.ID.eq(id))
                .execute();
    }

    void delete(UUID id) {
        db.deleteFrom(LESSON).where(LESSON.ID.eq(id)).execute();
    }
}
