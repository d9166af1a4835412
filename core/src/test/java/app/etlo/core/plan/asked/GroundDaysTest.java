package app.etlo.core.plan.asked;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.shown.Evaluation;
import app.etlo.core.plan.shown.SectionWriter;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A stand day by day agrees with the weeks of the section. */
class GroundDaysTest {
    private static FieldPlans plan(String... species) {
        return FieldPlans.of()
                .crop("winter-wheat", "2025-10-05", "2026-07-20")
                .crop("grain-corn", "2027-05-12", "2027-10-10")
                .cover("v1", "before", "c2", "", species)
                .operation("sow", "v1", "2026-09-10", "\"method\":\"drilled\"")
                .operation("end", "v1", "2027-05-01", "\"method\":\"roller-crimper\"");
    }

    private static int column(GroundDays.DaysView days, String name) {
        List<String> names =
                days.columns().stream().map(GroundDays.DayColumn::name).toList();
        assertThat(names).contains(name);
        return names.indexOf(name);
    }

    private static double number(String cell) {
        return Double.parseDouble(cell.replaceAll("[^0-9.]", ""));
    }

    @Test
    void every_day_is_there_and_each_seventh_is_that_of_the_section() {
        Evaluated e = plan("cereal-rye").evaluated();
        GroundDays.DaysView days = GroundDays.of(e, "v1").orElseThrow();
        assertThat(days.rows()).hasSize(233);
        assertThat(days.rows().get(0).day()).hasToString("2026-09-10");
        Evaluation.StandView stand = SectionWriter.write(e).stands().stream()
                .filter(s -> s.id().equals("v1"))
                .findFirst()
                .orElseThrow();
        Evaluation.GrownView weekly = stand.parts().get(0).grown().orElseThrow();
        int mass = column(days, "dry tops");
        int high = column(days, "dry tops, 1 year in 10 over");
        for (int w = 20; w < 33; w++) {
            // between two records the section draws a straight line
            double drawn = weekly.massKgHa().get(w);
            assertThat(number(days.rows().get(7 * w).cells().get(mass)))
                    .isCloseTo(drawn, org.assertj.core.api.Assertions.within(5 + 0.08 * drawn));
            assertThat(number(days.rows().get(7 * w).cells().get(high))).isGreaterThan(drawn);
        }
        assertThat(days.rows()).allSatisfy(r -> assertThat(r.cells()).hasSameSizeAs(days.columns()));
    }

    @Test
    void a_mix_has_a_column_for_each_species_and_reads_in_the_farms_units() {
        GroundDays.DaysView days = GroundDays.of(
                        plan("cereal-rye", "hairy-vetch").us().evaluated(), "v1")
                .orElseThrow();
        assertThat(days.columns()).extracting(GroundDays.DayColumn::name).contains("dry tops, hairy vetch");
        assertThat(days.columns().get(0).unit()).isEqualTo("lb/ac");
        assertThat(days.columns().get(column(days, "height of the tallest")).unit())
                .isEqualTo("in");
        // nothing is told of C:N before there is anything
        assertThat(days.rows().get(0).cells().get(column(days, "C:N of the tops")))
                .isEmpty();
    }

    @Test
    void what_is_not_simulated_has_no_days() {
        assertThat(GroundDays.of(plan("cereal-rye").evaluated(), "v9")).isEmpty();
    }
}
