package app.hodegon.server.practice;

import static app.hodegon.server.db.Tables.DRILL_STOP;
import static app.hodegon.server.db.Tables.LESSON;
import static app.hodegon.server.db.Tables.LESSON_CHECK;
import static app.hodegon.server.db.Tables.PRACTICE_BLOCK;
import static app.hodegon.server.db.Tables.PRACTICE_SESSION;
import static app.hodegon.server.db.Tables.PRACTICE_SHOT;
import static app.hodegon.server.db.Tables.STUDENT;
import static app.hodegon.server.storage.AmongCondition.among;
import static org.jooq.impl.DSL.min;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.drill.Form;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Rung;
import app.hodegon.core.plan.Level;
import app.hodegon.core.plan.Plan;
import app.hodegon.core.practice.Aside;
import app.hodegon.core.practice.BlockResult;
import app.hodegon.core.practice.CheckSet;
import app.hodegon.core.practice.DrillRecord;
import app.hodegon.core.practice.Feel;
import app.hodegon.core.practice.Pain;
import app.hodegon.core.practice.PracticeSession;
import app.hodegon.core.swing.BallResult;
import app.hodegon.core.swing.Club;
import app.hodegon.core.swing.Identified;
import app.hodegon.core.swing.Tally;
import app.hodegon.server.db.tables.records.PracticeBlockRecord;
import app.hodegon.server.db.tables.records.PracticeSessionRecord;
import app.hodegon.server.db.tables.records.PracticeShotRecord;
import app.hodegon.server.student.TaughtByCondition;
import app.hodegon.server.student.Whose;
import app.hodegon.server.zone.Today;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record3;
import org.jooq.Record4;
import org.jooq.Result;
import org.springframework.stereotype.Repository;

@Repository
class PracticeRepository {

    private final DSLContext db;
    private final Today today;
    private final Clock clock;

    PracticeRepository(DSLContext db, Clock clock, Today today) {
        this.today = today;
        this.db = db;
        this.clock = clock;
    }

    /** So many sessions of a student, latest first, after the first {@code skip}. */
    List<StoredSession> page(UUID student, int skip, int size) {
        return whole(db.selectFrom(PRACTICE_SESSION)
                .where(PRACTICE_SESSION.STUDENT_ID.eq(student))
                .orderBy(PRACTICE_SESSION.PRACTICE_DAY.desc(), PRACTICE_SESSION.UPDATED_AT.desc())
                .limit(size)
                .offset(skip)
                .fetch());
    }

    int count(UUID student) {
        return db.fetchCount(PRACTICE_SESSION, PRACTICE_SESSION.STUDENT_ID.eq(student));
    }

    /** Days practised by plan, in order. */
    Map<UUID, List<DayDone>> days(Collection<UUID> plans) {
        return db.select(
                        PRACTICE_SESSION.PLAN_ID,
                        PRACTICE_SESSION.PRACTICE_DAY,
                        PRACTICE_SESSION.REPS,
                        PRACTICE_SESSION.FEEL)
                .from(PRACTICE_SESSION)
                .where(among(PRACTICE_SESSION.PLAN_ID, plans))
                .orderBy(PRACTICE_SESSION.PRACTICE_DAY, PRACTICE_SESSION.UPDATED_AT)
                .fetchGroups(
                        Record4::value1,
                        row -> new DayDone(
                                row.value2(),
                                row.value3(),
                                Optional.ofNullable(row.value4()).map(Feel::new)));
    }

    List<StoredSession> storedOfPlan(UUID plan) {
        return stored(PRACTICE_SESSION.PLAN_ID.eq(plan));
    }

    /** The session as it is stored. */
    Optional<StoredSession> stored(UUID id) {
        return stored(PRACTICE_SESSION.ID.eq(id)).stream().findFirst();
    }

    List<PracticeSession> since(UUID student, LocalDate day) {
        return fetch(PRACTICE_SESSION.STUDENT_ID.eq(student).and(PRACTICE_SESSION.PRACTICE_DAY.ge(day)));
    }

    /** All full check sets of a student, in the order done. */
    List<CheckSet> checks(UUID student) {
        List<CheckSet> all = new ArrayList<>(inLessons(student));
        checks(PRACTICE_SESSION.STUDENT_ID.eq(student))
                .forEach(row -> CheckColumn.read(row.value1(), row.value2()).forEach(all::add));
        // A lesson's check comes before anything practised on its day.
        all.sort(Comparator.comparing(CheckSet::on));
        return all;
    }

