package app.etlo.core.knowledge;

import com.fasterxml.jackson.annotation.JsonValue;

/** Functional group of a species. */
public enum Group implements Named {
    COOL_GRASS("cool-grass", "cool grass"),
    WARM_GRASS("warm-grass", "warm grass"),
    COOL_LEGUME("cool-legume", "cool legume"),
    WARM_LEGUME("warm-legume", "warm legume"),
    BRASSICA("brassica", "brassica"),
    BROADLEAF("broadleaf", "broadleaf");

    private final String id;
    private final String words;

    Group(String id, String words) {
        this.id = id;
        this.words = words;
    }

    @Override
    @JsonValue
    public String id() {
        return id;
    }

    public String words() {
        return words;
    }

    public boolean isGrass() {
        return this == COOL_GRASS || this == WARM_GRASS;
    }

    public boolean isLegume() {
        return this == COOL_LEGUME || this == WARM_LEGUME;
    }
}
