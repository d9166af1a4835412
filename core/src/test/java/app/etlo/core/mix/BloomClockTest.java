package app.etlo.core.mix;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.mix.BloomClock.Span;
import app.etlo.core.plan.Plans;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Leaving the bloom, clipping it, and what each gives insects. */
class BloomClockTest {
    private static final LocalDate BLOOM = LocalDate.of(2026, 8, 1);

    private static BloomClock clock(String species, boolean seeds) {
        Span bloom = new Span(BLOOM.minusDays(4), BLOOM, BLOOM.plusDays(4));
        Span seed = new Span(BLOOM.plusDays(20), BLOOM.plusDays(25), BLOOM.plusDays(30));
        return new BloomClock(
                Plans.KNOWLEDGE.species().get(species),
                Optional.of(bloom),
                seeds ? Optional.of(seed) : Optional.empty(),
                30,
                seeds ? 30 : 0,
                30);
    }

    /** Common practice: buckwheat cut in bloom flowers again in about two weeks. */
    @Test
    void buckwheat_is_clipped_a_week_before_seed_and_flowers_again_in_two() {
        BloomClock c = clock("buckwheat", true);
        assertThat(c.clipBy()).contains(BLOOM.plusDays(13));
        assertThat(c.bloomsAgain()).contains(BLOOM.plusDays(27));
        assertThat(c.insectDays(BLOOM.plusDays(13))).isEqualTo(13);
        assertThat(c.insectDays(LocalDate.MAX)).isGreaterThan(13);
    }

    @Test
    void what_sets_no_seed_before_its_end_needs_no_clipping() {
        BloomClock c = clock("buckwheat", false);
        assertThat(c.clipBy()).isEmpty();
        assertThat(c.bloomsAgain()).isEmpty();
        assertThat(c.insectDays(BLOOM.minusDays(1))).isZero();
    }

    @Test
    void a_grass_that_wind_pollinates_gives_insects_nothing() {
        assertThat(clock("cereal-rye", true).insectDays(LocalDate.MAX)).isZero();
    }
}
