package app.etlo.core.plan.timeline;

import app.etlo.core.knowledge.FieldOperation;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.Product;
import app.etlo.core.knowledge.TerminationMethod;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanDocument;
import app.etlo.core.plan.document.PlanDocument.CropEntry;
import app.etlo.core.plan.document.PlanLookup;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.tillage.HarvestCut;
import app.etlo.core.tillage.Pass;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The operations of a plan resolved into days, crops in time, and the passes that touch the ground. */
public final class Timeline {
    private static final int PASSES = 400;
    /** What plants a crop whose tool is not named. */
    static final String USUAL_PLANTER = "no-till-planter";

    private final PlanDocument plan;
    private final Knowledge knowledge;
    private final PlanLookup lookup;
    private final PlanDates dates;

    public Timeline(PlanDocument plan, Knowledge knowledge, PlanDates dates) {
        this.plan = plan;
        this.knowledge = knowledge;
        this.lookup = new PlanLookup(plan);
        this.dates = dates;
    }

    Optional<LocalDate> day(Operation o) {
        return dates.day(o);
    }

    /** The day on which a crop is planted or a cover sown. */
    public Optional<LocalDate> sown(String subject) {
        return lookup.sow(subject).flatMap(dates::day);
    }

    Optional<LocalDate> harvested(String cropId) {
        return lookup.first(Operation.Harvest.class, cropId).flatMap(dates::day);
    }

    public int harvestPlace(String cropId) {
        return lookup.first(Operation.Harvest.class, cropId).orElseThrow().place();
    }

    /** How a crop is cut. */
    public HarvestCut cut(String cropId) {
        return lookup.first(Operation.Harvest.class, cropId)
                .map(h -> new HarvestCut(
                        h.stubble().map(q -> q.in(Unit.CENTIMETRE)),
                        h.strawTakenPercent().orElse(0.0) / 100))
                .orElse(HarvestCut.USUAL);
    }

    public Optional<LocalDate> ended(String coverId) {
        return lookup.first(Operation.End.class, coverId).flatMap(dates::day);
    }

    public Optional<Operation.Sow> sow(String subject) {
        return lookup.sow(subject);
    }

    /** Cash crops by planting day; those without one come last, as typed. */
    public List<CropInTime> crops() {
        return plan.crops().stream()
                .map(c -> new CropInTime(
                        c.id(),
                        knowledge.crops().get(c.crop()),
                        sown(c.id()),
                        harvested(c.id()),
                        c.turnaroundDays().orElse(0),
                        c.yieldGoal(),
                        c.forSeed().orElse(false)))
                .sorted(Comparator.comparing(c -> c.planted().or(c::harvested).orElse(LocalDate.MAX)))
                .toList();
    }

    /** The passes that put a crop in, with those of its planting system; empty until its planting is dated. */
    public List<Pass> planting(CropEntry crop) {
        return lookup.sow(crop.id())
                .flatMap(o -> dates.day(o)
                        .map(d -> Stream.concat(
                                        lookup.systemPasses(crop.id()).stream().flatMap(p -> own(p).stream()),
                                        Stream.of(planter(crop.id(), o, d)))
                                .toList()))
                .orElse(List.of());
    }

    private Pass planter(String cropId, Operation.Sow o, LocalDate day) {
        FieldOperation tool = knowledge.operations().get(o.tool().orElse(USUAL_PLANTER));
        return new Pass(
                cropId + "-" + tool.id(), day, tool, o.speed(), o.depth(), stripShare(tool, Optional.of(cropId)));
    }

    /** Strip over row, where the tool works strips and both are typed for the crop. */
    private Optional<Double> stripShare(FieldOperation tool, Optional<String> cropId) {
        return tool.use().equals("strip")
                ? cropId.flatMap(lookup::sow)
                        .flatMap(Operation.Sow::rows)
                        .flatMap(r -> r.strip()
                                .flatMap(s -> r.spacing().map(w -> Math.min(1, s.in(Unit.METRE) / w.in(Unit.METRE)))))
                : Optional.empty();
    }

    /** Every pass over the ground, in time: sowings and ends of covers, plantings, and passes of their own. */
    public List<Pass> passes() {
        return placedPasses().stream().map(Placed::pass).toList();
    }

    /** The same with their places in the day: a tool that sows goes before its seed. */
    public List<Placed> placedPasses() {
        List<Placed> all = new ArrayList<>();
        for (Operation o : plan.operations()) {
            dates.day(o)
                    .ifPresent(d -> o.as(new Operation.Cases<List<Pass>>() {
                                @Override
                                public List<Pass> sow(Operation.Sow x) {
                                    String subject = x.subject().orElse("");
                                    return List.of(
                                            lookup.crop(subject).isPresent()
                                                    ? planter(subject, x, d)
                                                    : Pass.usual(subject + "-sow", d, sowingTool(x)));
                                }

                                @Override
                                public List<Pass> end(Operation.End x) {
                                    return x.passes().stream()
                                            .flatMap(p ->
                                                    knowledge.terminationMethods().get(p.method()).operations().stream()
                                                            .map(t -> Pass.usual(
                                                                    x.subject().orElse("") + "-" + t,
                                                                    d.plusDays(p.afterDays()
                                                                            .orElse(0)),
                                                                    knowledge
                                                                            .operations()
                                                                            .get(t))))
                                            .toList();
                                }

                                @Override
                                public List<Pass> pass(Operation.Pass x) {
                                    return own(x).stream().toList();
                                }

                                @Override
                                public List<Pass> feed(Operation.Feed x) {
                                    return List.of();
                                }

                                @Override
                                public List<Pass> graze(Operation.Graze x) {
                                    return List.of();
                                }

                                @Override
                                public List<Pass> irrigate(Operation.Irrigate x) {
                                    return List.of();
                                }

                                @Override
                                public List<Pass> harvest(Operation.Harvest x) {
                                    return List.of();
                                }
                            })
                            .forEach(p -> all.add(new Placed(p, o.seq().orElse(PASSES)))));
        }
        all.sort(Comparator.comparing((Placed p) -> p.pass().date()).thenComparingInt(Placed::place));
        return List.copyOf(all);
    }

