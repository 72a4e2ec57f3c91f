package app.hodegon.server.plan;

import static app.hodegon.server.db.Tables.LESSON;
import static app.hodegon.server.db.Tables.PLAN;
import static app.hodegon.server.db.Tables.PLAN_DAY;
import static app.hodegon.server.db.Tables.PLAN_DOCUMENT;
import static app.hodegon.server.db.Tables.PLAN_RELAID;
import static app.hodegon.server.db.Tables.STUDENT;
import static app.hodegon.server.storage.AmongCondition.among;
import static org.jooq.Records.mapping;
import static org.jooq.impl.DSL.selectOne;

import app.hodegon.core.diagnosis.Fault;
import app.hodegon.core.practice.Attention.Printed;
import app.hodegon.server.db.tables.Lesson;
import app.hodegon.server.db.tables.Plan;
import app.hodegon.server.db.tables.records.PlanDayRecord;
import app.hodegon.server.db.tables.records.PlanDocumentRecord;
import app.hodegon.server.db.tables.records.PlanRecord;
import app.hodegon.server.plan.PlanView.DayView;
import app.hodegon.server.student.TaughtByCondition;
import app.hodegon.server.student.Whose;
import app.hodegon.server.zone.Today;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record5;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

@Repository
class PlanRepository {

    private final DSLContext db;
    private final Clock clock;
    private final Today today;
    private final JsonMapper json;

    PlanRepository(DSLContext db, Clock clock, Today today, JsonMapper json) {
        this.db = db;
        this.clock = clock;
        this.today = today;
        // Earlier plans have no contrast, no locks and no harder form: what is missing is none.
        this.json = json.rebuild()
                .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                .build();
    }

    /** The plans of these lessons that were handed over, without their documents, the running one last. */
    List<PlanHead> heads(Collection<UUID> lessons) {
        return whole(db.selectFrom(PLAN)
                .where(among(PLAN.LESSON_ID, lessons).and(PLAN.ASSIGNED_AT.isNotNull()))
                .orderBy(PLAN.ASSIGNED_AT)
                .fetch());
    }

    List<PlannedDay> planned(UUID student, LocalDate until) {
        return db.select(PLAN_DAY.PLANNED_FOR, PLAN_DAY.REPS)
                .from(PLAN_DAY)
                .join(STUDENT)
                .on(STUDENT.RUNNING_PLAN.eq(PLAN_DAY.PLAN_ID))
                .where(STUDENT.ID.eq(student).and(PLAN_DAY.PLANNED_FOR.le(until)))
                .orderBy(PLAN_DAY.PLANNED_FOR.desc())
                .fetch(mapping(PlannedDay::new));
    }

    /** Planned days of all plans of a student from one day on and before another, each by the plan that held then. */
    List<LocalDate> plannedBetween(UUID student, LocalDate from, LocalDate until) {
        Plan newer = PLAN.as("newer");
        return db.selectDistinct(PLAN_DAY.PLANNED_FOR)
                .from(PLAN_DAY)
                .join(PLAN)
                .on(PLAN.ID.eq(PLAN_DAY.PLAN_ID))
                .where(PLAN.STUDENT_ID.eq(student))
                .and(PLAN.ASSIGNED_AT.isNotNull())
                .and(PLAN_DAY.PLANNED_FOR.ge(from))
                .and(PLAN_DAY.PLANNED_FOR.lt(until))
                .andNotExists(selectOne()
                        .from(newer)
                        .where(newer.STUDENT_ID.eq(student))
                        .and(newer.ASSIGNED_AT.gt(PLAN.ASSIGNED_AT))
                        .and(newer.FROM_DAY.le(PLAN_DAY.PLANNED_FOR)))
                .fetch(PLAN_DAY.PLANNED_FOR);
    }

