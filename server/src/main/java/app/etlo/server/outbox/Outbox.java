package app.etlo.server.outbox;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import java.time.Instant;
import java.util.UUID;
import org.springframework.context.annotation.Lazy;
import org.springframework.stereotype.Service;

/** Where letters wait. Posting one is a row in the transaction at hand; no page waits for its delivery. */
@Service
public class Outbox {
    private final SchedulerClient scheduler;
    private final OneTimeTask<Letter> delivery;

    Outbox(@Lazy SchedulerClient scheduler, OneTimeTask<Letter> delivery) {
        this.scheduler = scheduler;
        this.delivery = delivery;
    }

    public void post(Letter letter) {
        scheduler.scheduleIfNotExists(delivery.instance(UUID.randomUUID().toString(), letter), Instant.now());
    }
}
