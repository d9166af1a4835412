package app.etlo.core.mix;

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

/**
 * The rhizobium of one group of legumes in a mix, for the seed that does not come inoculated.
 *
 * @param group its name
 * @param species that need it
 * @param amountG peat inoculant for the field, g; the packet's label rules
 */
public record Inoculant(String group, List<String> species, Figure amountG) {
    /** Peat on seed, by the label of most packets about 5 oz for 50 lb. */
    private static final double USUAL_G_PER_KG = 6.25;

    private static final Formula AMOUNT = Formula.of(
            "Peat inoculant",
            "seed * dose",
            Source.commonPractice("about 5 oz of peat inoculant for 50 lb of seed; the packet's label rules"),
            "seed",
            "dose");

    static List<Inoculant> of(String prefix, List<SeedRate> rates) {
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
                .map(g -> new Inoculant(
                        g.getKey(),
                        g.getValue().stream()
                                .map(r -> r.component().species().name())
                                .toList(),
                        amount(prefix, g.getKey(), g.getValue())))
                .toList();
    }

    private static Figure amount(String prefix, String group, List<SeedRate> rates) {
        double kg = rates.stream().mapToDouble(r -> r.seedKg().middle()).sum();
        return AMOUNT.figure(
                prefix + "/inoculant/" + group,
                "Inoculant, " + group + " group",
                Unit.GRAM,
                Input.of("seed", "Seed of the group", kg, Unit.KILOGRAM, Origin.DEFAULT, "computed"),
                Input.of("dose", "Inoculant on seed", USUAL_G_PER_KG, Unit.G_PER_KG, Origin.DEFAULT, "usual packet"));
    }
}
