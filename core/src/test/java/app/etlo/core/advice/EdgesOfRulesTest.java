package app.etlo.core.advice;

import static app.etlo.core.advice.Scene.CoverScene.ended;
import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.advice.Scene.CoverScene;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.WindowKind;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Where each rule begins and ends, on situations made by hand: the day, the number or the fact on which it turns. */
class EdgesOfRulesTest {
    /**
     * @param says pieces of what it has to say; none where it is silent
     */
    private record Edge(String rule, String why, Scene scene, List<String> says) {
        @Override
        public String toString() {
            return rule + ": " + why;
        }
    }

    private static Edge says(String rule, String why, Scene scene, String... pieces) {
        return new Edge(rule, why, scene, List.of(pieces));
    }

    private static Edge silent(String rule, String why, Scene scene) {
        return new Edge(rule, why, scene, List.of());
    }

    private static Scene wheat() {
        return Scene.wheatThenCorn();
    }

    private static Scene with(CoverScene cover) {
        return wheat().cover(cover);
    }

    private static CoverScene rye() {
        return new CoverScene().share("cereal-rye", 60);
    }

    private static CoverScene cover() {
        return new CoverScene();
    }

    /** Two crops with so many days between them from the first of May. */
    private static Scene gap(String harvested, String planted) {
        return Scene.empty()
                .crop("c1", "spring-barley", "2026-03-01", harvested)
                .crop("c2", "soybean", planted, "2027-10-10")
                .windows();
    }

    static Stream<Edge> windows() {
        String bare = "window-without-cover";
        String seeds = "seed-bank-fed";
        return Stream.of(
                says(
                        bare,
                        "sixty days",
                        gap("2026-08-01", "2026-09-30"),
                        "for 60 days, from 1 Aug 2026 to 30 Sept 2026."),
                silent(bare, "fifty-nine days", gap("2026-08-01", "2026-09-29")),
                says(
                        bare,
                        "thirty days of winter",
                        gap("2026-09-01", "2026-12-01"),
                        "30 of them from November to March"),
                says(bare, "twenty-nine days of winter", gap("2026-09-01", "2026-11-30"), "to 30 Nov 2026."),
                says(bare, "a whole winter", wheat().windows(), "151 of them from November to March"),
                silent(
                        bare,
                        "a cover of that window",
                        gap("2026-08-01", "2026-12-01").cover(rye())),
                says(
                        bare,
                        "a cover that ends as the window opens",
                        gap("2026-08-01", "2026-12-01")
                                .cover(rye().sown("2026-06-01").ended(ended("burndown", "2026-08-01"))),
                        "Nothing grows"),
                silent(
                        bare,
                        "a cover that ends a day later",
                        gap("2026-08-01", "2026-12-01")
                                .cover(rye().sown("2026-06-01").ended(ended("burndown", "2026-08-02")))),
                says(
                        bare,
                        "a cover sown on the day the window closes",
                        gap("2026-08-01", "2026-12-01")
                                .cover(rye().sown("2026-12-01").ended(ended("burndown", "2027-04-01"))),
                        "Nothing grows"),
                says(
                        seeds,
                        "forty days of the warm season in forty-five",
                        gap("2026-04-26", "2026-06-10").weed("Fat hen", "high", false, false),
                        "Fat hen can seed"),
                silent(seeds, "forty-four days", gap("2026-04-26", "2026-06-09").weed("Fat hen", "high", false, false)),
                silent(
                        seeds,
                        "thirty-nine warm days",
                        gap("2026-08-23", "2026-12-01").weed("Fat hen", "high", false, false)),
                says(
                        seeds,
                        "forty warm days",
                        gap("2026-08-22", "2026-12-01").weed("Fat hen", "high", false, false),
                        "between 22 Aug 2026"),
                silent(
                        seeds,
                        "a weed of medium pressure",
                        gap("2026-06-01", "2026-09-01").weed("Fat hen", "medium", false, false)),
                silent(
                        seeds,
                        "the cool season of the south",
                        gap("2026-05-01", "2026-09-01").weather(30, true, -36).weed("Fat hen", "high", false, false)),
                says(
                        seeds,
                        "the warm season of the south",
                        gap("2026-11-01", "2027-03-01").weather(30, true, -36).weed("Fat hen", "high", false, false),
                        "Fat hen can seed"),
                silent(
                        seeds,
                        "inside a crop",
                        Scene.empty()
                                .crop("c1", "grain-corn", "2026-05-01", "2026-10-01")
                                .windows()
                                .weed("Fat hen", "high", false, false)));
    }

