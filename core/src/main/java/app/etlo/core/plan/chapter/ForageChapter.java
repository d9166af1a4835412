package app.etlo.core.plan.chapter;

import app.etlo.core.advice.EndFacts;
import app.etlo.core.grazing.CoverUse;
import app.etlo.core.grazing.Forage;
import app.etlo.core.grazing.Grazed;
import app.etlo.core.grazing.GrazingResult;
import app.etlo.core.grazing.GrazingResult.OfHerd;
import app.etlo.core.grazing.Herd;
import app.etlo.core.grazing.StockCaution;
import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.ground.ModelError;
import app.etlo.core.knowledge.Caution;
import app.etlo.core.knowledge.ForageQuality;
import app.etlo.core.knowledge.Species;
import app.etlo.core.knowledge.StockClass;
import app.etlo.core.mix.MixPlace;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanLookup;
import app.etlo.core.plan.growth.PlanGround;
import app.etlo.core.plan.growth.StandParts;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.plan.timeline.Timeline;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.termination.MulchGoal;
import app.etlo.core.termination.Stand;
import app.etlo.core.weather.DrySpells;
import app.etlo.core.weather.YearsAhead;
import app.etlo.core.working.Figure;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** A cover as feed: what each grazing of the plan takes, feeds and leaves, and what other uses would. */
final class ForageChapter {
    private static final double LEAST_KG_HA = 1;
    /** A species with less of the tops does not say when they are ready. */
    private static final double COUNTS = 0.15;

    private final PlanInTime plan;
    private final CoverInTime cover;
    private final PlanGround ground;
    private final List<Integer> plants;
    private final List<StockCaution> cautions;

    private ForageChapter(PlanInTime plan, CoverInTime cover, PlanGround ground, List<StockCaution> cautions) {
        this.plan = plan;
        this.cover = cover;
        this.ground = ground;
        this.plants = ground.plants(cover.id());
        this.cautions = cautions;
    }

    /**
     * Nothing is grazed without a simulation, or where nothing stands on the day.
     *
     * @param stand on the day it ends
     * @param facts of that day
     */
    static Forage of(
            PlanInTime plan, CoverInTime cover, Optional<PlanGround> ground, Optional<Stand> stand, EndFacts facts) {
        List<StockCaution> cautions = cautions(plan, cover);
        Optional<ForageChapter> chapter = ground.filter(
                        g -> cover.sown().isPresent() && !g.plants(cover.id()).isEmpty())
                .map(g -> new ForageChapter(plan, cover, g, cautions));
        return new Forage(
                cautions,
                chapter.map(ForageChapter::all).orElse(List.of()),
                chapter.flatMap(c -> stand.map(c::uses)).orElse(List.of()),
                chapter.flatMap(c -> stand)
                        .filter(s -> s.biomass().middle() >= LEAST_KG_HA)
                        .map(s -> Forage.protein("use/" + cover.id(), s.nitrogenPercent())),
                chapter.map(c -> c.quality(facts)).orElse(List.of()));
    }

    private List<CoverUse> uses(Stand stand) {
        Optional<LocalDate> day = cover.endsOn().filter(ground::covers);
        Optional<YearsAhead> years = plan.years();
        if (day.isEmpty() || years.isEmpty() || stand.biomass().middle() < LEAST_KG_HA) {
            return List.of();
        }
        double height = Math.max(1, tallest(ground.before(day.get())).middle());
        return Stream.of(CoverUse.Way.values())
                .map(w -> CoverUse.of(
                        "use/" + cover.id(),
                        w,
                        stand.biomass(),
                        stand.nitrogenInTops(),
                        height,
                        MulchGoal.FLOOR_KG_HA,
                        w.dryDays() == 0
                                ? Double.NaN
                                : DrySpells.yearsOfTen(
                                        years.get(), day.get(), w.dryDays(), w.dryingMm(), CoverUse.WAIT_DAYS)))
                .toList();
    }

    private List<String> quality(EndFacts facts) {
        return cover.endsOn().filter(ground::covers).stream()
                .flatMap(d -> plants.stream().flatMap(p -> {
                    Species s = plan.knowledge().species().get(ground.plantId(p));
                    return Optional.ofNullable(facts.plants().stage().get(s.id()))
                            .flatMap(stage -> ForageQuality.of(
                                    s,
                                    stage,
                                    ground.band(ground.before(d), p, OfPlant.HEIGHT_M)
                                            .middle()))
                            .map(q -> s.name() + " is " + q.stage() + " then: usually " + span(q.digestiblePercent())
                                    + " % of the dry tops digestible; a forage test decides.")
                            .stream();
                }))
                .toList();
    }

