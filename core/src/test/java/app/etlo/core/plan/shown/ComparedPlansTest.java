package app.etlo.core.plan.shown;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.chapter.Evaluated;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Plans of one field side by side. */
class ComparedPlansTest {
    private static Evaluated ended(String day, String units) {
        FieldPlans plan = FieldPlans.of()
                .crop("winter-wheat", "2025-10-05", "2026-07-20")
                .crop("grain-corn", "2027-05-12", "2027-10-10")
                .cover("v1", "before", "c2", "", "cereal-rye")
                .operation("sow", "v1", "2026-09-10", "\"method\":\"drilled\"")
                .operation("end", "v1", day, "\"method\":\"burndown\"");
        return (units.equals("us") ? plan.us() : plan).evaluated();
    }

    private static ComparedPlans.ComparedFigure figure(List<Evaluated> plans, String id) {
        return ComparedPlans.of(plans).stream()
                .filter(f -> f.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void a_later_end_weighs_more_and_the_difference_is_that_of_the_two() {
        var mass = figure(List.of(ended("2027-04-20", ""), ended("2027-05-08", "")), "grow/v1/mass");
        assertThat(mass.label()).isEqualTo("Cover before grain corn: Dry tops when it ends");
        assertThat(mass.differences().get(0)).isEmpty();
        double between = mass.figures().get(1).orElseThrow().value()
                - mass.figures().get(0).orElseThrow().value();
        assertThat(mass.differences().get(1).orElseThrow()).startsWith("+");
        assertThat(Double.parseDouble(mass.differences().get(1).orElseThrow().substring(1)))
                .isCloseTo(between, org.assertj.core.api.Assertions.within(0.051));
    }

    @Test
    void a_plan_against_itself_is_the_same_in_everything() {
        Evaluated one = ended("2027-04-20", "us");
        assertThat(ComparedPlans.of(List.of(one, one)))
                .isNotEmpty()
                .allSatisfy(f -> assertThat(f.differences().get(1)).contains("the same"));
    }

    @Test
    void covers_come_first_and_what_one_plan_lacks_is_empty() {
        Evaluated bare = FieldPlans.of()
                .crop("winter-wheat", "2025-10-05", "2026-07-20")
                .crop("grain-corn", "2027-05-12", "2027-10-10")
                .evaluated();
        var figures = ComparedPlans.of(List.of(bare, ended("2027-04-20", "")));
        assertThat(figures.get(0).id()).startsWith("grow/v1/");
        assertThat(figures.get(0).figures().get(0)).isEmpty();
        assertThat(figures.get(0).differences()).containsOnly(Optional.empty());
    }
}
