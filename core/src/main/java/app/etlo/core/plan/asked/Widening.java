package app.etlo.core.plan.asked;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanDocument.CoverEntry;
import app.etlo.core.plan.document.PlanDocument.PlaceEntry;
import app.etlo.core.plan.document.PlanEdit;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.timeline.PlanDates;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.GrainYield;
import app.etlo.core.rotation.InsideWindows;
import app.etlo.core.rotation.Window;
import app.etlo.core.rotation.WindowKind;
import app.etlo.core.rotation.WindowResult;
import app.etlo.core.weather.DegreeDays;
import app.etlo.core.weather.Percentiles;
import app.etlo.core.weather.YearsAhead;
import java.math.BigDecimal;
import java.math.MathContext;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What would let a cover be sown earlier in a window: each proposal with the days and degree days it gains, what it costs, and
 * the plan as it would be. For an aim that needs a sowing date those that reach it come first; then by degree days gained.
 */
public final class Widening {
    /** An earlier maturity costs about this share of the yield for each day (common practice for corn, near 0.7 %). */
    private static final double YIELD_A_DAY = 0.007;

    private static final int[] EARLIER_DAYS = {7, 14};
    /** Without degree days: silage comes off about so many days before grain. */
    private static final int SILAGE_DAYS = 35;
    /** The last cut of a ley takes about so many days and this share of the year's yield. */
    private static final int LAST_CUT_DAYS = 45;

    private static final double LAST_CUT_SHARE = 0.18;
    /** A small grain is sown about so long before the last frost of spring. */
    private static final int GRAIN_BEFORE_FROST_DAYS = 25;
    /**
     * Degree days above 4 °C that a rolled cereal mulch needs from its sowing to midwinter: what mid September leaves at
     * 43 degrees north in 8 years of 10 (common practice for the date; the sum is that of Etlo's own station there).
     */
    static final double ROLLED_MULCH_DEGREE_DAYS = 395;

    private final Knowledge knowledge;
    private final Evaluated e;
    private final Window window;
    private final CropInTime after;
    private final Optional<CoverResult> cover;
    private final LocalDate sown;
    private final List<Proposal> found = new ArrayList<>();

    private Widening(Knowledge knowledge, Evaluated e, Window window) {
        this.knowledge = knowledge;
        this.e = e;
        this.window = window;
        this.after = e.crops().stream()
                .map(Evaluated.CropResult::crop)
                .filter(c -> c.id().equals(window.after()))
                .findFirst()
                .orElseThrow();
        this.cover = e.covers().stream()
                .filter(c -> c.window().map(w -> w.id().equals(window.id())).orElse(false))
                .findFirst();
        this.sown = cover.flatMap(CoverResult::sown)
                .filter(s -> !s.isBefore(window.from()))
                .orElse(window.from());
    }

    /**
     * One way to widen a window.
     *
     * @param sowFrom the day a cover could then be sown
     * @param degreeDays gained above 4 °C, as written, middle and 1 in 10 each way
     * @param cost what it costs, in words with its figures
     * @param reaches whether the aim's sowing date is then met; absent where no aim asks for one
     * @param plan the plan as it would be
     */
    public record Proposal(
            String id,
            String what,
            LocalDate sowFrom,
            int days,
            Optional<String> degreeDays,
            double degreeDaysMiddle,
            String cost,
            Optional<Boolean> reaches,
            PlanDocument plan) {}

    /**
     * @param sownNow the day a cover is or could be sown as the plan stands
     * @param neededBy the day by which the aim needs it sown
     * @param neededFor which aim, in words
     */
    public record Proposals(
            String windowId,
            LocalDate sownNow,
            Optional<LocalDate> neededBy,
            Optional<String> neededFor,
            List<Proposal> proposals) {}

    /**
     * The proposals for one window between two crops.
     *
     * @throws Refused when the plan has no such window
     */
    public static Proposals of(Evaluated e, String windowId) {
        Window window = e.windows().stream()
                .map(WindowResult::window)
                .filter(w -> w.id().equals(windowId) && w.kind() == WindowKind.BETWEEN)
                .findFirst()
                .orElseThrow(() -> new Refused("/windowId", "the plan has no such window between two crops"));
        return new Widening(e.knowledge(), e, window).proposals();
    }

