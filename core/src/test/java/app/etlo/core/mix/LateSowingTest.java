package app.etlo.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class LateSowingTest {
    private static UsefulSowing until(String day) {
        return new UsefulSowing(
                Seeds.KNOWLEDGE.species().get("cereal-rye"),
                Optional.empty(),
                Optional.of(LocalDate.parse(day)),
                Optional.empty(),
                20,
                25,
                Optional.empty());
    }

    private static Optional<Double> factor(String sown, String... latest) {
        return LateSowing.factor(
                        "sow/v1/lateness",
                        LocalDate.parse(sown),
                        List.of(latest).stream().map(LateSowingTest::until).toList())
                .map(f -> f.middle());
    }

    @Test
    void a_tenth_a_week_half_at_most_nothing_in_time() {
        assertThat(factor("2027-09-20", "2027-09-20")).isEmpty();
        assertThat(factor("2027-10-04", "2027-09-20"))
                .hasValueSatisfying(f -> assertThat(f).isCloseTo(1.2, within(1e-9)));
        assertThat(factor("2027-12-20", "2027-09-20"))
                .hasValueSatisfying(f -> assertThat(f).isCloseTo(1.5, within(1e-9)));
        assertThat(factor("2027-10-04")).isEmpty();
    }

    @Test
    void the_middle_species_decides() {
        assertThat(factor("2027-10-04", "2027-08-01", "2027-09-27", "2027-11-01"))
                .hasValueSatisfying(f -> assertThat(f).isCloseTo(1.1, within(1e-9)));
    }
}
