package app.etlo.server.account;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.jdbc.datasource.DelegatingDataSource;
import org.springframework.stereotype.Component;

/**
 * The second lock of the wall: names the workspace on every connection that is handed out. PostgreSQL's row-level security
 * shows and takes only rows of that one, should a query ever be made past Hibernate.
 */
@Component
class WorkspaceLock implements BeanPostProcessor {
    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof DataSource source ? new Locked(source) : bean;
    }

    private static final class Locked extends DelegatingDataSource {
        Locked(DataSource source) {
            super(source);
        }

        @Override
        public Connection getConnection() throws SQLException {
            // first of all: finding out who is signed in may need a connection of its own
            String workspace = String.valueOf(Workspace.current());
            Connection connection = super.getConnection();
            try (PreparedStatement naming =
                    connection.prepareStatement("select set_config('etlo.workspace', ?, false)")) {
                naming.setString(1, workspace);
                naming.execute();
                return connection;
            } catch (SQLException e) {
                connection.close();
                throw e;
            }
        }
    }
}
