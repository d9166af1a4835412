package app.etlo.core.knowledge;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;

/**
 * A cash crop.
 *
 * @param botanical genus and species
 * @param kind grass, broadleaf or legume
 * @param testWeightLbBu mass of a bushel, where yield is given in bushels
 * @param harvestIndex grain share of the dry mass above ground, 0 to 1
 * @param grainMoisture water in the grain as sold, 0 to 1
 * @param yieldKgHa plausible yields, low, usual, high
 * @param need nitrogen need by yield; none where only a local recommendation serves
 */
public record Crop(
        String id,
        String name,
        String botanical,
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
        double phLow,
        Optional<NeedFactor> need,
        Growing growing,
        Source source) {
    private static final double SOLD_WHOLE = 0.75;

    /**
     * How the crop is grown.
     *
     * @param warm whether it is a crop of the warm season
     * @param ceilingC what warmer hours count as, where both ends of the day are held (corn)
     * @param maturityDegreeDays from planting to ready for harvest, degrees Celsius days; 0 for perennials, which are cut
     * @param daysToMaturity the same in days, in a middling year
     * @param minSoilC soil temperature at 5 cm from which it is planted
     * @param standTarget share of the seeds sown that should stand
     * @param yieldUnit bu, cwt, lb or t
     * @param fragileResidue whether its residue breaks up fast
     * @param coverAcPerLb coefficient of residue cover as published, ac/lb
     * @param nitrogenLeftKgHa what it usually leaves for the next crop
     * @param nitrateLeftKgHa mineral nitrogen in the soil when it is harvested, fed as is usual
     * @param sharedPests pests and diseases it shares with covers
     * @param mulchTolerance how it bears being planted through residue: good, fair or poor
     * @param taken what its harvest does to the tops
     * @param transplanted whether it is set out as a young plant
     * @param years how long it stands; above 1 for perennials
     * @param windows kinds of window inside it
     */
    public record Growing(
            boolean warm,
            double baseC,
            Optional<Double> ceilingC,
            double maturityDegreeDays,
            int daysToMaturity,
            double minSoilC,
            double depthCm,
            double rowWidthCm,
            double populationHa,
            double standTarget,
            String yieldUnit,
            boolean fragileResidue,
            double residueCN,
            double coverAcPerLb,
            double nitrogenLeftKgHa,
            double nitrateLeftKgHa,
            List<String> sharedPests,
            String mulchTolerance,
            Taken taken,
            double thousandSeedG,
            boolean transplanted,
            int years,
            List<String> windows,
            Source source) {
        public Growing {
            sharedPests = List.copyOf(sharedPests);
            windows = List.copyOf(windows);
        }

        public boolean isPerennial() {
            return years > 1;
        }
    }

    /**
     * What a harvest takes and leaves; common practice.
     *
     * @param share of the dry tops that leaves the field; empty: the harvest index
     * @param standing share of what stays that stands as stubble
     * @param liftedKept where roots or tubers are lifted: share of the residue that stays on top
     */
    public record Taken(Optional<Double> share, double standing, Optional<Double> liftedKept) {}

    /** Share of the dry tops that a harvest takes, 0 to 1: forage and leaves are sold nearly whole where nothing else is held. */
    public double takenShare() {
        return growing.taken().share().or(() -> harvestIndex).orElse(SOLD_WHOLE);
    }

    /** Nitrogen needed for a unit of yield, before credits. */
    public record NeedFactor(Band value, Unit unit) {
        /** Whether it is by yield; else it is a usual rate. */
        public boolean byYield() {
            return unit != Unit.KG_PER_HA;
        }
    }
}