    private Proposals proposals() {
        earlierMaturity();
        silage();
        lastCut();
        smallGrain();
        beforeHarvest();
        secondDrill();
        Optional<LocalDate> needed = neededBy();
        List<Proposal> ranked = found.stream()
                .map(p -> new Proposal(
                        p.id(),
                        p.what(),
                        p.sowFrom(),
                        p.days(),
                        p.degreeDays(),
                        p.degreeDaysMiddle(),
                        p.cost(),
                        needed.map(d -> !p.sowFrom().isAfter(d)),
                        p.plan()))
                .sorted(Comparator.comparing((Proposal p) -> !p.reaches().orElse(true))
                        .thenComparing(Comparator.comparingDouble(Proposal::degreeDaysMiddle)
                                .reversed())
                        .thenComparing(Comparator.comparingInt(Proposal::days).reversed()))
                .toList();
        return new Proposals(
                window.id(),
                sown,
                needed,
                needed.map(d -> "a rolled cereal mulch, which needs its cereal sown by then in 8 years of 10"),
                ranked);
    }

    /** The sowing date a rolled mulch asks for, translated by degree days, where the cover is to be one. */
    private Optional<LocalDate> neededBy() {
        boolean mulch = cover.map(c -> c.entry().aims().orElse(List.of()).contains("mulch"))
                        .orElse(false)
                || cover.flatMap(CoverResult::end).map(t -> t.method().rolls()).orElse(false);
        return mulch ? e.years().flatMap(this::mulchDate) : Optional.empty();
    }

    private Optional<LocalDate> mulchDate(YearsAhead years) {
        boolean south = years.climate().place().isSouthern();
        LocalDate rest = LocalDate.of(sown.getYear(), south ? 7 : 1, 15);
        LocalDate midwinter = rest.isAfter(sown) ? rest : rest.plusYears(1);
        double[][] sum = years.cumulative(DegreeDays.COOL);
        int end = years.day(midwinter);
        double[] last = new double[years.count()];
        for (int y = 0; y < last.length; y++) {
            int d = end;
            while (d > 0 && sum[y][end] - sum[y][d] < ROLLED_MULCH_DEGREE_DAYS) {
                d--;
            }
            last[y] = d;
        }
        return Optional.of(years.from().plusDays((long) Percentiles.of(last).at(0.2)));
    }

    private void earlierMaturity() {
        if (after.crop().growing().isPerennial() || after.harvested().isEmpty()) {
            return;
        }
        for (int days : EARLIER_DAYS) {
            LocalDate harvest = after.harvested().get().minusDays(days);
            if (after.planted().map(p -> p.isBefore(harvest.minusDays(50))).orElse(false)) {
                PlanDocument plan =
                        yielding(PlanEdit.dated(e.plan(), "harvest", after.id(), harvest), 1 - days * YIELD_A_DAY);
                add(
                        "earlier-" + days,
                        lower(after.crop()) + " that ripens " + days + " days earlier",
                        moved(plan, days),
                        sown.minusDays(days),
                        "about " + Shown.text(days * YIELD_A_DAY * 100, Unit.PERCENT) + " % of its yield"
                                + share(days * YIELD_A_DAY));
            }
        }
    }

    /** The plan with the yield goal of the crop ahead lowered to a share: what an earlier variety gives up is not expected of it. */
    private PlanDocument yielding(PlanDocument plan, double share) {
        return PlanEdit.with(
                plan,
                plan.crops().stream()
                        .map(c -> c.id().equals(after.id())
                                ? new PlanDocument.CropEntry(
                                        c.id(),
                                        c.crop(),
                                        c.yieldGoal().map(q -> new Quantity(lowered(q.value() * share), q.unit())),
                                        c.turnaroundDays(),
                                        c.nitrogen(),
                                        c.forSeed())
                                : c)
                        .toList(),
                plan.covers(),
                plan.operations());
    }

    private static double lowered(double value) {
        return BigDecimal.valueOf(value).round(new MathContext(3)).doubleValue();
    }

