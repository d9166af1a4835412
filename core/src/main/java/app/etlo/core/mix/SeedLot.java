package app.etlo.core.mix;

import app.etlo.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A lot of seed as its tag states it. Shares are 0 to 1.
 *
 * @param germinationIncludesHardSeed whether the tag's germination already counts hard seed
 * @param seedsPerKg the tag's own count, where it has one
 * @param inoculated coated or treated with the rhizobium of its group
 */
public record SeedLot(
        String id,
        String species,
        String label,
        double purity,
        double germination,
        double hardSeed,
        boolean germinationIncludesHardSeed,
        Optional<Double> seedsPerKg,
        Optional<LocalDate> testedOn,
        Optional<Quantity> price,
        Optional<Quantity> bagSize,
        boolean inoculated,
        SeedTag tag) {

    /** Share of the pure seed that germinates this season, hard seed left out. */
    public double germinatesNow() {
        return germinationIncludesHardSeed ? Math.max(0, germination - hardSeed) : germination;
    }

    /** Share of the pure seed that the tag counts as live. */
    public double liveOnTag() {
        return Math.min(1, germinatesNow() + hardSeed);
    }
}