    private List<PlanHead> whole(List<PlanRecord> plans) {
        var days = db.selectFrom(PLAN_DAY)
                .where(among(
                        PLAN_DAY.PLAN_ID, plans.stream().map(PlanRecord::getId).toList()))
                .fetchGroups(PLAN_DAY.PLAN_ID);
        return plans.stream()
                .map(row -> new PlanHead(
                        row.getId(),
                        row.getLessonId(),
                        row.getFromDay(),
                        row.getNextLesson(),
                        days.getOrDefault(row.getId(), db.newResult(PLAN_DAY))
                                .intoMap(PLAN_DAY.PLANNED_FOR, PLAN_DAY.REPS)))
                .toList();
    }

    Optional<StoredPlan> running(UUID student) {
        return fetch(PLAN.ID.eq(STUDENT.RUNNING_PLAN).and(STUDENT.ID.eq(student))).stream()
                .findFirst();
    }

    List<Plans.LessonDue> lessonsOn(UUID coach, Set<UUID> standingInFor, LocalDate day) {
        Lesson held = LESSON.as("held");
        var rows = db.select(PLAN, STUDENT.ID, STUDENT.NAME, LESSON.FOCUS, held.ID)
                .from(PLAN)
                .join(STUDENT)
                .on(STUDENT.ID.eq(PLAN.STUDENT_ID))
                .join(LESSON)
                .on(LESSON.ID.eq(PLAN.LESSON_ID))
                .leftJoin(held)
                .on(held.STUDENT_ID.eq(STUDENT.ID).and(held.HELD_ON.eq(day)))
                .where(TaughtByCondition.of(coach, standingInFor))
                .and(PLAN.NEXT_LESSON.eq(day))
                .and(PLAN.ASSIGNED_AT.isNotNull())
                .orderBy(STUDENT.NAME, held.CREATED_AT)
                .fetch();
        List<PlanHead> heads = whole(rows.map(Record5::value1));
        return IntStream.range(0, rows.size())
                .mapToObj(i -> new Plans.LessonDue(
                        heads.get(i),
                        rows.get(i).value2(),
                        rows.get(i).value3(),
                        List.of(rows.get(i).value4()),
                        Optional.ofNullable(rows.get(i).value5())))
                .toList();
    }

    Optional<StoredPlan> byId(UUID id) {
        return fetch(PLAN.ID.eq(id)).stream().findFirst();
    }

    void drop(UUID draft) {
        db.deleteFrom(PLAN)
                .where(PLAN.ID.eq(draft).and(PLAN.ASSIGNED_AT.isNull()))
                .execute();
    }

    void remember(UUID plan, int revision, String reason, List<String> changes) {
        db.insertInto(PLAN_RELAID)
                .set(PLAN_RELAID.PLAN_ID, plan)
                .set(PLAN_RELAID.REVISION, (short) revision)
                .set(PLAN_RELAID.RELAID_AT, OffsetDateTime.now(clock))
                .set(PLAN_RELAID.REASON, reason)
                .set(PLAN_RELAID.CHANGES, json.writeValueAsString(changes))
                .execute();
    }

    List<Relaid> relaid(UUID plan) {
        return db.select(PLAN_RELAID, PLAN.STUDENT_ID)
                .from(PLAN_RELAID)
                .join(PLAN)
                .on(PLAN.ID.eq(PLAN_RELAID.PLAN_ID))
                .where(PLAN.ID.eq(plan))
                .orderBy(PLAN_RELAID.REVISION.desc())
                .fetch(row -> new Relaid(
                        today.dayOf(row.value1().getRelaidAt(), row.value2()),
                        row.value1().getReason(),
                        List.of(json.readValue(row.value1().getChanges(), String[].class))));
    }

    Optional<StoredPlan> ofLesson(UUID lesson) {
        return fetch(PLAN.LESSON_ID.eq(lesson)).stream().reduce((earlier, later) -> later);
    }

    private List<StoredPlan> fetch(Condition which) {
        return db.select(PLAN, PLAN_DOCUMENT, LESSON.PLAN_VERSION)
                .from(PLAN)
                .join(PLAN_DOCUMENT)
                .on(PLAN_DOCUMENT.PLAN_ID.eq(PLAN.ID))
                .join(STUDENT)
                .on(STUDENT.ID.eq(PLAN.STUDENT_ID))
                .join(LESSON)
                .on(LESSON.ID.eq(PLAN.LESSON_ID))
                .where(which)
                .orderBy(PLAN.ASSIGNED_AT.nullsLast(), PLAN.CREATED_AT)
                .fetch(row -> read(row.value1(), row.value2(), row.value3()));
    }

