package app.etlo.core.plan.asked;

import app.etlo.core.knowledge.SowingWay;
import app.etlo.core.knowledge.Use;
import app.etlo.core.mix.Blend;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanEdit;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.shown.Evaluation.FigureView;
import app.etlo.core.plan.shown.EvaluationWriter;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.rotation.Window;
import app.etlo.core.rotation.WindowKind;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * The ways of sowing a cover side by side: each is the plan with its cover sown so on its day, worked out. Plants follow from the
 * factors of the method, so the published shares of what comes up stand beside them and are not multiplied again.
 */
public final class SowingWays {
    /** What is lost a day is told from so much on. */
    private static final double LEAST_LOST_KG_HA = 1;

    private SowingWays() {}

    /**
     * @param atOnce the first day after the harvest on which it could be sown
     * @param costNote whose money the passes are in
     */
    public record WaysView(LocalDate atOnce, String moneyUnit, String plantUnit, String costNote, List<WayView> ways) {}

    /**
     * @param emerges what of the live seed comes up: by the plan's factors, and as published
     * @param per1000 money per thousand plants that stand
     * @param days the machine needs for the field
     * @param machine that is needed, and whether the field has it
     * @param lostPerDay dry tops lost for each day since the first on which it could be sown; where it is sown later
     * @param seedCost of the mix so sown
     * @param planned whether the plan is so
     */
    public record WayView(
            String id,
            String name,
            String method,
            LocalDate on,
            String passCost,
            String seedCost,
            String emerges,
            String plants,
            Optional<String> per1000,
            String days,
            String machine,
            boolean hasMachine,
            Optional<FigureView> tops,
            Optional<String> lostPerDay,
            Optional<String> impossible,
            boolean planned) {}

    /**
     * Of a cover.
     *
     * @param evaluate works a plan out
     * @throws Refused when the plan has no such cover, or its mix no rate
     */
    public static WaysView of(
            PlanDocument plan,
            String coverId,
            List<LotEntry> lots,
            Map<String, Double> freeKg,
            Function<PlanDocument, Evaluated> evaluate) {
        Evaluated now = evaluate.apply(plan);
        CoverResult cover = cover(now, coverId);
        if (cover.mix().blend().isEmpty()) {
            throw new Refused("/coverId", "the mix has no rates yet");
        }
        if (cover.sown().filter(d -> d.isBefore(now.asOf())).isPresent()) {
            throw new Refused("/coverId", "the cover is sown; ways are compared before");
        }
        LocalDate atOnce = cover.window()
                .filter(w -> w.kind() == WindowKind.BETWEEN)
                .map(Window::from)
                .or(cover::sown)
                .orElseThrow(() -> new Refused("/coverId", "nothing says when the cover is sown"));
        List<Tried> tried = new ArrayList<>();
        for (SowingWay w : now.knowledge().sowingWays().all()) {
            LocalDate on = (w.onPlannedDay() ? cover.sown().orElse(atOnce) : atOnce).plusDays(w.daysLater());
            if (tried.stream()
                    .noneMatch(t -> t.on().equals(on) && t.way().method().equals(w.method()))) {
                tried.add(new Tried(w, on, evaluate.apply(sown(plan, coverId, w, on))));
            }
        }
        UnitSystem units = now.units();
        Optional<Double> first = tried.stream()
                .filter(t -> t.on().equals(atOnce)
                        && t.way().method().equals(tried.get(0).way().method()))
                .findFirst()
                .flatMap(t -> tops(t, coverId));
        return new WaysView(
                atOnce,
                units.shown(Unit.MONEY_PER_HA)
                        .written()
                        .replace("¤", now.context().farm().currency()),
                units.shown(Unit.PER_M2).written(),
                "Passes by the library's custom rates, " + Use.PRICE_CURRENCY + " of " + Use.PRICE_YEAR
                        + ", not at yours.",
                tried.stream()
                        .map(t -> view(t, coverId, cover, atOnce, first, lots, freeKg))
                        .toList());
    }

    private record Tried(SowingWay way, LocalDate on, Evaluated e) {}

    private static CoverResult cover(Evaluated e, String id) {
        return e.covers().stream()
                .filter(c -> c.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new Refused("/coverId", "the plan has no such cover"));
    }

