package app.etlo.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.knowledge.Species;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;

/** What counts of a mix, and how its species share it. */
class SeasonGrowthTest {
    private static final List<Species> SPECIES = List.of(
            Seeds.KNOWLEDGE.species().get("cereal-rye"),
            Seeds.KNOWLEDGE.species().get("hairy-vetch"),
            Seeds.KNOWLEDGE.species().get("spring-oats"));

    private static Prospect prospect(int of, double[] stands, double[] grown) {
        double[] n = Arrays.stream(stands).map(v -> v * 0.02).toArray();
        double[] grownN = Arrays.stream(grown).map(v -> v * 0.03).toArray();
        return new Prospect(
                SPECIES.get(of),
                stands,
                grown,
                n,
                grownN,
                new double[grown.length],
                new double[grown.length],
                new double[grown.length]);
    }

    @Provide
    Arbitrary<List<Prospect>> mixes() {
        Arbitrary<double[]> years =
                Arbitraries.doubles().between(0, 9000).array(double[].class).ofSize(9);
        return years.list()
                .ofMinSize(1)
                .ofMaxSize(3)
                .map(all -> IntStream.range(0, all.size())
                        .mapToObj(i -> prospect(i, all.get(i), all.get(i)))
                        .toList());
    }

    @Property(tries = 200)
    void the_species_are_the_whole(@ForAll("mixes") List<Prospect> mix) {
        SeasonGrowth g = new SeasonGrowth(mix, false);
        double[] whole = g.massKgHa();
        for (int y = 0; y < whole.length; y++) {
            double sum = 0;
            for (int i = 0; i < mix.size(); i++) {
                sum += g.massKgHa(i)[y];
            }
            assertThat(whole[y]).isCloseTo(sum, within(1e-9));
        }
        double shares = Arrays.stream(g.shares()).sum();
        assertThat(shares).isCloseTo(Arrays.stream(whole).anyMatch(v -> v > 0) ? 1 : 0, within(1e-9));
        assertThat(Arrays.stream(g.shares()).allMatch(v -> v >= 0 && v <= 1)).isTrue();
    }

    @Test
    void what_died_before_a_spring_end_does_not_count() {
        SeasonGrowth g = new SeasonGrowth(
                List.of(
                        prospect(0, new double[] {3000, 4000, 5000}, new double[] {3000, 4000, 5000}),
                        prospect(2, new double[] {0, 0, 0}, new double[] {2000, 2000, 2000})),
                false);
        assertThat(g.byWinter()).isFalse();
        assertThat(g.massKgHa()).containsExactly(3000, 4000, 5000);
        assertThat(g.shares()).containsExactly(1, 0);
        assertThat(g.nitrogenShare()).isCloseTo(0.02, within(1e-12));
        assertThat(g.yearsReaching(6000)).isEqualTo(2);
    }

    @Test
    void what_frost_takes_counts_as_it_stood_where_winter_is_its_end() {
        Prospect oats = prospect(2, new double[] {0, 0, 900}, new double[] {2000, 2500, 3000});
        SeasonGrowth dead = new SeasonGrowth(List.of(oats), false);
        assertThat(dead.byWinter()).isTrue();
        assertThat(dead.massKgHa()).containsExactly(2000, 2500, 3000);
        assertThat(dead.nitrogenShare()).isCloseTo(0.03, within(1e-12));
        // a legume that is dead in November fixes nothing for May
        assertThat(AimDelivery.counted("fix-nitrogen", dead, 0)).containsExactly(0, 0, 900);
        assertThat(AimDelivery.counted("suppress-weeds", dead, 0)).containsExactly(2000, 2500, 3000);
        assertThat(AimDelivery.counted("fix-nitrogen", new SeasonGrowth(List.of(oats), true), 0))
                .containsExactly(2000, 2500, 3000);
    }
}
