package app.etlo.core.plan;

import app.etlo.core.knowledge.FieldOperation;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.TerminationMethod;
import app.etlo.core.plan.PlanDocument.CropEntry;
import app.etlo.core.plan.PlanDocument.OperationEntry;
import app.etlo.core.plan.PlanDocument.ParamsEntry;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.tillage.Pass;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;

/** The operations of a plan resolved into days, crops in time, and the passes that touch the ground. */
final class Timeline {
    private final PlanDocument plan;
    private final Knowledge knowledge;
    private final PlanLookup lookup;
    private final PlanDates dates;

    Timeline(PlanDocument plan, Knowledge knowledge, PlanDates dates) {
        this.plan = plan;
        this.knowledge = knowledge;
        this.lookup = new PlanLookup(plan);
        this.dates = dates;
    }

    Optional<LocalDate> day(String kind, String subject) {
        return lookup.operation(kind, subject).flatMap(dates::day);
    }

    ParamsEntry params(String kind, String subject) {
        return lookup.params(kind, subject);
    }

    /** Cash crops by planting day; those without one come last, as typed. */
    List<CropInTime> crops() {
        return plan.crops().stream()
                .map(c -> new CropInTime(
                        c.id(),
                        knowledge.crops().get(c.crop()),
                        day("sow", c.id()),
                        day("harvest", c.id()),
                        c.turnaroundDays().orElse(0),
                        c.yieldGoal()))
                .sorted(Comparator.comparing(c -> c.planted().or(c::harvested).orElse(LocalDate.MAX)))
                .toList();
    }

    /** The passes that put a crop in, without other tillage; empty until its planting is dated. */
    List<Pass> planting(CropEntry crop) {
        Optional<LocalDate> planted = day("sow", crop.id());
        ParamsEntry p = params("sow", crop.id());
        String system = lookup.system(crop.id());
        if (planted.isEmpty()) {
            return List.of();
        }
        List<Pass> passes = new ArrayList<>();
        knowledge.plantingSystems().get(system).steps().forEach(step -> {
            FieldOperation op = knowledge.operations().get(step.operation());
            Optional<Double> share = op.use().equals("strip") ? stripShare(p) : Optional.empty();
            passes.add(new Pass(
                    crop.id() + "-" + op.id(),
                    planted.get().minusDays(step.daysBefore()),
                    op,
                    Optional.empty(),
                    Optional.empty(),
                    share));
        });
        return List.copyOf(passes);
    }

    /** Strip over row, where both are typed. */
    static Optional<Double> stripShare(ParamsEntry p) {
        return p.stripWidth().flatMap(s -> p.rowWidth().map(r -> Math.min(1, s.in(Unit.METRE) / r.in(Unit.METRE))));
    }

    /** Every pass over the ground, in time: sowings and ends of covers, plantings, and passes of their own. */
    List<Pass> passes() {
        List<Pass> all = new ArrayList<>();
        plan.crops().forEach(c -> all.addAll(planting(c)));
        plan.covers().forEach(c -> {
            day("sow", c.id()).ifPresent(d -> all.add(Pass.usual(c.id() + "-sow", d, sowingTool(c.id()))));
            day("end", c.id())
                    .ifPresent(d -> params("end", c.id())
                            .method()
                            .map(m -> knowledge.terminationMethods().get(m))
                            .map(TerminationMethod::operations)
                            .orElse(List.of())
                            .forEach(o -> all.add(Pass.usual(
                                    c.id() + "-" + o, d, knowledge.operations().get(o)))));
        });
        plan.operations().stream()
                .filter(o -> o.kind().equals("pass"))
                .forEach(o -> dates.day(o).ifPresent(d -> all.add(own(o, d))));
        all.sort(Comparator.comparing(Pass::date));
        return List.copyOf(all);
    }

    /**
     * Stock on a cover before it is ended.
     *
     * @param eatenShare of the living tops, 0 to 1
     */
    record Grazing(String id, LocalDate date, double eatenShare) {}

    /** Water given, mm. */
    record Watering(String id, LocalDate date, double mm) {}

    List<Grazing> grazings() {
        return done(
                "graze",
                (o, d) -> new Grazing(
                        o.id(), d, o.params().flatMap(ParamsEntry::sharePercent).orElse(0.0) / 100));
    }

    List<Watering> waterings() {
        return done(
                "irrigate",
                (o, d) -> new Watering(
                        o.id(),
                        d,
                        o.params()
                                .flatMap(ParamsEntry::depth)
                                .map(q -> q.in(Unit.MILLIMETRE))
                                .orElse(0.0)));
    }

    private <T> List<T> done(String kind, BiFunction<OperationEntry, LocalDate, T> of) {
        return plan.operations().stream()
                .filter(o -> o.kind().equals(kind))
                .flatMap(o -> dates.day(o).map(d -> of.apply(o, d)).stream())
                .toList();
    }

    private FieldOperation sowingTool(String coverId) {
        ParamsEntry p = params("sow", coverId);
        String tool = p.operation()
                .orElseGet(() -> knowledge
                        .sowingMethods()
                        .get(p.method().orElse("drilled"))
                        .operation());
        return knowledge.operations().get(tool);
    }

    private Pass own(OperationEntry o, LocalDate day) {
        ParamsEntry p = o.params().orElse(ParamsEntry.NONE);
        return new Pass(
                o.id(),
                day,
                knowledge.operations().get(p.operation().orElseThrow()),
                p.speed(),
                p.depth(),
                p.sharePercent().map(v -> v / 100));
    }
}