    /** A pass with its place in the day. */
    public record Placed(Pass pass, int place) {}

    /**
     * Stock on a cover before it is ended.
     *
     * @param until last day on which they eat
     * @param eatenShare of the living tops, 0 to 1, over all days
     */
    public record Grazing(String id, LocalDate date, LocalDate until, int place, double eatenShare) {
        /** Days on which they eat, 1 or more. */
        public int days() {
            return 1 + (int) ChronoUnit.DAYS.between(date, until);
        }

        /** Of what stands on a day, so that without growth all days together eat the whole share in equal parts. */
        public double eatenShareOn(int day) {
            return eatenShare / days() / (1 - eatenShare * day / days());
        }
    }

    /** Water given, mm. */
    public record Watering(String id, LocalDate date, int place, double mm) {}

    /** The last day typed, but no later than the cover's end: what comes after it is not theirs. */
    private LocalDate leave(Operation.Graze o, LocalDate in) {
        LocalDate typed = o.until().filter(u -> u.isAfter(in)).orElse(in);
        return o.subject()
                .flatMap(s -> lookup.first(Operation.End.class, s))
                .flatMap(dates::day)
                .filter(e -> !e.isBefore(in) && e.isBefore(typed))
                .orElse(typed);
    }

    public List<Grazing> grazings() {
        return lookup.all(Operation.Graze.class)
                .flatMap(o ->
                        dates
                                .day(o)
                                .map(d -> new Grazing(o.id(), d, leave(o, d), o.place(), o.takePercent() / 100))
                                .stream())
                .toList();
    }

    public List<Watering> waterings() {
        return lookup.all(Operation.Irrigate.class)
                .flatMap(o ->
                        dates
                                .day(o)
                                .map(d -> new Watering(
                                        o.id(), d, o.place(), o.depth().in(Unit.MILLIMETRE)))
                                .stream())
                .toList();
    }

    /**
     * Nitrogen given to a crop or a cover.
     *
     * @param subject crop or cover
     * @param placement as entered; empty where it is not said
     * @param nitrogenKgHa of it available in the season
     */
    public record Feeding(
            String id,
            String subject,
            LocalDate date,
            int place,
            Product product,
            double nitrogenKgHa,
            Optional<String> placement) {
        /** All of its nitrogen, also what comes free in later years, kg/ha. */
        public double totalKgHa() {
            return nitrogenKgHa / product.availableShare();
        }
    }

    /** Of all crops and covers, in time. */
    public List<Feeding> feedings() {
        return lookup.all(Operation.Feed.class)
                .filter(o -> o.subject().isPresent())
                .flatMap(o -> dates.day(o).map(d -> feeding(o, d)).stream())
                .sorted(Comparator.comparing(Feeding::date))
                .toList();
    }

    public List<Feeding> feedings(String cropId) {
        return lookup.all(Operation.Feed.class)
                .filter(o -> o.subject().equals(Optional.of(cropId)))
                .flatMap(o -> dates.day(o).map(d -> feeding(o, d)).stream())
                .sorted(Comparator.comparing(Feeding::date))
                .toList();
    }

    private Feeding feeding(Operation.Feed o, LocalDate day) {
        Product product = knowledge.products().get(o.material().product());
        double kgHa = o.rate().in(Unit.KG_PER_HA) * (o.rateOf().equals("material") ? product.nShare() : 1);
        return new Feeding(
                o.id(),
                o.subject().orElse(""),
                day,
                o.place(),
                product,
                kgHa * product.availableShare(),
                o.placement());
    }

    /** The ways a cover is ended, in time. */
    public List<Ending> endings(String coverId) {
        return lookup.first(Operation.End.class, coverId)
                .flatMap(o -> dates.day(o)
                        .map(d -> o.passes().stream()
                                .map(p -> new Ending(
                                        coverId + "/" + p.id(),
                                        d.plusDays(p.afterDays().orElse(0)),
                                        o.place(),
                                        knowledge.terminationMethods().get(p.method())))
                                .toList()))
                .orElse(List.of());
    }

    /** One way a cover is ended, on its day. */
    public record Ending(String id, LocalDate date, int place, TerminationMethod method) {}

    private FieldOperation sowingTool(Operation.Sow o) {
        return knowledge
                .operations()
                .get(o.tool()
                        .orElseGet(() -> knowledge
                                .sowingMethods()
                                .get(o.method().orElse("drilled"))
                                .operation()));
    }

    private Optional<Pass> own(Operation.Pass o) {
        return dates.day(o).map(d -> {
            FieldOperation tool = knowledge.operations().get(o.tool());
            return new Pass(
                    o.id(),
                    d,
                    tool,
                    o.speed(),
                    o.depth(),
                    o.disturbedPercent().map(v -> v / 100).or(() -> stripShare(tool, o.subject())));
        });
    }
}
