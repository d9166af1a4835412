package app.etlo.core.plan.asked;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.etlo.core.plan.Plans;
import app.etlo.core.plan.asked.Widening.Proposal;
import app.etlo.core.plan.asked.Widening.Proposals;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.Refused;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Ways to widen a window: what each gains, and that the plan it makes is a plan with the wider window. */
class WideningTest {
    private static final LocalDate AS_OF = LocalDate.of(2026, 6, 1);

    private static String plan(String crop, String planted, String harvested, String sown, String aims) {
        return """
                {"format":"etlo-dossier","version":1,"plan":{"schemaVersion":1,"id":"p","fieldId":"f",
                "crops":[{"id":"c1","crop":"%s","yieldGoal":{"value":10,"unit":"t/ha"},"turnaroundDays":2},
                         {"id":"c2","crop":"soybean"}],
                "covers":[{"id":"v1","place":{"relation":"before","cropId":"c2"},"aims":[%s],
                  "mix":{"method":"share","components":[{"species":"cereal-rye","sharePercent":100}]}}],
                "operations":[
                 {"id":"o1","kind":"sow","subject":"c1","when":{"on":"%s"}},
                 {"id":"o2","kind":"harvest","subject":"c1","when":{"on":"%s"}},
                 {"id":"o3","kind":"sow","subject":"v1","when":{"on":"%s"}},
                 {"id":"o4","kind":"sow","subject":"c2","when":{"on":"2027-05-20"}},
                 {"id":"o5","kind":"harvest","subject":"c2","when":{"on":"2027-10-05"}}],"answers":[]},
                "context":{"farm":{"id":"a","name":"Farm","units":"metric","currency":"EUR"},
                "field":{"id":"f","farmId":"a","name":"Field","area":{"value":20,"unit":"ha"},
                  "station":"tarrow-ridge"},"lots":[]}}
                """.formatted(crop, aims, planted, harvested, sown);
    }

    private static Evaluated evaluated(String text) {
        Dossier d = Plans.read(text);
        return new Evaluator(Plans.KNOWLEDGE).evaluate(d.plan(), d.context(), AS_OF);
    }

    private static Proposals proposals(String text) {
        return Widening.of(evaluated(text), "c1-c2");
    }

    private static final String CORN = plan("grain-corn", "2026-05-06", "2026-10-20", "2026-10-26", "\"mulch\"");

    @Test
    void corn_can_be_harvested_earlier_as_silage_or_give_way_to_a_small_grain() {
        List<String> ids =
                proposals(CORN).proposals().stream().map(Proposal::id).toList();
        assertThat(ids).contains("earlier-7", "earlier-14", "silage", "small-grain", "before-harvest", "second-drill");
    }

    @Test
    void the_plan_of_a_proposal_has_the_wider_window() {
        Evaluated now = evaluated(CORN);
        double days = now.figures().get("window/c2/days").middle();
        for (Proposal p : proposals(CORN).proposals()) {
            Evaluated then = new Evaluator(Plans.KNOWLEDGE)
                    .evaluate(Plans.READER.read(Json.write(p.plan())), now.context(), AS_OF);
            LocalDate sown = then.covers().get(0).sown().orElseThrow();
            assertThat(sown).as(p.id()).isEqualTo(p.sowFrom());
            assertThat(then.notes()).as(p.id()).noneMatch(n -> n.rule().equals("dates-out-of-order"));
            if (List.of("earlier-7", "earlier-14", "silage", "small-grain").contains(p.id())) {
                assertThat(then.figures().get("window/c2/days").middle())
                        .as(p.id())
                        .isEqualTo(days + p.days());
            }
        }
    }

    @Test
    void for_a_rolled_mulch_those_that_reach_its_date_come_first() {
        Proposals p = proposals(CORN);
        LocalDate needed = p.neededBy().orElseThrow();
        // about mid September at 43 degrees north
        assertThat(needed).isBetween(LocalDate.of(2026, 9, 8), LocalDate.of(2026, 9, 22));
        List<Boolean> reaches =
                p.proposals().stream().map(x -> x.reaches().orElseThrow()).toList();
        assertThat(reaches).contains(true, false);
        assertThat(reaches.lastIndexOf(true)).isLessThan(reaches.indexOf(false));
        assertThat(proposals(plan("grain-corn", "2026-05-06", "2026-10-20", "2026-10-26", "\"fix-nitrogen\""))
                        .neededBy())
                .isEmpty();
    }

    @Test
    void further_south_the_mulch_may_be_sown_later() {
        String south = CORN.replace("tarrow-ridge", "lowmarl");
        assertThat(proposals(south).neededBy().orElseThrow()).isAfter(LocalDate.of(2026, 10, 1));
    }

    @Test
    void days_and_degree_days_are_counted_from_the_sowing_of_now() {
        Proposals p = proposals(CORN);
        assertThat(p.sownNow()).isEqualTo(LocalDate.of(2026, 10, 26));
        Proposal week = p.proposals().stream()
                .filter(x -> x.id().equals("earlier-7"))
                .findFirst()
                .orElseThrow();
        assertThat(week.days()).isEqualTo(7);
        assertThat(week.sowFrom()).isEqualTo(LocalDate.of(2026, 10, 19));
        assertThat(week.degreeDaysMiddle()).isBetween(10.0, 80.0);
        // 7 days at 0.7 % of 10 t/ha
        assertThat(week.cost()).contains("4.9 %").contains("490 kg/ha");
    }

    @Test
    void a_ley_can_give_up_its_last_cut() {
        List<Proposal> p = proposals(plan("alfalfa", "2026-04-06", "2026-10-10", "2026-10-14", ""))
                .proposals();
        assertThat(p).extracting(Proposal::id).contains("last-cut").doesNotContain("silage", "earlier-7");
    }

    @Test
    void nothing_is_proposed_for_days_that_are_past() {
        Dossier d = Plans.read(CORN);
        Evaluated later = new Evaluator(Plans.KNOWLEDGE).evaluate(d.plan(), d.context(), LocalDate.of(2026, 10, 15));
        assertThat(Widening.of(later, "c1-c2").proposals())
                .isNotEmpty()
                .allMatch(p -> !p.sowFrom().isBefore(LocalDate.of(2026, 10, 15)));
    }

    @Test
    void a_window_the_plan_does_not_have_is_refused() {
        assertThatThrownBy(() -> Widening.of(evaluated(CORN), "c2-c1")).isInstanceOf(Refused.class);
    }
}
