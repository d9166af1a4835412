package app.etlo.core.plan.chapter;

import app.etlo.core.ground.GrownCrop;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.Operation.RowsEntry;
import app.etlo.core.plan.document.PlanLookup;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.GrainYield;
import app.etlo.core.tillage.DisturbanceRating;
import app.etlo.core.tillage.HarvestResidue;
import app.etlo.core.tillage.Pass;
import app.etlo.core.tillage.PlantResult;
import app.etlo.core.tillage.StripShare;
import app.etlo.core.working.Figure;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** The step Plant: the passes up to each crop, how they disturb the ground, and what its harvest leaves. */
final class PlantChapter {
    private PlantChapter() {}

    /**
     * @param passes every pass from after the previous harvest through this one's, in time
     * @param planting those of them that put the crop in
     */
    record Planted(CropInTime crop, List<Pass> passes, List<Pass> planting, PlantResult result) {}

    /** The cover that stands ahead of a crop. */
    static Optional<CoverInTime> coverAhead(PlanInTime plan, CropInTime crop) {
        return plan.covers().stream()
                .filter(c -> c.next().map(n -> n.id().equals(crop.id())).orElse(false))
                .findFirst();
    }

    /**
     * @param grown of each crop, as simulated
     */
    static List<Planted> of(PlanInTime plan, Function<CropInTime, GrownCrop> grown) {
        List<Pass> all = plan.timeline().passes();
        List<Planted> results = new ArrayList<>();
        LocalDate after = LocalDate.MIN;
        for (CropInTime crop : plan.crops()) {
            LocalDate from = after;
            LocalDate through = crop.harvested().orElse(LocalDate.MAX);
            results.add(crop(
                    plan,
                    crop,
                    grown.apply(crop),
                    all.stream()
                            .filter(p -> p.date().isAfter(from) && !p.date().isAfter(through))
                            .toList()));
            after = through.isAfter(after) ? through : after;
        }
        return List.copyOf(results);
    }

    /** The ratings of passes, by pass. */
    static Map<String, Figure> ratings(String prefix, List<Pass> passes) {
        Map<String, Figure> ratings = new LinkedHashMap<>();
        passes.forEach(p -> ratings.put(p.id(), DisturbanceRating.of(prefix, p)));
        return ratings;
    }

    private static Planted crop(PlanInTime plan, CropInTime crop, GrownCrop grown, List<Pass> passes) {
        String prefix = "plant/" + crop.id();
        Map<String, Figure> ratings = ratings(prefix, passes);
        List<Pass> planting = plan.timeline()
                .planting(new PlanLookup(plan.plan()).crop(crop.id()).orElseThrow());
        boolean plants = !planting.isEmpty();
        return new Planted(
                crop,
                passes,
                planting,
                new PlantResult(
                        ratings,
                        plants
                                ? Optional.of(DisturbanceRating.sum(prefix, List.copyOf(ratings.values())))
                                : Optional.empty(),
                        plants ? Optional.of(StripShare.ofPlanting(prefix, planting)) : Optional.empty(),
                        planting.stream().anyMatch(p -> p.operation().use().equals("strip"))
                                ? plan.timeline()
                                        .sow(crop.id())
                                        .flatMap(Operation.Sow::rows)
                                        .flatMap(r -> stripShare(prefix, r))
                                : Optional.empty(),
                        crop.harvested()
                                .flatMap(h -> HarvestResidue.of(
                                        prefix,
                                        crop.crop(),
                                        crop.yieldGoal().flatMap(q -> GrainYield.asMass(q, crop.crop())),
                                        grown.mass(),
                                        plan.timeline().cut(crop.id())))));
    }

    private static Optional<Figure> stripShare(String prefix, RowsEntry rows) {
        return rows.strip().flatMap(s -> rows.spacing().map(w -> StripShare.of(prefix, s, w)));
    }
}
