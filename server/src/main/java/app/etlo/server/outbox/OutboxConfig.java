package app.etlo.server.outbox;

import com.github.kagkarlsson.scheduler.boot.config.DbSchedulerCustomizer;
import com.github.kagkarlsson.scheduler.serializer.Serializer;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.mail.javamail.JavaMailSender;

@Configuration
class OutboxConfig {
    /** With tries ever further apart this is about a day. */
    private static final int MOST_TRIES = 20;

    /** A mail server where one is named, else the printed stand-in. */
    @Bean
    Carrier carrier(
            ObjectProvider<JavaMailSender> sender,
            @Value("${spring.mail.host}") String host,
            @Value("${etlo.outbox.from}") String from,
            @Value("${etlo.outbox.file}") Path file) {
        return host.isBlank() ? new PrintedCarrier(file) : new MailCarrier(sender.getObject(), from);
    }

    /** Tasks are kept as JSON. */
    @Bean
    DbSchedulerCustomizer tasksAsJson() {
        return new DbSchedulerCustomizer() {
            @Override
            public Optional<Serializer> serializer() {
                return Optional.of(new TaskData());
            }
        };
    }

    @Bean
    OneTimeTask<Email> delivery(Carrier carrier, @Value("${etlo.outbox.retry}") Duration retry) {
        return Tasks.oneTime("letter", Email.class)
                .onFailure(new FailureHandler.MaxRetriesFailureHandler<>(
                        MOST_TRIES, new FailureHandler.ExponentialBackoffFailureHandler<>(retry)))
                .execute((instance, context) -> carrier.deliver(instance.getData()));
    }
}