    private static PlanDocument sown(PlanDocument plan, String coverId, SowingWay w, LocalDate on) {
        PlanDocument dated = PlanEdit.dated(plan, "sow", coverId, on);
        List<Operation> operations = dated.operations().stream()
                .map(o ->
                        o instanceof Operation.Sow s && s.subject().equals(Optional.of(coverId)) ? s.by(w.method()) : o)
                .toList();
        return PlanEdit.with(dated, dated.crops(), dated.covers(), operations);
    }

    private static Optional<Double> tops(Tried t, String coverId) {
        return cover(t.e(), coverId).mix().outlook().map(o -> o.mass().middle());
    }

    private static WayView view(
            Tried t,
            String coverId,
            CoverResult planned,
            LocalDate atOnce,
            Optional<Double> first,
            List<LotEntry> lots,
            Map<String, Double> freeKg) {
        SowingWay w = t.way();
        Evaluated e = t.e();
        CoverResult c = cover(e, coverId);
        Blend blend = c.mix().blend().orElseThrow();
        Unit money = e.units().shown(Unit.MONEY_PER_HA);
        MixCost cost = new MixCost(e, c, lots, freeKg);
        double seedPerHa = cost.perHa(cost.shares(c), false);
        double plantsM2 =
                blend.rates().stream().mapToDouble(r -> r.comesUpM2().middle()).sum();
        double seedsM2 =
                blend.rates().stream().mapToDouble(r -> r.seedsNowM2().middle()).sum();
        double per1000 = (seedPerHa + w.costPerHa().middle()) / (plantsM2 * 10);
        long later = ChronoUnit.DAYS.between(atOnce, t.on());
        Optional<Double> lost = later > 0
                ? tops(t, coverId)
                        .flatMap(v -> first.map(f -> (f - v) * 1000 / later))
                        .filter(kg -> kg >= LEAST_LOST_KG_HA)
                : Optional.empty();
        List<String> machines = e.context().field().equipment().orElse(List.of()).stream()
                .map(FieldEntry.Machine::kind)
                .toList();
        boolean has = w.machine().equals("none") || machines.contains(w.machine());
        Optional<String> impossible = impossible(planned, w, t.on());
        return new WayView(
                w.id(),
                w.name(),
                w.method(),
                t.on(),
                Shown.plain(Unit.MONEY_PER_HA.to(money, w.costPerHa().low()), 0) + " to "
                        + Shown.plain(Unit.MONEY_PER_HA.to(money, w.costPerHa().high()), 0),
                text(Unit.MONEY_PER_HA.to(money, seedPerHa), money),
                Math.round(100 * plantsM2 / Math.max(1e-9, seedsM2)) + " % (published "
                        + Math.round(w.emergesPercent().low()) + " to "
                        + Math.round(w.emergesPercent().high()) + ")",
                text(
                        Unit.PER_M2.to(e.units().shown(Unit.PER_M2), plantsM2),
                        e.units().shown(Unit.PER_M2)),
                plantsM2 > 0 ? Optional.of(Shown.plain(per1000, 2)) : Optional.empty(),
                Shown.plain(Math.max(0.1, c.inTime().sowing().areaHa() / w.haPerDay()), 1),
                w.machine().equals("none")
                        ? "hands"
                        : w.machine().equals("aircraft") ? "hired aircraft or drone" : w.machine(),
                has,
                impossible.isPresent()
                        ? Optional.empty()
                        : c.mix().outlook().map(o -> EvaluationWriter.figure(o.mass(), e.units(), "")),
                impossible.isPresent()
                        ? Optional.empty()
                        : lost.map(kg -> text(
                                        Unit.KG_PER_HA.to(e.units().shown(Unit.KG_PER_HA), kg),
                                        e.units().shown(Unit.KG_PER_HA))
                                + " " + e.units().shown(Unit.KG_PER_HA).written() + " a day"),
                impossible,
                planned.inTime().sowing().method().id().equals(w.method())
                        && planned.sown().filter(t.on()::equals).isPresent());
    }

    private static String text(double value, Unit unit) {
        return Shown.text(value, unit);
    }

    /** Where it cannot be: a crop that is not standing, a day that is past the window. */
    private static Optional<String> impossible(CoverResult planned, SowingWay w, LocalDate on) {
        if (planned.window().filter(x -> on.isAfter(x.sowUntil())).isPresent()) {
            return Optional.of("after the window closes");
        }
        boolean afterCrop = planned.inTime().previous().isPresent();
        return w.method().equals("flown") && !afterCrop
                ? Optional.of("no crop stands to fly it into")
                : Optional.empty();
    }
}
