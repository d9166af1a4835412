package app.etlo.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.ReferenceProgram;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Units against the program {@code units} (GNU units) and against the laws of conversion. */
class UnitConversionTest {
    /** How GNU units writes our units; its plain acre is a survey acre, ours is the international one. */
    private static final Map<Unit, String> IN_UNITS = new EnumMap<>(Map.ofEntries(
            Map.entry(Unit.HECTARE, "hectare"),
            Map.entry(Unit.ACRE, "intacre"),
            Map.entry(Unit.SQUARE_METRE, "m^2"),
            Map.entry(Unit.SQUARE_FOOT, "ft^2"),
            Map.entry(Unit.METRE, "m"),
            Map.entry(Unit.CENTIMETRE, "cm"),
            Map.entry(Unit.FOOT, "ft"),
            Map.entry(Unit.INCH, "inch"),
            Map.entry(Unit.KILOGRAM, "kg"),
            Map.entry(Unit.GRAM, "g"),
            Map.entry(Unit.TONNE, "tonne"),
            Map.entry(Unit.POUND, "lb"),
            Map.entry(Unit.OUNCE, "oz"),
            Map.entry(Unit.SHORT_TON, "shortton"),
            Map.entry(Unit.LITRE, "liter"),
            Map.entry(Unit.GALLON, "usgallon"),
            Map.entry(Unit.KG_PER_HA, "kg/hectare"),
            Map.entry(Unit.T_PER_HA, "tonne/hectare"),
            Map.entry(Unit.G_PER_M2, "g/m^2"),
            Map.entry(Unit.LB_PER_AC, "lb/intacre"),
            Map.entry(Unit.CWT_PER_AC, "100 lb/intacre"),
            Map.entry(Unit.TON_PER_AC, "shortton/intacre"),
            Map.entry(Unit.L_PER_HA, "liter/hectare"),
            Map.entry(Unit.GAL_PER_AC, "usgallon/intacre"),
            Map.entry(Unit.PER_M2, "1/m^2"),
            Map.entry(Unit.PER_FT2, "1/ft^2"),
            Map.entry(Unit.PER_HA, "1/hectare"),
            Map.entry(Unit.PER_AC, "1/intacre"),
            Map.entry(Unit.PER_KG, "1/kg"),
            Map.entry(Unit.PER_LB, "1/lb"),
            Map.entry(Unit.KG_PER_L, "kg/liter"),
            Map.entry(Unit.LB_PER_GAL, "lb/usgallon"),
            Map.entry(Unit.KG_N_PER_T, "kg/tonne"),
            Map.entry(Unit.LB_N_PER_CWT, "lb/(100 lb)"),
            Map.entry(Unit.KM_PER_H, "km/hour"),
            Map.entry(Unit.MILE_PER_H, "mile/hour"),
            Map.entry(Unit.PERCENT, "0.01"),
            Map.entry(Unit.G_PER_KG, "g/kg"),
            Map.entry(Unit.FRACTION, "1"),
            Map.entry(Unit.DAY, "day")));

    static Stream<Unit> comparable() {
        return IN_UNITS.keySet().stream();
    }

    @ParameterizedTest
    @MethodSource("comparable")
    void agrees_with_the_units_program(Unit from) {
        Stream.of(Unit.values())
                .filter(to -> to.dimension() == from.dimension() && IN_UNITS.containsKey(to))
                .forEach(to -> {
                    double theirs = ReferenceProgram.units("37.5 (" + IN_UNITS.get(from) + ")", IN_UNITS.get(to));
                    assertThat(from.to(to, 37.5))
                            .as("37.5 " + from.symbol() + " in " + to.symbol())
                            .isCloseTo(theirs, within(Math.abs(theirs) * 1e-12));
                });
    }

    @Test
    void money_per_area_and_mass_follow_the_physical_units() {
        assertThat(Unit.MONEY_PER_HA.to(Unit.MONEY_PER_AC, 100))
                .isCloseTo(100 * ReferenceProgram.units("intacre", "hectare"), within(1e-9));
        assertThat(Unit.MONEY_PER_LB.to(Unit.MONEY_PER_KG, 1))
                .isCloseTo(1 / ReferenceProgram.units("lb", "kg"), within(1e-9));
        assertThat(Unit.MONEY_PER_TON.to(Unit.MONEY_PER_T, 400))
                .isCloseTo(400 / ReferenceProgram.units("shortton", "tonne"), within(1e-9));
    }

    @Property
    void there_and_back_is_the_same(
            @ForAll @DoubleRange(min = -1e6, max = 1e6) double v, @ForAll Unit a, @ForAll Unit b) {
        if (a.dimension() == b.dimension()) {
            assertThat(b.to(a, a.to(b, v))).isCloseTo(v, within(Math.abs(v) * 1e-12 + 1e-12));
        } else {
            assertThatThrownBy(() -> a.to(b, v)).hasMessageContaining("cannot turn");
        }
    }

    @Test
    void every_shown_unit_of_a_farm_measures_the_same_thing() {
        for (UnitSystem system : UnitSystem.values()) {
            for (Unit u : Unit.values()) {
                assertThat(system.shown(u).dimension()).as(system + " " + u).isEqualTo(u.dimension());
            }
        }
    }

    @Test
    void symbols_are_read_back() {
        Arrays.stream(Unit.values())
                .filter(u -> !u.symbol().isEmpty())
                .forEach(u -> assertThat(Unit.of(u.symbol())).isEqualTo(u));
        assertThat(Unit.find("stone/rood")).isEmpty();
        assertThatThrownBy(() -> Unit.of("stone/rood")).hasMessageContaining("stone/rood");
    }
}
