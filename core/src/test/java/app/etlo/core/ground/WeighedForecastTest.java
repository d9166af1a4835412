package app.etlo.core.ground;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.quantity.Unit;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Two estimates weighed by their variances, by hand and as laws. */
class WeighedForecastTest {
    private static WeighedForecast.Seen seen(
            double forecast, double sf, double seen, double so, int samples, boolean outside) {
        return new WeighedForecast.Seen(forecast, sf, seen, so, samples, outside);
    }

    private static double factor(WeighedForecast.Seen s) {
        return WeighedForecast.factor("x", "dry tops", Unit.KG_PER_HA, s).middle();
    }

    /** 4 t/ha forecast with a quarter of error, 5 t/ha weighed with a tenth: the weight is 0.0625 / 0.0725, so 1.25 to the 0.8621. */
    @Test
    void by_hand() {
        WeighedForecast.Seen s = seen(4000, 1000, 5000, 500, 6, false);
        assertThat(factor(s)).isCloseTo(1.2121, within(1e-4));
        assertThat(s.errorAfter()).isCloseTo(0.0928, within(1e-4));
    }

    /** Four quadrats at 24 times the forecast are right, and one of them moves it by three tenths. */
    @Test
    void four_cuts_far_outside_the_forecast_win() {
        WeighedForecast.Seen four = seen(200, 50, 4800, 480, 4, true);
        assertThat(factor(four)).isCloseTo(24, within(1e-12));
        assertThat(four.errorAfter()).isCloseTo(0.1, within(1e-12));
        assertThat(factor(seen(200, 50, 4800, 480, 3, true))).isCloseTo(1.3, within(1e-12));
    }

    /** Fewer than four cuts never move it by more than three tenths (common practice). */
    @Property
    void few_samples_move_it_little(
            @ForAll @DoubleRange(min = 100, max = 12_000) double forecast,
            @ForAll @DoubleRange(min = 1, max = 20_000) double seen,
            @ForAll @DoubleRange(min = 0.01, max = 0.5) double error,
            @ForAll @IntRange(min = 1, max = 3) int samples,
            @ForAll boolean outside) {
        assertThat(factor(seen(forecast, 0.25 * forecast, seen, error * seen, samples, outside)))
                .isBetween(0.7 - 1e-9, 1.3 + 1e-9);
    }

    /** It never goes past what was seen, never away from it, and a surer sight moves it further. */
    @Property
    void it_moves_towards_what_was_seen(
            @ForAll @DoubleRange(min = 500, max = 12_000) double forecast,
            @ForAll @DoubleRange(min = 0.05, max = 24) double ratio,
            @ForAll @DoubleRange(min = 0.02, max = 0.3) double error) {
        double seen = forecast * ratio;
        WeighedForecast.Seen one = seen(forecast, 0.25 * forecast, seen, error * seen, 8, false);
        double moved = factor(one);
        assertThat(moved).isBetween(Math.min(1, ratio) - 1e-9, Math.max(1, ratio) + 1e-9);
        double surer = factor(seen(forecast, 0.25 * forecast, seen, error * seen / 2, 8, false));
        assertThat(Math.abs(surer - 1)).isGreaterThanOrEqualTo(Math.abs(moved - 1) - 1e-9);
        assertThat(one.errorAfter()).isLessThanOrEqualTo(0.25 + 1e-12);
    }
}
