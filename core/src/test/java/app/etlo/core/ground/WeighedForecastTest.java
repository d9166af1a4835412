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
    private static double factor(double forecast, double sf, double seen, double so, int samples) {
        return WeighedForecast.factor("x", "dry tops", Unit.KG_PER_HA, forecast, sf, seen, so, samples)
                .middle();
    }

    /** 4 t/ha forecast with 1 t/ha of error, 5 t/ha weighed with 0.5: the weight is 1 / 1.25, so 4.8 t/ha. */
    @Test
    void by_hand() {
        assertThat(factor(4000, 1000, 5000, 500, 6)).isCloseTo(1.2, within(1e-12));
        assertThat(WeighedForecast.errorAfter(1000, 500)).isCloseTo(447.2136, within(1e-4));
    }

    /** Fewer than four cuts never move it by more than three tenths (common practice). */
    @Property
    void few_samples_move_it_little(
            @ForAll @DoubleRange(min = 100, max = 12_000) double forecast,
            @ForAll @DoubleRange(min = 1, max = 20_000) double seen,
            @ForAll @DoubleRange(min = 0.01, max = 0.5) double error,
            @ForAll @IntRange(min = 1, max = 3) int samples) {
        assertThat(factor(forecast, 0.25 * forecast, seen, error * seen, samples))
                .isBetween(0.7 - 1e-9, 1.3 + 1e-9);
    }

    /** It never goes past what was seen, never away from it, and a surer sight moves it further. */
    @Property
    void it_moves_towards_what_was_seen(
            @ForAll @DoubleRange(min = 500, max = 12_000) double forecast,
            @ForAll @DoubleRange(min = 0.3, max = 1.8) double ratio,
            @ForAll @DoubleRange(min = 0.02, max = 0.3) double error) {
        double seen = forecast * ratio;
        double moved = factor(forecast, 0.25 * forecast, seen, error * seen, 8);
        assertThat(moved).isBetween(Math.min(1, ratio) - 1e-9, Math.max(1, ratio) + 1e-9);
        double surer = factor(forecast, 0.25 * forecast, seen, error * seen / 2, 8);
        assertThat(Math.abs(surer - 1)).isGreaterThanOrEqualTo(Math.abs(moved - 1) - 1e-9);
        assertThat(WeighedForecast.errorAfter(0.25 * forecast, error * seen)).isLessThanOrEqualTo(0.25 * forecast);
    }
}
