package app.etlo.core.advice;

import static app.etlo.core.advice.Scene.CoverScene.ended;
import static app.etlo.core.advice.Scene.CoverScene.lot;
import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.advice.Scene.CoverScene;
import app.etlo.core.ground.CropFailure;
import app.etlo.core.mix.Fitness;
import app.etlo.core.mix.SeedLot;
import app.etlo.core.mix.SeedTag;
import app.etlo.core.quantity.PlausibleSpan;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.WindowKind;
import app.etlo.core.termination.EndGap;
import app.etlo.core.termination.EndRule;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every rule alone, on a situation made by hand: where it speaks it says so once and of the right thing, and the nearest situation in
 * which a careful adviser would say nothing leaves it silent.
 */
class HandBuiltRulesTest {
    /**
     * @param says a piece of what it has to say
     * @param silent as near as can be, and nothing to be said
     */
    private record Rule(String name, String says, Scene speaks, Scene silent) {
        @Override
        public String toString() {
            return name;
        }
    }

    private static Scene wheat() {
        return Scene.wheatThenCorn();
    }

    private static EndGap label(int days) {
        return gap(days, 7, true);
    }

    private static EndGap practice(int days) {
        return gap(days, 1, false);
    }

    private static EndGap gap(int days, int least, boolean ofLabel) {
        LocalDate from = LocalDate.of(2027, 4, 20);
        return new EndGap(
                "gap",
                "burndown herbicide",
                from,
                "rolling",
                from.plusDays(days),
                Optional.of(least),
                Optional.empty(),
                "it must be so",
                ofLabel);
    }

    private static Scene with(CoverScene cover) {
        return wheat().cover(cover);
    }

    private static CoverScene rye() {
        return new CoverScene().share("cereal-rye", 60);
    }

    private static Scene soybeanAhead() {
        return Scene.empty()
                .crop("c1", "winter-wheat", "2025-10-05", "2026-07-20")
                .crop("c2", "soybean", "2027-05-20", "2027-10-10");
    }

    private static Scene grainForSeed() {
        return Scene.empty()
                .crop("c1", "soybean", "2026-05-10", "2026-08-01")
                .crop("c2", "winter-wheat", "2026-10-05", "2027-07-10")
                .forSeed("c2");
    }

    private static CoverScene five() {
        return rye().share("hairy-vetch", 20)
                .share("phacelia", 20)
                .share("oilseed-flax", 20)
                .share("buckwheat", 20);
    }

    private static CoverScene cover() {
        return new CoverScene();
    }

    private static SeedTag tag(String noxious, String treated, String hardiness, Double stockKg) {
        return new SeedTag(
                Optional.ofNullable(noxious),
                true,
                Optional.ofNullable(treated),
                Optional.ofNullable(hardiness),
                Optional.ofNullable(stockKg),
                0,
                Optional.empty(),
                1,
                false);
    }

    private static final SeedTag READ = tag(null, null, null, null);

    private static SeedTag other(double weedSeed, String useBy, double agesBy, boolean own) {
        return new SeedTag(
                Optional.empty(),
                true,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                weedSeed,
                Optional.ofNullable(useBy).map(Scene::day),
                agesBy,
                own);
    }

    private static SeedLot tested(String on) {
        return lot("cereal-rye", READ, on, true);
    }

    private static SeedLot vetch(boolean inoculated) {
        return lot("hairy-vetch", READ, "2026-06-01", inoculated);
    }

    private static Situation.TypedNumber goal(double tHa) {
        return new Situation.TypedNumber(
                Step.ROTATION,
                "c2",
                "Yield goal",
                new Quantity(tHa, Unit.T_PER_HA),
                new PlausibleSpan(2000, 18_000, Unit.KG_PER_HA));
    }

