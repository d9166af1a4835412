package app.etlo.core.plan.asked;

import app.etlo.core.knowledge.Group;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.mix.AimDelivery;
import app.etlo.core.mix.Bounds;
import app.etlo.core.mix.MixWishes;
import app.etlo.core.mix.SeedBounds;
import app.etlo.core.plan.document.ProblemList;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Wishes as typed.
 *
 * @param goal serve: the aims as well as can be; cheapest: the least cost that reaches the minimums
 * @param aims least amounts by aim
 * @param cost most money per area
 * @param speciesShares percent of the full rate by species
 * @param groupShares percent of the full rate by group
 * @param legumePercent of the dry tops
 * @param winterkilledPercent of the dry tops
 * @param seedPercents percent of all live seeds by species; {@code weightPercents} of the weight, {@code boxPercents} of that in its box
 * @param weightKgHa pure live seed together
 */
public record WishesEntry(
        Optional<String> goal,
        Optional<Map<String, Quantity>> aims,
        Optional<Quantity> cost,
        Optional<Bounds> species,
        Optional<Map<Group, Integer>> groups,
        Optional<Map<Group, Bounds>> groupShares,
        Optional<Map<String, Bounds>> speciesShares,
        Optional<List<String>> without,
        Optional<Bounds> totalPercent,
        Optional<Bounds> seedsM2,
        Optional<Integer> boxes,
        Optional<Boolean> stockFirst,
        Optional<Bounds> carbonToNitrogen,
        Optional<Bounds> legumePercent,
        Optional<Bounds> winterkilledPercent,
        Optional<Map<String, Bounds>> seedPercents,
        Optional<Map<String, Bounds>> weightPercents,
        Optional<Map<String, Bounds>> boxPercents,
        Optional<Bounds> weightKgHa) {

    /**
     * The wishes as the search takes them.
     *
     * @throws Refused when they cannot be
     */
    MixWishes read(Knowledge knowledge) {
        ProblemList check = new ProblemList();
        MixWishes usual = MixWishes.none();
        check.oneOf(goal, "/wishes/goal", List.of("serve", "cheapest"));
        Map<String, Double> least = new LinkedHashMap<>();
        aims.orElse(Map.of()).forEach((aim, q) -> {
            if (!AimDelivery.measures(aim)) {
                check.problem("/wishes/aims/" + aim, "there is no such aim");
            } else if (q.unit().dimension() != AimDelivery.unit(aim).dimension()) {
                check.problem(
                        "/wishes/aims/" + aim, "in " + AimDelivery.unit(aim).written() + " or a unit like it");
            } else {
                least.put(aim, q.in(AimDelivery.unit(aim)));
            }
        });
        cost.filter(q -> q.unit().dimension() != Unit.MONEY_PER_HA.dimension() || q.value() < 0)
                .ifPresent(q -> check.problem("/wishes/cost", "money per area, not below zero"));
        boxes.filter(b -> b != 1 && b != 2).ifPresent(b -> check.problem("/wishes/boxes", "one or two"));
        Bounds count = species.orElse(usual.species());
        if (count.most().orElse(1.0) > MixWishes.MOST_SPECIES
                || count.least().orElse(1.0) > count.most().orElse(10.0)) {
            check.problem("/wishes/species", "from 1 to " + MixWishes.MOST_SPECIES + ", the least first");
        }
        Map.of(
                        "speciesShares", speciesShares,
                        "seedPercents", seedPercents,
                        "weightPercents", weightPercents,
                        "boxPercents", boxPercents)
                .forEach((member, bounds) -> bounds.orElse(Map.of()).keySet().stream()
                        .filter(s -> knowledge.species().find(s).isEmpty())
                        .forEach(s -> check.problem("/wishes/" + member + "/" + s, "the library has no such species")));
        check.done();
        return new MixWishes(
                goal.filter("cheapest"::equals).isPresent(),
                least,
                cost.map(q -> q.in(Unit.MONEY_PER_HA)),
                new Bounds(count.least(), Optional.of(count.most().orElse(10.0))),
                groups.orElse(Map.of()),
                hundredth(groupShares.orElse(Map.of())),
                hundredth(speciesShares.orElse(Map.of())),
                without.orElse(List.of()),
                totalPercent.map(WishesEntry::hundredth).orElse(usual.totalShare()),
                seedsM2.orElse(Bounds.OPEN),
                boxes.orElse(2),
                stockFirst.orElse(false),
                carbonToNitrogen.orElse(Bounds.OPEN),
                legumePercent.map(WishesEntry::hundredth).orElse(Bounds.OPEN),
                winterkilledPercent.map(WishesEntry::hundredth).orElse(Bounds.OPEN),
                new SeedBounds(
                        hundredth(seedPercents.orElse(Map.of())),
                        hundredth(weightPercents.orElse(Map.of())),
                        hundredth(boxPercents.orElse(Map.of())),
                        weightKgHa.orElse(Bounds.OPEN)));
    }

    private static Bounds hundredth(Bounds b) {
        return new Bounds(b.least().map(v -> v / 100), b.most().map(v -> v / 100));
    }

    private static <K> Map<K, Bounds> hundredth(Map<K, Bounds> all) {
        Map<K, Bounds> found = new LinkedHashMap<>();
        all.forEach((k, b) -> found.put(k, hundredth(b)));
        return found;
    }
}
