package app.etlo.core.plan.chapter;

import app.etlo.core.advice.EndFacts;
import app.etlo.core.advice.Judgements;
import app.etlo.core.advice.Note;
import app.etlo.core.advice.Situation;
import app.etlo.core.field.FieldResult;
import app.etlo.core.ground.GrassGround;
import app.etlo.core.ground.GrassGrounds;
import app.etlo.core.ground.GroundVariation;
import app.etlo.core.ground.GrownCover;
import app.etlo.core.ground.GrownCrop;
import app.etlo.core.ground.GrownRotation;
import app.etlo.core.mix.BloomClock;
import app.etlo.core.mix.MixResult;
import app.etlo.core.mix.MixSchool;
import app.etlo.core.mix.SeedRate;
import app.etlo.core.mix.SowResult;
import app.etlo.core.mix.UsefulYears;
import app.etlo.core.nitrogen.FeedResult;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.chapter.Evaluated.CropResult;
import app.etlo.core.plan.growth.GrowthMemory;
import app.etlo.core.plan.growth.MixBench;
import app.etlo.core.plan.growth.PlanGrowth;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.plan.timeline.Tilled;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.WindowOffer;
import app.etlo.core.rotation.WindowResult;
import app.etlo.core.termination.EndPlanned;
import app.etlo.core.termination.EndResult;
import app.etlo.core.tillage.Pass;
import app.etlo.core.weather.YearsAhead;
import app.etlo.core.working.Origin;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * A plan in time worked out in the order of the work. Each chapter takes the results it needs; the ground is grown before any
 * judgement is made, and judgements come last.
 */
final class Chapters {
    /** Ids of the ratings of passes after the last harvest begin with it. */
    static final String LATER = "plant/later";

    private Chapters() {}

    /**
     * @param variation of the inputs of the simulation
     * @param memory of runs that this one may go on from
     */
    static Evaluated of(PlanInTime plan, GroundVariation variation, Optional<GrowthMemory> memory) {
        PlanGrowth growth = new PlanGrowth(plan, variation, memory);
        Optional<WindowOffer> offer = plan.years().map(y -> new WindowOffer(y, grass(plan, memory), growth));
        Optional<GroundFigures> grown = growth.ground()
                .map(g -> new GroundFigures(g, plan.context().farm().units()));
        Function<CropInTime, GrownCrop> grownCrop =
                c -> grown.map(g -> g.crop(c)).orElse(GrownCrop.UNKNOWN);
        List<PlantChapter.Planted> planted = PlantChapter.of(plan, grownCrop);
        SowChapter sow = new SowChapter(plan, offer, growth);
        List<CoverResult> covers = plan.covers().stream()
                .map(c -> cover(plan, c, growth, grown, sow))
                .toList();
        Map<String, FeedResult> feed = FeedChapter.of(plan, covers, growth);
        List<Pass> later = plan.timeline().passes().stream()
                .filter(p -> planted.stream().noneMatch(c -> c.passes().contains(p)))
                .toList();
        return Evaluated.of(
                plan,
                FieldResult.of(plan.area(), plan.soil()),
                plan.windows().all().stream()
                        .map(w -> offer.map(o -> o.of(w)).orElseGet(() -> WindowResult.plain(w)))
                        .toList(),
                planted.stream()
                        .map(c -> new CropResult(
                                c.crop(),
                                c.passes(),
                                c.planting(),
                                PlantChapter.coverAhead(plan, c.crop()).map(CoverInTime::id),
                                grownCrop.apply(c.crop()),
                                c.result(),
                                feed.get(c.crop().id())))
                        .toList(),
                covers,
                growth.ground()
                        .map(g -> new RotationFigures(g, growth.before(), plan.asOf())
                                .all(
                                        plan.crops(),
                                        plan.covers(),
                                        plan.site()
                                                .orElseThrow()
                                                .climate()
                                                .place()
                                                .isSouthern()))
                        .orElse(GrownRotation.UNKNOWN),
                later,
                PlantChapter.ratings(LATER, later),
                notes(plan, covers, growth, sow, grownCrop, feed),
                new DecisionCalendar(covers).all(),
                growth);
    }

    /** Short grass on the soil of the place. */
    private static GrassGround grass(PlanInTime plan, Optional<GrowthMemory> memory) {
        return memory.map(GrowthMemory::grass)
                .orElseGet(GrassGrounds::new)
                .of(plan.site().orElseThrow().climate(), plan.soil(), plan.evapotranspirationScale());
    }

