package app.etlo.core.nitrogen;

import app.etlo.core.working.Figure;

/**
 * A line of a crop's nitrogen ledger beside its need and what is fed.
 *
 * @param amount kg/ha that the crop need not be fed; below zero it needs more
 * @param says what it is, as a sentence part
 */
public record LedgerLine(Kind kind, String label, Figure amount, Sureness sure, String says) {
    /** Where the nitrogen comes from. */
    public enum Kind {
        PREVIOUS_CROP("previous-crop"),
        FORAGE_STAND("forage-stand"),
        COVER("cover"),
        ORGANIC_MATTER("organic-matter"),
        SOIL_TEST("soil-test"),
        SIDE_DRESS_TEST("side-dress-test"),
        WATER("water"),
        MANURE("manure");

        private final String id;

        Kind(String id) {
            this.id = id;
        }

        public String id() {
            return id;
        }
    }

    /** How well it is known. */
    public enum Sureness {
        RULE("by rule"),
        FORECAST("forecast"),
        SEEN("expected"),
        MEASURED("measured");

        private final String words;

        Sureness(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }
}
