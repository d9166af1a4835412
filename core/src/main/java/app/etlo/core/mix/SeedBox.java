package app.etlo.core.mix;

import app.etlo.core.knowledge.Species;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * One box of the drill. Seed of mixed size separates in a box, so large and small seed go into boxes of their own.
 *
 * @param id large or small
 * @param rateKgHa what the box must deliver
 * @param zone it serves, and {@code small} whether it is the box for small seed
 * @param species largest seed first, the order in which they are put in and stirred
 * @param densityKgL of the seed in it
 * @param fills of the box for the field, where its size is typed
 * @param catchG what a catch test must weigh, all outlets of the width together
 */
public record SeedBox(
        String id,
        String zone,
        boolean small,
        List<String> species,
        Figure rateKgHa,
        Figure catchG,
        Figure densityKgL,
        Optional<Figure> fills)
        implements Figured {
    /** Seed lighter than this goes into the small box: clovers, millets, phacelia, brassicas. Etlo's own limit. */
    private static final double SMALL_BELOW_G_PER_1000 = 15;

    /** A pound per US bushel of 2150.42 cubic inches, in kg per litre. */
    private static final double KG_L_PER_LB_BU = 0.45359237 / (2150.42 * 0.016387064);

    private static final Formula DENSITY =
            Formula.of("Bulk density", "mass / volume", Source.identity("mass over volume"), "mass", "volume");
    private static final Formula FILLS = Formula.of(
            "Fills of the box",
            "mass / density / size",
            Source.identity("volume over volume"),
            "mass",
            "density",
            "size");
    private static final Formula CATCH = Formula.of(
            "Catch test target",
            "rate * width * distance / 10000 * 1000",
            Source.identity("10,000 m2 are a hectare, 1,000 g a kilogram"),
            "rate",
            "width",
            "distance");

    @Override
    public List<Figure> figures() {
        List<Figure> all = new ArrayList<>(List.of(rateKgHa, catchG, densityKgL));
        all.addAll(Figured.present(fills));
        return all;
    }

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
                    String id = zone.equals(SownZone.WHOLE) ? size : zone + "-" + size;
                    boxes.add(box(prefix, id, zone, small, inBox, sowing));
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
        return name(zone, small);
    }

    private static String name(String zone, boolean small) {
        String size = small ? "Small box" : "Large box";
        return size + (zone.equals(SownZone.ROW) ? ", row zones" : zone.equals(SownZone.MIDDLE) ? ", middles" : "");
    }

    private static SeedBox box(
            String prefix, String id, String zone, boolean small, List<SeedRate> rates, Sowing sowing) {
        String name = name(zone, small);
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
        Figure density = density(prefix, id, name, rates);
        return new SeedBox(
                id,
                zone,
                small,
                rates.stream()
                        .map(r -> r.component().species())
                        .sorted(Comparator.comparingDouble(Species::thousandSeedMassG)
                                .reversed())
                        .map(Species::id)
                        .toList(),
                rate,
                catchG,
                density,
                fills(prefix + "/box/" + id, name, rates, density, small ? sowing.smallBoxL() : sowing.largeBoxL()));
    }

    /** The mass of all over the volume of each by its test weight: seeds of mixed size pack closer, so the truth is a little more. */
    private static Figure density(String prefix, String id, String name, List<SeedRate> rates) {
        double kg = 0;
        double litres = 0;
        for (SeedRate r : rates) {
            double mass = r.seedKg().middle();
            kg += mass;
            litres += mass / (r.component().species().testWeightLbBu() * KG_L_PER_LB_BU);
        }
        return DENSITY.figure(
                prefix + "/box/" + id + "/density",
                "Bulk density, " + name.toLowerCase(java.util.Locale.ROOT),
                Unit.KG_PER_L,
                Input.of("mass", "Seed in it for the field", kg, Unit.KILOGRAM, Origin.DEFAULT, "computed"),
                Input.of(
                        "volume", "Its volume by test weights", litres, Unit.LITRE, Origin.LIBRARY, "species library"));
    }

    private static Optional<Figure> fills(
            String at, String name, List<SeedRate> rates, Figure density, Optional<Double> size) {
        double kg = rates.stream().mapToDouble(r -> r.seedKg().middle()).sum();
        return size.filter(l -> l > 0)
                .map(l -> FILLS.figure(
                        at + "/fills",
                        "Fills for the field, " + name.toLowerCase(java.util.Locale.ROOT),
                        Unit.COUNT,
                        Input.of("mass", "Seed in it for the field", kg, Unit.KILOGRAM, Origin.DEFAULT, "computed"),
                        Input.figure("density", density),
                        Input.of("size", "Size of the box", l, Unit.LITRE, Origin.ENTERED, "sowing")));
    }
}
