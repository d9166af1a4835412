package app.etlo.core.termination;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.knowledge.CropLateness;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.Plans;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What binds the end of a cover: gaps, labels, rules; and the arithmetic of its tank. */
class EndLimitsTest {
    private static final Knowledge K = Plans.KNOWLEDGE;
    private static final LocalDate PLANTED = LocalDate.of(2027, 5, 10);

    private static EndPlanned.Pass pass(String method, int daysBefore) {
        return new EndPlanned.Pass(
                PLANTED.minusDays(daysBefore), K.terminationMethods().get(method), Optional.of("Made-up A"));
    }

    private static EndPlanned planned(String crop, EndPlanned.Pass... passes) {
        return new EndPlanned(
                List.of(passes),
                Optional.of(new EndPlanned.Planting(PLANTED, K.crops().get(crop))),
                List.of(PLANTED.minusDays(8)),
                true,
                Optional.of(PLANTED.minusDays(12)));
    }

    private static boolean holds(List<EndGap> gaps, String id) {
        return gaps.stream().filter(g -> g.id().equals(id)).allMatch(EndGap::holds);
    }

    @Test
    void a_systemic_spray_moves_for_a_day_before_it_is_rolled() {
        assertThat(holds(
                        EndGaps.of(planned("soybean", pass("burndown", 5), pass("roller-crimper", 5)), List.of()),
                        "spray-to-roll"))
                .isFalse();
        assertThat(holds(
                        EndGaps.of(planned("soybean", pass("burndown", 5), pass("roller-crimper", 4)), List.of()),
                        "spray-to-roll"))
                .isTrue();
    }

    /** Grass dead ten days before corn (seedling disease); none is asked before soybean. */
    @Test
    void gaps_differ_by_crop() {
        assertThat(holds(EndGaps.of(planned("grain-corn", pass("burndown", 9)), List.of()), "grass-to-corn"))
                .isFalse();
        assertThat(holds(EndGaps.of(planned("grain-corn", pass("burndown", 10)), List.of()), "grass-to-corn"))
                .isTrue();
        assertThat(EndGaps.of(planned("soybean", pass("burndown", 3)), List.of()))
                .isEmpty();
        assertThat(holds(EndGaps.of(planned("soybean", pass("till", 10)), List.of()), "mixed-in-to-planting"))
                .isFalse();
        assertThat(holds(EndGaps.of(planned("soybean", pass("burndown", -6)), List.of()), "planting-to-end"))
                .isFalse();
    }

    @Test
    void an_interval_typed_from_a_label_counts_for_its_product_crop_and_event() {
        List<EndGaps.Label> labels = List.of(
                new EndGaps.Label("made-up a", "planting", Optional.of("grain-corn"), 7, Optional.empty()),
                new EndGaps.Label("Made-up A", "grazing", Optional.empty(), 14, Optional.of(60)),
                new EndGaps.Label("Made-up B", "planting", Optional.empty(), 300, Optional.empty()));
        List<EndGap> corn = EndGaps.of(planned("grain-corn", pass("burndown", 12)), labels);
        assertThat(holds(corn, "label-planting")).isTrue();
        assertThat(holds(corn, "label-grazing")).isFalse();
        assertThat(corn)
                .filteredOn(g -> g.id().equals("label-grazing"))
                .first()
                .extracting(EndGap::wanted)
                .isEqualTo("14 days or more, 60 at most");
        assertThat(EndGaps.of(planned("soybean", pass("burndown", 12)), labels))
                .noneMatch(g -> g.id().equals("label-planting"));
    }

    /** USDA NRCS cover crop termination guidelines, version 4 of 2019 (from memory): 35 and 15 days before, at, 5 days after planting. */
    @ParameterizedTest
    @CsvSource({"zone-1-v4,35", "zone-2-v4,15", "zone-3-v4,0", "zone-4-v4,-5"})
    void zones(String zone, int least) {
        EndRule.Rules rules =
                EndRule.Rules.of(Map.of("zone", zone), K.endZones().byId());
        assertThat(EndRule.of(planned("soybean", pass("burndown", least)), rules))
                .allMatch(EndRule::holds);
        assertThat(EndRule.of(planned("soybean", pass("burndown", least - 1)), rules))
                .singleElement()
                .matches(r -> !r.holds() && r.decides().contains("agent"));
    }

