package app.etlo.core.advice;

import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Locale;

/** The step of the work in which a note is answered. */
public enum Step {
    FIELD,
    AIMS,
    ROTATION,
    MIX,
    SOW,
    GROW,
    END,
    PLANT,
    FEED;

    @JsonValue
    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }
}
