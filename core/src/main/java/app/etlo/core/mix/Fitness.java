package app.etlo.core.mix;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.working.Source;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The concerns about a species in its place, for those who ask about a single one. */
public final class Fitness {
    /** What the law forbids, and what lives on where it was to be dead: no mix with such a species is proposed unless it is asked for. */
    private static final Set<String> STOPS = Set.of("on-noxious-list", "survives-its-end", "cannot-be-ended");

    private Fitness() {}

    /**
     * A reason in the catalogue.
     *
     * @param excludes whether it takes a species out of the proposals
     */
    public record Reason(String name, boolean excludes, Source source) {}

    /** Whether a reason stops a mix that holds the species. */
    public static boolean stops(String reason) {
        return STOPS.contains(reason);
    }

    /** Every reason there is. */
    public static List<Reason> reasons() {
        return FitnessRules.ALL.stream()
                .map(r -> new Reason(r.name(), r.excludes(), r.source()))
                .toList();
    }

    /**
     * The findings about a species of a mix.
     *
     * @param prospect what it comes to in the mix
     */
    public static List<Finding> of(Prospect prospect, MixSeason season, MixPlace place, Knowledge knowledge) {
        FitnessRule.Case c = new FitnessRule.Case(prospect.species(), prospect, true, place, season, knowledge);
        return FitnessRules.ALL.stream()
                .map(r -> r.judge(c))
                .flatMap(Optional::stream)
                .toList();
    }
}
