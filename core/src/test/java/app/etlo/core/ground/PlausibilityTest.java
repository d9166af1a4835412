package app.etlo.core.ground;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * What is grown in matching climates against common practice and extension tables. The checks are in {@link Check}; the table of what
 * they give stands in docs/simulation.md, misses first, and is kept true here.
 */
class PlausibilityTest {
    private static final List<Check> CHECKS = Check.all();
    /** Shares of the rows that hold; they only ever rise. */
    private static final double TUNED_HOLD = 0.9;

    private static final double NEVER_TUNED_HOLD = 0.8;

    private static double held(boolean tuned) {
        List<Check> of = CHECKS.stream().filter(c -> c.tuned() == tuned).toList();
        return of.stream().filter(Check::holds).count() / (double) of.size();
    }

    @Test
    void most_of_the_tuned_rows_hold() {
        assertThat(held(true)).isGreaterThanOrEqualTo(TUNED_HOLD);
    }

    @Test
    void most_of_the_rows_that_were_never_tuned_on_hold() {
        assertThat(held(false)).isGreaterThanOrEqualTo(NEVER_TUNED_HOLD);
    }

    @Test
    void every_row_has_a_name_of_its_own() {
        assertThat(CHECKS.stream().map(Check::what)).doesNotHaveDuplicates();
    }

    @Test
    void the_table_in_the_docs_is_what_the_simulation_gives() throws IOException {
        String table = "| check | expected | given | | source |\n| --- | --- | --- | --- | --- |\n"
                + Stream.concat(
                                CHECKS.stream().filter(c -> !c.holds()),
                                CHECKS.stream().filter(Check::holds))
                        .map(Check::row)
                        .collect(Collectors.joining("\n"))
                + "\n";
        Files.writeString(Path.of("target/simulation-checks.md"), table);
        assertThat(Files.readString(Path.of("../docs/simulation.md")))
                .as("the simulation changed: put core/target/simulation-checks.md into docs/simulation.md")
                .contains(table);
    }
}
