package app.etlo.core.plan;

import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.UnitSystem;
import com.fasterxml.jackson.databind.JsonNode;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** What a plan is evaluated against: the farm, the field and the seed lots, as they are stored and exported. */
public record Context(FarmEntry farm, FieldEntry field, List<LotEntry> lots) {
    public Context {
        lots = lots == null ? List.of() : List.copyOf(lots);
    }

    /**
     * @param currency ISO 4217 letters
     */
    public record FarmEntry(String id, String name, UnitSystem units, String currency) {}

    /**
     * A field. Frost dates are written MM-dd.
     *
     * @param boundary GeoJSON; the area is measured from it when present
     */
    public record FieldEntry(
            String id,
            String farmId,
            String name,
            Optional<JsonNode> boundary,
            Optional<Quantity> area,
            Optional<String> texture,
            Optional<String> drainage,
            Optional<Quantity> tileDepth,
            Optional<Double> organicMatterPercent,
            Optional<String> lastSpringFrost,
            Optional<String> firstAutumnFrost) {
        public FieldEntry {
            // a tree reader hands an absent member over as the tree's own null
            boundary = boundary.filter(b -> !b.isNull());
        }
    }

    public record LotEntry(
            String id,
            String species,
            String label,
            double purityPercent,
            double germinationPercent,
            Optional<Double> hardSeedPercent,
            Optional<Boolean> germinationIncludesHardSeed,
            Optional<Quantity> seedCount,
            Optional<LocalDate> testedOn,
            Optional<Quantity> price,
            Optional<Quantity> bagSize,
            Optional<Boolean> inoculated,
            Optional<String> supplier) {}
}
