package app.etlo.core.working;

import com.fasterxml.jackson.annotation.JsonValue;

/**
 * What a formula or value rests on.
 *
 * @param text the publication, or in plain words whose practice or derivation it is
 */
public record Source(String text, Status status) {
    /** How far the source was checked. */
    public enum Status {
        /** Opened and compared. */
        SEEN("seen"),
        /** Exact by definition or derivation: nothing to look up. */
        IDENTITY("identity"),
        /** A named publication, quoted from memory. */
        FROM_MEMORY("from memory"),
        /** Etlo's own rule or an adviser's own value. */
        OWN("own"),
        COMMON_PRACTICE("common practice");

        private final String words;

        Status(String words) {
            this.words = words;
        }

        @JsonValue
        public String words() {
            return words;
        }

        /**
         * @throws IllegalArgumentException for words that name no status
         */
        public static Status of(String words) {
            for (Status s : values()) {
                if (s.words.equals(words)) {
                    return s;
                }
            }
            throw new IllegalArgumentException("seen, identity, from memory, own or common practice");
        }
    }

    public Source {
        if (text.isBlank()) {
            throw new IllegalArgumentException("a source needs words");
        }
    }

    public static Source identity(String text) {
        return new Source(text, Status.IDENTITY);
    }

    public static Source fromMemory(String text) {
        return new Source(text, Status.FROM_MEMORY);
    }

    public static Source commonPractice(String text) {
        return new Source(text, Status.COMMON_PRACTICE);
    }

    public static Source own(String text) {
        return new Source(text, Status.OWN);
    }
}
