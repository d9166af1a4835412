package app.etlo.core.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.quantity.Unit;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class DegreeDaysTest {
    /** The rule as American tables write it, in Fahrenheit: both ends held between 50 and 86, their mean less 50. */
    private static double cornFahrenheit(double tminF, double tmaxF) {
        double high = tmaxF > 86 ? 86 : tmaxF < 50 ? 50 : tmaxF;
        double low = tminF < 50 ? 50 : tminF > 86 ? 86 : tminF;
        return (high + low) / 2 - 50;
    }

    @Property
    void corn_agrees_with_the_rule_in_fahrenheit_divided_by_one_point_eight(
            @ForAll @DoubleRange(min = -30, max = 35) double tmin,
            @ForAll @DoubleRange(min = 0, max = 25) double span) {
        double f = cornFahrenheit(tmin * 1.8 + 32, (tmin + span) * 1.8 + 32);
        assertThat(DegreeDays.CORN.of(tmin, tmin + span)).isCloseTo(f / 1.8, within(1e-9));
        assertThat(Unit.DEGREE_DAY_F.to(Unit.DEGREE_DAY_C, f)).isCloseTo(f / 1.8, within(1e-9));
    }

    @Test
    void the_two_methods_differ_on_a_day_with_a_cold_night() {
        assertThat(DegreeDays.WARM.of(0, 24)).isEqualTo(2);
        assertThat(DegreeDays.CORN.of(0, 24)).isEqualTo(7);
    }

    @Property
    void a_higher_base_never_gives_more(
            @ForAll @DoubleRange(min = -30, max = 35) double tmin,
            @ForAll @DoubleRange(min = 0, max = 25) double span,
            @ForAll @DoubleRange(min = 0, max = 10) double base) {
        double low = DegreeDays.above(base).of(tmin, tmin + span);
        assertThat(DegreeDays.above(base + 2).of(tmin, tmin + span)).isBetween(0.0, low);
    }

    @Test
    void a_temperature_is_turned_with_its_zero_and_a_difference_without() {
        assertThat(Unit.FAHRENHEIT.to(Unit.CELSIUS, 50)).isCloseTo(10, within(1e-12));
        assertThat(Unit.CELSIUS.to(Unit.FAHRENHEIT, -40)).isCloseTo(-40, within(1e-12));
        assertThat(Unit.DEGREE_DAY_C.to(Unit.DEGREE_DAY_F, 100)).isCloseTo(180, within(1e-12));
    }
}
