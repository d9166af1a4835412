package app.etlo.server.evaluation;

import app.etlo.core.plan.Dossier;
import app.etlo.core.plan.Refused;
import app.etlo.server.farm.FarmStore;
import app.etlo.server.plan.PlanStore;
import app.etlo.server.seed.SeedStore;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes a dossier into a practice, all or nothing. What the practice already has by the same id is kept as it is; a plan
 * that is there gets a revision more, so that the import can be undone.
 */
@Service
@Transactional
public class DossierImport {
    private final FarmStore farms;
    private final SeedStore seed;
    private final PlanStore plans;

    DossierImport(FarmStore farms, SeedStore seed, PlanStore plans) {
        this.farms = farms;
        this.seed = seed;
        this.plans = plans;
    }

    public void take(Dossier dossier, String author) {
        var context = dossier.context();
        if (farms.findFarm(context.farm().id()).isEmpty()) {
            farms.put(context.farm());
        }
        if (farms.findField(context.field().id()).isEmpty()) {
            farms.put(context.field());
        }
        context.lots().stream().filter(l -> !seed.holds(l.id())).forEach(seed::put);
        var plan = dossier.plan();
        if (!plans.holds(plan.id())) {
            if (farms.findField(plan.fieldId()).isEmpty()) {
                throw new Refused("/plan/fieldId", "the plan names a field that the file does not hold");
            }
            plans.create(plan, author);
        } else {
            plans.save(plan, plans.get(plan.id()).revision(), UUID.randomUUID().toString(), author);
        }
    }
}
