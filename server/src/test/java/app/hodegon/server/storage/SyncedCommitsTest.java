package app.hodegon.server.storage;

import static org.mockito.Mockito.lenient;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.InOrder;
import org.mockito.Mock;
import org.mockito.Mockito;
import org.mockito.junit.jupiter.MockitoExtension;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** A commit is on the disk before its caller goes on. */
@ExtendWith(MockitoExtension.class)
class SyncedCommitsTest {

    @Mock
    private DataSource dataSource;

    @Mock
    private Connection connection;

    @Mock
    private Statement statement;

    private TransactionTemplate transaction;

    @BeforeEach
    void setUp() throws SQLException {
        when(dataSource.getConnection()).thenReturn(connection);
        lenient().when(connection.createStatement()).thenReturn(statement);
        JdbcTransactionManager manager = new JdbcTransactionManager(dataSource);
        manager.addListener(new SyncedCommits(dataSource));
        transaction = new TransactionTemplate(manager);
    }

    @Test
    void syncsAfterTheCommit() throws SQLException {
        transaction.executeWithoutResult(status -> {});
        InOrder order = Mockito.inOrder(connection, statement);
        order.verify(connection).commit();
        order.verify(statement).execute("checkpoint sync");
    }

    @Test
    void hasNothingToSyncAfterARollback() throws SQLException {
        transaction.executeWithoutResult(status -> status.setRollbackOnly());
        verify(connection).rollback();
        verify(statement, never()).execute("checkpoint sync");
    }
}
