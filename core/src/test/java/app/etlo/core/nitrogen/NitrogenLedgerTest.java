package app.etlo.core.nitrogen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.ReferenceProgram;
import app.etlo.core.nitrogen.LedgerLine.Kind;
import app.etlo.core.nitrogen.LedgerLine.Sureness;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The same nitrogen is counted once, and what is left out is named with its reason. */
class NitrogenLedgerTest {
    private static LedgerLine line(Kind kind, double kgHa) {
        Figure amount = Need.local("x/" + kind.id(), new Quantity(kgHa, Unit.KG_PER_HA), "test");
        return new LedgerLine(kind, kind.id(), amount, Sureness.RULE, "");
    }

    private static Set<Kind> counted(NitrogenLedger l) {
        return l.counted().stream().map(LedgerLine::kind).collect(Collectors.toSet());
    }

    @Test
    void a_soybean_credit_is_not_taken_from_a_recommendation_that_has_it_inside() {
        List<LedgerLine> lines = List.of(line(Kind.PREVIOUS_CROP, 45), line(Kind.COVER, 20));
        NitrogenLedger l = NitrogenLedger.of("f", lines, Optional.of("the local recommendation"));
        assertThat(counted(l)).containsExactly(Kind.COVER);
        assertThat(l.leftOut()).singleElement().satisfies(o -> {
            assertThat(o.line().kind()).isEqualTo(Kind.PREVIOUS_CROP);
            assertThat(o.why()).isEqualTo("the local recommendation has it inside");
        });
        assertThat(NitrogenLedger.of("f", lines, Optional.empty())
                        .total()
                        .orElseThrow()
                        .middle())
                .isCloseTo(65, within(1e-9));
    }

    @Test
    void a_nitrate_test_holds_what_the_crop_before_left_there() {
        NitrogenLedger l = NitrogenLedger.of(
                "f", List.of(line(Kind.PREVIOUS_CROP, 45), line(Kind.SOIL_TEST, 60)), Optional.empty());
        assertThat(counted(l)).containsExactly(Kind.SOIL_TEST);
        assertThat(l.leftOut().get(0).why()).contains("nitrate test");
    }

    @Property(tries = 60)
    void a_side_dress_test_leaves_only_itself_and_what_comes_with_water(@ForAll Set<Kind> kinds) {
        List<LedgerLine> lines = kinds.stream().map(k -> line(k, 30)).toList();
        NitrogenLedger l = NitrogenLedger.of("f", lines, Optional.empty());
        assertThat(l.counted().size() + l.leftOut().size()).isEqualTo(lines.size());
        if (kinds.contains(Kind.SIDE_DRESS_TEST)) {
            assertThat(counted(l)).isSubsetOf(Kind.SIDE_DRESS_TEST, Kind.WATER);
        }
        assertThat(l.total().map(Figure::middle).orElse(0.0))
                .isCloseTo(30.0 * l.counted().size(), within(1e-6));
    }

    /** The test's own rule: 25 mg/kg is enough, 8 lb/ac for each one below (Iowa State PM 1714, from memory). */
    @Test
    void a_side_dress_test_says_what_is_left_to_feed() {
        Figure need = Need.local("f", new Quantity(180, Unit.LB_PER_AC), "test");
        double fedKgHa = new Quantity(30, Unit.LB_PER_AC).in(Unit.KG_PER_HA);
        Figure enough = SoilCredits.sideDress("f", need, fedKgHa, 25, "t");
        Figure short10 = SoilCredits.sideDress("f", need, fedKgHa, 15, "t");
        assertThat(180 - 30 - enough.middle()).isCloseTo(0, within(1e-6));
        assertThat(180 - 30 - short10.middle()).isCloseTo(80, within(1e-6));
    }

    /** mg/L x mm / 100, worked by GNU units. */
    @Test
    void water_and_soil_nitrate_are_those_that_gnu_units_finds() {
        assertThat(SoilCredits.water("f", 12, 150).middle())
                .isCloseTo(ReferenceProgram.units("12 mg/l * 150 mm", "kg/hectare"), within(1e-9));
        assertThat(SoilCredits.nitrate("f", 14, 60, "t").middle())
                .isCloseTo(ReferenceProgram.units("14 mg/kg * 60 cm * 1.35 tonne/m^3", "kg/hectare"), within(1e-9));
    }

    /** University of Wisconsin bulletin A2809, from memory. */
    @ParameterizedTest
    @CsvSource({
        "good,25,false,true,190",
        "good,10,false,true,150",
        "fair,25,false,true,160",
        "poor,10,false,true,90",
        "good,25,true,true,140",
        "poor,10,true,true,40",
        "good,25,false,false,152"
    })
    void a_forage_stand_is_credited_by_table(
            String stand, double regrowthCm, boolean sandy, boolean alfalfa, double lbAc) {
        assertThat(ForageStand.first("f", stand, regrowthCm, sandy, alfalfa).middle())
                .isCloseTo(lbAc, within(1e-9));
    }

    @Test
    void the_second_crop_behind_alfalfa_gets_fifty_but_not_on_sand() {
        assertThat(ForageStand.second("f", "good", false).middle()).isEqualTo(50);
        assertThat(ForageStand.second("f", "good", true).middle()).isZero();
        assertThat(ForageStand.second("f", "poor", false).middle()).isZero();
    }
}
