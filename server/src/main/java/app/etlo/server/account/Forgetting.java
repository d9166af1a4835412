package app.etlo.server.account;

import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Clears away what no longer counts: links past their time, failed tries of yesterday, browsers unseen for a year. */
@Configuration
class Forgetting {
    private static final Duration EVERY = Duration.ofHours(1);

    @Bean
    RecurringTask<Void> forget(JdbcClient jdbc, Clock clock) {
        return Tasks.recurring("forget", FixedDelay.of(EVERY)).execute((instance, context) -> {
            Instant now = clock.instant();
            clear(jdbc, "delete from password_reset where expires_at < ?", now);
            clear(jdbc, "delete from invitation where expires_at < ?", now);
            clear(jdbc, "delete from failed_sign_in where at < ?", now.minus(Duration.ofDays(1)));
            clear(jdbc, "delete from known_browser where seen_at < ?", now.minus(Duration.ofDays(365)));
        });
    }

    private static void clear(JdbcClient jdbc, String sql, Instant before) {
        jdbc.sql(sql).param(Timestamp.from(before)).update();
    }
}
