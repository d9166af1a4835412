package app.etlo.core.mix;

import java.util.Map;

/**
 * Bounds on the seed itself, by what a bag, a count or a box of it shows.
 *
 * @param ofSeeds share of all live seeds, by species
 * @param ofWeight share of the weight of pure live seed, by species
 * @param ofBox share of the weight in its own drill box, by species
 * @param kgHa weight of pure live seed together
 */
public record SeedBounds(
        Map<String, Bounds> ofSeeds, Map<String, Bounds> ofWeight, Map<String, Bounds> ofBox, Bounds kgHa) {
    public static final SeedBounds NONE = new SeedBounds(Map.of(), Map.of(), Map.of(), Bounds.OPEN);

    /** Whether a species is asked for by one of them. */
    boolean asksFor(String species) {
        return ofSeeds.containsKey(species) || ofWeight.containsKey(species) || ofBox.containsKey(species);
    }
}
