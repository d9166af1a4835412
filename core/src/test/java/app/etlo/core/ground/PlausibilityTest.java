package app.etlo.core.ground;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

/**
 * What is grown in matching climates against common practice and extension tables. The checks are in {@link Check}; the table of what
 * they give stands in docs/simulation.md and is kept true here.
 */
class PlausibilityTest {
    private static final List<Check> CHECKS = Check.all();

    /** Told as misses in the table and in the docs. One that comes to hold must be struck from here. */
    private static final Set<String> KNOWN_MISSES =
            Set.of("C:N of rye at 43° N at anthesis", "rye and vetch at 43° N, share of vetch in May");

    @TestFactory
    Stream<DynamicTest> tuned_checks_by_common_practice() {
        return tests(true);
    }

    /**
     * Never tuned on: rye at 33 degrees north and its date, the course of C:N in rye, sunn hemp at 43 north, the shares of rye with vetch
     * and of oats with radish, a second weather seed, winter wheat, crimson clover at 33 north.
     */
    @TestFactory
    Stream<DynamicTest>
            never_tuned_rye_33N_cn_of_rye_sunn_hemp_43N_rye_vetch_oats_radish_second_seed_wheat_crimson_33N() {
        return tests(false);
    }

    private static Stream<DynamicTest> tests(boolean tuned) {
        return CHECKS.stream()
                .filter(c -> c.tuned() == tuned)
                .map(c -> DynamicTest.dynamicTest(
                        c.what(), () -> assertThat(c.holds()).as(c.row()).isEqualTo(!KNOWN_MISSES.contains(c.what()))));
    }

    @Test
    void the_table_in_the_docs_is_what_the_simulation_gives() throws IOException {
        String table = "| check | expected | given | | source |\n| --- | --- | --- | --- | --- |\n"
                + CHECKS.stream().map(Check::row).collect(Collectors.joining("\n"))
                + "\n";
        Files.writeString(Path.of("target/simulation-checks.md"), table);
        assertThat(Files.readString(Path.of("../docs/simulation.md")))
                .as("the simulation changed: put core/target/simulation-checks.md into docs/simulation.md")
                .contains(table);
    }
}
