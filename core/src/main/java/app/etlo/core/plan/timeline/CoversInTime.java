package app.etlo.core.plan.timeline;

import app.etlo.core.knowledge.CoverPurpose;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.mix.Blend;
import app.etlo.core.mix.Component;
import app.etlo.core.mix.SeedLot;
import app.etlo.core.mix.Sowing;
import app.etlo.core.mix.SownZone;
import app.etlo.core.plan.document.Context;
import app.etlo.core.plan.document.LotSeed;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument.ComponentEntry;
import app.etlo.core.plan.document.PlanDocument.CoverEntry;
import app.etlo.core.plan.document.PlanDocument.DateEntry;
import app.etlo.core.plan.document.PlanDocument.MixEntry;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.termination.Termination;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Puts the covers of a plan into its time: between or inside which crops, sown and ended when, and what of each species. */
final class CoversInTime {
    /** Catch test when the adviser has typed none. */
    private static final double USUAL_WIDTH_M = 3;

    private static final double USUAL_DISTANCE_M = 50;
    private static final double USUAL_WASTE_PERCENT = 3;

    private final Context context;
    private final Knowledge knowledge;
    private final LocalDate asOf;
    private final Timeline timeline;
    private final List<CropInTime> crops;
    private final PlanWindows windows;
    private final Figure area;

    CoversInTime(
            Context context,
            Knowledge knowledge,
            LocalDate asOf,
            Timeline timeline,
            List<CropInTime> crops,
            PlanWindows windows,
            Figure area) {
        this.context = context;
        this.knowledge = knowledge;
        this.asOf = asOf;
        this.timeline = timeline;
        this.crops = crops;
        this.windows = windows;
        this.area = area;
    }

    CoverInTime of(CoverEntry entry) {
        Optional<CropInTime> next = next(entry);
        Sowing sowing = sowing(entry);
        List<Component> components = entry.mix()
                .map(m -> new BagParts(knowledge, context, sowing)
                        .with("mix/" + entry.id(), m, components("mix/" + entry.id(), m, sownZone(entry))))
                .orElse(List.of());
        return new CoverInTime(
                entry,
                next.map(crops::indexOf).filter(i -> i > 0).map(i -> crops.get(i - 1)),
                next,
                entry.place().relation().equals("into") ? crop(entry.place().cropId()) : Optional.empty(),
                windows.of(entry),
                timeline.sown(entry.id()),
                timeline.endings(entry.id()).stream()
                        .map(e -> new Termination(e.date(), e.method()))
                        .toList(),
                components,
                sowing,
                Blend.of("mix/" + entry.id(), components, sowing));
    }

    private Optional<CropInTime> crop(String id) {
        return crops.stream().filter(c -> c.id().equals(id)).findFirst();
    }

    private Optional<CropInTime> next(CoverEntry entry) {
        Optional<CropInTime> named = crop(entry.place().cropId());
        if (entry.place().relation().equals("before")) {
            return named;
        }
        return named.map(crops::indexOf).filter(i -> i + 1 < crops.size()).map(i -> crops.get(i + 1));
    }

    private List<Component> components(String prefix, MixEntry mix, Optional<String> sownZone) {
        String by = mix.method();
        return mix.components().stream()
                .map(c -> new Component(
                        knowledge.species().get(c.species()),
                        by.equals("share") ? c.sharePercent().map(p -> p / 100) : Optional.empty(),
                        by.equals("density") ? c.seeds() : Optional.empty(),
                        by.equals("recipe") ? c.rate() : Optional.empty(),
                        c.lotId().flatMap(id -> lot(id, c.species())),
                        zone(prefix, mix, c, sownZone)))
                .toList();
    }

    /** The zone that the whole sowing of a cover is limited to. */
    private Optional<String> sownZone(CoverEntry entry) {
        return timeline.sow(entry.id()).flatMap(Operation.Sow::zone);
    }

    /** A species goes where the mix says, else where the sowing goes; the widths are those of the mix. */
    private static SownZone zone(String prefix, MixEntry mix, ComponentEntry c, Optional<String> sownZone) {
        return c.zone()
                .or(() -> sownZone)
                .filter(z -> !z.equals(SownZone.WHOLE))
                .flatMap(z -> mix.zones()
                        .map(w -> SownZone.of(
                                prefix,
                                z,
                                w.bandWidth().in(Unit.METRE),
                                w.rowWidth().in(Unit.METRE))))
                .orElseGet(() -> SownZone.whole(prefix));
    }

    private Optional<SeedLot> lot(String id, String species) {
        return context.lots().stream()
                .filter(l -> l.id().equals(id) && l.species().equals(species))
                .findFirst()
                .map(LotSeed::of);
    }

    private Sowing sowing(CoverEntry entry) {
        Operation.Sow p =
                timeline.sow(entry.id()).orElseGet(() -> Operation.Sow.of("none", entry.id(), DateEntry.on(asOf)));
        return new Sowing(
                knowledge.sowingMethods().get(p.method().orElse("drilled")),
                p.lateness().orElse(1.0),
                p.seedbed().orElse(1.0),
                p.purpose().orElse(1.0),
                knowledge.purposes().get(entry.purpose().orElse(CoverPurpose.COVER)),
                p.sownArea()
                        .map(q -> Input.of(
                                "area",
                                "Sown area",
                                q.in(Unit.HECTARE),
                                Unit.HECTARE,
                                Origin.ENTERED,
                                "typed for this sowing"))
                        .or(() -> p.sownAs()
                                .flatMap(a -> SownAs.area(entry.id(), a, area))
                                .map(f -> Input.figure("area", f)))
                        .orElseGet(() -> Input.figure("area", area, Unit.HECTARE)),
                entry.mix().flatMap(MixEntry::wastePercent).orElse(USUAL_WASTE_PERCENT) / 100,
                entry.mix().flatMap(MixEntry::wastePercent).isPresent(),
                p.catchWidth().map(q -> q.in(Unit.METRE)).orElse(USUAL_WIDTH_M),
                p.catchDistance().map(q -> q.in(Unit.METRE)).orElse(USUAL_DISTANCE_M),
                p.catchWidth().isPresent() && p.catchDistance().isPresent(),
                p.largeBox().map(q -> q.in(Unit.LITRE)),
                p.smallBox().map(q -> q.in(Unit.LITRE)),
                p.inoculants().orElse(List.of()).stream()
                        .collect(Collectors.toMap(
                                Operation.InoculantEntry::group,
                                i -> new Sowing.InoculantUse(
                                        i.notNeeded().orElse(false),
                                        i.dose().map(q -> q.in(Unit.G_PER_KG)),
                                        i.price().map(q -> q.in(Unit.MONEY_PER_KG)),
                                        i.useBy()),
                                (a, b) -> b)));
    }
}
