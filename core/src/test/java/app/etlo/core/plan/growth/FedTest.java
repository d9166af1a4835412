package app.etlo.core.plan.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.advice.Note;
import app.etlo.core.knowledge.Crop;
import app.etlo.core.mix.SeasonGrowth;
import app.etlo.core.nitrogen.UsualFeeding;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanDocument.DateEntry;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.weather.Percentiles;
import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Nitrogen given to covers and crops, as planned or as is usual. */
class FedTest {
    private static final FieldPlans PLAN = FieldPlans.of()
            .field(
                    "\"texture\":\"sandy loam\",\"organicMatterPercent\":1.2,\"station\":\"tarrow-ridge\",\"point\":{\"lat\":43,\"lon\":-30}")
            .crop("winter-wheat", "2026-10-04", "2027-07-18")
            .crop("grain-corn", "2028-05-20", "2028-10-15")
            .cover("v1", "before", "c2", "", "cereal-rye", "hairy-vetch")
            .operation("sow", "v1", "2027-09-05", "\"method\":\"drilled\"")
            .operation("end", "v1", "2028-05-10", "\"method\":\"burndown\"");

    private static Evaluated fed(String subject, String product, double kgHa, String rateOf, LocalDate on) {
        Evaluated e = PLAN.evaluated();
        PlanDocument p = e.plan();
        List<Operation> all = new ArrayList<>(p.operations());
        all.add(new Operation.Feed(
                "fed",
                Optional.of(subject),
                DateEntry.on(on),
                Optional.empty(),
                Optional.empty(),
                new Operation.MaterialEntry(product),
                new Quantity(kgHa, Unit.KG_PER_HA),
                rateOf,
                Optional.empty()));
        return new Evaluator(Plans.KNOWLEDGE).evaluate(Plans.with(p, all), e.context(), e.asOf());
    }

    private static SeasonGrowth grown(Evaluated e) {
        return e.covers()
                .get(0)
                .bench()
                .orElseThrow()
                .own(e.covers().get(0).mix().blend().orElseThrow().rates());
    }

    private static double middle(double[] years) {
        return Percentiles.of(years).at(0.5);
    }

    private static double share(SeasonGrowth g, int of) {
        return middle(g.species().get(of).grownKgHa()) / middle(g.grownKgHa());
    }

    private static double carbonToNitrogen(Evaluated e) {
        return e.covers()
                .get(0)
                .mix()
                .outlook()
                .orElseThrow()
                .carbonToNitrogen()
                .orElseThrow()
                .middle();
    }

    /** More mass, richer, and the legume's share smaller: what handbooks say of nitrogen on a mix (common practice). */
    @Test
    void nitrogen_given_to_a_cover_acts_on_its_mass_its_carbon_to_nitrogen_and_its_balance() {
        Evaluated none = PLAN.evaluated();
        Evaluated fed = fed("v1", "urea", 80, "nitrogen", LocalDate.of(2027, 9, 10));
        assertThat(middle(grown(fed).grownKgHa()))
                .isGreaterThan(middle(grown(none).grownKgHa()));
        assertThat(middle(grown(fed).species().get(0).grownKgHa()))
                .isGreaterThan(1.05 * middle(grown(none).species().get(0).grownKgHa()));
        assertThat(carbonToNitrogen(fed)).isNotEqualTo(carbonToNitrogen(none));
        assertThat(share(grown(fed), 1)).isLessThan(share(grown(none), 1));
        assertThat(fed.notes().stream().map(Note::rule)).contains("cover-fed");
        assertThat(none.notes().stream().map(Note::rule)).doesNotContain("cover-fed");
    }

    /** 20 t of solid manure at 0.5 % N, of which 30 % act in the season, is 30 kg of nitrogen. */
    @Test
    void manure_counts_by_what_plants_can_take_of_it() {
        Evaluated manure = fed("v1", "cattle-manure", 20_000, "material", LocalDate.of(2027, 9, 10));
        Evaluated urea = fed("v1", "urea", 30, "nitrogen", LocalDate.of(2027, 9, 10));
        assertThat(middle(grown(manure).grownKgHa()))
                .isCloseTo(middle(grown(urea).grownKgHa()), within(1e-6));
    }

    /** Winter wheat is fed a little at sowing and the rest when it grows in spring (common practice). */
    @Test
    void a_winter_cereal_is_fed_mostly_in_spring_and_it_is_shown() {
        Evaluated e = PLAN.evaluated();
        List<UsualFeeding.Assumed> wheat = e.crops().get(0).feed().assumed().parts();
        assertThat(wheat).hasSizeBetween(2, 3);
        double all = wheat.stream().mapToDouble(a -> a.nitrogen().middle()).sum();
        assertThat(wheat.get(0).nitrogen().middle()).isCloseTo(0.2 * all, within(1e-9));
        assertThat(wheat.subList(1, wheat.size()))
                .allSatisfy(a -> assertThat(a.on().getMonth()).isBetween(Month.MARCH, Month.MAY));
        List<UsualFeeding.Assumed> corn = e.crops().get(1).feed().assumed().parts();
        assertThat(corn).hasSize(2);
        assertThat(corn.get(1).on()).isEqualTo(LocalDate.of(2028, 6, 24));
        // what is planned replaces it
        Evaluated planned = fed("c2", "urea", 90, "nitrogen", LocalDate.of(2028, 5, 20));
        assertThat(planned.crops().get(1).feed().assumed().parts()).isEmpty();
    }

    @Test
    void a_small_need_is_given_at_once_and_none_for_what_needs_none() {
        LocalDate planted = LocalDate.of(2028, 5, 1);
        Crop wheat = Plans.KNOWLEDGE.crops().get("winter-wheat");
        Crop beet = Plans.KNOWLEDGE.crops().get("sugar-beet");
        assertThat(UsualFeeding.of(wheat, planted, Optional.empty(), 50))
                .containsExactly(new UsualFeeding.Part(planted, 100));
        assertThat(UsualFeeding.of(wheat, planted, Optional.empty(), 0)).isEmpty();
        // a beet that stands as long has no winter in it
        assertThat(UsualFeeding.of(beet, planted, Optional.of(planted.plusDays(200)), 50))
                .hasSize(1);
        assertThat(UsualFeeding.of(wheat, planted, Optional.of(planted.plusDays(205)), 50))
                .extracting(UsualFeeding.Part::percent)
                .containsExactly(20.0, 80.0);
    }
}
