package app.etlo.core.advice;

import app.etlo.core.field.FrostDates;
import app.etlo.core.field.Residual;
import app.etlo.core.ground.CoverCost;
import app.etlo.core.ground.CropFailure;
import app.etlo.core.ground.WinterStand;
import app.etlo.core.knowledge.Caution;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.AimDelivery;
import app.etlo.core.mix.Blend;
import app.etlo.core.mix.Component;
import app.etlo.core.mix.Finding;
import app.etlo.core.mix.MixOutlook;
import app.etlo.core.mix.MixResult;
import app.etlo.core.mix.MixSchool;
import app.etlo.core.mix.SeasonGrowth;
import app.etlo.core.mix.SeedLot;
import app.etlo.core.mix.SeedTag;
import app.etlo.core.mix.Seedbed;
import app.etlo.core.mix.SowResult;
import app.etlo.core.mix.Sowing;
import app.etlo.core.mix.SownZone;
import app.etlo.core.mix.UsefulYears;
import app.etlo.core.nitrogen.CoverCredit;
import app.etlo.core.nitrogen.FeedLimits;
import app.etlo.core.nitrogen.FeedResult;
import app.etlo.core.nitrogen.NitrogenLedger;
import app.etlo.core.nitrogen.PlannedNitrogen;
import app.etlo.core.nitrogen.SupplyAndUptake;
import app.etlo.core.nitrogen.UsualFeeding;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.Window;
import app.etlo.core.rotation.WindowKind;
import app.etlo.core.termination.EndGap;
import app.etlo.core.termination.EndResult;
import app.etlo.core.termination.EndRule;
import app.etlo.core.termination.Evidence;
import app.etlo.core.termination.Stand;
import app.etlo.core.termination.StandForecast;
import app.etlo.core.termination.Termination;
import app.etlo.core.tillage.Pass;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A situation made by hand, without any evaluation: wheat, then corn, and between them what a test puts there. Nothing in it draws a
 * note of the rule under test until the test changes it.
 */
final class Scene {
    static final Knowledge KNOWLEDGE = KnowledgeLoader.shipped();
    private static final LocalDate GRAZED = LocalDate.of(2026, 8, 1);
    static final LocalDate TODAY = LocalDate.of(2026, 7, 1);
    private static final Formula AS_SAID = Formula.of("As said", "v", Source.own("a test"), "v");

    private final List<CropInTime> crops = new ArrayList<>();
    private final List<Situation.Cover> covers = new ArrayList<>();
    private final List<Situation.TypedNumber> typed = new ArrayList<>();
    private final List<Window> windows = new ArrayList<>();
    private final List<Pass> passes = new ArrayList<>();
    private final Map<String, CropFailure> failing = new HashMap<>();
    private final Map<String, Band> cropTops = new HashMap<>();
    private FeedLimits limits = FeedLimits.NONE;
    private Optional<Double> ph = Optional.empty();
    private final Map<String, FeedResult> feed = new HashMap<>();
    private final Set<String> untilled = new HashSet<>();
    private final List<FieldFacts.Weed> weeds = new ArrayList<>();
    private final List<Residual> residuals = new ArrayList<>();
    private final List<FieldFacts.Pest> pests = new ArrayList<>();
    private final List<FieldFacts.Grown> history = new ArrayList<>();
    private Optional<String> experience = Optional.empty();
    private Optional<Double> pan = Optional.empty();
    private Optional<Double> penetrometer = Optional.empty();
    private Optional<Double> hardPoints = Optional.empty();
    private final List<FieldFacts.SpadeTest> spadeTests = new ArrayList<>();
    private UnitSystem units = UnitSystem.METRIC;
    private Optional<LocalDate> soilTest = Optional.empty();
    private Optional<String> drainage = Optional.empty();
    private List<String> noxious = List.of();
    private boolean herbicidesSaid = true;
    private Optional<String> certification = Optional.empty();
    private Optional<Double> tileDepthCm = Optional.empty();
    private Optional<FrostDates> frost = Optional.of(new FrostDates(MonthDay.of(4, 25), MonthDay.of(10, 12)));
    private Optional<Situation.Weather> weather = Optional.of(new Situation.Weather("Yard", 30, true, 50));