    private List<CheckSet> inLessons(UUID student) {
        return db.select(LESSON.HELD_ON, LESSON_CHECK.FAULT, LESSON_CHECK.DRILL, LESSON_CHECK.RUNG, LESSON_CHECK.GOOD)
                .from(LESSON_CHECK)
                .join(LESSON)
                .on(LESSON.ID.eq(LESSON_CHECK.LESSON_ID))
                .where(LESSON.STUDENT_ID.eq(student))
                .orderBy(LESSON.HELD_ON, LESSON.CREATED_AT, LESSON_CHECK.FAULT)
                .fetch(row -> CheckSet.inLesson(
                        row.value1(),
                        Identified.of(Fault.class, row.value2()),
                        row.value3(),
                        Identified.of(Rung.class, row.value4()),
                        row.value5()));
    }

    /** What was stored before there were forms was done with a range ball. */
    private static Form form(String stored, String rung) {
        return stored == null ? Form.usual(Identified.of(Rung.class, rung)) : Identified.of(Form.class, stored);
    }

    /** All full check sets by plan, in the order done. */
    Map<UUID, List<CheckSet>> checks(Collection<UUID> plans) {
        Map<UUID, List<CheckSet>> checks = new HashMap<>();
        checks(among(PRACTICE_SESSION.PLAN_ID, plans))
                .forEach(row -> CheckColumn.read(row.value1(), row.value2())
                        .forEach(set -> checks.computeIfAbsent(row.value3(), p -> new ArrayList<>())
                                .add(set)));
        return checks;
    }

    private Result<Record3<LocalDate, String, UUID>> checks(Condition which) {
        return db.select(PRACTICE_SESSION.PRACTICE_DAY, PRACTICE_SESSION.CHECKS, PRACTICE_SESSION.PLAN_ID)
                .from(PRACTICE_SESSION)
                .where(which)
                .and(PRACTICE_SESSION.CHECKS.ne(""))
                .orderBy(PRACTICE_SESSION.PRACTICE_DAY, PRACTICE_SESSION.UPDATED_AT)
                .fetch();
    }

    Set<UUID> unread(UUID student) {
        return db.select(PRACTICE_SESSION.ID)
                .from(PRACTICE_SESSION)
                .where(PRACTICE_SESSION.STUDENT_ID.eq(student))
                .and(PRACTICE_SESSION.NOTE.ne(""))
                .and(PRACTICE_SESSION.NOTE_READ_AT.isNull())
                .fetchSet(PRACTICE_SESSION.ID);
    }

    Map<String, LocalDate> stops(UUID student) {
        return db.select(DRILL_STOP.DRILL, min(DRILL_STOP.SINCE))
                .from(DRILL_STOP)
                .where(DRILL_STOP.STUDENT_ID.eq(student).and(DRILL_STOP.LIFTED_AT.isNull()))
                .groupBy(DRILL_STOP.DRILL)
                .fetchMap(row -> row.value1(), row -> today.dayOf(row.value2(), student));
    }

    List<PracticeSession> ofPlan(UUID plan) {
        return fetch(PRACTICE_SESSION.PLAN_ID.eq(plan));
    }

    /** What was practised towards a fault in these plans. */
    List<Worked> worked(Collection<UUID> plans, Fault fault) {
        return db.selectDistinct(PRACTICE_SESSION.PLAN_ID, PRACTICE_BLOCK.RUNG, PRACTICE_BLOCK.DRILL)
                .from(PRACTICE_BLOCK)
                .join(PRACTICE_SESSION)
                .on(PRACTICE_SESSION.ID.eq(PRACTICE_BLOCK.SESSION_ID))
                .where(among(PRACTICE_SESSION.PLAN_ID, plans))
                .and(PRACTICE_BLOCK.FAULT.eq(fault.id()))
                .orderBy(PRACTICE_BLOCK.DRILL)
                .fetch(row -> new Worked(row.value1(), Identified.of(Rung.class, row.value2()), row.value3()));
    }

    /** Each student of the house who practised since that day, with what was practised. */
    Stream<DrillRecord.Practised> ofHouse(LocalDate since) {
        return db
                .selectDistinct(STUDENT.ID, STUDENT.PLAYING_LEVEL)
                .from(STUDENT)
                .join(PRACTICE_SESSION)
                .on(PRACTICE_SESSION.STUDENT_ID.eq(STUDENT.ID))
                .where(PRACTICE_SESSION.PRACTICE_DAY.ge(since))
                .orderBy(STUDENT.ID)
                .fetch()
                .stream()
                .map(row -> new DrillRecord.Practised(
                        Identified.of(Level.class, row.value2()), since(row.value1(), since)));
    }

