package app.etlo.core.plan.asked;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.mix.Blend;
import app.etlo.core.mix.Component;
import app.etlo.core.mix.SownZone;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.asked.MixProposals.MixView;
import app.etlo.core.plan.asked.MixProposals.WishesEntry;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.plan.document.LotCsv;
import app.etlo.core.plan.document.LotSeed;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** A ceiling of cost holds for what is bought, and a proposal costs what the ledger shows once it is sown. */
class MixCostTest {
    private static final Evaluated E = FieldPlans.of()
            .field("\"texture\":\"silt loam\",\"point\":{\"lat\":43,\"lon\":-89}")
            .crop("winter-wheat", "2026-10-04", "2027-07-18")
            .crop("grain-corn", "2028-05-08", "2028-10-15")
            .coverWithAims("v1", "before", "c2", List.of("mulch", "fix-nitrogen"), "cereal-rye", "hairy-vetch")
            .operation("sow", "v1", "2027-08-20", "\"method\":\"broadcast\",\"seedbed\":1.1")
            .operation("end", "v1", "2028-05-01", "\"method\":\"burndown\"")
            .evaluated();

    /** Every species in bags so large that rounding up matters. */
    private static List<LotEntry> store() {
        String lines = Plans.KNOWLEDGE.species().all().stream()
                .map(s -> s.id() + ",L,97,88," + s.use().price().middle() + ",60\n")
                .collect(Collectors.joining());
        return LotCsv.read(
                        "species,lot,purity,germination,price per kg,bag kg\n" + lines,
                        Plans.KNOWLEDGE,
                        Optional.empty())
                .lots();
    }

    private static WishesEntry atMost(double perHa) {
        return new WishesEntry(
                Optional.empty(),
                Optional.empty(),
                Optional.of(new Quantity(perHa, Unit.MONEY_PER_HA)),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
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
        MixProposals proposals = new MixProposals(
                E, "v1", store, Map.of(), p -> new Evaluator(Plans.KNOWLEDGE).evaluate(p, E.context(), E.asOf()));
        for (double most : new double[] {45, 80, 130}) {
            MixView mix = proposals.propose(atMost(most)).mix().orElseThrow();
            assertThat(mix.cost()).isLessThanOrEqualTo(most + 1e-6);
            assertThat(mix.cost()).isCloseTo(ledger(mix, store), within(1e-6));
        }
        assertThat(proposals.propose(atMost(0.5)).conflict()).isNotEmpty();
    }
}
