package app.etlo.core.knowledge;

import com.fasterxml.jackson.annotation.JsonValue;

/** How a field operation moves soil, with its weight in the soil tillage intensity rating (USDA NRCS, from memory). */
public enum DisturbanceType implements Named {
    INVERSION("inversion", 1.0),
    MIXING_INVERSION("mixing-inversion", 0.8),
    MIXING("mixing", 0.7),
    LIFTING("lifting", 0.4),
    COMPRESSION("compression", 0.15),
    NONE("none", 0);

    private final String id;
    private final double weight;

    DisturbanceType(String id, double weight) {
        this.id = id;
        this.weight = weight;
    }

    @Override
    @JsonValue
    public String id() {
        return id;
    }

    public double weight() {
        return weight;
    }
}
