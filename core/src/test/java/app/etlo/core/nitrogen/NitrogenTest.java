package app.etlo.core.nitrogen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.ReferenceProgram;
import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.termination.Evidence;
import app.etlo.core.termination.Stand;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Need, release of the cover's nitrogen, and product arithmetic; US units checked with GNU units. */
class NitrogenTest {
    private static final Knowledge KNOWLEDGE = KnowledgeLoader.shipped();
    private static final Figure TEN_HA = app.etlo.core.field.FieldArea.typed(new Quantity(10, Unit.HECTARE));

    private static CoverCredit credit(Evidence evidence, double kgHa, double nPercent) {
        return CoverCredit.of(
                "feed/c",
                Stand.said(
                                "end/v",
                                evidence,
                                Optional.of(new Quantity(kgHa, Unit.KG_PER_HA)),
                                Optional.empty(),
                                Optional.of(nPercent),
                                Optional.empty())
                        .orElseThrow());
    }

    private static Figure need(double kgHa) {
        return Need.local("feed/c", new Quantity(kgHa, Unit.KG_PER_HA), "the bulletin of the region");
    }

    private static LeftToBuy left(double need, Optional<Figure> credit, String product) {
        return LeftToBuy.of(
                "feed/c",
                need(need),
                credit,
                Optional.empty(),
                Optional.of(KNOWLEDGE.products().get(product)),
                Optional.of(new Quantity(400, Unit.MONEY_PER_T)),
                TEN_HA);
    }

    /** -53.44 + 16.98 sqrt(N in g/kg), computed by hand (Vigil and Kissel 1991). */
    @ParameterizedTest
    @CsvSource({"1.6, 14.48", "2.5, 31.46", "3.6, 48.44", "0.9, -2.5"})
    void share_released_by_the_published_rule(double nPercent, double share) {
        assertThat(credit(Evidence.WEIGHED, 5000, nPercent).released().middle()).isCloseTo(share, within(1e-9));
    }

    @Test
    void the_rule_is_zero_at_a_carbon_to_nitrogen_ratio_of_forty_to_forty_five() {
        assertThat(CoverCredit.ZERO_AT_N_G_KG).isCloseTo(9.905, within(5e-4));
        // dry plant matter holds 40 to 45 % carbon
        assertThat(400 / CoverCredit.ZERO_AT_N_G_KG).isBetween(40.0, 45.5);
        assertThat(450 / CoverCredit.ZERO_AT_N_G_KG).isBetween(40.0, 45.5);
    }

    @Test
    void weighed_counts_whole_expected_none_half_whole() {
        double whole = 5000 * 0.025 * 0.3146;
        assertThat(credit(Evidence.WEIGHED, 5000, 2.5).credit().value().map(v -> v))
                .satisfies(b -> assertThat(b.low()).isCloseTo(whole, within(1e-9)));
        var expected = credit(Evidence.EXPECTED, 5000, 2.5).credit().value();
        assertThat(expected.low()).isZero();
        assertThat(expected.middle()).isCloseTo(whole / 2, within(1e-9));
        assertThat(expected.high()).isCloseTo(whole, within(1e-9));
    }

    @Test
    void a_tie_up_that_is_expected_counts_whole_against_the_crop() {
        var tied = credit(Evidence.EXPECTED, 8000, 0.8).credit().value();
        assertThat(tied.middle()).isNegative().isEqualTo(tied.low());
        assertThat(tied.high()).isZero();
        LeftToBuy l = left(150, Optional.of(credit(Evidence.EXPECTED, 8000, 0.8).credit()), "urea");
        assertThat(l.left().middle()).isGreaterThan(150);
    }

    @Test
    void need_by_yield_goal_is_evaluated_in_the_factors_own_units() {
        var corn = KNOWLEDGE.crops().get("grain-corn");
        Figure n = Need.byYieldGoal(
                        "f",
                        corn,
                        Optional.of(new Quantity(160, Unit.BU_PER_AC)),
                        Optional.of(new Quantity(1.1, Unit.LB_N_PER_BU)))
                .orElseThrow();
        assertThat(n.middle()).isCloseTo(176, within(1e-9));
        assertThat(n.in(Unit.KG_PER_HA))
                .isCloseTo(ReferenceProgram.units("176 lb/intacre", "kg/hectare"), within(1e-9));
        // the same goal told as mass: a bushel of corn weighs 56 lb
        double tHa = ReferenceProgram.units("160 * 56 lb/intacre", "tonne/hectare");
        Figure same = Need.byYieldGoal(
                        "f",
                        corn,
                        Optional.of(new Quantity(tHa, Unit.T_PER_HA)),
                        Optional.of(new Quantity(1.1, Unit.LB_N_PER_BU)))
                .orElseThrow();
        assertThat(same.middle()).isCloseTo(176, within(1e-9));
    }