    static Scene empty() {
        return new Scene();
    }

    static Scene wheatThenCorn() {
        return new Scene()
                .crop("c1", "winter-wheat", "2025-10-05", "2026-07-20")
                .crop("c2", "grain-corn", "2027-05-12", "2027-10-10");
    }

    static LocalDate day(String day) {
        return LocalDate.parse(day);
    }

    static Figure figure(String id, double value, Unit unit) {
        return AS_SAID.figure(id, id, unit, Input.of("v", id, value, unit, Origin.ENTERED, "a test"));
    }

    static Species species(String id) {
        return KNOWLEDGE.species().get(id);
    }

    Scene crop(String id, String crop, String planted, String harvested) {
        crops.add(new CropInTime(
                id,
                KNOWLEDGE.crops().get(crop),
                Optional.of(day(planted)),
                Optional.of(day(harvested)),
                0,
                Optional.empty(),
                false));
        return this;
    }

    Scene cover(CoverScene cover) {
        covers.add(cover.made(crops));
        return this;
    }

    Scene typed(Situation.TypedNumber number) {
        typed.add(number);
        return this;
    }

    /** All windows between the crops. */
    Scene windows() {
        windows.addAll(Window.between(crops));
        return this;
    }

    Scene pass(String operation, String on) {
        passes.add(
                Pass.usual("p" + passes.size(), day(on), KNOWLEDGE.operations().get(operation)));
        return this;
    }

    Scene untilled(String cropId) {
        untilled.add(cropId);
        return this;
    }

    Scene weed(String name, String pressure, boolean perennial, boolean underControl) {
        weeds.add(new FieldFacts.Weed(name, pressure, perennial, underControl));
        return this;
    }

    Scene residual(String on, Optional<Double> months) {
        residuals.add(new Residual("ingredient", day(on), months, Map.of()));
        return this;
    }

    Scene pest(String name, int year) {
        pests.add(new FieldFacts.Pest(name, Optional.of(year)));
        return this;
    }

    /** A layer that resists, MPa. */
    Scene pan(double cm, double mpa) {
        pan = Optional.of(cm);
        penetrometer = Optional.of(mpa);
        return this;
    }

    /** A herbicide with an interval to one plant, a group or feeding. */
    Scene residual(String on, String of, double months) {
        residuals.add(new Residual("ingredient", day(on), Optional.empty(), Map.of(of, months)));
        return this;
    }

    Scene soilTest(String on) {
        soilTest = Optional.of(day(on));
        return this;
    }

    Scene drainage(String is) {
        drainage = Optional.of(is);
        return this;
    }

    Scene noxious(String... names) {
        noxious = List.of(names);
        return this;
    }

    Scene certification(String is) {
        certification = Optional.of(is);
        return this;
    }

    /** Limits of law for what is fed from here on. */
    Scene limited(double kgHa, String from, String to) {
        limits = new FeedLimits(
                Optional.of(kgHa),
                Optional.of(new FeedLimits.Closed(MonthDay.parse("--" + from), MonthDay.parse("--" + to))));
        return this;
    }

    Scene ph(double value) {
        ph = Optional.of(value);
        return this;
    }

    Scene tileCm(double depth) {
        tileDepthCm = Optional.of(depth);
        return this;
    }

    Scene weather(int years, boolean chosen, double latitude) {
        weather = Optional.of(new Situation.Weather("Yard", years, chosen, latitude));
        return this;
    }

    Scene us() {
        units = UnitSystem.US;
        return this;
    }

