package app.hodegon.server.storage;

import com.zaxxer.hikari.SQLExceptionOverride;
import java.sql.SQLException;
import java.util.Set;

/**
 * Lets the pool throw away connections of a database that closed itself, as it does when the disk is full: the next
 * connection opens it again.
 */
public class BrokenStore implements SQLExceptionOverride {

    /** General error, database closed, object closed, file lost. */
    private static final Set<Integer> CODES = Set.of(50000, 90098, 90007, 90028, 90031);

    static boolean isBroken(SQLException failure) {
        return CODES.contains(failure.getErrorCode());
    }

    @java.lang.Override
    public Override adjudicate(SQLException failure) {
        return isBroken(failure) ? Override.MUST_EVICT : Override.CONTINUE_EVICT;
    }
}
