package app.etlo.core.plan.shown;

import app.etlo.core.ground.GrownCrop;
import app.etlo.core.knowledge.School;
import app.etlo.core.knowledge.Use;
import app.etlo.core.mix.Blend;
import app.etlo.core.mix.GrowVerdict;
import app.etlo.core.mix.MixOutlook;
import app.etlo.core.mix.MixResult;
import app.etlo.core.mix.MixSchool;
import app.etlo.core.mix.SeedBox;
import app.etlo.core.mix.SeedRate;
import app.etlo.core.mix.SowResult;
import app.etlo.core.mix.UsefulSowing;
import app.etlo.core.nitrogen.CoverSchools;
import app.etlo.core.nitrogen.FeedResult;
import app.etlo.core.nitrogen.LedgerLine;
import app.etlo.core.nitrogen.LeftToBuy;
import app.etlo.core.nitrogen.NitrogenLedger;
import app.etlo.core.nitrogen.SupplyAndUptake;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.chapter.Evaluated.CropResult;
import app.etlo.core.plan.shown.ChapterViews.AssumedFeedingView;
import app.etlo.core.plan.shown.ChapterViews.BoxView;
import app.etlo.core.plan.shown.ChapterViews.CheckView;
import app.etlo.core.plan.shown.ChapterViews.ClockView;
import app.etlo.core.plan.shown.ChapterViews.CoverSchoolView;
import app.etlo.core.plan.shown.ChapterViews.CoverUseView;
import app.etlo.core.plan.shown.ChapterViews.DeliveryView;
import app.etlo.core.plan.shown.ChapterViews.EndChapterView;
import app.etlo.core.plan.shown.ChapterViews.FallbackView;
import app.etlo.core.plan.shown.ChapterViews.FeedChapterView;
import app.etlo.core.plan.shown.ChapterViews.FieldView;
import app.etlo.core.plan.shown.ChapterViews.FullRateView;
import app.etlo.core.plan.shown.ChapterViews.GapView;
import app.etlo.core.plan.shown.ChapterViews.GrazingView;
import app.etlo.core.plan.shown.ChapterViews.GrowStepView;
import app.etlo.core.plan.shown.ChapterViews.GrowView;
import app.etlo.core.plan.shown.ChapterViews.GrownCoverView;
import app.etlo.core.plan.shown.ChapterViews.GrownCropView;
import app.etlo.core.plan.shown.ChapterViews.GrownRotationView;
import app.etlo.core.plan.shown.ChapterViews.InoculantView;
import app.etlo.core.plan.shown.ChapterViews.LatestView;
import app.etlo.core.plan.shown.ChapterViews.LayerView;
import app.etlo.core.plan.shown.ChapterViews.LedgerLineView;
import app.etlo.core.plan.shown.ChapterViews.LivingMulchDay;
import app.etlo.core.plan.shown.ChapterViews.LivingMulchView;
import app.etlo.core.plan.shown.ChapterViews.MixChapterView;
import app.etlo.core.plan.shown.ChapterViews.NeedSchoolView;
import app.etlo.core.plan.shown.ChapterViews.NutrientView;
import app.etlo.core.plan.shown.ChapterViews.PlantChapterView;
import app.etlo.core.plan.shown.ChapterViews.RateView;
import app.etlo.core.plan.shown.ChapterViews.SchoolView;
import app.etlo.core.plan.shown.ChapterViews.SideView;
import app.etlo.core.plan.shown.ChapterViews.SowChapterView;
import app.etlo.core.plan.shown.ChapterViews.StandForecastView;
import app.etlo.core.plan.shown.ChapterViews.StockCautionView;
import app.etlo.core.plan.shown.ChapterViews.SumView;
import app.etlo.core.plan.shown.ChapterViews.SupplyView;
import app.etlo.core.plan.shown.ChapterViews.SupplyWeek;
import app.etlo.core.plan.shown.ChapterViews.TankView;
import app.etlo.core.plan.shown.ChapterViews.TestView;
import app.etlo.core.plan.shown.ChapterViews.VerdictView;
import app.etlo.core.plan.shown.ChapterViews.WindowView;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.Window;
import app.etlo.core.rotation.WindowResult;
import app.etlo.core.termination.Fallback;
import app.etlo.core.termination.LivingMulch;
import app.etlo.core.termination.SprayTank;
import app.etlo.core.termination.Stand;
import app.etlo.core.working.Figure;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/** Writes the chapters of an evaluated plan out for reading. */
public final class ChapterWriter {
    private final Evaluated e;
    private final FigureTexts texts;

