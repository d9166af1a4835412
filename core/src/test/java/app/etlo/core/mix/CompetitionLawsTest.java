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
    void a_neighbour_never_adds_to_a_species(@ForAll("mixes") @Size(min = 2, max = 8) List<Sown> mix) {
        for (int i = 0; i < mix.size(); i++) {
            double pure = CompetitionForecast.factor(mix.get(i).share(), 0);
            assertThat(factor(mix, i)).isLessThanOrEqualTo(pure + 1e-12);
        }
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
