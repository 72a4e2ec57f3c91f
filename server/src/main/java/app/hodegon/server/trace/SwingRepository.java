package app.hodegon.server.trace;

import static app.hodegon.server.db.Tables.LESSON;
import static app.hodegon.server.db.Tables.SWING;
import static app.hodegon.server.db.Tables.TRACE_FILE;
import static org.jooq.impl.DSL.coalesce;
import static org.jooq.impl.DSL.inline;
import static org.jooq.impl.DSL.max;

import app.hodegon.core.motion.PackedTrace;
import app.hodegon.core.motion.Trace;
import app.hodegon.server.db.tables.records.SwingRecord;
import app.hodegon.server.db.tables.records.TraceFileRecord;
import app.hodegon.server.lesson.Stage;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.trace.SwingsView.SwingView;
import app.hodegon.server.trace.SwingsView.TraceFileView;
import app.hodegon.server.trace.TraceView.MeasuredView;
import app.hodegon.server.trace.TraceView.SwingMomentView;
import app.hodegon.server.trace.TraceView.WarningView;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Repository;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

@Repository
class SwingRepository {

    private static final TypeReference<List<SwingMomentView>> MOMENTS = new TypeReference<>() {};
    private static final TypeReference<List<MeasuredView>> READINGS = new TypeReference<>() {};
    private static final TypeReference<List<WarningView>> WARNINGS = new TypeReference<>() {};

    private static final int THROWN_KEPT_DAYS = 1;

    /** All but the loads, which a list does not need. */
    private static final List<Field<?>> WITHOUT_LOADS =
            Arrays.stream(SWING.fields()).filter(f -> !f.equals(SWING.LOADS)).toList();

    private final DSLContext db;
    private final Clock clock;
    private final JsonMapper json;

    SwingRepository(DSLContext db, Clock clock, JsonMapper json) {
        this.db = db;
        this.clock = clock;
        this.json = json;
    }

    void add(
            UUID lesson,
            Stage stage,
            Swings.Arrival arrival,
            Trace trace,
            List<Integer> spark,
            List<SwingMomentView> told,
            TraceView read) {
        OffsetDateTime now = OffsetDateTime.now(clock);
        db.deleteFrom(SWING)
                .where(SWING.LESSON_ID.eq(lesson))
                .and(SWING.STATE.eq("thrown"))
                .and(SWING.HEARD_AT.lt(now.minusDays(THROWN_KEPT_DAYS)))
                .execute();
        int number = db.select(coalesce(max(SWING.NUMBER), inline(0)))
                        .from(SWING)
                        .where(SWING.LESSON_ID.eq(lesson))
                        .fetchSingle()
                        .value1()
                + 1;
        db.executeInsert(new SwingRecord(
                UUID.randomUUID(),
                lesson,
                stage.id(),
                number,
                arrival.state(),
                now,
                arrival.device(),
                trace.rate(),
                trace.duration(),
                Base64.getEncoder().encodeToString(PackedTrace.pack(trace)),
                json.writeValueAsString(told),
                json.writeValueAsString(read.moments()),
                json.writeValueAsString(read.readings()),
                json.writeValueAsString(read.warnings()),
                spark.stream().map(String::valueOf).collect(Collectors.joining(",")),
                arrival.file()));
    }

    UUID addFile(UUID lesson, Stage stage, String name) {
        UUID id = UUID.randomUUID();
        db.executeInsert(new TraceFileRecord(id, lesson, stage.id(), name, OffsetDateTime.now(clock)));
        return id;
    }

    /** The files of a lesson in the order taken, each with how many swings it brought. */
    List<TraceFileView> files(UUID lesson) {
        return db.select(TRACE_FILE, DSL.count(SWING.ID))
                .from(TRACE_FILE)
                .leftJoin(SWING)
                .on(SWING.FILE_ID.eq(TRACE_FILE.ID))
                .where(TRACE_FILE.LESSON_ID.eq(lesson))
                .groupBy(TRACE_FILE.fields())
                .orderBy(TRACE_FILE.TAKEN_AT)
                .fetch(row -> new TraceFileView(
                        row.value1().getId(),
                        row.value1().getName(),
                        row.value1().getStage(),
                        row.value2()));
    }

    Optional<UUID> lessonOfFile(UUID file) {
        return db.select(TRACE_FILE.LESSON_ID)
                .from(TRACE_FILE)
                .where(TRACE_FILE.ID.eq(file))
                .fetchOptional(TRACE_FILE.LESSON_ID);
    }

