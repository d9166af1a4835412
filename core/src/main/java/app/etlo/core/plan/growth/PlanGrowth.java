package app.etlo.core.plan.growth;

import app.etlo.core.ground.CoverCost;
import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.ground.GroundRun;
import app.etlo.core.ground.GroundScript;
import app.etlo.core.ground.GroundSimulation;
import app.etlo.core.ground.GroundSoil;
import app.etlo.core.ground.GroundStart;
import app.etlo.core.ground.GroundVariation;
import app.etlo.core.ground.GroundWeather;
import app.etlo.core.ground.WinterStand;
import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.BloomClock;
import app.etlo.core.mix.MixForecast.Sown;
import app.etlo.core.mix.MixSeason;
import app.etlo.core.mix.Prospect;
import app.etlo.core.mix.SeasonGrowth;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanDocument.StandEntry;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.CropNeed;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.RootZone;
import app.etlo.core.rotation.Window;
import app.etlo.core.weather.YearsAhead;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Grows a plan: its ground over the weather years, brought nearer to field checks, and what each cover's mix comes to in it. */
public final class PlanGrowth implements RootZone {
    private static final double BLOOM = 1;
    private static final String TRIED = "tried";
    /** Runs in which a stand that winter ends is brought to what was said of it, and how near is near enough. */
    private static final int MOST_ROUNDS = 8;

    private static final double NEAR_ENOUGH = 2e-4;

    /** Temperature of the soil below which cool-season plants hardly grow (common practice). */
    private static final double GROWTH_STOPS_C = 4;

    private final PlanInTime plan;
    private final Map<String, List<GroundEvents.Fed>> fed;
    private final Optional<CropBefore> before;
    private final GroundSoil soil;
    private final GroundVariation variation;
    private final Optional<GrowthMemory> memory;
    /** Field checks as weighed against the forecast of their day. */
    private final List<FieldChecks.Seen> seenChecks = new ArrayList<>();
    /** What is said of stands, by cover. */
    private final Map<String, StandSeen> stands = new LinkedHashMap<>();

    private final Optional<PlanGround> ground;
    /** A ground that mixes are tried in: without some covers, until an evening. */
    private record Ground(Set<String> instead, int evening) {}

    private final Map<Ground, Map<TriedGrowth.Key, SeasonGrowth>> knownGrowth = new ConcurrentHashMap<>();
    /** Made when first simulated. */
    private GroundWeather weather;

    /**
     * @param memory of runs that this one may go on from
     */
    public PlanGrowth(PlanInTime plan, GroundVariation variation, Optional<GrowthMemory> memory) {
        this.memory = memory;
        this.plan = plan;
        this.before = plan.years().map(y -> CropBefore.of(plan, y.from()));
        this.soil = GroundSoil.of(
                plan.soil(), variation, before.map(CropBefore::start).orElse(GroundStart.USUAL));
        this.variation = variation;
        this.fed = usualFeeding(plan);
        this.ground = sownInTime() ? Optional.of(checked()) : Optional.empty();
    }

    /** What the field brings into the plan; empty without weather. */
    public Optional<CropBefore> before() {
        return before;
    }

    /** The plan's ground; empty without weather or anything sown in its days. */
    public Optional<PlanGround> ground() {
        return ground;
    }

    @Override
    public Optional<LocalDate> eveningBefore(LocalDate day) {
        return ground.filter(g -> g.covers(day))
                .map(g -> g.from().plusDays(g.course().recordedDay(g.before(day))));
    }

    @Override
    public double availableMm(LocalDate day, int member) {
        PlanGround g = ground.orElseThrow();
        return g.course().ground(g.before(day), OfGround.AVAILABLE_WATER_MM, member);
    }

    /** Temperature of the ground as seed lies in it from a day on, °C, by weather year; empty where it is not simulated. */
    public Optional<double[]> seedbedC(LocalDate sown) {
        return ground.filter(g -> g.covers(sown) && g.covers(sown.plusDays(GroundSimulation.SEEDBED_DAYS + 1)))
                .map(g -> {
                    double[] first = g.course().ground(g.before(sown), OfGround.SOIL_C);
                    double[] last = g.course()
                            .ground(g.before(sown.plusDays(GroundSimulation.SEEDBED_DAYS + 1)), OfGround.SOIL_C);
                    return IntStream.range(0, first.length)
                            .mapToDouble(m -> (first[m] + last[m]) / 2)
                            .toArray();
                });
    }

