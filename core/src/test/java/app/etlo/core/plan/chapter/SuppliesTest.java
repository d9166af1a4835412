package app.etlo.core.plan.chapter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.nitrogen.FeedResult;
import app.etlo.core.nitrogen.SupplyAndUptake;
import app.etlo.core.nitrogen.SupplyAndUptake.Week;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument.DateEntry;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A crop's uptake by the week against what is free, held and fed. */
class SuppliesTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 12, 1);

    private static FieldPlans corn() {
        return FieldPlans.of()
                .field("\"texture\":\"silt loam\",\"point\":{\"lat\":41,\"lon\":-89}")
                .crop("soybean", "2026-05-20", "2026-10-05")
                .crop("grain-corn", "2027-05-10", "2027-10-20");
    }

    private static SupplyAndUptake supply(FieldPlans p) {
        FeedResult f = p.evaluated(TODAY).crops().get(1).feed();
        return f.supply().orElseThrow();
    }

    private static double fed(SupplyAndUptake s) {
        return s.weeks().stream().mapToDouble(Week::fedKgHa).sum();
    }

    /** Corn takes up most of its nitrogen from the sixth to the tenth week (common knowledge of uptake curves). */
    @Test
    void corn_takes_up_most_between_knee_high_and_silking() {
        SupplyAndUptake s = supply(corn());
        assertThat(s.weeks().size()).isBetween(10, 18);
        double all =
                s.weeks().stream().mapToDouble(w -> w.uptakeKgHa().middle()).sum();
        double high = s.weeks().stream()
                .filter(w -> w.week() > 5 && w.week() < 12)
                .mapToDouble(w -> w.uptakeKgHa().middle())
                .sum();
        assertThat(high).isGreaterThan(0.6 * all);
        assertThat(s.weeks().get(0).uptakeKgHa().middle()).isLessThan(3);
        // what it is assumed to be fed: its usual need less the soybean's 45 kg/ha
        assertThat(fed(s)).isGreaterThan(80);
    }

    @Test
    void what_is_planned_replaces_what_is_assumed() {
        Evaluated e = corn().evaluated(TODAY);
        List<Operation> all = new ArrayList<>(e.plan().operations());
        all.add(new Operation.Feed(
                "fed",
                Optional.of("c2"),
                DateEntry.on(LocalDate.of(2027, 6, 14)),
                Optional.empty(),
                Optional.empty(),
                new Operation.MaterialEntry("urea"),
                new Quantity(30, Unit.KG_PER_HA),
                "nitrogen",
                Optional.empty()));
        SupplyAndUptake s = new Evaluator(Plans.KNOWLEDGE)
                .evaluate(Plans.with(e.plan(), all), e.context(), TODAY)
                .crops()
                .get(1)
                .feed()
                .supply()
                .orElseThrow();
        assertThat(fed(s)).isCloseTo(30, within(0.01));
        assertThat(s.weeks().stream().filter(w -> w.fedKgHa() > 0))
                .singleElement()
                .extracting(Week::week)
                .isEqualTo(5);
        assertThat(s.says().get(0)).isNotBlank();
    }

    /** A winter wheat takes up a fifth or so before winter and most from tillering to flowering (common knowledge of uptake curves). */
    @Test
    void a_winter_crop_is_followed_through_its_spring() {
        SupplyAndUptake s = supply(FieldPlans.of()
                .field("\"texture\":\"silt loam\",\"point\":{\"lat\":43,\"lon\":-89}")
                .crop("soybean", "2027-05-10", "2027-09-20")
                .crop("winter-wheat", "2027-10-01", "2028-07-15"));
        double all =
                s.weeks().stream().mapToDouble(w -> w.uptakeKgHa().middle()).sum();
        double spring = s.weeks().stream()
                .filter(w -> w.on().isAfter(LocalDate.of(2028, 3, 1)))
                .mapToDouble(w -> w.uptakeKgHa().middle())
                .sum();
        assertThat(all).isBetween(60.0, 260.0);
        assertThat(spring).isGreaterThan(0.6 * all);
        assertThat(s.weeks().size()).isLessThan(30);
    }

    @Test
    void what_lies_there_before_and_after_is_said() {
        SupplyAndUptake s = supply(corn());
        assertThat(s.beforeKgHa().middle()).isBetween(5.0, 150.0);
        assertThat(s.leftKgHa().orElseThrow().middle())
                .isEqualTo(s.weeks().get(s.weeks().size() - 1).freeKgHa().middle());
    }

    @Test
    void a_legume_asks_for_none() {
        assertThat(corn().evaluated(LocalDate.of(2026, 3, 1))
                        .crops()
                        .get(0)
                        .feed()
                        .supply())
                .isEmpty();
    }
}