    /** With all its swings. */
    void deleteFile(UUID file) {
        db.deleteFrom(TRACE_FILE).where(TRACE_FILE.ID.eq(file)).execute();
    }

    int count(UUID lesson) {
        return db.fetchCount(SWING, SWING.LESSON_ID.eq(lesson));
    }

    /** In the order heard. */
    List<SwingView> ofLesson(UUID lesson) {
        return db.select(WITHOUT_LOADS)
                .from(SWING)
                .where(SWING.LESSON_ID.eq(lesson))
                .orderBy(SWING.NUMBER)
                .fetch(row -> view(row.into(SWING)));
    }

    /** The last kept swings of a student's lessons before this one, by day, the latest first. */
    Map<LocalDate, List<SwingView>> keptBefore(StoredLesson lesson, int most) {
        Map<LocalDate, List<SwingView>> byDay = new LinkedHashMap<>();
        db.select(LESSON.HELD_ON)
                .select(WITHOUT_LOADS)
                .from(SWING)
                .join(LESSON)
                .on(LESSON.ID.eq(SWING.LESSON_ID))
                .where(LESSON.STUDENT_ID.eq(lesson.studentId()))
                .and(LESSON.ID.ne(lesson.id()))
                .and(LESSON.HELD_ON.le(lesson.heldOn()))
                .and(SWING.STATE.eq("kept"))
                .orderBy(LESSON.HELD_ON.desc(), SWING.NUMBER.desc())
                .limit(most)
                .forEach(row -> byDay.computeIfAbsent(row.get(LESSON.HELD_ON), day -> new ArrayList<>())
                        .add(view(row.into(SWING))));
        return byDay;
    }

    private SwingView view(SwingRecord row) {
        return new SwingView(
                row.getId(),
                row.getNumber(),
                row.getStage(),
                row.getState(),
                row.getHeardAt(),
                row.getDevice(),
                row.getRate(),
                row.getSeconds(),
                json.readValue(row.getMoments(), MOMENTS),
                json.readValue(row.getReadings(), READINGS),
                json.readValue(row.getWarnings(), WARNINGS),
                Arrays.stream(row.getSpark().split(",")).map(Integer::valueOf).toList());
    }

    /** A swing's lesson, loads and what was told of it from elsewhere. */
    record Stored(UUID lesson, Trace trace, List<SwingMomentView> told) {}

    Optional<Stored> byId(UUID id) {
        return db.select(SWING.LESSON_ID, SWING.LOADS, SWING.TOLD)
                .from(SWING)
                .where(SWING.ID.eq(id))
                .fetchOptional(row -> new Stored(
                        row.value1(),
                        PackedTrace.unpack(Base64.getDecoder().decode(row.value2())),
                        json.readValue(row.value3(), MOMENTS)));
    }

    Optional<UUID> lessonOf(UUID id) {
        return db.select(SWING.LESSON_ID).from(SWING).where(SWING.ID.eq(id)).fetchOptional(SWING.LESSON_ID);
    }

    void decide(UUID id, String state, String stage) {
        db.update(SWING)
                .set(SWING.STATE, state)
                .set(SWING.STAGE, stage)
                .where(SWING.ID.eq(id))
                .execute();
    }

    void tell(UUID id, List<SwingMomentView> told, TraceView read) {
        db.update(SWING)
                .set(SWING.TOLD, json.writeValueAsString(told))
                .set(SWING.MOMENTS, json.writeValueAsString(read.moments()))
                .set(SWING.READINGS, json.writeValueAsString(read.readings()))
                .set(SWING.WARNINGS, json.writeValueAsString(read.warnings()))
                .where(SWING.ID.eq(id))
                .execute();
    }

    boolean ownSpread(UUID lesson) {
        return db.select(LESSON.OWN_SPREAD)
                .from(LESSON)
                .where(LESSON.ID.eq(lesson))
                .fetchSingle(LESSON.OWN_SPREAD);
    }

    void ownSpread(UUID lesson, boolean own) {
        db.update(LESSON)
                .set(LESSON.OWN_SPREAD, own)
                .set(LESSON.SWINGS_VERSION, LESSON.SWINGS_VERSION.plus(1))
                .where(LESSON.ID.eq(lesson))
                .execute();
    }
}
