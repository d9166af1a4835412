package app.etlo.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import org.junit.jupiter.api.Test;

class SoilTestCsvTest {
    @Test
    void columns_are_guessed_by_the_names_laboratories_use() {
        var read = SoilTestCsv.read("""
                Sampled,Depth (cm),pH (water),OM %,Olsen P,K (mg/kg),NO3-N,Remark
                2025-03-11,20,6.7,2.6,25,158,7.4,west
                2025-03-11,60,6.9,1.1,,,12,
                """, Map.of());
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
        var guessed = SoilTestCsv.read(text, Map.of());
        assertThat(guessed.needed()).containsExactly("date");
        var mapped = SoilTestCsv.read(text, Map.of("date", "Tag", "ph", "Wert"));
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
                """, Map.of());
        assertThat(read.tests()).hasSize(1);
        assertThat(read.problems())
                .extracting(p -> p.line() + " " + p.column())
                .containsExactly("3 date", "4 pH", "5 P", "6 ");
    }

    @Test
    void what_is_no_table_is_refused() {
        assertThatThrownBy(() -> SoilTestCsv.read("hello", Map.of())).hasMessageContaining("line 1 names the columns");
        assertThatThrownBy(() -> SoilTestCsv.read("date,pH\n\"2025-03-11,6\n", Map.of()))
                .isInstanceOf(Refused.class);
    }
}
