package app.hodegon.server.storage;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.springframework.stereotype.Component;

/** The connections to the store. */
@Component
public class Connections {

    private final DataSource store;

    Connections(DataSource store) {
        this.store = store;
    }

    /**
     * Throws away all connections of a database that closed itself, as it does when the disk is full: the next one
     * opens it again.
     *
     * @return whether the failure was of this kind
     */
    public boolean renewAfter(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException sql && BrokenStore.isBroken(sql)) {
                if (store instanceof HikariDataSource pool && pool.getHikariPoolMXBean() != null) {
                    pool.getHikariPoolMXBean().softEvictConnections();
                }
                return true;
            }
        }
        return false;
    }
}