    ChapterWriter(Evaluated e) {
        this.e = e;
        this.texts = FigureTexts.of(e);
    }

    FigureView view(Figure f) {
        return EvaluationWriter.figure(f, e.units(), e.context().farm().currency(), texts);
    }

    private Optional<FigureView> view(Optional<Figure> f) {
        return f.map(this::view);
    }

    private Map<String, FigureView> views(Map<String, Figure> figures) {
        Map<String, FigureView> views = new LinkedHashMap<>();
        figures.forEach((id, f) -> views.put(id, view(f)));
        return views;
    }

    private <R, V> Map<String, V> byId(List<R> results, Function<R, String> id, Function<R, V> write) {
        Map<String, V> views = new LinkedHashMap<>();
        results.forEach(r -> views.put(id.apply(r), write.apply(r)));
        return views;
    }

    <V> Map<String, V> covers(Function<CoverResult, V> write) {
        return byId(e.covers(), CoverResult::id, write);
    }

    <V> Map<String, V> crops(Function<CropResult, V> write) {
        return byId(e.crops(), c -> c.crop().id(), write);
    }

    FieldView field() {
        List<LayerView> layers = new ArrayList<>();
        for (int i = 0; i < e.field().layers().size(); i++) {
            var l = e.field().layers().get(i);
            layers.add(new LayerView(
                    e.said(e.soil().layers().get(i).where()),
                    view(l.wiltingPoint()),
                    view(l.fieldCapacity()),
                    view(l.saturation())));
        }
        return new FieldView(view(e.field().area()), view(e.field().water()), layers);
    }

    WindowView window(WindowResult r) {
        Window w = r.window();
        return new WindowView(
                w.id(),
                w.kind(),
                w.kind().words(),
                w.after(),
                w.before(),
                w.from(),
                w.to(),
                w.sowUntil(),
                w.kind().usualMethod(),
                view(w.days()),
                view(r.degreeDays()),
                view(r.warmDegreeDays()),
                view(r.firstFrost()),
                view(r.lastFrost()),
                view(r.water()),
                view(r.drillDays()),
                view(r.light()));
    }

    MixChapterView mix(CoverResult c) {
        MixResult m = c.mix();
        List<RateView> rates = new ArrayList<>();
        m.blend().ifPresent(b -> {
            for (int i = 0; i < b.rates().size(); i++) {
                rates.add(rate(b, i, m.outlook()));
            }
        });
        return new MixChapterView(
                rates,
                m.blend().map(Blend::boxes).orElse(List.of()).stream()
                        .map(this::box)
                        .toList(),
                m.blend().map(Blend::inoculants).orElse(List.of()).stream()
                        .map(i -> new InoculantView(
                                i.group(),
                                i.species(),
                                view(i.amountG()),
                                view(i.cost()),
                                Optional.ofNullable(c.sow().grownLegumes().get(i.group()))))
                        .toList(),
                m.blend()
                        .map(b -> new SumView(
                                view(b.bulkKgHa()),
                                view(b.seedsM2()),
                                view(b.seedKg()),
                                view(b.cost()),
                                view(b.costPerHa()))),
                m.outlook().map(o -> new DeliveryView(view(o.mass()), view(o.carbonToNitrogen()), views(o.aims()))),
                m.schools().stream().map(ChapterWriter::school).toList());
    }

    private RateView rate(Blend b, int i, Optional<MixOutlook> outlook) {
        SeedRate r = b.rates().get(i);
        var species = r.component().species();
        boolean small =
                b.boxes().stream().anyMatch(x -> x.small() && x.species().contains(species.id()));
        return new RateView(
                species.id(),
                species.name(),
                species.group(),
                small,
                full(r),
                view(r.pls()),
                view(r.germinates()),
                view(r.plsKgHa()),
                view(r.bulkKgHa()),
                view(r.seedsM2()),
                view(r.seedsNowM2()),
                view(r.comesUpM2()),
                view(r.fieldKgHa()),
                view(r.fieldSeedsM2()),
                view(b.weightShares().get(i)),
                view(b.seedShares().get(i)),
                view(r.seedKg()),
                view(r.bags()),
                view(r.cost()),
                view(r.costPerHa()),
                outlook.map(o -> view(o.parts().get(i))),
                outlook.map(o -> view(o.standShares().get(i))));
    }

