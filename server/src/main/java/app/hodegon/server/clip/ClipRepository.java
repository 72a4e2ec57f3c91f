package app.hodegon.server.clip;

import static app.hodegon.server.db.Tables.CLIP;
import static app.hodegon.server.db.Tables.CLIP_FILM;
import static app.hodegon.server.db.Tables.CLIP_STILL;
import static app.hodegon.server.db.Tables.LESSON;
import static app.hodegon.server.db.Tables.STUDENT;
import static org.jooq.impl.DSL.coalesce;
import static org.jooq.impl.DSL.max;

import app.hodegon.core.track.PackedTrack;
import app.hodegon.core.track.Track;
import app.hodegon.server.clip.ClipsView.ClipView;
import app.hodegon.server.clip.ClipsView.EarlierClips;
import app.hodegon.server.clip.ClipsView.PicturesAgreed;
import app.hodegon.server.clip.ClipsView.SentClip;
import app.hodegon.server.db.tables.records.ClipRecord;
import app.hodegon.server.lesson.StoredLesson;
import app.hodegon.server.trace.TraceView.MeasuredView;
import app.hodegon.server.trace.TraceView.SwingMomentView;
import app.hodegon.server.trace.TraceView.WarningView;
import app.hodegon.server.track.TrackRequest.MarksEntry;
import app.hodegon.server.track.TrackView;
import app.hodegon.server.track.TrackView.RulerView;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Records;
import org.springframework.stereotype.Repository;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

@Repository
class ClipRepository {

    private static final TypeReference<List<SwingMomentView>> MOMENTS = new TypeReference<>() {};
    private static final TypeReference<List<MeasuredView>> READINGS = new TypeReference<>() {};
    private static final TypeReference<List<WarningView>> WARNINGS = new TypeReference<>() {};

    private final DSLContext db;
    private final Clock clock;
    private final JsonMapper json;

    ClipRepository(DSLContext db, Clock clock, JsonMapper json) {
        this.db = db;
        this.clock = clock;
        this.json = json;
    }

    /**
     * What a clip is measured by and what was told of it.
     *
     * @param marks null to go by the height
     * @param golferHeight cm; null if not known
     */
    record Told(MarksEntry marks, Double golferHeight, List<SwingMomentView> moments) {}

    /**
     * What a clip is of: a lesson, or a day of practice.
     *
     * @param lesson null for practice
     * @param practisedOn null in a lesson
     */
    record Of(UUID student, UUID lesson, LocalDate practisedOn, String stage) {}

    /**
     * A clip with its points.
     *
     * @param lesson null for practice
     */
    record Stored(UUID id, UUID student, UUID lesson, int width, Track track, Told told) {}

    UUID add(Of of, Filmed entry, Track track, Told told, TrackView read) {
        int number = db.select(coalesce(max(CLIP.NUMBER), 0).plus(1))
                .from(CLIP)
                .where(
                        of.lesson() == null
                                ? CLIP.STUDENT_ID.eq(of.student()).and(CLIP.LESSON_ID.isNull())
                                : CLIP.LESSON_ID.eq(of.lesson()))
                .fetchSingle()
                .value1();
        ClipRecord row = db.newRecord(CLIP);
        row.setId(UUID.randomUUID());
        row.setStudentId(of.student());
        row.setLessonId(of.lesson());
        row.setPractisedOn(of.practisedOn());
        row.setStage(of.stage());
        row.setNumber(number);
        row.setState("kept");
        row.setTakenAt(OffsetDateTime.now(clock));
        row.setName(entry.name());
        row.setWidth(entry.width());
        row.setHeight(entry.height());
        row.setPoints(Base64.getEncoder().encodeToString(PackedTrack.pack(track)));
        put(row, told, read);
        row.insert();
        return row.getId();
    }

    private void put(ClipRecord row, Told told, TrackView read) {
        row.setMarks(told.marks() == null ? null : json.writeValueAsString(told.marks()));
        row.setGolferHeight(told.golferHeight());
        row.setTold(json.writeValueAsString(told.moments()));
        row.setRuler(json.writeValueAsString(read.scale()));
        row.setMoments(json.writeValueAsString(read.moments()));
        row.setReadings(json.writeValueAsString(read.readings()));
        row.setWarnings(json.writeValueAsString(read.warnings()));
    }

    void tell(UUID id, Told told, TrackView read) {
        ClipRecord row = db.newRecord(CLIP);
        put(row, told, read);
        db.update(CLIP).set(row).where(CLIP.ID.eq(id)).execute();
    }

    void decide(UUID id, String state, String stage) {
        db.update(CLIP)
                .set(CLIP.STATE, state)
                .set(CLIP.STAGE, stage)
                .where(CLIP.ID.eq(id))
                .execute();
    }

    void delete(UUID id) {
        db.deleteFrom(CLIP).where(CLIP.ID.eq(id)).execute();
    }

    int count(UUID lesson) {
        return db.fetchCount(CLIP, CLIP.LESSON_ID.eq(lesson));
    }

