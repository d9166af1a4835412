package app.etlo.core.mix;

import app.etlo.core.knowledge.Group;
import app.etlo.core.knowledge.School;
import app.etlo.core.knowledge.School.Side;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where a mix stands on a question on which practitioners differ.
 *
 * @param value of the mix, by the school's measure
 * @param chosen the side of the farm; empty while it has not chosen
 */
public record MixSchool(School school, double value, Optional<Side> chosen) {
    /**
     * The schools that are asked of a mix; none while it has no rate.
     *
     * @param chosen sides of the farm by question
     */
    public static List<MixSchool> of(
            Collection<School> schools, Map<String, String> chosen, Optional<Blend> blend, Optional<String> nextCrop) {
        return blend.stream()
                .flatMap(b -> schools.stream()
                        .filter(s -> s.asked(nextCrop))
                        .map(s -> new MixSchool(
                                s,
                                value(s.measure(), b),
                                Optional.ofNullable(chosen.get(s.id())).flatMap(s::side))))
                .toList();
    }

    /** Whether the mix is on the farm's side; nothing is said of a farm without one. */
    public boolean isOutside() {
        return chosen.filter(s -> !s.has(value)).isPresent();
    }

    /** Where the mix stands. */
    public String words() {
        return school.measure() == School.Measure.ZONES
                ? value > 0 ? "sown by zones" : "one rate"
                : Math.round(value) + " " + school.measure().words();
    }

    /** The sides the farm did not choose. */
    public List<Side> opposing() {
        return school.sides().stream()
                .filter(s -> !chosen.equals(Optional.of(s)))
                .toList();
    }

    private static double value(School.Measure measure, Blend b) {
        return switch (measure) {
            case SPECIES -> b.rates().size();
            case ZONES -> b.rates().stream().anyMatch(r -> !r.component().zone().isWhole()) ? 2 : 0;
            case LEGUME_SHARE -> share(b, g -> g.isLegume());
            case GRASS_SHARE -> share(b, g -> g == Group.COOL_GRASS || g == Group.WARM_GRASS);
        };
    }

    private static double share(Blend b, java.util.function.Predicate<Group> of) {
        double whole = b.rates().stream().mapToDouble(SeedRate::shareOfFull).sum();
        double part = b.rates().stream()
                .filter(r -> of.test(r.component().species().group()))
                .mapToDouble(SeedRate::shareOfFull)
                .sum();
        return 100 * part / whole;
    }
}
