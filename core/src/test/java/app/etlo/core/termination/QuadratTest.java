package app.etlo.core.termination;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.ReferenceProgram;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import java.time.LocalDate;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class QuadratTest {
    private static Quantity g(double v) {
        return new Quantity(v, Unit.GRAM);
    }

    @Test
    void three_cuts_give_a_mean_and_its_standard_error() {
        Quadrat q = new Quadrat(new Quantity(0.25, Unit.SQUARE_METRE), List.of(g(500), g(560), g(620)), 0.2);
        // mean 560 g fresh, 112 g dry on a quarter of a square metre; deviation 60, error 60 / sqrt 3
        var biomass = q.biomass("b").value();
        double kgHa = ReferenceProgram.units("112 g / 0.25 m^2", "kg/hectare");
        assertThat(biomass.middle()).isCloseTo(kgHa, within(1e-9));
        double error = 60 / Math.sqrt(3) * 0.2 / 0.25 * 10;
        assertThat(biomass.low()).isCloseTo(kgHa - error, within(1e-9));
        assertThat(biomass.high()).isCloseTo(kgHa + error, within(1e-9));
    }

    @Test
    void ounces_from_a_frame_of_square_feet_are_the_same_stand() {
        Quadrat q = new Quadrat(new Quantity(4, Unit.SQUARE_FOOT), List.of(new Quantity(30, Unit.OUNCE)), 0.18);
        assertThat(q.biomass("b").in(Unit.LB_PER_AC))
                .isCloseTo(ReferenceProgram.units("30 oz * 0.18 / (4 ft^2)", "lb/intacre"), within(1e-9));
        assertThat(q.biomass("b").value().isExact()).isTrue();
    }

    @Test
    void a_quadrat_needs_a_cut() {
        assertThatThrownBy(() -> new Quadrat(new Quantity(1, Unit.SQUARE_METRE), List.of(), 0.2))
                .hasMessageContaining("needs a sample");
    }

    @Property
    void the_mean_lies_in_its_band_and_the_order_of_cuts_does_not_matter(
            @ForAll @Size(min = 1, max = 12) List<@DoubleRange(min = 1, max = 3000) Double> cuts) {
        List<Quantity> samples = cuts.stream().map(QuadratTest::g).toList();
        List<Quantity> turned = new java.util.ArrayList<>(samples);
        java.util.Collections.reverse(turned);
        Quantity frame = new Quantity(0.5, Unit.SQUARE_METRE);
        var a = new Quadrat(frame, samples, 0.2).biomass("b").value();
        var b = new Quadrat(frame, turned, 0.2).biomass("b").value();
        assertThat(a.low()).isBetween(0.0, a.middle());
        assertThat(a.high()).isGreaterThanOrEqualTo(a.middle());
        assertThat(b.middle()).isCloseTo(a.middle(), within(1e-9));
        assertThat(b.high()).isCloseTo(a.high(), within(1e-6));
    }

    @Test
    void days_dead_before_planting_may_be_negative() {
        var method = app.etlo.core.knowledge.KnowledgeLoader.shipped()
                .terminationMethods()
                .get("mow");
        Termination t = new Termination(LocalDate.of(2027, 5, 1), method);
        assertThat(t.daysBefore("d", LocalDate.of(2027, 5, 12)).middle()).isEqualTo(11);
        assertThat(t.daysBefore("d", LocalDate.of(2027, 4, 28)).middle()).isEqualTo(-3);
    }
}
