package app.etlo.core.plan.asked;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import app.etlo.core.advice.Weight;
import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.AimDelivery;
import app.etlo.core.mix.Blend;
import app.etlo.core.mix.Component;
import app.etlo.core.mix.SownZone;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.asked.MixProposals.Proposed;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Context;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.plan.document.LotCsv;
import app.etlo.core.plan.document.LotSeed;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanDocument.ComponentEntry;
import app.etlo.core.plan.document.PlanDocument.MixEntry;
import app.etlo.core.plan.document.ReadJson;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** A ceiling of cost holds for what is bought, and a proposal costs what the ledger shows once it is sown. */
class MixCostTest {
    /** One for all, which remembers what it has played, as the product has. */
    private static final Evaluator EVALUATOR = new Evaluator(Plans.KNOWLEDGE);

    private static final Evaluated E = plan("mulch", "fix-nitrogen");

    private static Evaluated plan(String... aims) {
        return FieldPlans.of()
                .field("\"texture\":\"silt loam\",\"point\":{\"lat\":43,\"lon\":-89}")
                .crop("winter-wheat", "2026-10-04", "2027-07-18")
                .crop("grain-corn", "2028-05-08", "2028-10-15")
                .coverWithAims("v1", "before", "c2", List.of(aims), "cereal-rye", "hairy-vetch")
                .operation("sow", "v1", "2027-08-20", "\"method\":\"broadcast\",\"seedbed\":1.1")
                .operation("end", "v1", "2028-05-01", "\"method\":\"burndown\"")
                .evaluated();
    }

    /** Every species in bags so large that rounding up matters. */
    private static List<LotEntry> store() {
        String lines = Plans.KNOWLEDGE.species().all().stream()
                .map(s -> s.id() + ",L,97,88," + s.use().price().middle() + ",60\n")
                .collect(Collectors.joining());
        return LotCsv.read(
                        "species,lot,purity,germination,price per kg,bag kg\n" + lines,
                        Plans.KNOWLEDGE,
                        Optional.empty(),
                        Optional.empty())
                .lots();
    }

    private static WishesEntry atMost(double perHa) {
        return wishes("{\"cost\":{\"value\":" + perHa + ",\"unit\":\"" + Unit.MONEY_PER_HA.symbol() + "\"}}");
    }

    private static double ledger(MixView mix, List<LotEntry> store) {
        Map<String, LotEntry> lots = store.stream().collect(Collectors.toMap(LotEntry::id, l -> l));
        List<Component> components = mix.shares().stream()
                .map(s -> new Component(
                        Plans.KNOWLEDGE.species().get(s.species()),
                        Optional.of(s.percent() / 100),
                        Optional.empty(),
                        Optional.empty(),
                        s.lotId().map(lots::get).map(LotSeed::of),
                        SownZone.whole("x")))
                .toList();
        return Blend.of("x", components, E.covers().get(0).inTime().sowing())
                .orElseThrow()
                .costPerHa()
                .orElseThrow()
                .middle();
    }

    @Test
    void a_ceiling_counts_waste_and_whole_bags() {
        List<LotEntry> store = store();
        MixProposals proposals =
                new MixProposals(E, "v1", store, Map.of(), p -> EVALUATOR.evaluate(p, E.context(), E.asOf()));
        for (double most : new double[] {45, 130}) {
            MixView mix = proposals.propose(atMost(most)).mix().orElseThrow();
            assertThat(mix.cost()).isLessThanOrEqualTo(most + 1e-6);
            assertThat(mix.cost()).isCloseTo(ledger(mix, store), within(1e-6));
        }
        assertThat(proposals.propose(atMost(0.5)).conflict()).isNotEmpty();
    }

