package app.etlo.core.knowledge;

import app.etlo.core.quantity.Band;
import app.etlo.core.working.Source;
import java.util.Map;
import java.util.Optional;

/**
 * A cover crop species as the library holds it.
 *
 * @param seedsPerKg pure seed count, low to high
 * @param fullRateKgHa pure live seed of the full single-species rate when drilled, low to high
 * @param heightM typical height at full growth
 * @param inoculant name of its rhizobium group, for legumes
 * @param maxShare greatest share of the full rate that a blend usually bears, 0 to 1
 * @param latestSowDaysBeforeFrost days before the usual first autumn frost by which it should be sown; negative: after it
 * @param baseC temperature below which its growth is not counted, degrees Celsius
 * @param killC night temperature that ends it, hardened where it hardens
 * @param form outline in the drawing
 * @param sources of each column's value
 */
public record Species(
        String id,
        String name,
        String botanical,
        String family,
        Group group,
        Band seedsPerKg,
        Band fullRateKgHa,
        double depthCm,
        double heightM,
        double rootDepthM,
        boolean taproot,
        Optional<String> inoculant,
        double maxShare,
        int latestSowDaysBeforeFrost,
        double baseC,
        double killC,
        String form,
        double testWeightLbBu,
        Growth growth,
        Site site,
        Use use,
        Map<String, Source> sources) {

    /** Where one column's value comes from. */
    public Source sourceOf(String column) {
        return Optional.ofNullable(sources.get(column))
                .orElseThrow(() -> new IllegalArgumentException("no column '" + column + "'"));
    }

    /** Mass of a thousand seeds, g. */
    public double thousandSeedMassG() {
        return 1e6 / seedsPerKg.middle();
    }
}