    static Stream<Rule> sequence() {
        return Stream.of(
                new Rule(
                        "crop-fails",
                        "still live beside it",
                        Scene.empty()
                                .crop("c1", "spring-barley", "2026-03-25", "2026-08-12")
                                .failing("c1", CropFailure.Cause.COVER_ALIVE, 900),
                        Scene.empty().crop("c1", "spring-barley", "2026-03-25", "2026-08-12")),
                new Rule(
                        "goal-above-growth",
                        "does not carry is lost",
                        // 12 t at 15.5 % moisture and an index of 0.5 stand on 20.3 t of dry tops
                        Scene.wheatThenCorn().goal("c2", 12, 16.5),
                        Scene.wheatThenCorn().goal("c2", 12, 17)),
                new Rule(
                        "dates-out-of-order",
                        "before winter wheat is off the field",
                        Scene.empty()
                                .crop("c1", "winter-wheat", "2025-10-05", "2026-07-20")
                                .crop("c2", "soybean", "2026-07-19", "2026-11-01"),
                        Scene.empty()
                                .crop("c1", "winter-wheat", "2025-10-05", "2026-07-20")
                                .crop("c2", "soybean", "2026-07-20", "2026-11-01")),
                new Rule(
                        "date-far-away",
                        "Is the year right?",
                        Scene.empty().crop("c1", "grain-corn", "2030-05-01", "2032-10-01"),
                        Scene.empty().crop("c1", "grain-corn", "2030-05-01", "2030-10-01")),
                new Rule("number-doubtful", "is doubtful", wheat().typed(goal(180)), wheat().typed(goal(18))),
                new Rule(
                        "same-crop-twice",
                        "follows itself",
                        Scene.empty()
                                .crop("c1", "grain-corn", "2026-05-01", "2026-10-01")
                                .crop("c2", "grain-corn", "2027-05-01", "2027-10-01"),
                        Scene.empty()
                                .crop("c1", "grain-corn", "2026-05-01", "2026-10-01")
                                .crop("c2", "soybean", "2027-05-01", "2027-10-01")),
                new Rule(
                        "same-family-twice",
                        "both Poaceae",
                        Scene.empty()
                                .crop("c1", "winter-wheat", "2025-10-01", "2026-07-20")
                                .crop("c2", "winter-barley", "2026-10-01", "2027-07-01"),
                        wheat()),
                new Rule(
                        "no-broadleaf-grass-alternation",
                        "All 3 crops are grasses",
                        wheat().crop("c3", "winter-barley", "2027-10-15", "2028-07-01"),
                        wheat().crop("c3", "soybean", "2028-05-15", "2028-10-01")),
                new Rule(
                        "window-without-cover",
                        "Nothing grows for 296 days",
                        wheat().windows(),
                        wheat().windows().cover(rye())),
                new Rule(
                        "weeds-before-no-till",
                        "Couch, a perennial, is not under control",
                        wheat().weed("Couch", "low", true, false).untilled("c2"),
                        wheat().weed("Couch", "low", true, true).untilled("c2")),
                new Rule(
                        "work-peak",
                        "4 jobs of this field",
                        Scene.empty()
                                .crop("c1", "winter-wheat", "2025-10-05", "2026-07-20")
                                .crop("c2", "soybean", "2026-07-22", "2026-11-05")
                                .cover(rye().sown("2026-07-21").ended(ended("mow", "2026-07-29"))),
                        Scene.empty()
                                .crop("c1", "winter-wheat", "2025-10-05", "2026-07-20")
                                .crop("c2", "soybean", "2026-07-22", "2026-11-05")
                                .cover(rye().sown("2026-07-21").ended(ended("mow", "2026-08-29")))),
                new Rule(
                        "legume-share",
                        "No legume stands in the rotation",
                        wheat().crop("c3", "winter-barley", "2027-10-15", "2028-07-01"),
                        wheat().crop("c3", "winter-barley", "2027-10-15", "2028-07-01")
                                .cover(cover().share("hairy-vetch", 60))),
                new Rule(
                        "manure-feeds-weeds",
                        "nothing grows then",
                        wheat().weed("Chickweed", "medium", false, false).pass("knife-injector", "2026-09-01"),
                        wheat().weed("Chickweed", "medium", false, false).pass("knife-injector", "2027-05-01")),
                new Rule(
                        "volunteers-ahead",
                        "Volunteers of canola",
                        Scene.empty()
                                .crop("c1", "canola", "2025-08-25", "2026-07-20")
                                .crop("c2", "soybean", "2027-05-15", "2027-10-01"),
                        Scene.empty()
                                .crop("c1", "canola", "2025-08-25", "2026-07-20")
                                .crop("c2", "winter-wheat", "2026-10-05", "2027-07-20")),
                new Rule(
                        "root-harvest-in-wet-season",
                        "Look for ruts",
                        Scene.empty()
                                .crop("c1", "potato", "2026-05-01", "2026-10-20")
                                .crop("c2", "grain-corn", "2027-05-01", "2027-10-01")
                                .untilled("c2"),
                        Scene.empty()
                                .crop("c1", "potato", "2026-05-01", "2026-09-20")
                                .crop("c2", "grain-corn", "2027-05-01", "2027-10-01")
                                .untilled("c2")),
                new Rule(
                        "nitrogen-left-by-crop",
                        "usually leaves about",
                        Scene.empty()
                                .crop("c1", "soybean", "2026-05-15", "2026-10-01")
                                .crop("c2", "grain-corn", "2027-05-01", "2027-10-01"),
                        wheat()),
                new Rule(
                        "soil-test-old",
                        "newest soil test",
                        wheat().soilTest("2022-06-30"),
                        wheat().soilTest("2022-07-01")),
                new Rule(
                        "weather-uncertain",
                        "has 12 whole years",
                        wheat().weather(12, true, 50),
                        wheat().weather(30, true, 50)),
                new Rule(
                        "seed-bank-fed",
                        "Fat hen can seed",
                        wheat().windows().weed("Fat hen", "high", false, false),
                        wheat().windows().weed("Fat hen", "high", false, false).cover(rye())),
                new Rule(
                        "residual-herbicide",
                        "acts until",
                        with(rye()).residual("2026-05-01", Optional.of(4.0)),
                        with(rye()).residual("2026-05-01", Optional.of(3.0))));
    }

