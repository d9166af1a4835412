package app.etlo.core.plan.chapter;

import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.nitrogen.SupplyAndUptake;
import app.etlo.core.nitrogen.SupplyAndUptake.Week;
import app.etlo.core.nitrogen.UsualFeeding;
import app.etlo.core.plan.growth.EarlyNitrogen;
import app.etlo.core.plan.growth.PlanGround;
import app.etlo.core.plan.timeline.CropNeed;
import app.etlo.core.plan.timeline.PlanInTime;
import app.etlo.core.plan.timeline.Timeline;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Unit;
import app.etlo.core.rotation.CropInTime;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** Reads a crop's uptake and supply from the plan's ground. */
final class Supplies {
    private static final int DAYS = 7;
    /** A year and a bit: a winter crop from its autumn on. */
    private static final int MOST_WEEKS = 60;
    /** A week that takes up less and is not fed is left out, kg/ha. */
    private static final double LEAST_KG_HA = 1;

    private final PlanInTime plan;
    private final CropInTime crop;
    private final PlanGround ground;
    private final List<Integer> plants;

    private Supplies(PlanInTime plan, CropInTime crop, PlanGround ground) {
        this.plan = plan;
        this.crop = crop;
        this.ground = ground;
        this.plants = ground.plants(crop.id());
    }

    /** Empty for a crop that is not simulated ahead, or needs none. */
    static Optional<SupplyAndUptake> of(PlanInTime plan, CropInTime crop, Optional<PlanGround> ground) {
        boolean needs = crop.crop().need().filter(n -> n.value().middle() > 0).isPresent();
        return ground.filter(g -> needs && !g.plants(crop.id()).isEmpty())
                .flatMap(g -> crop.planted()
                        .filter(d -> g.covers(d) && g.covers(d.plusDays(DAYS + 1L)))
                        .map(d -> new Supplies(plan, crop, g).weeks(d)))
                .filter(s -> !s.weeks().isEmpty());
    }

    private SupplyAndUptake weeks(LocalDate planted) {
        GroundCourse c = ground.course();
        List<Week> weeks = new ArrayList<>();
        for (int w = 1; w <= MOST_WEEKS; w++) {
            LocalDate on = planted.plusDays((long) DAYS * w);
            if (!ground.covers(on.plusDays(1))
                    || crop.harvested().filter(h -> !on.isBefore(h)).isPresent()) {
                break;
            }
            int before = ground.before(on.minusDays(DAYS - 1L));
            int at = ground.before(on.plusDays(1));
            double[] had = c.sum(before, plants, OfPlant.NITROGEN_KG_HA);
            double[] has = c.sum(at, plants, OfPlant.NITROGEN_KG_HA);
            double[] uptake = IntStream.range(0, had.length)
                    .mapToDouble(m -> Math.max(0, has[m] - had[m]))
                    .toArray();
            double[] free = IntStream.range(0, had.length)
                    .mapToDouble(m -> EarlyNitrogen.mineralKgHa(c, at, m))
                    .toArray();
            int shortYears = (int) IntStream.range(0, had.length)
                    .filter(m -> uptake[m] >= SupplyAndUptake.ASKS_KG_HA && free[m] < SupplyAndUptake.SHORT_KG_HA)
                    .count();
            double fed = fed(on.minusDays(DAYS), on, w == 1);
            Band up = GroundCourse.band(uptake);
            if (up.high() < LEAST_KG_HA && fed == 0 && w > 1) {
                continue;
            }
            weeks.add(new Week(
                    w,
                    on,
                    up,
                    GroundCourse.band(free),
                    ground.band(at, OfGround.RESIDUE_N_KG_HA).middle(),
                    fed,
                    shortYears));
        }
        int eve = ground.before(planted);
        return SupplyAndUptake.of(
                weeks,
                c.members(),
                GroundCourse.band(IntStream.range(0, c.members())
                        .mapToDouble(m -> EarlyNitrogen.mineralKgHa(c, eve, m))
                        .toArray()));
    }

    /** After one day, up to another; in the first week what was fed before planting too. */
    private double fed(LocalDate after, LocalDate to, boolean first) {
        List<Timeline.Feeding> planned = plan.timeline().feedings(crop.id());
        if (!planned.isEmpty()) {
            return planned.stream()
                    .filter(f -> !f.date().isAfter(to) && (first || f.date().isAfter(after)))
                    .mapToDouble(Timeline.Feeding::nitrogenKgHa)
                    .sum();
        }
        double all = CropNeed.last(CropNeed.assumed(plan, crop))
                .map(f -> f.in(Unit.KG_PER_HA))
                .orElse(0.0);
        return CropNeed.usualFeeding(plan, crop).stream()
                .filter(p -> !p.on().isAfter(to) && (first || p.on().isAfter(after)))
                .mapToDouble((UsualFeeding.Part p) -> p.kgHa(all))
                .sum();
    }
}