    Situation made() {
        return new Situation(
                TODAY,
                units,
                frost,
                tileDepthCm,
                List.copyOf(crops),
                List.copyOf(covers),
                typed,
                windows,
                new FieldFacts(
                        weeds,
                        residuals,
                        herbicidesSaid,
                        soilTest,
                        drainage,
                        noxious,
                        certification,
                        pests,
                        pan,
                        penetrometer,
                        history,
                        Map.of(),
                        experience,
                        hardPoints,
                        spadeTests,
                        ph),
                passes,
                untilled,
                failing,
                cropTops,
                feed,
                weather);
    }

    /** A feeding of a crop in May 2027. */
    Scene applied(String crop, String product, double kgHa, String day, String placement, double dryShare) {
        return fed(
                crop,
                Optional.empty(),
                List.of(new PlannedNitrogen.Application(
                        KNOWLEDGE.products().get(product),
                        day(day),
                        kgHa,
                        Optional.of(placement),
                        Optional.of(dryShare))));
    }

    /** Nitrogen free before a crop, fed to it in its first week, and left behind it. */
    Scene supplied(String crop, double beforeKgHa, double fedKgHa, double leftKgHa) {
        Band none = Band.exactly(0);
        LocalDate planted = day("2027-05-12");
        return fed(
                crop,
                Optional.of(SupplyAndUptake.of(
                        List.of(
                                new SupplyAndUptake.Week(1, planted.plusDays(7), none, Band.exactly(60), 0, fedKgHa, 0),
                                new SupplyAndUptake.Week(
                                        14, planted.plusDays(98), none, Band.exactly(leftKgHa), 0, 0, 0)),
                        30,
                        Band.exactly(beforeKgHa))),
                List.of());
    }

    /** What was supplied before is planned, not assumed. */
    Scene planned(String crop) {
        return fed(
                crop,
                feed.get(crop).supply(),
                List.of(new PlannedNitrogen.Application(
                        KNOWLEDGE.products().get("urea"),
                        day("2027-05-12"),
                        1,
                        Optional.of("beside-row"),
                        Optional.empty())));
    }

    private Scene fed(String crop, Optional<SupplyAndUptake> supply, List<PlannedNitrogen.Application> applications) {
        feed.put(
                crop,
                new FeedResult(
                        Optional.empty(),
                        List.of(),
                        NitrogenLedger.of("feed/" + crop, List.of(), Optional.empty()),
                        Optional.empty(),
                        applications.isEmpty()
                                ? Optional.empty()
                                : Optional.of(PlannedNitrogen.of("feed/" + crop, applications)),
                        UsualFeeding.Shown.NONE,
                        Optional.empty(),
                        Optional.empty(),
                        supply,
                        List.of(),
                        applications,
                        limits,
                        List.of(),
                        Optional.empty()));
        return this;
    }

    /** A crop with a goal, and what the simulation brings it to, t/ha. */
    Scene goal(String crop, double goalTHa, double topsTHa) {
        crops.replaceAll(c -> c.id().equals(crop)
                ? new CropInTime(
                        c.id(),
                        c.crop(),
                        c.planted(),
                        c.harvested(),
                        c.turnaroundDays(),
                        Optional.of(new Quantity(goalTHa, Unit.T_PER_HA)),
                        c.forSeed())
                : c);
        cropTops.put(crop, new Band(topsTHa * 0.8, topsTHa, topsTHa * 1.2));
        return this;
    }

    /** A crop grown for seed. */
    Scene forSeed(String crop) {
        crops.replaceAll(c -> c.id().equals(crop)
                ? new CropInTime(c.id(), c.crop(), c.planted(), c.harvested(), c.turnaroundDays(), c.yieldGoal(), true)
                : c);
        return this;
    }

    /** A crop of the past. */
    Scene grew(int year, String crop) {
        var c = KNOWLEDGE.crops().get(crop);
        history.add(new FieldFacts.Grown(year, c.id(), c.name(), c.family()));
        return this;
    }

    Scene hardPoints(double percent) {
        hardPoints = Optional.of(percent);
        return this;
    }

    Scene spade(String on, double score, double worst, double worstFromCm) {
        spadeTests.add(new FieldFacts.SpadeTest(day(on), score, worst, worstFromCm, worstFromCm + 15));
        return this;
    }

