package app.etlo.core.knowledge;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.Optional;

/**
 * A cash crop.
 *
 * @param kind grass, broadleaf or legume
 * @param testWeightLbBu mass of a bushel, where yield is told in bushels
 * @param harvestIndex grain share of the dry mass above ground, 0 to 1
 * @param grainMoisture water in the grain as sold, 0 to 1
 * @param yieldKgHa plausible yields, low, usual, high
 * @param need nitrogen need by yield; none where only a local recommendation serves
 */
public record Crop(
        String id,
        String name,
        String family,
        Group group,
        String form,
        Optional<Double> testWeightLbBu,
        Optional<Double> harvestIndex,
        double grainMoisture,
        Band yieldKgHa,
        double heightM,
        double rootDepthM,
        boolean taproot,
        Optional<NeedFactor> need,
        Source source) {

    /** Nitrogen needed for a unit of yield, before credits. */
    public record NeedFactor(Band value, Unit unit) {}
}
