package app.hodegon.server.exchange;

import static app.hodegon.server.db.Tables.*;
import static org.jooq.impl.DSL.inline;
import static org.jooq.impl.DSL.select;

import app.hodegon.server.exchange.RecordSection.Column;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.ForeignKey;
import org.jooq.Record;
import org.jooq.Result;
import org.jooq.Select;
import org.jooq.Table;
import org.jooq.TableField;
import org.springframework.stereotype.Repository;

/**
 * A student's whole record, read and written table by table. What is in it follows from the tables themselves: a new
 * one is added to the list below, and a test says so when it is not.
 */
@Repository
class RecordRepository {

    /** The tables in the order in which their rows can be inserted. */
    private static final List<Table<?>> TABLES = List.of(
            STUDENT,
            STUDENT_DAY,
            STUDENT_ANSWER,
            STUDENT_GATE,
            REMINDER,
            LESSON,
            LESSON_ANSWER,
            LESSON_SIGN,
            LESSON_READING,
            LESSON_SHOT,
            LESSON_DECISION,
            LESSON_CHECK,
            LESSON_MEASURED,
            TRACE_FILE,
            SWING,
            CLIP,
            CLIP_STILL,
            CLIP_FILM,
            PROPOSAL_ANSWER,
            SHOT_FILE,
            SHOT,
            PLAN,
            PLAN_DOCUMENT,
            PLAN_DAY,
            PLAN_RELAID,
            PRACTICE_SESSION,
            PRACTICE_BLOCK,
            PRACTICE_SHOT,
            SESSION_ANSWER,
            DRILL_STOP,
            ROUND_PLAYED,
            SELF_CHECK,
            STUDENT_CUE);

    /** Files made before there were these have none of them. */
    private static final Set<Table<?>> LATER = Set.of(
            LESSON_CHECK,
            LESSON_MEASURED,
            TRACE_FILE,
            SWING,
            CLIP,
            CLIP_STILL,
            CLIP_FILM,
            ROUND_PLAYED,
            SELF_CHECK,
            STUDENT_CUE);

    /** Of an installation, not of the student; or worked out again. */
    private static final Set<Field<?>> LEFT_OUT = Set.of(
            STUDENT.COACH_ID,
            STUDENT.ACCOUNT_ID,
            STUDENT.VERSION,
            LESSON.VERSION,
            LESSON.SAVES,
            LESSON.PLAN_VERSION,
            LESSON.SWINGS_VERSION,
            // Told by its blocks.
            PRACTICE_SESSION.CHECKS);

    private static final Set<Field<?>> DOCUMENTS = Set.of(
            LESSON.KEYED,
            LESSON.TRIES,
            SWING.TOLD,
            SWING.MOMENTS,
            SWING.READINGS,
            SWING.WARNINGS,
            CLIP.MARKS,
            CLIP.TOLD,
            CLIP.RULER,
            CLIP.MOMENTS,
            CLIP.READINGS,
            CLIP.WARNINGS,
            LESSON_DECISION.DIAGNOSED,
            PROPOSAL_ANSWER.BECAUSE,
            PLAN_DOCUMENT.DOCUMENT,
            PLAN_DOCUMENT.TERMS,
            PLAN_RELAID.CHANGES);

    private final DSLContext db;
    private final Clock clock;

