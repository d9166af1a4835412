package app.etlo.core.mix;

import static app.etlo.core.mix.Seeds.density;
import static app.etlo.core.mix.Seeds.drilled;
import static app.etlo.core.mix.Seeds.lot;
import static app.etlo.core.mix.Seeds.share;
import static app.etlo.core.mix.Seeds.sowing;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.ReferenceProgram;
import app.etlo.core.working.Origin;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Pure live seed and seeding arithmetic, against GNU units as a calculator with dimensions and against arithmetic by hand. */
class SeedRateTest {
    private static SeedRate rate(Component c) {
        return SeedRate.of("mix/v", c, drilled(10));
    }

    @Test
    void pls_is_purity_times_what_lives_and_hard_seed_counts_once() {
        // 0.97 x (0.80 + 0.10) by the tag whichever way the tag states it, 0.97 x 0.80 this season
        for (SeedLot l :
                new SeedLot[] {lot("hairy-vetch", 0.97, 0.80, 0.10, false), lot("hairy-vetch", 0.97, 0.90, 0.10, true)
                }) {
            SeedRate r = rate(share("hairy-vetch", 1, l));
            assertThat(r.pls().middle()).isCloseTo(97 * 0.90, within(1e-9));
            assertThat(r.germinates().middle()).isCloseTo(97 * 0.80, within(1e-9));
        }
    }

    @Test
    void bulk_rate_and_seeds_agree_with_the_units_program() {
        SeedRate r = rate(share("cereal-rye", 0.4, lot("cereal-rye", 0.98, 0.85, 0, false)));
        double bulk = ReferenceProgram.units("100 kg/hectare * 0.4 / (0.98 * 0.85)", "kg/hectare");
        assertThat(r.bulkKgHa().middle()).isCloseTo(bulk, within(1e-9));
        double seeds = ReferenceProgram.units("40 kg/hectare * 39700/kg", "1/m^2");
        assertThat(r.seedsM2().middle()).isCloseTo(seeds, within(1e-9));
        double seed = ReferenceProgram.units(bulk + " kg/hectare * 10 hectare * 1.03", "kg");
        assertThat(r.seedKg().middle()).isCloseTo(seed, within(1e-9));
        assertThat(r.bags().orElseThrow().middle()).isEqualTo(Math.ceil(seed / 25));
        assertThat(r.cost().orElseThrow().middle()).isEqualTo(Math.ceil(seed / 25) * 25 * 2);
    }

    @Test
    void a_density_wanted_is_the_density_got() {
        SeedRate r = rate(density("crimson-clover", 300, lot("crimson-clover", 0.98, 0.80, 0.08, false)));
        assertThat(r.seedsM2().middle()).isCloseTo(300, within(1e-9));
        assertThat(r.seedsNowM2().middle()).isCloseTo(300 * 0.80 / 0.88, within(1e-9));
    }

    @Test
    void a_published_rate_for_a_method_multiplies_once() {
        // common practice: broadcast on the surface takes 1.5 times the drilled rate, and a late sowing its own factor
        Component c = share("cereal-rye", 0.4, lot("cereal-rye", 0.98, 0.85, 0, false));
        double drilled = SeedRate.of("m", c, drilled(10)).bulkKgHa().middle();
        assertThat(SeedRate.of("m", c, sowing("broadcast", 1.2, 10)).bulkKgHa().middle())
                .isCloseTo(drilled * 1.5 * 1.2, within(1e-9));
    }

    @Test
    void without_a_lot_usual_values_stand_in_and_say_so() {
        SeedRate r = rate(share("cereal-rye", 0.4));
        assertThat(r.pls().origin()).isEqualTo(Origin.DEFAULT);
        assertThat(r.bulkKgHa().origin()).isEqualTo(Origin.DEFAULT);
        assertThat(r.cost()).isEmpty();
        assertThat(r.pls().working().inputs()).allMatch(i -> i.from().contains("no lot"));
    }

    @Test
    void the_tags_own_seed_count_is_used() {
        SeedLot l = new SeedLot(
                "l",
                "cereal-rye",
                "L",
                1,
                1,
                0,
                false,
                java.util.Optional.of(50_000.0),
                java.util.Optional.empty(),
                java.util.Optional.empty(),
                java.util.Optional.empty(),
                false,
                SeedTag.SILENT);
        assertThat(rate(share("cereal-rye", 0.5, l)).seedsM2().middle()).isCloseTo(50 * 50_000 / 1e4, within(1e-9));
    }

    @Property
    void better_seed_never_needs_more_of_it(
            @ForAll @DoubleRange(min = 0.3, max = 0.9) double germination,
            @ForAll @DoubleRange(min = 0.5, max = 0.9) double purity,
            @ForAll @DoubleRange(min = 0.01, max = 0.05) double better) {
        double worse = rate(share("cereal-rye", 0.5, lot("cereal-rye", purity, germination, 0, false)))
                .bulkKgHa()
                .middle();
        double less = rate(share("cereal-rye", 0.5, lot("cereal-rye", purity + better, germination, 0, false)))
                .bulkKgHa()
                .middle();
        double least = rate(share(
                        "cereal-rye", 0.5, lot("cereal-rye", purity + better, germination + better, 0, false)))
                .bulkKgHa()
                .middle();
        assertThat(less).isLessThan(worse);
        assertThat(least).isLessThan(less);
    }

    @Property
    void bags_hold_the_seed_and_not_one_bag_more(
            @ForAll @DoubleRange(min = 0.01, max = 1.5) double share,
            @ForAll @DoubleRange(min = 0.05, max = 400) double ha) {
        SeedRate r = SeedRate.of("m", share("winter-pea", share, lot("winter-pea", 0.98, 0.9, 0, false)), drilled(ha));
        double held = r.bags().orElseThrow().middle() * 25;
        assertThat(held).isGreaterThanOrEqualTo(r.seedKg().middle());
        assertThat(held - 25).isLessThan(r.seedKg().middle());
    }
}
