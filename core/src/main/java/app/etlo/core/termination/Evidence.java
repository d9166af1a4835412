package app.etlo.core.termination;

import app.etlo.core.knowledge.Named;
import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;

/** What the biomass and nitrogen of a stand rest on. */
public enum Evidence implements Named {
    /** Typed by the adviser before the stand is there: a forecast. */
    EXPECTED("expected"),
    /** Cut and weighed in the field. */
    WEIGHED("weighed");

    private final String id;

    Evidence(String id) {
        this.id = id;
    }

    @Override
    @JsonValue
    public String id() {
        return id;
    }

    @JsonCreator
    public static Evidence of(String id) {
        for (Evidence e : values()) {
            if (e.id.equals(id)) {
                return e;
            }
        }
        throw new IllegalArgumentException("evidence is expected or weighed");
    }
}
