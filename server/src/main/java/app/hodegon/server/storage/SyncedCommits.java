package app.hodegon.server.storage;

import javax.sql.DataSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionExecution;
import org.springframework.transaction.TransactionExecutionListener;

/**
 * Forces every commit to the disk before the caller, and so the user, hears that it was stored. The database alone
 * hands a commit to the operating system: enough to survive a killed process, not a power cut.
 */
@Component
class SyncedCommits implements TransactionExecutionListener {

    private final JdbcTemplate jdbc;

    SyncedCommits(DataSource dataSource) {
        this.jdbc = new JdbcTemplate(dataSource);
    }

    @Override
    public void afterCommit(TransactionExecution transaction, Throwable failure) {
        if (failure == null && !transaction.isReadOnly()) jdbc.execute("checkpoint sync");
    }
}
