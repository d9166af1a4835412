package app.etlo.core.plan.timeline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.weather.YearsAhead;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import org.junit.jupiter.api.Test;

/** Dates typed, by degree days, or counted back from a market date. */
class PlanDatesTest {
    private static LocalDate harvest(FieldPlans plan) {
        return plan.evaluated().crops().get(0).crop().harvested().orElseThrow();
    }

    @Test
    void a_hundred_days_before_the_first_of_september_is_the_24th_of_may() {
        Evaluated e = FieldPlans.of()
                .crop("sweet-corn", "{\"countedBack\":{\"from\":\"2026-09-01\",\"days\":100}}", "2026-09-01")
                .evaluated();
        assertThat(e.crops().get(0).crop().planted()).contains(LocalDate.of(2026, 5, 24));
        assertThat(e.dates().get("o1").how().orElseThrow()).contains("1 Sept 2026 less 100 days");
    }

    @Test
    void without_days_it_is_the_crops_own_time_to_maturity() {
        int days = Plans.KNOWLEDGE.crops().get("sweet-corn").growing().daysToMaturity();
        Evaluated e = FieldPlans.of()
                .crop("sweet-corn", "{\"countedBack\":{\"from\":\"2026-09-01\"}}", "2026-09-01")
                .evaluated();
        assertThat(e.crops().get(0).crop().planted())
                .contains(LocalDate.of(2026, 9, 1).minusDays(days));
    }

    /** An independent sum: day by day through every year, in Fahrenheit, by the rule of American tables. */
    @Test
    void degree_days_are_reached_on_the_middle_day_of_the_years() {
        Evaluated e = FieldPlans.of()
                .crop("grain-corn", "2027-05-06", "{\"degreeDays\":{\"sum\":1500}}")
                .evaluated();
        YearsAhead years = e.years().orElseThrow();
        double[] days = new double[years.count()];
        for (int y = 0; y < days.length; y++) {
            int d = years.day(LocalDate.of(2027, 5, 6));
            double fahrenheit = 0;
            while (fahrenheit < 1500 * 1.8 - 1e-6) {
                double high = Math.min(86, Math.max(50, years.tmaxC(y, d) * 1.8 + 32));
                double low = Math.min(86, Math.max(50, years.tminC(y, d) * 1.8 + 32));
                fahrenheit += (high + low) / 2 - 50;
                d++;
                days[y]++;
            }
        }
        java.util.Arrays.sort(days);
        double median = (days[14] + days[15]) / 2;
        LocalDate found = harvest(FieldPlans.of().crop("grain-corn", "2027-05-06", "{\"degreeDays\":{\"sum\":1500}}"));
        assertThat((double) ChronoUnit.DAYS.between(LocalDate.of(2027, 5, 6), found))
                .isCloseTo(median, within(0.5));
        DatedBy dated = e.dates().get("o2");
        assertThat(dated.early().orElseThrow()).isBefore(dated.on());
        assertThat(dated.late().orElseThrow()).isAfter(dated.on());
    }

    @Test
    void a_later_planting_is_never_harvested_earlier() {
        LocalDate last = LocalDate.MIN;
        for (String planted : new String[] {"2027-04-20", "2027-05-05", "2027-05-20", "2027-06-04"}) {
            LocalDate found = harvest(FieldPlans.of().crop("grain-corn", planted, "{\"degreeDays\":{\"sum\":1200}}"));
            assertThat(found).isAfterOrEqualTo(last);
            last = found;
        }
    }

    @Test
    void warmth_that_never_comes_falls_back_on_days_and_says_so() {
        Evaluated e = FieldPlans.of()
                .field("\"station\":\"pahuna-terrace\",\"point\":{\"lat\":-43.8,\"lon\":-20}")
                .crop("cotton", "2027-10-10", "{\"degreeDays\":{\"sum\":5900}}")
                .evaluated();
        assertThat(e.dates().get("o2").how().orElseThrow()).contains("not reached");
    }

    @Test
    void a_crop_of_the_southern_half_spans_new_year() {
        Evaluated e = FieldPlans.of()
                .field("\"station\":\"karrel-downs\",\"point\":{\"lat\":-36.4,\"lon\":-20}")
                .crop("grain-sorghum", "2026-10-18", "{\"degreeDays\":{}}")
                .crop("faba-bean", "2027-05-05", "2027-11-20")
                .evaluated();
        LocalDate harvest = e.crops().get(0).crop().harvested().orElseThrow();
        assertThat(harvest).isBetween(LocalDate.of(2027, 1, 15), LocalDate.of(2027, 4, 30));
        assertThat(e.windows()).anyMatch(w -> w.window().id().equals("c1-c2"));
        assertThat(e.figures()).containsKey("window/c2/degreeDays");
    }

    @Test
    void two_ways_at_once_or_none_are_refused_at_their_place() {
        String both = "{\"on\":\"2027-05-06\",\"degreeDays\":{}}";
        assertThatThrownBy(() ->
                        FieldPlans.of().crop("grain-corn", both, "2027-10-01").evaluated())
                .isInstanceOf(Refused.class);
        assertThatThrownBy(() ->
                        FieldPlans.of().crop("grain-corn", "{}", "2027-10-01").evaluated())
                .isInstanceOf(Refused.class);
        FieldPlans cover = FieldPlans.of()
                .crop("grain-corn", "2027-05-06", "2027-10-01")
                .cover("v1", "after", "c1", "", "cereal-rye")
                .operation("sow", "v1", "{\"degreeDays\":{}}", "");
        assertThatThrownBy(cover::evaluated)
                .isInstanceOfSatisfying(
                        Refused.class,
                        r -> assertThat(r.problems().get(0).pointer()).isEqualTo("/plan/operations/2/when"));
    }
}
