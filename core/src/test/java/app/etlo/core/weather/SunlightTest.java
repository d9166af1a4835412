package app.etlo.core.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Against FAO-56 examples 8, 9 and 20 and against the sun's height integrated over the day. */
class SunlightTest {
    @Test
    void radiation_of_example_8_20_degrees_south_on_3_september() {
        assertThat(Sunlight.extraterrestrialMj(-20, 246)).isCloseTo(32.2, within(0.05));
    }

    @Test
    void day_length_of_example_9_the_same_day() {
        assertThat(Sunlight.dayLengthH(-20, 246)).isCloseTo(11.7, within(0.05));
    }

    @Test
    void hargreaves_of_example_20_july_at_45_degrees_43_minutes_north() {
        double ra = Sunlight.extraterrestrialMj(45 + 43 / 60.0, 196);
        assertThat(ra).isCloseTo(40.6, within(0.2));
        assertThat(Sunlight.referenceEvapotranspirationMm(14.8, 26.6, ra)).isCloseTo(5.0, within(0.05));
    }

    /** An outside derivation: what falls on a level surface is the solar constant times the sine of the sun's height. */
    @Property(tries = 60)
    void radiation_is_the_integral_of_the_suns_height(
            @ForAll @DoubleRange(min = -89, max = 89) double latitude, @ForAll @IntRange(min = 1, max = 366) int day) {
        double delta = 0.409 * Math.sin(2 * Math.PI * day / 365 - 1.39);
        double nearness = 1 + 0.033 * Math.cos(2 * Math.PI * day / 365);
        double phi = Math.toRadians(latitude);
        int steps = 40_000;
        double sum = 0;
        int light = 0;
        for (int i = 0; i < steps; i++) {
            double hour = -Math.PI + 2 * Math.PI * (i + 0.5) / steps;
            double height = Math.sin(phi) * Math.sin(delta) + Math.cos(phi) * Math.cos(delta) * Math.cos(hour);
            sum += Math.max(0, height);
            light += height > 0 ? 1 : 0;
        }
        double integral = sum / steps * 24 * 60 * 0.0820 * nearness;
        assertThat(Sunlight.extraterrestrialMj(latitude, day)).isCloseTo(integral, within(0.01));
        assertThat(Sunlight.dayLengthH(latitude, day)).isCloseTo(24.0 * light / steps, within(0.01));
    }

    @Test
    void beyond_the_polar_circle_there_is_night_and_day_without_end() {
        assertThat(Sunlight.dayLengthH(80, 355)).isZero();
        assertThat(Sunlight.extraterrestrialMj(80, 355)).isZero();
        assertThat(Sunlight.dayLengthH(80, 172)).isEqualTo(24);
    }

    @Property
    void clouds_never_add_light(
            @ForAll @DoubleRange(min = -20, max = 25) double tmin,
            @ForAll @DoubleRange(min = 0, max = 40) double span,
            @ForAll @DoubleRange(min = -60, max = 60) double latitude,
            @ForAll @IntRange(min = 1, max = 365) int day) {
        double ra = Sunlight.extraterrestrialMj(latitude, day);
        double rs = Sunlight.fromSpanMj(tmin, tmin + span, ra, true, 100);
        assertThat(rs).isBetween(0.0, Sunlight.clearSkyMj(ra, 100));
    }
}
