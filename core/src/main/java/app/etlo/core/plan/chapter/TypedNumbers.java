package app.etlo.core.plan.chapter;

import app.etlo.core.advice.Situation.TypedNumber;
import app.etlo.core.advice.Step;
import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.Species;
import app.etlo.core.plan.document.Context;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.Operation.RowsEntry;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanDocument.CoverEntry;
import app.etlo.core.plan.document.PlanDocument.CropEntry;
import app.etlo.core.quantity.Dimension;
import app.etlo.core.quantity.PlausibleSpan;
import app.etlo.core.quantity.Quantity;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The numbers of a plan and its context with the span in which each is believed. The spans are Etlo's own: wide enough for
 * good and bad years, narrow enough to catch a slip of the unit.
 */
public final class TypedNumbers {
    private static final double LB_PER_KG = 1 / 0.45359237;
    private static final double HA_PER_AC = 0.40468564224;
    /** A dense mulch takes two and a half times the most of an ordinary stand. */
    private static final double MOST_OF_A_FULL_RATE = 2.5;

    private final Knowledge knowledge;
    private final List<TypedNumber> found = new ArrayList<>();

    private TypedNumbers(Knowledge knowledge) {
        this.knowledge = knowledge;
    }

    static List<TypedNumber> of(PlanDocument plan, Context context, Knowledge knowledge) {
        TypedNumbers numbers = new TypedNumbers(knowledge);
        if (context.field().boundary().isEmpty()) {
            numbers.add(Step.FIELD, "field", "Field area", context.field().area(), 0.05, 1000, Unit.HECTARE);
        }
        numbers.field(context.field());
        plan.crops().forEach(numbers::crop);
        plan.covers().forEach(c -> numbers.cover(c, context));
        plan.operations().forEach(o -> numbers.operation(o.subject().orElse(o.id()), o, cropIds(plan)));
        return List.copyOf(numbers.found);
    }

    private void field(FieldEntry f) {
        String field = "field";
        add(Step.FIELD, field, "Tile depth", f.tileDepth(), 40, 250, Unit.CENTIMETRE);
        add(Step.FIELD, field, "Depth of the pan", f.panDepth(), 5, 70, Unit.CENTIMETRE);
        add(Step.FIELD, field, "Depth that roots reach", f.rootingLimit(), 15, 300, Unit.CENTIMETRE);
        add(Step.FIELD, field, "Penetrometer", f.penetrometer(), 0.2, 8, Unit.MEGAPASCAL);
        add(Step.FIELD, field, "Points over 2 MPa", percent(f.penetrometerPercent()), 0, 100, Unit.PERCENT);
        add(Step.FIELD, field, "Elevation", f.elevation(), -100, 4500, Unit.METRE);
        add(Step.FIELD, field, "Length of the slope", f.slopeLength(), 5, 1500, Unit.METRE);
        add(Step.FIELD, field, "Slope", percent(f.slopePercent()), 0, 40, Unit.PERCENT);
        add(Step.FIELD, field, "Organic matter", percent(f.organicMatterPercent()), 0.3, 15, Unit.PERCENT);
        add(Step.FIELD, field, "Stones", percent(f.stonePercent()), 0, 60, Unit.PERCENT);
        add(Step.FIELD, field, "pH", plain(f.ph()), 4, 9, Unit.FRACTION);
        add(Step.FIELD, field, "What the drill does in a day", f.drillHaPerDay(), 0.5, 200, Unit.HA_PER_DAY);
        f.equipment()
                .orElse(List.of())
                .forEach(m -> add(Step.FIELD, field, "Width of " + m.name(), m.width(), 0.3, 45, Unit.METRE));
        f.soilTests().orElse(List.of()).forEach(t -> {
            String of = " in the soil test of " + Shown.date(t.date());
            add(Step.FIELD, field, "pH" + of, plain(t.ph()), 4, 9, Unit.FRACTION);
            add(Step.FIELD, field, "Organic matter" + of, percent(t.organicMatterPercent()), 0.3, 15, Unit.PERCENT);
            add(Step.FIELD, field, "Depth" + of, t.depth(), 5, 200, Unit.CENTIMETRE);
        });
    }