    private static String span(Band b) {
        return Math.round(b.low()) + " to " + Math.round(b.high());
    }

    private static List<StockCaution> cautions(PlanInTime plan, CoverInTime cover) {
        Map<Caution, List<String>> found = new LinkedHashMap<>();
        cover.components().stream()
                .map(c -> c.species())
                .forEach(s -> s.use().cautions().stream()
                        .map(id -> plan.knowledge().cautions().get(id))
                        .filter(k -> !Collections.disjoint(k.animals(), MixPlace.ANIMALS))
                        .forEach(k ->
                                found.computeIfAbsent(k, x -> new ArrayList<>()).add(s.name())));
        return found.entrySet().stream()
                .map(e -> new StockCaution(e.getKey(), e.getValue()))
                .toList();
    }

    private List<GrazingResult> all() {
        return new PlanLookup(plan.plan())
                .all(Operation.Graze.class)
                .filter(o -> o.subject().filter(cover.id()::equals).isPresent())
                .flatMap(o -> days(plan, o).stream()
                        .filter(d -> ground.covers(d.date()) && ground.covers(d.until()))
                        .flatMap(d -> of(o, d).stream()))
                .toList();
    }

    /** The days on which stock eat. */
    static Optional<Timeline.Grazing> days(PlanInTime plan, Operation.Graze o) {
        return plan.timeline().grazings().stream()
                .filter(g -> g.id().equals(o.id()))
                .findFirst();
    }

    private Optional<GrazingResult> of(Operation.Graze o, Timeline.Grazing days) {
        int r = ground.before(days.date());
        Band years = mass(r);
        if (years.middle() < LEAST_KG_HA) {
            return Optional.empty();
        }
        String prefix = "graze/" + cover.id() + "/" + o.id();
        Band tops = ModelError.widen(years, ModelError.OF_MASS);
        Figure eaten = Grazed.eaten(prefix, tops, o.takePercent());
        Optional<OfHerd> herd = o.stock()
                .flatMap(s -> s.head().map(head -> {
                    StockClass kind = plan.knowledge().stockClasses().get(s.kind());
                    return new Herd(
                                    kind,
                                    head,
                                    s.liveWeight().map(w -> w.in(Unit.KILOGRAM)).orElse(kind.liveWeightKg()),
                                    s.liveWeight().isPresent(),
                                    o.paddocks().orElse(1))
                            .on(prefix, eaten, plan.area());
                }));
        Band height = tallest(r);
        List<String> says = new ArrayList<>();
        unread(o).ifPresent(says::add);
        heights(days.date(), r, says);
        o.residualHeight()
                .map(h -> h.in(Unit.CENTIMETRE))
                .flatMap(cm -> residual(height.middle(), cm, o.takePercent()))
                .ifPresent(says::add);
        herd.flatMap(h -> stay(h, days)).ifPresent(says::add);
        o.until()
                .filter(u -> u.isAfter(days.until()))
                .ifPresent(u -> says.add("The cover ends on " + Shown.date(days.until())
                        + ": stock are taken to leave then, not on " + Shown.date(u) + "."));
        says.add(soil(days));
        return Optional.of(new GrazingResult(
                o.id(),
                days.date(),
                days.until(),
                eaten,
                days.days() == 1
                        ? Grazed.left(prefix, tops, o.takePercent())
                        : Grazed.leftAfter(
                                prefix,
                                ModelError.widen(mass(ground.before(days.until().plusDays(1))), ModelError.OF_MASS)),
                Grazed.heightLeft(prefix, height, o.takePercent()),
                herd,
                says));
    }

    private Band mass(int r) {
        return GroundCourse.band(ground.course().sum(r, plants, OfPlant.MASS_KG_HA));
    }

    private Band tallest(int r) {
        return plants.stream()
                .map(p -> ground.band(r, p, OfPlant.HEIGHT_M))
                .max(Comparator.comparingDouble(Band::middle))
                .map(b -> new Band(100 * b.low(), 100 * b.middle(), 100 * b.high()))
                .orElseThrow();
    }

