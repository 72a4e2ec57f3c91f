package app.hodegon.server.storage;

import java.util.Collection;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.Field;
import org.jooq.impl.DSL;

/**
 * "One of these": many are written into the statement, because the database looks constants up in a set but compares
 * parameters one by one with every row.
 */
public final class AmongCondition {

    /** Up to here a statement with parameters, parsed once, is the quicker. */
    private static final int FEW = 16;

    private AmongCondition() {}

    public static Condition among(Field<UUID> field, Collection<UUID> ids) {
        return ids.size() <= FEW
                ? field.in(ids)
                : field.in(ids.stream().map(DSL::inline).toList());
    }
}
