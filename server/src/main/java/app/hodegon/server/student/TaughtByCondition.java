package app.hodegon.server.student;

import static app.hodegon.server.db.Tables.STUDENT;
import static org.jooq.impl.DSL.noCondition;

import java.util.Set;
import java.util.UUID;
import org.jooq.Condition;

/** Which students a coach teaches, for queries over all of them. */
public final class TaughtByCondition {

    private TaughtByCondition() {}

    /** A coach's own students, or all. */
    public static Condition of(Whose whose) {
        return whose.coach().map(STUDENT.COACH_ID::eq).orElse(noCondition());
    }

    /** Own students and those stood in for; without the latter, a condition that an index serves. */
    public static Condition of(UUID coach, Set<UUID> standingInFor) {
        Condition own = STUDENT.COACH_ID.eq(coach);
        return standingInFor.isEmpty() ? own : own.or(STUDENT.ID.in(standingInFor));
    }
}
