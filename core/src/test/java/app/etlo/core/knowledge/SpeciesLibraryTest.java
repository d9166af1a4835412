package app.etlo.core.knowledge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;

class SpeciesLibraryTest {
    private static final Knowledge SHIPPED = KnowledgeLoader.shipped();

    private static Correction correction(String species, String column, String value) {
        return new Correction(species, column, value, "A. Tester", LocalDate.of(2026, 9, 1), "weighed here");
    }

    @Test
    void sixty_four_species_or_more_with_a_cell_in_every_column_of_number_or_choice() {
        assertThat(SHIPPED.species().all()).hasSizeGreaterThanOrEqualTo(64);
        for (Species s : SHIPPED.species().all()) {
            for (SpeciesColumn c : SHIPPED.sheets().columns()) {
                boolean free = c.kind() == SpeciesColumn.Kind.LIST || c.kind() == SpeciesColumn.Kind.FIXED;
                assertThat(free || SHIPPED.sheets().shipped(s.id(), c.id()).isPresent())
                        .as(s.id() + " " + c.id())
                        .isTrue();
                assertThat(s.sourceOf(c.id()).text()).as(s.id() + " " + c.id()).isNotBlank();
            }
        }
    }

    /**
     * Cell by cell against SARE, Managing Cover Crops Profitably, 3rd edition (2007), charts of performance and planting, and against
     * seeding tables and seed counts of extension services; both from memory. Ranges meet, and the library's middle lies no more than
     * a quarter outside the handbook's.
     */
    @ParameterizedTest
    @CsvFileSource(resources = "/handbook/cells.csv", numLinesToSkip = 1)
    void ranges_meet_those_of_handbooks(String species, String cell, double low, double high, String from) {
        Band ours = cell(SHIPPED.species().get(species), cell);
        String where = species + " " + cell + " " + from;
        assertThat(ours.high()).as(where).isGreaterThanOrEqualTo(0.9 * low);
        assertThat(ours.low()).as(where).isLessThanOrEqualTo(1.1 * high);
        assertThat(ours.middle()).as(where).isBetween(0.75 * low, 1.25 * high);
    }

    private static Band cell(Species s, String cell) {
        return switch (cell) {
            case "drilledLbAc" -> s.fullRateKgHa().map(kg -> Unit.KG_PER_HA.to(Unit.LB_PER_AC, kg));
            case "depthIn" -> Band.exactly(s.depthCm() / 2.54);
            case "dryMatterLbAc" -> s.growth().massTHa().map(t -> Unit.T_PER_HA.to(Unit.LB_PER_AC, t));
            case "nitrogenLbAc" ->
                s.growth()
                        .massTHa()
                        .map(t -> Unit.T_PER_HA.to(Unit.LB_PER_AC, t)
                                * s.growth().flowering().nitrogenShare());
            case "seedsPerLb" -> s.seedsPerKg().map(n -> n * 0.45359237);
            default -> throw new IllegalArgumentException(cell);
        };
    }

    @Test
    void stages_and_limits_follow_each_other() {
        for (Species s : SHIPPED.species().all()) {
            Growth g = s.growth();
            assertThat(g.emergenceDegreeDays()).as(s.id()).isLessThan(g.floweringDegreeDays());
            assertThat(g.floweringDegreeDays()).as(s.id()).isLessThan(g.seedDegreeDays());
            assertThat(g.killTenderC()).as(s.id()).isGreaterThanOrEqualTo(s.killC());
            assertThat(g.leafy().nitrogenShare())
                    .as(s.id())
                    .isGreaterThan(g.flowering().nitrogenShare());
            assertThat(g.flowering().nitrogenShare())
                    .as(s.id())
                    .isGreaterThan(g.mature().nitrogenShare());
            // plants are about 40 to 45 % carbon: an identity that nitrogen and C:N must keep
            for (Growth.Tops t : List.of(g.leafy(), g.flowering(), g.mature())) {
                assertThat(t.carbonShare()).as(s.id()).isBetween(0.34, 0.66);
            }
            assertThat(g.fixedShare() > 0).as(s.id()).isEqualTo(s.group().isLegume());
        }
    }

    @Test
    void a_correction_wins_and_the_original_stays() {
        Knowledge here = SHIPPED.corrected(List.of(correction("cereal-rye", "rateKgHa", "90")));
        Species rye = here.species().get("cereal-rye");
        assertThat(rye.fullRateKgHa().middle()).isEqualTo(90);
        assertThat(rye.sourceOf("rateKgHa").text())
                .contains("A. Tester")
                .contains("2026-09-01")
                .contains("weighed here")
                .contains("library: 100");
        assertThat(rye.heightM()).isEqualTo(SHIPPED.species().get("cereal-rye").heightM());
        assertThat(here.sheets().shipped("cereal-rye", "rateKgHa")).contains("100");
        assertThat(SHIPPED.species().get("cereal-rye").fullRateKgHa().middle()).isEqualTo(100);
        assertThat(here.species().byId().keySet())
                .containsExactlyElementsOf(SHIPPED.species().byId().keySet());
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            cereal-rye | rateKgHa    | 900       | /value  | from 0.5 to 400 kg/ha
            cereal-rye | rateKgHa    | 20        | /value  | not between
            cereal-rye | rateKgHa    | lots      | /value  | not a number
            cereal-rye | rateKgHa    | NaN       | /value  | from 0.5
            cereal-rye | drought     | excellent | /value  | one of poor, fair, good
            cereal-rye | group       | brassica  | /column | cannot be corrected
            cereal-rye | colour      | green     | /column | no such column
            cereal-rye | killTenderC | -40       | /value  | colder
            triffid    | heightM     | 2         | /species| no species
            """)
    void a_correction_that_cannot_stand_is_refused_at_its_place(
            String species, String column, String value, String pointer, String message) {
        assertThatThrownBy(() -> SHIPPED.corrected(List.of(correction(species, column, value))))
                .isInstanceOfSatisfying(
                        CorrectionRefused.class, e -> assertThat(e.pointer()).isEqualTo(pointer))
                .hasMessageContaining(message);
    }

    /** By 1 kg of phacelia are five times the plants of 3 kg of buckwheat (common practice, from memory). */
    /** A practice's own value of a column that went with the model it was for must not stop its plans. */
    @Test
    void a_correction_of_a_column_of_earlier_versions_changes_nothing() {
        Knowledge here = SHIPPED.corrected(List.of(
                correction("cereal-rye", "usefulDegreeDays", "300"), correction("cereal-rye", "rateKgHa", "90")));
        assertThat(here.species().get("cereal-rye").fullRateKgHa().middle()).isEqualTo(90);
    }

    @Test
    void a_kilogram_of_phacelia_is_five_times_the_plants_of_three_of_buckwheat() {
        double phacelia = SHIPPED.species().get("phacelia").seedsPerKg().middle();
        double buckwheat = SHIPPED.species().get("buckwheat").seedsPerKg().middle();
        assertThat(phacelia / (3 * buckwheat)).isCloseTo(5, within(0.5));
    }
}
