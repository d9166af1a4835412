package app.etlo.core.knowledge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** What a spray kills follows size and weather; what only rolls, mows or tills does not. */
class SprayEscapeTest {
    private static final KillOfSpecies SPRAYED = new KillOfSpecies(0, 0, 0.95, StageSpread.OF_OTHERS);

    @Test
    void small_plants_on_warm_days_are_killed_as_the_library_says() {
        assertThat(SPRAYED.share(0.3, 0.2, 12)).isCloseTo(0.95, within(1e-9));
    }

    @Test
    void tall_or_cold_plants_escape() {
        assertThat(SPRAYED.share(0.3, 1.2, 12)).isCloseTo(0.925, within(1e-9));
        assertThat(SPRAYED.share(0.3, 0.2, 1)).isCloseTo(0.85, within(1e-9));
        assertThat(SPRAYED.share(0.3, 1.2, 1)).isCloseTo(0.775, within(1e-9));
    }

    @Test
    void rolled_and_sprayed_the_better_counts() {
        KillOfSpecies both = new KillOfSpecies(0.1, 0.9, 0.95, StageSpread.OF_OTHERS);
        assertThat(both.share(1.3, 1.2, 1)).isCloseTo(0.9, within(1e-3));
        assertThat(both.share(0.2, 0.2, 12)).isCloseTo(0.95, within(1e-9));
    }

    @Property
    void a_share_stays_a_share_and_never_rises_with_height_or_cold(
            @ForAll @DoubleRange(max = 3) double heightM,
            @ForAll @DoubleRange(min = -20, max = 30) double airC,
            @ForAll @DoubleRange(max = 1) double killed) {
        KillOfSpecies k = new KillOfSpecies(0, 0, killed, 1);
        double share = k.share(0.5, heightM, airC);
        assertThat(share).isBetween(0.0, 1.0);
        assertThat(k.share(0.5, heightM + 0.1, airC - 1)).isLessThanOrEqualTo(share);
    }

    @Test
    void a_mower_asks_neither() {
        assertThat(KillOfSpecies.whole(0.4).share(0.5, 2, -5)).isEqualTo(0.4);
        assertThat(KillOfSpecies.whole(0).leaving(0.5)).isEqualTo(KillOfSpecies.NONE);
    }
}