    private static SchoolView school(MixSchool s) {
        return new SchoolView(
                s.school().id(),
                s.school().name(),
                s.words(),
                s.chosen().map(School.Side::id),
                s.school().sides().stream()
                        .map(side -> new SideView(
                                side.id(), side.name(), s.school().band(side), side.holds(), side.has(s.value())))
                        .toList(),
                s.school().sides().get(0).source().text());
    }

    private FullRateView full(SeedRate r) {
        return new FullRateView(
                e.said(Said.span(
                        round(r.full().kgHa().low()), round(r.full().kgHa().high()), Unit.KG_PER_HA)),
                Math.round(100 * r.shareOfFull()),
                r.full().source().text());
    }

    private static double round(double kgHa) {
        return kgHa < 20 ? Math.round(kgHa * 10) / 10.0 : Math.round(kgHa);
    }

    private BoxView box(SeedBox b) {
        return new BoxView(
                b.id(),
                b.name(),
                b.species(),
                view(b.rateKgHa()),
                view(b.catchG()),
                view(b.densityKgL()),
                view(b.fills()));
    }

    public static LatestView latest(UsefulSowing u) {
        return new LatestView(
                u.species().id(),
                u.species().name(),
                u.half(),
                u.mostYears(),
                u.nearlyAll(),
                u.years(),
                u.figure().map(Figure::id));
    }

    SowChapterView sow(CoverResult c) {
        SowResult s = c.sow();
        return new SowChapterView(
                view(s.seedPlacedLimit()),
                s.seedbed().map(b -> view(b.dryPercent())),
                s.seedbed().map(b -> views(b.coldPercent())).orElse(Map.of()),
                view(s.drillDays()),
                view(s.drillCapacity()),
                view(s.sownArea()),
                s.verdict()
                        .map(v -> new VerdictView(
                                v.act().words(),
                                v.flushes(),
                                v.reasons().stream().map(e::said).toList())));
    }

    private GrowStepView step(CoverResult c) {
        Map<String, List<GrowVerdict>> verdicts = new LinkedHashMap<>();
        c.verdicts()
                .forEach((id, all) ->
                        verdicts.put(id, all.stream().map(this::said).toList()));
        return new GrowStepView(
                c.clocks().stream()
                        .map(k -> new ClockView(
                                k.species().id(),
                                k.species().name(),
                                k.blooms(),
                                k.seeds(),
                                k.bloomYears(),
                                k.seedYears(),
                                k.years(),
                                k.clipBy(),
                                k.bloomsAgain(),
                                k.insectDays(c.inTime().endsOn().orElse(LocalDate.MAX)),
                                k.clipBy().map(k::insectDays).orElse(0)))
                        .toList(),
                verdicts,
                c.forage().grazings().stream()
                        .map(g -> new GrazingView(
                                g.operationId(),
                                g.on(),
                                g.figures().stream().map(this::view).toList(),
                                g.says().stream().map(e::said).toList()))
                        .toList(),
                c.forage().cautions().stream()
                        .map(k -> new StockCautionView(
                                k.caution().id(),
                                k.caution().name(),
                                k.caution().text(),
                                k.caution().animals(),
                                k.species()))
                        .toList(),
                c.forage().uses().stream()
                        .map(u -> new CoverUseView(
                                u.way().id(),
                                u.way().words(),
                                view(u.fed()),
                                view(u.left()),
                                view(u.nitrogenGone()),
                                u.dry(),
                                Double.isNaN(u.dryYearsOfTen())
                                        ? Optional.empty()
                                        : Optional.of((int) Math.round(u.dryYearsOfTen())),
                                u.mulch()))
                        .toList(),
                view(c.forage().protein()),
                c.forage().quality(),
                c.livingMulch().map(m -> livingMulch(c, m)));
    }

    private static final Map<String, String> COVER_SCHOOLS = Map.of(
            "content", "Mass and its nitrogen content",
            "table", "Table of green manures",
            "simulated", "Release simulated, in twelve weeks");

