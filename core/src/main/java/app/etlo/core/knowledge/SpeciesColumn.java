package app.etlo.core.knowledge;

import java.util.List;
import java.util.Optional;

/**
 * A column of the species library, and what may stand in it.
 *
 * @param section part of the sheet: plant, seed, growth, site, nitrogen, ending, use
 * @param confidence how far its values can be relied on as they come: high, medium or low
 */
public record SpeciesColumn(
        String id,
        String name,
        Optional<String> unit,
        Kind kind,
        Optional<Double> low,
        Optional<Double> high,
        List<String> choices,
        String section,
        String confidence) {
    /** What a cell holds; fixed ones cannot be corrected. */
    public enum Kind implements Named {
        TEXT("text"),
        NUMBER("number"),
        CHOICE("choice"),
        LIST("list"),
        FIXED("fixed");

        private final String id;

        Kind(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }
}
