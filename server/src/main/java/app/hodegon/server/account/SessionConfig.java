package app.hodegon.server.account;

import app.hodegon.server.storage.Connections;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionCallback;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

/** Sessions in the database, so that they outlive the server. */
@Configuration
class SessionConfig {

    private static final Logger LOG = LoggerFactory.getLogger(SessionConfig.class);

    /** That a session was used is written once a minute, not with every request; all else at once. */
    private static final String UPDATE = """
            update %TABLE_NAME%
            set session_id = ?1, last_access_time = ?2, max_inactive_interval = ?3, expiry_time = ?4, principal_name = ?5
            where primary_id = ?6 and (last_access_time < ?2 - 60000 or session_id <> ?1
                or max_inactive_interval <> ?3 or principal_name is distinct from ?5)""";

    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> sessionsAreTouchedOnceAMinute() {
        return sessions -> sessions.setUpdateSessionQuery(UPDATE);
    }

    /** Of their own: they do not wait for the disk as what a user stores does, and while it is full they stay as they are. */
    @Bean(defaultCandidate = false)
    TransactionOperations springSessionTransactionOperations(DataSource store, Connections connections) {
        TransactionTemplate transaction = new TransactionTemplate(new JdbcTransactionManager(store));
        transaction.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        return new TransactionOperations() {
            @Override
            public <T> T execute(TransactionCallback<T> action) {
                try {
                    return transaction.execute(action);
                } catch (DataAccessException | TransactionException failed) {
                    if (!connections.renewAfter(failed)) throw failed;
                }
                try {
                    return transaction.execute(action);
                } catch (DataAccessException | TransactionException full) {
                    LOG.warn(
                            "A session could not be written: {}",
                            full.getClass().getSimpleName());
                    return null;
                }
            }
        };
    }
}
