package app.etlo.core.plan.chapter;

import app.etlo.core.advice.Judgements;
import app.etlo.core.advice.Situation;
import app.etlo.core.field.BoundaryReader;
import app.etlo.core.field.FieldArea;
import app.etlo.core.field.FrostDates;
import app.etlo.core.field.SoilProfile;
import app.etlo.core.field.SoilWaterLimits;
import app.etlo.core.ground.GroundMemory;
import app.etlo.core.ground.GroundVariation;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.Blend;
import app.etlo.core.mix.Component;
import app.etlo.core.mix.LateSowing;
import app.etlo.core.mix.SeedLot;
import app.etlo.core.mix.SeedPlaced;
import app.etlo.core.mix.Seedbed;
import app.etlo.core.mix.Sowing;
import app.etlo.core.mix.SownZone;
import app.etlo.core.mix.UsefulSowing;
import app.etlo.core.nitrogen.CoverCredit;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.chapter.Evaluated.CropResult;
import app.etlo.core.plan.document.Context;
import app.etlo.core.plan.document.ContextCheck;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.document.FieldSoil;
import app.etlo.core.plan.document.LotSeed;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.Operation.RowsEntry;
import app.etlo.core.plan.document.Operation.WithSeedEntry;
import app.etlo.core.plan.document.PlanCost;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanDocument.ComponentEntry;
import app.etlo.core.plan.document.PlanDocument.CoverEntry;
import app.etlo.core.plan.document.PlanDocument.MixEntry;
import app.etlo.core.plan.document.PlanDocument.StandEntry;
import app.etlo.core.plan.document.PlanLookup;
import app.etlo.core.plan.document.PlanReader;
import app.etlo.core.plan.growth.FieldChecks;
import app.etlo.core.plan.growth.MixBench;
import app.etlo.core.plan.growth.PlanGrowth;
import app.etlo.core.plan.timeline.Climates;
import app.etlo.core.plan.timeline.GroundCover;
import app.etlo.core.plan.timeline.PlanDates;
import app.etlo.core.plan.timeline.PlanSpan;
import app.etlo.core.plan.timeline.PlanWindows;
import app.etlo.core.plan.timeline.SiteWeather;
import app.etlo.core.plan.timeline.Tilled;
import app.etlo.core.plan.timeline.Timeline;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.Window;
import app.etlo.core.rotation.WindowOffer;
import app.etlo.core.termination.Evidence;
import app.etlo.core.termination.Quadrat;
import app.etlo.core.termination.Stand;
import app.etlo.core.termination.Termination;
import app.etlo.core.tillage.DisturbanceRating;
import app.etlo.core.tillage.Pass;
import app.etlo.core.weather.FrostRisk;
import app.etlo.core.weather.YearsAhead;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Turns a plan document and its context into an evaluation. What a plan does not say yet simply yields no figure; nothing
 * is guessed for it.
 */
public final class Evaluator {
    /** Catch test when the adviser has typed none. */
    private static final double USUAL_WIDTH_M = 3;
    /** Spread of a disc opener and distance of a drill's rows. */
    private static final double USUAL_SPREAD_M = 0.025;

    private static final double USUAL_ROW_M = 0.19;

    private static final double USUAL_DISTANCE_M = 50;
    private static final double USUAL_WASTE_PERCENT = 3;
    /** Prefix of the figures of passes after the last harvest. */
    public static final String LATER = "plant/later";

    private final Knowledge knowledge;
    private final Climates climates;
    private final Optional<GroundMemory> memory;

    public Evaluator(Knowledge knowledge) {
        this(knowledge, new Climates(knowledge));
    }

    /**
     * One that plays every plan from its first day.
     *
     * @param climates shared, so that a station's years are made once
     */
    public Evaluator(Knowledge knowledge, Climates climates) {
        this(knowledge, climates, Optional.empty());
    }

    /**
     * @param memory of earlier runs, so that a changed plan is played only from where it changed
     */
    public Evaluator(Knowledge knowledge, Climates climates, Optional<GroundMemory> memory) {
        this.knowledge = knowledge;
        this.climates = climates;
        this.memory = memory;
    }

    /**
     * Evaluates a plan.
     *
     * @param plan as a {@link PlanReader} let it through
     * @throws Refused when it is more than {@link PlanCost} allows
     * @param context as {@link ContextCheck} let it through
     * @param asOf the day the evaluation is for; today is no hidden input
     */
    public Evaluated evaluate(PlanDocument plan, Context context, LocalDate asOf) {
        return new Run(plan, context, asOf, site(context, asOf), GroundVariation.NONE, memory).evaluated();
    }

