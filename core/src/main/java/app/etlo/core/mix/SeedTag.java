package app.etlo.core.mix;

import java.util.Optional;

/**
 * What a tag and the store say of a lot beside its live seed.
 *
 * @param noxious listed or resistant weeds the tag names; empty: it names none
 * @param lookedAt whether the tag was looked at for them
 * @param treatedWith what the seed is treated with
 * @param hardiness winter, intermediate or spring
 * @param stockKg what lies in store; empty when not said
 */
public record SeedTag(
        Optional<String> noxious,
        boolean lookedAt,
        Optional<String> treatedWith,
        Optional<String> hardiness,
        Optional<Double> stockKg) {
    /** A tag of which nothing more is known. */
    public static final SeedTag SILENT =
            new SeedTag(Optional.empty(), false, Optional.empty(), Optional.empty(), Optional.empty());
}
