package app.etlo.server.evaluation;

import app.etlo.server.account.PracticeDay;
import app.etlo.server.account.Workspace;
import app.etlo.server.outbox.TaskData;
import app.etlo.server.weather.WeatherChanged;
import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerName;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;
import org.springframework.stereotype.Component;

/**
 * Recomputes fields after their weather changed, in the background: one task for each field, in a queue in the database that all
 * servers take from, one field at a time each, so that whoever edits a plan meanwhile keeps the machine.
 */
@Component
public class FieldRefresh {
    /** Practices lie in many time zones; each has its new day at another hour. */
    private static final Duration LOOKS_FOR_A_NEW_DAY = Duration.ofMinutes(10);

    /** A server that has been silent for so many is gone, and what it had taken is taken by another. */
    private static final int SILENT_HEARTBEATS = 4;

    /** When the server was too busy, or the database away. */
    private static final Duration AGAIN_AFTER = Duration.ofSeconds(15);

    private static final String FIELD = "field";
    private static final String PRACTICE = "practice";

    /** Fields of a practice are to be looked through. */
    record PracticeOn(long workspaceId, LocalDate asOf) {}

    record FieldOn(long workspaceId, String fieldId, LocalDate asOf) {}

    /**
     * How far it has come.
     *
     * @param waiting fields still to be recomputed
     * @param fields of the practice
     */
    record Progress(int waiting, int fields) {}

    private final FieldSummaries summaries;
    private final JdbcTemplate sql;
    private final Clock clock;
    private final PracticeDay day;
    private final Scheduler scheduler;
    private final OneTimeTask<PracticeOn> practice;
    private final OneTimeTask<FieldOn> field;

    FieldRefresh(
            FieldSummaries summaries,
            JdbcTemplate sql,
            Clock clock,
            PracticeDay day,
            DataSource database,
            @Value("${etlo.refresh.polling-interval}") Duration poll,
            @Value("${etlo.refresh.heartbeat}") Duration heartbeat) {
        this.summaries = summaries;
        this.sql = sql;
        this.clock = clock;
        this.day = day;
        String name = new SchedulerName.Hostname().getName() + " " + UUID.randomUUID();
        this.practice = Tasks.oneTime(PRACTICE, PracticeOn.class)
                .execute((instance, context) -> lookThrough(instance.getData()));
        this.field = Tasks.oneTime(FIELD, FieldOn.class)
                .onFailure(new FailureHandler.OnFailureRetryLater<>(AGAIN_AFTER))
                .execute((instance, context) -> {
                    FieldOn f = instance.getData();
                    Workspace.acting(f.workspaceId(), () -> {
                        summaries.refresh(f.fieldId(), f.asOf(), name);
                        return true;
                    });
                });
        RecurringTask<Void> newDay =
                Tasks.recurring("new-day", FixedDelay.of(LOOKS_FOR_A_NEW_DAY)).execute((instance, context) -> newDay());
        this.scheduler = Scheduler.create(new TransactionAwareDataSourceProxy(database), practice, field)
                .startTasks(newDay)
                .schedulerName(new SchedulerName.Fixed(name))
                .serializer(new TaskData())
                .tableName("refresh_tasks")
                .threads(1)
                .pollingInterval(poll)
                .heartbeatInterval(heartbeat)
                .missedHeartbeatsLimit(SILENT_HEARTBEATS)
                .pollUsingLockAndFetch(1, 4)
                .build();
    }

    @EventListener(ApplicationReadyEvent.class)
    public void start() {
        scheduler.start();
    }

    @PreDestroy
    public void stop() {
        scheduler.stop();
    }

    /** A row in the transaction at hand; the thousand rows of its fields are made in the background. */
    @EventListener
    void on(WeatherChanged changed) {
        schedule(changed.workspaceId(), day.of(changed.workspaceId()), "weather");
    }

    /** Has everything that is out of date recomputed, for a day. */
    void rest(long workspaceId, LocalDate asOf) {
        schedule(workspaceId, asOf, "reading");
    }

    private void newDay() {
        // the list of practices is behind no wall of its own
        sql.queryForList("select id from workspace", Long.class).forEach(w -> {
            LocalDate today = day.of(w);
            boolean begun = Workspace.acting(w, summaries::lastDay)
                    .filter(last -> last.isBefore(today))
                    .isPresent();
            if (begun) {
                schedule(w, today, "day");
            }
        });
    }

    /** The same cause twice before it is looked at is one; what comes while it is looked at is another. */
    private void schedule(long workspaceId, LocalDate asOf, String cause) {
        String id = workspaceId + "/" + asOf + "/" + cause + "/" + UUID.randomUUID();
        boolean waits = sql.queryForObject("""
                        select exists (select 1 from refresh_tasks
                          where task_name = ? and not picked and task_instance like ?)
                        """, Boolean.class, PRACTICE, workspaceId + "/" + asOf + "/" + cause + "/%");
        if (!waits) {
            scheduler.scheduleIfNotExists(practice.instance(id, new PracticeOn(workspaceId, asOf)), clock.instant());
        }
    }

    private void lookThrough(PracticeOn p) {
        List<String> stale = Workspace.acting(p.workspaceId(), () -> summaries.stale(p.asOf()));
        String prefix = p.workspaceId() + "/";
        List<String> waiting = sql.queryForList(
                "select split_part(task_instance, '/', 2) from refresh_tasks"
                        + " where task_name = ? and not picked and task_instance like ?",
                String.class,
                FIELD,
                prefix + "%");
        String cause = "/" + UUID.randomUUID();
        Stream<TaskInstance<?>> fields = stale.stream()
                .filter(f -> !waiting.contains(f))
                .map(f -> field.instance(prefix + f + cause, new FieldOn(p.workspaceId(), f, p.asOf())));
        scheduler.scheduleBatch(fields.toList(), clock.instant());
    }

    Progress progress(long workspaceId) {
        return new Progress(
                count("""
                        select count(*) from refresh_tasks
                        where task_name = 'field' and task_instance like ?
                        """, workspaceId + "/%"),
                count("select count(*) from field where workspace_id = ?", workspaceId));
    }

    private int count(String query, Object value) {
        Integer n = sql.queryForObject(query, Integer.class, value);
        return n == null ? 0 : n;
    }
}
