package app.etlo.core.plan.chapter;

import app.etlo.core.advice.EndFacts;
import app.etlo.core.ground.CoverCost;
import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.ground.SeedZone;
import app.etlo.core.knowledge.Species;
import app.etlo.core.knowledge.StageSpread;
import app.etlo.core.mix.Prospect;
import app.etlo.core.plan.document.Operation;
import app.etlo.core.plan.document.PlanLookup;
import app.etlo.core.plan.growth.PlanGround;
import app.etlo.core.plan.growth.PlanGrowth;
import app.etlo.core.plan.growth.StandParts;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.plan.timeline.Timeline;
import app.etlo.core.termination.Termination;
import app.etlo.core.weather.Percentiles;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Reads from the plan's ground what judgements on the end of a cover look at. */
final class EndFactsOf {
    private static final int SOON_DAYS = 10;
    /** Three weeks before planting is when a dry spring is decided. */
    private static final int AHEAD_DAYS = 21;

    private static final int EMERGED_DAYS = 10;
    /** Fed so near to planting it is fed at planting. */
    private static final int AT_PLANTING_DAYS = 3;

    /** In soil this cold nothing opens and no bee flies (common practice: from 8 to 10 degrees on). */
    private static final double BEES_FLY_C = 8;

    private static final double LEAST_KG_HA = 1;
    private static final String PRUSSIC_ACID = "prussic-acid";

    private final PlanInTime plan;
    private final CoverInTime cover;
    private final PlanGround ground;
    private final List<Integer> plants;

    private EndFactsOf(PlanInTime plan, CoverInTime cover, PlanGround ground) {
        this.plan = plan;
        this.cover = cover;
        this.ground = ground;
        this.plants = ground.plants(cover.id());
    }

    static EndFacts of(PlanInTime plan, CoverInTime cover, PlanGrowth growth) {
        Optional<LocalDate> end = cover.endsOn();
        return growth.ground()
                .filter(g -> cover.sown().isPresent() && end.filter(g::covers).isPresent())
                .map(g -> new EndFactsOf(plan, cover, g))
                .map(f -> f.facts(end.orElseThrow(), growth.cost(cover)).grazing(f.grazed()))
                .orElse(EndFacts.NONE);
    }

    private EndFacts facts(LocalDate end, Optional<CoverCost> cost) {
        int r = ground.before(end);
        GroundCourse c = ground.course();
        double[] tops = c.sum(r, plants, OfPlant.MASS_KG_HA);
        double middle = Percentiles.of(tops).at(0.5);
        double share = StandParts.nitrogenShare(c, r, plants);
        return new EndFacts(
                new EndFacts.Stand(
                        middle,
                        middle < LEAST_KG_HA || share <= 0
                                ? Optional.empty()
                                : Optional.of(Prospect.CARBON_SHARE / share),
                        IntStream.range(0, tops.length).filter(m -> tops[m] > 0).count() / (double) tops.length,
                        part(r, middle, s -> s.group().isLegume()),
                        part(r, middle, s -> s.group().isGrass())),
                plants(r, end),
                water(end, cost),
                nearRow());
    }

    private List<EndFacts.Grazed> grazed() {
        return Stream.concat(
                        new PlanLookup(plan.plan())
                                .all(Operation.Graze.class)
                                .filter(o ->
                                        o.subject().filter(cover.id()::equals).isPresent())
                                .flatMap(o -> ForageChapter.days(plan, o).map(Timeline.Grazing::date).stream()),
                        cover.endings().stream()
                                .filter(e -> e.method().grazes())
                                .map(Termination::date))
                .filter(ground::covers)
                .map(d -> new EndFacts.Grazed(d, WetTop.share(ground, d, d), sorghum(d)))
                .toList();
    }

    private List<EndFacts.Sorghum> sorghum(LocalDate d) {
        return plants.stream()
                .filter(p -> species(p).use().cautions().contains(PRUSSIC_ACID))
                .map(p -> new EndFacts.Sorghum(
                        species(p).name(),
                        d,
                        100 * ground.band(ground.before(d), p, OfPlant.HEIGHT_M).middle(),
                        species(p).use().grazeHeightCm(),
                        plan.frost().filter(f -> f.isFrosty(d)).isPresent()))
                .toList();
    }

    private Species species(int plant) {
        return plan.knowledge().species().get(ground.plantId(plant));
    }