    private void silage() {
        if (!after.crop().id().equals("grain-corn") || after.harvested().isEmpty()) {
            return;
        }
        Crop silage = knowledge.crops().get("silage-corn");
        LocalDate planted = after.planted().orElseThrow();
        LocalDate harvest = e.years()
                .map(y -> Percentiles.of(y.daysTo(
                                PlanDates.method(silage.growing()),
                                planted,
                                silage.growing().maturityDegreeDays()))
                        .at(0.5))
                .filter(Double::isFinite)
                .map(d -> planted.plusDays(Math.round(d)))
                .orElse(after.harvested().get().minusDays(SILAGE_DAYS));
        int days = (int) ChronoUnit.DAYS.between(harvest, after.harvested().get());
        if (days > 0) {
            PlanDocument plan = PlanEdit.exchanged(
                    PlanEdit.dated(e.plan(), "harvest", after.id(), harvest), after.id(), silage.id());
            add(
                    "silage",
                    "corn taken as silage",
                    moved(plan, days),
                    sown.minusDays(days),
                    "needs somebody to feed it; its residue leaves the field, with the cover and the potash in it");
        }
    }

    private void lastCut() {
        if (after.crop().growing().isPerennial() && after.harvested().isPresent()) {
            PlanDocument plan = PlanEdit.dated(
                    e.plan(), "harvest", after.id(), after.harvested().get().minusDays(LAST_CUT_DAYS));
            add(
                    "last-cut",
                    "the last cut of " + lower(after.crop()) + " given up",
                    moved(plan, LAST_CUT_DAYS),
                    sown.minusDays(LAST_CUT_DAYS),
                    "about " + Math.round(LAST_CUT_SHARE * 100) + " % of the year's yield" + share(LAST_CUT_SHARE));
        }
    }

    private void smallGrain() {
        if (!after.crop().growing().warm()
                || e.frost().isEmpty()
                || after.harvested().isEmpty()) {
            return;
        }
        Crop grain = knowledge.crops().get("spring-barley");
        int year = after.planted().orElseThrow().getYear();
        LocalDate planted = e.frost().get().lastSpring().atYear(year).minusDays(GRAIN_BEFORE_FROST_DAYS);
        LocalDate harvest = e.years()
                .map(y -> Percentiles.of(y.daysTo(
                                PlanDates.method(grain.growing()),
                                planted,
                                grain.growing().maturityDegreeDays()))
                        .at(0.5))
                .filter(Double::isFinite)
                .map(d -> planted.plusDays(Math.round(d)))
                .orElse(planted.plusDays(grain.growing().daysToMaturity()));
        int days = (int) ChronoUnit.DAYS.between(harvest, after.harvested().get());
        boolean free = e.crops().stream()
                .map(Evaluated.CropResult::crop)
                .filter(c -> !c.id().equals(after.id()))
                .flatMap(c -> c.harvested().stream())
                .noneMatch(h -> h.isBefore(after.planted().orElseThrow()) && h.isAfter(planted));
        if (days > 0 && free) {
            PlanDocument plan = PlanEdit.exchanged(
                    PlanEdit.dated(
                            PlanEdit.dated(e.plan(), "sow", after.id(), planted), "harvest", after.id(), harvest),
                    after.id(),
                    grain.id());
            add(
                    "small-grain",
                    lower(grain) + " instead of " + lower(after.crop()),
                    moved(plan, days),
                    sown.minusDays(days),
                    "another crop's margin: compare the two in Count; sown from " + Shown.date(planted));
        }
    }

    private void beforeHarvest() {
        Optional<Window> inside = new InsideWindows(
                        e.crops().stream().map(Evaluated.CropResult::crop).toList(), e.years(), Optional.empty())
                .all().stream()
                        .filter(w -> w.after().equals(after.id()))
                        .filter(w -> w.kind() == WindowKind.OVERSEEDED || w.kind() == WindowKind.INTERSEEDED)
                        .findFirst();
        if (inside.isEmpty() || cover.isEmpty()) {
            return;
        }
        Window w = inside.get();
        LocalDate day = w.kind() == WindowKind.OVERSEEDED ? w.from().plusDays(10) : w.from();
        String id = cover.get().entry().id();
        PlanDocument plan = PlanEdit.cover(
                e.plan(),
                id,
                c -> new CoverEntry(
                        c.id(),
                        new PlaceEntry("into", after.id(), Optional.of(w.kind())),
                        c.aims(),
                        c.purpose(),
                        c.mix(),
                        c.stand(),
                        c.alternatives(),
                        c.checks(),
                        c.fallbacks()));
        plan = sownBy(PlanEdit.dated(plan, "sow", id, day), id, w.kind().usualMethod());
        double factor = knowledge.sowingMethods().get(w.kind().usualMethod()).rateFactor();
        add(
                "before-harvest",
                "the cover " + w.kind().words(),
                plan,
                day,
                "seed times " + Shown.significant(factor) + ", and more failures: it lies on the ground until rain");
    }