    /** Small seed of a lot makes more plants of the same weight, hard seed fewer: a proposal counts what the ledger will. */
    @Test
    void a_proposal_comes_to_what_the_ledger_shows_once_it_is_taken() {
        List<LotEntry> lots = LotCsv.read(
                        "species,lot,purity,germination,hard seed,seeds per kg,price per kg\n"
                                + Plans.KNOWLEDGE.species().all().stream()
                                        .map(s -> s.id() + ",L,97,70,15,"
                                                + Math.round(2 * s.seedsPerKg().middle()) + ","
                                                + s.use().price().middle() + "\n")
                                        .collect(Collectors.joining()),
                        Plans.KNOWLEDGE,
                        Optional.empty(),
                        Optional.empty())
                .lots();
        Context c = E.context();
        Evaluated e = EVALUATOR.evaluate(
                E.plan(),
                new Context(c.farm(), c.field(), lots, c.weather(), c.forecast(), c.corrections(), List.of()),
                E.asOf());
        MixProposals proposals =
                new MixProposals(e, "v1", lots, Map.of(), p -> EVALUATOR.evaluate(p, e.context(), e.asOf()));
        MixView mix = proposals.propose(wishes("{}")).mix().orElseThrow();
        Evaluated with = EVALUATOR.evaluate(taken(e.plan(), mix), e.context(), e.asOf());
        var outlook = with.covers().get(0).mix().outlook().orElseThrow();
        assertThat(mix.aims())
                .isNotEmpty()
                .allSatisfy(a -> assertThat(a.value())
                        .as(a.aim())
                        .isCloseTo(
                                AimDelivery.unit(a.aim())
                                        .to(
                                                with.units().shown(AimDelivery.unit(a.aim())),
                                                outlook.aims().get(a.aim()).middle()),
                                withinPercentage(1)));
    }

    @Test
    void a_mix_of_rows_and_middles_is_told_that_a_proposal_has_none() {
        MixEntry rows = new MixEntry(
                "share",
                List.of(new ComponentEntry(
                        "cereal-rye",
                        Optional.of(50.0),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of("middle"))),
                Optional.empty(),
                Optional.of(new PlanDocument.ZonesEntry(
                        new Quantity(76, Unit.CENTIMETRE), new Quantity(25, Unit.CENTIMETRE))),
                Optional.empty());
        Evaluated zoned = EVALUATOR.evaluate(Alternatives.mixed(E.plan(), "v1", rows), E.context(), E.asOf());
        assertThat(proposals(zoned).propose(wishes("{}")).zones().orElseThrow()).contains("For the whole area");
        assertThat(proposals(E).propose(wishes("{}")).zones()).isEmpty();
    }