    Scene experience(String level) {
        experience = Optional.of(level);
        return this;
    }

    Scene herbicidesNotSaid() {
        herbicidesSaid = false;
        return this;
    }

    Scene failing(String crop, CropFailure.Cause cause, double value) {
        failing.put(crop, new CropFailure(0.3, 3.3, cause, value));
        return this;
    }

    /** A cover of rye and vetch ahead of the second crop, sown in August and rolled in May. */
    static final class CoverScene {
        private final List<Component> components = new ArrayList<>();
        private Optional<LocalDate> sown = Optional.of(day("2026-08-10"));
        private List<Termination> endings = List.of(ended("roller-crimper", "2027-04-28"));
        private Optional<Window> window = Optional.empty();
        private Optional<UsefulYears> useful = Optional.empty();
        private Optional<MixOutlook> outlook = Optional.empty();
        private Optional<Seedbed> seedbed = Optional.empty();
        private Optional<Stand> stand = Optional.empty();
        private Optional<StandForecast> forecast = Optional.empty();
        private final Map<String, List<Finding>> findings = new LinkedHashMap<>();
        private final Map<String, Double> alive = new LinkedHashMap<>();
        private final Map<String, Double> rooted = new LinkedHashMap<>();
        private Optional<CoverCost> cost = Optional.empty();
        private Optional<WinterStand> winter = Optional.empty();
        private double fedKgHa;
        private EndFacts facts = EndFacts.NONE;
        private List<EndGap> gaps = List.of();
        private List<EndRule> rules = List.of();
        private final Map<String, Double> counted = new LinkedHashMap<>();
        private final Map<String, List<Caution>> cautions = new LinkedHashMap<>();
        private List<String> aims = List.of();
        private boolean fed;
        private boolean stockKnown;
        private double purpose = 1;
        private String sownFor = "cover";
        private Map<String, String> sides = Map.of();
        private final Map<String, Sowing.InoculantUse> inoculants = new LinkedHashMap<>();
        private final Map<String, String> rhizobia = new LinkedHashMap<>();
        private boolean soaked;
        private boolean byHand;
        private List<String> programmes = List.of();
        private boolean onSurface;
        private Optional<Double> depthCm = Optional.empty();
        private boolean flown;
        private Optional<String> standing = Optional.empty();
        private Optional<Situation.SeedFertiliser> fertiliser = Optional.empty();

        static Termination ended(String method, String on) {
            return new Termination(day(on), KNOWLEDGE.terminationMethods().get(method));
        }

        static SeedLot lot(String species, SeedTag tag) {
            return lot(species, tag, "2026-06-01", true);
        }

        static SeedLot lot(String species, SeedTag tag, String testedOn, boolean inoculated) {
            return new SeedLot(
                    "l-" + species,
                    species,
                    "L1",
                    0.98,
                    0.9,
                    0,
                    true,
                    Optional.empty(),
                    Optional.of(day(testedOn)),
                    Optional.empty(),
                    Optional.empty(),
                    inoculated,
                    tag);
        }

        CoverScene share(String species, double percent) {
            return component(species, percent, Optional.empty(), SownZone.whole("mix/v1"));
        }

        CoverScene lot(String species, double percent, SeedLot lot) {
            return component(species, percent, Optional.of(lot), SownZone.whole("mix/v1"));
        }

        CoverScene inRows(String species, double percent) {
            return component(species, percent, Optional.empty(), SownZone.of("mix/v1", SownZone.ROW, 0.2, 0.76));
        }

        private CoverScene component(String species, double percent, Optional<SeedLot> lot, SownZone zone) {
            components.add(new Component(
                    species(species), Optional.of(percent / 100), Optional.empty(), Optional.empty(), lot, zone));
            return this;
        }

        CoverScene sown(String on) {
            sown = Optional.of(day(on));
            return this;
        }