    @Test
    void nesting_programme_and_bloom_bind_where_they_are_switched_on() {
        EndRule.Rules rules = EndRule.Rules.of(
                Map.of("nesting-from", "04-15", "nesting-until", "07-15", "earliest", "04-20", "bees", "yes"),
                K.endZones().byId());
        List<EndRule> rolled = EndRule.of(planned("soybean", pass("roller-crimper", 2)), rules);
        assertThat(rolled).filteredOn(r -> !r.holds()).extracting(EndRule::id).containsExactly("nesting");
        List<EndRule> sprayed = EndRule.of(planned("soybean", pass("burndown", 2)), rules);
        assertThat(sprayed).filteredOn(r -> !r.holds()).extracting(EndRule::id).containsExactly("bees");
        assertThat(EndRule.of(planned("soybean", pass("burndown", 25)), rules))
                .filteredOn(r -> !r.holds())
                .extracting(EndRule::id)
                .containsExactly("earliest");
        assertThat(EndRule.of(planned("soybean", pass("till", 2)), EndRule.Rules.NONE))
                .isEmpty();
    }

    /** Extension planting-date trials (from memory): corn loses 0.3-0.5 % a day in mid-May, about 1 in late May, 2 in June. */
    @Test
    void a_later_planting_costs_yield_by_its_date() {
        CropLateness corn = K.lateness().get("grain-corn");
        assertThat(corn.lost(LocalDate.of(2027, 5, 12), LocalDate.of(2027, 5, 17), false)
                        .middle())
                .isCloseTo(2.0, within(1e-9));
        assertThat(corn.lost(LocalDate.of(2027, 5, 30), LocalDate.of(2027, 6, 3), false)
                        .middle())
                .isCloseTo(2 + 4, within(1e-9));
        assertThat(corn.lost(LocalDate.of(2027, 4, 20), LocalDate.of(2027, 5, 1), false)
                        .high())
                .isZero();
        assertThat(corn.lost(LocalDate.of(2027, 5, 12), LocalDate.of(2027, 5, 10), false)
                        .middle())
                .isZero();
        assertThat(corn.lost(LocalDate.of(2027, 11, 20), LocalDate.of(2027, 11, 22), true)
                        .middle())
                .isPositive();
    }

    private static final Figure AREA = Formula.of("Area", "a", Source.identity("as typed"), "a")
            .figure(
                    "field/area",
                    "Area",
                    Unit.HECTARE,
                    Input.of("a", "Area", 20, Unit.HECTARE, Origin.ENTERED, "typed"));

    /** Worked by hand: 20 ha, 2.5 L/ha of 0.48 kg/L in 120 L/ha, a tank of 900 L: 2400 L are 2 tanks and 600 L. */
    @Test
    void tank_arithmetic() {
        SprayTank t = SprayTank.of(
                "end/v1",
                "p1",
                AREA,
                100,
                Optional.of(new Quantity(2.5, Unit.L_PER_HA)),
                Optional.of(new Quantity(0.48, Unit.KG_PER_L)),
                Optional.of(new Quantity(120, Unit.L_PER_HA)),
                Optional.of(new Quantity(900, Unit.LITRE)));
        assertThat(t.product().orElseThrow().middle()).isCloseTo(50, within(1e-9));
        assertThat(t.active().orElseThrow().middle()).isCloseTo(1.2, within(1e-9));
        assertThat(t.fullTanks().orElseThrow().middle()).isEqualTo(2);
        assertThat(t.lastTank().orElseThrow().middle()).isCloseTo(600, within(1e-9));
        assertThat(t.inFull().orElseThrow().middle()).isCloseTo(18.75, within(1e-9));
        assertThat(t.inLast().orElseThrow().middle()).isCloseTo(12.5, within(1e-9));
    }

    /** A band of 20 in on rows of 76 in treats 26.3 % of the field (chapter 10 of the domain notes; arithmetic). */
    @Test
    void a_band_treats_part_of_the_field_and_the_tanks_come_out_even() {
        SprayTank band = SprayTank.of(
                "end/v1",
                "p1",
                AREA,
                26.3,
                Optional.of(new Quantity(2, Unit.KG_PER_HA)),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        assertThat(band.treated().middle()).isCloseTo(5.26, within(1e-9));
        assertThat(band.product().orElseThrow().unit()).isEqualTo(Unit.KILOGRAM);
        assertThat(band.mix()).isEmpty();
        SprayTank even = SprayTank.of(
                "end/v1",
                "p1",
                AREA,
                100,
                Optional.empty(),
                Optional.empty(),
                Optional.of(new Quantity(100, Unit.L_PER_HA)),
                Optional.of(new Quantity(500, Unit.LITRE)));
        assertThat(even.fullTanks().orElseThrow().middle()).isEqualTo(4);
        assertThat(even.lastTank().orElseThrow().middle()).isCloseTo(0, within(1e-9));
    }
}
