package app.etlo.core.mix;

import app.etlo.core.knowledge.Species;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Figured;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What one species of the mix weighs, counts and costs.
 *
 * @param full pure live seed of its full single-species rate, drilled, for what the cover is sown for
 * @param pls pure live seed on the tag, %
 * @param germinates of the bag, what comes up this season, %
 * @param plsKgHa pure live seed of the blend before adjustments, kg/ha
 * @param bulkKgHa what goes into the box, kg/ha
 * @param seedsM2 live seeds by the tag, hard seed included, per m2
 * @param seedsNowM2 seeds that germinate this season, per m2
 * @param comesUpM2 plants expected where nothing fails, per m2 of the zone it is sown to
 * @param seedKg seed for the sown area with waste, kg
 * @param fieldKgHa bulk rate over the whole sown area, where the species is sown to a zone of it
 * @param fieldSeedsM2 live seeds over the whole sown area
 */
public record SeedRate(
        Component component,
        FullRate full,
        Figure pls,
        Figure germinates,
        Figure plsKgHa,
        Figure bulkKgHa,
        Figure seedsM2,
        Figure seedsNowM2,
        Figure comesUpM2,
        Figure seedKg,
        Figure fieldKgHa,
        Figure fieldSeedsM2,
        Optional<Figure> bags,
        Optional<Figure> cost,
        Optional<Figure> costPerHa)
        implements Figured {
    private static final Source ARITHMETIC = Source.commonPractice(
            "seeding arithmetic of cover crop handbooks: rate = full rate x share x factors / PLS");
    private static final Formula BY_SHARE =
            Formula.of("Blend by share of the full rate", "full * share", ARITHMETIC, "full", "share");
    private static final Formula BY_DENSITY = Formula.of(
            "Blend by seeds per area",
            "seeds * 10000 / count",
            Source.identity("10,000 m2 are a hectare"),
            "seeds",
            "count");
    private static final Formula BULK = Formula.of(
            "Bulk seeding rate",
            "pls_rate * method * lateness * seedbed * purpose / (pls / 100)",
            ARITHMETIC,
            "pls_rate",
            "method",
            "lateness",
            "seedbed",
            "purpose",
            "pls");
    private static final Formula SEEDS = Formula.of(
            "Live seeds per area",
            "bulk * pls / 100 * count / 10000",
            Source.identity("10,000 m2 are a hectare"),
            "bulk",
            "pls",
            "count");
    /**
     * Share of live seeds of a drilled cover that become plants, %; Etlo's own round share until counts are kept. The factors of
     * method and seedbed make up for what is lost beyond that.
     */
    public static final double EMERGES_PERCENT = 75;

    private static final Formula COMES_UP = Formula.of(
            "Plants that come up",
            "now * emerges / 100 / (method * seedbed)",
            Source.own("a round share of drilled seed; the factors of method and seedbed make up for further losses"),
            "now",
            "emerges",
            "method",
            "seedbed");
    private static final Formula SEED = Formula.of(
            "Seed for the sown area", "bulk * area * (1 + waste / 100)", ARITHMETIC, "bulk", "area", "waste");
    private static final Formula ZONE_SEED = Formula.of(
            "Seed for the zone",
            "bulk * area * zone / 100 * (1 + waste / 100)",
            ARITHMETIC,
            "bulk",
            "area",
            "zone",
            "waste");
    private static final Formula OVER_FIELD = Formula.of(
            "Over the whole area", "there * zone / 100", Source.identity("a mean over the area"), "there", "zone");
    private static final Formula BY_RECIPE =
            Formula.of("Rate of a local recipe", "recipe", Source.own("the recipe as the adviser typed it"), "recipe");
    private static final Formula BAGS = Formula.of(
            "Whole bags", "ceil(seed / bag - 0.000001)", Source.identity("bags are sold whole"), "seed", "bag");
    private static final Formula COST_BY_BAG =
            Formula.of("Seed cost, whole bags", "bags * bag * price", ARITHMETIC, "bags", "bag", "price");
    private static final Formula COST_BY_MASS = Formula.of("Seed cost", "seed * price", ARITHMETIC, "seed", "price");
    private static final Formula COST_PER_HA =
            Formula.of("Seed cost per area", "cost / area", ARITHMETIC, "cost", "area");

    /**
     * @param kgHa low to high
     */
    public record FullRate(Band kgHa, Source source) {}

    /** Pure live seed over the full rate of its purpose, whichever way the mix is entered. */
    public double shareOfFull() {
        return plsKgHa.middle() / full.kgHa().middle();
    }

    /** Works out one species. */
    static SeedRate of(String prefix, Component c, Sowing sowing) {
        String id = prefix + "/" + c.species().id() + "/";
        Figure pls = PureLiveSeed.onTag(id + "pls", c.lot());
        Figure now = PureLiveSeed.thisSeason(id + "germinates", c.lot());
        Figure plsRate = plsRate(id, c, sowing);
        Figure bulk = BULK.figure(
                id + "bulk",
                "Bulk rate, " + c.species().name(),
                Unit.KG_PER_HA,
                Input.figure("pls_rate", plsRate),
                factor(
                        "method",
                        "Sowing method: " + sowing.method().name(),
                        sowing.method().rateFactor(),
                        Origin.LIBRARY),
                factor("lateness", "Lateness", sowing.lateness(), origin(sowing.lateness())),
                factor("seedbed", "Seedbed", sowing.seedbed(), origin(sowing.seedbed())),
                factor("purpose", "Factor for a mulch", sowing.purpose(), origin(sowing.purpose())),
                Input.figure("pls", pls));
        Input count = count(c);
        Figure seeds = SEEDS.figure(
                id + "seeds",
                "Live seeds, " + c.species().name(),
                Unit.PER_M2,
                Input.figure("bulk", bulk),
                Input.figure("pls", pls),
                count);
        Figure seedsNow = SEEDS.figure(
                id + "seedsNow",
                "Seeds that germinate this season, " + c.species().name(),
                Unit.PER_M2,
                Input.figure("bulk", bulk),
                Input.figure("pls", now),
                count);
        Figure comesUp = COMES_UP.figure(
                id + "comesUp",
                "Plants that come up, " + c.species().name(),
                Unit.PER_M2,
                Input.figure("now", seedsNow),
                Input.of(
                        "emerges",
                        "Live seeds that become plants",
                        EMERGES_PERCENT,
                        Unit.PERCENT,
                        Origin.DEFAULT,
                        "a round share of drilled seed"),
                factor(
                        "method",
                        "Sowing method: " + sowing.method().name(),
                        sowing.method().rateFactor(),
                        Origin.LIBRARY),
                factor("seedbed", "Seedbed", sowing.seedbed(), origin(sowing.seedbed())));
        Input waste = Input.of(
                "waste",
                "Waste",
                sowing.waste() * 100,
                Unit.PERCENT,
                sowing.wasteTyped() ? Origin.ENTERED : Origin.DEFAULT,
                sowing.wasteTyped() ? "mix" : "common practice");
        String seedLabel = "Seed to have, " + c.species().name();
        Input zone = Input.figure("zone", c.zone().share());
        Figure seed = c.zone().isWhole()
                ? SEED.figure(id + "seed", seedLabel, Unit.KILOGRAM, Input.figure("bulk", bulk), sowing.area(), waste)
                : ZONE_SEED.figure(
                        id + "seed", seedLabel, Unit.KILOGRAM, Input.figure("bulk", bulk), sowing.area(), zone, waste);
        Figure fieldKgHa = c.zone().isWhole()
                ? bulk
                : OVER_FIELD.figure(
                        id + "fieldBulk",
                        "Bulk rate over the area, " + c.species().name(),
                        Unit.KG_PER_HA,
                        Input.figure("there", bulk),
                        zone);
        Figure fieldSeeds = c.zone().isWhole()
                ? seeds
                : OVER_FIELD.figure(
                        id + "fieldSeeds",
                        "Live seeds over the area, " + c.species().name(),
                        Unit.PER_M2,
                        Input.figure("there", seeds),
                        zone);
        Optional<Figure> bags = c.lot()
                .flatMap(SeedLot::bagSize)
                .map(size -> BAGS.figure(
                        id + "bags",
                        "Bags, " + c.species().name(),
                        Unit.BAGS,
                        Input.figure("seed", seed),
                        bag(c.lot().orElseThrow())));
        Optional<Figure> cost = c.lot().flatMap(SeedLot::price).map(price -> {
            Input priceKg = Input.of(
                    "price",
                    "Price",
                    price.in(Unit.MONEY_PER_KG),
                    Unit.MONEY_PER_KG,
                    Origin.ENTERED,
                    "lot " + c.lot().orElseThrow().label());
            String label = "Seed cost, " + c.species().name();
            return bags.map(b -> COST_BY_BAG.figure(
                            id + "cost",
                            label,
                            Unit.MONEY,
                            Input.figure("bags", b),
                            bag(c.lot().orElseThrow()),
                            priceKg))
                    .orElseGet(() ->
                            COST_BY_MASS.figure(id + "cost", label, Unit.MONEY, Input.figure("seed", seed), priceKg));
        });
        Optional<Figure> costPerHa = cost.map(f -> COST_PER_HA.figure(
                id + "costPerHa",
                "Seed cost per area, " + c.species().name(),
                Unit.MONEY_PER_HA,
                Input.figure("cost", f),
                sowing.area()));
        return new SeedRate(
                c,
                new FullRate(
                        sowing.sownFor().fullRateKgHa(c.species()),
                        sowing.sownFor().source(c.species())),
                pls,
                now,
                plsRate,
                bulk,
                seeds,
                seedsNow,
                comesUp,
                seed,
                fieldKgHa,
                fieldSeeds,
                bags,
                cost,
                costPerHa);
    }

    private static Figure plsRate(String id, Component c, Sowing sowing) {
        Species s = c.species();
        String label = "Pure live seed rate, " + s.name();
        if (c.seeds().isPresent()) {
            double seeds = c.seeds().orElseThrow().in(Unit.PER_M2);
            return BY_DENSITY.figure(
                    id + "plsRate",
                    label,
                    Unit.KG_PER_HA,
                    Input.of("seeds", "Live seeds wanted", seeds, Unit.PER_M2, Origin.ENTERED, "mix"),
                    count(c));
        }
        if (c.rate().isPresent()) {
            return BY_RECIPE.figure(
                    id + "plsRate",
                    label,
                    Unit.KG_PER_HA,
                    Input.of(
                            "recipe",
                            "Pure live seed by the recipe",
                            c.rate().orElseThrow().in(Unit.KG_PER_HA),
                            Unit.KG_PER_HA,
                            Origin.ENTERED,
                            "mix"));
        }
        return BY_SHARE.figure(
                id + "plsRate",
                label,
                Unit.KG_PER_HA,
                Input.of(
                        "full",
                        "Full single-species rate, drilled, for "
                                + sowing.sownFor().name(),
                        sowing.sownFor().fullRateKgHa(s).middle(),
                        Unit.KG_PER_HA,
                        Origin.LIBRARY,
                        sowing.sownFor().source(s).text()),
                Input.of(
                        "share",
                        "Share of the full rate",
                        c.share().orElse(0.0),
                        Unit.FRACTION,
                        Origin.ENTERED,
                        "mix"));
    }

    private static Input count(Component c) {
        Optional<Double> tag = c.lot().flatMap(SeedLot::seedsPerKg);
        return Input.of(
                "count",
                "Seeds per mass",
                tag.orElse(c.species().seedsPerKg().middle()),
                Unit.PER_KG,
                tag.isPresent() ? Origin.MEASURED : Origin.LIBRARY,
                tag.isPresent()
                        ? "tag of lot " + c.lot().orElseThrow().label()
                        : c.species().sourceOf("seedsPerKg").text());
    }

    private static Input bag(SeedLot lot) {
        return Input.of(
                "bag",
                "Bag size",
                lot.bagSize().orElseThrow().in(Unit.KILOGRAM),
                Unit.KILOGRAM,
                Origin.ENTERED,
                "lot " + lot.label());
    }

    private static Input factor(String symbol, String label, double value, Origin origin) {
        return Input.of(
                symbol, label, value, Unit.FRACTION, origin, origin == Origin.LIBRARY ? "common practice" : "sowing");
    }

    @Override
    public List<Figure> figures() {
        List<Figure> all = new ArrayList<>(List.of(
                pls, germinates, plsKgHa, bulkKgHa, seedsM2, seedsNowM2, comesUpM2, seedKg, fieldKgHa, fieldSeedsM2));
        if (!component.zone().isWhole()) {
            all.add(component.zone().share());
        }
        all.addAll(Figured.present(bags, cost, costPerHa));
        return all;
    }

    private static Origin origin(double factor) {
        return factor == 1 ? Origin.LIBRARY : Origin.ENTERED;
    }
}
