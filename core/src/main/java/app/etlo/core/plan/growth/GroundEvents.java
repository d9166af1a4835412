package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundEvent;
import app.etlo.core.ground.GroundEvent.Kill;
import app.etlo.core.ground.GroundPlant;
import app.etlo.core.ground.GroundScript;
import app.etlo.core.ground.GroundSoil;
import app.etlo.core.ground.GroundStart;
import app.etlo.core.ground.GroundVariation;
import app.etlo.core.knowledge.Crop;
import app.etlo.core.knowledge.KillOfSpecies;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.PlantKind;
import app.etlo.core.knowledge.Species;
import app.etlo.core.knowledge.Survivors;
import app.etlo.core.knowledge.TerminationMethod;
import app.etlo.core.mix.MixForecast;
import app.etlo.core.mix.SeedDepth;
import app.etlo.core.mix.SeedRate;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.Timeline;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.termination.Termination;
import app.etlo.core.tillage.HarvestCut;
import app.etlo.core.tillage.Pass;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The plan as plain effects on the ground: what comes up, what is taken, killed, buried and fed, and when. Methods and machines
 * are turned into shares here; the simulation does not know them.
 */
public final class GroundEvents {
    private static final double GM2_OF_KG_HA = 0.1;
    private static final double MOST_NITROGEN_REMOVED = 0.9;
    /** Grain is richer in nitrogen than straw. */
    private static final double GRAIN_RICHER = 1.5;

    /** Place in the day of a sowing that the plan does not hold. */
    private static final int SOWN = 700;

    /** Of the nitrogen that stock eat most comes back with dung and urine (from memory: 75 to 90 %). */
    private static final double NITROGEN_RETURNED = 0.8;

    /**
     * A plant of a stand.
     *
     * @param index among the plants of the simulation
     */
    public record Standing(String standId, String plantId, int index, LocalDate sown) {}

    /** Nitrogen given on a day. */
    record Fed(LocalDate on, double kgHa) {}

    /**
     * @param species of a cover; empty for a crop
     */
    private record Sown(
            String standId,
            LocalDate day,
            Optional<Species> species,
            GroundPlant plant,
            double plantsM2,
            double depthCm) {}

    private final Knowledge knowledge;
    private final LocalDate from;
    private final Timeline timeline;
    private final List<Standing> standings = new ArrayList<>();
    private final List<GroundPlant> plants = new ArrayList<>();
    private final List<GroundEvent> events = new ArrayList<>();
    /** Of covers by plant; empty for crops. */
    private final List<Optional<Species>> species = new ArrayList<>();

    private final GroundVariation variation;

    private GroundEvents(Knowledge knowledge, LocalDate from, Timeline timeline, GroundVariation variation) {
        this.timeline = timeline;
        this.variation = variation;
        this.knowledge = knowledge;
        this.from = from;
    }

    /**
     * @param from first day of the simulation
     * @param fed what each crop is taken to be fed where the plan does not say
     * @param variation of the inputs
     * @param timeline of passes, grazing and watering
     * @param trial sown in place of a cover's own mix
     */
    static GroundEvents of(
            Knowledge knowledge,
            LocalDate from,
            List<CropInTime> crops,
            List<CoverInTime> covers,
            Timeline timeline,
            Map<String, List<Fed>> fed,
            Optional<Trial> trial,
            GroundVariation variation) {
        GroundEvents g = new GroundEvents(knowledge, from, timeline, variation);
        Stream.concat(
                        crops.stream().flatMap(c -> g.crop(c).stream()),
                        Stream.concat(
                                covers.stream()
                                        .filter(c -> trial.filter(
                                                        t -> t.instead().contains(c.id()))
                                                .isEmpty())
                                        .flatMap(c -> g.cover(c).stream()),
                                trial.stream().flatMap(t -> g.tried(t).stream())))
                .filter(s -> !s.day().isBefore(from))
                .sorted(Comparator.comparing(Sown::day)
                        .thenComparing(Sown::standId)
                        .thenComparing(x -> x.plant().id()))
                .forEach(x ->
                        g.sow(x, timeline.sow(x.standId()).map(Operation::place).orElse(SOWN)));
        crops.forEach(c -> g.harvest(c, timeline, fed.getOrDefault(c.id(), List.of())));
        covers.forEach(c -> g.feed(c.id()));
        covers.forEach(c -> g.end(c, timeline.endings(c.id())));
        timeline.placedPasses().forEach(g::pass);
        timeline.grazings().forEach(g::graze);
        timeline.waterings()
                .forEach(w -> g.events.add(new GroundEvent.Irrigate(g.day(w.date()), w.place(), w.id(), w.mm())));
        return g;
    }

