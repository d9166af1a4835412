package app.etlo.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.etlo.core.quantity.UnitSystem;
import app.etlo.server.ServerTest;
import app.etlo.server.limits.TooMany;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Strangers are slowed; the owner is never locked out. */
@ServerTest
class GuessingTest {
    @Autowired
    JdbcClient jdbc;

    @Autowired
    Accounts accounts;

    private final Hands hands = new Hands();
    private Guessing guessing;
    private Adviser owner;

    /** A clock that is moved by hand. */
    private static final class Hands extends Clock {
        private Instant now = Instant.parse("2027-03-01T08:00:00Z");

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }

        @Override
        public Instant instant() {
            return now;
        }

        void move(Duration by) {
            now = now.plus(by);
        }
    }

    @BeforeEach
    void account() {
        guessing = new Guessing(jdbc, hands);
        owner = accounts.open(
                "Guessed",
                java.time.ZoneOffset.UTC,
                UnitSystem.METRIC,
                UUID.randomUUID() + "@example.org",
                "correct horse");
    }

    private void fail(String address, int times) {
        for (int i = 0; i < times; i++) {
            guessing.begin(owner.email(), address, Optional.empty());
        }
    }

    private static String address(int i) {
        return "198.51.100." + i + "/" + UUID.randomUUID();
    }

    @Test
    void the_sixth_try_from_one_address_waits_until_the_first_is_a_quarter_of_an_hour_old() {
        String there = address(1);
        fail(there, 5);
        assertThatThrownBy(() -> fail(there, 1))
                .isInstanceOfSatisfying(
                        TooMany.class, e -> assertThat(e.seconds()).isEqualTo(15 * 60));
        hands.move(Duration.ofMinutes(16));
        fail(there, 1);
    }

    @Test
    void a_refused_try_does_not_prolong_the_wait() {
        String there = address(1);
        fail(there, 5);
        for (int i = 0; i < 20; i++) {
            hands.move(Duration.ofSeconds(44));
            assertThatThrownBy(() -> fail(there, 1)).isInstanceOf(TooMany.class);
        }
        hands.move(Duration.ofSeconds(21));
        fail(there, 1);
    }

    @Test
    void the_right_password_counts_nothing() {
        String there = address(1);
        for (int i = 0; i < 30; i++) {
            guessing.begin(owner.email(), there, Optional.empty()).wasRight();
        }
        fail(there, 5);
    }

    @Test
    void a_thousand_machines_lock_out_strangers_but_not_the_owners_own_browser() {
        String secret = guessing.remember(owner.id(), Optional.empty());
        for (int i = 0; i < 10; i++) {
            fail(address(i), 5);
        }
        assertThatThrownBy(() -> fail(address(99), 1)).isInstanceOf(TooMany.class);
        guessing.begin(owner.email(), address(99), Optional.of(secret)).wasRight();
    }

    @Test
    void one_machine_does_not_try_all_accounts() {
        String there = address(1);
        for (int i = 0; i < 60; i++) {
            guessing.begin("nobody-" + i + "@example.org", there, Optional.empty());
        }
        assertThatThrownBy(() -> guessing.begin("nobody-60@example.org", there, Optional.empty()))
                .isInstanceOf(TooMany.class);
    }

    @Test
    void a_stolen_or_made_up_browser_secret_is_slowed_too() {
        String secret = guessing.remember(owner.id(), Optional.empty());
        for (int i = 0; i < 10; i++) {
            guessing.begin(owner.email(), address(i), Optional.of(secret));
        }
        assertThatThrownBy(() -> guessing.begin(owner.email(), address(1), Optional.of(secret)))
                .isInstanceOf(TooMany.class);
        String there = address(2);
        for (int i = 0; i < 5; i++) {
            guessing.begin(owner.email(), there, Optional.of("made up " + i));
        }
        assertThatThrownBy(() -> guessing.begin(owner.email(), there, Optional.of("made up")))
                .isInstanceOf(TooMany.class);
    }

    @Test
    void many_tries_at_once_are_no_way_around() throws Exception {
        String there = address(3);
        ExecutorService pool = Executors.newFixedThreadPool(8);
        try {
            List<Callable<Boolean>> tries = java.util.stream.IntStream.range(0, 40)
                    .<Callable<Boolean>>mapToObj(i -> () -> {
                        try {
                            fail(there, 1);
                            return true;
                        } catch (TooMany e) {
                            return false;
                        }
                    })
                    .toList();
            long let = pool.invokeAll(tries).stream()
                    .filter(f -> {
                        try {
                            return f.get();
                        } catch (Exception e) {
                            throw new IllegalStateException(e);
                        }
                    })
                    .count();
            assertThat(let).isLessThanOrEqualTo(5);
        } finally {
            pool.shutdown();
        }
    }

    @Test
    void a_browser_keeps_its_secret_for_its_owner() {
        String first = guessing.remember(owner.id(), Optional.empty());
        assertThat(guessing.remember(owner.id(), Optional.of(first))).isEqualTo(first);
        Adviser other = accounts.open(
                "Other",
                java.time.ZoneOffset.UTC,
                UnitSystem.METRIC,
                UUID.randomUUID() + "@example.org",
                "correct horse");
        assertThat(guessing.remember(other.id(), Optional.of(first))).isNotEqualTo(first);
    }
}