    private static CoverResult cover(
            PlanInTime plan, CoverInTime c, PlanGrowth growth, Optional<GroundFigures> grown, SowChapter sow) {
        Optional<MixBench> bench = growth.bench(c);
        MixResult mix = new MixResult(
                c.blend(),
                bench.filter(b -> c.sown().isPresent())
                        .flatMap(b -> c.blend().map(m -> UsefulYears.of(b.own(m.rates())))),
                bench.flatMap(b -> c.blend().flatMap(m -> b.outlook(c.id(), m.rates()))),
                MixSchool.of(
                        plan.knowledge().schools().all(),
                        plan.context().farm().schools().orElse(Map.of()),
                        c.blend(),
                        c.next().map(n -> n.crop().id())));
        double error = growth.errorOfMass(c.id());
        Optional<GrownCover> tops = grown.flatMap(g ->
                bench.flatMap(b -> c.blend().flatMap(m -> g.cover(c, b.own(m.rates()), mix.outlook(), error))));
        SowResult sown = sow.of(c);
        List<BloomClock> clocks = growth.clocks(c);
        EndPlanned planned = EndPlanning.of(plan, c, clocks);
        EndFacts facts = EndFactsOf.of(plan, c, growth);
        EndResult ending = EndChapter.of(
                plan,
                c,
                tops,
                growth.standSeen(c.id()),
                growth.errorOfForecast(c.id()),
                planned,
                new EndFallbacks(plan, c, planned, facts, growth.winterStand(c)).all());
        return new CoverResult(
                c,
                bench,
                mix,
                sown,
                tops,
                ending,
                FeedChapter.credit(c, ending),
                growth.seen(c.id()),
                clocks,
                facts,
                new GrowChapter(
                                plan,
                                c,
                                growth.winterStand(c),
                                sown.seedbed(),
                                clocks,
                                new FieldGates(plan, c, growth.ground(), ending.fallbacks()))
                        .verdicts(),
                ForageChapter.of(plan, c, growth.ground(), ending.stand(), facts),
                LivingMulches.of(c, growth.ground()));
    }

    private static List<Note> notes(
            PlanInTime plan,
            List<CoverResult> covers,
            PlanGrowth growth,
            SowChapter sow,
            Function<CropInTime, GrownCrop> grownCrop,
            Map<String, FeedResult> feed) {
        return Judgements.of(new Situation(
                plan.asOf(),
                plan.context().farm().units(),
                plan.frost(),
                plan.context().field().tileDepth().map(q -> q.in(Unit.CENTIMETRE)),
                plan.crops(),
                covers.stream().map(c -> judged(plan, c, growth, sow)).toList(),
                TypedNumbers.of(plan.plan(), plan.context(), plan.knowledge()),
                plan.windows().all(),
                EnteredFacts.of(plan.context().field(), plan.context().farm(), plan.knowledge()),
                plan.timeline().passes(),
                new Tilled(plan.crops(), plan.timeline().passes()).untilled(),
                growth.ground()
                        .map(g -> new FailingCrops(g, plan.covers()).of(plan.crops()))
                        .orElse(Map.of()),
                plan.crops().stream()
                        .flatMap(c -> grownCrop.apply(c).mass().stream().map(f -> Map.entry(c.id(), f.value())))
                        .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, Map.Entry::getValue)),
                feed,
                plan.site()
                        .map(s -> new Situation.Weather(
                                s.climate().name(),
                                plan.years().map(YearsAhead::count).orElse(0),
                                s.origin() == Origin.ENTERED,
                                s.climate().place().latitude()))));
    }

    private static <T> Map<String, T> ofMix(CoverResult c, BiFunction<MixBench, List<SeedRate>, Map<String, T>> judge) {
        return c.bench()
                .flatMap(b -> c.mix().blend().map(m -> judge.apply(b, m.rates())))
                .orElse(Map.of());
    }

    /** A cover as the judgements look at it. */
    private static Situation.Cover judged(PlanInTime plan, CoverResult c, PlanGrowth growth, SowChapter sow) {
        CoverInTime in = c.inTime();
        return new Situation.Cover(
                c.id(),
                in.next(),
                in.sown(),
                in.endings(),
                in.components(),
                in.window(),
                c.mix(),
                c.sow(),
                c.ending(),
                c.credit(),
                ofMix(c, (b, rates) -> b.findings(rates, plan.knowledge())),
                ofMix(c, MixBench::aliveAtEnd),
                growth.rootedM(in),
                growth.cost(in),
                growth.winterStand(in),
                plan.timeline().feedings(in.id()).stream()
                        .mapToDouble(f -> f.nitrogenKgHa())
                        .sum(),
                MixUses.countedM2(in.entry()),
                c.facts(),
                MixUses.of(
                        plan,
                        in,
                        sow.withSeedKgHa(in)
                                .flatMap(kgHa -> c.sow()
                                        .seedPlacedLimit()
                                        .map(limit -> new Situation.SeedFertiliser(kgHa, limit))),
                        c.sow().grownLegumes()));
    }
}
