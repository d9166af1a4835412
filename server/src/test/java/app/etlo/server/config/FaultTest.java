package app.etlo.server.config;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.server.limits.TooMany;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a failure means for whoever asked. SQLSTATE codes as in the PostgreSQL manual, appendix A. */
class FaultTest {
    @ParameterizedTest
    @CsvSource({
        "53100, 507", // disk_full
        "08006, 503", // connection_failure
        "57P01, 503", // admin_shutdown
        "57P03, 503", // cannot_connect_now
        "53300, 503", // too_many_connections
        "58030, 503", // io_error
        "42601, 500", // syntax_error
    })
    void a_database_error_deep_inside_is_told_by_its_state(String state, int status) {
        Fault fault = Fault.of(new IllegalStateException(new RuntimeException(new SQLException("secret", state))));
        assertThat(fault.status().value()).isEqualTo(status);
        assertThat(fault.detail()).doesNotContain("secret").contains("kept on this page");
        assertThat(fault.retryAfterSeconds().isPresent()).isEqualTo(status != 500);
    }

    @Test
    void no_connection_to_be_had_is_a_database_that_is_away() {
        assertThat(Fault.of(new SQLTransientConnectionException("pool"))
                        .status()
                        .value())
                .isEqualTo(503);
    }

    @Test
    void a_connection_that_broke_in_the_hand_is_a_database_that_is_away() {
        Fault fault = Fault.of(new IllegalStateException(new SQLException("Connection is closed")));
        assertThat(fault.status().value()).isEqualTo(503);
        assertThat(fault.retryAfterSeconds()).isPresent();
    }

    @ParameterizedTest
    @ValueSource(strings = {"23505", "40P01", "40001"})
    void two_at_the_same_moment_are_a_conflict_that_may_be_tried_again(String state) {
        Fault fault = Fault.of(new IllegalStateException(new SQLException("secret", state)));
        assertThat(fault.status().value()).isEqualTo(409);
        assertThat(fault.retryAfterSeconds()).isPresent();
        assertThat(fault.detail()).doesNotContain("secret");
    }

    @Test
    void too_often_says_when_to_come_back() {
        Fault fault = Fault.of(new TooMany(300));
        assertThat(fault.status().value()).isEqualTo(429);
        assertThat(fault.retryAfterSeconds()).isEqualTo(Optional.of(300L));
        assertThat(fault.detail()).contains("5 minutes");
        assertThat(Fault.of(new TooMany(20)).detail()).contains("20 s");
    }
}