    private void graze(Timeline.Grazing z) {
        for (int i = 0; i < z.days(); i++) {
            events.add(
                    new GroundEvent.Graze(day(z.date()) + i, z.place(), z.id(), z.eatenShareOn(i), NITROGEN_RETURNED));
        }
    }

    GroundScript script(GroundSoil soil) {
        return new GroundScript(
                soil, plants, events.stream().filter(e -> e.day() >= 0).toList());
    }

    /** What a crop before the plan left, or a soil test found. */
    void begin(LocalDate on, String key, GroundStart left, double mostWaterShare) {
        events.add(new GroundEvent.Begin(day(on), key, left, mostWaterShare));
    }

    /** A field check acts on its day on every plant of its cover, or on the one that was looked at. */
    void observe(FieldChecks.Seen seen) {
        if (seen.leftAlive().isPresent()) {
            leave(seen, seen.leftAlive().get());
            return;
        }
        standings.stream()
                .filter(s -> s.standId().equals(seen.coverId()))
                .filter(s -> seen.species().map(s.plantId()::equals).orElse(true))
                .forEach(s -> events.add(new GroundEvent.Observe(
                        day(seen.on()),
                        seen.coverId() + "/" + seen.id() + "/" + s.plantId(),
                        s.index(),
                        seen.massFactor(),
                        seen.standFactor(),
                        seen.fixing(),
                        seen.stageChange(),
                        seen.heightFactor())));
    }

    /** The passes that ended a cover before a look left so many alive, all of them together and each alike. */
    private void leave(FieldChecks.Seen seen, double alive) {
        Set<String> passes = timeline.endings(seen.coverId()).stream()
                .filter(e -> !e.method().isWinter() && e.date().isBefore(seen.on()))
                .map(Timeline.Ending::id)
                .collect(Collectors.toSet());
        double killed = 1 - Math.pow(Math.max(0, alive), 1.0 / Math.max(1, passes.size()));
        events.replaceAll(e -> e instanceof GroundEvent.Terminate t && passes.contains(t.key())
                ? new GroundEvent.Terminate(
                        t.day(),
                        t.place(),
                        t.key(),
                        standings.stream()
                                .map(s -> ofSeen(seen, s)
                                        ? new Kill(KillOfSpecies.whole(killed), left(t, s.index()))
                                        : t.killedShare().get(s.index()))
                                .toList(),
                        t.standingShare())
                : e);
    }

    private static Survivors left(GroundEvent.Terminate t, int plant) {
        return t.killedShare().get(plant).left();
    }

    private static boolean ofSeen(FieldChecks.Seen seen, Standing s) {
        return s.standId().equals(seen.coverId())
                && seen.species().map(s.plantId()::equals).orElse(true);
    }

    /** What stands of a cover is as it was said to be. */
    void observe(StandSeen seen) {
        events.add(new GroundEvent.Stand(
                day(seen.on()),
                seen.coverId() + "/stand",
                standings.stream()
                        .filter(s -> s.standId().equals(seen.coverId()))
                        .map(Standing::index)
                        .toList(),
                seen.massKgHa() * GM2_OF_KG_HA,
                seen.nitrogenShare()));
    }

    List<Standing> standings() {
        return List.copyOf(standings);
    }

    /** Places among the plants of a stand's. */
    List<Integer> plants(String standId) {
        return standings.stream()
                .filter(s -> s.standId().equals(standId))
                .map(Standing::index)
                .toList();
    }

