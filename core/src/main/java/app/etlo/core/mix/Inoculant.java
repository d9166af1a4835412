package app.etlo.core.mix;

import app.etlo.core.mix.Sowing.InoculantUse;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The rhizobium of one group of legumes in a mix, for the seed that does not come inoculated.
 *
 * @param group its name
 * @param species that need it
 * @param amountG inoculant for the field, g; the packet's label rules
 * @param cost where its price is said
 * @param use what is said of it
 */
public record Inoculant(
        String group, List<String> species, Figure amountG, Optional<Figure> cost, Optional<InoculantUse> use) {
    /** Peat on seed, by the label of most packets about 5 oz for 50 lb. */
    private static final double USUAL_G_PER_KG = 6.25;

    private static final Formula AMOUNT = Formula.of(
            "Inoculant",
            "seed * dose",
            Source.commonPractice("about 5 oz of peat inoculant for 50 lb of seed; the packet's label rules"),
            "seed",
            "dose");
    private static final Formula COST = Formula.of(
            "Cost of the inoculant", "amount / 1000 * price", Source.identity("a product"), "amount", "price");

    static List<Inoculant> of(String prefix, List<SeedRate> rates, Sowing sowing) {
        Map<String, List<SeedRate>> groups = new LinkedHashMap<>();
        for (SeedRate r : rates) {
            boolean has = r.component().lot().map(SeedLot::inoculated).orElse(false);
            r.component()
                    .species()
                    .inoculant()
                    .filter(g -> !has)
                    .ifPresent(g ->
                            groups.computeIfAbsent(g, k -> new ArrayList<>()).add(r));
        }
        return groups.entrySet().stream()
                .map(g -> of(
                        prefix + "/inoculant/" + g.getKey(),
                        g.getKey(),
                        g.getValue(),
                        Optional.ofNullable(sowing.inoculants().get(g.getKey()))))
                .toList();
    }

    private static Inoculant of(String id, String group, List<SeedRate> rates, Optional<InoculantUse> use) {
        double kg = rates.stream().mapToDouble(r -> r.seedKg().middle()).sum();
        Optional<Double> dose = use.flatMap(InoculantUse::doseGKg);
        Figure amount = AMOUNT.figure(
                id,
                "Inoculant, " + group + " group",
                Unit.GRAM,
                Input.of("seed", "Seed of the group", kg, Unit.KILOGRAM, Origin.DEFAULT, "computed"),
                Input.of(
                        "dose",
                        "Inoculant on seed",
                        dose.orElse(USUAL_G_PER_KG),
                        Unit.G_PER_KG,
                        dose.isPresent() ? Origin.ENTERED : Origin.DEFAULT,
                        dose.isPresent() ? "typed from the packet" : "usual packet"));
        return new Inoculant(
                group,
                rates.stream().map(r -> r.component().species().name()).toList(),
                amount,
                use.flatMap(InoculantUse::pricePerKg)
                        .map(p -> COST.figure(
                                id + "/cost",
                                "Cost of the inoculant, " + group + " group",
                                Unit.MONEY,
                                Input.figure("amount", amount),
                                Input.of("price", "Price", p, Unit.MONEY_PER_KG, Origin.ENTERED, "typed"))),
                use);
    }
}
