package app.etlo.core.plan.asked;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.asked.EndSchools.EndSchoolView;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.termination.Fallback;
import java.time.LocalDate;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Schools of ending side by side: each is the plan so ended; and plan B. */
class EndSchoolsTest {
    private static final Evaluator EVALUATOR = new Evaluator(Plans.KNOWLEDGE);
    private static final Evaluated E = plan("").evaluated();
    private static final Map<String, EndSchoolView> SCHOOLS = schools(E);

    private static FieldPlans plan(String field) {
        return FieldPlans.of()
                .field(
                        "\"texture\":\"silt loam\",\"point\":{\"lat\":43,\"lon\":-89},\"equipment\":[{\"name\":\"S\",\"kind\":\"sprayer\"}]"
                                + field)
                .crop("winter-wheat", "2025-10-04", "2026-07-18")
                .crop("grain-corn", "2027-05-12", "2027-10-15")
                .cover("v1", "before", "c2", "", "cereal-rye")
                .operation("sow", "v1", "2026-09-05", "\"method\":\"drilled\"")
                .operation("end", "v1", "2027-04-21", "\"method\":\"burndown\"");
    }

    private static Map<String, EndSchoolView> schools(Evaluated e) {
        return EndSchools.of(e.plan(), "v1", p -> EVALUATOR.evaluate(p, e.context(), e.asOf())).schools().stream()
                .collect(Collectors.toMap(EndSchoolView::id, Function.identity()));
    }

    @Test
    void the_school_of_the_plan_comes_to_what_the_plan_comes_to() {
        EndSchoolView early = SCHOOLS.get("early");
        assertThat(early.planned()).isTrue();
        assertThat(early.on()).contains(LocalDate.parse("2027-04-21"));
        assertThat(early.figures().get(0).orElseThrow().value())
                .isCloseTo(
                        E.covers().get(0).mix().outlook().orElseThrow().mass().middle(), within(1e-6));
    }

    @Test
    void later_schools_have_more_tops_and_other_conditions() {
        assertThat(SCHOOLS.get("green").figures().get(0).orElseThrow().value())
                .isGreaterThan(
                        SCHOOLS.get("early").figures().get(0).orElseThrow().value() + 1);
        // corn planted green without nitrogen beside the row is a stop, with its condition not met
        assertThat(SCHOOLS.get("green").forbidden()).isTrue();
        assertThat(SCHOOLS.get("green").needs())
                .anyMatch(n -> n.text().contains("nitrogen beside the row")
                        && n.met().filter(m -> !m).isPresent());
        assertThat(SCHOOLS.get("rolled-at-flowering").needs())
                .anyMatch(n ->
                        n.text().contains("roller") && n.met().filter(m -> !m).isPresent());
        assertThat(SCHOOLS.get("winterkill").needs().get(0).met()).contains(false);
    }

    @Test
    void plan_b_has_its_days_and_what_cannot_be_mended_says_so() {
        Map<String, Fallback> b = E.covers().get(0).ending().fallbacks().stream()
                .collect(Collectors.toMap(Fallback::id, Function.identity()));
        assertThat(b.get("not-killed").look()).isEqualTo(LocalDate.parse("2027-05-01"));
        assertThat(b.get("not-killed").by()).contains(LocalDate.parse("2027-05-17"));
        assertThat(b).containsKey("thin").doesNotContainKey("short-mulch");
        assertThat(E.calendar()).anyMatch(d -> d.what().contains("the kill fails"));

        FieldPlans organic = plan(",\"certification\":\"organic\"");
        Evaluated rolled = EVALUATOR.evaluate(
                app.etlo.core.plan.document.PlanEdit.endedBy(
                        app.etlo.core.plan.document.PlanEdit.dated(
                                organic.evaluated().plan(), "end", "v1", LocalDate.parse("2027-05-16")),
                        "v1",
                        "roller-crimper"),
                organic.evaluated().context(),
                E.asOf());
        Fallback shortMulch = rolled.covers().get(0).ending().fallbacks().stream()
                .filter(f -> f.id().equals("short-mulch"))
                .findFirst()
                .orElseThrow();
        assertThat(shortMulch.by()).isEmpty();
        assertThat(shortMulch.then()).contains("no rescue");
    }
}
