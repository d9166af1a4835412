package app.etlo.core.plan.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.etlo.core.quantity.DayOrder;
import app.etlo.core.quantity.NumberText.DecimalSign;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class SoilTestCsvTest {
    @Test
    void columns_are_guessed_by_the_names_laboratories_use() {
        var read = SoilTestCsv.read("""
                Sampled,Depth (cm),pH (water),OM %,Olsen P,K (mg/kg),NO3-N,Remark
                2025-03-11,20,6.7,2.6,25,158,7.4,west
                2025-03-11,60,6.9,1.1,,,12,
                """, Map.of(), Optional.empty(), Optional.empty());
        assertThat(read.mapping())
                .containsEntry("date", "Sampled")
                .containsEntry("depth", "Depth (cm)")
                .containsEntry("ph", "pH (water)")
                .containsEntry("phosphorus", "Olsen P")
                .containsEntry("nitrate", "NO3-N");
        assertThat(read.problems()).isEmpty();
        assertThat(read.tests()).hasSize(2);
        assertThat(read.tests().get(0).potassiumMgKg()).contains(158.0);
        assertThat(read.tests().get(1).phosphorusMgKg()).isEmpty();
    }

    @Test
    void a_column_the_guess_misses_is_mapped_by_hand() {
        String text = "Tag;Wert\n2025-03-11;6,4\n";
        var guessed = SoilTestCsv.read(text, Map.of(), Optional.empty(), Optional.empty());
        assertThat(guessed.needed()).containsExactly("date");
        var mapped = SoilTestCsv.read(text, Map.of("date", "Tag", "ph", "Wert"), Optional.empty(), Optional.empty());
        assertThat(mapped.needed()).isEmpty();
        assertThat(mapped.tests().get(0).ph()).contains(6.4);
    }

    @Test
    void bad_cells_are_marked_by_line_and_column_and_good_lines_are_kept() {
        var read = SoilTestCsv.read("""
                date,pH,P
                2025-03-11,6.7,25
                2025-03-32,6.7,25
                2025-03-11,67,25
                2025-03-11,6.7,much
                ,6.7,25
                """, Map.of(), Optional.empty(), Optional.empty());
        assertThat(read.tests()).hasSize(1);
        assertThat(read.problems())
                .extracting(p -> p.line() + " " + p.column())
                .containsExactly("3 date", "4 pH", "5 P", "6 ");
    }

    @Test
    void what_is_no_table_is_refused() {
        assertThatThrownBy(() -> SoilTestCsv.read("hello", Map.of(), Optional.empty(), Optional.empty()))
                .hasMessageContaining("line 1 names the columns");
        assertThatThrownBy(() ->
                        SoilTestCsv.read("date,pH\n\"2025-03-11,6\n", Map.of(), Optional.empty(), Optional.empty()))
                .isInstanceOf(Refused.class);
    }

    @Test
    void depth_in_inches_stays_in_inches_and_pounds_an_acre_are_not_taken_for_parts_per_million() {
        var read = SoilTestCsv.read(
                "date,Depth (in),pH,NO3-N lb/ac\n2025-03-11,8,6.4,30\n", Map.of(), Optional.empty(), Optional.empty());
        assertThat(read.tests().get(0).depth()).contains(new Quantity(8, Unit.INCH));
        assertThat(read.tests().get(0).nitrateMgKg()).isEmpty();
    }

    @Test
    void a_number_that_can_be_read_two_ways_is_asked_about() {
        String table = "date;pH;K\n2025-03-11;6;1,200\n";
        var asked = SoilTestCsv.read(table, Map.of(), Optional.empty(), Optional.empty());
        assertThat(asked.decimalSignNeeded()).isTrue();
        assertThat(asked.problems().get(0).message()).contains("1200 or 1.2");
        var answered = SoilTestCsv.read(table, Map.of(), Optional.of(DecimalSign.POINT), Optional.empty());
        assertThat(answered.tests().get(0).potassiumMgKg()).contains(1200.0);
    }

    @Test
    void a_layer_written_from_the_top_is_as_deep_as_it_ends() {
        var read = SoilTestCsv.read(
                "date;depth cm;pH\n2025-03-11;0-20;6,4\n2025-03-11;0 to 60;6,9\n2025-03-11;20-60;6,9\n",
                Map.of(),
                Optional.empty(),
                Optional.empty());
        assertThat(read.tests())
                .extracting(t -> t.depth().orElseThrow().value())
                .containsExactly(20.0, 60.0);
        assertThat(read.problems())
                .singleElement()
                .satisfies(p -> assertThat(p.message()).contains("20-60"));
    }

    /** A day after the twelfth shows the order for the whole table; without one it is asked about, and nothing is guessed. */
    @Test
    void dates_in_figures_are_read_in_the_order_the_table_shows() {
        var shown = SoilTestCsv.read(
                "date,pH\n3/14/2026,6.4\n11/2/2023,6.2\n", Map.of(), Optional.empty(), Optional.empty());
        assertThat(shown.dayOrderNeeded()).isFalse();
        assertThat(shown.tests()).extracting(t -> t.date().toString()).containsExactly("2026-03-14", "2023-11-02");
        var asked = SoilTestCsv.read("date,pH\n11/2/2023,6.2\n", Map.of(), Optional.empty(), Optional.empty());
        assertThat(asked.dayOrderNeeded()).isTrue();
        assertThat(asked.tests()).isEmpty();
        var answered = SoilTestCsv.read(
                "date,pH\n11/2/2023,6.2\n", Map.of(), Optional.empty(), Optional.of(DayOrder.DAY_FIRST));
        assertThat(answered.tests().get(0).date()).isEqualTo("2023-02-11");
        assertThat(answered.dayOrderNeeded()).isFalse();
    }
}