        CoverScene ended(Termination... by) {
            endings = List.of(by);
            return this;
        }

        CoverScene gap(EndGap g) {
            gaps = List.of(g);
            return this;
        }

        CoverScene rule(EndRule r) {
            rules = List.of(r);
            return this;
        }

        /** Tops of so much, their C:N and the share of legumes in them; the rest are grasses. */
        CoverScene tops(double kgHa, double cn, double legumeShare) {
            facts = new EndFacts(
                    new EndFacts.Stand(kgHa, Optional.of(cn), 1, legumeShare, 1 - legumeShare),
                    facts.plants(),
                    facts.water(),
                    facts.nearRowKgHa());
            return this;
        }

        CoverScene livesIn(double share) {
            EndFacts.Stand s = facts.stand();
            facts = new EndFacts(
                    new EndFacts.Stand(s.topsKgHa(), s.cn(), share, s.legumeShare(), s.grassShare()),
                    facts.plants(),
                    facts.water(),
                    facts.nearRowKgHa());
            return this;
        }

        /** How far a species is: far enough for a roller, in bloom, and with seed soon, 0 to 1. */
        CoverScene stage(String species, double farEnough, double inBloom, double seedSoon) {
            Map<String, Double> a = new LinkedHashMap<>(facts.plants().farEnough());
            Map<String, Double> b = new LinkedHashMap<>(facts.plants().inBloom());
            Map<String, Double> c = new LinkedHashMap<>(facts.plants().seedSoon());
            a.put(species, farEnough);
            b.put(species, inBloom);
            c.put(species, seedSoon);
            facts = new EndFacts(
                    facts.stand(),
                    new EndFacts.Plants(a, b, c, facts.plants().stage()),
                    facts.water(),
                    facts.nearRowKgHa());
            return this;
        }

        CoverScene grazedSorghum(double heightCm, boolean frosted) {
            facts = facts.grazing(
                    List.of(grazedOn(0, new EndFacts.Sorghum("Sorghum-sudangrass", GRAZED, heightCm, 60, frosted))));
            return this;
        }

        CoverScene grazedWet(double share) {
            facts = facts.grazing(List.of(grazedOn(share)));
            return this;
        }

        private static EndFacts.Grazed grazedOn(double wetShare, EndFacts.Sorghum... sorghum) {
            return new EndFacts.Grazed(GRAZED, wetShare, List.of(sorghum));
        }

        CoverScene comeTo(String species, double stage) {
            EndFacts.Plants p = facts.plants();
            facts = new EndFacts(
                    facts.stand(),
                    new EndFacts.Plants(p.farEnough(), p.inBloom(), p.seedSoon(), Map.of(species, stage)),
                    facts.water(),
                    facts.nearRowKgHa());
            return this;
        }

        CoverScene springWater(double topShare, double rainMm, double drinksMm, double dryYearsPercent) {
            facts = new EndFacts(
                    facts.stand(),
                    facts.plants(),
                    Optional.of(new EndFacts.Water(topShare, rainMm, drinksMm, dryYearsPercent)),
                    facts.nearRowKgHa());
            return this;
        }

        CoverScene besideRow(double kgHa) {
            facts = new EndFacts(facts.stand(), facts.plants(), facts.water(), kgHa);
            return this;
        }

        CoverScene window(WindowKind kind, String from, String sowUntil, String to) {
            window = Optional.of(new Window(
                    "w",
                    kind,
                    "c1",
                    Optional.of("c2"),
                    day(from),
                    day(to),
                    day(sowUntil),
                    figure("window/w/days", 100, Unit.DAY)));
            return this;
        }

        /** In so many of 30 years it grows to a useful stand. */
        CoverScene useful(int years) {
            useful = Optional.of(new UsefulYears(years, 30));
            return this;
        }