    static Stream<Edge> seed() {
        String brassica = "brassica-above-blend-share";
        String tile = "taproot-above-shallow-tile";
        return Stream.of(
                says(
                        brassica,
                        "two of them, with what each may be",
                        with(cover().share("daikon-radish", 30)
                                .share("oilseed-radish", 40)
                                .share("crimson-clover", 50)),
                        "Daikon radish at 30 % of its full rate and",
                        "at 40 % of its full rate shade out"),
                silent(
                        brassica,
                        "at its share",
                        with(cover().share("daikon-radish", 15).share("crimson-clover", 50))),
                says(
                        brassica,
                        "just above it",
                        with(cover().share("daikon-radish", 16).share("crimson-clover", 50)),
                        "at 16 % of its full rate shades out"),
                says(
                        tile,
                        "drains at a metre",
                        with(cover().share("daikon-radish", 30).rooted("daikon-radish", 1.2))
                                .tileCm(100),
                        "roots to 1.2 m"),
                silent(
                        tile,
                        "drains a little deeper",
                        with(cover().share("daikon-radish", 30).rooted("daikon-radish", 1.2))
                                .tileCm(101)),
                says(
                        tile,
                        "roots that just reach",
                        with(cover().share("daikon-radish", 30).rooted("daikon-radish", 0.9))
                                .tileCm(90),
                        "drains at 90 cm"),
                silent(
                        tile,
                        "roots that do not reach this season",
                        with(cover().share("daikon-radish", 30).rooted("daikon-radish", 0.89))
                                .tileCm(90)),
                silent(
                        tile,
                        "fibrous roots",
                        with(rye().rooted("cereal-rye", 1.5)).tileCm(60)),
                says(
                        "harms-stock",
                        "stock that are not entered",
                        with(cover().share("sorghum-sudangrass", 60)
                                .share("cereal-rye", 40)
                                .fed(false)
                                .caution("sorghum-sudangrass")),
                        "which is not entered",
                        "Sorghum-sudangrass (",
                        "Enter the stock"),
                silent("harms-stock", "nothing in it harms", with(rye().fed(false))),
                silent("harms-stock", "known stock that it does not harm", with(rye().fed(true))));
    }

    static Stream<Edge> field() {
        String acts = "residual-herbicide";
        String fed = "manure-feeds-weeds";
        Optional<Double> unknown = Optional.empty();
        return Stream.of(
                says(
                        acts,
                        "an interval nobody entered",
                        with(rye()).residual("2026-05-01", unknown),
                        "before the cover is sown on 10 Aug 2026",
                        "not entered"),
                silent(
                        acts,
                        "more than two years ago",
                        Scene.empty()
                                .crop("c2", "grain-corn", "2027-05-12", "2027-10-10")
                                .residual("2025-05-11", unknown)),
                says(
                        acts,
                        "two years ago to the day, ahead of a crop",
                        Scene.empty()
                                .crop("c2", "grain-corn", "2027-05-12", "2027-10-10")
                                .residual("2025-05-12", unknown),
                        "before grain corn is sown"),
                silent(
                        acts,
                        "applied on the day of sowing",
                        Scene.empty().cover(rye()).residual("2026-08-10", unknown)),
                silent(
                        acts,
                        "a crop that stands already",
                        Scene.empty()
                                .crop("c1", "winter-wheat", "2025-10-05", "2026-07-20")
                                .residual("2025-09-01", unknown)),
                silent(
                        fed,
                        "weeds of low pressure",
                        wheat().weed("Chickweed", "low", false, false).pass("knife-injector", "2026-09-01")),
                silent(
                        fed,
                        "no nutrients",
                        wheat().weed("Chickweed", "medium", false, false).pass("sprayer", "2026-09-01")),
                silent(
                        fed,
                        "two weeks ahead of planting",
                        wheat().weed("Chickweed", "medium", false, false).pass("knife-injector", "2027-04-28")),
                says(
                        fed,
                        "fifteen days ahead of it",
                        wheat().weed("Chickweed", "medium", false, false).pass("knife-injector", "2027-04-27"),
                        "on 27 Apr 2027"),
                says(
                        fed,
                        "on the day of harvest",
                        wheat().weed("Chickweed", "medium", false, false).pass("knife-injector", "2026-07-20"),
                        "weeds to feed"),
                silent(
                        fed,
                        "the day before it",
                        wheat().weed("Chickweed", "medium", false, false).pass("knife-injector", "2026-07-19")),
                silent(
                        fed,
                        "where a cover grows",
                        with(rye()).weed("Chickweed", "medium", false, false).pass("knife-injector", "2026-09-01")),
                silent(
                        fed,
                        "two weeks ahead of a cover",
                        with(rye()).weed("Chickweed", "medium", false, false).pass("knife-injector", "2026-07-27")),
                says(
                        fed,
                        "after the cover",
                        with(rye().ended(ended("burndown", "2026-10-01")))
                                .weed("Chickweed", "medium", false, false)
                                .pass("knife-injector", "2026-10-01"),
                        "nothing grows"));
    }

