package app.hodegon.server.student;

import static app.hodegon.server.db.Tables.ACCOUNT;
import static app.hodegon.server.db.Tables.DRILL_STOP;
import static app.hodegon.server.db.Tables.INVITATION;
import static app.hodegon.server.db.Tables.LESSON;
import static app.hodegon.server.db.Tables.PLAN;
import static app.hodegon.server.db.Tables.PRACTICE_SESSION;
import static app.hodegon.server.db.Tables.STUDENT;
import static app.hodegon.server.db.Tables.STUDENT_DAY;
import static org.jooq.impl.DSL.count;
import static org.jooq.impl.DSL.field;
import static org.jooq.impl.DSL.max;
import static org.jooq.impl.DSL.select;

import app.hodegon.core.drill.Equipment;
import app.hodegon.core.drill.Ground;
import app.hodegon.core.drill.Joint;
import app.hodegon.core.drill.Place;
import app.hodegon.core.drill.Shoes;
import app.hodegon.core.plan.AgeBand;
import app.hodegon.core.plan.Level;
import app.hodegon.core.plan.Student;
import app.hodegon.core.plan.Week;
import app.hodegon.core.swing.Handedness;
import app.hodegon.core.swing.Identified;
import app.hodegon.server.db.tables.Account;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.springframework.stereotype.Repository;

@Repository
class StudentRepository {

    private final DSLContext db;
    private final Clock clock;

