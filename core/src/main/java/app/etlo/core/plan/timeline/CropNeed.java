package app.etlo.core.plan.timeline;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.nitrogen.Need;
import app.etlo.core.nitrogen.NeedSchool;
import app.etlo.core.nitrogen.UsualFeeding;
import app.etlo.core.nitrogen.YieldResponse;
import app.etlo.core.plan.document.PlanDocument.CropEntry;
import app.etlo.core.plan.document.PlanDocument.NitrogenEntry;
import app.etlo.core.plan.document.PlanDocument.ResponseEntry;
import app.etlo.core.plan.document.PlanLookup;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.GrainYield;
import app.etlo.core.working.Figure;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The nitrogen a crop of a plan needs: one number for what it is fed in the ground and for what is left to buy. */
public final class CropNeed {
    private static final String YIELD_GOAL = "yield-goal";

    private CropNeed() {}

    /** By the school chosen for it; empty without what that school wants. */
    public static Optional<Figure> of(PlanInTime plan, CropInTime crop) {
        return by(entry(plan, crop).flatMap(NitrogenEntry::school).orElse(YIELD_GOAL), "feed/" + crop.id(), plan, crop);
    }

    /** All schools side by side; the chosen one's figure is the need itself. */
    public static List<NeedSchool> schools(PlanInTime plan, CropInTime crop) {
        String chosen = entry(plan, crop).flatMap(NitrogenEntry::school).orElse(YIELD_GOAL);
        return List.of(
                school(
                        YIELD_GOAL,
                        rate(plan, crop) ? "Usual rate" : "Yield goal and factor",
                        "a yield goal",
                        chosen,
                        plan,
                        crop),
                school(
                        "optimum",
                        "Rate that paid best",
                        "yields at four rates or more that bend, and the prices of grain and nitrogen",
                        chosen,
                        plan,
                        crop),
                school("local", "Local recommendation", "the recommendation", chosen, plan, crop));
    }

    private static boolean rate(PlanInTime plan, CropInTime crop) {
        return entry(plan, crop).flatMap(NitrogenEntry::factor).isEmpty()
                && crop.crop().need().filter(f -> !f.byYield()).isPresent();
    }

    private static NeedSchool school(
            String id, String name, String lacks, String chosen, PlanInTime plan, CropInTime crop) {
        String prefix = "feed/" + crop.id() + (id.equals(chosen) ? "" : "/" + id);
        Optional<Figure> amount = by(id, prefix, plan, crop);
        return new NeedSchool(id, name, amount, amount.isPresent() ? "" : lacks, id.equals(chosen));
    }

    private static Optional<Figure> by(String school, String prefix, PlanInTime plan, CropInTime crop) {
        Optional<NitrogenEntry> n = entry(plan, crop);
        return switch (school) {
            case "local" ->
                n.flatMap(NitrogenEntry::need)
                        .map(q -> Need.local(
                                prefix, q, n.flatMap(NitrogenEntry::source).orElse("")));
            case "optimum" ->
                n.flatMap(NitrogenEntry::response)
                        .flatMap(r ->
                                response(crop, r).flatMap(y -> ratio(r).flatMap(p -> Need.optimum(prefix, y, p))));
            default -> Need.byYieldGoal(prefix, crop.crop(), crop.yieldGoal(), n.flatMap(NitrogenEntry::factor));
        };
    }

    /** Yields that were tried, as a curve; empty with too few rates. */
    public static Optional<YieldResponse> response(CropInTime crop, ResponseEntry r) {
        return YieldResponse.of(r.tried().orElse(List.of()).stream()
                .flatMap(t -> GrainYield.asMass(t.yield(), crop.crop()).stream()
                        .map(y -> new YieldResponse.Tried(
                                t.site().orElse("").strip(), t.rate().in(Unit.KG_PER_HA), y.in(Unit.KG_PER_HA))))
                .toList());
    }

    /** Price of a kg of nitrogen over that of a kg of grain. */
    public static Optional<Double> ratio(ResponseEntry r) {
        return r.nitrogenPrice()
                .flatMap(n -> r.grainPrice()
                        .filter(g -> g.value() > 0)
                        .map(g -> n.in(Unit.MONEY_PER_KG) / g.in(Unit.MONEY_PER_KG)));
    }

    private static Optional<NitrogenEntry> entry(PlanInTime plan, CropInTime crop) {
        return new PlanLookup(plan.plan()).crop(crop.id()).flatMap(CropEntry::nitrogen);
    }

    /**
     * What it is taken to be fed in all where the plan does not feed it: its need, else that of its usual yield, less what the crop before
     * usually leaves. The last of the figures is that; those before it lead there.
     */
    public static List<Figure> assumed(PlanInTime plan, CropInTime crop) {
        String prefix = "feed/" + crop.id();
        List<Figure> steps = new ArrayList<>();
        of(plan, crop).or(() -> usual(prefix + "/usual", crop.crop())).ifPresent(steps::add);
        if (!steps.isEmpty() && inside(plan, crop).isEmpty()) {
            CropAhead.of(plan, crop)
                    .filter(b -> b.crop().growing().nitrogenLeftKgHa() > 0)
                    .ifPresent(b -> steps.add(UsualFeeding.lessLeft(
                            prefix, steps.get(0), b.crop().growing().nitrogenLeftKgHa(), b.words())));
        }
        return steps;
    }

    /** What the need holds inside, as a sentence part such as "the local recommendation"; empty where it holds none. */
    public static Optional<String> inside(PlanInTime plan, CropInTime crop) {
        NitrogenEntry n = entry(plan, crop).orElse(NitrogenEntry.NONE);
        boolean held = n.creditsInside().orElse(true);
        return switch (n.school().orElse(YIELD_GOAL)) {
            case "local" -> held ? Optional.of("the local recommendation") : Optional.empty();
            case "optimum" -> held ? Optional.of("the rate that paid best behind the same crop") : Optional.empty();
            default -> Optional.empty();
        };
    }

    /** The same in its parts; none for a crop that is not planted, or needs none. */
    public static List<UsualFeeding.Part> usualFeeding(PlanInTime plan, CropInTime crop) {
        return crop.planted().stream()
                .flatMap(planted -> last(assumed(plan, crop)).stream()
                        .flatMap(need ->
                                UsualFeeding.of(crop.crop(), planted, crop.harvested(), need.in(Unit.KG_PER_HA))
                                        .stream()))
                .toList();
    }

    /** The one that counts. */
    public static Optional<Figure> last(List<Figure> assumed) {
        return assumed.isEmpty() ? Optional.empty() : Optional.of(assumed.get(assumed.size() - 1));
    }

    /** Of its usual yield; empty for a crop that needs none. */
    private static Optional<Figure> usual(String prefix, Crop crop) {
        return Need.byYieldGoal(
                prefix, crop, Optional.of(new Quantity(crop.yieldKgHa().middle(), Unit.KG_PER_HA)), Optional.empty());
    }
}