    static GroundPlant plant(Knowledge knowledge, Species s) {
        PlantKind kind = knowledge.plantKinds().species(s.id());
        return GroundPlant.of(s, kind, knowledge.species().get(kind.model().orElse(s.id())));
    }

    private int day(LocalDate date) {
        return (int) ChronoUnit.DAYS.between(from, date);
    }

    private Optional<Sown> crop(CropInTime c) {
        Crop crop = c.crop();
        return c.planted()
                .map(d -> new Sown(
                        c.id(),
                        d,
                        Optional.empty(),
                        GroundPlant.of(crop, knowledge.plantKinds().crop(crop.id())),
                        crop.growing().populationHa() / 1e4 * crop.growing().standTarget(),
                        depthCm(c.id()).orElse(crop.growing().depthCm())));
    }

    /**
     * A mix tried in the plan's ground.
     *
     * @param standId of the stand it makes
     * @param instead covers that are not sown while it is tried
     * @param sown the day it is sown
     * @param onSurface whether its seed stays lying on the ground
     */
    record Trial(String standId, Set<String> instead, List<MixForecast.Sown> mix, LocalDate sown, boolean onSurface) {}

    private List<MixForecast.Sown> mix(CoverInTime c) {
        return c.blend().map(b -> MixBench.sown(b.rates())).orElse(List.of());
    }

    private List<Sown> cover(CoverInTime c) {
        return c.sown().stream()
                .flatMap(d -> sown(c.id(), mix(c), d, c.sowing().method().onSurface(), depthCm(c.id())))
                .toList();
    }

    private List<Sown> tried(Trial t) {
        Optional<Double> depth = t.instead().stream()
                .map(this::depthCm)
                .flatMap(Optional::stream)
                .findFirst();
        return sown(t.standId(), t.mix(), t.sown(), t.onSurface(), depth).toList();
    }

    /** The depth that is typed of a sowing. */
    private Optional<Double> depthCm(String standId) {
        return timeline.sow(standId).flatMap(Operation.Sow::depth).map(d -> d.in(Unit.CENTIMETRE));
    }

    /**
     * Plants that come up; a mix's share of the full rate already allows for what its way of sowing loses.
     *
     * @param typedCm depth of the sowing; each species lies at its own where none is typed
     */
    private Stream<Sown> sown(
            String standId, List<MixForecast.Sown> mix, LocalDate day, boolean onSurface, Optional<Double> typedCm) {
        return mix.stream()
                .map(m -> new Sown(
                        standId,
                        day,
                        Optional.of(m.species()),
                        plant(knowledge, m.species()),
                        SeedRate.EMERGES_PERCENT
                                / 100
                                * seedsM2(m)
                                * (onSurface
                                        ? 1
                                        : typedCm.map(d -> SeedDepth.comesUp(m.species(), d))
                                                .orElse(1.0)),
                        onSurface ? 0 : typedCm.orElse(m.species().depthCm())));
    }

    private static double seedsM2(MixForecast.Sown m) {
        return m.share()
                * m.species().fullRateKgHa().middle()
                * m.species().seedsPerKg().middle()
                / 1e4;
    }

    private void sow(Sown s, int place) {
        int index = plants.size();
        plants.add(s.plant().varied(variation));
        standings.add(new Standing(s.standId(), s.plant().id(), index, s.day()));
        species.add(s.species());
        events.add(new GroundEvent.Sow(
                day(s.day()),
                place,
                s.standId() + "/" + s.plant().id(),
                index,
                s.plantsM2()
                        * variation.plants().emergence()
                        * (s.species().isPresent() ? variation.plants().seed() : 1),
                s.depthCm()));
    }

    private Optional<Standing> standing(String standId) {
        return standings.stream().filter(s -> s.standId().equals(standId)).findFirst();
    }

