package app.etlo.core.plan.timeline;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.mix.Component;
import app.etlo.core.mix.SeedLot;
import app.etlo.core.mix.Sowing;
import app.etlo.core.mix.SownZone;
import app.etlo.core.plan.document.Context;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.plan.document.Context.LotEntry.PartEntry;
import app.etlo.core.plan.document.LotSeed;
import app.etlo.core.plan.document.PlanDocument.BagEntry;
import app.etlo.core.plan.document.PlanDocument.MixEntry;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The species of a ready-made bag as species of the mix, each with its part of the bag's rate; those that top it up beside them. */
final class BagParts {
    private static final double OF_A_BAG = 1e-6;

    private final Knowledge knowledge;
    private final Context context;
    private final Sowing sowing;

    BagParts(Knowledge knowledge, Context context, Sowing sowing) {
        this.knowledge = knowledge;
        this.context = context;
        this.sowing = sowing;
    }

    /**
     * @param topUps species that are named beside the bag; one that is in the bag too is sown as much more of it
     */
    List<Component> with(String prefix, MixEntry mix, List<Component> topUps) {
        Optional<LotEntry> bag = mix.bag()
                .flatMap(b -> context.lots().stream()
                        .filter(l -> l.id().equals(b.lotId()) && l.holdsSeveral())
                        .findFirst());
        if (bag.isEmpty()) {
            return topUps;
        }
        List<Component> all = new ArrayList<>();
        double pure = bag.get().parts().orElseThrow().stream()
                .mapToDouble(PartEntry::percent)
                .sum();
        Optional<Quantity> perKg = perKg(bag.get(), mix.bag().orElseThrow());
        for (PartEntry p : bag.get().parts().orElseThrow()) {
            SeedLot lot = LotSeed.part(bag.get(), p, perKg);
            double kgHa = mix.bag().orElseThrow().rate().in(Unit.KG_PER_HA) * p.percent() / 100 * lot.liveOnTag();
            Optional<Component> more = topUps.stream()
                    .filter(c -> c.species().id().equals(p.species()))
                    .findFirst();
            double added = more.map(c -> plsKgHa(c)).orElse(0.0);
            all.add(new Component(
                    knowledge.species().get(p.species()),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.of(new Quantity(pure > 0 ? kgHa + added : 0, Unit.KG_PER_HA)),
                    Optional.of(lot),
                    SownZone.whole(prefix)));
        }
        Stream<Component> others = topUps.stream()
                .filter(c -> all.stream()
                        .noneMatch(a -> a.species().id().equals(c.species().id())));
        return Stream.concat(all.stream(), others).toList();
    }

    private double plsKgHa(Component c) {
        return c.rate()
                .map(r -> r.in(Unit.KG_PER_HA))
                .or(() -> c.seeds()
                        .map(n -> n.in(Unit.PER_M2)
                                * 1e4
                                / c.species().seedsPerKg().middle()))
                .orElseGet(() -> c.share().orElse(0.0)
                        * sowing.sownFor().fullRateKgHa(c.species()).middle());
    }

    /** What a kilogram of the bag costs once bags are bought whole; empty where it has no price. */
    private Optional<Quantity> perKg(LotEntry bag, BagEntry entry) {
        double kg = entry.rate().in(Unit.KG_PER_HA)
                * sowing.method().rateFactor()
                * sowing.lateness()
                * sowing.seedbed()
                * sowing.purpose()
                * sowing.areaHa()
                * (1 + sowing.waste());
        double whole = bag.bagSize()
                .map(b -> b.in(Unit.KILOGRAM))
                .filter(b -> b > 0)
                .map(b -> Math.ceil(kg / b - OF_A_BAG) * b)
                .orElse(kg);
        return kg <= 0
                ? Optional.empty()
                : LotSeed.of(bag)
                        .price()
                        .map(p -> new Quantity(p.in(Unit.MONEY_PER_KG) * whole / kg, Unit.MONEY_PER_KG));
    }
}
