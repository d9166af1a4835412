package app.etlo.core.working;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class FormulaTest {
    private static final Formula QUOTIENT = Formula.of("Quotient", "a / b", Source.identity("a quotient"), "a", "b");

    private static Input in(String symbol, Band value, Origin origin) {
        return Input.banded(symbol, symbol, value, Unit.FRACTION, origin, "test");
    }

    private static Figure quotient(Band a, Band b) {
        return QUOTIENT.figure("q", "Q", Unit.FRACTION, in("a", a, Origin.MEASURED), in("b", b, Origin.ENTERED));
    }

    @Property
    void the_band_spans_every_value_between(
            @ForAll @DoubleRange(min = 1, max = 9) double a,
            @ForAll @DoubleRange(min = 1, max = 9) double b,
            @ForAll @DoubleRange(min = 0, max = 1) double u,
            @ForAll @DoubleRange(min = 0, max = 1) double w) {
        Figure f = quotient(new Band(a, a + 1, a + 2), new Band(b, b + 1, b + 2));
        double inside = (a + 2 * u) / (b + 2 * w);
        assertThat(inside).isBetween(f.value().low() - 1e-12, f.value().high() + 1e-12);
        assertThat(f.middle()).isCloseTo((a + 1) / (b + 1), within(1e-12));
    }

    @Test
    void a_figure_is_no_better_than_its_weakest_input() {
        assertThat(quotient(Band.exactly(1), Band.exactly(2)).origin()).isEqualTo(Origin.ENTERED);
        Figure f = QUOTIENT.figure(
                "q",
                "Q",
                Unit.FRACTION,
                in("a", Band.exactly(1), Origin.DEFAULT),
                in("b", Band.exactly(2), Origin.MEASURED));
        assertThat(f.origin()).isEqualTo(Origin.DEFAULT);
    }

    @Test
    void a_result_without_end_and_an_input_left_out_are_refused() {
        assertThatThrownBy(() -> quotient(Band.exactly(1), Band.exactly(0))).isInstanceOf(ArithmeticException.class);
        assertThatThrownBy(() -> QUOTIENT.figure("q", "Q", Unit.FRACTION, in("a", Band.exactly(1), Origin.ENTERED)))
                .hasMessageContaining("needs");
    }

    @Test
    void an_empty_sum_is_zero() {
        assertThat(Formula.sum("Sum", 0).figure("s", "S", Unit.KILOGRAM).middle())
                .isZero();
    }

    @Property
    void an_expression_has_the_value_that_another_evaluator_gives_it(
            @ForAll @DoubleRange(min = 0.1, max = 9) double a, @ForAll @DoubleRange(min = 0.1, max = 9) double b) {
        String all = "max(a, b) - min(a, 2) * (a + 3) ^ 2 / b + exp(-a / b) + sqrt(b) + ceil(a - 0.5) - 1.283*a^2";
        Map<String, Double> symbols = Map.of("a", a, "b", b);
        double other = OtherEvaluator.value(all, symbols);
        assertThat(Formula.evaluate(all, symbols)).isCloseTo(other, within(1e-9 * Math.max(1, Math.abs(other))));
    }

    /** Independent errors of a sum add in quadrature. */
    @Test
    void many_bands_are_added_in_quadrature() {
        Input[] inputs = new Input[9];
        for (int i = 0; i < 9; i++) {
            inputs[i] = in("s" + (i + 1), new Band(9, 10, 12), Origin.FORECAST);
        }
        Band sum = Formula.sum("Sum", 9).figure("s", "S", Unit.KILOGRAM, inputs).value();
        assertThat(sum.middle()).isEqualTo(90);
        assertThat(sum.low()).isCloseTo(90 - 3, within(1e-9));
        assertThat(sum.high()).isCloseTo(90 + 6, within(1e-9));
    }

    @Test
    void an_expression_that_cannot_be_read_is_refused() {
        assertThatThrownBy(() -> Formula.of("Bad", "a +* 2", Source.identity("none"), "a"))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
