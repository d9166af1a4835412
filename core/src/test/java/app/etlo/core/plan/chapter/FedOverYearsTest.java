package app.etlo.core.plan.chapter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.ReferenceProgram;
import app.etlo.core.advice.Note;
import app.etlo.core.nitrogen.FeedResult;
import app.etlo.core.nitrogen.LedgerLine;
import app.etlo.core.nitrogen.LedgerLine.Kind;
import app.etlo.core.nitrogen.NutrientBalance;
import app.etlo.core.nitrogen.TestToTake;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanDocument.DateEntry;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What is fed, and when, decides on later crops, on tests and on losses. */
class FedOverYearsTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 3, 1);

    /** Corn, then corn with a goal; the first is fed so many kg/ha of a product. */
    private static FeedResult second(String product, double kgHa, String day) {
        return evaluated(product, kgHa, day).crops().get(1).feed();
    }

    private static Evaluated evaluated(String product, double kgHa, String day) {
        Evaluated e = FieldPlans.of()
                .field("\"texture\":\"silt loam\",\"point\":{\"lat\":41,\"lon\":-89}")
                .crop("silage-corn", "2026-05-10", "2026-09-15")
                .crop("grain-corn", "2027-05-10", "2027-10-20")
                .evaluated(TODAY);
        ObjectNode plan = (ObjectNode) Json.tree(Json.write(e.plan()));
        ((ObjectNode) plan.path("crops").get(1)).set("yieldGoal", Json.tree("{\"value\":180,\"unit\":\"bu/ac\"}"));
        PlanDocument goal = Plans.READER.read(plan);
        List<Operation> all = new ArrayList<>(goal.operations());
        all.add(new Operation.Feed(
                "dung",
                Optional.of("c1"),
                DateEntry.on(LocalDate.parse(day)),
                Optional.empty(),
                Optional.empty(),
                new Operation.MaterialEntry(product),
                new Quantity(kgHa, Unit.KG_PER_HA),
                "material",
                Optional.empty()));
        return new Evaluator(Plans.KNOWLEDGE).evaluate(Plans.with(goal, all), e.context(), TODAY);
    }

    private static Optional<LedgerLine> manure(FeedResult f) {
        return f.ledger().counted().stream()
                .filter(l -> l.kind() == Kind.MANURE)
                .findFirst();
    }

    /** 20 US tons of solid manure an acre at 0.5 % hold 200 lb of nitrogen; 15 % of it comes free in the second season (common practice). */
    @Test
    void manure_feeds_the_second_crop_too() {
        FeedResult f = second("cattle-manure", ReferenceProgram.units("20 ton/intacre", "kg/hectare"), "2026-04-25");
        LedgerLine line = manure(f).orElseThrow();
        assertThat(line.amount().in(Unit.KG_PER_HA))
                .isCloseTo(ReferenceProgram.units("0.15 * 200 lb/intacre", "kg/hectare"), within(0.05));
        assertThat(line.amount().value().low()).isLessThan(line.amount().middle());
    }

    @Test
    void a_mineral_product_leaves_nothing_to_count() {
        assertThat(manure(second("urea", 200, "2026-04-25"))).isEmpty();
    }

    /** Corn is 15 to 30 cm tall some five weeks after an early May planting in the corn belt (common knowledge). */
    @Test
    void the_side_dress_test_is_taken_when_corn_is_that_tall() {
        List<TestToTake> tests = second("urea", 200, "2026-04-25").tests();
        assertThat(tests).extracting(TestToTake::id).containsExactly("pre-plant", "side-dress", "strip");
        TestToTake side = tests.get(1);
        assertThat(side.from()).isBetween(LocalDate.of(2027, 5, 25), LocalDate.of(2027, 6, 20));
        assertThat(side.to()).isAfter(side.from()).isBefore(side.from().plusDays(20));
        assertThat(side.done()).isFalse();
    }

    /** By GNU units. */
    @Test
    void what_is_bought_is_shown_by_the_bushel() {
        FeedResult f = second("urea", 200, "2026-04-25");
        double kgHa = f.bought().orElseThrow().left().in(Unit.KG_PER_HA);
        double tHa = ReferenceProgram.units("180 * 56 lb/intacre", "tonne/hectare");
        assertThat(f.boughtForYield().orElseThrow().in(Unit.KG_N_PER_T)).isCloseTo(kgHa / tHa, within(1e-3));
    }

    @Test
    void rain_after_a_feeding_is_counted_over_the_years() {
        FeedResult f = evaluated("urea", 60, "2026-06-10").crops().get(0).feed();
        assertThat(f.applications()).hasSize(1);
        assertThat(f.applications().get(0).dryShare().orElseThrow()).isBetween(0.1, 0.9);
    }

    /** 20 US tons an acre of solid manure at 0.3 % bring 120 lb of P2O5, whether spread on the crop or on the cover ahead of it. */
    @Test
    void manure_on_a_cover_counts_for_the_crop_behind_it() {
        Evaluated e = FieldPlans.of()
                .field("\"texture\":\"silt loam\",\"point\":{\"lat\":41,\"lon\":-89}")
                .crop("silage-corn", "2026-05-10", "2026-09-15")
                .crop("grain-corn", "2027-05-10", "2027-10-20")
                .cover("v1", "before", "c2", "", "cereal-rye")
                .operation("sow", "v1", "2026-09-20", "\"method\":\"drilled\"")
                .operation("end", "v1", "2027-04-25", "\"method\":\"burndown\"")
                .evaluated(TODAY);
        ObjectNode plan = (ObjectNode) Json.tree(Json.write(e.plan()));
        ((ObjectNode) plan.path("crops").get(1)).set("yieldGoal", Json.tree("{\"value\":180,\"unit\":\"bu/ac\"}"));
        PlanDocument goal = Plans.READER.read(plan);
        List<Operation> all = new ArrayList<>(goal.operations());
        all.add(new Operation.Feed(
                "dung",
                Optional.of("v1"),
                DateEntry.on(LocalDate.of(2026, 10, 1)),
                Optional.empty(),
                Optional.empty(),
                new Operation.MaterialEntry("cattle-manure"),
                new Quantity(ReferenceProgram.units("20 ton/intacre", "kg/hectare"), Unit.KG_PER_HA),
                "material",
                Optional.empty()));
        NutrientBalance p = new Evaluator(Plans.KNOWLEDGE)
                .evaluate(Plans.with(goal, all), e.context(), TODAY)
                .crops()
                .get(1)
                .feed()
                .nutrients()
                .get(0);
        assertThat(p.fed().in(Unit.KG_PER_HA))
                .isCloseTo(ReferenceProgram.units("120 lb/intacre", "kg/hectare"), within(0.05));
    }

    @Test
    void limits_of_law_are_read_from_the_plan_and_a_day_that_is_none_is_refused() {
        Evaluated e = evaluated("cattle-slurry", 60_000, "2026-12-10");
        ObjectNode plan = (ObjectNode) Json.tree(Json.write(e.plan()));
        ObjectNode crop = (ObjectNode) plan.path("crops").get(0);
        crop.set(
                "nitrogen",
                Json.tree(
                        "{\"ceiling\":{\"value\":170,\"unit\":\"kg/ha\"},\"closedFrom\":\"11-01\",\"closedTo\":\"01-31\"}"));
        List<String> rules = new Evaluator(Plans.KNOWLEDGE)
                .evaluate(Plans.READER.read(plan), e.context(), TODAY).notes().stream()
                        .map(Note::rule)
                        .toList();
        assertThat(rules).contains("nitrogen-over-ceiling", "fed-in-closed-period");
        ((ObjectNode) crop.path("nitrogen")).put("closedFrom", "02-30");
        assertThatThrownBy(() -> Plans.READER.read(plan))
                .isInstanceOfSatisfying(
                        Refused.class,
                        r -> assertThat(r.problems())
                                .anySatisfy(x -> assertThat(x.pointer()).endsWith("/crops/0/nitrogen/closedFrom")));
    }
}