    Optional<Of> of(UUID id) {
        return db.select(CLIP.STUDENT_ID, CLIP.LESSON_ID, CLIP.PRACTISED_ON, CLIP.STAGE)
                .from(CLIP)
                .where(CLIP.ID.eq(id))
                .fetchOptional(Records.mapping(Of::new));
    }

    /** What a student sent, the latest first. */
    List<SentClip> sent(UUID student, int most) {
        return sent(CLIP.STUDENT_ID.eq(student), most);
    }

    /** And the coach has not looked at. */
    List<SentClip> unseen(UUID student, int most) {
        return sent(CLIP.STUDENT_ID.eq(student).and(CLIP.SEEN_AT.isNull()), most);
    }

    private List<SentClip> sent(Condition which, int most) {
        return db.selectFrom(CLIP)
                .where(which)
                .and(CLIP.LESSON_ID.isNull())
                .orderBy(CLIP.NUMBER.desc())
                .limit(most)
                .fetch(row -> new SentClip(row.getPractisedOn(), row.getSeenAt() != null, view(row)));
    }

    /** A clip by itself. */
    List<ClipView> alone(UUID id) {
        return db.selectFrom(CLIP).where(CLIP.ID.eq(id)).fetch(this::view);
    }

    void see(UUID id) {
        db.update(CLIP)
                .set(CLIP.SEEN_AT, OffsetDateTime.now(clock))
                .where(CLIP.ID.eq(id))
                .and(CLIP.SEEN_AT.isNull())
                .execute();
    }

    Optional<Stored> byId(UUID id) {
        return db.selectFrom(CLIP).where(CLIP.ID.eq(id)).fetchOptional(this::stored);
    }

    private Stored stored(ClipRecord row) {
        return new Stored(
                row.getId(),
                row.getStudentId(),
                row.getLessonId(),
                row.getWidth(),
                PackedTrack.unpack(Base64.getDecoder().decode(row.getPoints())),
                new Told(
                        row.getMarks() == null ? null : json.readValue(row.getMarks(), MarksEntry.class),
                        row.getGolferHeight(),
                        json.readValue(row.getTold(), MOMENTS)));
    }

    List<ClipView> ofLesson(UUID lesson) {
        Map<UUID, List<String>> pictures = db.select(CLIP_STILL.CLIP_ID, CLIP_STILL.CHECKPOINT)
                .from(CLIP_STILL)
                .join(CLIP)
                .on(CLIP.ID.eq(CLIP_STILL.CLIP_ID))
                .where(CLIP.LESSON_ID.eq(lesson))
                .fetchGroups(CLIP_STILL.CLIP_ID, CLIP_STILL.CHECKPOINT);
        Map<UUID, Integer> films = db.select(CLIP_FILM.CLIP_ID, CLIP_FILM.BYTES)
                .from(CLIP_FILM)
                .join(CLIP)
                .on(CLIP.ID.eq(CLIP_FILM.CLIP_ID))
                .where(CLIP.LESSON_ID.eq(lesson))
                .fetchMap(CLIP_FILM.CLIP_ID, CLIP_FILM.BYTES);
        return db.selectFrom(CLIP)
                .where(CLIP.LESSON_ID.eq(lesson))
                .orderBy(CLIP.NUMBER)
                .fetch(row -> view(row, pictures.getOrDefault(row.getId(), List.of()), films.get(row.getId())));
    }

    /** The kept clips of the student's lessons before and of the practice since, the latest day first. */
    List<EarlierClips> keptBefore(StoredLesson lesson, int most) {
        Map<LocalDate, List<ClipView>> byDay = new LinkedHashMap<>();
        Field<LocalDate> day = coalesce(LESSON.HELD_ON, CLIP.PRACTISED_ON);
        db.select(day)
                .select(CLIP.fields())
                .from(CLIP)
                .leftJoin(LESSON)
                .on(LESSON.ID.eq(CLIP.LESSON_ID))
                .where(CLIP.STUDENT_ID.eq(lesson.studentId()))
                .and(CLIP.LESSON_ID.isDistinctFrom(lesson.id()))
                .and(day.le(lesson.heldOn()))
                .and(CLIP.STATE.eq("kept"))
                .orderBy(day.desc(), CLIP.NUMBER.desc())
                .limit(most)
                .forEach(row -> byDay.computeIfAbsent(row.get(day), d -> new ArrayList<>())
                        .add(view(row.into(CLIP))));
        return byDay.entrySet().stream()
                .map(one -> new EarlierClips(one.getKey(), one.getValue()))
                .toList();
    }

    private List<String> pictures(UUID clip) {
        return db.select(CLIP_STILL.CHECKPOINT)
                .from(CLIP_STILL)
                .where(CLIP_STILL.CLIP_ID.eq(clip))
                .fetch(CLIP_STILL.CHECKPOINT);
    }

    private ClipView view(ClipRecord row) {
        Integer film = db.select(CLIP_FILM.BYTES)
                .from(CLIP_FILM)
                .where(CLIP_FILM.CLIP_ID.eq(row.getId()))
                .fetchOne(CLIP_FILM.BYTES);
        return view(row, pictures(row.getId()), film);
    }