    static Stream<Rule> mixes() {
        return Stream.of(
                new Rule(
                        "seed-density-out-of-range",
                        "Sown thin",
                        with(cover().share("faba-bean", 40).share("cover-sunflower", 40)),
                        with(rye())),
                new Rule(
                        "brassica-above-blend-share",
                        "out the small and slow species",
                        with(cover().share("daikon-radish", 30).share("hairy-vetch", 50)),
                        with(cover().share("daikon-radish", 30).share("cereal-rye", 50))),
                new Rule(
                        "hardly-seen",
                        "it will hardly be seen",
                        with(rye().share("cowpea", 1)),
                        with(rye().share("hairy-vetch", 40))),
                new Rule(
                        "same-family-as-next-crop",
                        "are both Brassicaceae",
                        Scene.empty()
                                .crop("c1", "winter-wheat", "2025-10-05", "2026-07-20")
                                .crop("c2", "spring-canola", "2027-04-12", "2027-08-10")
                                .cover(cover().share("daikon-radish", 60)),
                        Scene.empty()
                                .crop("c1", "winter-wheat", "2025-10-05", "2026-07-20")
                                .crop("c2", "spring-canola", "2027-04-12", "2027-08-10")
                                .cover(rye())),
                new Rule(
                        "taproot-above-shallow-tile",
                        "daikon radish roots to 1.1 m, alfalfa roots to 1.4 m",
                        with(cover().share("daikon-radish", 10)
                                        .share("alfalfa", 50)
                                        .rooted("daikon-radish", 1.1)
                                        .rooted("alfalfa", 1.4))
                                .tileCm(90),
                        with(cover().share("daikon-radish", 10).rooted("daikon-radish", 0.8))
                                .tileCm(90)),
                new Rule(
                        "germination-test-old",
                        "more than nine months before sowing",
                        with(cover().lot("cereal-rye", 60, tested("2025-11-09"))),
                        with(cover().lot("cereal-rye", 60, tested("2025-11-10")))),
                new Rule(
                        "legume-without-inoculant",
                        "no inoculant planned",
                        with(cover().lot("hairy-vetch", 60, vetch(false))),
                        with(cover().lot("hairy-vetch", 60, vetch(true)))),
                new Rule(
                        "legume-without-inoculant",
                        "is not known to have grown this group",
                        with(cover().lot("hairy-vetch", 60, vetch(false)).uninoculated("pea and vetch", false)),
                        with(cover().lot("hairy-vetch", 60, vetch(false)).uninoculated("pea and vetch", true))),
                new Rule(
                        "weight-share-misleads",
                        "of the plants to come",
                        with(rye().share("phacelia", 60)),
                        with(rye().share("spring-oats", 60))),
                new Rule(
                        "canopy-dominated",
                        "Cereal rye is forecast to be 70 % of the stand",
                        with(rye().share("hairy-vetch", 20)
                                .share("phacelia", 20)
                                .stands(70, 20, 10)),
                        with(rye().share("hairy-vetch", 20)
                                .share("phacelia", 20)
                                .stands(60, 30, 10))),
                new Rule(
                        "like-next-crop",
                        "nitrogen can be short",
                        with(rye().share("hairy-vetch", 20).stands(75, 25)),
                        with(rye().share("hairy-vetch", 40).stands(65, 35))),
                new Rule(
                        "treated-seed-fed",
                        "stock will graze this cover",
                        with(cover().lot("cereal-rye", 60, lot("cereal-rye", tag(null, "a fungicide", null, null)))
                                .fed(true)),
                        with(cover().lot("cereal-rye", 60, lot("cereal-rye", READ))
                                .fed(true))),
                new Rule(
                        "treated-seed-handled",
                        "gloves and dust mask",
                        with(cover().lot("cereal-rye", 60, lot("cereal-rye", tag(null, "a fungicide", null, null)))),
                        with(cover().lot("cereal-rye", 60, lot("cereal-rye", READ)))),
                new Rule(
                        "noxious-on-tag",
                        "Do not sow this lot",
                        with(cover().lot("cereal-rye", 60, lot("cereal-rye", tag("wild oat", null, null, null))))
                                .noxious("wild oat"),
                        with(cover().lot("cereal-rye", 60, lot("cereal-rye", READ)))
                                .noxious("wild oat")),
                new Rule(
                        "tag-not-looked-at",
                        "read them before sowing",
                        with(cover().lot("cereal-rye", 60, lot("cereal-rye", SeedTag.SILENT))),
                        with(cover().lot("cereal-rye", 60, lot("cereal-rye", READ)))),
                new Rule(
                        "hardiness-of-lot",
                        "must pass a winter",
                        with(cover().lot("winter-barley", 60, lot("winter-barley", tag(null, null, "spring", null)))),
                        with(cover().lot("winter-barley", 60, lot("winter-barley", tag(null, null, "winter", null))))),
                new Rule(
                        "lot-too-small",
                        "are needed",
                        with(cover().lot("cereal-rye", 60, lot("cereal-rye", tag(null, null, null, 100.0)))),
                        with(cover().lot("cereal-rye", 60, lot("cereal-rye", tag(null, null, null, 5000.0))))),
                new Rule(
                        "shares-out-of-use",
                        "add up to 50 %",
                        with(cover().share("cereal-rye", 25).share("hairy-vetch", 25)),
                        with(cover().share("cereal-rye", 50).share("hairy-vetch", 50))),
                new Rule(
                        "herbicides-not-said",
                        "the commonest silent failure",
                        with(rye()).herbicidesNotSaid(),
                        with(rye())),
                // the full rate of rye is 100 kg/ha; a mulch takes 157 to 188
                new Rule(
                        "mulch-sown-thin",
                        "is the rate of an ordinary cover",
                        with(cover().share("cereal-rye", 100).wants("mulch")),
                        with(cover().share("cereal-rye", 100).purpose(1.6).wants("mulch"))),
                new Rule(
                        "mulch-sown-thick",
                        "more than a rolled mulch is sown with",
                        with(cover().share("cereal-rye", 100).purpose(2.5).wants("mulch")),
                        with(cover().share("cereal-rye", 100).purpose(1.8).wants("mulch"))),
                new Rule(
                        "aim-out-of-reach",
                        "From about 35 kg/ha on it is noticed",
                        with(rye().delivers("fix-nitrogen", 30)),
                        with(rye().delivers("fix-nitrogen", 40))),
                new Rule(
                        "depths-apart",
                        "a second pass for depth alone buys little",
                        with(rye().share("faba-bean", 60)),
                        with(rye().share("winter-triticale", 40))),
                new Rule(
                        "sown-too-deep",
                        "two passes give each species its own",
                        with(rye().share("white-clover", 30).atCm(4)),
                        with(rye().share("white-clover", 30).atCm(1))),
                new Rule(
                        "harms-stock",
                        "ask the veterinarian",
                        with(cover().share("sorghum-sudangrass", 60).fed(true).caution("sorghum-sudangrass")),
                        with(cover().share("sorghum-sudangrass", 60).caution("sorghum-sudangrass"))),
                new Rule(
                        "inoculant-late",
                        "Count on no live rhizobium from it",
                        with(cover().lot(
                                        "hairy-vetch",
                                        30,
                                        lot("hairy-vetch", other(0, "2026-08-09", 1, false), "2026-06-01", true))),
                        with(cover().lot(
                                        "hairy-vetch",
                                        30,
                                        lot("hairy-vetch", other(0, "2026-08-10", 1, false), "2026-06-01", true)))),
                new Rule(
                        "inoculant-late",
                        "The inoculant of the pea and vetch group was to be used by 1 Aug 2026",
                        with(cover().lot("hairy-vetch", 60, vetch(false)).inoculant("pea and vetch", "2026-08-01")),
                        with(cover().lot("hairy-vetch", 60, vetch(false)).inoculant("pea and vetch", "2026-08-10"))),
                new Rule(
                        "soaked-seed-in-drill",
                        "sticks and bridges",
                        with(rye().soaked(false)),
                        with(rye().soaked(true))),
                new Rule(
                        "weed-seed-on-tag",
                        // 0.5 % of 70 kg/ha are 0.35 kg/ha: 35 seeds of 1 mg on a square metre
                        "holds 0.50 % weed seed: about 3",
                        with(cover().lot(
                                        "cereal-rye",
                                        60,
                                        lot("cereal-rye", other(0.005, null, 1, false), "2026-06-01", true))),
                        with(cover().lot(
                                        "cereal-rye",
                                        60,
                                        lot("cereal-rye", other(0.002, null, 1, false), "2026-06-01", true)))),
                new Rule(
                        "germination-test-old",
                        "ages about 4 times as fast",
                        with(cover().lot(
                                        "cereal-rye",
                                        60,
                                        lot("cereal-rye", other(0, null, 4, false), "2026-05-01", true))),
                        with(cover().lot(
                                        "cereal-rye",
                                        60,
                                        lot("cereal-rye", other(0, null, 1, false), "2026-05-01", true)))),
                new Rule(
                        "own-seed-sown",
                        "is own seed without a price",
                        with(cover().lot(
                                        "cereal-rye",
                                        60,
                                        lot("cereal-rye", other(0, null, 1, true), "2026-06-01", true))),
                        with(cover().lot(
                                        "cereal-rye",
                                        60,
                                        lot("cereal-rye", other(0, null, 1, false), "2026-06-01", true)))),
                new Rule(
                        "fed-inside-interval",
                        "may be grazed or cut for feed before 28 Jun 2027",
                        with(rye().fed(false)).residual("2026-07-01", "feeding", 11.9),
                        with(rye().fed(false)).residual("2026-07-01", "feeding", 9)),
                new Rule(
                        "family-gap",
                        "comes after canola in 2024: both Brassicaceae, closer than the 4 years that are usual. Clubroot",
                        with(cover().share("daikon-radish", 10)).grew(2024, "canola"),
                        with(cover().share("daikon-radish", 10)).grew(2022, "canola")),
                new Rule(
                        "family-gap-diseased",
                        "and clubroot is on record here (2021)",
                        with(cover().share("daikon-radish", 10))
                                .grew(2024, "canola")
                                .pest("Clubroot", 2021),
                        with(cover().share("daikon-radish", 10))
                                .grew(2024, "canola")
                                .pest("Wireworm", 2021)),
                new Rule(
                        "green-before-small-grain",
                        "Hessian fly",
                        Scene.empty()
                                .crop("c1", "soybean", "2026-05-10", "2026-08-01")
                                .crop("c2", "winter-wheat", "2026-10-05", "2027-07-10")
                                .cover(rye().ended(ended("burndown", "2026-09-25"))),
                        Scene.empty()
                                .crop("c1", "soybean", "2026-05-10", "2026-08-01")
                                .crop("c2", "winter-wheat", "2026-10-09", "2027-07-10")
                                .cover(rye().ended(ended("burndown", "2026-09-25")))),
                new Rule(
                        "contaminates-seed-crop",
                        "takes the whole lot out of certification",
                        grainForSeed().cover(cover().share("hairy-vetch", 50)),
                        grainForSeed().cover(cover().share("crimson-clover", 50))),
                new Rule(
                        "first-try",
                        "A rolled mulch without herbicide is a practice for experts; this farm is entered as beginner",
                        with(rye()).untilled("c2").experience("beginner"),
                        with(rye()).untilled("c2").experience("expert")),
                new Rule(
                        "rate-out-of-use",
                        "is more than a source gives for a cover",
                        // common vetch: 45 to 75 kg/ha
                        with(cover().share("common-vetch", 170)),
                        with(cover().share("common-vetch", 150))),
                new Rule(
                        "purpose-not-followed",
                        "rates of a rolled mulch and tilled in",
                        with(rye().sownFor("mulch").ended(ended("till", "2027-04-28"))),
                        with(rye().sownFor("mulch"))),
                new Rule(
                        "outside-school",
                        "this farm's school is lean, 1 to 4 species; the mix has 5 species",
                        with(five().school("diversity", "lean")),
                        with(five().school("diversity", "diverse"))),
                new Rule(
                        "pan-roots-or-steel",
                        "Roots or steel against the pan",
                        with(rye().wants("loosen-pan")).pan(28, 2.3),
                        with(rye().wants("mulch")).pan(28, 2.3)),
                new Rule(
                        "pan-roots-or-steel",
                        "at 55 % of the points: moderate compaction",
                        with(rye().wants("loosen-pan")).hardPoints(55),
                        with(rye().wants("loosen-pan")).hardPoints(20)),
                new Rule(
                        "pest-on-record",
                        "is a host of clubroot, which this field has had (2024)",
                        with(rye().share("daikon-radish", 5)).pest("Clubroot", 2024),
                        with(rye().share("phacelia", 20)).pest("Clubroot", 2024)),
                new Rule(
                        "slugs-on-record",
                        "What decides: traps",
                        with(rye()).pest("Grey field slug", 2025),
                        with(rye()).pest("Wireworm", 2025)),
                new Rule(
                        "legume-before-soybean",
                        "it has had seedcorn maggots (2025), so leave the legume out here",
                        soybeanAhead().cover(rye().share("hairy-vetch", 20)).pest("Seedcorn maggots", 2025),
                        soybeanAhead().cover(rye()).pest("Seedcorn maggots", 2025)),
                new Rule("seed-for-mulch", "closes the stand sooner", with(rye().purpose(2)), with(rye().purpose(1.5))),
                new Rule("programme-asked", "written yes", with(rye().programme("Valley")), with(rye())),
                new Rule(
                        "large-seed-on-surface",
                        "only with rain",
                        with(cover().share("winter-pea", 60).onSurface()),
                        with(cover().share("crimson-clover", 60).onSurface())),
                new Rule(
                        "row-zone-stays-green",
                        "the rows will not be bare",
                        with(cover().inRows("cereal-rye", 60).alive("cereal-rye", 0.9)),
                        with(cover().inRows("spring-oats", 60).alive("spring-oats", 0.1))));
    }

