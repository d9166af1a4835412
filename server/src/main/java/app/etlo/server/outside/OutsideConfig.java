package app.etlo.server.outside;

import app.etlo.server.account.Workspace;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Questions to services outside, taken by whichever server comes to them. */
@Configuration
class OutsideConfig {
    @Bean
    OneTimeTask<Asking> asking(Outside outside) {
        return Tasks.oneTime("ask-outside", Asking.class).execute((instance, context) -> {
            Asking question = instance.getData();
            Workspace.acting(question.workspaceId(), () -> {
                outside.ask(question);
                return true;
            });
        });
    }
}
