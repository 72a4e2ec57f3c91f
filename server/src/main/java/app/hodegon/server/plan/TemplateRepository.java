package app.hodegon.server.plan;

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

    List<StoredTemplate> ofCoach(UUID coach) {
        return fetch(PLAN_TEMPLATE.COACH_ID.eq(coach));
    }

    Optional<StoredTemplate> ofCoach(UUID coach, UUID id) {
        return fetch(PLAN_TEMPLATE.COACH_ID.eq(coach).and(PLAN_TEMPLATE.ID.eq(id))).stream()
                .findFirst();
    }

    private List<StoredTemplate> fetch(Condition which) {
        return db.selectFrom(PLAN_TEMPLATE)
                .where(which)
                .orderBy(PLAN_TEMPLATE.NAME)
                .fetch(row -> new StoredTemplate(
                        row.getId(), row.getName(), row.getDays(), json.readValue(row.getEdits(), EditsEntry.class)));
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
