package app.etlo.core.plan.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.ground.GroundMemory;
import app.etlo.core.mix.MixForecast.Sown;
import app.etlo.core.mix.SeasonGrowth;
import app.etlo.core.mix.SeedRate;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.timeline.Climates;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What was tried is not played again, and is never that of another ground. */
class TriedGrowthTest {
    private final Evaluator remembering = new Evaluator(
            Plans.KNOWLEDGE,
            new Climates(Plans.KNOWLEDGE),
            Optional.of(new GrowthMemory(new GroundMemory(2, Long.MAX_VALUE), new TriedGrowth(3))));

    private static FieldPlans plan(String sown, String end, String nextPlanted) {
        return FieldPlans.of()
                .crop("winter-wheat", "2026-10-01", "2027-07-20")
                .crop("grain-corn", nextPlanted, "2028-10-15")
                .cover("v1", "before", "c2", "", "cereal-rye")
                .operation("sow", "v1", sown, "\"method\":\"drilled\"")
                .operation("end", "v1", end, "\"method\":\"burndown\"");
    }

    private static Evaluated evaluated(Evaluator evaluator, FieldPlans p) {
        Dossier d = Plans.read(p.text());
        return evaluator.evaluate(d.plan(), d.context(), FieldPlans.AS_OF);
    }

    private static SeasonGrowth vetch(Evaluated e) {
        return e.covers()
                .get(0)
                .bench()
                .orElseThrow()
                .forecast()
                .alone(Plans.KNOWLEDGE.species().get("hairy-vetch"));
    }

    @Test
    void the_same_ground_gives_what_was_kept_whatever_changes_after_the_end() {
        SeasonGrowth first = vetch(evaluated(remembering, plan("2027-08-25", "2028-05-01", "2028-05-10")));
        SeasonGrowth again = vetch(evaluated(remembering, plan("2027-08-25", "2028-05-01", "2028-05-20")));
        assertThat(again).isSameAs(first);
    }

    @Test
    void another_day_or_another_end_is_played_again() {
        vetch(evaluated(remembering, plan("2027-08-25", "2028-05-01", "2028-05-10")));
        for (FieldPlans changed : new FieldPlans[] {
            plan("2027-09-10", "2028-05-01", "2028-05-10"), plan("2027-08-25", "2028-04-20", "2028-05-10")
        }) {
            SeasonGrowth kept = vetch(evaluated(remembering, changed));
            SeasonGrowth plain = vetch(evaluated(new Evaluator(Plans.KNOWLEDGE), changed));
            assertThat(kept.massKgHa()).containsExactly(plain.massKgHa());
            assertThat(kept.nitrogenKgHa()).containsExactly(plain.nitrogenKgHa());
        }
    }

    /** What is tried beside a plan and what the plan's own run comes to are one thing. */
    @Test
    void a_mix_that_is_tried_comes_to_what_the_plan_with_it_comes_to() {
        Evaluated e = evaluated(remembering, plan("2027-08-25", "2028-05-01", "2028-05-10"));
        MixBench bench = e.covers().get(0).bench().orElseThrow();
        List<SeedRate> rates = e.cover("v1").mix().blend().orElseThrow().rates();
        Sown own = MixBench.sown(rates).get(0);
        SeasonGrowth tried = bench.forecast().grow(List.of(new Sown(own.species(), own.share() * (1 + 1e-12))));
        assertThat(tried.massKgHa()).containsExactly(bench.own(rates).massKgHa(), within(0.01));
        assertThat(tried.nitrogenKgHa()).containsExactly(bench.own(rates).nitrogenKgHa(), within(0.01));
        assertThat(tried.species().get(0).stage())
                .containsExactly(bench.own(rates).species().get(0).stage(), within(1e-6));
    }
}