    static Stream<Rule> sowingAndEnd() {
        return Stream.of(
                new Rule(
                        "sown-after-latest-date",
                        "in 23 of 30 weather years",
                        with(rye().sown("2026-10-20").useful(23)),
                        with(rye().sown("2026-10-10").useful(24))),
                new Rule(
                        "sown-outside-window",
                        "asks for",
                        with(rye().sown("2026-06-30")
                                .window(WindowKind.INTERSEEDED, "2026-06-01", "2026-06-20", "2026-10-01")),
                        with(rye().sown("2026-06-10")
                                .window(WindowKind.INTERSEEDED, "2026-06-01", "2026-06-20", "2026-10-01"))),
                new Rule(
                        "seedbed-cold",
                        "wants soil of",
                        with(cover().share("cowpea", 60).sown("2026-09-20").seedbed("cowpea", 60, 10)),
                        with(cover().share("cowpea", 60).sown("2026-09-20").seedbed("cowpea", 20, 10))),
                new Rule(
                        "spade-test-poor",
                        "scores 3.4 of 5, and the worst layer 4.0, ",
                        wheat().spade("2026-04-10", 3.4, 4, 15),
                        wheat().spade("2025-04-10", 3.4, 4, 15).spade("2026-04-10", 2.4, 3, 15)),
                new Rule(
                        "seedbed-dry",
                        "drilled seed lies in dust",
                        with(cover().share("crimson-clover", 60).seedbed("crimson-clover", 0, 90)),
                        with(cover().share("crimson-clover", 60).seedbed("crimson-clover", 0, 70))),
                new Rule(
                        "seedbed-dry",
                        "birds and slugs",
                        with(cover().share("crimson-clover", 60).onSurface().seedbed("crimson-clover", 0, 50)),
                        with(cover().share("crimson-clover", 60).seedbed("crimson-clover", 0, 50))),
                new Rule(
                        "flown-off-leaf-drop",
                        "the leaves are down by then",
                        with(rye().sown("2026-07-15").flownInto("c1")),
                        // before the crop is there at all another rule speaks
                        with(rye().sown("2025-06-25").flownInto("c1"))),
                new Rule(
                        "fertiliser-beside-seed",
                        "with the seed is above",
                        with(rye().withSeed(30, 20)),
                        with(rye().withSeed(18, 20))),
                new Rule(
                        "cover-ended-after-planting",
                        "after planting on",
                        with(rye().ended(ended("burndown", "2027-05-18"))),
                        with(rye().ended(ended("burndown", "2027-05-17")))),
                new Rule(
                        "planted-green-corn",
                        "no nitrogen is fed beside the row",
                        with(rye().ended(ended("burndown", "2027-05-15"))),
                        with(rye().ended(ended("burndown", "2027-05-15")).besideRow(40))),
                new Rule(
                        "planted-green",
                        "planted green on 12 May 2027",
                        with(rye().ended(ended("burndown", "2027-05-12"))),
                        with(rye().ended(ended("burndown", "2027-05-11")))),
                new Rule(
                        "moves-the-crop",
                        "the crop would go with the cover",
                        with(rye().ended(ended("till", "2027-05-13"))),
                        with(rye().ended(ended("burndown", "2027-05-13")))),
                new Rule(
                        "end-rule-broken",
                        "it ends 14 days before",
                        with(rye().rule(new EndRule("zone", "zone 2", false, "it ends 14 days before", "the agent"))),
                        with(rye().rule(new EndRule("zone", "zone 2", true, "it ends 15 days before", "the agent")))),
                new Rule(
                        "label-interval",
                        "6 days instead of 7 days or more",
                        with(rye().gap(label(6))),
                        with(rye().gap(label(7)))),
                new Rule(
                        "gap-of-practice",
                        "0 days instead of 1 day or more",
                        with(rye().gap(practice(0))),
                        with(rye().gap(practice(1)))),
                new Rule(
                        "sprayed-at-planting",
                        "the eve of planting",
                        with(rye().ended(ended("burndown", "2027-05-11"))),
                        with(rye().ended(ended("burndown", "2027-05-09")))),
                new Rule(
                        "brown-at-planting",
                        "14 days dead at planting",
                        with(rye().tops(5000, 28, 0)).untilled("c2"),
                        with(rye().tops(5000, 28, 0))),
                new Rule(
                        "dry-spring",
                        "on 21 Apr 2027",
                        with(rye().springWater(0.4, 60, 0, 20)),
                        with(rye().springWater(0.6, 60, 30, 20))),
                new Rule(
                        "wet-spring",
                        "this soil is full",
                        with(rye().springWater(1, 60, 0, 0)).drainage("poorly drained"),
                        with(rye().springWater(1, 60, 0, 0))),
                new Rule(
                        "woody-ahead-of-corn",
                        "a C:N of about 34",
                        with(rye().tops(5000, 34, 0)),
                        with(rye().tops(5000, 29, 0))),
                new Rule(
                        "lush-legume-ahead-of-corn",
                        "dead only 9 days",
                        with(rye().tops(3000, 14, 0.6).ended(ended("burndown", "2027-05-03"))),
                        with(rye().tops(3000, 14, 0.6).ended(ended("burndown", "2027-04-25")))),
                new Rule(
                        "seed-within-ten-days",
                        "Cereal rye has seed that can grow",
                        with(rye().stage("cereal-rye", 1, 1, 0.6)),
                        with(rye().stage("cereal-rye", 1, 1, 0.2))),
                new Rule(
                        "not-rolled-on-one-day",
                        "cannot be rolled cleanly on one day",
                        with(rye().share("hairy-vetch", 40)
                                .stage("cereal-rye", 1, 1, 0.4)
                                .stage("hairy-vetch", 0.2, 0, 0)),
                        with(rye().share("hairy-vetch", 40)
                                .stage("cereal-rye", 1, 1, 0.4)
                                .stage("hairy-vetch", 0.9, 1, 0))),
                new Rule(
                        "legume-before-bloom",
                        "Hairy vetch ends before bloom with 14 days left",
                        with(cover().share("hairy-vetch", 60)
                                .wants("fix-nitrogen")
                                .stage("hairy-vetch", 0, 0, 0)),
                        with(cover().share("hairy-vetch", 60)
                                .wants("fix-nitrogen")
                                .stage("hairy-vetch", 0.4, 0.5, 0))),
                new Rule(
                        "mulch-too-thin",
                        "does not hold weeds until the crop closes",
                        with(rye().tops(4000, 25, 0)),
                        with(rye().tops(6000, 25, 0))),
                new Rule(
                        "mulch-without-rescue",
                        "no rescue after planting",
                        with(rye().tops(4000, 25, 0)).certification("organic"),
                        with(rye().tops(4000, 25, 0))),
                new Rule(
                        "nothing-to-spray",
                        "nothing of this cover lives then",
                        with(rye().stands(100).livesIn(0.03).ended(ended("burndown", "2027-04-28"))),
                        with(rye().stands(100).livesIn(0.8).ended(ended("burndown", "2027-04-28")))),
                new Rule(
                        "bees-in-bloom",
                        "Crimson clover is in bloom",
                        with(cover().share("crimson-clover", 60)
                                .stage("crimson-clover", 1, 0.9, 0)
                                .ended(ended("mow", "2027-05-01"))),
                        with(cover().share("crimson-clover", 60)
                                .stage("crimson-clover", 0, 0.1, 0)
                                .ended(ended("mow", "2027-05-01")))),
                new Rule(
                        "grazed-and-mulch",
                        "what is eaten does not lie on the ground",
                        with(rye().wants("mulch").fed(false)),
                        with(rye().wants("mulch"))),
                new Rule(
                        "stock-on-wet-soil",
                        "presses to a ribbon",
                        with(rye().grazedWet(0.6)),
                        with(rye().grazedWet(0.3))),
                new Rule(
                        "sorghum-grazed",
                        "young plants hold the most prussic acid",
                        with(rye().grazedSorghum(59, false)),
                        with(rye().grazedSorghum(61, false))),
                new Rule(
                        "headed-forage",
                        "14 to 18 % in the boot",
                        with(rye().fed(false).comeTo("cereal-rye", 0.95).ended(ended("mow", "2027-05-01"))),
                        with(rye().fed(false).comeTo("cereal-rye", 0.8).ended(ended("mow", "2027-05-01")))),
                new Rule(
                        "tilled-before-end",
                        "works the soil while the cover still grows",
                        with(rye()).pass("tandem-disc", "2027-04-20"),
                        with(rye()).pass("tandem-disc", "2027-04-29")),
                new Rule(
                        "stand-far-from-forecast",
                        "Typed as what stands",
                        with(rye().stand(3.8, 1.4).forecast(600, 2500, 1.4)),
                        with(rye().stand(2.4, 1.4).forecast(600, 2500, 1.4))),
                new Rule(
                        "cover-costs-water",
                        "about 35 mm less water",
                        with(rye().costing(35, 0)),
                        with(rye().costing(15, 0))),
                new Rule(
                        "nitrogen-short-early",
                        "25 kg/ha less than without the cover",
                        with(rye().costing(0, 25)),
                        with(rye().costing(0, 10))),
                new Rule(
                        "nitrate-not-tested",
                        "a nitrate test to that depth decides",
                        with(rye()).supplied("c2", 60, 80, 75),
                        with(rye()).supplied("c2", 30, 80, 75)),
                new Rule(
                        "lime-asked",
                        "grain corn wants 5.8 or more",
                        with(rye()).ph(5.5),
                        with(rye()).ph(5.9)),
                new Rule(
                        "nitrogen-over-ceiling",
                        "over the legal",
                        with(rye())
                                .limited(150, "11-01", "01-31")
                                .applied("c2", "cattle-slurry", 100, "2027-05-05", "injected", 0),
                        with(rye())
                                .limited(150, "11-01", "01-31")
                                .applied("c2", "urea", 100, "2027-05-05", "injected", 0)),
                new Rule(
                        "fed-in-closed-period",
                        "lies in the closed period",
                        with(rye())
                                .limited(150, "11-01", "05-10")
                                .applied("c2", "urea", 100, "2027-05-05", "injected", 0),
                        with(rye())
                                .limited(150, "11-01", "01-31")
                                .applied("c2", "urea", 100, "2027-05-05", "injected", 0)),
                new Rule(
                        "fed-legume",
                        "more than a starter",
                        soybeanAhead().applied("c2", "urea", 60, "2027-05-20", "broadcast", 0),
                        with(rye()).applied("c2", "urea", 60, "2027-05-12", "broadcast", 0)),
                new Rule(
                        "anhydrous-care",
                        "Planted 2 days after it",
                        with(rye()).applied("c2", "anhydrous-ammonia", 120, "2027-05-10", "injected", 0),
                        with(rye()).applied("c2", "urea", 120, "2027-05-10", "injected", 0)),
                new Rule(
                        "urea-on-surface",
                        "in 5 of 10 years less than",
                        with(rye()).applied("c2", "urea", 100, "2027-06-10", "broadcast", 0.5),
                        with(rye()).applied("c2", "urea", 100, "2027-06-10", "beside-row", 0.5)),
                new Rule(
                        "cover-fed",
                        "shades hairy vetch",
                        with(rye().share("hairy-vetch", 50).given(40)),
                        with(rye().given(40))),
                new Rule(
                        "thin-before-winter",
                        "shades 10 % of the ground",
                        with(rye().inWinter(0.1, 0.3)),
                        with(rye().inWinter(0.1, 0.7))),
                new Rule("tie-up-expected", "ties nitrogen up", with(rye().stand(6, 0.9)), with(rye().stand(6, 1.1))),
                new Rule(
                        "poor-under-mulch",
                        "bears planting through residue poorly",
                        Scene.empty()
                                .crop("c1", "winter-wheat", "2025-10-05", "2026-07-20")
                                .crop("c2", "carrot", "2027-04-12", "2027-10-10")
                                .cover(rye())
                                .untilled("c2"),
                        Scene.empty()
                                .crop("c1", "winter-wheat", "2025-10-05", "2026-07-20")
                                .crop("c2", "carrot", "2027-04-12", "2027-10-10")
                                .cover(rye())),
                new Rule(
                        "grazed-on-wet-ground",
                        "trodden tight",
                        with(rye().ended(ended("graze", "2027-04-28")))
                                .drainage("poorly drained")
                                .untilled("c2"),
                        with(rye().ended(ended("graze", "2027-04-28")))
                                .drainage("well drained")
                                .untilled("c2")),
                new Rule(
                        "herbicide-on-organic",
                        "cost the certification",
                        with(rye().ended(ended("roller-crimper", "2027-05-01"), ended("burndown", "2027-05-08")))
                                .certification("organic"),
                        with(rye().ended(ended("roller-crimper", "2027-05-01"))).certification("organic")));
    }