    /** Sessions with this drill of all of these students, by student. */
    List<DrillRecord.Practised> withDrill(Whose whose, String drill) {
        Map<UUID, Level> levels = new LinkedHashMap<>();
        Map<UUID, UUID> owners = new HashMap<>();
        db.selectDistinct(PRACTICE_SESSION.ID, PRACTICE_SESSION.STUDENT_ID, STUDENT.PLAYING_LEVEL)
                .from(PRACTICE_SESSION)
                .join(PRACTICE_BLOCK)
                .on(PRACTICE_BLOCK.SESSION_ID.eq(PRACTICE_SESSION.ID))
                .join(STUDENT)
                .on(STUDENT.ID.eq(PRACTICE_SESSION.STUDENT_ID))
                .where(TaughtByCondition.of(whose).and(PRACTICE_BLOCK.DRILL.eq(drill)))
                .forEach(row -> {
                    owners.put(row.value1(), row.value2());
                    levels.put(row.value2(), Identified.of(Level.class, row.value3()));
                });
        Map<UUID, List<PracticeSession>> sessions = fetch(among(PRACTICE_SESSION.ID, owners.keySet())).stream()
                .collect(Collectors.groupingBy(s -> owners.get(s.id())));
        return levels.keySet().stream()
                .map(student -> new DrillRecord.Practised(levels.get(student), sessions.get(student)))
                .toList();
    }

    private List<PracticeSession> fetch(Condition which) {
        return stored(which).stream().map(StoredSession::session).toList();
    }

    private List<StoredSession> stored(Condition which) {
        return whole(db.selectFrom(PRACTICE_SESSION)
                .where(which)
                .orderBy(PRACTICE_SESSION.PRACTICE_DAY, PRACTICE_SESSION.UPDATED_AT)
                .fetch());
    }

    /** With all that belongs to each, in one query per table: nested queries cost several times as much here. */
    private List<StoredSession> whole(List<PracticeSessionRecord> sessions) {
        List<UUID> ids = sessions.stream().map(PracticeSessionRecord::getId).toList();
        var blocks = db.selectFrom(PRACTICE_BLOCK)
                .where(among(PRACTICE_BLOCK.SESSION_ID, ids))
                .orderBy(PRACTICE_BLOCK.BLOCK)
                .fetchGroups(PRACTICE_BLOCK.SESSION_ID);
        var shots = db.selectFrom(PRACTICE_SHOT)
                .where(among(PRACTICE_SHOT.SESSION_ID, ids))
                .fetchGroups(PRACTICE_SHOT.SESSION_ID);
        return sessions.stream()
                .map(row -> new StoredSession(
                        session(
                                row,
                                blocks.getOrDefault(row.getId(), db.newResult(PRACTICE_BLOCK)),
                                shots.getOrDefault(row.getId(), db.newResult(PRACTICE_SHOT))),
                        row.getEdition(),
                        row.getEarlierPlan()))
                .toList();
    }

    private static PracticeSession session(
            PracticeSessionRecord row, Result<PracticeBlockRecord> blocks, Result<PracticeShotRecord> shots) {
        Map<BallResult, Integer> balls = new EnumMap<>(BallResult.class);
        for (PracticeShotRecord shot : shots) {
            BallResult.Kind kind = Identified.of(BallResult.Kind.class, shot.getKind());
            balls.put(BallResult.of(kind, shot.getResult()), shot.getHits().intValue());
        }
        return new PracticeSession(
                row.getId(),
                row.getPracticeDay(),
                blocks.stream()
                        .map(b -> new BlockResult(
                                b.getBlock(),
                                Identified.of(Fault.class, b.getFault()),
                                b.getDrill(),
                                Identified.of(Rung.class, b.getRung()),
                                Identified.of(Plan.Kind.class, b.getKind()),
                                b.getMarks(),
                                form(b.getForm(), b.getRung()),
                                Optional.ofNullable(b.getHalfStep()),
                                ToldColumns.told(b),
                                Optional.ofNullable(b.getAside()).map(a -> Identified.of(Aside.class, a))))
                        .toList(),
                Optional.ofNullable(row.getFeel()).map(Feel::new),
                Optional.ofNullable(row.getPainWhere())
                        .map(where ->
                                new Pain(Identified.of(Joint.class, where), row.getPainScore(), row.getPainDrill())),
                new Tally(balls),
                row.getNote(),
                row.getFinished());
    }

    /** Whose session this is, if it is stored. */
    Optional<UUID> owner(UUID session) {
        return db.select(PRACTICE_SESSION.STUDENT_ID)
                .from(PRACTICE_SESSION)
                .where(PRACTICE_SESSION.ID.eq(session))
                .fetchOptional(PRACTICE_SESSION.STUDENT_ID);
    }