    @Test
    void the_usual_factor_of_corn_is_a_band_and_a_default() {
        Figure n = Need.byYieldGoal(
                        "f",
                        KNOWLEDGE.crops().get("grain-corn"),
                        Optional.of(new Quantity(200, Unit.BU_PER_AC)),
                        Optional.empty())
                .orElseThrow();
        assertThat(n.value().low()).isCloseTo(200, within(1e-9));
        assertThat(n.value().high()).isCloseTo(240, within(1e-9));
        assertThat(n.origin().id()).isEqualTo("default");
    }

    /** 40 t of potatoes per ha take up some 160 to 220 kg of nitrogen (extension tables: 4 to 5.5 kg per tonne). */
    @Test
    void roots_tubers_and_silage_have_factors_per_tonne() {
        Figure n = Need.byYieldGoal(
                        "f",
                        KNOWLEDGE.crops().get("potato"),
                        Optional.of(new Quantity(40, Unit.T_PER_HA)),
                        Optional.empty())
                .orElseThrow();
        assertThat(n.value().low()).isCloseTo(160, within(1e-9));
        assertThat(n.value().high()).isCloseTo(220, within(1e-9));
    }

    @Test
    void without_a_goal_or_a_factor_there_is_no_need() {
        assertThat(Need.byYieldGoal("f", KNOWLEDGE.crops().get("grain-corn"), Optional.empty(), Optional.empty()))
                .isEmpty();
    }

    /** Where no factor by yield is in use, guides give a rate: it needs no goal, and a factor that is typed goes before it. */
    @Test
    void a_vegetable_has_a_usual_rate_until_a_factor_is_typed() {
        Crop onion = KNOWLEDGE.crops().get("onion");
        Figure usual =
                Need.byYieldGoal("f", onion, Optional.empty(), Optional.empty()).orElseThrow();
        assertThat(usual.in(Unit.KG_PER_HA)).isBetween(100.0, 200.0);
        assertThat(usual.value().low()).isLessThan(usual.value().high());
        assertThat(Need.byYieldGoal(
                                "f",
                                onion,
                                Optional.of(new Quantity(40, Unit.T_PER_HA)),
                                Optional.of(new Quantity(3, Unit.KG_N_PER_T)))
                        .orElseThrow()
                        .in(Unit.KG_PER_HA))
                .isCloseTo(120, within(1e-9));
    }

    @Test
    void every_crop_of_the_library_has_a_need() {
        assertThat(KNOWLEDGE.crops().all()).allSatisfy(c -> assertThat(c.need()).isPresent());
    }

    @Test
    void product_arithmetic_of_solid_and_liquid_products() {
        // 63 lb N are 300 lb of ammonium sulfate 21-0-0
        double n = ReferenceProgram.units("63 lb/intacre", "kg/hectare");
        assertThat(left(n, Optional.empty(), "ammonium-sulfate")
                        .productKgHa()
                        .orElseThrow()
                        .in(Unit.LB_PER_AC))
                .isCloseTo(300, within(1e-9));
        // UAN 28 % at 10.66 lb/gal holds 2.98 lb N a gallon, UAN 32 % at 11.06 lb/gal 3.54
        double hundred = ReferenceProgram.units("100 lb/intacre", "kg/hectare");
        assertThat(100
                        / left(hundred, Optional.empty(), "uan28")
                                .productLHa()
                                .orElseThrow()
                                .middle())
                .isCloseTo(2.98, within(0.005));
        assertThat(100
                        / left(hundred, Optional.empty(), "uan32")
                                .productLHa()
                                .orElseThrow()
                                .middle())
                .isCloseTo(3.54, within(0.005));
        assertThat(left(hundred, Optional.empty(), "urea").productLHa()).isEmpty();
    }