    private void harvest(CropInTime c, Timeline timeline, List<Fed> usual) {
        Optional<Standing> standing = standing(c.id());
        standing.ifPresent(s -> {
            c.harvested().filter(h -> h.isAfter(s.sown())).ifPresent(h -> {
                double removed = c.crop().takenShare();
                HarvestCut cut = timeline.cut(c.id());
                events.add(new GroundEvent.Harvest(
                        day(h),
                        timeline.harvestPlace(c.id()),
                        c.id(),
                        s.index(),
                        cut.removed(c.crop(), removed),
                        cut.removed(c.crop(), Math.min(MOST_NITROGEN_REMOVED, GRAIN_RICHER * removed)),
                        cut.standingOfLeft(c.crop())));
                c.crop()
                        .growing()
                        .taken()
                        .liftedKept()
                        .ifPresent(kept -> events.add(new GroundEvent.Pass(
                                day(h), timeline.harvestPlace(c.id()) + 1, c.id() + "/lifted", kept, kept, 1)));
            });
            feed(c.id());
            if (timeline.feedings(c.id()).isEmpty()) {
                feed(c.id(), usual);
            }
        });
    }

    private void feed(String standId) {
        timeline.feedings(standId)
                .forEach(f -> events.add(new GroundEvent.Fertilise(
                        day(f.date()),
                        f.place(),
                        standId + "/" + f.id(),
                        f.nitrogenKgHa() * GM2_OF_KG_HA * variation.plants().fed())));
    }

    private void feed(String id, List<Fed> usual) {
        for (int i = 0; i < usual.size(); i++) {
            events.add(new GroundEvent.Fertilise(
                    day(usual.get(i).on()),
                    id + "/usual " + i,
                    usual.get(i).kgHa() * GM2_OF_KG_HA * variation.plants().fed()));
        }
    }

    /** A cover without an end is taken to end when the next crop is planted; one that winter is to end gets no help. */
    private void end(CoverInTime c, List<Timeline.Ending> endings) {
        if (endings.isEmpty()) {
            c.end()
                    .map(Termination::date)
                    .or(() -> c.next().flatMap(CropInTime::planted))
                    .ifPresent(d ->
                            events.add(new GroundEvent.Terminate(day(d), c.id(), kills(c.id(), Optional.empty()), 0)));
        }
        endings.stream()
                .filter(e -> !e.method().isWinter())
                .forEach(e -> events.add(new GroundEvent.Terminate(
                        day(e.date()),
                        e.place(),
                        e.id(),
                        kills(c.id(), Optional.of(e.method())),
                        e.method().standingShare())));
    }

    /** What a method kills of each plant; without a method everything of the cover. */
    private List<Kill> kills(String coverId, Optional<TerminationMethod> method) {
        return standings.stream()
                .map(s -> !s.standId().equals(coverId)
                        ? Kill.NONE
                        : method.isEmpty()
                                ? Kill.whole(1)
                                : species.get(s.index())
                                        .map(x -> new Kill(
                                                method.get()
                                                        .kills(x)
                                                        .leaving(variation
                                                                .plants()
                                                                .survivors()),
                                                method.get().survivors()))
                                        .orElse(Kill.NONE))
                .toList();
    }

    /** What stays of the residue is the tool's own share, by how much of the ground it disturbs; tillage kills covers that stand. */
    private void pass(Timeline.Placed placed) {
        Pass p = placed.pass();
        double usual = p.operation().shareDisturbed();
        double more = usual > 0 ? p.shareDisturbed() / usual : 1;
        events.add(new GroundEvent.Pass(
                day(p.date()),
                placed.place(),
                p.id(),
                kept(p.operation().residueKept(), more),
                kept(p.operation().residueKeptFragile(), more),
                p.operation().flattens()));
        boolean tills =
                p.operation().use().equals("till") || p.operation().use().equals("strip");
        if (tills && p.shareDisturbed() > 0) {
            List<Kill> kills = species.stream()
                    .map(s -> s.map(x -> x.use().kill().tilled() * p.shareDisturbed())
                            .map(Kill::whole)
                            .orElse(Kill.NONE))
                    .toList();
            events.add(new GroundEvent.Terminate(day(p.date()), placed.place() - 1, "pass " + p.id(), kills, 0));
        }
    }

    private static double kept(double usual, double more) {
        return Math.max(0, Math.min(1, 1 - (1 - usual) * more));
    }
}