        /** Shares of the dry tops, %, in the order of the components. */
        CoverScene stands(double... percent) {
            List<Figure> parts = new ArrayList<>();
            List<Figure> shares = new ArrayList<>();
            for (double p : percent) {
                parts.add(figure("part", p / 20, Unit.T_PER_HA));
                shares.add(figure("share", p, Unit.PERCENT));
            }
            outlook = Optional.of(new MixOutlook(
                    new SeasonGrowth(List.of(), false),
                    figure("mass", 5, Unit.T_PER_HA),
                    parts,
                    shares,
                    Optional.empty(),
                    Map.of(),
                    List.of()));
            return this;
        }

        /** What the mix delivers of an aim, in the aim's unit. */
        CoverScene delivers(String aim, double value) {
            outlook = Optional.of(new MixOutlook(
                    new SeasonGrowth(List.of(), false),
                    figure("mass", 5, Unit.T_PER_HA),
                    List.of(),
                    List.of(),
                    Optional.empty(),
                    Map.of(aim, figure("aim", value, AimDelivery.unit(aim))),
                    List.of()));
            return this;
        }

        CoverScene seedbed(String species, double coldPercent, double dryPercent) {
            seedbed = Optional.of(new Seedbed(
                    Map.of(species, figure("cold", coldPercent, Unit.PERCENT)),
                    figure("dry", dryPercent, Unit.PERCENT)));
            return this;
        }

        CoverScene stand(double tHa, double nitrogenPercent) {
            stand = Stand.said(
                    "end/v1",
                    Evidence.EXPECTED,
                    Optional.of(new Quantity(tHa, Unit.T_PER_HA)),
                    Optional.empty(),
                    Optional.of(nitrogenPercent),
                    Optional.empty());
            return this;
        }

        CoverScene forecast(double lowKgHa, double highKgHa, double nitrogenPercent) {
            Band band = new Band(lowKgHa, (lowKgHa + highKgHa) / 2, highKgHa);
            Figure mass = figure("mass", band.middle(), Unit.KG_PER_HA);
            forecast = Optional.of(new StandForecast(
                    new Figure(mass.id(), mass.label(), band, mass.unit(), mass.origin(), mass.working()),
                    figure("n", nitrogenPercent, Unit.PERCENT)));
            return this;
        }

        CoverScene finding(String species, String rule) {
            findings.put(species, List.of(new Finding(rule, false, "said of it", Source.own("a test"))));
            return this;
        }

        CoverScene alive(String species, double share) {
            alive.put(species, share);
            return this;
        }

        CoverScene rooted(String species, double m) {
            rooted.put(species, m);
            return this;
        }

        /**
         * @param mm less water at planting, in the middle of the years
         * @param kgHa less nitrogen early
         */
        CoverScene costing(double mm, double kgHa) {
            cost = Optional.of(new CoverCost(
                    day("2027-05-12"),
                    new Band(mm - 10, mm, mm + 15),
                    90,
                    List.of(
                            early(2, "2027-05-26", kgHa / 2),
                            early(4, "2027-06-09", kgHa),
                            early(6, "2027-06-23", kgHa / 3)),
                    new CoverCost.Released(day("2027-05-12"), day("2027-08-04"), new Band(10, 20, 30))));
            return this;
        }

        private static CoverCost.Early early(int week, String evening, double lessKgHa) {
            return new CoverCost.Early(week, day(evening), new Band(lessKgHa - 5, lessKgHa, lessKgHa + 5), 40, 30);
        }

        /**
         * @param living share of the ground that it shades before winter
         * @param covered with residue
         */
        CoverScene inWinter(double living, double covered) {
            winter = Optional.of(
                    new WinterStand(day("2026-11-25"), new Band(living / 2, living, living * 1.5), covered));
            return this;
        }

        /** Plants counted, per m2. */
        CoverScene counted(String species, double perM2) {
            counted.put(species, perM2);
            return this;
        }

        CoverScene given(double kgHa) {
            fedKgHa = kgHa;
            return this;
        }

        CoverScene caution(String species) {
            cautions.put(
                    species,
                    species(species).use().cautions().stream()
                            .map(id -> KNOWLEDGE.cautions().get(id))
                            .toList());
            return this;
        }