    @Test
    void an_organic_product_is_bought_by_what_becomes_available() {
        LeftToBuy l = left(60, Optional.empty(), "feather-meal");
        assertThat(l.productKgHa().orElseThrow().middle()).isCloseTo(60 / (0.12 * 0.75), within(1e-9));
        assertThat(l.forField().orElseThrow().middle()).isCloseTo(10 * 60 / 0.09, within(1e-6));
        assertThat(l.costPerHa().orElseThrow().middle()).isCloseTo(60 / 0.09 * 0.4, within(1e-9));
    }

    @Property
    void what_is_left_is_never_below_zero_and_never_more_for_more_credit(
            @ForAll @DoubleRange(min = 0, max = 300) double need,
            @ForAll @DoubleRange(min = 500, max = 12_000) double biomass,
            @ForAll @DoubleRange(min = 1, max = 5) double nPercent) {
        double a = left(
                        need,
                        Optional.of(credit(Evidence.WEIGHED, biomass, nPercent).credit()),
                        "urea")
                .left()
                .middle();
        double b = left(
                        need,
                        Optional.of(credit(Evidence.WEIGHED, biomass + 500, nPercent)
                                .credit()),
                        "urea")
                .left()
                .middle();
        double expected = left(
                        need,
                        Optional.of(credit(Evidence.EXPECTED, biomass, nPercent).credit()),
                        "urea")
                .left()
                .middle();
        assertThat(a).isNotNegative();
        assertThat(b).isLessThanOrEqualTo(a + 1e-9);
        assertThat(expected).isGreaterThanOrEqualTo(a - 1e-9);
    }

    @Property
    void product_bought_holds_the_nitrogen_left(@ForAll @DoubleRange(min = 0, max = 400) double need) {
        KNOWLEDGE.products().all().forEach(p -> {
            double n = left(need, Optional.empty(), p.id())
                            .productKgHa()
                            .orElseThrow()
                            .middle()
                    * p.nShare()
                    * p.availableShare();
            assertThat(n).as(p.id()).isCloseTo(need, within(1e-9));
        });
    }

    private static Input input(Figure f, String symbol) {
        return f.working().inputs().stream()
                .filter(i -> i.symbol().equals(symbol))
                .findFirst()
                .orElseThrow();
    }

    /** What lets a credit count is named, and a weighed stand is measured, not assumed. */
    @Test
    void the_evidence_of_a_credit_is_named() {
        assertThat(input(credit(Evidence.WEIGHED, 5000, 2.5).credit(), "evidence"))
                .satisfies(i -> assertThat(i.from()).isEqualTo("weighed"))
                .satisfies(i -> assertThat(i.origin()).isEqualTo(Origin.MEASURED));
        assertThat(input(credit(Evidence.EXPECTED, 5000, 2.5).credit(), "evidence"))
                .satisfies(i -> assertThat(i.from()).isEqualTo("expected, not weighed"))
                .satisfies(i -> assertThat(i.origin()).isEqualTo(Origin.DEFAULT));
        assertThat(credit(Evidence.WEIGHED, 5000, 2.5).credit().label()).isEqualTo("From the cover");
        assertThat(credit(Evidence.WEIGHED, 8000, 0.8).credit().label()).isEqualTo("Tied up by the cover");
    }

    /** At the content where the rule is zero there is neither a gift nor a tie-up, and none is promised as one. */
    @Test
    void at_the_zero_of_the_rule_nothing_is_tied_up() {
        CoverCredit zero = credit(Evidence.EXPECTED, 6000, CoverCredit.ZERO_AT_N_G_KG / 10);
        assertThat(zero.credit().middle()).isCloseTo(0, within(1e-9));
        CoverCredit above = credit(Evidence.EXPECTED, 6000, CoverCredit.ZERO_AT_N_G_KG / 10 + 1e-6);
        assertThat(input(above.credit(), "evidence").value().middle()).isEqualTo(0.5);
        CoverCredit below = credit(Evidence.EXPECTED, 6000, CoverCredit.ZERO_AT_N_G_KG / 10 - 1e-6);
        assertThat(input(below.credit(), "evidence").value().middle()).isEqualTo(1);
    }

    @Test
    void a_recommendation_says_where_it_is_from_or_that_nobody_said() {
        assertThat(input(need(140), "need").from()).isEqualTo("the bulletin of the region");
        Figure unsaid = Need.local("feed/c", new Quantity(140, Unit.KG_PER_HA), " ");
        assertThat(input(unsaid, "need").from()).isEqualTo("typed, no source given");
    }

