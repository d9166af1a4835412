package app.etlo.core.nitrogen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.nitrogen.YieldResponse.Tried;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Rates that pay best, against optima worked analytically: dY/dN = price of nitrogen over price of grain. */
class YieldResponseTest {
    private static final double[] RATES = {0, 50, 100, 150, 200, 250};

    private static List<Tried> tried(String site, DoubleUnaryOperator yield) {
        List<Tried> all = new ArrayList<>();
        for (double r : RATES) {
            all.add(new Tried(site, r, yield.applyAsDouble(r)));
        }
        return all;
    }

    private static double quadratic(YieldResponse y, double ratio) {
        return y.quadratic().orElseThrow().best("q", ratio, y.mostKgHa()).middle();
    }

    private static double plateau(YieldResponse y, double ratio) {
        return y.plateau().orElseThrow().best("p", ratio, y.mostKgHa()).middle();
    }

    /** Y = 5000 + 40 N - 0.1 N2: 40 - 0.2 N = 5 at 175. */
    @Test
    void a_quadratic_response_pays_best_where_its_slope_is_the_price_ratio() {
        YieldResponse y =
                YieldResponse.of(tried("a", n -> 5000 + 40 * n - 0.1 * n * n)).orElseThrow();
        assertThat(quadratic(y, 5)).isCloseTo(175, within(1e-6));
        assertThat(quadratic(y, 60)).isZero();
        assertThat(quadratic(y, 0.001)).isLessThanOrEqualTo(250);
    }

    /** Y = 9000 - 0.15 (min(N, 160) - 160)2: 0.3 (160 - N) = 6 at 140; a quadratic through the same points says more. */
    @Test
    void a_plateau_says_less_than_a_quadratic() {
        YieldResponse y = YieldResponse.of(tried("a", n -> 9000 - 0.15 * Math.pow(Math.min(n, 160) - 160, 2)))
                .orElseThrow();
        assertThat(plateau(y, 6)).isCloseTo(140, within(0.01));
        assertThat(quadratic(y, 6)).isGreaterThan(150);
    }

    /** A site that does not answer and one that does: the mean's best rate is not the mean of the best rates, 0 and 175. */
    @Test
    void over_sites_the_mean_response_is_optimised() {
        List<Tried> both = new ArrayList<>(tried("a", n -> 5000 + 40 * n - 0.1 * n * n));
        both.addAll(tried("b", n -> 8000));
        YieldResponse y = YieldResponse.of(both).orElseThrow();
        assertThat(y.sites()).isEqualTo(2);
        // (5 - 20) / (2 x -0.05)
        assertThat(quadratic(y, 5)).isCloseTo(150, within(1e-6));
    }

    @Test
    void a_response_that_does_not_bend_has_no_best_rate() {
        assertThat(YieldResponse.of(tried("a", n -> 5000 + 10 * n + 0.01 * n * n))
                        .orElseThrow()
                        .quadratic())
                .isEmpty();
        assertThat(YieldResponse.of(tried("a", n -> 5000).subList(0, 3))).isEmpty();
    }

    @Property
    void dearer_nitrogen_never_pays_more_of_it(
            @ForAll @DoubleRange(min = 0.5, max = 20) double ratio,
            @ForAll @DoubleRange(min = 1, max = 2) double dearer) {
        YieldResponse y = YieldResponse.of(tried(
                        "a", n -> 9000 - 0.15 * Math.pow(Math.min(n, 160) - 160, 2) + 10 * Math.sin(n)))
                .orElseThrow();
        assertThat(plateau(y, ratio * dearer)).isLessThanOrEqualTo(plateau(y, ratio) + 1e-9);
        assertThat(plateau(y, ratio)).isBetween(0.0, 250.0);
    }
}