    StudentRepository(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    Optional<StoredStudent> ofAccount(UUID account) {
        return find(STUDENT.ACCOUNT_ID.eq(account));
    }

    Optional<StoredStudent> byId(UUID id) {
        return find(STUDENT.ID.eq(id));
    }

    /** Makes writers of this student's things wait for each other until the transaction ends. */
    void lock(UUID student) {
        db.selectOne().from(STUDENT).where(STUDENT.ID.eq(student)).forUpdate().fetch();
    }

    int ofCoachCount(UUID coach) {
        return db.fetchCount(STUDENT, STUDENT.COACH_ID.eq(coach));
    }

    private Optional<StoredStudent> find(Condition which) {
        return db.selectFrom(STUDENT).where(which).fetchOptional(row -> student(row, week(row.get(STUDENT.ID))));
    }

    private Week week(UUID student) {
        Map<DayOfWeek, Week.Slot> slots = db.selectFrom(STUDENT_DAY)
                .where(STUDENT_DAY.STUDENT_ID.eq(student))
                .fetchMap(
                        row -> DayOfWeek.of(row.getWeekday()),
                        row -> new Week.Slot(row.getMinutes(), Identified.of(Place.class, row.getPlace())));
        return new Week(slots);
    }

    /** One line per student of this coach: what is needed to see who needs a look. */
    /**
     * @param coachs the coach's day, for students of whom no zone is known
     * @param days which day it is in each zone
     */
    List<RosterLine> roster(UUID coach, Set<UUID> standingInFor, LocalDate coachs, Map<ZoneId, LocalDate> days) {
        Account own = ACCOUNT.as("own");
        Field<LocalDate> lastLesson =
                field(select(max(LESSON.HELD_ON)).from(LESSON).where(LESSON.STUDENT_ID.eq(STUDENT.ID)));
        Field<LocalDate> lastPractice = field(select(max(PRACTICE_SESSION.PRACTICE_DAY))
                .from(PRACTICE_SESSION)
                .where(PRACTICE_SESSION.STUDENT_ID.eq(STUDENT.ID)));
        Field<Integer> stops = field(select(count())
                .from(DRILL_STOP)
                .where(DRILL_STOP.STUDENT_ID.eq(STUDENT.ID).and(DRILL_STOP.LIFTED_AT.isNull())));
        return db.select(
                        STUDENT.ID,
                        STUDENT.NAME,
                        STUDENT.COMPLAINT,
                        STUDENT.HANDEDNESS,
                        STUDENT.PLAYING_LEVEL,
                        lastLesson.as("last_lesson"),
                        lastPractice.as("last_practice"),
                        stops.as("stops"),
                        PLAN.ID,
                        PLAN.NEXT_LESSON,
                        STUDENT.COACH_ID,
                        ACCOUNT.NAME,
                        own.ZONE)
                .from(STUDENT)
                .join(ACCOUNT)
                .on(ACCOUNT.ID.eq(STUDENT.COACH_ID))
                .leftJoin(own)
                .on(own.ID.eq(STUDENT.ACCOUNT_ID))
                .leftJoin(PLAN)
                .on(PLAN.ID.eq(STUDENT.RUNNING_PLAN))
                .where(TaughtByCondition.of(coach, standingInFor))
                .orderBy(STUDENT.NAME)
                .fetch(row -> new RosterLine(
                        row.get(STUDENT.ID),
                        row.get(STUDENT.NAME),
                        row.get(STUDENT.COMPLAINT),
                        row.get(STUDENT.HANDEDNESS),
                        row.get(STUDENT.PLAYING_LEVEL),
                        row.get("last_lesson", LocalDate.class),
                        row.get(PLAN.NEXT_LESSON),
                        row.get("last_practice", LocalDate.class),
                        row.get("stops", int.class) > 0,
                        Optional.ofNullable(row.get(own.ZONE))
                                .map(zone -> days.get(ZoneId.of(zone)))
                                .orElse(coachs),
                        row.get(STUDENT.COACH_ID).equals(coach) ? null : row.get(ACCOUNT.NAME)));
    }

    UUID add(UUID coach, String name, String complaint, String units, Student profile, Figure figure) {
        UUID id = UUID.randomUUID();
        db.insertInto(STUDENT)
                .set(STUDENT.ID, id)
                .set(STUDENT.COACH_ID, coach)
                .set(STUDENT.CREATED_AT, OffsetDateTime.now(clock))
                .set(columns(name, complaint, units, profile, figure))
                .execute();
        setWeek(id, profile.week());
        return id;
    }

    void update(UUID id, String name, String complaint, String units, Student profile, Figure figure) {
        db.update(STUDENT)
                .set(columns(name, complaint, units, profile, figure))
                .set(STUDENT.VERSION, STUDENT.VERSION.plus(1))
                .where(STUDENT.ID.eq(id))
                .execute();
        setWeek(id, profile.week());
    }

    private static Map<Field<?>, Object> columns(
            String name, String complaint, String units, Student profile, Figure figure) {
        Map<Field<?>, Object> columns = new HashMap<>(Map.of(
                STUDENT.NAME, name,
                STUDENT.COMPLAINT, complaint,
                STUDENT.UNITS, units,
                STUDENT.HANDEDNESS, profile.hand().id(),
                STUDENT.PLAYING_LEVEL, profile.level().id(),
                STUDENT.AGE_BAND, profile.age().id(),
                STUDENT.SHOES, profile.shoes().id(),
                STUDENT.FLAGS, ids(profile.flags()),
                STUDENT.KIT, ids(profile.kit()),
                STUDENT.GROUNDS,
                        profile.grounds().entrySet().stream()
                                .map(e -> e.getKey().id() + "=" + e.getValue().id())
                                .sorted()
                                .toArray(String[]::new)));
        columns.put(STUDENT.HEIGHT, figure.height().orElse(null));
        columns.put(STUDENT.LOOK, figure.look().orElse(null));
        return columns;
    }

    private static Map<Place, Ground> grounds(String[] stored) {
        Map<Place, Ground> grounds = new EnumMap<>(Place.class);
        for (String one : stored) {
            String[] parts = one.split("=", 2);
            grounds.put(Identified.of(Place.class, parts[0]), Identified.of(Ground.class, parts[1]));
        }
        return grounds;
    }

    private static String[] ids(Set<? extends Identified> values) {
        return values.stream().map(Identified::id).sorted().toArray(String[]::new);
    }

    private void setWeek(UUID student, Week week) {
        db.deleteFrom(STUDENT_DAY).where(STUDENT_DAY.STUDENT_ID.eq(student)).execute();
        week.slots()
                .forEach((day, slot) -> db.insertInto(STUDENT_DAY)
                        .set(STUDENT_DAY.STUDENT_ID, student)
                        .set(STUDENT_DAY.WEEKDAY, (short) day.getValue())
                        .set(STUDENT_DAY.MINUTES, (short) slot.minutes())
                        .set(STUDENT_DAY.PLACE, slot.place().id())
                        .execute());
    }

    void changed(UUID student) {
        db.update(STUDENT)
                .set(STUDENT.VERSION, STUDENT.VERSION.plus(1))
                .where(STUDENT.ID.eq(student))
                .execute();
    }

    List<UUID> ids(UUID coach) {
        return db.select(STUDENT.ID)
                .from(STUDENT)
                .where(STUDENT.COACH_ID.eq(coach))
                .fetch(STUDENT.ID);
    }

    List<UUID> ofCoaches(List<UUID> coaches) {
        return db.select(STUDENT.ID)
                .from(STUDENT)
                .where(STUDENT.COACH_ID.in(coaches))
                .fetch(STUDENT.ID);
    }

    void move(UUID student, UUID toCoach) {
        db.update(STUDENT)
                .set(STUDENT.COACH_ID, toCoach)
                .where(STUDENT.ID.eq(student))
                .execute();
    }

    void setAdult(UUID account, String adult) {
        db.update(STUDENT)
                .set(STUDENT.ADULT, adult)
                .where(STUDENT.ACCOUNT_ID.eq(account))
                .execute();
    }

    void setAccount(UUID student, UUID account) {
        db.update(STUDENT)
                .set(STUDENT.ACCOUNT_ID, account)
                .where(STUDENT.ID.eq(student))
                .execute();
    }

    Optional<UUID> accountOf(UUID student) {
        return db.select(STUDENT.ACCOUNT_ID)
                .from(STUDENT)
                .where(STUDENT.ID.eq(student))
                .fetchOptional(STUDENT.ACCOUNT_ID);
    }

    void endInvitation(UUID student) {
        db.deleteFrom(INVITATION).where(INVITATION.STUDENT_ID.eq(student)).execute();
    }

    /** Replaces any earlier invitation of this student. */
    void invite(UUID student, String tokenHash, OffsetDateTime expires) {
        endInvitation(student);
        db.insertInto(INVITATION)
                .set(INVITATION.TOKEN_HASH, tokenHash)
                .set(INVITATION.STUDENT_ID, student)
                .set(INVITATION.EXPIRES_AT, expires)
                .execute();
    }

    Optional<OffsetDateTime> invitedUntil(UUID student) {
        return db.select(INVITATION.EXPIRES_AT)
                .from(INVITATION)
                .where(INVITATION.STUDENT_ID.eq(student))
                .fetchOptional(INVITATION.EXPIRES_AT);
    }

    record Invited(UUID student, String name, String coach) {}

    Optional<Invited> invited(String tokenHash) {
        return db.select(STUDENT.ID, STUDENT.NAME, ACCOUNT.NAME)
                .from(INVITATION)
                .join(STUDENT)
                .on(STUDENT.ID.eq(INVITATION.STUDENT_ID))
                .join(ACCOUNT)
                .on(ACCOUNT.ID.eq(STUDENT.COACH_ID))
                .where(INVITATION.TOKEN_HASH.eq(tokenHash))
                .and(INVITATION.EXPIRES_AT.gt(OffsetDateTime.now(clock)))
                .and(STUDENT.ACCOUNT_ID.isNull())
                .fetchOptional(row -> new Invited(row.get(STUDENT.ID), row.get(STUDENT.NAME), row.get(ACCOUNT.NAME)));
    }

    /** Whether there was such an invitation; of two at once only one finds it. */
    boolean useUp(String tokenHash) {
        return db.deleteFrom(INVITATION)
                        .where(INVITATION.TOKEN_HASH.eq(tokenHash))
                        .execute()
                == 1;
    }

    private static StoredStudent student(Record row, Week week) {
        Student profile = new Student(
                Identified.of(Handedness.class, row.get(STUDENT.HANDEDNESS)),
                Identified.of(Level.class, row.get(STUDENT.PLAYING_LEVEL)),
                Identified.of(AgeBand.class, row.get(STUDENT.AGE_BAND)),
                set(Joint.class, row.get(STUDENT.FLAGS)),
                set(Equipment.class, row.get(STUDENT.KIT)),
                week,
                Identified.of(Shoes.class, row.get(STUDENT.SHOES)),
                List.of(),
                grounds(row.get(STUDENT.GROUNDS)));
        return new StoredStudent(
                row.get(STUDENT.ID),
                row.get(STUDENT.COACH_ID),
                row.get(STUDENT.ACCOUNT_ID) != null,
                row.get(STUDENT.NAME),
                row.get(STUDENT.COMPLAINT),
                row.get(STUDENT.UNITS),
                profile,
                Optional.ofNullable(row.get(STUDENT.ADULT)),
                Figure.stored(row.get(STUDENT.HEIGHT), row.get(STUDENT.LOOK)),
                row.get(STUDENT.VERSION));
    }

    private static <E extends Enum<E> & Identified> Set<E> set(Class<E> type, String[] ids) {
        return Arrays.stream(ids).map(id -> Identified.of(type, id)).collect(Collectors.toSet());
    }
}
