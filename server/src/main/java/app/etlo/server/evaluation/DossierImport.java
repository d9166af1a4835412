package app.etlo.server.evaluation;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.shown.DifferenceWords;
import app.etlo.server.farm.FarmStore;
import app.etlo.server.knowledge.Corrections;
import app.etlo.server.log.FieldLogs;
import app.etlo.server.plan.PlanStore;
import app.etlo.server.seed.SeedStore;
import app.etlo.server.weather.WeatherStore;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes a dossier into a practice, all or nothing. What the practice already has by the same id is kept as it is, and what
 * differs is reported. A plan that is there already, and otherwise, is only touched when that was asked for: it gets one revision more, so
 * that the import can be undone, or the file's plan becomes a copy beside it. A plan for a field that has another one becomes a copy too.
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
    private final FieldLogs logs;

    DossierImport(
            FarmStore farms,
            SeedStore seed,
            PlanStore plans,
            Knowledge knowledge,
            WeatherStore weather,
            Corrections corrections,
            FieldLogs logs) {
        this.logs = logs;
        this.corrections = corrections;
        this.weather = weather;
        this.farms = farms;
        this.seed = seed;
        this.plans = plans;
        this.knowledge = knowledge;
    }

    /** What becomes of a plan that is here already, and otherwise. */
    public enum Existing {
        ASK,
        REPLACE,
        COPY
    }

    /**
     * @param planId under which the plan is here now
     * @param kept what the practice has otherwise than the file, in words
     */
    public record Taken(String planId, List<String> kept) {}

    /**
     * Takes a dossier in.
     *
     * @throws PlanIsHere when its plan is here already, differs, and nobody has chosen
     */
    public Taken take(Dossier dossier, Existing existing, String author) {
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
        context.log().forEach(entry -> logs.add(context.field().id(), entry));
        context.weather().filter(w -> weather.find(w.id()).isEmpty()).ifPresent(weather::put);
        // the library is the whole practice's: a file must not change it for other plans
        context.corrections().stream()
                .filter(c -> !corrections.all().contains(c))
                .forEach(c -> kept.add("library, " + c.species() + " " + c.column() + ": " + c.value()
                        + " in the file, not taken over"));
        var plan = dossier.plan();
        if (plans.holds(plan.id())) {
            return new Taken(known(plan, existing, author), kept);
        } else if (farms.findField(plan.fieldId()).isEmpty()) {
            throw new Refused("/plan/fieldId", "the plan names a field that the file does not hold");
        } else {
            plans.create(plan, author, LABEL);
        }
        return new Taken(plan.id(), kept);
    }

    private String known(PlanDocument plan, Existing existing, String author) {
        PlanDocument here = plans.at(plan.id()).plan();
        if (existing == Existing.COPY) {
            PlanDocument copy = new PlanDocument(
                    plan.schemaVersion(),
                    "plan-" + UUID.randomUUID(),
                    here.fieldId(),
                    plan.name(),
                    plan.crops(),
                    plan.covers(),
                    plan.operations(),
                    plan.answers());
            plans.create(copy, author, LABEL);
            return copy.id();
        }
        if (existing == Existing.ASK && !Json.write(here).equals(Json.write(plan))) {
            throw new PlanIsHere(new DifferenceWords(knowledge, "")
                    .between(Json.tree(Json.write(here)), Json.tree(Json.write(plan))));
        }
        plans.replace(plan, author);
        return plan.id();
    }

    private List<String> differing(String what, Object inFile, Object here) {
        return new DifferenceWords(knowledge, "")
                .between(Json.tree(Json.write(inFile)), Json.tree(Json.write(here))).stream()
                        .map(words -> what + ", " + words)
                        .toList();
    }
}
