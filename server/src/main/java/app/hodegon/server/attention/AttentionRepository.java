package app.hodegon.server.attention;

import static app.hodegon.server.db.Tables.ACCOUNT;
import static app.hodegon.server.db.Tables.ATTENTION;
import static app.hodegon.server.db.Tables.PLAN;
import static app.hodegon.server.db.Tables.PLAN_DAY;
import static app.hodegon.server.db.Tables.STUDENT;
import static org.jooq.impl.DSL.case_;
import static org.jooq.impl.DSL.count;
import static org.jooq.impl.DSL.inline;

import app.hodegon.core.practice.Attention;
import app.hodegon.core.practice.Attention.Kind;
import app.hodegon.core.swing.Units;
import app.hodegon.server.db.tables.records.AttentionRecord;
import app.hodegon.server.student.TaughtByCondition;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.springframework.stereotype.Repository;

@Repository
class AttentionRepository {

    private static final int LONGEST_REASON = 1200;

    private final DSLContext db;
    private final Clock clock;

    AttentionRepository(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** Replaces what is known of a student; what the coach has seen already stays seen. */
    void replace(UUID student, List<Attention> all) {
        Map<String, OffsetDateTime> seen = db.selectFrom(ATTENTION)
                .where(ATTENTION.STUDENT_ID.eq(student).and(ATTENTION.SEEN_AT.isNotNull()))
                .fetchMap(row -> row.getKind() + row.getSubjectKey(), AttentionRecord::getSeenAt);
        db.deleteFrom(ATTENTION).where(ATTENTION.STUDENT_ID.eq(student)).execute();
        db.batchInsert(all.stream()
                        .map(a -> new AttentionRecord(
                                student,
                                a.kind().id(),
                                a.key(),
                                (short) a.kind().ordinal(),
                                a.from(),
                                a.subject().drill().orElse(null),
                                a.subject().step().map(s -> s.fault().id()).orElse(null),
                                a.subject().step().map(s -> s.rung().id()).orElse(null),
                                a.subject().session().orElse(null),
                                a.reason()
                                        .substring(
                                                0,
                                                Math.min(
                                                        LONGEST_REASON,
                                                        a.reason().length())),
                                seen.get(a.kind().id() + a.key())))
                        .toList())
                .execute();
    }

    /**
     * What wants this coach on that day, most urgent first, the longest waiting first among equals.
     *
     * @param units in which the coach reads
     * @param days which day it is in each zone
     */
    Attentions.Due due(
            UUID coach, Set<UUID> standingInFor, Units units, LocalDate today, Map<ZoneId, LocalDate> days, int most) {
        Field<LocalDate> theirs = studentsDay(days, today);
        var rows = db.select(ATTENTION, STUDENT.NAME, PLAN.ID, PLAN.LESSON_ID, PLAN.EASED_ON, theirs, count().over())
                .from(ATTENTION)
                .join(STUDENT)
                .on(STUDENT.ID.eq(ATTENTION.STUDENT_ID))
                .leftJoin(PLAN)
                .on(PLAN.ID.eq(STUDENT.RUNNING_PLAN))
                .leftJoin(ACCOUNT)
                .on(ACCOUNT.ID.eq(STUDENT.ACCOUNT_ID))
                .where(TaughtByCondition.of(coach, standingInFor))
                .and(holds(theirs))
                .orderBy(ATTENTION.URGENCY, ATTENTION.HOLDS_FROM, STUDENT.NAME)
                .limit(most)
                .fetch();
        List<AttentionView> first = rows.map(row -> new AttentionView(
                row.value1().getStudentId(),
                row.value2(),
                row.value1().getKind(),
                row.value1().getSubjectKey(),
                row.value1().getHoldsFrom(),
                row.value3(),
                row.value4(),
                row.value1().getDrill(),
                row.value1().getFault(),
                row.value1().getRung(),
                row.value1().getSessionId(),
                row.value5(),
                units.say(reason(row.value1(), row.value3(), row.value6()))));
        return new Attentions.Due(first, rows.isEmpty() ? 0 : rows.get(0).value7());
    }

    /** The most urgent of each student. */
    Map<UUID, Attentions.Wanted> wanted(
            UUID coach, Set<UUID> standingInFor, LocalDate today, Map<ZoneId, LocalDate> days) {
        Field<LocalDate> theirs = studentsDay(days, today);
        Map<UUID, Attentions.Wanted> first = new HashMap<>();
        db.select(ATTENTION.STUDENT_ID, ATTENTION.KIND, ATTENTION.URGENCY)
                .from(ATTENTION)
                .join(STUDENT)
                .on(STUDENT.ID.eq(ATTENTION.STUDENT_ID))
                .leftJoin(PLAN)
                .on(PLAN.ID.eq(STUDENT.RUNNING_PLAN))
                .leftJoin(ACCOUNT)
                .on(ACCOUNT.ID.eq(STUDENT.ACCOUNT_ID))
                .where(TaughtByCondition.of(coach, standingInFor))
                .and(holds(theirs))
                .orderBy(ATTENTION.URGENCY)
                .forEach(row -> first.putIfAbsent(row.value1(), new Attentions.Wanted(row.value2(), row.value3())));
        return first;
    }

    private static Condition holds(Field<LocalDate> theirs) {
        return ATTENTION
                .HOLDS_FROM
                .le(theirs)
                .and(ATTENTION.SEEN_AT.isNull())
                // Once the lesson is due there is no plan left to practise.
                .and(ATTENTION.KIND.ne(Kind.ABSENT.id()).or(PLAN.NEXT_LESSON.gt(theirs)));
    }

    /** The day where a student is; the coach's where that is not known. */
    private static Field<LocalDate> studentsDay(Map<ZoneId, LocalDate> days, LocalDate coachs) {
        Map<Field<String>, Field<LocalDate>> known = new HashMap<>();
        days.forEach((zone, day) -> known.put(inline(zone.getId()), inline(day)));
        return known.isEmpty()
                ? inline(coachs)
                : case_(ACCOUNT.ZONE).mapFields(known).else_(inline(coachs));
    }

    /** As it was found, and for days missed with how many they are by now. */
    private String reason(AttentionRecord row, UUID plan, LocalDate theirs) {
        return row.getKind().equals(Kind.ABSENT.id())
                ? Attention.noPractice(LocalDate.parse(row.getSubjectKey()), missed(plan, row.getSubjectKey(), theirs))
                : row.getReason();
    }

    /** The key of a student who does not practise is the first day missed; only of the few shown are they counted. */
    private int missed(UUID plan, String first, LocalDate theirs) {
        return db.fetchCount(
                PLAN_DAY,
                PLAN_DAY.PLAN_ID
                        .eq(plan)
                        .and(PLAN_DAY.PLANNED_FOR.ge(LocalDate.parse(first)))
                        .and(PLAN_DAY.PLANNED_FOR.lt(theirs)));
    }

    int see(UUID student, String kind, String key) {
        return db.update(ATTENTION)
                .set(ATTENTION.SEEN_AT, OffsetDateTime.now(clock))
                .where(ATTENTION.STUDENT_ID.eq(student))
                .and(ATTENTION.KIND.eq(kind))
                .and(ATTENTION.SUBJECT_KEY.eq(key))
                .execute();
    }
}