    /** The same in other weather than the field's own. */
    public Evaluated evaluate(PlanDocument plan, Context context, LocalDate asOf, SiteWeather weather) {
        return new Run(plan, context, asOf, Optional.of(weather), GroundVariation.NONE, memory).evaluated();
    }

    /** The weather a field has. */
    public Optional<SiteWeather> site(Context context, LocalDate asOf) {
        return climates.of(context.field(), context.weather(), context.forecast(), asOf);
    }

    /** The same with an input of the simulation moved. */
    public Evaluated evaluate(PlanDocument plan, Context context, LocalDate asOf, GroundVariation variation) {
        return new Run(plan, context, asOf, site(context, asOf), variation, Optional.empty()).evaluated();
    }

    /** The usual frost dates of a field: as entered, else those of 5 years in 10 in its weather. */
    private static Optional<FrostDates> frost(FieldEntry field, Optional<SiteWeather> site, LocalDate asOf) {
        Optional<FrostRisk> risk = site.flatMap(
                s -> FrostRisk.of(s.climate(), 0, -field.coldHollowC().orElse(0.0), asOf));
        Optional<MonthDay> spring =
                field.lastSpringFrost().map(Evaluator::day).or(() -> risk.flatMap(FrostRisk::lastSpringMiddle));
        Optional<MonthDay> autumn =
                field.firstAutumnFrost().map(Evaluator::day).or(() -> risk.flatMap(FrostRisk::firstAutumnMiddle));
        return spring.flatMap(s -> autumn.map(a -> new FrostDates(s, a)));
    }

    private static MonthDay day(String monthDay) {
        return MonthDay.parse("--" + monthDay);
    }

    private final class Run {
        private final Knowledge knowledge;
        private final PlanDocument plan;
        private final Context context;
        private final LocalDate asOf;
        private final Optional<SiteWeather> site;
        private final Optional<YearsAhead> years;
        private final PlanDates dates;
        private final Timeline timeline;
        private final SoilProfile soil;
        private final Optional<FrostDates> frost;
        private final Map<String, Figure> figures = new LinkedHashMap<>();
        private final List<CropInTime> crops;
        private final PlanWindows planWindows;
        private final Figure area;
        private final GroundVariation variation;
        private final Optional<GroundMemory> memory;
        private final Map<String, MixBench> benches = new LinkedHashMap<>();

        Run(
                PlanDocument plan,
                Context context,
                LocalDate asOf,
                Optional<SiteWeather> site,
                GroundVariation variation,
                Optional<GroundMemory> memory) {
            PlanCost.require(plan);
            this.memory = memory;
            this.variation = variation;
            this.knowledge = Evaluator.this.knowledge.corrected(context.corrections());
            this.plan = plan;
            this.context = context;
            this.asOf = asOf;
            this.site = site;
            this.years = site.map(s -> PlanSpan.of(plan, asOf).years(s, asOf));
            this.dates = new PlanDates(plan, knowledge, years);
            this.timeline = new Timeline(plan, knowledge, dates);
            this.soil = FieldSoil.of(context.field());
            this.frost = frost(context.field(), site, asOf);
            this.crops = timeline.crops();
            this.planWindows = new PlanWindows(crops, years, frost);
            this.area = keep(area(context.field()));
        }

