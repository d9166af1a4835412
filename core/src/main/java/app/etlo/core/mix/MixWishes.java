package app.etlo.core.mix;

import app.etlo.core.knowledge.Group;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a proposed mix must keep to.
 *
 * @param cheapest whether to reach the stated minimums at the least cost, instead of serving the aims best
 * @param aims least amounts by aim
 * @param cost most money per ha for seed
 * @param species how many
 * @param groups least number of species of a group
 * @param groupShares share of the full rate that a group may have together
 * @param speciesShares share of the full rate of single species; a least share takes it in
 * @param totalShare sum of all shares of the full rate
 * @param seedsM2 live seeds together
 * @param boxes 1 or 2: with one, all seed must be of one size class
 * @param stockFirst whether seed in stock costs nothing more
 * @param carbonToNitrogen when it ends
 * @param legumeShare of the dry tops
 * @param winterkilledShare of the dry tops
 * @param seed bounds on the seed by count, weight and box
 */
public record MixWishes(
        boolean cheapest,
        Map<String, Double> aims,
        Optional<Double> cost,
        Bounds species,
        Map<Group, Integer> groups,
        Map<Group, Bounds> groupShares,
        Map<String, Bounds> speciesShares,
        List<String> without,
        Bounds totalShare,
        Bounds seedsM2,
        int boxes,
        boolean stockFirst,
        Bounds carbonToNitrogen,
        Bounds legumeShare,
        Bounds winterkilledShare,
        SeedBounds seed) {
    /** At most so many species are chosen. */
    public static final int MOST_SPECIES = 10;

    /** Nothing wished but a mix of one to ten species at a usual total share. */
    public static MixWishes none() {
        return new MixWishes(
                false,
                Map.of(),
                Optional.empty(),
                Bounds.of(1, MOST_SPECIES),
                Map.of(),
                Map.of(),
                Map.of(),
                List.of(),
                Bounds.atMost(1.0),
                Bounds.OPEN,
                2,
                false,
                Bounds.OPEN,
                Bounds.OPEN,
                Bounds.OPEN,
                SeedBounds.NONE);
    }

    public MixWishes costing(double most) {
        return with(cheapest, Optional.of(most), aims, without);
    }

    public MixWishes atAnyCost() {
        return with(cheapest, Optional.empty(), aims, without);
    }

    public MixWishes aimingAt(boolean cheapestOnes) {
        return with(cheapestOnes, cost, aims, without);
    }

    /** With other least amounts of the aims. */
    MixWishes reaching(Map<String, Double> least) {
        return with(cheapest, cost, least, without);
    }

    /** Without some more species. */
    public MixWishes leavingOut(List<String> species) {
        return with(
                cheapest,
                cost,
                aims,
                Stream.concat(without.stream(), species.stream()).distinct().toList());
    }

    /** Whether a species is asked for by name. */
    public boolean asksFor(String one) {
        return speciesShares.containsKey(one) || seed.asksFor(one);
    }

    private MixWishes with(
            boolean cheapestOnes, Optional<Double> most, Map<String, Double> least, List<String> leftOut) {
        return new MixWishes(
                cheapestOnes,
                least,
                most,
                species,
                groups,
                groupShares,
                speciesShares,
                leftOut,
                totalShare,
                seedsM2,
                boxes,
                stockFirst,
                carbonToNitrogen,
                legumeShare,
                winterkilledShare,
                seed);
    }
}
