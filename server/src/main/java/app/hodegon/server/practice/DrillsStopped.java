package app.hodegon.server.practice;

import java.util.List;
import java.util.UUID;

/**
 * Pain stopped drills in a session that is not finished; told within the transaction that stores it.
 *
 * @param drills by id
 */
public record DrillsStopped(UUID student, UUID plan, List<String> drills) {}