        Evaluated evaluated() {
            List<Window> windows = planWindows.all();
            windows.forEach(w -> keep(w.days()));
            soilFigures();
            Optional<WindowOffer> offer = planWindows.offer(
                    soil,
                    coverSpans(),
                    context.field().evapotranspirationScale().orElse(1.0));
            offer.ifPresent(o -> windows.forEach(w -> o.of(w).forEach(this::keep)));
            List<Situation.Cover> sown =
                    plan.covers().stream().map(c -> cover(c, planWindows.of(c))).toList();
            List<CropResult> cropResults =
                    new CropFigures(plan, knowledge, timeline, crops, area, this::keep).all(sown);
            PlanGrowth growth = new PlanGrowth(
                    plan, context, knowledge, asOf, timeline, crops, years, soil, sown, figures, variation, memory);
            List<Situation.Cover> covers =
                    sown.stream().map(c -> growth.grown(c, benches)).toList();
            growth.ground()
                    .ifPresent(g -> new GroundFigures(g, context.farm().units(), growth::errorOfMass, f -> keep(f))
                            .all(
                                    crops,
                                    covers,
                                    site.orElseThrow().climate().place().isSouthern()));
            List<CoverResult> coverResults = plan.covers().stream()
                    .map(entry -> coverResult(
                            entry,
                            covers.stream()
                                    .filter(c -> c.id().equals(entry.id()))
                                    .findFirst()
                                    .orElseThrow(),
                            growth.seen(entry.id())))
                    .toList();
            List<Decision> calendar = new DecisionCalendar(context.field(), coverResults, offer, f -> keep(f)).all();
            List<Pass> later = timeline.passes().stream()
                    .filter(p -> cropResults.stream().noneMatch(c -> c.passes().contains(p)))
                    .toList();
            later.forEach(p -> keep(DisturbanceRating.of(LATER, p)));
            Situation situation = new Situation(
                    asOf,
                    context.farm().units(),
                    frost,
                    context.field().tileDepth().map(q -> q.in(Unit.CENTIMETRE)),
                    crops,
                    covers,
                    TypedNumbers.of(plan, context, knowledge),
                    windows,
                    EnteredFacts.of(context.field()),
                    timeline.passes(),
                    new Tilled(crops, timeline.passes()).untilled(),
                    site.map(s -> new Situation.Weather(
                            s.climate().name(),
                            years.map(YearsAhead::count).orElse(0),
                            s.origin() == Origin.ENTERED,
                            s.climate().place().latitude())));
            return new Evaluated(
                    plan,
                    context,
                    knowledge,
                    asOf,
                    Collections.unmodifiableMap(figures),
                    windows,
                    cropResults,
                    coverResults,
                    later,
                    Judgements.of(situation),
                    dates.all(),
                    site,
                    years,
                    frost,
                    soil,
                    calendar,
                    growth.ground());
        }

        private CoverResult coverResult(CoverEntry entry, Situation.Cover cover, List<FieldChecks.Seen> seen) {
            return new CoverResult(
                    entry,
                    cover.next(),
                    cover.sown(),
                    cover.end(),
                    cover.components().stream().map(Component::species).toList(),
                    sowing(entry),
                    cover.blend(),
                    cover.window(),
                    cover.useful(),
                    cover.outlook(),
                    Optional.ofNullable(benches.get(entry.id())),
                    seen);
        }

        private List<GroundCover.CoverSpan> coverSpans() {
            return plan.covers().stream()
                    .flatMap(c -> timeline.sown(c.id()).stream()
                            .map(d -> new GroundCover.CoverSpan(d, timeline.ended(c.id()))))
                    .toList();
        }

        private void soilFigures() {
            keep(SoilWaterLimits.available("field/water", soil.rooted()));
            for (int i = 0; i < soil.layers().size(); i++) {
                SoilWaterLimits.figures("field/soil/" + (i + 1), soil.layers().get(i))
                        .forEach(this::keep);
            }
        }

        private Figure keep(Figure figure) {
            figures.put(figure.id(), figure);
            return figure;
        }

        private void keep(Optional<Figure> figure) {
            figure.ifPresent(this::keep);
        }