    private void crop(CropEntry entry) {
        Crop crop = knowledge.crops().get(entry.crop());
        entry.yieldGoal().ifPresent(q -> {
            double perUnit = q.unit().dimension() == Dimension.GRAIN_VOLUME_PER_AREA
                    ? crop.testWeightLbBu()
                            .map(lb -> lb / LB_PER_KG / HA_PER_AC)
                            .orElse(1.0)
                    : 1;
            Unit unit = perUnit == 1 ? Unit.KG_PER_HA : Unit.BU_PER_AC;
            if (q.unit().dimension() == unit.dimension()) {
                add(
                        Step.ROTATION,
                        entry.id(),
                        "Yield goal of " + crop.name(),
                        entry.yieldGoal(),
                        crop.yieldKgHa().low() / perUnit,
                        crop.yieldKgHa().high() / perUnit,
                        unit);
            }
        });
        entry.nitrogen().ifPresent(n -> {
            n.factor().ifPresent(f -> {
                double high = f.unit() == Unit.LB_N_PER_BU ? 4 : f.unit() == Unit.LB_N_PER_CWT ? 9 : 90;
                double low = f.unit() == Unit.LB_N_PER_BU ? 0.3 : f.unit() == Unit.LB_N_PER_CWT ? 0.5 : 5;
                add(Step.FEED, entry.id(), "Nitrogen per yield", n.factor(), low, high, f.unit());
            });
            add(Step.FEED, entry.id(), "Nitrogen recommendation", n.need(), 0, 350, Unit.KG_PER_HA);
            add(Step.FEED, entry.id(), "Product price", n.productPrice(), 80, 6000, Unit.MONEY_PER_T);
        });
    }

    private void cover(CoverEntry entry, Context context) {
        entry.mix()
                .flatMap(m -> m.bag())
                .ifPresent(b ->
                        add(Step.MIX, entry.id(), "Rate of the bag", Optional.of(b.rate()), 3, 200, Unit.KG_PER_HA));
        entry.checks().orElse(List.of()).forEach(k -> {
            add(Step.GROW, entry.id(), "Plants counted", k.plants(), 0, 3000, Unit.PER_M2);
            add(Step.GROW, entry.id(), "Tillers", k.tillers(), 0, 5000, Unit.PER_M2);
            add(Step.GROW, entry.id(), "Height", k.height(), 1, 400, Unit.CENTIMETRE);
        });
        entry.mix()
                .ifPresent(mix -> mix.components().forEach(c -> {
                    Species s = knowledge.species().get(c.species());
                    double most = s.fullRateKgHa().high() * 1.6 * s.seedsPerKg().high() / 1e4;
                    String subject = entry.id() + "/" + s.id();
                    if (mix.method().equals("density")) {
                        add(Step.MIX, subject, "Seeds of " + s.name(), c.seeds(), 0.1, most, Unit.PER_M2);
                    }
                    if (mix.method().equals("share")) {
                        add(
                                Step.MIX,
                                subject,
                                "Share of " + s.name(),
                                percent(c.sharePercent()),
                                0.5,
                                250,
                                Unit.PERCENT);
                    }
                    if (mix.method().equals("recipe")) {
                        double highest = s.fullRateKgHa().high() * MOST_OF_A_FULL_RATE;
                        add(Step.MIX, subject, "Rate of " + s.name(), c.rate(), 0.05, highest, Unit.KG_PER_HA);
                    }
                    c.lotId()
                            .flatMap(id -> context.lots().stream()
                                    .filter(l -> l.id().equals(id))
                                    .findFirst())
                            .ifPresent(l -> lot(subject, l));
                }));
        entry.stand().ifPresent(stand -> {
            if (stand.quadrat().isEmpty()) {
                add(Step.END, entry.id(), "Biomass", stand.biomass(), 250, 16_000, Unit.KG_PER_HA);
            }
            stand.nitrogenPercent()
                    .ifPresent(n -> add(
                            Step.END,
                            entry.id(),
                            "Nitrogen content",
                            Optional.of(new Quantity(n, Unit.PERCENT)),
                            0.5,
                            5.5,
                            Unit.PERCENT));
            stand.quadrat().ifPresent(q -> {
                add(Step.END, entry.id(), "Frame area", Optional.of(q.frameArea()), 0.04, 4, Unit.SQUARE_METRE);
                add(Step.END, entry.id(), "Dry matter", percent(q.dryMatterPercent()), 8, 95, Unit.PERCENT);
                q.samples().forEach(m -> add(Step.END, entry.id(), "Sample", Optional.of(m), 5, 20_000, Unit.GRAM));
            });
        });
    }