    private LivingMulchView livingMulch(Evaluated.CoverResult c, LivingMulch m) {
        return new LivingMulchView(
                m.planted(),
                m.weedFreeUntil(),
                m.aliveYears(),
                m.years(),
                m.suppressBy(),
                c.facts().water().filter(w -> w.drinksMm() >= 1).map(w -> words(w.drinksMm(), Unit.MILLIMETRE)),
                m.days().stream()
                        .map(d -> new LivingMulchDay(
                                d.on(),
                                words(d.mulchCm(), Unit.CENTIMETRE),
                                words(d.cropCm(), Unit.CENTIMETRE),
                                (int) Math.round(d.lightPercent().low()),
                                (int) Math.round(d.lightPercent().middle()),
                                (int) Math.round(d.lightPercent().high()),
                                words(10 * Math.round(d.mulchKgHa() / 10), Unit.KG_PER_HA),
                                words(d.nitrogenKgHa(), Unit.KG_PER_HA),
                                d.passes()))
                        .toList());
    }

    private String words(double value, Unit unit) {
        return e.said(Said.of(Math.round(value), unit));
    }

    private GrowVerdict said(GrowVerdict v) {
        return new GrowVerdict(
                v.about(),
                v.word(),
                e.said(v.said()),
                v.causes().stream().map(e::said).toList(),
                v.next(),
                v.toDo().map(e::said),
                v.proposal());
    }

    GrowView grow() {
        Map<String, GrownCoverView> covers = new LinkedHashMap<>();
        e.covers()
                .forEach(c -> c.grow()
                        .ifPresent(g -> covers.put(
                                c.id(),
                                new GrownCoverView(
                                        view(g.mass()),
                                        view(g.carbonToNitrogen()),
                                        view(g.nitrogenPercent()),
                                        view(g.nitrogen()),
                                        view(g.residueCover())))));
        var r = e.rotation();
        return new GrowView(
                covers(this::step),
                covers,
                crops(c -> grown(c.grow())),
                new GrownRotationView(
                        view(r.startNitrogen()),
                        view(r.startResidue()),
                        view(r.leached()),
                        view(r.livingRootDays()),
                        view(r.bareDays()),
                        view(r.lowestCover())));
    }

    private GrownCropView grown(GrownCrop g) {
        return new GrownCropView(view(g.water()), view(g.mineralN()), view(g.residueCover()), view(g.mass()));
    }

    EndChapterView end(CoverResult c) {
        Optional<Stand> stand = c.ending().stand();
        return new EndChapterView(
                view(c.ending().daysBeforePlanting()),
                stand.map(s -> view(s.biomass())),
                stand.map(s -> view(s.nitrogenPercent())),
                stand.map(s -> view(s.nitrogenInTops())),
                c.ending().forecast().map(f -> new StandForecastView(view(f.mass()), view(f.nitrogenPercent()))),
                c.checks().stream()
                        .map(k -> new CheckView(k.id(), k.on(), k.said(), view(k.factor())))
                        .toList(),
                c.ending().gaps().stream()
                        .map(g -> new GapView(
                                g.from(),
                                g.fromOn(),
                                g.to(),
                                g.toOn(),
                                g.wanted(),
                                g.days(),
                                g.holds(),
                                g.why(),
                                g.ofLabel()))
                        .toList(),
                c.ending().rules(),
                c.ending().tanks().stream().map(this::tank).toList(),
                c.ending().fallbacks().stream().map(this::fallback).toList());
    }

    private TankView tank(SprayTank t) {
        return new TankView(
                t.passId(),
                view(t.treated()),
                view(t.product()),
                view(t.active()),
                view(t.mix()),
                view(t.fullTanks()),
                view(t.lastTank()),
                view(t.inFull()),
                view(t.inLast()));
    }

    private FallbackView fallback(Fallback f) {
        Unit money = e.units().shown(Unit.MONEY_PER_HA);
        return new FallbackView(
                f.id(),
                f.when(),
                f.look(),
                f.by(),
                f.then(),
                f.method(),
                f.costPerHa()
                        .map(b -> Shown.plain(Unit.MONEY_PER_HA.to(money, b.low()), 0) + " to "
                                + Shown.plain(Unit.MONEY_PER_HA.to(money, b.high()), 0) + " "
                                + money.written().replace("¤", Use.PRICE_CURRENCY)),
                f.planned());
    }

