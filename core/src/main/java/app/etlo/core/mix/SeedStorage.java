package app.etlo.core.mix;

import app.etlo.core.working.Source;
import java.util.Optional;

/** How fast seed ages in store: its life doubles for each 1 % less moisture, and for each 5 degrees cooler (Harrington's rules). */
public final class SeedStorage {
    public static final Source SOURCE = Source.fromMemory(
            "Harrington's rules: seed life doubles per 1 % less moisture or 5 degrees Celsius cooler, between 5 and 14 % and 0 and 50");

    /** A good store, against which others are counted: seed as it is sold, in a cool shed. */
    private static final double GOOD_C = 15;

    private static final double GOOD_MOISTURE = 12;
    /** The rules hold so far. */
    private static final double DRIEST = 5;

    private static final double WETTEST = 14;

    private SeedStorage() {}

    /**
     * How many times as fast as at 12 % and 15 degrees; 1 for what is not said.
     *
     * @param storedC held between 0 and 50
     * @param moisturePercent held between 5 and 14
     */
    public static double agesBy(Optional<Double> storedC, Optional<Double> moisturePercent) {
        double warm =
                storedC.map(c -> (Math.max(0, Math.min(50, c)) - GOOD_C) / 5).orElse(0.0);
        double moist = moisturePercent
                .map(m -> Math.max(DRIEST, Math.min(WETTEST, m)) - GOOD_MOISTURE)
                .orElse(0.0);
        return Math.pow(2, warm + moist);
    }
}
