package app.etlo.core.plan.chapter;

import app.etlo.core.knowledge.SowingMethod;
import app.etlo.core.knowledge.Species;
import app.etlo.core.mix.SeedDepth;
import app.etlo.core.mix.SeedPlaced;
import app.etlo.core.mix.Seedbed;
import app.etlo.core.mix.SeedbedVerdict;
import app.etlo.core.mix.SowResult;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.Operation.RowsEntry;
import app.etlo.core.plan.document.Operation.SeedbedCheckEntry;
import app.etlo.core.plan.document.Operation.WithSeedEntry;
import app.etlo.core.plan.growth.PlanGrowth;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.plan.timeline.SownAs;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.Window;
import app.etlo.core.rotation.WindowOffer;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.Optional;

/** The step Sow: what the seed meets, what it bears beside it, and what the drill can do in time. */
final class SowChapter {
    /** Spread of a disc opener and distance of a drill's rows. */
    private static final double USUAL_SPREAD_M = 0.025;

    private static final double USUAL_ROW_M = 0.19;
    private static final double USUAL_DRILL_HA_PER_DAY = 14;
    private static final Formula CAPACITY = Formula.of(
            "What the drill can do",
            "days * perDay",
            Source.own("days dry enough to drill, times what the drill does in a day"),
            "days",
            "perDay");

    private final PlanInTime plan;
    private final Optional<WindowOffer> offer;
    private final PlanGrowth growth;

    /**
     * @param offer of the weather; empty without it
     */
    SowChapter(PlanInTime plan, Optional<WindowOffer> offer, PlanGrowth growth) {
        this.plan = plan;
        this.offer = offer;
        this.growth = growth;
    }

    SowResult of(CoverInTime c) {
        String id = "sow/" + c.id();
        Optional<Figure> days = c.window().flatMap(w -> offer.flatMap(o -> o.drillDays(w, id + "/drillDays")));
        Optional<Seedbed> seedbed =
                c.sown().flatMap(d -> plan.years().map(y -> Seedbed.of(id, d, c.species(), y, soilC(c, d))));
        return new SowResult(
                withSeedKgHa(c).map(q -> seedPlacedLimit(c)),
                seedbed,
                days,
                days.map(d -> capacity(id, d)),
                plan.timeline()
                        .sow(c.id())
                        .flatMap(Operation.Sow::sownAs)
                        .flatMap(a -> SownAs.area(c.id(), a, plan.area())),
                GrownLegumes.of(plan, c),
                plan.timeline().sow(c.id()).flatMap(Operation.Sow::seedbedCheck).map(k -> verdict(k, c, seedbed)));
    }

    /** Frost seeding is meant for cold ground: no species is called too cold for it. */
    private Optional<double[]> soilC(CoverInTime c, LocalDate day) {
        return c.sowing().method().id().equals(SowingMethod.FROST_SEEDED) ? Optional.empty() : growth.seedbedC(day);
    }

    private SeedbedVerdict verdict(SeedbedCheckEntry k, CoverInTime c, Optional<Seedbed> seedbed) {
        return SeedbedVerdict.of(
                new SeedbedVerdict.Look(
                        k.on(),
                        k.heelSinks().map(q -> q.in(Unit.CENTIMETRE)),
                        k.level(),
                        k.moistFrom().map(q -> q.in(Unit.CENTIMETRE)),
                        k.weeds().map(q -> q.in(Unit.PER_M2))),
                new SeedbedVerdict.Need(
                        c.species().stream().mapToDouble(Species::depthCm).min().orElse(1),
                        c.species().stream()
                                .mapToDouble(SeedDepth::safeCm)
                                .min()
                                .orElse(3),
                        c.window().map(Window::sowUntil),
                        seedbed.map(b -> b.dryPercent().middle()),
                        plan.years()));
    }

    /** N and K2O placed with the seed, kg/ha; empty where nothing is. */
    Optional<Double> withSeedKgHa(CoverInTime c) {
        return plan.timeline()
                .sow(c.id())
                .flatMap(Operation.Sow::withSeed)
                .flatMap(WithSeedEntry::nAndK2O)
                .map(q -> q.in(Unit.KG_PER_HA));
    }

    private Figure seedPlacedLimit(CoverInTime c) {
        Optional<Operation.Sow> sow = plan.timeline().sow(c.id());
        Optional<Quantity> spread = sow.flatMap(Operation.Sow::withSeed).flatMap(WithSeedEntry::openerSpread);
        Optional<Quantity> rows = sow.flatMap(Operation.Sow::rows).flatMap(RowsEntry::spacing);
        return SeedPlaced.limit(
                "sow/" + c.id() + "/seedPlacedLimit",
                spread.map(w -> w.in(Unit.METRE)).orElse(USUAL_SPREAD_M),
                spread.isPresent() ? Origin.ENTERED : Origin.DEFAULT,
                rows.map(w -> w.in(Unit.METRE)).orElse(USUAL_ROW_M),
                rows.isPresent() ? Origin.ENTERED : Origin.DEFAULT);
    }

    private Figure capacity(String id, Figure days) {
        FieldEntry field = plan.context().field();
        return CAPACITY.figure(
                id + "/drillCapacity",
                "Area the drill can do in time",
                Unit.HECTARE,
                Input.figure("days", days),
                Input.of(
                        "perDay",
                        "What the drill does in a day",
                        field.drillHaPerDay().map(q -> q.in(Unit.HA_PER_DAY)).orElse(USUAL_DRILL_HA_PER_DAY),
                        Unit.HA_PER_DAY,
                        field.drillHaPerDay().isPresent() ? Origin.ENTERED : Origin.DEFAULT,
                        field.drillHaPerDay()
                                .map(q -> "typed")
                                .orElse("a drill of " + Said.of(3, Unit.METRE) + ", common practice")));
    }
}
