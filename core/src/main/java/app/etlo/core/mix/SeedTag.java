package app.etlo.core.mix;

import java.time.LocalDate;
import java.util.Optional;

/**
 * What a tag and the store say of a lot beside its live seed.
 *
 * @param noxious listed or resistant weeds the tag names; empty: it names none
 * @param lookedAt whether the tag was looked at for them
 * @param treatedWith what the seed is treated with
 * @param hardiness winter, intermediate or spring
 * @param stockKg what lies in store; empty when not said
 * @param weedSeed share of the weight, 0 to 1
 * @param inoculantUseBy of the coat or the inoculant on the seed
 * @param agesBy how many times as fast it ages as in a good store; 1 where nothing is said
 * @param ownGrown whether it is seed of the farm's own
 */
public record SeedTag(
        Optional<String> noxious,
        boolean lookedAt,
        Optional<String> treatedWith,
        Optional<String> hardiness,
        Optional<Double> stockKg,
        double weedSeed,
        Optional<LocalDate> inoculantUseBy,
        double agesBy,
        boolean ownGrown) {
    /** A tag of which nothing more is known. */
    public static final SeedTag SILENT = new SeedTag(
            Optional.empty(),
            false,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            0,
            Optional.empty(),
            1,
            false);
}
