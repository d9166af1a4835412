package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.etlo.testkit.Postgres;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;

/** The second lock: past Hibernate, PostgreSQL itself shows a connection only the rows of the workspace it names. */
@ServerTest
class RowLockTest {
    @Autowired
    MockMvc mvc;

    @Autowired
    JdbcClient jdbc;

    private long mine;
    private long other;

    @BeforeEach
    void two_practices() {
        mine = practice();
        other = practice();
    }

    private long practice() {
        Browser b = Browser.ofNewPractice(mvc);
        Samples.into(b);
        return jdbc.sql("select workspace_id from adviser where email = ?")
                .param(b.email())
                .query(Long.class)
                .single();
    }

    private static Connection connect() throws SQLException {
        Postgres pg = Postgres.shared();
        return DriverManager.getConnection(pg.jdbcUrl(), pg.user(), pg.password());
    }

    private static long count(Statement s, String sql) throws SQLException {
        try (ResultSet r = s.executeQuery(sql)) {
            r.next();
            return r.getLong(1);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"farm", "field", "seed_lot", "plan", "plan_revision", "document_revision"})
    void rows_are_seen_only_by_the_workspace_named(String table) throws SQLException {
        try (Connection c = connect();
                Statement s = c.createStatement()) {
            assertThat(count(s, "select count(*) from " + table)).isZero();
            s.execute("select set_config('etlo.workspace', '" + mine + "', false)");
            assertThat(count(s, "select count(*) from " + table)).isPositive();
            assertThat(count(s, "select count(*) from " + table + " where workspace_id <> " + mine))
                    .isZero();
            assertThat(s.executeUpdate(
                            "update " + table + " set workspace_id = workspace_id where workspace_id = " + other))
                    .isZero();
        }
    }

    @Test
    void no_row_is_written_into_another_workspace() throws SQLException {
        try (Connection c = connect();
                Statement s = c.createStatement()) {
            s.execute("select set_config('etlo.workspace', '" + mine + "', false)");
            assertThatThrownBy(() -> s.execute("insert into farm (workspace_id, ref, version, document) values ("
                            + other + ", 'sneaked', 0, '{}')"))
                    .isInstanceOf(SQLException.class)
                    .hasMessageContaining("row-level security");
        }
    }

    /** Every table that names a workspace has the lock, but for those that are read before anybody is signed in. */
    @Test
    void every_table_of_a_workspace_has_the_lock() {
        assertThat(jdbc.sql("select c.relname from pg_class c join pg_attribute a on a.attrelid = c.oid"
                                + " where a.attname = 'workspace_id' and c.relkind = 'r' and not c.relforcerowsecurity")
                        .query(String.class)
                        .list())
                .containsExactlyInAnyOrder("adviser", "invitation");
    }
}
