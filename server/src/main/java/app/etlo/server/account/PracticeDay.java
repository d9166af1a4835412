package app.etlo.server.account;

import java.time.Clock;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * The day it is in a practice, by the time zone the practice is set to. What is computed once for everybody, such as the list of
 * fields, is computed for this day, whatever clock the browser of whoever looks goes by.
 */
@Component
public class PracticeDay {
    private final JdbcClient jdbc;
    private final Clock clock;
    private final Optional<LocalDate> always;

    /**
     * @param always a day that it always is, for tests and demonstrations; empty otherwise
     */
    PracticeDay(JdbcClient jdbc, Clock clock, @Value("${etlo.day}") String always) {
        this.jdbc = jdbc;
        this.clock = clock;
        this.always = always.isBlank() ? Optional.empty() : Optional.of(LocalDate.parse(always));
    }

    public LocalDate of(long workspaceId) {
        return always.orElseGet(() -> LocalDate.now(clock.withZone(zone(workspaceId))));
    }

    /** The time zone of a practice; UTC for one that is no more. */
    public ZoneId zone(long workspaceId) {
        return jdbc.sql("select zone from workspace where id = ?")
                .param(workspaceId)
                .query(String.class)
                .optional()
                .flatMap(PracticeDay::read)
                .orElse(ZoneId.of("UTC"));
    }

    public void setZone(long workspaceId, ZoneId zone) {
        jdbc.sql("update workspace set zone = ? where id = ?")
                .params(zone.getId(), workspaceId)
                .update();
    }

    /** The time zone of a name such as Europe/London; nothing when there is none of that name. */
    public static Optional<ZoneId> read(String name) {
        try {
            return Optional.of(ZoneId.of(name));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }
}
