package app.etlo.core.plan.chapter;

import app.etlo.core.advice.Situation.MixUse;
import app.etlo.core.advice.Situation.Rhizobia;
import app.etlo.core.advice.Situation.SeedFertiliser;
import app.etlo.core.knowledge.Caution;
import app.etlo.core.knowledge.SowingMethod;
import app.etlo.core.mix.MixPlace;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument.CheckEntry;
import app.etlo.core.plan.document.PlanDocument.CoverEntry;
import app.etlo.core.plan.document.PlanLookup;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.quantity.Unit;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** How a cover's mix is meant: whether stock eats it, and what of it would harm them. */
public final class MixUses {
    private MixUses() {}

    /** Plants of single species as they were counted last. */
    static Map<String, Double> countedM2(CoverEntry cover) {
        Map<String, Double> counted = new LinkedHashMap<>();
        cover.checks().orElse(List.of()).stream()
                .sorted(Comparator.comparing(CheckEntry::on))
                .forEach(c -> c.species().ifPresent(s -> c.plants().ifPresent(p -> counted.put(s, p.in(Unit.PER_M2)))));
        return counted;
    }

    /**
     * @param fertiliser placed with the seed
     */
    static MixUse of(
            PlanInTime plan, CoverInTime cover, Optional<SeedFertiliser> fertiliser, Map<String, String> grownLegumes) {
        FieldEntry field = plan.context().field();
        SowingMethod method = cover.sowing().method();
        boolean grazed = new PlanLookup(plan.plan())
                .first(Operation.Graze.class, cover.id())
                .isPresent();
        boolean fed = cover.entry().aims().orElse(List.of()).contains("feed-stock")
                || grazed
                || cover.end().filter(e -> e.method().grazes()).isPresent();
        Optional<String> stock = Stream.concat(
                        field.livestock().filter(t -> !t.isBlank()).stream(),
                        new PlanLookup(plan.plan())
                                .all(Operation.Graze.class)
                                .filter(o ->
                                        o.subject().filter(cover.id()::equals).isPresent())
                                .flatMap(o -> o.stock().map(Operation.StockEntry::kind).stream()))
                .reduce((a, b) -> a + ", " + b);
        Map<String, List<Caution>> cautions = new LinkedHashMap<>();
        cover.components()
                .forEach(c -> cautions.put(
                        c.species().id(),
                        c.species().use().cautions().stream()
                                .map(id -> plan.knowledge().cautions().get(id))
                                .filter(k -> k.animals().stream()
                                        .anyMatch(a -> stock.map(t -> MixPlace.keeps(t, a))
                                                .orElse(MixPlace.ANIMALS.contains(a))))
                                .toList()));
        return new MixUse(
                cover.entry().aims().orElse(List.of()),
                fed,
                stock.isPresent(),
                cautions,
                cover.sowing().purpose(),
                cover.sowing().sownFor().id(),
                field.programmes().orElse(List.of()).stream()
                        .map(FieldEntry.Programme::name)
                        .toList(),
                method.onSurface(),
                new PlanLookup(plan.plan())
                        .sow(cover.id())
                        .flatMap(Operation.Sow::depth)
                        .map(d -> d.in(Unit.CENTIMETRE)),
                method.flown(),
                method.rateFactor(),
                cover.standing(),
                fertiliser,
                new Rhizobia(cover.sowing().inoculants(), grownLegumes),
                !method.id().equals(SowingMethod.BY_HAND)
                        && new PlanLookup(plan.plan())
                                .sow(cover.id())
                                .flatMap(Operation.Sow::soaked)
                                .orElse(false));
    }
}
