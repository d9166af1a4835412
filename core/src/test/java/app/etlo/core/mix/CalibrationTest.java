package app.etlo.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.mix.Calibration.Caught;
import app.etlo.core.mix.Calibration.Kind;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Calibration against the forms that handbooks and nozzle makers print. */
class CalibrationTest {
    private static Quantity q(double v, Unit u) {
        return new Quantity(v, u);
    }

    private static double delivered(Kind kind, Map<String, Quantity> measured, Unit unit) {
        return Calibration.of(kind, measured, Optional.empty(), Optional.empty(), List.of())
                .delivered()
                .in(unit);
    }

    /** GPA = 5940 x GPM / (mph x inches): the published constant, which rounds 43560 x 12 / 88 = 5940. */
    @Test
    void the_sprayers_constant_is_5940() {
        assertThat(43_560 * 12 / 88.0).isEqualTo(5940);
        double gpa = delivered(
                Kind.SPRAYER_NOZZLE,
                Map.of(
                        "caught", q(0.4, Unit.GALLON),
                        "seconds", q(60, Unit.COUNT),
                        "speed", q(6, Unit.MILE_PER_H),
                        "spacing", q(20, Unit.INCH)),
                Unit.GAL_PER_AC);
        assertThat(gpa).isCloseTo(5940 * 0.4 / (6 * 20), within(1e-9));
    }

    /** On a sheet of 21.8 square feet a pound is a ton an acre: 43560 / 2000 = 21.78. */
    @Test
    void a_pound_on_a_sheet_of_21_8_square_feet_is_a_ton_an_acre() {
        double tons = delivered(
                Kind.MANURE_SHEET,
                Map.of("caught", q(7, Unit.POUND), "sheet", q(21.8, Unit.SQUARE_FOOT)),
                Unit.TON_PER_AC);
        assertThat(tons).isCloseTo(7, within(0.01));
    }

    /** 20,000 an acre in rows of 76 in are 2.91 seeds a foot (chapter on plant population, from memory). */
    @Test
    void seeds_along_a_row() {
        double perAcre = delivered(
                Kind.PLANTER_ROW,
                Map.of("seeds", q(291, Unit.COUNT), "length", q(100, Unit.FOOT), "row", q(76, Unit.INCH)),
                Unit.PER_AC);
        assertThat(perAcre).isCloseTo(20_000, within(30.0));
    }

    @Test
    void and_back_from_a_population_to_seeds_in_the_row() {
        var r = Calibration.of(
                Kind.PLANTER_ROW,
                Map.of("seeds", q(1, Unit.COUNT), "length", q(1, Unit.FOOT), "row", q(76, Unit.INCH)),
                Optional.empty(),
                Optional.of(q(20_000, Unit.PER_AC)),
                List.of());
        assertThat(r.wantedCatch()).hasValueSatisfying(n -> assertThat(n).isCloseTo(2.91, within(0.005)));
    }

    /** A hundredth of a hectare: 10 m wide, 10 m far; a kilogram caught is a hundred a hectare. */
    @Test
    void a_drill_over_a_distance_or_by_turns() {
        double far = delivered(
                Kind.DRILL_DISTANCE,
                Map.of("caught", q(1000, Unit.GRAM), "width", q(10, Unit.METRE), "distance", q(10, Unit.METRE)),
                Unit.KG_PER_HA);
        assertThat(far).isCloseTo(100, within(1e-9));
        double turned = delivered(
                Kind.DRILL_TURNS,
                Map.of(
                        "caught", q(1, Unit.KILOGRAM),
                        "width", q(10, Unit.METRE),
                        "turns", q(5, Unit.COUNT),
                        "round", q(2, Unit.METRE)),
                Unit.KG_PER_HA);
        assertThat(turned).isCloseTo(far, within(1e-9));
    }

    /** kg/ha = 600 x kg/min over km/h x m. */
    @Test
    void a_spinner_by_time() {
        double kgHa = delivered(
                Kind.SPREADER_TIME,
                Map.of(
                        "caught", q(6, Unit.KILOGRAM),
                        "seconds", q(30, Unit.COUNT),
                        "speed", q(10, Unit.KM_PER_H),
                        "width", q(12, Unit.METRE)),
                Unit.KG_PER_HA);
        assertThat(kgHa).isCloseTo(600 * 12.0 / (10 * 12), within(1e-9));
    }

    @Test
    void the_next_setting_lies_between_the_catches_on_either_side() {
        List<Caught> catches = List.of(new Caught(20, 10), new Caught(40, 30), new Caught(30, 18));
        assertThat(Calibration.nextSetting(catches, 24))
                .hasValueSatisfying(s -> assertThat(s).isCloseTo(35, within(1e-9)));
        // beyond them in proportion to the nearest
        assertThat(Calibration.nextSetting(catches, 60))
                .hasValueSatisfying(s -> assertThat(s).isCloseTo(80, within(1e-9)));
        assertThat(Calibration.nextSetting(List.of(), 60)).isEmpty();
        // the newest catch of a setting counts
        assertThat(Calibration.nextSetting(List.of(new Caught(20, 10), new Caught(20, 20)), 40))
                .hasValueSatisfying(s -> assertThat(s).isCloseTo(40, within(1e-9)));
    }

    @Test
    void it_says_by_how_much_to_open() {
        var r = Calibration.of(
                Kind.DRILL_DISTANCE,
                Map.of("caught", q(1000, Unit.GRAM), "width", q(10, Unit.METRE), "distance", q(10, Unit.METRE)),
                Optional.of(30.0),
                Optional.of(q(120, Unit.KG_PER_HA)),
                List.of());
        assertThat(r.changePercent()).hasValueSatisfying(c -> assertThat(c).isCloseTo(20, within(1e-9)));
        assertThat(r.nextSetting()).hasValueSatisfying(s -> assertThat(s).isCloseTo(36, within(1e-9)));
    }

    @Test
    void a_measure_left_out_is_named() {
        assertThatThrownBy(() -> delivered(Kind.MANURE_SHEET, Map.of("caught", q(7, Unit.POUND)), Unit.T_PER_HA))
                .hasMessageContaining("sheet");
    }

    @Property(tries = 200)
    void a_machine_that_is_linear_is_set_right_by_the_second_catch(
            @ForAll @DoubleRange(min = 0.2, max = 5) double slope,
            @ForAll @DoubleRange(min = 5, max = 20) double first,
            @ForAll @DoubleRange(min = 40, max = 80) double second,
            @ForAll @DoubleRange(min = 0, max = 1) double between) {
        double target = slope * (first + between * (second - first));
        double next = Calibration.nextSetting(
                        List.of(new Caught(first, slope * first), new Caught(second, slope * second)), target)
                .orElseThrow();
        assertThat(slope * next).isCloseTo(target, within(1e-6 * target));
    }
}
