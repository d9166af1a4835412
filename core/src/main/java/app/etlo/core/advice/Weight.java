package app.etlo.core.advice;

import com.fasterxml.jackson.annotation.JsonValue;

/** How heavily a note weighs. */
public enum Weight {
    /** Would harm people, stock or crop, or break a rule. */
    STOP("stop"),
    /** A trade-off the adviser decides. */
    THINK("think"),
    TIP("tip");

    private final String id;

    Weight(String id) {
        this.id = id;
    }

    @JsonValue
    public String id() {
        return id;
    }
}
