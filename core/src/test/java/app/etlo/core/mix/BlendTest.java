package app.etlo.core.mix;

import static app.etlo.core.mix.Seeds.density;
import static app.etlo.core.mix.Seeds.drilled;
import static app.etlo.core.mix.Seeds.lot;
import static app.etlo.core.mix.Seeds.share;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.knowledge.Species;
import app.etlo.core.working.Figure;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

/** Laws of a blend: shares close, boxes close, order does not matter, more never gives less. */
class BlendTest {
    @Provide
    Arbitrary<List<Component>> blends() {
        List<String> ids =
                Seeds.KNOWLEDGE.species().all().stream().map(Species::id).toList();
        Arbitrary<Component> component = Combinators.combine(
                        Arbitraries.of(ids), Arbitraries.doubles().between(0.01, 1.5))
                .as((id, share) -> share(id, share, lot(id, 0.97, 0.85, 0.05, false)));
        return component
                .list()
                .ofMinSize(1)
                .ofMaxSize(12)
                .uniqueElements(c -> c.species().id());
    }

    private static Blend blend(List<Component> parts) {
        return Blend.of("mix/v", parts, drilled(10)).orElseThrow();
    }

    private static double sum(List<Figure> figures) {
        return figures.stream().mapToDouble(Figure::middle).sum();
    }

    @Property
    void shares_close_at_a_hundred_and_boxes_at_the_whole(@ForAll("blends") List<Component> parts) {
        Blend b = blend(parts);
        assertThat(sum(b.weightShares())).isCloseTo(100, within(1e-9));
        assertThat(sum(b.seedShares())).isCloseTo(100, within(1e-9));
        assertThat(b.boxes().stream().mapToDouble(x -> x.rateKgHa().middle()).sum())
                .isCloseTo(b.bulkKgHa().middle(), within(1e-9));
        assertThat(b.boxes().stream().mapToInt(x -> x.species().size()).sum()).isEqualTo(parts.size());
        assertThat(b.cost().orElseThrow().middle())
                .isCloseTo(b.costPerHa().orElseThrow().middle() * 10, within(1e-6));
    }

    @Property
    void the_order_of_the_species_does_not_matter(
            @ForAll("blends") List<Component> parts, @ForAll @LongRange(min = 0, max = 99) long seed) {
        List<Component> shuffled = new ArrayList<>(parts);
        Collections.shuffle(shuffled, new Random(seed));
        Blend a = blend(parts);
        Blend b = blend(shuffled);
        assertThat(b.bulkKgHa().middle()).isCloseTo(a.bulkKgHa().middle(), within(1e-9));
        assertThat(b.seedsM2().middle()).isCloseTo(a.seedsM2().middle(), within(1e-9));
        for (SeedRate r : a.rates()) {
            assertThat(b.rates().stream()
                            .filter(x ->
                                    x.component().species().equals(r.component().species()))
                            .findFirst()
                            .orElseThrow()
                            .bulkKgHa()
                            .middle())
                    .isEqualTo(r.bulkKgHa().middle());
        }
    }

    @Property
    void one_species_more_never_makes_the_mix_lighter_or_cheaper(@ForAll("blends") List<Component> parts) {
        if (parts.size() < 2) {
            return;
        }
        Blend less = blend(parts.subList(0, parts.size() - 1));
        Blend more = blend(parts);
        assertThat(more.bulkKgHa().middle()).isGreaterThan(less.bulkKgHa().middle());
        assertThat(more.seedsM2().middle()).isGreaterThan(less.seedsM2().middle());
        assertThat(more.cost().orElseThrow().middle())
                .isGreaterThan(less.cost().orElseThrow().middle());
    }

    @Test
    void weight_share_is_not_plant_share() {
        // a small part of the weight can be a large part of the seeds: phacelia beside pea
        Blend b = blend(List.of(
                share("winter-pea", 0.8, lot("winter-pea", 0.98, 0.9, 0, false)),
                share("phacelia", 0.3, lot("phacelia", 0.98, 0.9, 0, false))));
        assertThat(b.weightShares().get(1).middle()).isLessThan(10);
        assertThat(b.seedShares().get(1).middle()).isGreaterThan(60);
    }

    @Test
    void seed_is_split_by_its_size() {
        Blend b = blend(List.of(share("cereal-rye", 0.5), share("hairy-vetch", 0.3), share("crimson-clover", 0.3)));
        assertThat(b.boxes()).extracting(SeedBox::id).containsExactly("large", "small");
        assertThat(b.boxes().get(1).species()).containsExactly("crimson-clover");
        // 3 m x 50 m are 150 m2 = 0.015 ha
        SeedBox small = b.boxes().get(1);
        assertThat(small.catchG().middle()).isCloseTo(small.rateKgHa().middle() * 0.015 * 1000, within(1e-9));
    }

    @Test
    void what_has_no_rate_is_left_out_and_nothing_gives_no_blend() {
        assertThat(blend(List.of(share("cereal-rye", 0.5), share("phacelia", 0)))
                        .rates())
                .hasSize(1);
        assertThat(Blend.of("m", List.of(density("phacelia", 0, null)), drilled(1)))
                .isEmpty();
        assertThat(Blend.of("m", List.of(), drilled(1))).isEmpty();
    }
}
