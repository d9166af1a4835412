package app.etlo.core.plan.chapter;

import app.etlo.core.nitrogen.CoverCredit;
import app.etlo.core.nitrogen.FeedResult;
import app.etlo.core.nitrogen.LeftToBuy;
import app.etlo.core.nitrogen.Need;
import app.etlo.core.nitrogen.PlannedNitrogen;
import app.etlo.core.plan.document.PlanDocument.CropEntry;
import app.etlo.core.plan.document.PlanDocument.NitrogenEntry;
import app.etlo.core.plan.document.PlanLookup;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.plan.timeline.Timeline;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.termination.EndResult;
import app.etlo.core.working.Figure;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The step Feed: what each crop needs, what the cover ahead of it gives, and what is left to buy. */
final class FeedChapter {
    private FeedChapter() {}

    /** The nitrogen that the stand of each cover gives or ties up, by cover; none where nothing is typed or weighed of it. */
    static Map<String, CoverCredit> credits(List<CoverInTime> covers, Map<String, EndResult> ends) {
        Map<String, CoverCredit> credits = new LinkedHashMap<>();
        covers.forEach(c -> ends.get(c.id())
                .stand()
                .ifPresent(s -> credits.put(
                        c.id(),
                        CoverCredit.of(c.next().map(n -> "feed/" + n.id()).orElse("end/" + c.id()), s))));
        return credits;
    }

    /** By crop. */
    static Map<String, FeedResult> of(PlanInTime plan, Map<String, CoverCredit> credits) {
        Map<String, FeedResult> results = new LinkedHashMap<>();
        plan.crops()
                .forEach(c -> results.put(
                        c.id(),
                        crop(
                                plan,
                                c,
                                PlantChapter.coverAhead(plan, c)
                                        .flatMap(v -> Optional.ofNullable(credits.get(v.id()))))));
        return results;
    }

    private static FeedResult crop(PlanInTime plan, CropInTime crop, Optional<CoverCredit> credit) {
        String prefix = "feed/" + crop.id();
        CropEntry entry = new PlanLookup(plan.plan()).crop(crop.id()).orElseThrow();
        Optional<NitrogenEntry> n = entry.nitrogen();
        Optional<Figure> need = n.flatMap(NitrogenEntry::school)
                        .map("local"::equals)
                        .orElse(false)
                ? n.flatMap(NitrogenEntry::need)
                        .map(q -> Need.local(
                                prefix, q, n.flatMap(NitrogenEntry::source).orElse("")))
                : Need.byYieldGoal(prefix, crop.crop(), crop.yieldGoal(), n.flatMap(NitrogenEntry::factor));
        Optional<Figure> planned =
                need.flatMap(f -> planned(prefix, plan.timeline().feedings(crop.id())));
        return new FeedResult(
                credit,
                need,
                planned,
                need.map(f -> LeftToBuy.of(
                        prefix,
                        f,
                        credit.map(CoverCredit::credit),
                        planned,
                        n.flatMap(NitrogenEntry::product)
                                .map(p -> plan.knowledge().products().get(p)),
                        n.flatMap(NitrogenEntry::productPrice),
                        plan.area())));
    }

    /** Nitrogen that the plan's own feeding brings; empty without one. */
    private static Optional<Figure> planned(String prefix, List<Timeline.Feeding> feedings) {
        return feedings.isEmpty()
                ? Optional.empty()
                : Optional.of(PlannedNitrogen.of(
                        prefix,
                        feedings.stream()
                                .map(f -> new PlannedNitrogen.Application(f.product(), f.date(), f.nitrogenKgHa()))
                                .toList()));
    }
}