    @Test
    void what_was_counted_a_season_before_tells_who_leads() {
        Scene scene = wheat().cover(rye().share("hairy-vetch", 30)
                        .sown("2025-09-01")
                        .counted("cereal-rye", 160)
                        .counted("hairy-vetch", 40))
                .cover(rye().share("hairy-vetch", 30).stands(60, 40));
        assertThat(Judgements.of(scene.made()).stream()
                        .filter(n -> n.rule().equals("canopy-dominated"))
                        .map(Note::text))
                .singleElement()
                .asString()
                .contains("80 % of the plants counted", "hairy vetch has little room");
    }

    @ParameterizedTest
    @MethodSource({"sequence", "mixes", "sowingAndEnd"})
    void speaks_once_where_it_should_and_is_silent_beside_it(Rule rule) {
        Judgement judgement = Judgements.all().stream()
                .filter(j -> j.name().equals(rule.name()))
                .findFirst()
                .orElseThrow();
        List<Note> said = judgement.judge(rule.speaks().made()).toList();
        assertThat(said).hasSize(1);
        assertThat(said.get(0).text())
                .contains(rule.says())
                .endsWith(said.get(0).text().endsWith("?") ? "?" : ".");
        assertThat(said.get(0).rule()).isEqualTo(rule.name());
        assertThat(said.get(0).wouldChange()).isNotBlank();
        assertThat(judgement.judge(rule.silent().made())).isEmpty();
    }

