package app.etlo.core.knowledge;

import app.etlo.core.quantity.Band;
import app.etlo.core.working.Source;
import java.util.Map;
import java.util.Optional;

/**
 * What a cover is sown for, where that sets how much seed of a species is right: the same species has two right rates.
 *
 * @param id cover, mulch, forage, green-manure or seed
 * @param bySpecies rates of species with rates of their own for it, by species
 * @param byGroup factors on the library's rate for all others, by functional group; 1 where none stands
 */
public record CoverPurpose(String id, String name, Map<String, Rule> bySpecies, Map<Group, Rule> byGroup) {
    /** The purpose that takes the library's own rates. */
    public static final String COVER = "cover";

    public static final String MULCH = "mulch";
    public static final String FORAGE = "forage";
    public static final String SEED = "seed";

    /**
     * @param value kg/ha of pure live seed drilled for a species, a factor for a group
     */
    public record Rule(Band value, Source source) {}

    /** Pure live seed of the full single-species rate, drilled, kg/ha. */
    public Band fullRateKgHa(Species s) {
        return Optional.ofNullable(bySpecies.get(s.id()))
                .map(Rule::value)
                .orElseGet(() -> Optional.ofNullable(byGroup.get(s.group()))
                        .map(r -> new Band(
                                s.fullRateKgHa().low() * r.value().low(),
                                s.fullRateKgHa().middle() * r.value().middle(),
                                s.fullRateKgHa().high() * r.value().high()))
                        .orElse(s.fullRateKgHa()));
    }

    /** That rate over the library's, middle by middle: what of the seed is for the purpose alone. */
    public double overCover(Species s) {
        return fullRateKgHa(s).middle() / s.fullRateKgHa().middle();
    }

    /** Where the rate comes from. */
    public Source source(Species s) {
        return Optional.ofNullable(bySpecies.get(s.id()))
                .or(() -> Optional.ofNullable(byGroup.get(s.group())))
                .map(Rule::source)
                .orElseGet(() -> s.sourceOf("rateKgHa"));
    }
}
