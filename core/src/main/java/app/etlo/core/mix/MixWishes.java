package app.etlo.core.mix;

import app.etlo.core.knowledge.Group;
import java.util.List;
import java.util.Map;
import java.util.Optional;

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
        Bounds winterkilledShare) {
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
                Bounds.OPEN);
    }

    public MixWishes costing(double most) {
        return with(cheapest, Optional.of(most));
    }

    public MixWishes atAnyCost() {
        return with(cheapest, Optional.empty());
    }

    public MixWishes aimingAt(boolean cheapestOnes) {
        return with(cheapestOnes, cost);
    }

    private MixWishes with(boolean cheapestOnes, Optional<Double> most) {
        return new MixWishes(
                cheapestOnes,
                aims,
                most,
                species,
                groups,
                groupShares,
                speciesShares,
                without,
                totalShare,
                seedsM2,
                boxes,
                stockFirst,
                carbonToNitrogen,
                legumeShare,
                winterkilledShare);
    }
}
