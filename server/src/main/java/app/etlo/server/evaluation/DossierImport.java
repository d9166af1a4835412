package app.etlo.server.evaluation;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.DifferenceWords;
import app.etlo.core.plan.Dossier;
import app.etlo.core.plan.Json;
import app.etlo.core.plan.Refused;
import app.etlo.server.farm.FarmStore;
import app.etlo.server.knowledge.Corrections;
import app.etlo.server.plan.PlanStore;
import app.etlo.server.seed.SeedStore;
import app.etlo.server.weather.WeatherStore;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes a dossier into a practice, all or nothing. What the practice already has by the same id is kept as it is, and what
 * differs is told; a plan that is there gets a revision more, so that the import can be undone; a plan for a field that has
 * another one already becomes a copy beside it.
 */
@Service
@Transactional
public class DossierImport {
    private static final String LABEL = "from a file";

    private final FarmStore farms;
    private final SeedStore seed;
    private final PlanStore plans;
    private final Knowledge knowledge;
    private final WeatherStore weather;
    private final Corrections corrections;

    DossierImport(
            FarmStore farms,
            SeedStore seed,
            PlanStore plans,
            Knowledge knowledge,
            WeatherStore weather,
            Corrections corrections) {
        this.corrections = corrections;
        this.weather = weather;
        this.farms = farms;
        this.seed = seed;
        this.plans = plans;
        this.knowledge = knowledge;
    }

    /**
     * @return what the practice has otherwise than the file, in words
     */
    public List<String> take(Dossier dossier, String author) {
        List<String> kept = new ArrayList<>();
        var context = dossier.context();
        var farm = farms.findFarm(context.farm().id());
        if (farm.isPresent()) {
            kept.addAll(differing("farm " + farm.get().name(), context.farm(), farm.get()));
        } else {
            farms.put(Optional.empty(), context.farm(), author);
        }
        var field = farms.findField(context.field().id());
        if (field.isPresent()) {
            kept.addAll(differing("field " + field.get().name(), context.field(), field.get()));
        } else {
            farms.put(Optional.empty(), context.field(), author);
        }
        for (var lot : context.lots()) {
            var present = seed.find(lot.id());
            if (present.isPresent()) {
                kept.addAll(differing("seed lot " + present.get().label(), lot, present.get()));
            } else {
                seed.put(Optional.empty(), lot, author);
            }
        }
        context.weather().filter(w -> weather.find(w.id()).isEmpty()).ifPresent(weather::put);
        // the library is the whole practice's: a file must not change it for other plans
        context.corrections().stream()
                .filter(c -> !corrections.all().contains(c))
                .forEach(c -> kept.add("library, " + c.species() + " " + c.column() + ": " + c.value()
                        + " in the file, not taken over"));
        var plan = dossier.plan();
        if (plans.holds(plan.id())) {
            plans.replace(plan, author);
        } else if (farms.findField(plan.fieldId()).isEmpty()) {
            throw new Refused("/plan/fieldId", "the plan names a field that the file does not hold");
        } else {
            plans.create(plan, author, LABEL);
        }
        return kept;
    }

    private List<String> differing(String what, Object inFile, Object here) {
        return new DifferenceWords(knowledge, "")
                .between(Json.tree(Json.write(inFile)), Json.tree(Json.write(here))).stream()
                        .map(words -> what + ", " + words)
                        .toList();
    }
}
