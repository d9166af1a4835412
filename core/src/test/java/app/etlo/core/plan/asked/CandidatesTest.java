package app.etlo.core.plan.asked;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.mix.Candidate;
import app.etlo.core.mix.MixDesigner;
import app.etlo.core.mix.MixWishes;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.asked.Candidates.CandidateList;
import app.etlo.core.plan.asked.Candidates.CandidateView;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.growth.MixBench;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Species judged for a window: what they deliver, which are left out, and why. */
class CandidatesTest {
    private static final String FIELD = "\"station\":\"tarrow-ridge\",\"point\":{\"lat\":43,\"lon\":-30}";

    private static FieldPlans wheatThenCorn(String field) {
        return FieldPlans.of()
                .field(field)
                .crop("winter-wheat", "2026-10-04", "2027-07-18")
                .crop("grain-corn", "2028-05-08", "2028-10-15");
    }

    private static Evaluated summer(String field, List<String> aims, String method) {
        return wheatThenCorn(field)
                .coverWithAims("v1", "before", "c2", aims, "cereal-rye", "hairy-vetch")
                .operation("sow", "v1", "2027-08-20", "\"method\":\"drilled\"")
                .operation("end", "v1", "2028-05-01", "\"method\":\"" + method + "\"")
                .evaluated();
    }

    private static CandidateView one(CandidateList list, String species) {
        return list.candidates().stream()
                .filter(c -> c.species().equals(species))
                .findFirst()
                .orElseThrow();
    }

    private static List<String> rules(CandidateView c) {
        return c.findings().stream().map(Candidates.FindingView::rule).toList();
    }

    @Test
    void every_species_is_judged_the_excluded_last_and_with_reasons() {
        CandidateList list = Candidates.of(summer(FIELD, List.of("fix-nitrogen", "mulch"), "burndown"), "v1");
        assertThat(list.candidates()).hasSizeGreaterThanOrEqualTo(64);
        assertThat(list.aims()).hasSize(2);
        assertThat(list.aims().get(0).weight()).isCloseTo(0.75, within(1e-9));
        boolean out = false;
        for (CandidateView c : list.candidates()) {
            assertThat(out && !c.excluded()).as(c.name()).isFalse();
            out = c.excluded();
            assertThat(c.delivers()).hasSize(2);
            if (c.excluded()) {
                assertThat(c.findings()).anyMatch(Candidates.FindingView::excludes);
            }
        }
    }

    @Test
    void legumes_fix_and_grasses_do_not() {
        CandidateList list = Candidates.of(summer(FIELD, List.of("fix-nitrogen"), "burndown"), "v1");
        assertThat(one(list, "hairy-vetch").delivers().get(0).value()).isBetween(40.0, 200.0);
        assertThat(one(list, "cereal-rye").delivers().get(0).value()).isZero();
    }

    @Test
    void tender_species_die_and_cannot_be_rolled_in_spring() {
        CandidateList list = Candidates.of(summer(FIELD, List.of("mulch"), "roller-crimper"), "v1");
        assertThat(rules(one(list, "sorghum-sudangrass"))).contains("winter-ends-it");
        assertThat(one(list, "sorghum-sudangrass").alive()).isLessThan(0.1);
        assertThat(one(list, "cereal-rye").excluded()).isFalse();
        assertThat(one(list, "cereal-rye").alive()).isGreaterThan(0.9);
        // a perennial clover shrugs a roller off
        assertThat(rules(one(list, "white-clover"))).contains("survives-its-end");
    }

    @Test
    void what_must_winterkill_must_not_be_hardy() {
        CandidateList list = Candidates.of(summer(FIELD, List.of("catch-nitrogen"), "winterkill"), "v1");
        assertThat(rules(one(list, "cereal-rye"))).contains("will-not-winterkill");
        assertThat(one(list, "spring-oats").excluded()).isFalse();
    }

    @Test
    void ground_and_farm_exclude() {
        String field = FIELD
                + ",\"ph\":4.9,\"tileDepth\":{\"value\":60,\"unit\":\"cm\"},\"drainage\":\"poorly drained\""
                + ",\"livestock\":\"12 horses\",\"certification\":\"organic\""
                + ",\"programmes\":[{\"name\":\"Clean Brook\",\"allowedSpecies\":\"Cereal rye; alfalfa; Hairy vetch; Daikon radish\"}]"
                + ",\"residuals\":[{\"activeIngredient\":\"typed\",\"appliedOn\":\"2027-05-01\"}]";
        CandidateList list = Candidates.of(summer(field, List.of("feed-stock"), "mow"), "v1");
        assertThat(rules(one(list, "alfalfa"))).contains("ph-outside", "drowns", "cannot-be-ended", "plugs-drains");
        assertThat(rules(one(list, "hairy-vetch"))).contains("harms-the-stock", "residual-herbicide");
        assertThat(rules(one(list, "daikon-radish"))).contains("plugs-drains");
        assertThat(rules(one(list, "spring-oats"))).contains("not-on-programme");
    }

