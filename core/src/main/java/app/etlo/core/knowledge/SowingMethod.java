package app.etlo.core.knowledge;

import app.etlo.core.working.Source;

/**
 * A way of getting seed into the ground, with the factor on the drilled rate.
 *
 * @param lies where the seed comes to lie
 */
public record SowingMethod(String id, String name, double rateFactor, String operation, SeedLies lies, Source source) {
    /** Broadcast on ground that still freezes and thaws. */
    public static final String FROST_SEEDED = "frost-seeded";

    /** Scattered by hand. */
    public static final String BY_HAND = "by-hand";

    /** Where seed comes to lie. */
    public enum SeedLies implements Named {
        IN_SOIL("in-soil"),
        ON_TOP("on-top"),
        FROM_AIR("from-air");

        private final String id;

        SeedLies(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    /** Whether the seed stays lying on the ground. */
    public boolean onSurface() {
        return lies != SeedLies.IN_SOIL;
    }

    public boolean flown() {
        return lies == SeedLies.FROM_AIR;
    }
}
