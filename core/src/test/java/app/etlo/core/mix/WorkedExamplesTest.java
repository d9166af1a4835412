package app.etlo.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Examples as extension bulletins and seed-trade leaflets work them, from memory: the numbers follow from their arithmetic. */
class WorkedExamplesTest {
    private static Component byWeight(String species, double kgHa, SeedLot lot) {
        return new Component(
                Seeds.KNOWLEDGE.species().get(species),
                Optional.empty(),
                Optional.empty(),
                Optional.of(new Quantity(kgHa, Unit.KG_PER_HA)),
                Optional.ofNullable(lot),
                SownZone.whole("mix/v1"));
    }

    /** The tag example of pure live seed bulletins: 95 % pure and 80 % germination are 76 % PLS; 10 lb PLS are 13.2 lb of bulk. */
    @Test
    void ten_pounds_of_pure_live_seed_are_thirteen_of_bulk() {
        SeedLot lot = Seeds.lot("cereal-rye", 0.95, 0.80, 0, false);
        SeedRate r = SeedRate.of("mix/v1", byWeight("cereal-rye", 10, lot), Seeds.drilled(1));
        assertThat(r.pls().middle()).isCloseTo(76, within(1e-9));
        assertThat(r.bulkKgHa().middle()).isCloseTo(13.2, within(0.05));
    }

    /** Two species each at half of its full rate: a mixture's rates are shares of the pure rates. */
    @Test
    void half_and_half() {
        Blend b = Blend.of(
                        "mix/v1",
                        List.of(Seeds.share("cereal-rye", 0.5), Seeds.share("crimson-clover", 0.5)),
                        Seeds.drilled(1))
                .orElseThrow();
        for (SeedRate r : b.rates()) {
            assertThat(r.plsKgHa().middle())
                    .isEqualTo(r.component().species().fullRateKgHa().middle() / 2);
        }
    }

    /** 15 % of oats by weight can be 40 % of the seeds of a bean, pea, vetch and oat mix (common practice, from memory). */
    @Test
    void fifteen_percent_of_oats_by_weight_are_forty_of_the_seeds() {
        Blend b = Blend.of(
                        "mix/v1",
                        List.of(
                                byWeight("faba-bean", 35, null),
                                byWeight("spring-pea", 25, null),
                                byWeight("purple-vetch", 25, null),
                                byWeight("spring-oats", 15, null)),
                        Seeds.drilled(1))
                .orElseThrow();
        assertThat(b.weightShares().get(3).middle()).isCloseTo(15, within(1e-9));
        assertThat(b.seedShares().get(3).middle()).isCloseTo(40, within(3.0));
    }
}
