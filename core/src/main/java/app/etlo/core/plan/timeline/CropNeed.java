package app.etlo.core.plan.timeline;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.nitrogen.Need;
import app.etlo.core.nitrogen.UsualFeeding;
import app.etlo.core.plan.document.PlanDocument.CropEntry;
import app.etlo.core.plan.document.PlanDocument.NitrogenEntry;
import app.etlo.core.plan.document.PlanLookup;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.working.Figure;
import java.util.List;
import java.util.Optional;

/** The nitrogen a crop of a plan needs: one number for what it is fed in the ground and for what is left to buy. */
public final class CropNeed {
    private CropNeed() {}

    /** By the school chosen for it; empty without a yield goal, or where the local recommendation is not typed. */
    public static Optional<Figure> of(PlanInTime plan, CropInTime crop) {
        String prefix = "feed/" + crop.id();
        Optional<NitrogenEntry> n = new PlanLookup(plan.plan()).crop(crop.id()).flatMap(CropEntry::nitrogen);
        return n.flatMap(NitrogenEntry::school).filter("local"::equals).isPresent()
                ? n.flatMap(NitrogenEntry::need)
                        .map(q -> Need.local(
                                prefix, q, n.flatMap(NitrogenEntry::source).orElse("")))
                : Need.byYieldGoal(prefix, crop.crop(), crop.yieldGoal(), n.flatMap(NitrogenEntry::factor));
    }

    /** What it is taken to be fed in all where the plan does not feed it: its need, else that of its usual yield. */
    public static Optional<Figure> assumed(PlanInTime plan, CropInTime crop) {
        return of(plan, crop).or(() -> usual("feed/" + crop.id() + "/usual", crop.crop()));
    }

    /** The same in its parts; none for a crop that is not planted, or needs none. */
    public static List<UsualFeeding.Part> usualFeeding(PlanInTime plan, CropInTime crop) {
        return crop.planted().stream()
                .flatMap(planted -> assumed(plan, crop).stream()
                        .flatMap(need ->
                                UsualFeeding.of(crop.crop(), planted, crop.harvested(), need.in(Unit.KG_PER_HA))
                                        .stream()))
                .toList();
    }

    /** Of its usual yield; empty for a crop that needs none. */
    private static Optional<Figure> usual(String prefix, Crop crop) {
        return Need.byYieldGoal(
                prefix, crop, Optional.of(new Quantity(crop.yieldKgHa().middle(), Unit.KG_PER_HA)), Optional.empty());
    }
}