    /** The reasons of the candidates speak as notes of the mix, each under its own name. */
    @Test
    void reasons_about_species_speak_where_they_are_found_and_nowhere_else() {
        List<String> heard = new ArrayList<>();
        for (Fitness.Reason reason : Fitness.reasons()) {
            List<Note> said =
                    Judgements.of(with(rye().share("hairy-vetch", 40).finding("hairy-vetch", reason.name()))
                                    .made())
                            .stream()
                            .filter(n -> n.rule().startsWith("mix-"))
                            .toList();
            assertThat(said).as(reason.name()).hasSizeLessThanOrEqualTo(1).allSatisfy(n -> {
                assertThat(n.rule()).isEqualTo("mix-" + reason.name());
                assertThat(n.text()).isEqualTo("Hairy vetch: said of it.");
                assertThat(n.subject()).isEqualTo("v1/hairy-vetch");
            });
            said.forEach(n -> heard.add(n.rule()));
        }
        assertThat(new TreeSet<>(heard))
                .isEqualTo(Judgements.all().stream()
                        .map(Judgement::name)
                        .filter(n -> n.startsWith("mix-"))
                        .collect(Collectors.toCollection(TreeSet::new)));
    }

    @Test
    void round_numbers_stay_round_in_the_other_units() {
        Situation metric = wheat().made();
        Situation us = wheat().us().made();
        assertThat(metric.sayRound(10, Unit.MILLIMETRE)).isEqualTo("10 mm");
        assertThat(us.sayRound(10, Unit.MILLIMETRE)).isEqualTo("0.39 in");
        assertThat(metric.sayRound(18, Unit.CELSIUS)).isEqualTo("18 °C");
        assertThat(us.sayRound(18, Unit.CELSIUS)).isEqualTo("64 °F");
        assertThat(us.sayRound(45, Unit.KG_PER_HA)).isEqualTo("40 lb/ac");
        assertThat(us.sayRound(0, Unit.KG_PER_HA)).isEqualTo("0 lb/ac");
    }

    @Test
    void every_rule_is_tested_here() {
        Set<String> tested = Stream.of(sequence(), mixes(), sowingAndEnd())
                .flatMap(s -> s)
                .map(Rule::name)
                .collect(Collectors.toCollection(TreeSet::new));
        assertThat(tested)
                .isEqualTo(Judgements.all().stream()
                        .map(Judgement::name)
                        .filter(n -> !n.startsWith("mix-"))
                        .collect(Collectors.toCollection(TreeSet::new)));
    }
}