    RecordRepository(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    List<RecordSection> sections() {
        return TABLES.stream()
                .map(table -> new RecordSection(
                        name(table),
                        LATER.contains(table),
                        columns(table).map(RecordRepository::column).toList()))
                .toList();
    }

    private static Stream<TableField<?, ?>> columns(Table<?> table) {
        return all(table).filter(f -> !LEFT_OUT.contains(f)).filter(f -> table.equals(STUDENT) || !ofStudent(f));
    }

    private static Stream<TableField<?, ?>> all(Table<?> table) {
        return Arrays.stream(table.fields()).map(f -> (TableField<?, ?>) f);
    }

    /** Whether this column names the student: said once for the whole record. */
    private static boolean ofStudent(TableField<?, ?> field) {
        return parent(field).filter(STUDENT::equals).isPresent();
    }

    /** The table whose key this column names; empty for most. */
    private static Optional<Table<?>> parent(TableField<?, ?> field) {
        for (ForeignKey<?, ?> key : field.getTable().getReferences()) {
            if (key.getFields().size() == 1 && key.getFields().get(0).equals(field)) {
                return Optional.of(key.getKey().getTable());
            }
        }
        return Optional.empty();
    }

    private static Column column(TableField<?, ?> field) {
        return new Column(
                camel(field.getName()),
                field.getType(),
                field.getDataType().nullable() || field.getDataType().defaulted(),
                field.getType() == String.class ? field.getDataType().length() : 0,
                DOCUMENTS.contains(field),
                parent(field).map(RecordRepository::name));
    }

    private static String name(Table<?> table) {
        return camel(table.getName());
    }

    private static String camel(String name) {
        StringBuilder camel = new StringBuilder();
        for (String word : name.toLowerCase(Locale.ROOT).split("_")) {
            camel.append(camel.isEmpty() ? word : Character.toUpperCase(word.charAt(0)) + word.substring(1));
        }
        return camel.toString();
    }

    /** The rows of every section, each in a lasting order. */
    Map<String, List<Map<String, Object>>> read(UUID student) {
        Map<String, List<Map<String, Object>>> record = new LinkedHashMap<>();
        for (Table<?> table : TABLES) {
            record.put(
                    name(table),
                    db.selectFrom(table)
                            .where(ofStudent(table, student))
                            .orderBy(table.getPrimaryKey().getFields())
                            .fetch(RecordRepository::values));
        }
        return record;
    }

    private static Map<String, Object> values(Record row) {
        Map<String, Object> values = new LinkedHashMap<>();
        columns(((org.jooq.TableRecord<?>) row).getTable()).forEach(f -> values.put(camel(f.getName()), row.get(f)));
        return values;
    }

    /** Follows the keys from a table up to its student. */
    private static Condition ofStudent(Table<?> table, UUID student) {
        if (table.equals(STUDENT)) return STUDENT.ID.eq(student);
        TableField<?, UUID> key = key(table);
        Table<?> above = parent(key).orElseThrow();
        if (above.equals(STUDENT)) return key.eq(student);
        Select<? extends org.jooq.Record1<UUID>> owners =
                select(id(above)).from(above).where(ofStudent(above, student));
        return key.in(owners);
    }

    /** The column that leads towards the student. */
    @SuppressWarnings("unchecked")
    private static TableField<?, UUID> key(Table<?> table) {
        return (TableField<?, UUID>) all(table)
                .filter(RecordRepository::ofStudent)
                .findFirst()
                .or(() -> all(table)
                        .filter(f -> parent(f).filter(TABLES::contains).isPresent())
                        .findFirst())
                .orElseThrow();
    }

    @SuppressWarnings("unchecked")
    private static Field<UUID> id(Table<?> table) {
        return (Field<UUID>) table.getPrimaryKey().getFields().get(0);
    }

    /**
     * What the installation keeps of a student beside the record: it goes out with it, so that one sees it, and is of no
     * use elsewhere.
     */
    Map<String, Object> about(UUID student) {
        Map<String, Object> about = new LinkedHashMap<>();
        db.select(ACCOUNT.EMAIL, ACCOUNT.ZONE)
                .from(STUDENT)
                .join(ACCOUNT)
                .on(ACCOUNT.ID.eq(STUDENT.ACCOUNT_ID))
                .where(STUDENT.ID.eq(student))
                .fetchOptional()
                .ifPresent(account -> {
                    about.put("email", account.value1());
                    about.put("zone", account.value2());
                });
        about.put(
                "accesses",
                lines(db.select(
                                ACCOUNT.NAME.as("coach"),
                                STUDENT_ACCESS.HAPPENED_ON.as("on"),
                                STUDENT_ACCESS.WHAT,
                                STUDENT_ACCESS.PLACE,
                                STUDENT_ACCESS.TIMES)
                        .from(STUDENT_ACCESS)
                        .join(ACCOUNT)
                        .on(ACCOUNT.ID.eq(STUDENT_ACCESS.COACH_ID))
                        .where(STUDENT_ACCESS.STUDENT_ID.eq(student))
                        .orderBy(STUDENT_ACCESS.FIRST_AT)
                        .fetch()));
        about.put(
                "standIns",
                lines(db.select(ACCOUNT.NAME.as("coach"), STAND_IN.UNTIL_DAY.as("until"))
                        .from(STAND_IN)
                        .join(ACCOUNT)
                        .on(ACCOUNT.ID.eq(STAND_IN.COACH_ID))
                        .where(STAND_IN.STUDENT_ID.eq(student))
                        .orderBy(ACCOUNT.NAME)
                        .fetch()));
        about.put(
                "letters",
                lines(db.select(MAIL.WRITTEN_AT.as("at"), MAIL.SUBJECT, MAIL.BODY)
                        .from(MAIL)
                        .where(MAIL.ADDRESS.eq(String.valueOf(about.get("email"))))
                        .orderBy(MAIL.WRITTEN_AT)
                        .fetch()));
        return about;
    }

    private static List<Map<String, String>> lines(Result<?> rows) {
        return rows.map(row -> {
            Map<String, String> line = new LinkedHashMap<>();
            for (Field<?> field : row.fields()) line.put(camel(field.getName()), String.valueOf(row.get(field)));
            return line;
        });
    }

    boolean has(UUID student) {
        return db.fetchExists(STUDENT, STUDENT.ID.eq(student));
    }

    /** Inserts a record under this coach; every row's keys lie within the record. */
    void write(UUID coach, UUID student, Map<String, List<Map<String, Object>>> record) {
        for (Table<?> table : TABLES) {
            List<org.jooq.TableRecord<?>> rows = new ArrayList<>();
            for (Map<String, Object> values : record.get(name(table))) {
                rows.add(row(table, coach, student, values));
            }
            db.batchInsert(rows).execute();
        }
        Object running = record.get(name(STUDENT)).get(0).get(camel(STUDENT.RUNNING_PLAN.getName()));
        db.update(STUDENT)
                .set(STUDENT.RUNNING_PLAN, (UUID) running)
                .where(STUDENT.ID.eq(student))
                .execute();
    }

    private org.jooq.TableRecord<?> row(Table<?> table, UUID coach, UUID student, Map<String, Object> values) {
        org.jooq.TableRecord<?> row = (org.jooq.TableRecord<?>) db.newRecord(table);
        Map<Field<?>, Object> given = new HashMap<>();
        // A column that was added later has its usual value where a file does not have it.
        columns(table)
                .filter(f -> !f.getDataType().defaulted() || values.containsKey(camel(f.getName())))
                .forEach(f -> given.put(f, values.get(camel(f.getName()))));
        if (table.equals(STUDENT)) {
            given.put(STUDENT.COACH_ID, coach);
            // The plan is not there yet; it is named once it is.
            given.put(STUDENT.RUNNING_PLAN, null);
        } else {
            all(table).filter(RecordRepository::ofStudent).forEach(f -> given.put(f, student));
        }
        row.fromMap(byName(given));
        return row;
    }

    private static Map<String, Object> byName(Map<Field<?>, Object> values) {
        Map<String, Object> named = new HashMap<>();
        values.forEach((field, value) -> named.put(field.getName(), value));
        return named;
    }

    /**
     * Takes a student out with the account and the letters, and keeps only that it was done.
     *
     * @return the account that is gone
     */
    Optional<UUID> erase(UUID coach, UUID student) {
        UUID account = db.select(STUDENT.ACCOUNT_ID)
                .from(STUDENT)
                .where(STUDENT.ID.eq(student))
                .fetchOne(STUDENT.ACCOUNT_ID);
        db.deleteFrom(MAIL)
                .where(MAIL.ADDRESS.in(select(ACCOUNT.EMAIL).from(ACCOUNT).where(ACCOUNT.ID.eq(inline(account)))))
                .execute();
        db.deleteFrom(STUDENT).where(STUDENT.ID.eq(student)).execute();
        if (account != null)
            db.deleteFrom(ACCOUNT).where(ACCOUNT.ID.eq(account)).execute();
        db.insertInto(ERASURE)
                .set(ERASURE.ID, UUID.randomUUID())
                .set(ERASURE.COACH_ID, coach)
                .set(ERASURE.ERASED_ON, LocalDate.now(clock))
                .execute();
        return Optional.ofNullable(account);
    }

    /** Days on which records were erased, the latest first. */
    List<LocalDate> erasures(UUID coach) {
        return db.select(ERASURE.ERASED_ON)
                .from(ERASURE)
                .where(ERASURE.COACH_ID.eq(coach))
                .orderBy(ERASURE.ERASED_ON.desc())
                .fetch(ERASURE.ERASED_ON);
    }
}