    private static PlanDocument sownBy(PlanDocument plan, String coverId, String method) {
        return PlanEdit.with(
                plan,
                plan.crops(),
                plan.covers(),
                plan.operations().stream()
                        .map(o -> o instanceof Operation.Sow x && x.subject().equals(Optional.of(coverId))
                                ? x.by(method)
                                : o)
                        .toList());
    }

    private void secondDrill() {
        LocalDate harvest = after.harvested().orElseThrow();
        int days = (int) ChronoUnit.DAYS.between(harvest, sown);
        if (days < 1 || cover.isEmpty()) {
            return;
        }
        PlanDocument plan = PlanEdit.with(
                e.plan(),
                e.plan().crops().stream()
                        .map(c -> c.id().equals(after.id())
                                ? new PlanDocument.CropEntry(
                                        c.id(), c.crop(), c.yieldGoal(), Optional.empty(), c.nitrogen(), c.forSeed())
                                : c)
                        .toList(),
                e.plan().covers(),
                e.plan().operations());
        double ha = e.field().area().in(Unit.HECTARE);
        UnitSystem units = e.units();
        Unit shown = units.shown(Unit.HECTARE);
        add(
                "second-drill",
                "a second drill right behind the combine",
                PlanEdit.dated(plan, "sow", cover.get().entry().id(), harvest),
                harvest,
                "a drill, a tractor and a driver for " + Shown.text(Unit.HECTARE.to(shown, ha), shown) + " "
                        + shown.written() + " at harvest time");
    }

    /** The cover's sowing brought forward with the harvest. */
    private PlanDocument moved(PlanDocument plan, int days) {
        return cover.filter(c -> c.sown().isPresent())
                .map(c -> PlanEdit.dated(
                        plan, "sow", c.entry().id(), c.sown().orElseThrow().minusDays(days)))
                .orElse(plan);
    }

    private String share(double share) {
        return after.yieldGoal()
                .flatMap(q -> GrainYield.asMass(q, after.crop()))
                .map(q -> {
                    Unit shown = e.units().shown(Unit.KG_PER_HA);
                    double lost = q.in(shown) * share;
                    return ", " + Shown.text(lost, shown) + " " + shown.written();
                })
                .orElse("");
    }

    private static String lower(Crop crop) {
        return crop.name().toLowerCase(Locale.ROOT);
    }

    private void add(String id, String what, PlanDocument plan, LocalDate sowFrom, String cost) {
        int days = (int) ChronoUnit.DAYS.between(sowFrom, sown);
        // what is past is not changed any more
        if (days <= 0 || sowFrom.isBefore(e.asOf())) {
            return;
        }
        Optional<Band> gained = e.years().map(y -> {
            Percentiles p = Percentiles.of(y.degreeDays(DegreeDays.COOL, sowFrom, sown));
            return new Band(p.at(0.1), p.at(0.5), p.at(0.9));
        });
        Unit shown = e.units().shown(Unit.DEGREE_DAY_C);
        Optional<String> words = gained.map(b -> b.map(v -> Unit.DEGREE_DAY_C.to(shown, v)))
                .map(b -> Shown.text(b.middle(), shown) + " (" + Shown.text(b.low(), shown) + " … "
                        + Shown.text(b.high(), shown) + ") " + shown.written());
        found.add(new Proposal(
                id,
                what.substring(0, 1).toUpperCase(Locale.ROOT) + what.substring(1),
                sowFrom,
                days,
                words,
                gained.map(Band::middle).orElse(0.0),
                cost,
                Optional.empty(),
                plan));
    }
}
