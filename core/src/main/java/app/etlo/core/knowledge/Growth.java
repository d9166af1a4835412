package app.etlo.core.knowledge;

import app.etlo.core.quantity.Band;

/**
 * How a species grows where nothing holds it back. Degree days are counted above its own base temperature from sowing.
 *
 * @param minSoilC soil temperature from which it germinates, degrees Celsius
 * @param emergenceDegreeDays until it is up
 * @param floweringDegreeDays until half of the plants flower
 * @param seedDegreeDays until it sheds seed that can grow
 * @param massTHa dry tops of a full pure stand at flowering, poor to good site
 * @param killTenderC night temperature that ends it before it has hardened
 * @param competitiveness for light, relative; rye is 1.25
 * @param leafy concentration and C:N before stems
 */
public record Growth(
        String lifeCycle,
        double minSoilC,
        double bestSoilC,
        double emergenceDegreeDays,
        double floweringDegreeDays,
        double seedDegreeDays,
        Band massTHa,
        double killTenderC,
        double competitiveness,
        Tops leafy,
        Tops flowering,
        Tops mature,
        double fixedShare,
        double hardSeedShare) {

    /**
     * What the dry tops hold at a stage.
     *
     * @param nitrogenShare 0 to 1
     * @param carbonToNitrogen mass ratio
     */
    public record Tops(double nitrogenShare, double carbonToNitrogen) {
        public double carbonShare() {
            return nitrogenShare * carbonToNitrogen;
        }
    }

    public boolean isBiennial() {
        return lifeCycle.contains("biennial");
    }

    public boolean isPerennial() {
        return lifeCycle.contains("perennial");
    }
}
