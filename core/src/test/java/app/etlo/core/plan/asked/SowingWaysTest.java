package app.etlo.core.plan.asked;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.asked.SowingWays.WayView;
import app.etlo.core.plan.asked.SowingWays.WaysView;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Ways of sowing side by side: each is the plan so sown. */
class SowingWaysTest {
    private static final Evaluator EVALUATOR = new Evaluator(Plans.KNOWLEDGE);
    private static final Evaluated E = FieldPlans.of()
            .field("\"texture\":\"silt loam\",\"point\":{\"lat\":43,\"lon\":-89},"
                    + "\"equipment\":[{\"name\":\"Drill\",\"kind\":\"drill\"}]")
            .crop("winter-wheat", "2025-10-04", "2026-07-18")
            .crop("grain-corn", "2027-05-08", "2027-10-15")
            .cover("v1", "before", "c2", "", "cereal-rye", "hairy-vetch")
            .operation("sow", "v1", "2026-07-30", "\"method\":\"drilled\"")
            .operation("end", "v1", "2027-05-01", "\"method\":\"burndown\"")
            .evaluated();

    private static final WaysView SEEN =
            SowingWays.of(E.plan(), "v1", List.of(), Map.of(), p -> EVALUATOR.evaluate(p, E.context(), E.asOf()));
    private static final Map<String, WayView> WAYS =
            SEEN.ways().stream().collect(Collectors.toMap(WayView::id, Function.identity()));

    @Test
    void the_planned_way_is_the_plan() {
        assertThat(SEEN.atOnce()).isEqualTo(LocalDate.of(2026, 7, 18));
        assertThat(WAYS.values().stream().filter(WayView::planned).map(WayView::id))
                .containsExactly("as-planned");
        assertThat(WAYS.get("as-planned").tops().orElseThrow().value())
                .isCloseTo(
                        E.covers().get(0).mix().outlook().orElseThrow().mass().middle(), within(1e-6));
    }

    // drilled 70-85 % of live seed, broadcast and worked in 50-65, on the surface 25-50
    @Test
    void what_comes_up_lies_in_the_published_spans() {
        for (String way : List.of("drilled", "worked-in", "surface", "spun-and-rolled", "flown", "by-hand")) {
            String said = WAYS.get(way).emerges();
            double own = Double.parseDouble(said.replaceAll(" %.*", ""));
            String[] span =
                    said.replaceAll(".*published (\\d+) to (\\d+).*", "$1 $2").split(" ");
            assertThat(own).as(way).isBetween(Double.parseDouble(span[0]), Double.parseDouble(span[1]));
        }
    }

    @Test
    void later_loses_growth_and_hands_cost_most() {
        assertThat(WAYS.get("drilled").lostPerDay()).isEmpty();
        assertThat(WAYS.get("later").lostPerDay()).isPresent();
        assertThat(WAYS.get("later").on()).isEqualTo(LocalDate.of(2026, 8, 8));
        double hand = Double.parseDouble(WAYS.get("by-hand").per1000().orElseThrow());
        assertThat(hand)
                .isGreaterThan(Double.parseDouble(WAYS.get("drilled").per1000().orElseThrow()));
        assertThat(WAYS.get("drilled").hasMachine()).isTrue();
        assertThat(WAYS.get("spun-and-rolled").hasMachine()).isFalse();
    }
}
