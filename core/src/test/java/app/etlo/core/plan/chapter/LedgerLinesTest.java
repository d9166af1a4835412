package app.etlo.core.plan.chapter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.nitrogen.FeedResult;
import app.etlo.core.nitrogen.LedgerLine.Kind;
import app.etlo.core.nitrogen.NitrogenLedger;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.quantity.Unit;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What a crop's ledger takes from the plan and the field. */
class LedgerLinesTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 12, 1);

    private static FieldPlans corn(String field) {
        return FieldPlans.of()
                .field("\"texture\":\"silt loam\",\"point\":{\"lat\":41,\"lon\":-89}" + field)
                .crop("soybean", "2026-05-20", "2026-10-05")
                .crop("grain-corn", "2027-05-10", "2027-10-20");
    }

    /** The plan's second crop with a yield goal and what is said of its nitrogen. */
    private static FeedResult fed(FieldPlans plans, String nitrogen) {
        Evaluated e = plans.evaluated(TODAY);
        ObjectNode plan = (ObjectNode) Json.tree(Json.write(e.plan()));
        ObjectNode crop = (ObjectNode) plan.path("crops").get(1);
        crop.set("yieldGoal", Json.tree("{\"value\":200,\"unit\":\"bu/ac\"}"));
        crop.set("nitrogen", Json.tree(nitrogen));
        PlanDocument read = Plans.READER.read(plan);
        return new Evaluator(Plans.KNOWLEDGE)
                .evaluate(read, e.context(), TODAY)
                .crops()
                .get(1)
                .feed();
    }

    private static List<Kind> counted(NitrogenLedger l) {
        return l.counted().stream().map(x -> x.kind()).toList();
    }

    /** 200 bu/ac at 1.1 lb/bu less a soybean credit of some 40 lb/ac: what an adviser would sign, not 220. */
    @Test
    void corn_behind_soybean_is_credited_with_it() {
        FeedResult f = fed(corn(""), "{}");
        assertThat(counted(f.ledger())).containsExactly(Kind.PREVIOUS_CROP);
        assertThat(f.cropBefore()).contains("soybean");
        assertThat(f.need().orElseThrow().in(Unit.LB_PER_AC)).isCloseTo(220, within(0.5));
        assertThat(f.bought().orElseThrow().left().in(Unit.LB_PER_AC)).isBetween(175.0, 185.0);
    }

    /** A crop of the history counts where it is the one before the plan's first, not when it is years old. */
    @Test
    void the_history_counts_only_where_it_is_the_crop_before() {
        String history = ",\"history\":[{\"year\":%d,\"crop\":\"soybean\"}]";
        assertThat(first(history.formatted(2026)).ledger().counted()).hasSize(1);
        assertThat(first(history.formatted(2022)).ledger().counted()).isEmpty();
    }

    private static FeedResult first(String history) {
        Evaluated e = FieldPlans.of()
                .field("\"texture\":\"silt loam\",\"point\":{\"lat\":41,\"lon\":-89}" + history)
                .crop("grain-corn", "2027-05-10", "2027-10-20")
                .evaluated(TODAY);
        ObjectNode plan = (ObjectNode) Json.tree(Json.write(e.plan()));
        ((ObjectNode) plan.path("crops").get(0)).set("yieldGoal", Json.tree("{\"value\":200,\"unit\":\"bu/ac\"}"));
        return new Evaluator(Plans.KNOWLEDGE)
                .evaluate(Plans.READER.read(plan), e.context(), TODAY)
                .crops()
                .get(0)
                .feed();
    }

    @Test
    void a_local_recommendation_has_the_soybean_inside_unless_it_is_said_not_to() {
        String local = "{\"school\":\"local\",\"need\":{\"value\":150,\"unit\":\"lb/ac\"}%s}";
        FeedResult inside = fed(corn(""), local.formatted(""));
        assertThat(inside.bought().orElseThrow().left().in(Unit.LB_PER_AC)).isCloseTo(150, within(0.01));
        assertThat(inside.ledger().leftOut()).hasSize(1);
        FeedResult apart = fed(corn(""), local.formatted(",\"creditsInside\":false"));
        assertThat(apart.bought().orElseThrow().left().in(Unit.LB_PER_AC)).isLessThan(115);
    }

    @Test
    void tests_count_by_their_day() {
        String test = ",\"soilTests\":[{\"date\":\"%s\",\"nitrateMgKg\":20,\"depth\":{\"value\":30,\"unit\":\"cm\"}}]";
        assertThat(counted(fed(corn(test.formatted("2027-04-20")), "{}").ledger()))
                .containsExactly(Kind.SOIL_TEST);
        FeedResult side = fed(corn(test.formatted("2027-06-10")), "{}");
        assertThat(counted(side.ledger())).containsExactly(Kind.SIDE_DRESS_TEST);
        assertThat(side.bought().orElseThrow().left().in(Unit.LB_PER_AC)).isCloseTo(40, within(0.01));
        assertThat(counted(fed(corn(test.formatted("2026-11-20")), "{}").ledger()))
                .containsExactly(Kind.PREVIOUS_CROP);
    }

    /** 20 lb/ac for each per cent above the reference (common practice). */
    @Test
    void organic_matter_counts_against_the_reference_that_is_typed() {
        String rich = ",\"organicMatterPercent\":4.5";
        assertThat(counted(fed(corn(rich), "{}").ledger())).doesNotContain(Kind.ORGANIC_MATTER);
        FeedResult f = fed(corn(rich), "{\"organicMatterReference\":3}");
        assertThat(f.ledger().counted().stream()
                        .filter(l -> l.kind() == Kind.ORGANIC_MATTER)
                        .findFirst()
                        .orElseThrow()
                        .amount()
                        .middle())
                .isCloseTo(30, within(1e-9));
    }

    @Test
    void nitrate_in_the_water_given_counts() {
        FieldPlans p = corn(",\"waterNitrateMgL\":10")
                .operation("irrigate", "c2", "2027-07-10", "\"depth\":{\"value\":100,\"unit\":\"mm\"}");
        assertThat(fed(p, "{}").ledger().counted())
                .anySatisfy(l -> assertThat(l.amount().middle()).isCloseTo(10, within(1e-9)));
    }

    /** All schools stand side by side; the plateau of rates that were tried is the need once it is chosen. */
    @Test
    void rates_that_were_tried_give_a_need() {
        StringBuilder tried = new StringBuilder();
        for (int n = 0; n <= 250; n += 50) {
            double y = 9000 - 0.15 * Math.pow(Math.min(n, 160) - 160, 2);
            tried.append(tried.isEmpty() ? "" : ",")
                    .append("{\"rate\":{\"value\":" + n + ",\"unit\":\"kg/ha\"},\"yield\":{\"value\":" + y
                            + ",\"unit\":\"kg/ha\"}}");
        }
        FeedResult f = fed(
                corn(""),
                "{\"school\":\"optimum\",\"response\":{\"tried\":[" + tried
                        + "],\"grainPrice\":{\"value\":200,\"unit\":\"¤/t\"},\"nitrogenPrice\":{\"value\":1.2,\"unit\":\"¤/kg\"}}}");
        assertThat(f.need().orElseThrow().middle()).isCloseTo(140, within(0.01));
        assertThat(f.schools()).extracting(s -> s.amount().isPresent()).containsExactly(true, true, false);
        assertThat(f.bought().orElseThrow().left().middle()).isCloseTo(140, within(0.01));
    }
}
