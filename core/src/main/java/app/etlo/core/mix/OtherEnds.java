package app.etlo.core.mix;

import app.etlo.core.knowledge.Species;
import app.etlo.core.knowledge.TerminationMethod;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The species that the planned end leaves alive, and the way that would end most of them on the same day. */
public record OtherEnds(List<Species> left, Optional<Way> other) {
    private static final Set<String> LEFT_ALIVE = Set.of("survives-its-end", "cannot-be-ended");

    /**
     * @param ends how many of those left alive it ends
     */
    public record Way(TerminationMethod method, int ends) {}

    /**
     * Of candidates in their order.
     *
     * @param methods of the library; herbicides count only where the law of the field allows them, grazing only with stock
     */
    public static OtherEnds of(List<Candidate> candidates, MixPlace place, Collection<TerminationMethod> methods) {
        List<Candidate> left = candidates.stream()
                .filter(c -> c.findings().stream().anyMatch(f -> LEFT_ALIVE.contains(f.rule()))
                        && c.findings().stream().noneMatch(f -> f.excludes() && !LEFT_ALIVE.contains(f.rule())))
                .toList();
        Optional<Way> other = methods.stream()
                .filter(m -> !m.isWinter()
                        && !(m.usesHerbicide() && place.organic())
                        && !(m.grazes() && place.livestock().isBlank()))
                .map(m -> new Way(m, (int) left.stream().filter(c -> ends(m, c)).count()))
                .filter(w -> w.ends() > 0)
                .max(Comparator.comparingInt(Way::ends));
        return new OtherEnds(left.stream().map(Candidate::species).toList(), other);
    }

    private static boolean ends(TerminationMethod method, Candidate c) {
        Prospect p = c.growth().species().get(0);
        return EndingReasons.wellKilled(p, p.killed(method));
    }
}
