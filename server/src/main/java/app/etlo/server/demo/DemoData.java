package app.etlo.server.demo;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.document.PlanReader;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.server.account.Accounts;
import app.etlo.server.account.Adviser;
import app.etlo.server.account.Workspace;
import app.etlo.server.evaluation.DossierImport;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Comparator;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;

/** A made-up valley, and a farm on the other half of the earth. Loaded once, through the same import that every dossier takes. */
@Component
@ConditionalOnExpression("'${ETLO_DEMO_PASSWORD:}' != ''")
class DemoData implements ApplicationRunner {
    private static final String EMAIL = "demo@etlo.example";

    private final Accounts accounts;
    private final DossierImport imports;
    private final PlanReader reader;
    private final Knowledge knowledge;
    private final Clock clock;
    private final String password;

    DemoData(
            Accounts accounts,
            DossierImport imports,
            PlanReader reader,
            Knowledge knowledge,
            Clock clock,
            @Value("${ETLO_DEMO_PASSWORD}") String password) {
        this.accounts = accounts;
        this.imports = imports;
        this.reader = reader;
        this.knowledge = knowledge;
        this.clock = clock;
        this.password = password;
    }

    @Override
    public void run(ApplicationArguments args) throws IOException {
        if (accounts.exists(EMAIL)) {
            return;
        }
        Resource[] files = new PathMatchingResourcePatternResolver().getResources("classpath:demo/*.json");
        Arrays.sort(files, Comparator.comparing(Resource::getFilename));
        int year = LocalDate.now(clock).getYear();
        Adviser adviser =
                accounts.open("Ferrin Valley Advice", ZoneId.systemDefault(), UnitSystem.METRIC, EMAIL, password);
        for (Resource file : files) {
            String text = shifted(file.getContentAsString(StandardCharsets.UTF_8), year);
            Dossier dossier = Dossier.read(text, reader, knowledge);
            Workspace.acting(adviser.workspaceId(), () -> {
                imports.take(dossier, DossierImport.Existing.ASK, EMAIL);
                return true;
            });
        }
    }

    /** The demo's years are written Y-1, Y0, Y+1 and Y+2 around this one, so that it never ages. */
    static String shifted(String text, int year) {
        return text.replace("Y-1-", year - 1 + "-")
                .replace("Y0-", year + "-")
                .replace("Y+1-", year + 1 + "-")
                .replace("Y+2-", year + 2 + "-");
    }
}
