package app.etlo.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.MixForecast.Sown;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Assume;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;

/** What holds for any mix: a neighbour never helps, more seed never gives less, a pure stand is what it is. */
class CompetitionLawsTest {
    private static final Knowledge KNOWLEDGE = KnowledgeLoader.shipped();

    @Provide
    Arbitrary<Sown> sown() {
        return Combinators.combine(
                        Arbitraries.of(List.copyOf(KNOWLEDGE.species().all())),
                        Arbitraries.doubles().between(0.02, 1.5))
                .as(Sown::new);
    }

    private static double factor(List<Sown> mix, int i) {
        return CompetitionForecast.factor(mix.get(i).share(), CompetitionForecast.rivals(mix, i));
    }

    @Property(tries = 300)
    void a_neighbour_takes_from_every_species_and_the_better_competitor_takes_more(
            @ForAll("mixes") @Size(min = 1, max = 7) List<Sown> mix,
            @ForAll("sown") Sown weak,
            @ForAll("sown") Sown strong) {
        Assume.that(weak.species().growth().competitiveness()
                < strong.species().growth().competitiveness());
        for (int i = 0; i < mix.size(); i++) {
            double besideWeak = factor(with(mix, new Sown(weak.species(), 0.5)), i);
            double besideStrong = factor(with(mix, new Sown(strong.species(), 0.5)), i);
            assertThat(besideWeak).isLessThan(factor(mix, i));
            assertThat(besideStrong).isLessThan(besideWeak);
        }
    }

    private static List<Sown> with(List<Sown> mix, Sown other) {
        List<Sown> all = new ArrayList<>(mix);
        all.add(other);
        return all;
    }

    /** Spitters' hyperbola by hand: what a species keeps of its own share beside a rival, weighted by how much better that competes. */
    @Property(tries = 50)
    void the_factor_is_the_hyperbola(@ForAll("sown") Sown a, @ForAll("sown") Sown b) {
        double weight =
                b.species().growth().competitiveness() / a.species().growth().competitiveness();
        double byHand = 1.25 * a.share() / (0.25 + a.share() + b.share() * weight);
        assertThat(factor(List.of(a, b), 0)).isCloseTo(byHand, within(1e-12));
    }

    @Property(tries = 300)
    void more_seed_of_a_species_never_gives_less_of_it(
            @ForAll("mixes") @Size(min = 1, max = 8) List<Sown> mix,
            @ForAll @DoubleRange(min = 0, max = 1) double more) {
        List<Sown> denser = new ArrayList<>(mix);
        denser.set(0, new Sown(mix.get(0).species(), mix.get(0).share() + more));
        assertThat(factor(denser, 0)).isGreaterThanOrEqualTo(factor(mix, 0) - 1e-12);
    }

    @Property(tries = 200)
    void two_halves_of_one_species_are_the_whole(@ForAll("sown") Sown s) {
        Species species = s.species();
        List<Sown> halves = List.of(new Sown(species, s.share() / 2), new Sown(species, s.share() / 2));
        double whole = CompetitionForecast.factor(s.share(), 0);
        assertThat(factor(halves, 0) + factor(halves, 1)).isCloseTo(whole, within(1e-9));
    }

    @Property(tries = 100)
    void the_full_rate_alone_yields_what_it_yields_alone(@ForAll("sown") Sown s) {
        assertThat(CompetitionForecast.factor(1, CompetitionForecast.rivals(List.of(s), 0)))
                .isCloseTo(1, within(1e-12));
    }

    @Provide
    Arbitrary<List<Sown>> mixes() {
        return sown().list().ofMinSize(1).ofMaxSize(8);
    }
}
