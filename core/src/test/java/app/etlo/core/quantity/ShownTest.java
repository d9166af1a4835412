package app.etlo.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ShownTest {
    @ParameterizedTest
    @CsvSource({
        "0, kg/ha, 0",
        "0.04, kg/ha, 0.04",
        "4.64, kg/ha, 4.6",
        "24.13, kg/ha, 24",
        "8754.2, lb/ac, 8754",
        "-16.4, kg/ha, −16.4",
        "2.44, STIR, 2.4",
        "17.3, STIR, 17",
        "0.9, %, 0.90",
        "28.571, %, 28.6",
        "7.92, /m2, 7.9",
        "470.6, /m2, 471",
        "124.06, ¤/ha, 124.1",
        "261, ¤, 261.00",
        "12, bags, 12",
        "1.2, m, 1.2",
    })
    void numbers_are_as_fine_as_they_are_measured(double value, String unit, String text) {
        assertThat(Shown.text(value, Unit.of(unit))).isEqualTo(text);
    }

    @Test
    void units_are_read_and_written_with_their_powers() {
        assertThat(Unit.PER_FT2.written()).isEqualTo("/ft²");
        assertThat(Unit.G_PER_M2.written()).isEqualTo("g/m²");
        assertThat(Unit.of("/m²")).isEqualTo(Unit.PER_M2).isEqualTo(Unit.of("/m2"));
        assertThat(Unit.PER_M2.symbol()).isEqualTo("/m2");
    }

    @Test
    void a_percent_that_is_not_known_to_a_point_carries_no_tenths() {
        assertThat(Shown.text(91.63, Unit.PERCENT, 5.2)).isEqualTo("92");
        assertThat(Shown.text(91.63, Unit.PERCENT, 0)).isEqualTo("91.6");
        assertThat(Shown.text(0.42, Unit.PERCENT, 12)).isEqualTo("0");
        // only percents: a mass keeps its tenths
        assertThat(Shown.text(4.13, Unit.T_PER_HA, 2)).isEqualTo("4.1");
    }

    @Test
    void thousands_stand_in_groups_and_dates_leave_no_doubt() {
        assertThat(Shown.text(12_345, Unit.KILOGRAM)).isEqualTo("12\u202f345");
        assertThat(Shown.text(LocalDate.of(2027, 5, 4).toEpochDay(), Unit.DATE)).isEqualTo("4 May 2027");
    }

    @Property
    void rounding_never_strays_by_more_than_a_twentieth(@ForAll @DoubleRange(min = 0.01, max = 1e6) double v) {
        for (Unit u : new Unit[] {Unit.KG_PER_HA, Unit.PERCENT, Unit.PER_M2, Unit.DISTURBANCE, Unit.KILOGRAM}) {
            double read = Double.parseDouble(Shown.text(v, u).replace("\u202f", ""));
            assertThat(Math.abs(read - v)).as(v + " " + u).isLessThanOrEqualTo(Math.max(0.051, v * 0.05));
        }
    }
}