        private Situation.Cover cover(CoverEntry entry, Optional<Window> window) {
            Optional<LocalDate> sown = timeline.sown(entry.id());
            Optional<CropInTime> next = next(entry);
            Optional<Termination> end = end(entry.id());
            List<Component> components = entry.mix()
                    .map(m -> components("mix/" + entry.id(), m, sownZone(entry)))
                    .orElse(List.of());
            Optional<Blend> blend = Blend.of("mix/" + entry.id(), components, sowing(entry));
            blend.ifPresent(this::keepBlend);
            end.ifPresent(e -> next.flatMap(CropInTime::planted)
                    .ifPresent(p -> keep(e.daysBefore("end/" + entry.id() + "/daysBeforePlanting", p))));
            Optional<Stand> stand = entry.stand().flatMap(s -> stand("end/" + entry.id(), s));
            stand.ifPresent(s -> {
                keep(s.biomass());
                keep(s.nitrogenPercent());
                keep(s.nitrogenInTops());
            });
            Optional<CoverCredit> credit = stand.map(s ->
                    CoverCredit.of(next.map(n -> "feed/" + n.id()).orElse("end/" + entry.id()), s));
            credit.ifPresent(c -> {
                keep(c.released());
                keep(c.credit());
            });
            List<UsefulSowing> useful = planWindows.useful(
                    entry.id(), components.stream().map(Component::species).toList(), window);
            useful.forEach(u -> keep(u.figure()));
            keep(sown.flatMap(d -> LateSowing.factor("sow/" + entry.id() + "/lateness", d, useful)));
            Optional<MixBench> bench = MixBench.of(
                    context.field(),
                    entry,
                    window,
                    sown,
                    endings(entry.id()),
                    next.map(crops::indexOf).filter(i -> i > 0).map(i -> crops.get(i - 1)),
                    next,
                    years,
                    soil);
            bench.ifPresent(b -> benches.put(entry.id(), b));
            List<Species> sownSpecies =
                    components.stream().map(Component::species).toList();
            Optional<Seedbed> seedbed =
                    sown.flatMap(d -> years.map(y -> Seedbed.of("sow/" + entry.id(), d, sownSpecies, y)));
            seedbed.ifPresent(b -> b.figures().forEach(this::keep));
            return new Situation.Cover(
                    entry.id(),
                    next,
                    sown,
                    end,
                    endings(entry.id()),
                    components,
                    blend,
                    stand,
                    credit,
                    window,
                    useful,
                    Optional.empty(),
                    bench.map(b -> b.findings(components, knowledge)).orElse(Map.of()),
                    seedbed,
                    bench.map(b -> b.aliveAtEnd(components)).orElse(Map.of()),
                    Map.of(),
                    MixUses.of(
                            context.field(),
                            entry,
                            components,
                            end,
                            new PlanLookup(plan)
                                    .first(Operation.Graze.class, entry.id())
                                    .isPresent(),
                            sowing(entry).purpose(),
                            sowing(entry).method(),
                            standing(entry),
                            fertiliser(entry),
                            knowledge));
        }

        private Optional<CropInTime> standing(CoverEntry entry) {
            return entry.place().relation().equals("into")
                    ? crops.stream()
                            .filter(c -> c.id().equals(entry.place().cropId()))
                            .findFirst()
                    : Optional.empty();
        }

        private Optional<Situation.SeedFertiliser> fertiliser(CoverEntry entry) {
            Optional<Quantity> spread =
                    timeline.sow(entry.id()).flatMap(Operation.Sow::withSeed).flatMap(WithSeedEntry::openerSpread);
            Optional<Quantity> rows =
                    timeline.sow(entry.id()).flatMap(Operation.Sow::rows).flatMap(RowsEntry::spacing);
            return timeline.sow(entry.id())
                    .flatMap(Operation.Sow::withSeed)
                    .flatMap(WithSeedEntry::nAndK2O)
                    .map(q -> new Situation.SeedFertiliser(
                            q.in(Unit.KG_PER_HA),
                            keep(SeedPlaced.limit(
                                    "sow/" + entry.id() + "/seedPlacedLimit",
                                    spread.map(w -> w.in(Unit.METRE)).orElse(USUAL_SPREAD_M),
                                    spread.isPresent() ? Origin.ENTERED : Origin.DEFAULT,
                                    rows.map(w -> w.in(Unit.METRE)).orElse(USUAL_ROW_M),
                                    rows.isPresent() ? Origin.ENTERED : Origin.DEFAULT))));
        }

        private Optional<Termination> end(String cover) {
            return endings(cover).stream().findFirst();
        }

        private List<Termination> endings(String cover) {
            return timeline.endings(cover).stream()
                    .map(e -> new Termination(e.date(), e.method()))
                    .toList();
        }

        private Optional<CropInTime> next(CoverEntry entry) {
            Optional<CropInTime> named = crops.stream()
                    .filter(c -> c.id().equals(entry.place().cropId()))
                    .findFirst();
            if (entry.place().relation().equals("before")) {
                return named;
            }
            return named.map(crops::indexOf).filter(i -> i + 1 < crops.size()).map(i -> crops.get(i + 1));
        }

        private List<Component> components(String prefix, MixEntry mix, Optional<String> sownZone) {
            String by = mix.method();
            return mix.components().stream()
                    .map(c -> new Component(
                            knowledge.species().get(c.species()),
                            by.equals("share") ? c.sharePercent().map(p -> p / 100) : Optional.empty(),
                            by.equals("density") ? c.seeds() : Optional.empty(),
                            by.equals("recipe") ? c.rate() : Optional.empty(),
                            c.lotId().flatMap(id -> lot(id, c.species())),
                            zone(prefix, mix, c, sownZone)))
                    .toList();
        }