    /** Cautions for the stock that nobody has read for this grazing. */
    private Optional<String> unread(Operation.Graze o) {
        Optional<StockClass> kind =
                o.stock().map(s -> plan.knowledge().stockClasses().get(s.kind()));
        List<String> open = cautions.stream()
                .filter(c -> kind.map(k -> c.concerns(k.animal())).orElse(true))
                .filter(c -> !o.heeded().orElse(List.of()).contains(c.caution().id()))
                .map(c -> c.caution().name().toLowerCase(Locale.ROOT))
                .toList();
        return open.isEmpty()
                ? Optional.empty()
                : Optional.of("Not read yet for " + kind.map(StockClass::name).orElse("the stock") + ": "
                        + String.join(", ", open) + ".");
    }

    private void heights(LocalDate on, int r, List<String> says) {
        double[] parts = StandParts.massKgHa(ground.course(), r, plants);
        double whole =
                IntStream.range(0, parts.length).mapToDouble(i -> parts[i]).sum();
        for (int i = 0; i < parts.length; i++) {
            if (parts[i] >= COUNTS * whole) {
                says.add(height(plants.get(i), on, r));
            }
        }
    }

    private String height(int plant, LocalDate on, int r) {
        Species s = plan.knowledge().species().get(ground.plantId(plant));
        double cm = 100 * ground.band(r, plant, OfPlant.HEIGHT_M).middle();
        double from = s.use().grazeHeightCm();
        String stands = s.name() + " stands " + Said.of(Math.round(cm), Unit.CENTIMETRE) + " then, ";
        String bears = Said.of(from, Unit.CENTIMETRE) + " from which it bears grazing";
        return cm >= from
                ? stands + "over the " + bears + "."
                : stands + "under the " + bears + ": roots and regrowth suffer."
                        + ready(plant, on, from)
                                .map(d -> " It reaches them about " + Shown.date(d) + ".")
                                .orElse(" It does not reach them before it ends.");
    }

    private Optional<LocalDate> ready(int plant, LocalDate from, double cm) {
        LocalDate last = cover.end()
                .map(e -> e.date())
                .or(() -> cover.next().flatMap(n -> n.planted()))
                .orElse(from.plusDays(120));
        for (LocalDate d = from; d.isBefore(last) && ground.covers(d); d = d.plusDays(1)) {
            if (100 * ground.on(d, plant, OfPlant.HEIGHT_M, last).middle() >= cm) {
                return Optional.of(d);
            }
        }
        return Optional.empty();
    }

    private static Optional<String> residual(double heightCm, double residualCm, double takePercent) {
        double most = Grazed.mostPercent(heightCm, residualCm);
        return takePercent <= most
                ? Optional.empty()
                : Optional.of("To leave " + Said.of(residualCm, Unit.CENTIMETRE) + " of the tallest, "
                        + (most == 0
                                ? "nothing may be eaten then."
                                : "at most " + Math.round(most) + " % may be eaten."));
    }

    private static Optional<String> stay(OfHerd herd, Timeline.Grazing days) {
        double feeds = herd.days().middle();
        if (days.days() == 1) {
            return feeds >= 2
                    ? Optional.of("The herd eats it in about " + Math.round(feeds)
                            + " days; the forecast takes it all on the first until the last day is entered.")
                    : Optional.empty();
        }
        return days.days() > 1.2 * feeds
                ? Optional.of("They stay " + days.days() + " days, and this feeds them about " + Math.round(feeds)
                        + ": from about " + Shown.date(days.date().plusDays(Math.round(feeds)))
                        + " they are moved, fed hay, or eat more than is said here.")
                : days.days() < 0.8 * feeds
                        ? Optional.of("They stay " + days.days() + " days and would eat this in about "
                                + Math.round(feeds) + ": less is eaten than is said here.")
                        : Optional.empty();
    }

    private String soil(Timeline.Grazing days) {
        double wet = WetTop.share(ground, days.date(), days.until());
        int members = ground.course().members();
        return (days.days() == 1
                        ? "The top of the soil is too wet for stock on that day in " + Math.round(wet * members)
                                + " of " + members + " years"
                        : "On about " + Math.round(wet * days.days()) + " of the " + days.days()
                                + " days the top of the soil is too wet for stock")
                + ": they make a pan of the top " + Said.span(5, 8, Unit.CENTIMETRE)
                + ". Off when a handful presses to a ribbon (gate Soil).";
    }
}