    static Stream<Edge> sowingAndEnd() {
        String flown = "flown-off-leaf-drop";
        String outside = "sown-outside-window";
        String far = "stand-far-from-forecast";
        return Stream.of(
                silent(
                        flown,
                        "ten days before harvest",
                        with(rye().sown("2026-07-10").flownInto("c1"))),
                says(
                        flown,
                        "nine days before it",
                        with(rye().sown("2026-07-11").flownInto("c1")),
                        "Flown on 9 days before harvest: the leaves are down"),
                silent(
                        flown,
                        "forty-five days before it",
                        with(rye().sown("2026-06-05").flownInto("c1"))),
                says(
                        flown,
                        "forty-six days before it",
                        with(rye().sown("2026-06-04").flownInto("c1")),
                        "Flown on 46 days before harvest: the canopy is still closed"),
                silent(
                        flown,
                        "drilled into the crop",
                        with(rye().sown("2026-07-15").into("c1"))),
                says(
                        outside,
                        "into a crop that is off",
                        with(rye().sown("2026-07-21").into("c1")),
                        "does not stand on that day"),
                says(
                        outside,
                        "into a crop that is not there yet",
                        with(rye().sown("2025-10-04").into("c1")),
                        "does not stand on that day"),
                says(
                        outside,
                        "into a crop nobody sows into",
                        with(rye().sown("2026-06-01").into("c1")),
                        "knows no safe time"),
                silent(outside, "on the first day", window(WindowKind.INTERSEEDED, "2026-06-01")),
                says(
                        outside,
                        "the day before it",
                        window(WindowKind.INTERSEEDED, "2026-05-31"),
                        "asks for 1 Jun 2026 to 20 Jun 2026"),
                silent(outside, "on the last day", window(WindowKind.INTERSEEDED, "2026-06-20")),
                says(outside, "the day after it", window(WindowKind.INTERSEEDED, "2026-06-21"), "Sown on 21 Jun 2026"),
                silent(outside, "a living mulch that was there before", window(WindowKind.LIVING_MULCH, "2026-05-01")),
                silent(outside, "between crops", window(WindowKind.BETWEEN, "2026-07-30")),
                silent(far, "at the low end", with(rye().stand(0.6, 1.4).forecast(600, 2500, 1.4))),
                says(
                        far,
                        "below it",
                        with(rye().stand(0.59, 1.4).forecast(600, 2500, 1.4)),
                        "590 kg/ha at 1.4 % N",
                        "600 kg/ha to 2500 kg/ha at 1.4 % N"),
                silent(far, "at the high end", with(rye().stand(2.5, 1.4).forecast(600, 2500, 1.4))),
                says(
                        far,
                        "one and a half times the nitrogen",
                        with(rye().stand(1.5, 3).forecast(600, 2500, 2)),
                        "at 3.0 % N"),
                silent(
                        far,
                        "a little less than that",
                        with(rye().stand(1.5, 2.99).forecast(600, 2500, 2))),
                says(far, "two thirds of it", with(rye().stand(1.5, 1.3).forecast(600, 2500, 2)), "at 1.3 % N"),
                silent(far, "nothing simulated", with(rye().stand(9, 1.4))));
    }

    private static Scene soy() {
        return Scene.empty()
                .crop("c1", "winter-wheat", "2025-10-05", "2026-07-20")
                .crop("c2", "soybean", "2027-05-12", "2027-10-10");
    }

    private static Scene three(String second, String third) {
        return Scene.empty()
                .crop("c1", "winter-wheat", "2025-10-05", "2026-07-20")
                .crop("c2", second, "2027-05-12", "2027-10-10")
                .crop("c3", third, "2028-05-12", "2028-10-10");
    }

