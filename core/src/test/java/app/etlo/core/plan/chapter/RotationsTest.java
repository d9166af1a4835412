package app.etlo.core.plan.chapter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.PlanDocument;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class RotationsTest {
    @Test
    void the_sample_repeated_is_itself_again_some_years_later() {
        Evaluated once = Plans.evaluated();
        PlanDocument twice = Rotations.repeated(once);
        Evaluated e = new Evaluator(Plans.KNOWLEDGE)
                .evaluate(Plans.READER.read(Json.write(twice)), once.context(), Plans.AS_OF);
        int n = once.crops().size();
        assertThat(e.crops()).hasSize(2 * n);
        assertThat(e.notes()).noneMatch(x -> x.rule().equals("dates-out-of-order"));
        for (int i = 0; i < n; i++) {
            LocalDate first = e.crops().get(i).crop().planted().orElseThrow();
            LocalDate second = e.crops().get(n + i).crop().planted().orElseThrow();
            assertThat(ChronoUnit.YEARS.between(first, second)).isPositive();
            assertThat(second.getMonth()).isEqualTo(first.getMonth());
            assertThat(e.crops().get(n + i).crop().crop().id())
                    .isEqualTo(e.crops().get(i).crop().crop().id());
        }
        assertThat(twice.covers().get(1).mix().orElseThrow().components())
                .allMatch(c -> c.lotId().isEmpty());
    }

    @Property
    void a_rotation_moved_by_its_years_never_meets_itself(
            @ForAll @IntRange(min = 0, max = 3000) int start, @ForAll @IntRange(min = 1, max = 2300) int days) {
        LocalDate first = LocalDate.of(2020, 1, 1).plusDays(start);
        LocalDate last = first.plusDays(days);
        int years = Rotations.years(first, last);
        assertThat(first.plusYears(years)).isAfter(last);
        assertThat(first.plusYears(years - 1L)).isBeforeOrEqualTo(last.plusDays(10));
    }

    @Test
    void a_rotation_without_dates_or_too_long_is_refused() {
        Evaluated undated = FieldPlans.of().crop("oats", "", "").evaluated();
        assertThatThrownBy(() -> Rotations.repeated(undated)).hasMessageContaining("date the planting");
        FieldPlans plan = FieldPlans.of();
        for (int i = 0; i < 13; i++) {
            plan.crop("oats", (2026 + i) + "-04-01", (2026 + i) + "-08-01");
        }
        Evaluated many = plan.evaluated();
        assertThatThrownBy(() -> Rotations.repeated(many)).hasMessageContaining("longer than a plan");
    }

    @Test
    void a_leap_day_moves_to_the_last_of_february() {
        Evaluated e =
                FieldPlans.of().crop("spring-wheat", "2028-02-29", "2028-07-20").evaluated();
        PlanDocument twice = Rotations.repeated(e);
        assertThat(twice.operations().get(2).when().on()).contains(LocalDate.of(2029, 2, 28));
    }
}
