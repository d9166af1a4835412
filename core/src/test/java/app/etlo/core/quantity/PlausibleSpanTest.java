package app.etlo.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** The slips that occur: pounds for kilograms, tonnes for kilograms, a fraction for a percentage. */
class PlausibleSpanTest {
    private static final PlausibleSpan BIOMASS = new PlausibleSpan(200, 16_000, Unit.KG_PER_HA);

    @Test
    void five_kilograms_of_biomass_were_tonnes() {
        assertThat(BIOMASS.slips(new Quantity(5.2, Unit.KG_PER_HA)))
                .extracting(s -> s.meant())
                .contains(new Quantity(5.2, Unit.T_PER_HA));
    }

    @Test
    void a_fraction_typed_for_a_percentage_is_seen() {
        PlausibleSpan germination = new PlausibleSpan(20, 100, Unit.PERCENT);
        assertThat(germination.slips(new Quantity(0.92, Unit.PERCENT)))
                .extracting(s -> s.because())
                .contains("a fraction typed for a percentage");
    }

    @Test
    void a_missing_decimal_point_is_seen() {
        PlausibleSpan content = new PlausibleSpan(0.5, 6, Unit.PERCENT);
        assertThat(content.slips(new Quantity(25, Unit.PERCENT)))
                .anySatisfy(s -> assertThat(s.meant().in(Unit.PERCENT)).isEqualTo(2.5));
    }

    /** Vetch at 27 where a full rate is 30 to 85 kg/ha was meant per acre; 250 has a digit too many. */
    @Test
    void pounds_and_kilograms_per_the_other_area_are_seen() {
        PlausibleSpan vetch = new PlausibleSpan(30, 85, Unit.KG_PER_HA);
        assertThat(vetch.slips(new Quantity(27, Unit.KG_PER_HA)))
                .filteredOn(s -> s.meant().unit() == Unit.KG_PER_AC)
                .singleElement()
                .satisfies(s -> {
                    assertThat(s.because()).isEqualTo("typed in kg/ac");
                    assertThat(s.meant().in(Unit.KG_PER_HA))
                            .isCloseTo(66.7, org.assertj.core.api.Assertions.within(0.1));
                });
        assertThat(vetch.slips(new Quantity(120, Unit.KG_PER_HA)))
                .extracting(s -> s.because())
                .contains("typed in lb/ha");
        assertThat(new PlausibleSpan(0.05, 85, Unit.KG_PER_HA).slips(new Quantity(250, Unit.KG_PER_HA)))
                .extracting(s -> s.meant())
                .contains(new Quantity(25, Unit.KG_PER_HA));
    }

    @Property
    void every_slip_offered_would_be_believed(@ForAll @DoubleRange(min = 0, max = 1e6) double typed) {
        Quantity q = new Quantity(typed, Unit.LB_PER_AC);
        assertThat(BIOMASS.slips(q)).allMatch(s -> BIOMASS.holds(s.meant()));
        if (BIOMASS.holds(q)) {
            assertThat(BIOMASS.slips(q)).isEmpty();
        }
    }
}
