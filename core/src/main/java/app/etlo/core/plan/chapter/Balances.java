package app.etlo.core.plan.chapter;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.Removal;
import app.etlo.core.nitrogen.Nutrient;
import app.etlo.core.nitrogen.NutrientBalance;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanLookup;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.GrainYield;
import app.etlo.core.working.Figure;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** P, K and S by balance over the crops of a plan. */
final class Balances {
    private final PlanInTime plan;
    private final Map<Nutrient, Figure> running = new EnumMap<>(Nutrient.class);

    private Balances(PlanInTime plan) {
        this.plan = plan;
    }

    /** By crop; none for a crop without a yield goal, or of which no figure is held. */
    static Map<String, List<NutrientBalance>> of(PlanInTime plan) {
        Balances b = new Balances(plan);
        Map<String, List<NutrientBalance>> found = new LinkedHashMap<>();
        plan.crops().forEach(c -> found.put(c.id(), b.crop(c)));
        return found;
    }

    private List<NutrientBalance> crop(CropInTime c) {
        Optional<Removal> removal = plan.knowledge().removals().find(c.crop().id());
        Optional<Double> yield =
                c.yieldGoal().flatMap(q -> GrainYield.asMass(q, c.crop())).map(q -> q.in(Unit.T_PER_HA));
        if (removal.isEmpty() || yield.isEmpty()) {
            return List.of();
        }
        List<NutrientBalance> found = new ArrayList<>();
        for (Nutrient n : Nutrient.values()) {
            NutrientBalance b = NutrientBalance.of(
                    "feed/" + c.id(),
                    n,
                    removal.get(),
                    yield.get(),
                    removal.get().straw().isPresent() ? strawTHa(c, yield.get()) : 0,
                    given(c),
                    Optional.ofNullable(running.get(n)));
            running.put(n, b.running());
            found.add(b);
        }
        return found;
    }

    /** Baled of what lies behind the header, dry. */
    private double strawTHa(CropInTime c, double yieldTHa) {
        double share = new PlanLookup(plan.plan())
                        .all(Operation.Harvest.class)
                        .filter(o -> o.subject().filter(c.id()::equals).isPresent())
                        .findFirst()
                        .flatMap(Operation.Harvest::strawTakenPercent)
                        .orElse(0.0)
                / 100;
        Crop crop = c.crop();
        return crop.harvestIndex()
                .map(hi -> yieldTHa * (1 - crop.grainMoisture()) * (1 - hi) / hi * share)
                .orElse(0.0);
    }

    /** What is brought to the crop, and to a cover that stands ahead of it. */
    private List<NutrientBalance.Given> given(CropInTime c) {
        Set<String> covers = plan.covers().stream()
                .filter(v -> v.next().filter(n -> n.id().equals(c.id())).isPresent())
                .map(CoverInTime::id)
                .collect(Collectors.toSet());
        return plan.timeline().feedings().stream()
                .filter(f -> f.subject().equals(c.id()) || covers.contains(f.subject()))
                .map(f -> new NutrientBalance.Given(
                        f.product(),
                        f.nitrogenKgHa() / (f.product().nShare() * f.product().availableShare())))
                .toList();
    }
}
