package app.etlo.core.advice;

import com.fasterxml.jackson.annotation.JsonProperty;

/**
 * A fact a note lacks, which can be given where the note is read.
 *
 * @param of which one it is about: the id of a lot, or the active ingredient and day of a herbicide on record; empty for the field
 */
public record MissingFact(Kind kind, String of) {
    /** What is asked for. */
    public enum Kind {
        /** Whether a lot of seed comes inoculated. */
        @JsonProperty("inoculated")
        INOCULATED,
        /** The interval on the label of a herbicide on record, in months. */
        @JsonProperty("label-interval")
        LABEL_INTERVAL,
        /** Which stock have access to the field. */
        @JsonProperty("livestock")
        LIVESTOCK
    }
}
