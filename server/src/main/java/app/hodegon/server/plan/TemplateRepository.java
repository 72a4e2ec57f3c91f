package app.hodegon.server.plan;

import static app.hodegon.server.db.Tables.ACCOUNT;
import static app.hodegon.server.db.Tables.PLAN_TEMPLATE;

import app.hodegon.server.plan.PlanTerms.EditsEntry;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.json.JsonMapper;

@Repository
class TemplateRepository {

    private final DSLContext db;
    private final Clock clock;
    private final JsonMapper json;

    TemplateRepository(DSLContext db, Clock clock, JsonMapper json) {
        this.db = db;
        this.clock = clock;
        this.json = json;
    }

    /** A coach's own, and those that others share. */
    List<StoredTemplate> ofCoach(UUID coach) {
        return fetch(coach, PLAN_TEMPLATE.COACH_ID.eq(coach).or(PLAN_TEMPLATE.SHARED));
    }

    int share(UUID coach, UUID id, boolean shared) {
        return db.update(PLAN_TEMPLATE)
                .set(PLAN_TEMPLATE.SHARED, shared)
                .where(PLAN_TEMPLATE.COACH_ID.eq(coach).and(PLAN_TEMPLATE.ID.eq(id)))
                .execute();
    }

    Optional<StoredTemplate> ofCoach(UUID coach, UUID id) {
        return fetch(
                        coach,
                        PLAN_TEMPLATE
                                .COACH_ID
                                .eq(coach)
                                .or(PLAN_TEMPLATE.SHARED)
                                .and(PLAN_TEMPLATE.ID.eq(id)))
                .stream()
                .findFirst();
    }

    private List<StoredTemplate> fetch(UUID coach, Condition which) {
        return db.select(PLAN_TEMPLATE, ACCOUNT.NAME)
                .from(PLAN_TEMPLATE)
                .join(ACCOUNT)
                .on(ACCOUNT.ID.eq(PLAN_TEMPLATE.COACH_ID))
                .where(which)
                .orderBy(PLAN_TEMPLATE.NAME)
                .fetch(row -> new StoredTemplate(
                        row.value1().getId(),
                        row.value1().getName(),
                        row.value1().getDays(),
                        json.readValue(row.value1().getEdits(), EditsEntry.class),
                        row.value1().getShared(),
                        row.value1().getCoachId().equals(coach) ? null : row.value2()));
    }

    UUID add(UUID coach, String name, int days, EditsEntry edits) {
        UUID id = UUID.randomUUID();
        db.insertInto(PLAN_TEMPLATE)
                .set(PLAN_TEMPLATE.ID, id)
                .set(PLAN_TEMPLATE.COACH_ID, coach)
                .set(PLAN_TEMPLATE.NAME, name)
                .set(PLAN_TEMPLATE.DAYS, (short) days)
                .set(PLAN_TEMPLATE.EDITS, json.writeValueAsString(edits))
                .set(PLAN_TEMPLATE.CREATED_AT, OffsetDateTime.now(clock))
                .execute();
        return id;
    }

    int delete(UUID coach, UUID id) {
        return db.deleteFrom(PLAN_TEMPLATE)
                .where(PLAN_TEMPLATE.COACH_ID.eq(coach).and(PLAN_TEMPLATE.ID.eq(id)))
                .execute();
    }
}