    private StoredPlan read(PlanRecord plan, PlanDocumentRecord document, int version) {
        PlanView view = json.readValue(document.getDocument(), PlanView.class);
        boolean assigned = plan.getAssignedAt() != null;
        return new StoredPlan(
                plan.getId(),
                plan.getStudentId(),
                plan.getLessonId(),
                plan.getFromDay(),
                plan.getNextLesson(),
                assigned,
                plan.getRevision(),
                version,
                document.getTerms() == null
                        ? PlanTerms.between(plan.getFromDay(), plan.getNextLesson())
                        : json.readValue(document.getTerms(), PlanTerms.class),
                List.of(),
                today.ofStudent(plan.getStudentId()),
                List.of(),
                assigned ? promised(document, view) : List.of(),
                view);
    }

    /** What was handed over before promises were kept is what it promised. */
    private List<PromisedGate> promised(PlanDocumentRecord document, PlanView view) {
        return document.getPromised() == null
                ? PromisedGate.of(view)
                : List.of(json.readValue(document.getPromised(), PromisedGate[].class));
    }

    /** What plans promised of a fault, of those students; what was handed over before promises were kept is left out. */
    List<Promise> promises(Whose whose, Fault fault) {
        return db.select(PLAN, PLAN_DOCUMENT.PROMISED)
                .from(PLAN)
                .join(PLAN_DOCUMENT)
                .on(PLAN_DOCUMENT.PLAN_ID.eq(PLAN.ID))
                .join(STUDENT)
                .on(STUDENT.ID.eq(PLAN.STUDENT_ID))
                .where(TaughtByCondition.of(whose))
                .and(PLAN.ASSIGNED_AT.isNotNull())
                .and(PLAN_DOCUMENT.PROMISED.contains("\"" + fault.id() + "\""))
                .orderBy(PLAN.ASSIGNED_AT)
                .fetch(row -> new Promise(
                        row.value1().getId(),
                        row.value1().getStudentId(),
                        row.value1().getLessonId(),
                        row.value1().getFromDay(),
                        Stream.of(json.readValue(row.value2(), PromisedGate[].class))
                                .filter(gate -> gate.fault().equals(fault.id()))
                                .toList()));
    }

    /** Replaces the lesson's draft, if it has one; assigned plans stay as they were. */
    UUID add(UUID student, UUID lesson, PlanTerms terms, PlanView plan) {
        db.deleteFrom(PLAN)
                .where(PLAN.LESSON_ID.eq(lesson).and(PLAN.ASSIGNED_AT.isNull()))
                .execute();
        UUID id = UUID.randomUUID();
        db.insertInto(PLAN)
                .set(PLAN.ID, id)
                .set(PLAN.STUDENT_ID, student)
                .set(PLAN.LESSON_ID, lesson)
                .set(PLAN.FROM_DAY, terms.from())
                .set(PLAN.NEXT_LESSON, terms.nextLesson())
                .set(PLAN.CREATED_AT, OffsetDateTime.now(clock))
                .execute();
        db.insertInto(PLAN_DOCUMENT)
                .set(PLAN_DOCUMENT.PLAN_ID, id)
                .set(PLAN_DOCUMENT.TERMS, json.writeValueAsString(terms))
                .set(PLAN_DOCUMENT.DOCUMENT, json.writeValueAsString(plan))
                .execute();
        return id;
    }

    /** The plan of this lesson that the student has. */
    Optional<StoredPlan> assignedOfLesson(UUID lesson) {
        return fetch(PLAN.LESSON_ID.eq(lesson).and(PLAN.ASSIGNED_AT.isNotNull())).stream()
                .reduce((earlier, later) -> later);
    }