        /** The zone that the whole sowing of a cover is limited to. */
        private Optional<String> sownZone(CoverEntry entry) {
            return timeline.sow(entry.id()).flatMap(Operation.Sow::zone);
        }

        /** A species goes where the mix says, else where the sowing goes; the widths are those of the mix. */
        private SownZone zone(String prefix, MixEntry mix, ComponentEntry c, Optional<String> sownZone) {
            return c.zone()
                    .or(() -> sownZone)
                    .filter(z -> !z.equals(SownZone.WHOLE))
                    .flatMap(z -> mix.zones()
                            .map(w -> SownZone.of(
                                    prefix,
                                    z,
                                    w.bandWidth().in(Unit.METRE),
                                    w.rowWidth().in(Unit.METRE))))
                    .orElseGet(() -> SownZone.whole(prefix));
        }

        private Optional<SeedLot> lot(String id, String species) {
            return context.lots().stream()
                    .filter(l -> l.id().equals(id) && l.species().equals(species))
                    .findFirst()
                    .map(LotSeed::of);
        }

        private Sowing sowing(CoverEntry entry) {
            Operation.Sow p = timeline.sow(entry.id())
                    .orElseGet(() -> Operation.Sow.of("none", entry.id(), PlanDocument.DateEntry.on(asOf)));
            return new Sowing(
                    knowledge.sowingMethods().get(p.method().orElse("drilled")),
                    p.lateness().orElse(1.0),
                    p.seedbed().orElse(1.0),
                    p.purpose().orElse(1.0),
                    p.sownArea()
                            .map(q -> Input.of(
                                    "area",
                                    "Sown area",
                                    q.in(Unit.HECTARE),
                                    Unit.HECTARE,
                                    Origin.ENTERED,
                                    "typed for this sowing"))
                            .orElseGet(() -> Input.figure("area", area, Unit.HECTARE)),
                    entry.mix().flatMap(MixEntry::wastePercent).orElse(USUAL_WASTE_PERCENT) / 100,
                    entry.mix().flatMap(MixEntry::wastePercent).isPresent(),
                    p.catchWidth().map(q -> q.in(Unit.METRE)).orElse(USUAL_WIDTH_M),
                    p.catchDistance().map(q -> q.in(Unit.METRE)).orElse(USUAL_DISTANCE_M),
                    p.catchWidth().isPresent() && p.catchDistance().isPresent(),
                    p.largeBox().map(q -> q.in(Unit.LITRE)),
                    p.smallBox().map(q -> q.in(Unit.LITRE)));
        }

        private void keepBlend(Blend b) {
            b.rates().forEach(r -> {
                keep(r.pls());
                keep(r.germinates());
                keep(r.plsKgHa());
                keep(r.bulkKgHa());
                keep(r.seedsM2());
                keep(r.seedsNowM2());
                keep(r.comesUpM2());
                keep(r.seedKg());
                keep(r.fieldKgHa());
                keep(r.fieldSeedsM2());
                if (!r.component().zone().isWhole()) {
                    keep(r.component().zone().share());
                }
                keep(r.bags());
                keep(r.cost());
                keep(r.costPerHa());
            });
            b.weightShares().forEach(this::keep);
            b.seedShares().forEach(this::keep);
            b.boxes().forEach(x -> {
                keep(x.rateKgHa());
                keep(x.catchG());
                keep(x.densityKgL());
                keep(x.fills());
            });
            b.inoculants().forEach(i -> keep(i.amountG()));
            keep(b.bulkKgHa());
            keep(b.seedsM2());
            keep(b.seedKg());
            keep(b.cost());
            keep(b.costPerHa());
        }

        private static Optional<Stand> stand(String prefix, StandEntry s) {
            return s.nitrogenPercent().flatMap(n -> {
                if (s.evidence() == Evidence.WEIGHED && s.quadrat().isPresent()) {
                    return s.quadrat()
                            .map(q -> Stand.weighed(
                                    prefix, new Quadrat(q.frameArea(), q.samples(), q.dryMatterPercent() / 100), n));
                }
                return s.biomass().map(b -> Stand.typed(prefix, s.evidence(), b, n));
            });
        }

        private static Figure area(FieldEntry field) {
            return field.boundary()
                    .map(b -> FieldArea.of(BoundaryReader.read(b)))
                    .orElseGet(() -> FieldArea.typed(field.area().orElseThrow()));
        }
    }
}