    /** Temperature of the ground on the evening before a day, middle of the years, °C. */
    public Optional<Double> soilC(LocalDate day) {
        return ground.filter(g -> g.covers(day))
                .map(g -> g.band(g.before(day), OfGround.SOIL_C).middle());
    }

    /** What is left of the model's error of a cover's mass after its field checks and what is said of its stand, as a share of the middle. */
    public double errorOfMass(String coverId) {
        return standSeen(coverId)
                .map(s -> Math.min(s.errorLeft(), errorOfForecast(coverId)))
                .orElseGet(() -> errorOfForecast(coverId));
    }

    /** The same before anything is said of its stand. */
    public double errorOfForecast(String coverId) {
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

    /**
     * Brought nearer to what was seen in the field and to what is said of stands, one after the other in time. Until the last of them the
     * ground is played only as far as the next needs it.
     */
    private PlanGround checked() {
        GroundEvents unseen = events(Optional.empty());
        Optional<GroundRun> like = memory.flatMap(m -> m.runs().nearest(unseen.script(soil), weather()));
        Optional<GroundRun> run = like;
        for (FieldChecks.Check c : FieldChecks.inTime(plan.plan(), plan.asOf())) {
            PlanGround now = playedTo(c.entry().on().plusDays(1), run);
            run = Optional.of(now.run());
            FieldChecks.seen(c, now, plan.context().farm().units()).ifPresent(seenChecks::add);
        }
        for (CoverInTime c : coversInTime()) {
            run = brought(c, run);
        }
        PlanGround last = PlanGround.of(from(), events(Optional.empty()), soil, weather(), run);
        memory.ifPresent(m -> m.runs().keep(last.run(), like));
        return last;
    }

    private PlanGround playedTo(LocalDate day, Optional<GroundRun> run) {
        int to = (int) ChronoUnit.DAYS.between(from(), day);
        return PlanGround.until(from(), events(Optional.empty()), soil, weather(), run, to);
    }

    /** Brings a cover to what is said of its stand. */
    private Optional<GroundRun> brought(CoverInTime c, Optional<GroundRun> run) {
        Optional<MixSeason> season = MixBench.season(plan, c).filter(s -> inTime(s.sown()) && inTime(s.end()));
        if (season.isEmpty()) {
            return run;
        }
        LocalDate end = season.get().end();
        PlanGround now = playedTo(end, run);
        Optional<StandSeen> seen = StandSeen.of(c, now, own(now, c, end), end);
        boolean dayGiven = c.entry().stand().flatMap(StandEntry::on).isPresent();
        for (int i = 0; i < MOST_ROUNDS && seen.isPresent(); i++) {
            stands.put(c.id(), seen.get());
            if (dayGiven || !seen.get().forecast().byWinter()) {
                break;
            }
            now = playedTo(end, Optional.of(now.run()));
            SeasonGrowth growth = own(now, c, end);
            if (seen.get().off(c, growth) < NEAR_ENOUGH) {
                break;
            }
            seen = Optional.of(seen.get().nearer(c, growth));
        }
        return Optional.of(now.run());
    }

    /** What is said of a cover's stand, with what was forecast without it. */
    public Optional<StandSeen> standSeen(String coverId) {
        return Optional.ofNullable(stands.get(coverId));
    }

    private List<CoverInTime> coversInTime() {
        return plan.covers().stream()
                .filter(c -> c.sown().isPresent() && c.entry().stand().isPresent())
                .sorted(Comparator.comparing(c -> c.sown().orElseThrow()))
                .toList();
    }

    private LocalDate from() {
        return plan.years().orElseThrow().from();
    }

    private GroundEvents events(Optional<GroundEvents.Trial> trial) {
        return events(plan, trial);
    }

    /** Of another plan of the same crops, with what was seen in this one. */
    private GroundEvents events(PlanInTime of, Optional<GroundEvents.Trial> trial) {
        GroundEvents events =
                GroundEvents.of(of.knowledge(), from(), of.crops(), of.covers(), of.timeline(), fed, trial, variation);
        before.ifPresent(b -> b.tell(events));
        seenChecks.stream()
                .filter(s ->
                        trial.filter(t -> t.instead().contains(s.coverId())).isEmpty())
                .forEach(events::observe);
        stands.values().stream()
                .filter(s ->
                        trial.filter(t -> t.instead().contains(s.coverId())).isEmpty())
                .forEach(events::observe);
        return events;
    }

    private GroundWeather weather() {
        if (weather == null) {
            weather = GroundWeather.of(
                    plan.years().orElseThrow(),
                    plan.asOf(),
                    plan.evapotranspirationScale(),
                    variation.ground().rain());
        }
        return weather;
    }

    /** What each crop is fed where the plan does not feed it. */
    private static Map<String, List<GroundEvents.Fed>> usualFeeding(PlanInTime plan) {
        return plan.crops().stream()
                .collect(Collectors.toMap(
                        CropInTime::id,
                        c -> CropNeed.usualFeeding(plan, c).stream()
                                .map(p -> new GroundEvents.Fed(
                                        p.on(),
                                        p.kgHa(CropNeed.last(CropNeed.assumed(plan, c))
                                                .orElseThrow()
                                                .in(Unit.KG_PER_HA))))
                                .toList()));
    }

    /** What the mix of a cover is judged with; empty without weather, or where its season is not known or not simulated. */
    public Optional<MixBench> bench(CoverInTime cover) {
        return MixBench.season(plan, cover)
                .filter(s -> inTime(s.sown()))
                .map(s -> new MixBench(forecast(cover, s), MixBench.place(plan, cover)));
    }

    /** What a cover's own mix comes to by the day it ends, in a run of the plan itself. */
    private static SeasonGrowth own(PlanGround g, CoverInTime cover, LocalDate end) {
        List<Species> species = cover.grownSpecies();
        return GrownMix.on(
                g.course(),
                g.before(end),
                species.stream().map(s -> g.plant(cover.id(), s.id())).toList(),
                species,
                leftToFrost(cover));
    }

    private static boolean leftToFrost(CoverInTime cover) {
        return cover.end().filter(e -> e.method().isWinter()).isPresent();
    }

    private GroundForecast forecast(CoverInTime cover, MixSeason season) {
        List<Sown> own = cover.blend().map(b -> MixBench.sown(b.rates())).orElse(List.of());
        Optional<SeasonGrowth> ownGrowth = ground.filter(g -> cover.sown().isPresent() && g.covers(season.end()))
                .map(g -> own(g, cover, season.end()));
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

    /** What a cover takes from the crop after it; empty where that is not planted in the days ahead that are simulated. */
    public Optional<CoverCost> cost(CoverInTime cover) {
        Optional<LocalDate> planted = cover.next().flatMap(CropInTime::planted).filter(d -> d.isAfter(plan.asOf()));
        return simulated(cover)
                .flatMap(g -> planted.filter(d -> g.covers(d) && g.covers(d.plusDays(GroundWithout.LAST_DAY + 1)))
                        .map(d -> cost(g, cover, cover.next().orElseThrow(), d)));
    }

    /**
     * The plan's ground where a cover ends on other days; empty where it is not simulated. What was typed of its stand without a day is
     * of the day on which the plan ends it.
     *
     * @param first day on which it may end
     * @param ended the plan with it ended on a day
     * @param days on which it may end, in any order
     */
    public Optional<EndBranches> branches(
            CoverInTime cover, LocalDate first, Function<LocalDate, PlanDocument> ended, Collection<LocalDate> days) {
        return simulated(cover).map(g -> {
            Function<LocalDate, GroundEvents> events = d -> events(plan.with(ended.apply(d)), Optional.empty());
            LocalDate last = Collections.max(days);
            PlanGround alive = PlanGround.trunk(
                    from(),
                    events.apply(last.plusDays(1)),
                    soil,
                    weather(),
                    Optional.of(g.run()),
                    g.day(first) - 1,
                    g.day(last) + 1,
                    days.stream().mapToInt(d -> g.day(d) - 1).toArray());
            return new EndBranches(
                    alive,
                    events,
                    without(new GroundEvents.Trial(
                            cover.id(),
                            Set.of(cover.id()),
                            List.of(),
                            cover.sown().orElseThrow(),
                            false)),
                    weather().days());
        });
    }

    private CoverCost cost(PlanGround g, CoverInTime cover, CropInTime next, LocalDate planted) {
        String crop = next.id();
        List<Integer> records = GroundWithout.WEEKS.stream()
                .map(w -> g.before(planted.plusDays(7L * w + 1)))
                .toList();
        List<Integer> evenings =
                records.stream().map(r -> g.course().recordedDay(r)).toList();
        LocalDate from = cover.endsOn()
                .filter(d -> d.isAfter(planted))
                .orElse(planted)
                .plusDays(cover.endsOn().filter(d -> d.isAfter(planted)).isPresent() ? 1 : 0);
        LocalDate until = Stream.of(
                        planted.plusDays(GroundWithout.SEASON_DAYS),
                        next.harvested().orElse(LocalDate.MAX),
                        g.from().plusDays(g.course().recordedDay(g.course().records() - 1)))
                .min(Comparator.naturalOrder())
                .orElseThrow();
        int freeFrom = g.before(from);
        int freeUntil = g.before(until);
        int fromDay = g.course().recordedDay(freeFrom);
        int untilDay = g.course().recordedDay(freeUntil);
        int last = Math.max(untilDay, evenings.get(evenings.size() - 1));
        GroundWithout with =
                GroundWithout.of(g.course(), g.before(planted), records, g.plants(crop), freeFrom, freeUntil);
        GroundEvents events = without(new GroundEvents.Trial(
                cover.id(), Set.of(cover.id()), List.of(), cover.sown().orElseThrow(), false));
        GroundScript script = events.script(soil);
        Map<String, GroundWithout> known =
                memory.map(m -> m.tried().without(script, weather(), last)).orElseGet(ConcurrentHashMap::new);
        return known.computeIfAbsent(crop + "/" + fromDay + "/" + untilDay, k -> {
                    int first = g.day(planted) - 1;
                    GroundCourse bare =
                            new GroundSimulation(script, weather()).days(first, last + 1, Optional.of(g.run()));
                    return GroundWithout.of(
                            bare,
                            0,
                            evenings.stream().map(e -> e - first).toList(),
                            events.plants(crop),
                            fromDay - first,
                            untilDay - first);
                })
                .against(
                        with,
                        planted,
                        evenings.stream().map(e -> g.from().plusDays(e)).toList(),
                        g.from().plusDays(fromDay),
                        g.from().plusDays(untilDay));
    }

    /** A cover as winter finds it; empty where the soil stays warm enough for growth until it ends. */
    public Optional<WinterStand> winterStand(CoverInTime cover) {
        Optional<LocalDate> end =
                cover.end().map(e -> e.date()).or(() -> cover.next().flatMap(CropInTime::planted));
        return simulated(cover)
                .flatMap(g -> end.filter(g::covers)
                        .flatMap(last -> IntStream.rangeClosed(
                                        g.before(cover.sown().orElseThrow()), g.before(last))
                                .filter(r -> g.band(r, OfGround.SOIL_C).middle() < GROWTH_STOPS_C)
                                .boxed()
                                .findFirst()
                                .map(r -> new WinterStand(
                                        g.from().plusDays(g.course().recordedDay(r)),
                                        g.band(r, OfGround.LIVING_COVER),
                                        1
                                                - (1
                                                                - g.band(r, OfGround.LIVING_COVER)
                                                                        .middle())
                                                        * (1
                                                                - g.band(r, OfGround.RESIDUE_COVER)
                                                                        .middle())))));
    }

    /** When the species of a cover flower and set seed, in its own order; empty without a simulation. */
    public List<BloomClock> clocks(CoverInTime cover) {
        return simulated(cover)
                .map(g -> cover.species().stream()
                        .filter(s -> g.has(cover.id(), s.id()))
                        .map(s -> clock(g, cover, s))
                        .toList())
                .orElse(List.of());
    }

    private static BloomClock clock(PlanGround g, CoverInTime cover, Species s) {
        int plant = g.plant(cover.id(), s.id());
        List<LocalDate> bloom = reached(g, cover, plant, BLOOM);
        List<LocalDate> seed = reached(g, cover, plant, Prospect.VIABLE_SEED);
        return new BloomClock(
                s,
                span(bloom, g),
                span(seed, g),
                bloom.size(),
                seed.size(),
                g.course().members());
    }

    /** The first day of each year on which a stage is reached before the end, in order. */
    private static List<LocalDate> reached(PlanGround g, CoverInTime cover, int plant, double stage) {
        int first = g.before(cover.sown().orElseThrow().plusDays(1));
        int last = cover.end()
                .map(e -> e.date())
                .filter(g::covers)
                .map(g::before)
                .orElse(g.course().records() - 1);
        return IntStream.range(0, g.course().members())
                .mapToObj(y -> IntStream.rangeClosed(first, last)
                        .filter(r -> g.course().plant(r, plant, OfPlant.REACHED_STAGE, y) >= stage)
                        .mapToObj(r -> g.from().plusDays(g.course().recordedDay(r)))
                        .findFirst())
                .flatMap(Optional::stream)
                .sorted()
                .toList();
    }

    private static Optional<BloomClock.Span> span(List<LocalDate> days, PlanGround g) {
        int n = days.size();
        return n * 10 < g.course().members()
                ? Optional.empty()
                : Optional.of(new BloomClock.Span(days.get(n / 10), days.get(n / 2), days.get(n - 1 - n / 10)));
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
