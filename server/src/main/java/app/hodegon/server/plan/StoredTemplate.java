package app.hodegon.server.plan;

import app.hodegon.server.plan.PlanTerms.EditsEntry;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;

/**
 * A plan kept as a starting point.
 *
 * @param days from the first day to the next lesson
 * @param shared whether the other coaches of the house can begin from it
 * @param coach who shares it; null for an own one
 * @param edits a drill for every rung of its route, and the rungs it left out; nothing that belongs to a date
 */
public record StoredTemplate(
        @NotNull UUID id,
        @NotNull String name,
        @NotNull int days,
        @NotNull EditsEntry edits,
        @NotNull boolean shared,
        String coach) {}
