package app.etlo.core.plan.chapter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.ReferenceProgram;
import app.etlo.core.nitrogen.Nutrient;
import app.etlo.core.nitrogen.NutrientBalance;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.document.Json;
import app.etlo.core.quantity.Unit;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

/** P, K and S that crops take off, over the plan. */
class BalancesTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 12, 1);

    /** Soybean at 60 and corn at 200 bu/ac, of which so much stover is baled. */
    private static List<NutrientBalance> of(int crop, double stoverPercent) {
        Evaluated e = FieldPlans.of()
                .field("\"texture\":\"silt loam\",\"point\":{\"lat\":41,\"lon\":-89}")
                .crop("soybean", "2026-05-20", "2026-10-05")
                .crop("grain-corn", "2027-05-10", "2027-10-20")
                .evaluated(TODAY);
        ObjectNode plan = (ObjectNode) Json.tree(Json.write(e.plan()));
        ((ObjectNode) plan.path("crops").get(0)).set("yieldGoal", Json.tree("{\"value\":60,\"unit\":\"bu/ac\"}"));
        ((ObjectNode) plan.path("crops").get(1)).set("yieldGoal", Json.tree("{\"value\":200,\"unit\":\"bu/ac\"}"));
        plan.path("operations").forEach(o -> {
            if (o.path("kind").asText().equals("harvest")
                    && o.path("subject").asText().equals("c2")) {
                ((ObjectNode) o).put("strawTakenPercent", stoverPercent);
            }
        });
        return new Evaluator(Plans.KNOWLEDGE)
                .evaluate(Plans.READER.read(plan), e.context(), TODAY)
                .crops()
                .get(crop)
                .feed()
                .nutrients();
    }

    private static double removed(List<NutrientBalance> b, Nutrient n) {
        return b.stream()
                .filter(x -> x.nutrient() == n)
                .findFirst()
                .orElseThrow()
                .removed()
                .middle();
    }

    /** 19 kg K2O a tonne of soybean, 4.5 of corn grain (extension tables, from memory), by GNU units. */
    @Test
    void what_the_yield_takes_off_is_that_of_the_tables() {
        double soy = ReferenceProgram.units("60 * 60 lb/intacre * 19/1000", "kg/hectare");
        assertThat(removed(of(0, 0), Nutrient.K2O)).isCloseTo(soy, within(0.01));
        double corn = ReferenceProgram.units("200 * 56 lb/intacre * 6/1000", "kg/hectare");
        assertThat(removed(of(1, 0), Nutrient.P2O5)).isCloseTo(corn, within(0.01));
    }

    @Test
    void draw_down_shows_over_the_plan() {
        NutrientBalance first = of(0, 0).get(1);
        NutrientBalance second = of(1, 0).get(1);
        assertThat(first.nutrient()).isEqualTo(Nutrient.K2O);
        assertThat(second.running().in(Unit.KG_PER_HA))
                .isCloseTo(first.balance().middle() + second.balance().middle(), within(1e-6));
        assertThat(second.running().middle()).isNegative();
    }

    @Test
    void stover_that_is_baled_takes_potassium_along() {
        double with = removed(of(1, 50), Nutrient.K2O);
        assertThat(with).isGreaterThan(removed(of(1, 0), Nutrient.K2O) + 50);
    }
}
