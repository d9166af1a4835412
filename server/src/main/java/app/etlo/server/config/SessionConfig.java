package app.etlo.server.config;

import javax.sql.DataSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

/** Sessions are kept in PostgreSQL, so that any server can answer for any of them. */
@Configuration
class SessionConfig {
    /**
     * Writes what has changed of a session; its last use alone only every five minutes, or every call would be a write. A session
     * lasts for days, so that it ends five minutes early is nothing.
     */
    private static final String UPDATE = """
            UPDATE %TABLE_NAME% s
            SET SESSION_ID = n.session_id, LAST_ACCESS_TIME = n.last_access, MAX_INACTIVE_INTERVAL = n.inactive,
                EXPIRY_TIME = n.expiry, PRINCIPAL_NAME = n.principal
            FROM (VALUES (?::text, ?::bigint, ?::int, ?::bigint, ?::text, ?::text))
              AS n(session_id, last_access, inactive, expiry, principal, primary_id)
            WHERE s.PRIMARY_ID = n.primary_id
              AND (n.last_access - s.LAST_ACCESS_TIME >= 300000
                OR (s.SESSION_ID, s.MAX_INACTIVE_INTERVAL, s.PRINCIPAL_NAME)
                  IS DISTINCT FROM (n.session_id, n.inactive, n.principal))
            """;

    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> lastUseNowAndThen() {
        return sessions -> sessions.setUpdateSessionQuery(UPDATE);
    }

    /**
     * Sessions read and write in plain JDBC transactions: one of Hibernate's would ask for the workspace, which is known only
     * once the session is read.
     */
    @Bean
    TransactionOperations springSessionTransactionOperations(DataSource dataSource) {
        TransactionTemplate template = new TransactionTemplate(new JdbcTransactionManager(dataSource));
        template.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        return template;
    }
}
