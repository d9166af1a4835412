package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.ground.GroundRun;
import app.etlo.core.ground.GroundSimulation;
import app.etlo.core.ground.GroundSoil;
import app.etlo.core.ground.GroundVariation;
import app.etlo.core.ground.GroundWeather;
import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.MixForecast.Sown;
import app.etlo.core.mix.MixSeason;
import app.etlo.core.mix.SeasonGrowth;
import app.etlo.core.nitrogen.FeedResult;
import app.etlo.core.nitrogen.Need;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.Window;
import app.etlo.core.weather.YearsAhead;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Grows a plan: its ground over the weather years, brought nearer to field checks, and what each cover's mix comes to in it. */
public final class PlanGrowth {
    private static final String TRIED = "tried";

    private final PlanInTime plan;
    private final Map<String, Double> fedKgHa;
    private final GroundSoil soil;
    private final GroundVariation variation;
    private final Optional<GrowthMemory> memory;
    /** Field checks as weighed against the forecast of their day. */
    private final List<FieldChecks.Seen> seenChecks = new ArrayList<>();

    private final Optional<PlanGround> ground;
    /** A ground that mixes are tried in: without some covers, until an evening. */
    private record Ground(Set<String> instead, int evening) {}

    private final Map<Ground, Map<TriedGrowth.Key, SeasonGrowth>> knownGrowth = new ConcurrentHashMap<>();
    /** Made when first simulated. */
    private GroundWeather weather;

    /**
     * @param feed what each crop is left to buy, by crop: it is taken to be fed that, else the need of the usual yield
     * @param memory of runs that this one may go on from
     */
    public PlanGrowth(
            PlanInTime plan, Map<String, FeedResult> feed, GroundVariation variation, Optional<GrowthMemory> memory) {
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
        GroundEvents unseen = events(Optional.empty());
        Optional<GroundRun> like = memory.flatMap(m -> m.runs().nearest(unseen.script(soil), weather()));
        PlanGround now = PlanGround.of(from(), unseen, soil, weather(), like);
        for (FieldChecks.Check c : FieldChecks.inTime(plan.plan(), plan.asOf())) {
            Optional<FieldChecks.Seen> seen =
                    FieldChecks.seen(c, now, plan.context().farm().units());
            if (seen.isPresent()) {
                seenChecks.add(seen.get());
                now = PlanGround.of(from(), events(Optional.empty()), soil, weather(), Optional.of(now.run()));
            }
        }
        GroundRun last = now.run();
        memory.ifPresent(m -> m.runs().keep(last, like));
        return now;
    }

    private LocalDate from() {
        return plan.years().orElseThrow().from();
    }

    private GroundEvents events(Optional<GroundEvents.Trial> trial) {
        GroundEvents events = GroundEvents.of(
                plan.knowledge(), from(), plan.crops(), plan.covers(), plan.timeline(), fedKgHa, trial, variation);
        seenChecks.stream()
                .filter(s ->
                        trial.filter(t -> t.instead().contains(s.coverId())).isEmpty())
                .forEach(events::observe);
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

    /** What the mix of a cover is judged with; empty without weather, or where its season is not known or not simulated. */
    public Optional<MixBench> bench(CoverInTime cover) {
        return MixBench.season(plan, cover)
                .filter(s -> inTime(s.sown()))
                .map(s -> new MixBench(forecast(cover, s), MixBench.place(plan, cover)));
    }

    /** What a cover's own mix comes to by the day it ends, in the run of the plan itself. */
    private Optional<SeasonGrowth> own(CoverInTime cover, MixSeason season) {
        return ground.filter(g -> cover.sown().isPresent() && g.covers(season.end()))
                .map(g -> GrownMix.on(
                        g.course(),
                        g.before(season.end()),
                        cover.grownSpecies().stream()
                                .map(s -> g.plant(cover.id(), s.id()))
                                .toList(),
                        cover.grownSpecies(),
                        leftToFrost(cover)));
    }

    private static boolean leftToFrost(CoverInTime cover) {
        return cover.end().filter(e -> e.method().isWinter()).isPresent();
    }

    private GroundForecast forecast(CoverInTime cover, MixSeason season) {
        List<Sown> own = cover.blend().map(b -> MixBench.sown(b.rates())).orElse(List.of());
        Optional<SeasonGrowth> ownGrowth = own(cover, season);
        return new GroundForecast(
                season,
                errorOfMass(cover.id()),
                mix -> mix.equals(own) && ownGrowth.isPresent() ? ownGrowth.get() : tried(cover, mix, season));
    }

    private SeasonGrowth tried(CoverInTime cover, List<Sown> mix, MixSeason season) {
        return tried(
                new GroundEvents.Trial(
                        cover.id(),
                        Set.of(cover.id()),
                        mix,
                        season.sown(),
                        cover.sowing().method().onSurface()),
                season.end(),
                leftToFrost(cover));
    }

    /**
     * What a species comes to by the end of a window, sown alone in it in place of the covers that stand there.
     *
     * @param onSurface whether its seed stays lying on the ground
     * @throws IllegalStateException without weather
     */
    public SeasonGrowth alone(Species species, Window window, LocalDate sown, boolean onSurface) {
        Set<String> instead = plan.covers().stream()
                .filter(c -> c.window().filter(window::equals).isPresent())
                .map(CoverInTime::id)
                .collect(Collectors.toUnmodifiableSet());
        return tried(
                new GroundEvents.Trial(TRIED, instead, List.of(new Sown(species, 1)), sown, onSurface),
                window.to(),
                false);
    }

    /** A mix in place of others, played until it ends. */
    private SeasonGrowth tried(GroundEvents.Trial trial, LocalDate end, boolean leftToFrost) {
        int evening = Math.min(weather().days(), plan.years().orElseThrow().day(end)) - 1;
        return known(trial, evening)
                .computeIfAbsent(new TriedGrowth.Key(trial, leftToFrost), k -> played(trial, evening, leftToFrost));
    }

    /** What was tried before where the same covers make way. */
    private Map<TriedGrowth.Key, SeasonGrowth> known(GroundEvents.Trial trial, int evening) {
        return knownGrowth.computeIfAbsent(
                new Ground(trial.instead(), evening),
                k -> memory.map(m -> m.tried().of(without(trial).script(soil), weather(), evening))
                        .orElseGet(ConcurrentHashMap::new));
    }

    private GroundEvents without(GroundEvents.Trial trial) {
        return events(Optional.of(
                new GroundEvents.Trial(trial.standId(), trial.instead(), List.of(), trial.sown(), trial.onSurface())));
    }

    private SeasonGrowth played(GroundEvents.Trial trial, int evening, boolean leftToFrost) {
        GroundEvents events = events(Optional.of(trial));
        Map<String, Integer> plants = events.standings().stream()
                .filter(s -> s.standId().equals(trial.standId()))
                .collect(Collectors.toMap(GroundEvents.Standing::plantId, GroundEvents.Standing::index));
        GroundCourse course = new GroundSimulation(events.script(soil), weather())
                .evening(evening, plants.values().stream().mapToInt(i -> i).toArray(), ground.map(PlanGround::run));
        List<Species> species = trial.mix().stream().map(Sown::species).toList();
        return GrownMix.on(
                course, 0, species.stream().map(s -> plants.get(s.id())).toList(), species, leftToFrost);
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
}
