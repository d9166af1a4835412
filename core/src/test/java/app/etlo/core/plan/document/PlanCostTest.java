package app.etlo.core.plan.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.etlo.core.knowledge.Species;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import org.junit.jupiter.api.Test;

/** A plan's cost is known before it is computed, and what is let through fits the memory. */
class PlanCostTest {
    /** A crop a year, a cover of so many species before each, and a pass a month. */
    private static Dossier years(int years, int species) {
        FieldPlans p = FieldPlans.of();
        String[] mix = Plans.KNOWLEDGE.species().all().stream()
                .map(Species::id)
                .limit(species)
                .toArray(String[]::new);
        for (int y = 0; y < years; y++) {
            int year = 2020 + y;
            String crop = "c" + (y + 1);
            p.crop("grain-corn", year + "-05-10", year + "-09-20")
                    .coverWithAims("v" + y, "before", crop, java.util.List.of("mulch"), mix)
                    .operation("sow", "v" + y, (year - 1) + "-09-25", "\"method\":\"drilled\"")
                    .operation("end", "v" + y, year + "-05-01", "\"method\":\"burndown\"");
        }
        return Plans.read(p.text());
    }

    @Test
    void twenty_four_years_of_fifteen_species_are_refused_with_the_bound_named() {
        Dossier d = years(24, 15);
        assertThat(PlanCost.plants(d.plan())).isEqualTo(384);
        assertThatThrownBy(() -> PlanCost.require(d.plan()))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("384")
                .hasMessageContaining("at most 160");
        // one that an earlier version let in can be read, and says why it is not computed
        assertThatThrownBy(() -> new Evaluator(Plans.KNOWLEDGE).evaluate(d.plan(), d.context(), FieldPlans.AS_OF))
                .isInstanceOf(Refused.class);
    }

    @Test
    void eight_years_of_fifteen_species_are_computed_within_a_small_heap() {
        Dossier d = years(8, 15);
        PlanCost.require(d.plan());
        Evaluated e = new Evaluator(Plans.KNOWLEDGE).evaluate(d.plan(), d.context(), FieldPlans.AS_OF);
        assertThat(e.ground().orElseThrow().run().bytes()).isLessThan(64L << 20);
    }
}
