package app.etlo.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Sentences in the units of whoever reads them. Conversions as GNU units gives them: 2 cm = 0.787 in, 4 degrees C = 39.2 F. */
class SaidTest {
    /** Rules of thumb in centimetres are whole inches where that is close, and keep their half where it is not. */
    @Test
    void a_span_of_lengths_is_whole_where_that_is_close() {
        assertThat(Said.in(Said.span(15, 30, Unit.CENTIMETRE), UnitSystem.US, "USD"))
                .isEqualTo("6 to 12 in");
        assertThat(Said.in(Said.span(5, 8, Unit.CENTIMETRE), UnitSystem.US, "USD"))
                .isEqualTo("2 to 3 in");
        assertThat(Said.in(Said.span(4, 6, Unit.CENTIMETRE), UnitSystem.US, "USD"))
                .isEqualTo("1.6 to 2.4 in");
    }

    private static String both(String text) {
        return Said.in(text, UnitSystem.METRIC, "EUR") + " | " + Said.in(text, UnitSystem.US, "USD");
    }

    @Test
    void quantities_are_written_in_the_units_of_the_farm_as_finely_as_they_were_meant() {
        assertThat(both("above " + Said.of(4, Unit.CELSIUS))).isEqualTo("above 4 °C | above 39 °F");
        assertThat(both("by " + Said.of(2, Unit.CENTIMETRE))).isEqualTo("by 2 cm | by 0.79 in");
        assertThat(both(Said.span(0, 30, Unit.CENTIMETRE))).isEqualTo("0 to 30 cm | 0 to 12 in");
        assertThat(both(Said.of(1, Unit.T_PER_HA))).isEqualTo("1 t/ha | 0.45 ton/ac");
        assertThat(both(Said.of(169, Unit.MONEY_PER_HA, "USD"))).isEqualTo("169 USD/ha | 68.4 USD/ac");
        assertThat(both("nothing to change")).isEqualTo("nothing to change | nothing to change");
    }
}