    private static PlanDocument taken(PlanDocument plan, MixView mix) {
        return Alternatives.mixed(
                plan,
                "v1",
                new MixEntry(
                        "share",
                        mix.shares().stream()
                                .map(s -> new ComponentEntry(
                                        s.species(),
                                        Optional.of(s.percent()),
                                        Optional.empty(),
                                        Optional.empty(),
                                        s.lotId(),
                                        Optional.empty()))
                                .toList(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()));
    }

    private static MixProposals proposals(Evaluated e) {
        return new MixProposals(e, "v1", List.of(), Map.of(), p -> EVALUATOR.evaluate(p, e.context(), e.asOf()));
    }

    private static Evaluated worked(PlanDocument p) {
        return EVALUATOR.evaluate(p, E.context(), E.asOf());
    }

    private static WishesEntry wishes(String json) {
        return ReadJson.as(WishesEntry.class, json);
    }

    /** What the line of cost against aims reaches, the search reaches when it is asked for it by number. */
    @Test
    void a_least_amount_is_reached_whenever_the_frontier_reaches_it() {
        double forty = Unit.LB_PER_AC.to(Unit.KG_PER_HA, 40);
        reachesWhatItsFrontierReaches(plan("fix-nitrogen", "protect-soil"), Optional.of(forty));
        reachesWhatItsFrontierReaches(dryWinter("burndown"), Optional.empty());
        reachesWhatItsFrontierReaches(southern("burndown"), Optional.empty());
    }

    private static Evaluated dryWinter(String ending) {
        return FieldPlans.of()
                .field("\"station\":\"sant-oriel\",\"texture\":\"loam\",\"point\":{\"lat\":38.4,\"lon\":10}")
                .crop("grain-corn", "2027-04-20", "2027-09-15")
                .crop("processing-tomato", "2028-04-25", "2028-08-25")
                .coverWithAims("v1", "after", "c1", List.of("fix-nitrogen", "protect-soil"), "faba-bean")
                .operation("sow", "v1", "2027-10-10", "\"method\":\"drilled\"")
                .operation("end", "v1", "2028-04-05", "\"method\":\"" + ending + "\"")
                .evaluated();
    }

    private static Evaluated southern(String ending) {
        return FieldPlans.of()
                .field("\"station\":\"karrel-downs\",\"texture\":\"loam\",\"point\":{\"lat\":-36.4,\"lon\":10}")
                .crop("soybean", "2026-11-05", "2027-04-10")
                .crop("grain-corn", "2027-10-05", "2028-03-20")
                .coverWithAims("v1", "after", "c1", List.of("fix-nitrogen", "protect-soil"), "hairy-vetch")
                .operation("sow", "v1", "2027-04-20", "\"method\":\"drilled\"")
                .operation("end", "v1", "2027-09-20", "\"method\":\"" + ending + "\"")
                .evaluated();
    }

    /** A legume before bloom lives on after mowing or rolling: those that do are named, with what would end them. */
    @Test
    void what_the_planned_end_leaves_alive_is_left_out_and_told() {
        for (Evaluated e : List.of(dryWinter("mow"), southern("roller-crimper"))) {
            Proposed p = proposals(e).propose(wishes("{}"));
            assertThat(p.forTheEnd().orElseThrow()).contains("live on after", " on that day ends ");
            assertThat(p.mix().isPresent()).isEqualTo(p.conflict().isEmpty());
            p.mix()
                    .ifPresent(m -> assertThat(m.shares())
                            .noneMatch(s -> p.forTheEnd().orElseThrow().contains(s.name())));
        }
        assertThat(proposals(southern("roller-crimper")).propose(wishes("{}")).conflict())
                .singleElement()
                .asString()
                .contains("planned end");
        assertThat(proposals(dryWinter("burndown")).propose(wishes("{}")).mix()).isPresent();
    }

    /** @param askedKgHa looked for too, where the frontier reaches it */
    private static void reachesWhatItsFrontierReaches(Evaluated e, Optional<Double> askedKgHa) {
        MixProposals proposals = proposals(e);
        List<MixView> line = new ArrayList<>();
        proposals.frontier(wishes("{}"), line::add);
        double most = line.stream().mapToDouble(MixCostTest::fixed).max().orElseThrow();
        assertThat(most).as("the frontier itself gets there").isGreaterThan(30);
        List<Double> leasts = new ArrayList<>(List.of(0.99 * most));
        askedKgHa.ifPresent(a -> leasts.add(Math.min(a, 0.9 * most)));
        for (double least : leasts) {
            MixView found = proposals
                    .propose(wishes("{\"aims\":{\"fix-nitrogen\":{\"value\":" + least + ",\"unit\":\"kg/ha\"}}}"))
                    .mix()
                    .orElseThrow();
            assertThat(fixed(found)).isGreaterThanOrEqualTo(least - 0.05);
        }
    }

    private static double fixed(MixView m) {
        return m.aims().stream()
                .filter(a -> a.aim().equals("fix-nitrogen"))
                .mapToDouble(MixView.AmountView::value)
                .findFirst()
                .orElse(0);
    }

    /** With each species as the only one that is allowed: what is proposed is not stopped, and what is not proposed is told. */
    @Test
    void nothing_is_proposed_that_the_notes_of_the_plan_with_it_stop() {
        List<String> all =
                Plans.KNOWLEDGE.species().all().stream().map(Species::id).toList();
        int none = 0;
        for (String only :
                List.of("cereal-rye", "daikon-radish", "sunflower", "persian-clover", "sunn-hemp", "faba-bean")) {
            String without = all.stream()
                    .filter(s -> !s.equals(only))
                    .map(s -> "\"" + s + "\"")
                    .collect(Collectors.joining(",", "[", "]"));
            Proposed p = proposals(E).propose(wishes("{\"without\":" + without + "}"));
            if (p.mix().isEmpty()) {
                assertThat(p.conflict()).as(only).isNotEmpty();
                none++;
            } else {
                Evaluated with = worked(taken(E.plan(), p.mix().get()));
                assertThat(with.notes())
                        .as(only)
                        .noneMatch(n -> n.weight() == Weight.STOP && n.subject().equals("v1/" + only));
            }
        }
        assertThat(none).isBetween(1, 5);
    }
}
