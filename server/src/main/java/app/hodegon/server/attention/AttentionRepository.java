package app.hodegon.server.attention;

import static app.hodegon.server.db.Tables.ATTENTION;
import static app.hodegon.server.db.Tables.ATTENTION_DUE;
import static app.hodegon.server.db.Tables.PLAN;
import static app.hodegon.server.db.Tables.PLAN_DAY;
import static app.hodegon.server.db.Tables.STUDENT;
import static app.hodegon.server.storage.AmongCondition.among;

import app.hodegon.core.practice.Attention;
import app.hodegon.core.practice.Attention.Kind;
import app.hodegon.core.swing.Units;
import app.hodegon.server.db.tables.records.AttentionRecord;
import app.hodegon.server.student.TaughtByCondition;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;

@Repository
class AttentionRepository {

    private static final int LONGEST_REASON = 1200;

    /** Only a student's own coach can invite. */
    private static final List<String> OF_THE_OWN_COACH = List.of(Kind.NOT_INVITED.id(), Kind.NOT_OPENED.id());

    private final DSLContext db;
    private final Clock clock;

    AttentionRepository(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    /** Students of whom it is to be worked out anew. */
    List<UUID> due() {
        return db.selectFrom(ATTENTION_DUE).fetch(ATTENTION_DUE.STUDENT_ID);
    }

    /** Replaces what is known of a student; what the coach has seen already stays seen. */
    void replace(UUID student, List<Attention> all) {
        db.deleteFrom(ATTENTION_DUE).where(ATTENTION_DUE.STUDENT_ID.eq(student)).execute();
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
                                seen.get(a.kind().id() + a.key()),
                                a.until().orElse(null)))
                        .toList())
                .execute();
    }

    /**
     * Something that may want a coach on a day.
     *
     * @param urgency 0 for the most urgent
     * @param until null for no end
     */
    record Line(UUID student, String kind, String key, int urgency, LocalDate from, LocalDate until) {

        boolean holdsOn(LocalDate day) {
            return !from.isAfter(day) && (until == null || day.isBefore(until));
        }
    }

    /** What wants this coach on any of these days, most urgent first, the longest waiting first among equals. */
    List<Line> between(UUID coach, Set<UUID> standingInFor, LocalDate first, LocalDate last) {
        return db.select(
                        ATTENTION.STUDENT_ID,
                        ATTENTION.KIND,
                        ATTENTION.SUBJECT_KEY,
                        ATTENTION.URGENCY,
                        ATTENTION.HOLDS_FROM,
                        ATTENTION.HOLDS_UNTIL)
                .from(STUDENT)
                .join(ATTENTION)
                .on(ATTENTION.STUDENT_ID.eq(STUDENT.ID))
                .where(TaughtByCondition.of(coach, standingInFor))
                .and(STUDENT.COACH_ID.eq(coach).or(ATTENTION.KIND.notIn(OF_THE_OWN_COACH)))
                .and(ATTENTION.SEEN_AT.isNull())
                .and(ATTENTION.HOLDS_FROM.le(last))
                .and(ATTENTION.HOLDS_UNTIL.isNull().or(ATTENTION.HOLDS_UNTIL.gt(first)))
                .orderBy(ATTENTION.URGENCY, ATTENTION.HOLDS_FROM, STUDENT.NAME)
                .fetch(row ->
                        new Line(row.value1(), row.value2(), row.value3(), row.value4(), row.value5(), row.value6()));
    }

    /**
     * What a coach is told of each of these, in their order.
     *
     * @param units in which the coach reads
     * @param days which day it is for each student
     */
    List<AttentionView> tell(List<Line> lines, Units units, Map<UUID, LocalDate> days) {
        Set<UUID> students = lines.stream().map(Line::student).collect(Collectors.toSet());
        Map<Object, AttentionRecord> rows = db.selectFrom(ATTENTION)
                .where(among(ATTENTION.STUDENT_ID, students))
                .fetchMap(row -> List.of(row.getStudentId(), row.getKind(), row.getSubjectKey()));
        var plans = db.select(STUDENT.ID, STUDENT.NAME, PLAN.ID, PLAN.LESSON_ID, PLAN.EASED_ON)
                .from(STUDENT)
                .leftJoin(PLAN)
                .on(PLAN.ID.eq(STUDENT.RUNNING_PLAN))
                .where(among(STUDENT.ID, students))
                .fetchMap(STUDENT.ID);
        Map<UUID, List<LocalDate>> planned = planned(lines.stream()
                .filter(l -> l.kind().equals(Kind.ABSENT.id()))
                .map(l -> plans.get(l.student()).value3())
                .filter(Objects::nonNull)
                .collect(Collectors.toSet()));
        // What was worked out anew meanwhile is told at the next look.
        return lines.stream()
                .filter(line -> rows.containsKey(key(line)))
                .map(line -> {
                    AttentionRecord row = rows.get(key(line));
                    var plan = plans.get(line.student());
                    return new AttentionView(
                            line.student(),
                            plan.value2(),
                            line.kind(),
                            line.key(),
                            line.from(),
                            plan.value3(),
                            plan.value4(),
                            row.getDrill(),
                            row.getFault(),
                            row.getRung(),
                            row.getSessionId(),
                            plan.value5(),
                            units.say(reason(
                                    row, planned.getOrDefault(plan.value3(), List.of()), days.get(line.student()))));
                })
                .toList();
    }

    private static Object key(Line line) {
        return List.of(line.student(), line.kind(), line.key());
    }

    private Map<UUID, List<LocalDate>> planned(Set<UUID> plans) {
        return db.select(PLAN_DAY.PLAN_ID, PLAN_DAY.PLANNED_FOR)
                .from(PLAN_DAY)
                .where(among(PLAN_DAY.PLAN_ID, plans))
                .fetchGroups(PLAN_DAY.PLAN_ID, PLAN_DAY.PLANNED_FOR);
    }

    /** As it was found, and for days missed with how many they are by now; its key is the first of them. */
    private static String reason(AttentionRecord row, List<LocalDate> planned, LocalDate today) {
        if (!row.getKind().equals(Kind.ABSENT.id())) return row.getReason();
        LocalDate first = LocalDate.parse(row.getSubjectKey());
        long missed = planned.stream()
                .filter(day -> !day.isBefore(first) && day.isBefore(today))
                .count();
        return Attention.noPractice(first, (int) missed);
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