    /** Stores a session as it is now; sending it again changes nothing. */
    void put(UUID student, UUID plan, StoredSession stored) {
        PracticeSession session = stored.session();
        PracticeSessionRecord row = db.newRecord(PRACTICE_SESSION);
        row.setId(session.id());
        row.setStudentId(student);
        row.setPlanId(plan);
        row.setPracticeDay(session.day());
        row.setFeel(session.feel().map(f -> (short) f.value()).orElse(null));
        row.setPainWhere(session.pain().map(p -> p.where().id()).orElse(null));
        row.setPainScore(session.pain().map(p -> (short) p.score()).orElse(null));
        row.setPainDrill(session.pain().map(Pain::drill).orElse(null));
        row.setNote(session.note());
        row.setFinished(session.finished());
        row.setUpdatedAt(OffsetDateTime.now(clock));
        row.setEdition(stored.edition());
        row.setEarlierPlan(stored.earlierPlan());
        row.setReps(session.reps());
        row.setChecks(CheckColumn.write(session.checks()));
        // A note that changed is to be read again; else what the coach did with it stays.
        row.setNoteReadAt(db.select(PRACTICE_SESSION.NOTE_READ_AT)
                .from(PRACTICE_SESSION)
                .where(PRACTICE_SESSION.ID.eq(session.id()).and(PRACTICE_SESSION.NOTE.eq(session.note())))
                .fetchOne(PRACTICE_SESSION.NOTE_READ_AT));
        db.mergeInto(PRACTICE_SESSION)
                .columns(PRACTICE_SESSION.fields())
                .key(PRACTICE_SESSION.ID)
                .values(row.intoArray())
                .execute();
        db.deleteFrom(PRACTICE_BLOCK)
                .where(PRACTICE_BLOCK.SESSION_ID.eq(session.id()))
                .execute();
        db.deleteFrom(PRACTICE_SHOT)
                .where(PRACTICE_SHOT.SESSION_ID.eq(session.id()))
                .execute();
        db.batchInsert(session.blocks().stream()
                        .map(b -> new PracticeBlockRecord(
                                session.id(),
                                (short) b.block(),
                                b.fault().id(),
                                b.drill(),
                                b.rung().id(),
                                b.kind().id(),
                                b.marks(),
                                ToldColumns.noticed(b.told()),
                                b.form().id(),
                                b.condition().orElse(null),
                                ToldColumns.speeds(b.told()),
                                ToldColumns.turns(b.told()),
                                ToldColumns.balls(b.told()),
                                b.told().club().map(Club::id).orElse(null),
                                b.aside().map(Aside::id).orElse(null)))
                        .toList())
                .execute();
        db.batchInsert(session.balls().counts().entrySet().stream()
                        .map(b -> new PracticeShotRecord(
                                session.id(),
                                b.getKey().kind().id(),
                                b.getKey().id(),
                                b.getValue().shortValue()))
                        .toList())
                .execute();
    }

    /** Puts what the blocks of a stored session say of its checks beside them. */
    void keepChecks(PracticeSession session) {
        db.update(PRACTICE_SESSION)
                .set(PRACTICE_SESSION.CHECKS, CheckColumn.write(session.checks()))
                .where(PRACTICE_SESSION.ID.eq(session.id()))
                .execute();
    }

    void remove(UUID session) {
        db.deleteFrom(PRACTICE_SESSION).where(PRACTICE_SESSION.ID.eq(session)).execute();
    }

    /** Takes back what an earlier word of this session stopped and its present one does not name. */
    void keepOnly(UUID session, Optional<String> stopped) {
        db.deleteFrom(DRILL_STOP)
                .where(DRILL_STOP.SESSION_ID.eq(session))
                .and(DRILL_STOP.LIFTED_AT.isNull())
                .and(DRILL_STOP.DRILL.ne(stopped.orElse("")))
                .execute();
    }

    /** Whether the drill was not stopped by this session already. */
    boolean stop(UUID student, String drill, UUID session) {
        return db.insertInto(DRILL_STOP)
                        .set(DRILL_STOP.STUDENT_ID, student)
                        .set(DRILL_STOP.DRILL, drill)
                        .set(DRILL_STOP.SESSION_ID, session)
                        .set(DRILL_STOP.SINCE, OffsetDateTime.now(clock))
                        .onConflictDoNothing()
                        .execute()
                == 1;
    }

    List<String> stopped(UUID student) {
        return db.selectDistinct(DRILL_STOP.DRILL)
                .from(DRILL_STOP)
                .where(DRILL_STOP.STUDENT_ID.eq(student).and(DRILL_STOP.LIFTED_AT.isNull()))
                .orderBy(DRILL_STOP.DRILL)
                .fetch(DRILL_STOP.DRILL);
    }

    int lift(UUID student, String drill) {
        return db.update(DRILL_STOP)
                .set(DRILL_STOP.LIFTED_AT, OffsetDateTime.now(clock))
                .where(DRILL_STOP.STUDENT_ID.eq(student))
                .and(DRILL_STOP.DRILL.eq(drill))
                .and(DRILL_STOP.LIFTED_AT.isNull())
                .execute();
    }
}
