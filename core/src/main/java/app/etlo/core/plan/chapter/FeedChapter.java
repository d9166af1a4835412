package app.etlo.core.plan.chapter;

import app.etlo.core.nitrogen.CoverCredit;
import app.etlo.core.nitrogen.CoverSchools;
import app.etlo.core.nitrogen.FeedLimits;
import app.etlo.core.nitrogen.FeedResult;
import app.etlo.core.nitrogen.LeftToBuy;
import app.etlo.core.nitrogen.Need;
import app.etlo.core.nitrogen.NitrogenLedger;
import app.etlo.core.nitrogen.NutrientBalance;
import app.etlo.core.nitrogen.PlannedNitrogen;
import app.etlo.core.nitrogen.UsualFeeding;
import app.etlo.core.plan.chapter.Evaluated.CoverResult;
import app.etlo.core.plan.document.PlanDocument.CropEntry;
import app.etlo.core.plan.document.PlanDocument.NitrogenEntry;
import app.etlo.core.plan.document.PlanLookup;
import app.etlo.core.plan.growth.PlanGrowth;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.CropAhead;
import app.etlo.core.plan.timeline.CropNeed;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.plan.timeline.Timeline;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.termination.EndResult;
import app.etlo.core.termination.Stand;
import app.etlo.core.working.Figure;
import java.time.MonthDay;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The step Feed: what each crop needs, what the cover ahead of it gives, and what is left to buy. */
final class FeedChapter {
    /** Rain that washes urea into the soil, and the days in which it must fall (common practice: about half an inch within days). */
    private static final double WASHES_IN_MM = 12;

    private static final int WASHED_IN_DAYS = 4;

    private FeedChapter() {}

    /** The nitrogen that what stands of a cover gives or ties up; none where nothing stands. */
    static Optional<CoverCredit> credit(CoverInTime c, EndResult end) {
        return end.stand()
                .map(s -> CoverCredit.of(c.next().map(n -> "feed/" + n.id()).orElse("end/" + c.id()), s));
    }

    /** By crop. */
    static Map<String, FeedResult> of(PlanInTime plan, List<CoverResult> covers, PlanGrowth growth) {
        Map<String, FeedResult> results = new LinkedHashMap<>();
        Map<String, List<NutrientBalance>> nutrients = Balances.of(plan);
        plan.crops()
                .forEach(c -> results.put(
                        c.id(),
                        crop(
                                plan,
                                c,
                                PlantChapter.coverAhead(plan, c)
                                        .flatMap(v -> covers.stream()
                                                .filter(r -> r.id().equals(v.id()))
                                                .findFirst()),
                                growth,
                                nutrients.get(c.id()))));
        return results;
    }

    private static FeedResult crop(
            PlanInTime plan,
            CropInTime crop,
            Optional<CoverResult> cover,
            PlanGrowth growth,
            List<NutrientBalance> nutrients) {
        String prefix = "feed/" + crop.id();
        NitrogenEntry n = new PlanLookup(plan.plan())
                .crop(crop.id())
                .flatMap(CropEntry::nitrogen)
                .orElse(NitrogenEntry.NONE);
        Optional<Figure> need = CropNeed.of(plan, crop);
        List<Timeline.Feeding> feedings = plan.timeline().feedings(crop.id());
        List<PlannedNitrogen.Application> applications =
                feedings.stream().map(f -> application(plan, f)).toList();
        Optional<Figure> planned =
                need.filter(f -> !applications.isEmpty()).map(f -> PlannedNitrogen.of(prefix, applications));
        Optional<CoverSchools> schools = cover.flatMap(c -> CreditSchools.of(prefix, c, growth));
        boolean weighed =
                cover.flatMap(c -> c.ending().stand()).filter(Stand::isWeighed).isPresent();
        NitrogenLedger ledger = NitrogenLedger.of(
                prefix,
                need.map(f -> LedgerLines.of(plan, crop, n, f, schools, weighed))
                        .orElse(List.of()),
                CropNeed.inside(plan, crop));
        Optional<LeftToBuy> bought = need.map(f -> LeftToBuy.of(
                prefix,
                f,
                ledger.total(),
                planned,
                n.product().map(p -> plan.knowledge().products().get(p)),
                n.productPrice(),
                plan.area()));
        return new FeedResult(
                schools,
                CropNeed.schools(plan, crop),
                ledger,
                need,
                planned,
                feedings.isEmpty() ? assumed(plan, crop, need) : UsualFeeding.Shown.NONE,
                bought,
                CropAhead.of(plan, crop).map(b -> b.crop().id()),
                Supplies.of(plan, crop, growth.ground()),
                nutrients,
                applications,
                limits(n),
                TestsToTake.of(plan, crop, ledger),
                bought.flatMap(b -> Need.boughtForYield(
                        prefix,
                        plan.context().farm().units() == UnitSystem.US,
                        b.left(),
                        planned,
                        crop.crop(),
                        crop.yieldGoal())));
    }

    private static FeedLimits limits(NitrogenEntry n) {
        return new FeedLimits(
                n.ceiling().map(q -> q.in(Unit.KG_PER_HA)),
                n.closedFrom()
                        .flatMap(a -> n.closedTo()
                                .map(b -> new FeedLimits.Closed(MonthDay.parse("--" + a), MonthDay.parse("--" + b)))));
    }

    private static UsualFeeding.Shown assumed(PlanInTime plan, CropInTime crop, Optional<Figure> need) {
        List<UsualFeeding.Part> parts = CropNeed.usualFeeding(plan, crop);
        List<Figure> whole = CropNeed.assumed(plan, crop);
        return parts.isEmpty()
                ? UsualFeeding.Shown.NONE
                : new UsualFeeding.Shown(
                        whole.subList(need.isPresent() ? 1 : 0, whole.size()),
                        UsualFeeding.shown(
                                "feed/" + crop.id(), parts, CropNeed.last(whole).orElseThrow()));
    }

    private static PlannedNitrogen.Application application(PlanInTime plan, Timeline.Feeding f) {
        return new PlannedNitrogen.Application(
                f.product(),
                f.date(),
                f.nitrogenKgHa(),
                f.placement(),
                plan.years()
                        .filter(y -> y.day(f.date()) >= 0 && y.day(f.date().plusDays(WASHED_IN_DAYS)) < y.days())
                        .map(y -> dryShare(y.rain(f.date(), f.date().plusDays(WASHED_IN_DAYS)))));
    }

    private static double dryShare(double[] rainMm) {
        return Arrays.stream(rainMm).filter(mm -> mm < WASHES_IN_MM).count() / (double) rainMm.length;
    }
}
