package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.ground.GroundMemory;
import app.etlo.core.ground.GroundRun;
import app.etlo.core.ground.GroundSoil;
import app.etlo.core.ground.GroundVariation;
import app.etlo.core.ground.GroundWeather;
import app.etlo.core.mix.MixForecast;
import app.etlo.core.mix.MixForecast.Sown;
import app.etlo.core.nitrogen.FeedResult;
import app.etlo.core.nitrogen.Need;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.weather.YearsAhead;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Grows a plan: its ground over the weather years, brought nearer to field checks, and what each cover's mix comes to in it. */
public final class PlanGrowth {
    private final PlanInTime plan;
    private final Map<String, Double> fedKgHa;
    private final GroundSoil soil;
    private final GroundVariation variation;
    private final Optional<GroundMemory> memory;
    /** Field checks as weighed against the forecast of their day. */
    private final List<FieldChecks.Seen> seenChecks = new ArrayList<>();

    private final Optional<PlanGround> ground;
    /** Made when first simulated. */
    private GroundWeather weather;

    /**
     * @param feed what each crop is left to buy, by crop: it is taken to be fed that, else the need of the usual yield
     * @param memory of runs that this one may go on from
     */
    public PlanGrowth(
            PlanInTime plan, Map<String, FeedResult> feed, GroundVariation variation, Optional<GroundMemory> memory) {
        this.memory = memory;
        this.plan = plan;
        this.soil = GroundSoil.of(plan.soil(), variation);
        this.variation = variation;
        this.fedKgHa = fedKgHa(plan.crops(), feed);
        this.ground = sownInTime() ? Optional.of(checked()) : Optional.empty();
    }

    /** The plan's ground; empty without weather or anything sown in its days. */
    public Optional<PlanGround> ground() {
        return ground;
    }

    /** What is left of the model's error of a cover's mass after its field checks, as a share of the middle. */
    public double errorOfMass(String coverId) {
        return FieldChecks.errorOfMass(coverId, seenChecks);
    }

    public List<FieldChecks.Seen> seen(String coverId) {
        return seenChecks.stream().filter(s -> s.coverId().equals(coverId)).toList();
    }

    private boolean sownInTime() {
        return plan.years().isPresent()
                && Stream.concat(
                                plan.crops().stream().flatMap(c -> c.planted().stream()),
                                plan.covers().stream().flatMap(c -> c.sown().stream()))
                        .anyMatch(this::inTime);
    }

    private boolean inTime(LocalDate day) {
        YearsAhead y = plan.years().orElseThrow();
        return !day.isBefore(y.from()) && day.isBefore(y.from().plusDays(y.days()));
    }

    /** Brought nearer to what was seen in the field, one check after the other in time. */
    private PlanGround checked() {
        GroundEvents unseen = events(Map.of());
        Optional<GroundRun> like = memory.flatMap(m -> m.nearest(unseen.script(soil), weather()));
        PlanGround now = PlanGround.of(from(), unseen, soil, weather(), like);
        for (FieldChecks.Check c : FieldChecks.inTime(plan.plan(), plan.asOf())) {
            Optional<FieldChecks.Seen> seen =
                    FieldChecks.seen(c, now, plan.context().farm().units());
            if (seen.isPresent()) {
                seenChecks.add(seen.get());
                now = PlanGround.of(from(), events(Map.of()), soil, weather(), Optional.of(now.run()));
            }
        }
        GroundRun last = now.run();
        memory.ifPresent(m -> m.keep(last, like));
        return now;
    }

    private LocalDate from() {
        return plan.years().orElseThrow().from();
    }

    private GroundEvents events(Map<String, List<Sown>> mixes) {
        GroundEvents events = GroundEvents.of(
                plan.knowledge(), from(), plan.crops(), plan.covers(), plan.timeline(), fedKgHa, mixes, variation);
        seenChecks.stream().filter(s -> !mixes.containsKey(s.coverId())).forEach(events::observe);
        return events;
    }

    private GroundWeather weather() {
        if (weather == null) {
            weather = GroundWeather.of(
                    plan.years().orElseThrow(), plan.asOf(), plan.evapotranspirationScale(), variation.rain());
        }
        return weather;
    }

    private static Map<String, Double> fedKgHa(List<CropInTime> crops, Map<String, FeedResult> feed) {
        Map<String, Double> fed = new LinkedHashMap<>();
        for (CropInTime c : crops) {
            double usual = Need.byYieldGoal(
                            "feed/" + c.id(),
                            c.crop(),
                            Optional.of(new Quantity(c.crop().yieldKgHa().middle(), Unit.KG_PER_HA)),
                            Optional.empty())
                    .map(f -> f.in(Unit.KG_PER_HA))
                    .orElse(0.0);
            fed.put(
                    c.id(),
                    feed.get(c.id())
                            .bought()
                            .map(b -> b.left().in(Unit.KG_PER_HA))
                            .orElse(usual));
        }
        return fed;
    }

    /** What the mix of a cover is judged with: by the simulation where it is sown in its days. */
    public Optional<MixBench> bench(CoverInTime cover) {
        return MixBench.of(plan, cover)
                .map(bench -> simulated(cover)
                        .map(g -> bench.grown(simple -> forecast(simple, g, cover, bench)))
                        .orElse(bench));
    }

    private GroundForecast forecast(MixForecast simple, PlanGround g, CoverInTime cover, MixBench bench) {
        LocalDate last = bench.forecast().season().end();
        List<Sown> own = cover.blend().map(b -> MixBench.sown(b.rates())).orElse(List.of());
        return new GroundForecast(
                simple,
                plan.knowledge(),
                errorOfMass(cover.id()),
                mix -> mix.equals(own)
                        ? grownMix(g, cover.id(), mix, last)
                        : grownMix(g.changed(events(Map.of(cover.id(), mix))), cover.id(), mix, last));
    }

    private Optional<PlanGround> simulated(CoverInTime cover) {
        return ground.filter(g -> cover.sown().filter(this::inTime).isPresent());
    }

    /** How deep taprooted species root in this season in 1 year of 10, m, by species; empty without a simulation. */
    public Map<String, Double> rootedM(CoverInTime cover) {
        Map<String, Double> deepest = new LinkedHashMap<>();
        simulated(cover)
                .ifPresent(g -> cover.species().stream()
                        .filter(s -> s.taproot() && g.has(cover.id(), s.id()))
                        .forEach(s -> {
                            int plant = g.plant(cover.id(), s.id());
                            double most = IntStream.range(0, g.course().records())
                                    .mapToDouble(r ->
                                            g.band(r, plant, OfPlant.ROOT_M).high())
                                    .max()
                                    .orElse(0);
                            deepest.put(s.id(), most);
                        }));
        return deepest;
    }

    private static GrownMix grownMix(PlanGround g, String coverId, List<Sown> mix, LocalDate last) {
        List<Integer> plants =
                mix.stream().map(m -> g.plant(coverId, m.species().id())).toList();
        return GrownMix.of(g, plants, g.before(last));
    }
}
