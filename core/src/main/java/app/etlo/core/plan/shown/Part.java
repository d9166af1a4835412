package app.etlo.core.plan.shown;

import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Locale;

/** A part of the answer that can be asked for by itself. */
public enum Part {
    FIELD,
    WINDOWS,
    MIX,
    SOW,
    GROW,
    END,
    PLANT,
    FEED,
    SECTION,
    NOTES,
    LEDGER;

    @JsonValue
    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }
}