    private double part(int r, double whole, java.util.function.Predicate<Species> which) {
        double[] parts = StandParts.massKgHa(ground.course(), r, plants);
        double sum = IntStream.range(0, parts.length)
                .filter(i -> which.test(species(plants.get(i))))
                .mapToDouble(i -> parts[i])
                .sum();
        return whole > 0 ? Math.min(1, sum / whole) : 0;
    }

    private EndFacts.Plants plants(int r, LocalDate end) {
        GroundCourse c = ground.course();
        Map<String, Double> farEnough = new LinkedHashMap<>();
        Map<String, Double> inBloom = new LinkedHashMap<>();
        Map<String, Double> seedSoon = new LinkedHashMap<>();
        Map<String, Double> stages = new LinkedHashMap<>();
        boolean before = ground.covers(end.minusDays(SOON_DAYS));
        int then = before ? ground.before(end.minusDays(SOON_DAYS)) : r;
        int apart = Math.max(1, c.recordedDay(r) - c.recordedDay(then));
        for (int p : plants) {
            double[] alive = c.plant(r, p, OfPlant.MASS_KG_HA);
            double[] stage = c.plant(r, p, OfPlant.STAGE);
            double[] was = c.plant(then, p, OfPlant.STAGE);
            int[] years =
                    IntStream.range(0, alive.length).filter(m -> alive[m] > 0).toArray();
            if (years.length == 0) {
                continue;
            }
            Species s = species(p);
            farEnough.put(
                    s.id(),
                    Percentiles.of(IntStream.of(years)
                                    .mapToDouble(m -> StageSpread.farEnough(stage[m], StageSpread.half(s)))
                                    .toArray())
                            .at(0.5));
            stages.put(
                    s.id(),
                    Percentiles.of(IntStream.of(years)
                                    .mapToDouble(m -> stage[m])
                                    .toArray())
                            .at(0.5));
            inBloom.put(
                    s.id(),
                    share(years, alive.length, m -> stage[m] >= 1 && c.ground(r, OfGround.SOIL_C, m) >= BEES_FLY_C));
            seedSoon.put(
                    s.id(),
                    share(
                            years,
                            alive.length,
                            m -> stage[m] >= 1
                                    && stage[m] + (stage[m] - was[m]) * SOON_DAYS / apart >= Prospect.VIABLE_SEED));
        }
        return new EndFacts.Plants(farEnough, inBloom, seedSoon, stages);
    }

    private static double share(int[] years, int of, java.util.function.IntPredicate when) {
        return IntStream.of(years).filter(when).count() / (double) of;
    }

    private Optional<EndFacts.Water> water(LocalDate end, Optional<CoverCost> cost) {
        Optional<LocalDate> planted = EndPlanning.planted(cover)
                .filter(d -> d.isAfter(plan.asOf()) && ground.covers(d) && ground.covers(d.minusDays(AHEAD_DAYS)));
        return planted.flatMap(d -> plan.years().map(y -> {
            GroundCourse c = ground.course();
            int ahead = ground.before(d.minusDays(AHEAD_DAYS));
            int at = ground.before(d);
            double[] top = IntStream.range(0, c.members())
                    .mapToDouble(m -> (c.ground(ahead, OfGround.WATER_1, m)
                                    + c.ground(ahead, OfGround.WATER_2, m)
                                    + c.ground(ahead, OfGround.WATER_3, m))
                            / 3)
                    .toArray();
            LocalDate from = end.isBefore(d) ? end : d;
            return new EndFacts.Water(
                    Percentiles.of(top).at(0.5),
                    Percentiles.of(y.rain(from, d.plusDays(EMERGED_DAYS))).at(0.5),
                    cost.map(k -> k.waterMm().middle()).orElse(0.0),
                    SeedZone.dryYearsPercent(c, at));
        }));
    }

    private double nearRow() {
        Optional<LocalDate> planted = EndPlanning.planted(cover);
        if (planted.isEmpty()) {
            return 0;
        }
        String crop = cover.next().orElseThrow().id();
        Set<String> near = new PlanLookup(plan.plan())
                .all(Operation.Feed.class)
                .filter(f -> f.placement()
                        .filter(Operation.Feed.NEAR_THE_ROW::contains)
                        .isPresent())
                .map(Operation::id)
                .collect(Collectors.toSet());
        return plan.timeline().feedings(crop).stream()
                .filter(f -> near.contains(f.id())
                        && Math.abs(ChronoUnit.DAYS.between(f.date(), planted.get())) <= AT_PLANTING_DAYS)
                .mapToDouble(Timeline.Feeding::nitrogenKgHa)
                .sum();
    }
}