    @Test
    void soft_notes_do_not_exclude() {
        CandidateList list = Candidates.of(summer(FIELD, List.of("mulch"), "burndown"), "v1");
        assertThat(rules(one(list, "cereal-rye"))).contains("kin-of-next-crop");
        assertThat(one(list, "cereal-rye").excluded()).isFalse();
        assertThat(rules(one(list, "annual-ryegrass"))).contains("for-experts");
    }

    @Test
    void each_figure_opens_its_working() {
        Evaluated e = summer(FIELD, List.of("fix-nitrogen"), "burndown");
        CandidateView vetch = one(Candidates.of(e, "v1"), "hairy-vetch");
        assertThat(Candidates.figure(e, vetch.mass().id())).isPresent();
        assertThat(Candidates.figure(e, vetch.delivers().get(0).id())
                        .orElseThrow()
                        .working()
                        .expression())
                .isEqualTo("mass * n / 100 * fixed / 100");
        assertThat(Candidates.figure(e, "mix/v1/bulk")).isEmpty();
    }

    @Test
    void without_weather_or_time_it_says_what_is_missing() {
        Evaluated nowhere = wheatThenCorn("\"texture\":\"loam\"")
                .cover("v1", "before", "c2", "", "cereal-rye")
                .evaluated();
        assertThatThrownBy(() -> Candidates.of(nowhere, "v1")).hasMessageContaining("where the field lies");
        assertThatThrownBy(() -> Candidates.of(nowhere, "v9")).hasMessageContaining("no such cover");
    }

    private static MixDesigner designer(Evaluated e) {
        MixBench bench = Candidates.bench(e, "v1");
        List<Candidate> judged = Candidates.judged(e, "v1", bench);
        return new MixDesigner(
                bench.forecast(),
                bench.place(),
                judged,
                new MixDesigner.Seed(
                        Map.of(),
                        1,
                        1,
                        0,
                        app.etlo.core.plan.Plans.KNOWLEDGE.purposes().get("cover")));
    }

    @Test
    void a_mix_is_proposed_within_the_wishes() {
        MixDesigner d = designer(summer(FIELD, List.of("mulch", "fix-nitrogen"), "burndown"));
        MixDesigner.Proposal free = d.propose(MixWishes.none()).orElseThrow();
        MixDesigner.Proposal cheap =
                d.propose(MixWishes.none().costing(free.cost() / 2)).orElseThrow();
        assertThat(free.shares()).hasSizeBetween(1, MixWishes.MOST_SPECIES);
        assertThat(cheap.cost()).isLessThanOrEqualTo(free.cost() / 2 + 1e-6);
        assertThat(cheap.score()).isLessThanOrEqualTo(free.score() + 1e-9);
        assertThat(d.binding(cheap)).anyMatch(b -> b.wish().id().equals("cost") && b.score() > 0);
        assertThat(free.shares()).doesNotContainKey("sorghum-sudangrass");
    }

    @Test
    void an_excluded_species_comes_in_when_it_is_asked_for() {
        MixDesigner d = designer(summer(FIELD, List.of("mulch"), "roller-crimper"));
        MixWishes w = MixWishes.none();
        MixWishes asked = new MixWishes(
                false,
                w.aims(),
                w.cost(),
                w.species(),
                w.groups(),
                w.groupShares(),
                Map.of("sorghum-sudangrass", app.etlo.core.mix.Bounds.atLeast(0.2)),
                List.of(),
                w.totalShare(),
                w.seedsM2(),
                2,
                false,
                w.carbonToNitrogen(),
                w.legumeShare(),
                w.winterkilledShare(),
                w.seed());
        assertThat(d.propose(asked).orElseThrow().shares()).containsKey("sorghum-sudangrass");
    }

    @Test
    void the_frontier_rises_with_its_cost_and_is_told_as_it_comes() {
        MixDesigner d = designer(summer(FIELD, List.of("mulch", "fix-nitrogen"), "burndown"));
        List<MixDesigner.Proposal> found = new java.util.ArrayList<>();
        List<MixDesigner.Proposal> all = d.frontier(MixWishes.none(), 10, found::add);
        assertThat(all).hasSize(10).isEqualTo(found);
        assertThat(all.get(9).score()).isGreaterThan(all.get(0).score());
        for (int i = 1; i < 10; i++) {
            assertThat(all.get(i).cost()).isGreaterThanOrEqualTo(all.get(i - 1).cost() - 1e-6);
            assertThat(all.get(i).score()).isGreaterThanOrEqualTo(all.get(i - 1).score());
        }
    }

    @Test
    void wishes_that_cannot_all_hold_are_named() {
        MixDesigner d = designer(summer(FIELD, List.of("mulch"), "burndown"));
        MixWishes w = MixWishes.none();
        MixWishes greedy = new MixWishes(
                false,
                Map.of("mulch", 50.0),
                Optional.of(20.0),
                w.species(),
                w.groups(),
                w.groupShares(),
                Map.of(),
                List.of(),
                w.totalShare(),
                w.seedsM2(),
                2,
                false,
                w.carbonToNitrogen(),
                w.legumeShare(),
                w.winterkilledShare(),
                w.seed());
        assertThat(d.propose(greedy)).isEmpty();
        assertThat(d.conflict(greedy)).anyMatch(x -> x.id().equals("aim/mulch"));
    }
}