    /** The running plan goes on by these terms and days. */
    void goOn(UUID running, PlanTerms terms, PlanView plan) {
        PlanRecord now = db.fetchSingle(PLAN, PLAN.ID.eq(running));
        Set<LocalDate> days = plan.days().stream().map(DayView::date).collect(Collectors.toSet());
        String[] givenUp = Stream.concat(
                        Stream.of(now.getGivenUp()).map(LocalDate::parse),
                        db.fetchValues(PLAN_DAY.PLANNED_FOR, PLAN_DAY.PLAN_ID.eq(running)).stream())
                .filter(d -> !days.contains(d))
                .distinct()
                .sorted()
                .map(LocalDate::toString)
                .toArray(String[]::new);
        LocalDate eased = now.getEasedOn() == null ? today.ofStudent(now.getStudentId()) : now.getEasedOn();
        db.update(PLAN)
                .set(PLAN.REVISION, PLAN.REVISION.plus(1))
                .set(PLAN.NEXT_LESSON, terms.nextLesson())
                .set(PLAN.GIVEN_UP, givenUp)
                .set(PLAN.EASED_ON, terms.smaller() ? eased : null)
                .where(PLAN.ID.eq(running))
                .execute();
        db.update(PLAN_DOCUMENT)
                .set(PLAN_DOCUMENT.TERMS, json.writeValueAsString(terms))
                .set(PLAN_DOCUMENT.DOCUMENT, json.writeValueAsString(plan))
                .where(PLAN_DOCUMENT.PLAN_ID.eq(running))
                .execute();
        setDays(running, plan);
    }

    /** What is handed over is what is promised from then on, whatever practice makes of it. */
    void promise(UUID plan, List<PromisedGate> promised) {
        db.update(PLAN_DOCUMENT)
                .set(PLAN_DOCUMENT.PROMISED, json.writeValueAsString(promised))
                .where(PLAN_DOCUMENT.PLAN_ID.eq(plan))
                .execute();
    }

    /** Days that stood in an earlier edition of a plan and no longer do. */
    List<LocalDate> givenUp(UUID plan) {
        return db.fetchSingle(PLAN, PLAN.ID.eq(plan))
                .map(row -> Stream.of(row.get(PLAN.GIVEN_UP)))
                .map(LocalDate::parse)
                .toList();
    }

    Optional<LocalDate> easedOn(UUID plan) {
        return db.select(PLAN.EASED_ON).from(PLAN).where(PLAN.ID.eq(plan)).fetchOptional(PLAN.EASED_ON);
    }

    void printed(UUID plan, LocalDate on, List<String> drills) {
        db.update(PLAN)
                .set(PLAN.PRINTED_ON, on)
                .set(PLAN.PRINTED_DRILLS, drills.toArray(String[]::new))
                .where(PLAN.ID.eq(plan))
                .execute();
    }

    Optional<Printed> printed(UUID plan) {
        return db.selectFrom(PLAN)
                .where(PLAN.ID.eq(plan).and(PLAN.PRINTED_ON.isNotNull()))
                .fetchOptional(row -> new Printed(row.getPrintedOn(), Set.of(row.getPrintedDrills())));
    }

    private void setDays(UUID plan, PlanView view) {
        db.deleteFrom(PLAN_DAY).where(PLAN_DAY.PLAN_ID.eq(plan)).execute();
        db.batchInsert(view.days().stream()
                        .filter(DayView::hasWork)
                        .map(day -> new PlanDayRecord(plan, day.date(), day.reps()))
                        .toList())
                .execute();
    }

    void assign(StoredPlan draft) {
        db.update(PLAN)
                .set(PLAN.ASSIGNED_AT, OffsetDateTime.now(clock))
                .where(PLAN.ID.eq(draft.id()).and(PLAN.ASSIGNED_AT.isNull()))
                .execute();
        db.update(STUDENT)
                .set(STUDENT.RUNNING_PLAN, draft.id())
                .where(STUDENT.ID.eq(draft.studentId()))
                .execute();
        setDays(draft.id(), draft.plan());
    }
}
