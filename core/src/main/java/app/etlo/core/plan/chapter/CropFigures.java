package app.etlo.core.plan.chapter;

import app.etlo.core.advice.Situation;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.nitrogen.CoverCredit;
import app.etlo.core.nitrogen.LeftToBuy;
import app.etlo.core.nitrogen.Need;
import app.etlo.core.nitrogen.PlannedNitrogen;
import app.etlo.core.plan.chapter.Evaluated.CropResult;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanDocument.CropEntry;
import app.etlo.core.plan.document.PlanDocument.NitrogenEntry;
import app.etlo.core.plan.timeline.Timeline;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.rotation.GrainYield;
import app.etlo.core.tillage.DisturbanceRating;
import app.etlo.core.tillage.HarvestResidue;
import app.etlo.core.tillage.Pass;
import app.etlo.core.tillage.StripShare;
import app.etlo.core.working.Figure;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** What belongs to the cash crops of a plan: the passes up to each, how they disturb the ground, residue, and nitrogen left to buy. */
public final class CropFigures {
    private final PlanDocument plan;
    private final Knowledge knowledge;
    private final Timeline timeline;
    private final List<CropInTime> crops;
    private final Figure area;
    private final Consumer<Figure> kept;

    CropFigures(
            PlanDocument plan,
            Knowledge knowledge,
            Timeline timeline,
            List<CropInTime> crops,
            Figure area,
            Consumer<Figure> kept) {
        this.plan = plan;
        this.knowledge = knowledge;
        this.timeline = timeline;
        this.crops = crops;
        this.area = area;
        this.kept = kept;
    }

    private Figure keep(Figure figure) {
        kept.accept(figure);
        return figure;
    }

    private void keep(Optional<Figure> figure) {
        figure.ifPresent(kept);
    }

    /**
     * Every crop with its passes and figures.
     *
     * @param covers with what stands of them
     */
    List<CropResult> all(List<Situation.Cover> covers) {
        List<Pass> all = timeline.passes();
        List<CropResult> results = new ArrayList<>();
        LocalDate after = LocalDate.MIN;
        for (CropInTime crop : crops) {
            LocalDate from = after;
            LocalDate through = crop.harvested().orElse(LocalDate.MAX);
            List<Pass> passes = all.stream()
                    .filter(p -> p.date().isAfter(from) && !p.date().isAfter(through))
                    .toList();
            Optional<Situation.Cover> ahead = covers.stream()
                    .filter(c -> c.next().map(n -> n.id().equals(crop.id())).orElse(false))
                    .findFirst();
            results.add(crop(crop, passes, ahead));
            after = through.isAfter(after) ? through : after;
        }
        return List.copyOf(results);
    }

    private CropResult crop(CropInTime crop, List<Pass> passes, Optional<Situation.Cover> ahead) {
        CropEntry entry = plan.crops().stream()
                .filter(c -> c.id().equals(crop.id()))
                .findFirst()
                .orElseThrow();
        String prefix = "plant/" + crop.id();
        List<Figure> ratings =
                passes.stream().map(p -> keep(DisturbanceRating.of(prefix, p))).toList();
        List<Pass> planting = timeline.planting(entry);
        if (!planting.isEmpty()) {
            keep(DisturbanceRating.sum(prefix, ratings));
            keep(StripShare.ofPlanting(prefix, planting));
            timeline.sow(crop.id())
                    .flatMap(Operation.Sow::rows)
                    .filter(r ->
                            planting.stream().anyMatch(p -> p.operation().use().equals("strip")))
                    .ifPresent(r ->
                            r.strip().ifPresent(s -> r.spacing().ifPresent(w -> keep(StripShare.of(prefix, s, w)))));
        }
        crop.harvested()
                .ifPresent(h -> keep(HarvestResidue.of(
                        "plant/" + crop.id(),
                        crop.crop(),
                        crop.yieldGoal().flatMap(q -> GrainYield.asMass(q, crop.crop())))));
        feed(entry, crop, ahead.flatMap(Situation.Cover::credit));
        return new CropResult(crop, passes, planting, ahead.map(Situation.Cover::id));
    }

    /** Nitrogen that the plan's own feeding brings; empty without one. */
    private Optional<Figure> planned(String prefix, String cropId) {
        List<Timeline.Feeding> all = timeline.feedings(cropId);
        return all.isEmpty()
                ? Optional.empty()
                : Optional.of(keep(PlannedNitrogen.of(
                        prefix,
                        all.stream()
                                .map(f -> new PlannedNitrogen.Application(f.product(), f.date(), f.nitrogenKgHa()))
                                .toList())));
    }

    private void feed(CropEntry entry, CropInTime crop, Optional<CoverCredit> credit) {
        String prefix = "feed/" + crop.id();
        Optional<NitrogenEntry> n = entry.nitrogen();
        boolean local = n.flatMap(NitrogenEntry::school).map("local"::equals).orElse(false);
        Optional<Figure> need = local
                ? n.flatMap(NitrogenEntry::need)
                        .map(q -> Need.local(
                                prefix, q, n.flatMap(NitrogenEntry::source).orElse("")))
                : Need.byYieldGoal(prefix, crop.crop(), crop.yieldGoal(), n.flatMap(NitrogenEntry::factor));
        need.ifPresent(f -> {
            keep(f);
            LeftToBuy left = LeftToBuy.of(
                    prefix,
                    f,
                    credit.map(CoverCredit::credit),
                    planned(prefix, crop.id()),
                    n.flatMap(NitrogenEntry::product)
                            .map(p -> knowledge.products().get(p)),
                    n.flatMap(NitrogenEntry::productPrice),
                    area);
            keep(left.left());
            keep(left.productKgHa());
            keep(left.productLHa());
            keep(left.forField());
            keep(left.costPerHa());
        });
    }
}