    @Test
    void a_factor_per_hundredweight_takes_the_goal_in_hundredweight() {
        // 400 cwt/ac at 0.5 lb of nitrogen a hundredweight
        Figure n = Need.byYieldGoal(
                        "f",
                        KNOWLEDGE.crops().get("onion"),
                        Optional.of(new Quantity(400, Unit.CWT_PER_AC)),
                        Optional.of(new Quantity(0.5, Unit.LB_N_PER_CWT)))
                .orElseThrow();
        assertThat(n.middle()).isCloseTo(200, within(1e-9));
        assertThat(n.unit()).isEqualTo(Unit.LB_PER_AC);
    }

    @Test
    void what_is_planned_is_the_sum_of_the_feedings_and_is_taken_off_the_need() {
        var urea = KNOWLEDGE.products().get("urea");
        Figure planned = PlannedNitrogen.of(
                "feed/c",
                List.of(
                        new PlannedNitrogen.Application(
                                urea, LocalDate.of(2027, 5, 1), 40, Optional.empty(), Optional.empty()),
                        new PlannedNitrogen.Application(
                                urea, LocalDate.of(2027, 6, 12), 55, Optional.empty(), Optional.empty())));
        assertThat(planned.middle()).isCloseTo(95, within(1e-9));
        assertThat(planned.id()).isEqualTo("feed/c/planned");
        assertThat(planned.working().expression()).isEqualTo("n1 + n2");
        assertThat(input(planned, "n2").label()).isEqualTo(urea.name() + ", 12 Jun 2027");
        LeftToBuy fed = LeftToBuy.of(
                "feed/c",
                need(150),
                Optional.empty(),
                Optional.of(planned),
                Optional.empty(),
                Optional.empty(),
                TEN_HA);
        assertThat(fed.left().middle()).isCloseTo(55, within(1e-9));
        LeftToBuy both = LeftToBuy.of(
                "feed/c",
                need(150),
                Optional.of(credit(Evidence.WEIGHED, 2000, 2.5).credit()),
                Optional.of(planned),
                Optional.empty(),
                Optional.empty(),
                TEN_HA);
        assertThat(both.left().middle()).isCloseTo(55 - 2000 * 0.025 * 0.3146, within(1e-9));
    }

    /** A figure that a result does not list is shown nowhere. */
    @Test
    void a_result_lists_all_its_figures() {
        CoverCredit credit = credit(Evidence.WEIGHED, 5000, 2.5);
        Figure planned = PlannedNitrogen.of(
                "feed/c",
                List.of(new PlannedNitrogen.Application(
                        KNOWLEDGE.products().get("urea"),
                        LocalDate.of(2027, 5, 1),
                        40,
                        Optional.empty(),
                        Optional.empty())));
        LeftToBuy bought = left(150, Optional.of(credit.credit()), "uan28");
        FeedResult all = new FeedResult(
                Optional.of(new CoverSchools(
                        credit, Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty())),
                List.of(new NeedSchool("yield-goal", "Yield goal", Optional.of(need(150)), "", true)),
                NitrogenLedger.of(
                        "feed/c",
                        List.of(
                                new LedgerLine(
                                        LedgerLine.Kind.COVER,
                                        "From the cover",
                                        credit.credit(),
                                        LedgerLine.Sureness.MEASURED,
                                        ""),
                                new LedgerLine(
                                        LedgerLine.Kind.PREVIOUS_CROP,
                                        "From the crop before",
                                        SoilCredits.previousCrop("feed/c", 45, "soybean"),
                                        LedgerLine.Sureness.RULE,
                                        "")),
                        Optional.empty()),
                Optional.of(need(150)),
                Optional.of(planned),
                UsualFeeding.Shown.NONE,
                Optional.of(bought),
                Optional.of("soybean"),
                Optional.empty(),
                List.of(),
                List.of(),
                FeedLimits.NONE,
                List.of(),
                Optional.empty());
        assertThat(all.figures())
                .extracting(Figure::id)
                .containsExactly(
                        "feed/c/released",
                        "feed/c/coverCredit",
                        "feed/c/previousCrop",
                        "feed/c/credits",
                        "feed/c/need",
                        "feed/c/planned",
                        "feed/c/leftToBuy",
                        "feed/c/product",
                        "feed/c/productVolume",
                        "feed/c/productForField",
                        "feed/c/productCost");
    }
}
