package app.etlo.core.working;

import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Collection;
import java.util.Locale;

/**
 * Where a number came from, from the surest to the least sure. LIBRARY values are published ones; they do not weaken a
 * result by themselves.
 */
public enum Origin {
    LIBRARY,
    MEASURED,
    ENTERED,
    DEFAULT,
    FORECAST;

    @JsonValue
    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** A result is as sure as its least sure input. */
    public static Origin weakest(Collection<Origin> origins) {
        return origins.stream().max(Enum::compareTo).orElse(LIBRARY);
    }
}