    static Stream<Edge> balance() {
        String legumes = "legume-share";
        String like = "like-next-crop";
        String shares = "shares-out-of-use";
        String tied = "tie-up-expected";
        String beside = "fertiliser-beside-seed";
        String cold = "seedbed-cold";
        return Stream.of(
                says(
                        legumes,
                        "three crops and no legume",
                        three("grain-corn", "grain-sorghum"),
                        "No legume stands in the rotation"),
                silent(legumes, "one legume of three", three("soybean", "grain-corn")),
                silent(
                        legumes,
                        "a legume in a cover",
                        three("grain-corn", "grain-sorghum").cover(cover().share("hairy-vetch", 50))),
                says(legumes, "two legumes of three", three("soybean", "soybean"), "2 of 3 crops are legumes"),
                silent(legumes, "one of two", soy()),
                silent(legumes, "two crops without one", wheat()),
                silent(
                        like,
                        "seventy in a hundred of grass ahead of corn",
                        with(rye().share("hairy-vetch", 40).stands(70, 30))),
                says(
                        like,
                        "seventy-one",
                        with(rye().share("hairy-vetch", 40).stands(71, 29)),
                        "Grasses are 71 % of the dry tops ahead of grain corn"),
                silent(
                        like,
                        "sixty in a hundred of legumes ahead of soybean",
                        soy().cover(rye().share("hairy-vetch", 40).stands(40, 60))),
                says(
                        like,
                        "sixty-one",
                        soy().cover(rye().share("hairy-vetch", 40).stands(39, 61)),
                        "Legumes are 61 % of the dry tops ahead of soybean"),
                silent(
                        like,
                        "grass ahead of soybean",
                        soy().cover(rye().share("hairy-vetch", 40).stands(90, 10))),
                silent(
                        like,
                        "legumes ahead of corn",
                        with(rye().share("hairy-vetch", 40).stands(10, 90))),
                silent(
                        shares,
                        "sixty in a hundred",
                        with(cover().share("cereal-rye", 30).share("hairy-vetch", 30))),
                says(
                        shares,
                        "fifty-nine",
                        with(cover().share("cereal-rye", 30).share("hairy-vetch", 29)),
                        "add up to 59 %"),
                silent(
                        shares,
                        "a hundred and sixty",
                        with(cover().share("cereal-rye", 80).share("hairy-vetch", 80))),
                says(
                        shares,
                        "a hundred and sixty-one",
                        with(cover().share("cereal-rye", 80).share("hairy-vetch", 81)),
                        "add up to 161 %"),
                silent(shares, "one species", with(cover().share("cereal-rye", 40))),
                says(
                        tied,
                        "much of it",
                        with(rye().stand(9, 0.6)),
                        "% N the residue ties nitrogen up: about",
                        "is taken from the crop"),
                says(
                        tied,
                        "little of it",
                        with(rye().stand(3, 0.95)),
                        "over the season under",
                        "more in the first weeks"),
                silent(beside, "as much as the seed bears", with(rye().withSeed(20, 20))),
                says(
                        beside,
                        "small seed bears half",
                        with(cover().share("crimson-clover", 60).withSeed(11, 20)),
                        "above 10.0 kg/ha",
                        "with small seed"),
                silent(
                        beside,
                        "half for small seed",
                        with(cover().share("crimson-clover", 60).withSeed(10, 20))),
                silent(
                        cold,
                        "three years in ten",
                        with(cover().share("cowpea", 60).sown("2026-09-20").seedbed("cowpea", 30, 10))),
                says(
                        cold,
                        "more than three",
                        with(cover().share("cowpea", 60).sown("2026-09-20").seedbed("cowpea", 40, 10)),
                        "on this day it is colder in 4 years in 10"),
                says(
                        cold,
                        "a day that is past",
                        with(cover().share("cowpea", 60).sown("2026-06-30").seedbed("cowpea", 100, 10)),
                        "it was colder on this day"),
                silent(
                        cold,
                        "frost seeding is meant for cold ground",
                        with(cover().share("cowpea", 60)
                                .sown("2026-09-20")
                                .seedbed("cowpea", 60, 10)
                                .window(WindowKind.FROST_SEEDED, "2026-06-01", "2026-10-20", "2026-11-01"))),
                says(
                        cold,
                        "between crops it is not",
                        with(cover().share("cowpea", 60)
                                .sown("2026-09-20")
                                .seedbed("cowpea", 60, 10)
                                .window(WindowKind.BETWEEN, "2026-06-01", "2026-10-20", "2026-11-01")),
                        "Cowpea wants soil of"));
    }

