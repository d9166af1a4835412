package app.etlo.core.mix;

import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A mix worked out: the rate of every species, both shares side by side, boxes and cost.
 *
 * @param weightShares share of the seed weight, %, in the order of the rates
 * @param seedShares share of the live seeds, %, in the order of the rates
 * @param cost only when every species has a priced lot
 */
public record Blend(
        List<SeedRate> rates,
        List<Figure> weightShares,
        List<Figure> seedShares,
        Figure bulkKgHa,
        Figure seedsM2,
        Figure seedKg,
        List<SeedBox> boxes,
        List<Inoculant> inoculants,
        Optional<Figure> cost,
        Optional<Figure> costPerHa)
        implements Figured {
    private static final Formula SHARE =
            Formula.of("Share of the whole", "part / whole * 100", Source.identity("a share"), "part", "whole");
    private static final Formula COST_PER_HA =
            Formula.of("Seed cost per area", "cost / area", Source.identity("a quotient"), "cost", "area");

    /**
     * Works out a mix. Components without a positive rate are left out.
     *
     * @param prefix of the figures' ids, {@code mix/<cover>}
     */
    public static Optional<Blend> of(String prefix, List<Component> components, Sowing sowing) {
        List<SeedRate> rates = components.stream()
                .filter(Blend::hasRate)
                .map(c -> SeedRate.of(prefix, c, sowing))
                .toList();
        return rates.isEmpty() ? Optional.empty() : Optional.of(worked(prefix, rates, sowing));
    }

    private static boolean hasRate(Component c) {
        boolean live = c.lot().map(l -> l.purity() * l.liveOnTag() > 0).orElse(true);
        boolean wanted =
                c.seeds().or(c::rate).map(q -> q.value() > 0).orElse(c.share().orElse(0.0) > 0);
        boolean room = c.zone().share().middle() > 0;
        return live && wanted && room;
    }

    private static Blend worked(String prefix, List<SeedRate> rates, Sowing sowing) {
        Figure bulk = sum(prefix + "/bulk", "Seed of the mix", Unit.KG_PER_HA, each(rates, SeedRate::fieldKgHa));
        Figure seeds =
                sum(prefix + "/seeds", "Live seeds of the mix", Unit.PER_M2, each(rates, SeedRate::fieldSeedsM2));
        Figure seedKg = sum(prefix + "/seed", "Seed to have", Unit.KILOGRAM, each(rates, SeedRate::seedKg));
        List<Figure> costs = rates.stream().flatMap(r -> r.cost().stream()).toList();
        Optional<Figure> cost = costs.size() == rates.size()
                ? Optional.of(sum(prefix + "/cost", "Seed cost", Unit.MONEY, costs))
                : Optional.empty();
        Optional<Figure> costPerHa = cost.map(c -> COST_PER_HA.figure(
                prefix + "/costPerHa",
                "Seed cost per area",
                Unit.MONEY_PER_HA,
                Input.figure("cost", c),
                sowing.area()));
        List<Figure> byWeight = new ArrayList<>();
        List<Figure> bySeeds = new ArrayList<>();
        for (SeedRate r : rates) {
            String id = prefix + "/" + r.component().species().id() + "/";
            byWeight.add(share(id + "weightShare", "Share of the weight", r.fieldKgHa(), bulk));
            bySeeds.add(share(id + "seedShare", "Share of the seeds", r.fieldSeedsM2(), seeds));
        }
        return new Blend(
                rates,
                byWeight,
                bySeeds,
                bulk,
                seeds,
                seedKg,
                SeedBox.split(prefix, rates, sowing),
                Inoculant.of(prefix, rates, sowing),
                cost,
                costPerHa);
    }

    @Override
    public List<Figure> figures() {
        List<Figure> all = new ArrayList<>();
        rates.forEach(r -> all.addAll(r.figures()));
        all.addAll(weightShares);
        all.addAll(seedShares);
        boxes.forEach(b -> all.addAll(b.figures()));
        inoculants.forEach(i -> {
            all.add(i.amountG());
            i.cost().ifPresent(all::add);
        });
        all.addAll(List.of(bulkKgHa, seedsM2, seedKg));
        all.addAll(Figured.present(cost, costPerHa));
        return all;
    }

    private static Figure share(String id, String label, Figure part, Figure whole) {
        return SHARE.figure(id, label, Unit.PERCENT, Input.figure("part", part), Input.figure("whole", whole));
    }

    private static List<Figure> each(List<SeedRate> rates, java.util.function.Function<SeedRate, Figure> which) {
        return rates.stream().map(which).toList();
    }

    static Figure sum(String id, String label, Unit unit, List<Figure> parts) {
        List<Input> inputs = new ArrayList<>();
        for (Figure p : parts) {
            inputs.add(Input.figure("s" + (inputs.size() + 1), p, unit));
        }
        return Formula.sum(label, parts.size()).figure(id, label, unit, inputs);
    }
}
