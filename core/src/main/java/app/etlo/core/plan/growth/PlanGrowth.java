package app.etlo.core.plan.growth;

import app.etlo.core.advice.Situation;
import app.etlo.core.field.SoilProfile;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.ground.GroundMemory;
import app.etlo.core.ground.GroundRun;
import app.etlo.core.ground.GroundSoil;
import app.etlo.core.ground.GroundVariation;
import app.etlo.core.ground.GroundWeather;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.mix.Component;
import app.etlo.core.mix.MixForecast.Sown;
import app.etlo.core.mix.MixOutlook;
import app.etlo.core.nitrogen.Need;
import app.etlo.core.plan.document.Context;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.timeline.Timeline;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.weather.YearsAhead;
import app.etlo.core.working.Figure;
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
    private final PlanDocument plan;
    private final Knowledge knowledge;
    private final LocalDate asOf;
    private final Timeline timeline;
    private final List<CropInTime> crops;
    private final Optional<YearsAhead> years;
    private final GroundSoil soil;
    private final List<Situation.Cover> covers;
    private final Map<String, Figure> figures;
    private final GroundVariation variation;
    private final Optional<GroundMemory> memory;
    private final double evapotranspirationScale;
    private final UnitSystem units;
    /** Field checks as weighed against the forecast of their day. */
    private final List<FieldChecks.Seen> seenChecks = new ArrayList<>();

    private final Optional<PlanGround> ground;
    /** Made when first simulated. */
    private GroundWeather weather;

    /**
     * @param covers without what their mixes grow into
     * @param figures of the plan so far; those of the field checks are added
     * @param memory of runs that this one may go on from
     */
    public PlanGrowth(
            PlanDocument plan,
            Context context,
            Knowledge knowledge,
            LocalDate asOf,
            Timeline timeline,
            List<CropInTime> crops,
            Optional<YearsAhead> years,
            SoilProfile soil,
            List<Situation.Cover> covers,
            Map<String, Figure> figures,
            GroundVariation variation,
            Optional<GroundMemory> memory) {
        this.memory = memory;
        this.units = context.farm().units();
        this.plan = plan;
        this.knowledge = knowledge;
        this.asOf = asOf;
        this.timeline = timeline;
        this.crops = crops;
        this.years = years;
        this.soil = GroundSoil.of(soil, variation);
        this.covers = covers;
        this.figures = figures;
        this.variation = variation;
        this.evapotranspirationScale = context.field().evapotranspirationScale().orElse(1.0);
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
        return years.isPresent()
                && Stream.concat(
                                crops.stream().flatMap(c -> c.planted().stream()),
                                covers.stream().flatMap(c -> c.sown().stream()))
                        .anyMatch(this::inTime);
    }

    private boolean inTime(LocalDate day) {
        YearsAhead y = years.orElseThrow();
        return !day.isBefore(y.from()) && day.isBefore(y.from().plusDays(y.days()));
    }

    /** Brought nearer to what was seen in the field, one check after the other in time. */
    private PlanGround checked() {
        GroundEvents unseen = events(Map.of());
        Optional<GroundRun> like = memory.flatMap(m -> m.nearest(unseen.script(soil), weather()));
        PlanGround now = PlanGround.of(from(), unseen, soil, weather(), like);
        for (FieldChecks.Check c : FieldChecks.inTime(plan, asOf)) {
            Optional<FieldChecks.Seen> seen = FieldChecks.seen(c, now, units);
            if (seen.isPresent()) {
                seen.get().figures().forEach(f -> figures.put(f.id(), f));
                seenChecks.add(seen.get());
                now = PlanGround.of(from(), events(Map.of()), soil, weather(), Optional.of(now.run()));
            }
        }
        GroundRun last = now.run();
        memory.ifPresent(m -> m.keep(last, like));
        return now;
    }

    private LocalDate from() {
        return years.orElseThrow().from();
    }

    private GroundEvents events(Map<String, List<Sown>> mixes) {
        GroundEvents events = GroundEvents.of(knowledge, from(), crops, covers, timeline, fedKgHa(), mixes, variation);
        seenChecks.stream().filter(s -> !mixes.containsKey(s.coverId())).forEach(events::observe);
        return events;
    }

    private GroundWeather weather() {
        if (weather == null) {
            weather = GroundWeather.of(years.orElseThrow(), asOf, evapotranspirationScale, variation.rain());
        }
        return weather;
    }

    /** Nitrogen that each crop is taken to be fed: what is left to buy, else the need of the usual yield. */
    private Map<String, Double> fedKgHa() {
        Map<String, Double> fed = new LinkedHashMap<>();
        for (CropInTime c : crops) {
            Figure left = figures.get("feed/" + c.id() + "/leftToBuy");
            double usual = Need.byYieldGoal(
                            "feed/" + c.id(),
                            c.crop(),
                            Optional.of(new Quantity(c.crop().yieldKgHa().middle(), Unit.KG_PER_HA)),
                            Optional.empty())
                    .map(f -> f.in(Unit.KG_PER_HA))
                    .orElse(0.0);
            fed.put(c.id(), left != null ? left.in(Unit.KG_PER_HA) : usual);
        }
        return fed;
    }

    /**
     * A cover with what its mix grows into: by the simulation where it is sown in its days.
     *
     * @param benches by cover; the cover's own is replaced by one that simulates
     */
    public Situation.Cover grown(Situation.Cover cover, Map<String, MixBench> benches) {
        MixBench bench = benches.get(cover.id());
        if (bench == null) {
            return cover;
        }
        LocalDate last = bench.forecast().season().end();
        List<Sown> own = cover.blend().map(b -> MixBench.sown(b.rates())).orElse(List.of());
        MixBench by = ground.filter(g -> cover.sown().filter(this::inTime).isPresent())
                .map(g -> bench.grown(simple -> new GroundForecast(
                        simple,
                        knowledge,
                        errorOfMass(cover.id()),
                        mix -> mix.equals(own)
                                ? grownMix(g, cover.id(), mix, last)
                                : grownMix(g.changed(events(Map.of(cover.id(), mix))), cover.id(), mix, last))))
                .orElse(bench);
        benches.put(cover.id(), by);
        Optional<MixOutlook> outlook = cover.blend().flatMap(m -> by.outlook("mix/" + cover.id(), m.rates()));
        outlook.ifPresent(o -> o.figures().forEach(f -> figures.put(f.id(), f)));
        return Situation.grown(
                cover,
                outlook,
                ground.filter(g -> cover.sown().filter(this::inTime).isPresent())
                        .map(g -> rootedM(g, cover))
                        .orElse(Map.of()));
    }

    private static Map<String, Double> rootedM(PlanGround g, Situation.Cover cover) {
        Map<String, Double> deepest = new LinkedHashMap<>();
        cover.components().stream()
                .map(Component::species)
                .filter(s -> s.taproot() && g.has(cover.id(), s.id()))
                .forEach(s -> {
                    int plant = g.plant(cover.id(), s.id());
                    double most = IntStream.range(0, g.course().records())
                            .mapToDouble(r -> g.band(r, plant, OfPlant.ROOT_M).high())
                            .max()
                            .orElse(0);
                    deepest.put(s.id(), most);
                });
        return deepest;
    }

    private static GrownMix grownMix(PlanGround g, String coverId, List<Sown> mix, LocalDate last) {
        List<Integer> plants =
                mix.stream().map(m -> g.plant(coverId, m.species().id())).toList();
        return GrownMix.of(g, plants, g.before(last));
    }
}
