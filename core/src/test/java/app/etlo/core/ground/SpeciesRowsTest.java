package app.etlo.core.ground;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Species that the simulation grows outside their own row of the library: each with its reason, all in docs/species-rows.md. */
class SpeciesRowsTest {
    private static final List<SpeciesRows.Outside> OUTSIDE = SpeciesRows.all();

    @Test
    void whatever_grows_outside_its_row_is_explained() {
        assertThat(OUTSIDE).filteredOn(o -> o.why().isEmpty()).isEmpty();
    }

    @Test
    void the_list_in_the_docs_is_what_the_simulation_gives() throws IOException {
        String table = "| species | what | where | given | its row | why |\n| --- | --- | --- | --- | --- | --- |\n"
                + OUTSIDE.stream().map(SpeciesRows.Outside::line).collect(Collectors.joining("\n")) + "\n";
        Files.writeString(Path.of("target/species-rows.md"), table);
        assertThat(Files.readString(Path.of("../docs/species-rows.md")))
                .as("the simulation changed: put core/target/species-rows.md into docs/species-rows.md")
                .endsWith(table);
    }

    /** Every species in three climates, three values each: dry tops, C:N and degree days at bloom. */
    @Test
    void nine_in_ten_values_lie_in_their_rows() {
        int looked = Trials.KNOWLEDGE.species().all().size() * 3 * 3;
        assertThat(OUTSIDE).hasSizeLessThan(looked / 10);
    }
}
