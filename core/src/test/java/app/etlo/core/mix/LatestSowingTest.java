package app.etlo.core.mix;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.field.FrostDates;
import java.time.LocalDate;
import java.time.MonthDay;
import org.junit.jupiter.api.Test;

class LatestSowingTest {
    private static final FrostDates FROST = new FrostDates(MonthDay.of(4, 25), MonthDay.of(10, 12));

    @Test
    void hardy_rye_may_be_sown_after_the_frost_and_tender_species_well_before() {
        LocalDate sown = LocalDate.of(2026, 9, 1);
        LocalDate rye = LatestSowing.of(Seeds.KNOWLEDGE.species().get("cereal-rye"), FROST, sown)
                .orElseThrow();
        LocalDate cowpea = LatestSowing.of(Seeds.KNOWLEDGE.species().get("cowpea"), FROST, sown)
                .orElseThrow();
        assertThat(rye).isEqualTo(LocalDate.of(2026, 11, 2));
        assertThat(cowpea).isBefore(LocalDate.of(2026, 9, 15));
    }

    @Test
    void a_spring_sowing_has_none() {
        assertThat(LatestSowing.of(Seeds.KNOWLEDGE.species().get("spring-oats"), FROST, LocalDate.of(2026, 3, 20)))
                .isEmpty();
    }
}