    private void lot(String subject, LotEntry lot) {
        String name = " of lot " + lot.label();
        add(Step.MIX, subject, "Purity" + name, percent(lot.purityPercent()), 50, 100, Unit.PERCENT);
        add(Step.MIX, subject, "Germination" + name, percent(lot.germinationPercent()), 20, 100, Unit.PERCENT);
        add(Step.MIX, subject, "Price" + name, lot.price(), 0.1, 60, Unit.MONEY_PER_KG);
        add(Step.MIX, subject, "Bag size" + name, lot.bagSize(), 0.25, 1300, Unit.KILOGRAM);
        Species s = knowledge.species().get(lot.species());
        add(Step.MIX, subject, "Temperature of the store" + name, lot.storedAt(), -25, 40, Unit.CELSIUS);
        add(Step.MIX, subject, "Moisture" + name, percent(lot.moisturePercent()), 4, 20, Unit.PERCENT);
        add(
                Step.MIX,
                subject,
                "Seed count" + name,
                lot.seedCount(),
                s.seedsPerKg().low() / 2,
                s.seedsPerKg().high() * 2,
                Unit.PER_KG);
    }

    private static Set<String> cropIds(PlanDocument plan) {
        return plan.crops().stream().map(CropEntry::id).collect(Collectors.toSet());
    }

    private void operation(String subject, Operation o, Set<String> cropIds) {
        if (o instanceof Operation.Sow s) {
            Step step = cropIds.contains(subject) ? Step.PLANT : Step.SOW;
            add(Step.PLANT, subject, "Strip width", s.rows().flatMap(RowsEntry::strip), 5, 60, Unit.CENTIMETRE);
            add(Step.PLANT, subject, "Row width", s.rows().flatMap(RowsEntry::spacing), 10, 300, Unit.CENTIMETRE);
            add(step, subject, "Sown area", s.sownArea(), 0.02, 1000, Unit.HECTARE);
            s.sownAs().ifPresent(a -> {
                add(Step.SOW, subject, "Radius of a basin", a.basinRadius(), 0.2, 10, Unit.METRE);
                add(Step.SOW, subject, "Width of a strip", a.stripWidth(), 0.1, 60, Unit.METRE);
                add(Step.SOW, subject, "From strip to strip", a.stripEvery(), 0.3, 200, Unit.METRE);
            });
            s.seedbedCheck().ifPresent(k -> {
                add(Step.SOW, subject, "A heel sinks", k.heelSinks(), 0, 15, Unit.CENTIMETRE);
                add(Step.SOW, subject, "Moist from", k.moistFrom(), 0, 60, Unit.CENTIMETRE);
                add(Step.SOW, subject, "Weed seedlings", k.weeds(), 0, 3000, Unit.PER_M2);
            });
            s.inoculants()
                    .orElse(List.of())
                    .forEach(i -> add(Step.SOW, subject, "Dose of inoculant", i.dose(), 0.5, 60, Unit.G_PER_KG));
            add(Step.SOW, subject, "Working width", s.catchWidth(), 0.1, 40, Unit.METRE);
            add(Step.SOW, subject, "Distance driven", s.catchDistance(), 5, 1000, Unit.METRE);
            add(step, subject, "Depth", s.depth(), 0.5, 80, Unit.CENTIMETRE);
            add(step, subject, "Speed", s.speed(), 0.5, 25, Unit.KM_PER_H);
        }
        if (o instanceof Operation.Pass p) {
            add(Step.PLANT, subject, "Depth", p.depth(), 0.5, 80, Unit.CENTIMETRE);
            add(Step.PLANT, subject, "Speed", p.speed(), 0.5, 25, Unit.KM_PER_H);
        }
        if (o instanceof Operation.Harvest h) {
            add(Step.PLANT, subject, "Stubble height", h.stubble(), 3, 90, Unit.CENTIMETRE);
        }
        if (o instanceof Operation.Irrigate i) {
            add(Step.FEED, subject, "Water given", Optional.of(i.depth()), 2, 120, Unit.MILLIMETRE);
        }
        if (o instanceof Operation.Feed f) {
            add(Step.FEED, subject, "Rate fed", Optional.of(f.rate()), 2, 5000, Unit.KG_PER_HA);
        }
    }

    private static Optional<Quantity> percent(double v) {
        return Optional.of(new Quantity(v, Unit.PERCENT));
    }

    private static Optional<Quantity> percent(Optional<Double> v) {
        return v.flatMap(TypedNumbers::percent);
    }

    private static Optional<Quantity> plain(Optional<Double> v) {
        return v.map(x -> new Quantity(x, Unit.FRACTION));
    }

    private void add(
            Step step, String subject, String label, Optional<Quantity> typed, double low, double high, Unit unit) {
        typed.filter(q -> q.unit().dimension() == unit.dimension())
                .ifPresent(
                        q -> found.add(new TypedNumber(step, subject, label, q, new PlausibleSpan(low, high, unit))));
    }
}