        CoverScene fed(boolean which) {
            fed = true;
            stockKnown = which;
            return this;
        }

        /** Inoculant planned for a group. */
        CoverScene inoculant(String group, String useBy) {
            inoculants.put(
                    group, new Sowing.InoculantUse(false, Optional.empty(), Optional.empty(), Optional.of(day(useBy))));
            return this;
        }

        /** Inoculant left out on purpose, on a field that grew the group lately or not. */
        CoverScene uninoculated(String group, boolean grownLately) {
            inoculants.put(group, new Sowing.InoculantUse(true, Optional.empty(), Optional.empty(), Optional.empty()));
            if (grownLately) {
                rhizobia.put(group, "field pea in 2024");
            }
            return this;
        }

        CoverScene soaked(boolean hand) {
            soaked = true;
            byHand = hand;
            return this;
        }

        CoverScene school(String question, String side) {
            sides = Map.of(question, side);
            return this;
        }

        CoverScene sownFor(String use) {
            sownFor = use;
            return this;
        }

        CoverScene purpose(double factor) {
            purpose = factor;
            return this;
        }

        CoverScene programme(String name) {
            programmes = List.of(name);
            return this;
        }

        CoverScene onSurface() {
            onSurface = true;
            return this;
        }

        CoverScene wants(String... ranked) {
            aims = List.of(ranked);
            return this;
        }

        CoverScene atCm(double depth) {
            depthCm = Optional.of(depth);
            return this;
        }

        CoverScene flownInto(String cropId) {
            flown = true;
            onSurface = true;
            standing = Optional.of(cropId);
            return this;
        }

        CoverScene into(String cropId) {
            standing = Optional.of(cropId);
            return this;
        }

        CoverScene withSeed(double kgHa, double limit) {
            fertiliser = Optional.of(new Situation.SeedFertiliser(kgHa, figure("limit", limit, Unit.KG_PER_HA)));
            return this;
        }

        private Situation.Cover made(List<CropInTime> crops) {
            Sowing sowing = new Sowing(
                    KNOWLEDGE.sowingMethods().get("drilled"),
                    1,
                    1,
                    purpose,
                    KNOWLEDGE.purposes().get(sownFor),
                    Input.of("area", "Area", 10, Unit.HECTARE, Origin.ENTERED, "a test"),
                    0.03,
                    false,
                    3,
                    50,
                    false,
                    Optional.empty(),
                    Optional.empty(),
                    inoculants);
            Optional<Blend> blend = Blend.of("mix/v1", components, sowing);
            List<MixSchool> schools = MixSchool.of(
                    KNOWLEDGE.schools().all(),
                    sides,
                    blend,
                    crops.stream().skip(1).findFirst().map(c -> c.crop().id()));
            return new Situation.Cover(
                    "v1",
                    crops.stream().skip(1).findFirst(),
                    sown,
                    endings,
                    components,
                    window,
                    new MixResult(blend, useful, outlook, schools),
                    new SowResult(
                            Optional.empty(),
                            seedbed,
                            Optional.empty(),
                            Optional.empty(),
                            Optional.empty(),
                            Map.of(),
                            Optional.empty()),
                    new EndResult(Optional.empty(), stand, forecast, gaps, rules, List.of(), List.of()),
                    stand.map(s -> CoverCredit.of("feed/c2", s)),
                    findings,
                    alive,
                    rooted,
                    cost,
                    winter,
                    fedKgHa,
                    counted,
                    facts,
                    new Situation.MixUse(
                            aims,
                            fed,
                            stockKnown,
                            cautions,
                            purpose,
                            sownFor,
                            programmes,
                            onSurface,
                            depthCm,
                            flown,
                            1,
                            standing.flatMap(id -> crops.stream()
                                    .filter(c -> c.id().equals(id))
                                    .findFirst()),
                            fertiliser,
                            new Situation.Rhizobia(inoculants, rhizobia),
                            soaked && !byHand));
        }
    }
}
