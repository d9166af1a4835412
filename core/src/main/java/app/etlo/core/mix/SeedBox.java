package app.etlo.core.mix;

import app.etlo.core.knowledge.Species;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.ArrayList;
import java.util.List;

/**
 * One box of the drill. Seed of mixed size separates in a box, so large and small seed go into boxes of their own.
 *
 * @param id large or small
 * @param rateKgHa what the box must deliver
 * @param catchG what a catch test must weigh, all outlets of the width together
 */
public record SeedBox(String id, List<String> species, Figure rateKgHa, Figure catchG) {
    /** Seed lighter than this goes into the small box: clovers, millets, phacelia, brassicas. Etlo's own limit. */
    private static final double SMALL_BELOW_G_PER_1000 = 15;

    private static final Formula CATCH = Formula.of(
            "Catch test target",
            "rate * width * distance / 10000 * 1000",
            Source.identity("10,000 m2 are a hectare, 1,000 g a kilogram"),
            "rate",
            "width",
            "distance");

    static List<SeedBox> split(String prefix, List<SeedRate> rates, Sowing sowing) {
        List<SeedBox> boxes = new ArrayList<>();
        List<String> zones =
                rates.stream().map(r -> r.component().zone().id()).distinct().toList();
        for (String zone : zones) {
            for (boolean small : new boolean[] {false, true}) {
                List<SeedRate> inBox = rates.stream()
                        .filter(r -> r.component().zone().id().equals(zone))
                        .filter(r -> isSmall(r.component().species()) == small)
                        .toList();
                if (!inBox.isEmpty()) {
                    String size = small ? "small" : "large";
                    boxes.add(box(prefix, zone.equals(SownZone.WHOLE) ? size : zone + "-" + size, inBox, sowing));
                }
            }
        }
        return List.copyOf(boxes);
    }

    static boolean isSmall(Species species) {
        return species.thousandSeedMassG() < SMALL_BELOW_G_PER_1000;
    }

    /** What the box is called on the drill. */
    public String name() {
        return name(id);
    }

    private static String name(String id) {
        String size = id.endsWith("small") ? "Small box" : "Large box";
        return size + (id.startsWith(SownZone.ROW) ? ", row zones" : id.startsWith(SownZone.MIDDLE) ? ", middles" : "");
    }

    private static SeedBox box(String prefix, String id, List<SeedRate> rates, Sowing sowing) {
        String name = name(id);
        Figure rate = Blend.sum(
                prefix + "/box/" + id + "/rate",
                name + " rate",
                Unit.KG_PER_HA,
                rates.stream().map(SeedRate::bulkKgHa).toList());
        Origin origin = sowing.catchTyped() ? Origin.ENTERED : Origin.DEFAULT;
        Figure catchG = CATCH.figure(
                prefix + "/box/" + id + "/catch",
                "Catch target, " + name.toLowerCase(java.util.Locale.ROOT),
                Unit.GRAM,
                Input.figure("rate", rate),
                Input.of("width", "Working width", sowing.widthM(), Unit.METRE, origin, "catch test"),
                Input.of("distance", "Distance driven", sowing.distanceM(), Unit.METRE, origin, "catch test"));
        return new SeedBox(
                id, rates.stream().map(r -> r.component().species().id()).toList(), rate, catchG);
    }
}
