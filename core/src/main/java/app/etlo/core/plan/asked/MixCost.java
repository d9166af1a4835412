package app.etlo.core.plan.asked;

import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.Component;
import app.etlo.core.mix.MixDesigner;
import app.etlo.core.mix.SeedLot;
import app.etlo.core.mix.Sowing;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.plan.document.LotSeed;
import app.etlo.core.plan.growth.MixBench;
import app.etlo.core.quantity.Unit;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What the seed of a mix costs as a cover is sown: with the factors of its sowing, with waste, in whole bags; each species from the lot
 * that the cover's mix names, else from the cheapest of the store, else at the library's usual price without bags.
 */
public final class MixCost {
    /** Live share of seed without a tag. */
    private static final double USUAL_PLS = 0.83;
    /** As {@link app.etlo.core.mix.SeedRate} counts bags. */
    private static final double OF_A_BAG = 1e-6;

    private final Evaluated e;
    private final Sowing sowing;
    private final Map<String, SeedLot> lots = new LinkedHashMap<>();
    private final Map<String, Double> freeKg = new HashMap<>();
    private final Map<String, Double> freeOf = new HashMap<>();

    /**
     * For a cover.
     *
     * @param store the lots of the practice
     * @param freeKg what of each lot no plan has taken yet, by lot
     */
    MixCost(Evaluated e, CoverResult cover, List<LotEntry> store, Map<String, Double> freeKg) {
        this.e = e;
        this.sowing = cover.inTime().sowing();
        store.stream()
                .filter(l -> !l.holdsSeveral())
                .map(LotSeed::of)
                .filter(l -> l.price().isPresent() && pls(l) > 0)
                .sorted(Comparator.comparingDouble(MixCost::perLiveKg))
                .forEach(l -> lots.putIfAbsent(l.species(), l));
        cover.mix().blend().stream()
                .flatMap(b -> b.rates().stream())
                .map(r -> r.component())
                .map(Component::lot)
                .flatMap(Optional::stream)
                .filter(l -> pls(l) > 0)
                .forEach(l -> lots.put(l.species(), l));
        for (LotEntry l : store.stream().filter(l -> !l.holdsSeveral()).toList()) {
            double free = freeKg.getOrDefault(l.id(), l.stockKg());
            this.freeKg.put(l.id(), free);
            freeOf.merge(l.species(), free, Double::sum);
        }
    }

    private static double pls(SeedLot l) {
        return l.purity() * l.liveOnTag();
    }

    private static double perLiveKg(SeedLot l) {
        return l.price().orElseThrow().in(Unit.MONEY_PER_KG) / pls(l);
    }

    /** The lot a species is taken from. */
    Optional<String> lotOf(String species) {
        return Optional.ofNullable(lots.get(species)).map(SeedLot::id);
    }

    /** Whether seed of a species lies in store that no plan has taken. */
    boolean inStore(String species) {
        return freeOf.getOrDefault(species, 0.0) > 0;
    }

    /** The shares of the full rates that the plants of a cover's own mix come to; none while it has no rate. */
    Map<String, Double> shares(CoverResult cover) {
        return cover.mix().blend().stream()
                .flatMap(b -> MixBench.sown(b.rates()).stream())
                .collect(Collectors.toMap(
                        s -> s.species().id(),
                        s -> s.share() / seed().stand(s.species()),
                        Double::sum,
                        LinkedHashMap::new));
    }

    /** Species that no lot gives a price for, by name. */
    List<String> unpriced(Set<String> species) {
        return species.stream()
                .filter(id -> Optional.ofNullable(lots.get(id))
                        .flatMap(SeedLot::price)
                        .isEmpty())
                .map(id -> e.knowledge().species().get(id).name())
                .toList();
    }

    /** The seed for the search, which is linear: whole bags come on top. */
    MixDesigner.Seed seed() {
        Map<String, MixDesigner.Seed.Lot> seed = new LinkedHashMap<>();
        lots.forEach((species, lot) -> seed.put(
                species,
                new MixDesigner.Seed.Lot(
                        lot.price().map(p -> perLiveKg(lot)),
                        freeKg.getOrDefault(lot.id(), 0.0) * pls(lot) / Math.max(0.01, sowing.areaHa()),
                        lot.seedsPerKg(),
                        lot.germinatesNow() / lot.liveOnTag())));
        return new MixDesigner.Seed(
                seed,
                factors(),
                factors() / sowing.method().rateFactor() / sowing.seedbed(),
                sowing.waste(),
                sowing.sownFor());
    }

    private double factors() {
        return sowing.method().rateFactor() * sowing.lateness() * sowing.seedbed() * sowing.purpose();
    }

    /**
     * Money per ha.
     *
     * @param shares of the full rate by species
     * @param fromStock whether seed in store counts as paid
     */
    double perHa(Map<String, Double> shares, boolean fromStock) {
        double sum = 0;
        for (Map.Entry<String, Double> s : shares.entrySet()) {
            sum += cost(e.knowledge().species().get(s.getKey()), s.getValue(), fromStock);
        }
        return sum / Math.max(0.01, sowing.areaHa());
    }

    private double cost(Species s, double share, boolean fromStock) {
        Optional<SeedLot> lot = Optional.ofNullable(lots.get(s.id()));
        double live =
                sowing.sownFor().fullRateKgHa(s).middle() * share * factors() * sowing.areaHa() * (1 + sowing.waste());
        double kg = live / lot.map(MixCost::pls).orElse(USUAL_PLS);
        if (fromStock) {
            kg = Math.max(0, kg - lot.map(l -> freeKg.getOrDefault(l.id(), 0.0)).orElse(0.0));
        }
        double price = lot.flatMap(SeedLot::price)
                .map(p -> p.in(Unit.MONEY_PER_KG))
                .orElseGet(() -> s.use().price().middle());
        double bought = kg;
        Optional<Double> bag = lot.flatMap(SeedLot::bagSize).map(q -> q.in(Unit.KILOGRAM));
        if (bag.isPresent()) {
            bought = Math.ceil(kg / bag.get() - OF_A_BAG) * bag.get();
        }
        return bought * price;
    }
}