    private ClipView view(ClipRecord row, List<String> pictures, Integer film) {
        Stored stored = stored(row);
        Track track = stored.track();
        return new ClipView(
                row.getId(),
                row.getNumber(),
                row.getStage(),
                row.getState(),
                track.view().id(),
                row.getName(),
                row.getTakenAt(),
                row.getWidth(),
                row.getHeight(),
                track.first(),
                track.last(),
                json.readValue(row.getRuler(), RulerView.class),
                stored.told().marks(),
                stored.told().golferHeight(),
                json.readValue(row.getMoments(), MOMENTS),
                json.readValue(row.getReadings(), READINGS),
                json.readValue(row.getWarnings(), WARNINGS),
                pictures,
                film);
    }

    void putPicture(UUID clip, String checkpoint, byte[] jpeg) {
        String picture = Base64.getEncoder().encodeToString(jpeg);
        db.mergeInto(CLIP_STILL, CLIP_STILL.CLIP_ID, CLIP_STILL.CHECKPOINT, CLIP_STILL.PICTURE)
                .key(CLIP_STILL.CLIP_ID, CLIP_STILL.CHECKPOINT)
                .values(clip, checkpoint, picture)
                .execute();
    }

    Optional<byte[]> picture(UUID clip, String checkpoint) {
        return db.select(CLIP_STILL.PICTURE)
                .from(CLIP_STILL)
                .where(CLIP_STILL.CLIP_ID.eq(clip))
                .and(CLIP_STILL.CHECKPOINT.eq(checkpoint))
                .fetchOptional(CLIP_STILL.PICTURE)
                .map(Base64.getDecoder()::decode);
    }

    void putFilm(UUID clip, String by, byte[] mp4) {
        String film = Base64.getEncoder().encodeToString(mp4);
        db.mergeInto(
                        CLIP_FILM,
                        CLIP_FILM.CLIP_ID,
                        CLIP_FILM.AGREED_ON,
                        CLIP_FILM.AGREED_BY,
                        CLIP_FILM.BYTES,
                        CLIP_FILM.FILM)
                .key(CLIP_FILM.CLIP_ID)
                .values(clip, LocalDate.now(clock), by, mp4.length, film)
                .execute();
    }

    void deleteFilm(UUID clip) {
        db.deleteFrom(CLIP_FILM).where(CLIP_FILM.CLIP_ID.eq(clip)).execute();
    }

    Optional<byte[]> film(UUID clip) {
        return db.select(CLIP_FILM.FILM)
                .from(CLIP_FILM)
                .where(CLIP_FILM.CLIP_ID.eq(clip))
                .fetchOptional(CLIP_FILM.FILM)
                .map(Base64.getDecoder()::decode);
    }

    /** How many films of a student are kept, but for this clip's. */
    int filmsBeside(UUID student, UUID clip) {
        return db.fetchCount(db.select(CLIP_FILM.CLIP_ID)
                .from(CLIP_FILM)
                .join(CLIP)
                .on(CLIP.ID.eq(CLIP_FILM.CLIP_ID))
                .where(CLIP.STUDENT_ID.eq(student))
                .and(CLIP.ID.ne(clip)));
    }

    Optional<Double> height(UUID student) {
        return db.select(STUDENT.HEIGHT)
                .from(STUDENT)
                .where(STUDENT.ID.eq(student))
                .fetchOptional(STUDENT.HEIGHT);
    }

    Optional<PicturesAgreed> agreed(UUID student) {
        return db.select(STUDENT.PICTURES_AGREED_ON, STUDENT.PICTURES_AGREED_BY)
                .from(STUDENT)
                .where(STUDENT.ID.eq(student))
                .and(STUDENT.PICTURES_AGREED_ON.isNotNull())
                .fetchOptional(row -> new PicturesAgreed(row.value1(), row.value2()));
    }

    /** So that whoever has the student's details open meanwhile is told. */
    void setHeight(UUID student, double height) {
        db.update(STUDENT)
                .set(STUDENT.HEIGHT, height)
                .set(STUDENT.VERSION, STUDENT.VERSION.plus(1))
                .where(STUDENT.ID.eq(student))
                .and(STUDENT.HEIGHT.isDistinctFrom(height))
                .execute();
    }

    void agree(UUID student, String by) {
        db.update(STUDENT)
                .set(STUDENT.PICTURES_AGREED_ON, LocalDate.now(clock))
                .set(STUDENT.PICTURES_AGREED_BY, by)
                .where(STUDENT.ID.eq(student))
                .execute();
    }

    /** Takes the agreement back, and with it every picture and film. */
    void disagree(UUID student) {
        db.update(STUDENT)
                .setNull(STUDENT.PICTURES_AGREED_ON)
                .setNull(STUDENT.PICTURES_AGREED_BY)
                .where(STUDENT.ID.eq(student))
                .execute();
        var ofStudent = db.select(CLIP.ID).from(CLIP).where(CLIP.STUDENT_ID.eq(student));
        db.deleteFrom(CLIP_STILL).where(CLIP_STILL.CLIP_ID.in(ofStudent)).execute();
        db.deleteFrom(CLIP_FILM).where(CLIP_FILM.CLIP_ID.in(ofStudent)).execute();
    }
}