    /** What would change a note follows from which way it errs. */
    @Test
    void a_note_names_the_way_out_of_its_own_case() {
        assertThat(one("shares-out-of-use", with(cover().share("cereal-rye", 30).share("hairy-vetch", 29)))
                        .wouldChange())
                .isEqualTo("larger shares");
        assertThat(one("shares-out-of-use", with(cover().share("cereal-rye", 80).share("hairy-vetch", 81)))
                        .wouldChange())
                .startsWith("smaller shares");
        assertThat(one("like-next-crop", with(rye().share("hairy-vetch", 40).stands(80, 20)))
                        .wouldChange())
                .isEqualTo("more legumes and broadleaves in the mix");
        assertThat(one(
                                "like-next-crop",
                                soy().cover(rye().share("hairy-vetch", 40).stands(20, 80)))
                        .wouldChange())
                .isEqualTo("more grasses in the mix");
        // daikon radish: at most 15 % of it in a blend
        Note radish = one(
                "brassica-above-blend-share",
                with(cover().share("daikon-radish", 30).share("crimson-clover", 50)));
        double most = Scene.species("daikon-radish").maxShare()
                * Scene.species("daikon-radish").fullRateKgHa().middle();
        assertThat(radish.wouldChange())
                .startsWith(
                        "of pure live seed at most " + wheat().made().say(most, Unit.KG_PER_HA) + " of daikon radish");
        assertThat(radish.facts()).containsExactly("daikon radish: share of full rate 30.0 %");
    }

    private static Scene window(WindowKind kind, String sown) {
        return with(rye().sown(sown).window(kind, "2026-06-01", "2026-06-20", "2026-10-01"));
    }

    @ParameterizedTest
    @MethodSource({"windows", "seed", "field", "sowingAndEnd", "balance"})
    void turns_where_it_says(Edge edge) {
        Judgement judgement = Judgements.all().stream()
                .filter(j -> j.name().equals(edge.rule()))
                .findFirst()
                .orElseThrow();
        List<Note> said = judgement.judge(edge.scene().made()).toList();
        assertThat(said).hasSize(edge.says().isEmpty() ? 0 : 1);
        edge.says().forEach(piece -> assertThat(said.get(0).text()).contains(piece));
    }

    /** Reasons that leave a species out weigh more than those that only speak against it, and a survivor or a listed plant stops. */
    @Test
    void a_reason_weighs_by_what_it_does() {
        assertThat(weight("mix-on-noxious-list")).isEqualTo(Weight.STOP);
        assertThat(weight("mix-survives-its-end")).isEqualTo(Weight.STOP);
        // on an organic field no herbicide may follow: that it cannot be ended is no lighter there
        assertThat(weight("mix-cannot-be-ended")).isEqualTo(Weight.STOP);
        assertThat(rule("mix-cannot-be-ended").step()).isEqualTo(Step.END);
        assertThat(weight("mix-ph-outside")).isEqualTo(Weight.THINK);
        assertThat(weight("mix-hard-to-end")).isEqualTo(Weight.THINK);
        assertThat(weight("mix-for-experts")).isEqualTo(Weight.TIP);
        assertThat(rule("mix-hard-to-end").step()).isEqualTo(Step.END);
        assertThat(rule("mix-ph-outside").step()).isEqualTo(Step.MIX);
        assertThat(rule("mix-ph-outside").speaks()).contains("left out of the candidates: ph outside");
        assertThat(rule("mix-for-experts").speaks()).contains("in doubt among the candidates: for experts");
    }

    private static Judgement rule(String name) {
        return Judgements.all().stream()
                .filter(j -> j.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static Weight weight(String name) {
        return rule(name).weight();
    }

    @Test
    void a_note_that_lacks_a_fact_asks_for_it() {
        Note stock = one(
                "harms-stock",
                with(cover().share("sorghum-sudangrass", 60).fed(false).caution("sorghum-sudangrass")));
        assertThat(stock.ask()).isPresent();
        assertThat(stock.subject()).isEqualTo("v1/stock");
        Note interval = one("residual-herbicide", with(rye()).residual("2026-05-01", Optional.empty()));
        assertThat(interval.ask()).isPresent();
        assertThat(interval.wouldChange()).contains("label");
    }

    private static Note one(String rule, Scene scene) {
        return rule(rule).judge(scene.made()).findFirst().orElseThrow();
    }
}