    PlantChapterView plant(CropResult c) {
        var p = c.plant();
        return new PlantChapterView(
                views(p.ratings()), view(p.rating()), view(p.disturbed()), view(p.stripShare()), view(p.residue()));
    }

    private SupplyView supply(SupplyAndUptake s) {
        Unit unit = e.units().shown(Unit.KG_PER_HA);
        return new SupplyView(
                unit.symbol(),
                s.years(),
                in(unit, s.beforeKgHa().low()),
                in(unit, s.beforeKgHa().middle()),
                in(unit, s.beforeKgHa().high()),
                s.weeks().stream()
                        .map(w -> new SupplyWeek(
                                w.week(),
                                w.on(),
                                in(unit, w.uptakeKgHa().low()),
                                in(unit, w.uptakeKgHa().middle()),
                                in(unit, w.uptakeKgHa().high()),
                                in(unit, w.freeKgHa().low()),
                                in(unit, w.freeKgHa().middle()),
                                in(unit, w.freeKgHa().high()),
                                in(unit, w.heldKgHa()),
                                in(unit, w.fedKgHa()),
                                w.shortYears()))
                        .toList(),
                s.says());
    }

    private static double in(Unit unit, double kgHa) {
        return Math.round(Unit.KG_PER_HA.to(unit, kgHa));
    }

    private LedgerLineView line(LedgerLine l, Optional<String> leftOut) {
        return new LedgerLineView(
                l.kind().id(), l.label(), view(l.amount()), l.sure().words(), e.said(l.says()), leftOut);
    }

    private List<CoverSchoolView> coverSchools(CoverSchools s, NitrogenLedger ledger) {
        Optional<String> counts = Stream.concat(
                        ledger.counted().stream(), ledger.leftOut().stream().map(NitrogenLedger.LeftOut::line))
                .filter(l -> l.kind() == LedgerLine.Kind.COVER)
                .map(l -> l.amount().id())
                .findFirst();
        return Stream.of(
                        Map.entry("content", Optional.of(s.content().credit())),
                        Map.entry("table", s.table()),
                        Map.entry("simulated", s.simulated()))
                .flatMap(k -> k.getValue().stream()
                        .map(f -> new CoverSchoolView(
                                k.getKey(),
                                COVER_SCHOOLS.get(k.getKey()),
                                view(f),
                                counts.filter(f.id()::equals).isPresent())))
                .toList();
    }

    FeedChapterView feed(CropResult c) {
        FeedResult f = c.feed();
        Optional<LeftToBuy> bought = f.bought();
        return new FeedChapterView(
                f.schools().stream()
                        .map(s -> new NeedSchoolView(s.id(), s.name(), view(s.amount()), s.lacks(), s.chosen()))
                        .toList(),
                Stream.concat(
                                f.ledger().counted().stream().map(l -> line(l, Optional.empty())),
                                f.ledger().leftOut().stream().map(o -> line(o.line(), Optional.of(o.why()))))
                        .toList(),
                f.cover().map(s -> coverSchools(s, f.ledger())).orElse(List.of()),
                f.cover().flatMap(CoverSchools::fixed).map(this::view),
                f.cover().flatMap(CoverSchools::moved).map(this::view),
                f.cropBefore(),
                f.supply().map(this::supply),
                f.nutrients().stream()
                        .map(n -> new NutrientView(
                                n.nutrient().symbol(),
                                view(n.removed()),
                                view(n.fed()),
                                view(n.balance()),
                                view(n.running())))
                        .toList(),
                f.tests().stream()
                        .map(t -> new TestView(t.id(), t.what(), t.from(), t.to(), e.said(t.says()), t.done()))
                        .toList(),
                view(f.boughtForYield()),
                view(f.need()),
                f.cover().map(k -> view(k.content().released())),
                f.cover().map(k -> view(k.content().credit())),
                view(f.planned()),
                f.assumed().parts().stream()
                        .map(a -> new AssumedFeedingView(a.on(), view(a.nitrogen())))
                        .toList(),
                bought.map(b -> view(b.left())),
                view(bought.flatMap(LeftToBuy::productKgHa)),
                view(bought.flatMap(LeftToBuy::productLHa)),
                view(bought.flatMap(LeftToBuy::forField)),
                view(bought.flatMap(LeftToBuy::costPerHa)));
    }
}
