package app.etlo.core.plan.shown;

import app.etlo.core.knowledge.Named;

/** A part of the answer that can be asked for by itself. */
public enum Part implements Named {
    FIELD("field"),
    WINDOWS("windows"),
    MIX("mix"),
    SOW("sow"),
    GROW("grow"),
    END("end"),
    PLANT("plant"),
    FEED("feed"),
    SECTION("section"),
    NOTES("notes"),
    LEDGER("ledger");

    private final String id;

    Part(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
