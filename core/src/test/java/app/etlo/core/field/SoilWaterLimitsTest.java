package app.etlo.core.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.field.SoilProfile.Layer;
import app.etlo.core.field.SoilWaterLimits.Limits;
import app.etlo.core.working.Origin;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Against table 3 of Saxton and Rawls 2006 at 2.5 % organic matter, volume percent, within 0.6 as it is rounded there. */
class SoilWaterLimitsTest {
    @ParameterizedTest
    @CsvSource({"88,5,5,10", "65,10,8,18", "40,20,14,28", "20,15,11,31", "30,35,22,36", "25,50,30,42"})
    void wilting_point_and_field_capacity_of_table_3(double sand, double clay, double wp, double fc) {
        Limits l = SoilWaterLimits.of(sand, clay, 2.5, 0);
        assertThat(l.wiltingPoint() * 100).isCloseTo(wp, within(0.6));
        assertThat(l.fieldCapacity() * 100).isCloseTo(fc, within(0.6));
    }

    @ParameterizedTest
    @CsvSource({"40,20,46,1.43", "20,15,48,1.38", "30,35,48,1.39", "25,50,50,1.33"})
    void saturation_and_density_of_table_3(double sand, double clay, double saturation, double density) {
        Limits l = SoilWaterLimits.of(sand, clay, 2.5, 0);
        assertThat(l.saturation() * 100).isCloseTo(saturation, within(0.6));
        assertThat(l.densityGCm3()).isCloseTo(density, within(0.02));
    }

    @Property
    void the_limits_stand_in_their_order_for_any_soil(
            @ForAll @DoubleRange(min = 0, max = 100) double sand,
            @ForAll @DoubleRange(min = 0, max = 1) double clayShare,
            @ForAll @DoubleRange(min = 0, max = 60) double organic,
            @ForAll @DoubleRange(min = 0, max = 90) double stones) {
        Limits l = SoilWaterLimits.of(sand, (100 - sand) * clayShare, organic, stones);
        double earth = 1 - stones / 100;
        assertThat(l.wiltingPoint() + 0.02 * earth).isLessThanOrEqualTo(l.fieldCapacity() + 1e-12);
        assertThat(l.fieldCapacity()).isLessThanOrEqualTo(l.saturation() + 1e-12);
        assertThat(l.availableMmPerM()).isPositive();
    }

    @Test
    void more_than_the_whole_is_refused() {
        assertThatThrownBy(() -> SoilWaterLimits.of(70, 40, 2, 0)).hasMessageContaining("100 %");
    }

    @Test
    void half_stones_hold_half_the_water() {
        double whole = SoilWaterLimits.of(40, 20, 2.5, 0).availableMmPerM();
        assertThat(SoilWaterLimits.of(40, 20, 2.5, 50).availableMmPerM()).isCloseTo(whole / 2, within(1e-9));
    }

    @Test
    void the_workings_give_what_the_rule_gives() {
        Layer l = new Layer(0, 0.3, 20, 15, 2.5, 10, Origin.ENTERED, Origin.ENTERED, "typed");
        SoilWaterLimits.OfLayer figures = SoilWaterLimits.figures("field/soil/1", l);
        assertThat(figures.wiltingPoint().middle()).isCloseTo(l.limits().wiltingPoint(), within(1e-12));
        assertThat(figures.fieldCapacity().middle()).isCloseTo(l.limits().fieldCapacity(), within(1e-12));
        assertThat(figures.saturation().middle()).isCloseTo(l.limits().saturation(), within(1e-12));
    }

    @Test
    void a_rooting_limit_cuts_the_layers() {
        Layer top = new Layer(0, 0.3, 20, 15, 2.5, 0, Origin.ENTERED, Origin.ENTERED, "typed");
        Layer below = new Layer(0.3, 0.9, 10, 35, 1, 0, Origin.ENTERED, Origin.ENTERED, "typed");
        SoilProfile deep = new SoilProfile(List.of(top, below), 1.2);
        SoilProfile shallow = new SoilProfile(List.of(top, below), 0.5);
        assertThat(shallow.availableMm())
                .isCloseTo(top.limits().availableMmPerM() * 0.3 + below.limits().availableMmPerM() * 0.2, within(1e-9));
        assertThat(shallow.availableMm()).isLessThan(deep.availableMm());
        assertThat(SoilWaterLimits.available("field/water", shallow.rooted()).middle())
                .isCloseTo(shallow.availableMm(), within(1e-9));
    }
}
