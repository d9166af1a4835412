package app.etlo.server.outbox;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import java.time.Instant;
import java.util.UUID;
import org.springframework.context.annotation.Lazy;
import org.springframework.stereotype.Service;

/** Where emails wait. Posting one is a row in the transaction at hand; no page waits for its delivery. */
@Service
public class Outbox {
    private final SchedulerClient scheduler;
    private final OneTimeTask<Email> delivery;

    Outbox(@Lazy SchedulerClient scheduler, OneTimeTask<Email> delivery) {
        this.scheduler = scheduler;
        this.delivery = delivery;
    }

    public void post(Email email) {
        scheduler.scheduleIfNotExists(delivery.instance(UUID.randomUUID().toString(), email), Instant.now());
    }
}
