package app.etlo.core.rotation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.ReferenceProgram;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RotationTest {
    private static final Knowledge KNOWLEDGE = KnowledgeLoader.shipped();

    private static CropInTime crop(String id, String crop, String planted, String harvested) {
        return new CropInTime(
                id,
                KNOWLEDGE.crops().get(crop),
                Optional.ofNullable(planted).map(LocalDate::parse),
                Optional.ofNullable(harvested).map(LocalDate::parse),
                0,
                Optional.empty(),
                false);
    }

    @Test
    void a_window_opens_between_a_harvest_and_the_next_planting() {
        List<Window> w = Window.between(List.of(
                crop("b", "grain-corn", "2027-05-12", "2027-10-15"),
                crop("a", "winter-barley", "2025-10-02", "2026-07-10")));
        assertThat(w).hasSize(1);
        assertThat(w.get(0).after()).isEqualTo("a");
        assertThat(w.get(0).before()).contains("b");
        // 22 days of July, then 31 + 30 + 31 + 30 + 31, 31 + 28 + 31 + 30, and 11 of May: 306
        assertThat(w.get(0).days().middle()).isEqualTo(21 + 31 + 30 + 31 + 30 + 31 + 31 + 28 + 31 + 30 + 12);
    }

    @Test
    void crops_without_dates_or_that_overlap_make_no_window() {
        assertThat(Window.between(List.of(
                        crop("a", "winter-barley", "2025-10-02", null), crop("b", "grain-corn", "2027-05-12", null))))
                .isEmpty();
        assertThat(Window.between(List.of(
                        crop("a", "winter-barley", "2025-10-02", "2026-07-10"),
                        crop("b", "soybean", "2026-06-20", "2026-10-01"))))
                .isEmpty();
        assertThat(Window.between(List.of())).isEmpty();
    }

    /** Bushels by their test weight, in GNU units: the weights are those the trade buys by. */
    @ParameterizedTest
    @CsvSource({"grain-corn, 56", "soybean, 60", "winter-wheat, 60", "winter-barley, 48", "oats, 32", "grain-rye, 56"})
    void bushels_weigh_what_the_crop_says(String id, double lb) {
        var crop = KNOWLEDGE.crops().get(id);
        double kgHa = ReferenceProgram.units("100 * " + lb + " lb/intacre", "kg/hectare");
        Quantity mass =
                GrainYield.asMass(new Quantity(100, Unit.BU_PER_AC), crop).orElseThrow();
        assertThat(mass.in(Unit.KG_PER_HA)).isCloseTo(kgHa, within(1e-9));
        assertThat(GrainYield.asBushels(mass, crop).orElseThrow().value()).isCloseTo(100, within(1e-9));
    }

    @Test
    void a_crop_without_a_test_weight_has_no_bushels() {
        var potato = KNOWLEDGE.crops().get("potato");
        assertThat(GrainYield.asMass(new Quantity(100, Unit.BU_PER_AC), potato)).isEmpty();
        assertThat(GrainYield.asBushels(new Quantity(40, Unit.T_PER_HA), potato))
                .isEmpty();
    }
}
