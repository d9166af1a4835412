package app.etlo.core.plan.chapter;

import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.plan.growth.PlanGround;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.quantity.Band;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.termination.LivingMulch;
import app.etlo.core.termination.LivingMulch.Day;
import app.etlo.core.termination.Termination;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** Reads from the plan's ground how a cover lives on under the crop after it. */
final class LivingMulches {
    private static final int STEP_DAYS = 7;
    /** In fewer years it is a kill that failed, which the kill check is for. */
    private static final double OFTEN = 0.5;

    /** Share of the ground; less is what a kill left, not a mulch. Etlo's own round share. */
    private static final double COVERS = 0.15;

    private LivingMulches() {}

    /** Empty without a simulation, where the crop is not planted, or where the cover does not live on in half of the years. */
    static Optional<LivingMulch> of(CoverInTime cover, Optional<PlanGround> ground) {
        Optional<LocalDate> planted = cover.next().flatMap(CropInTime::planted);
        return ground.filter(
                        g -> cover.sown().isPresent() && !g.plants(cover.id()).isEmpty())
                .flatMap(g -> planted.filter(d -> cover.sown().orElseThrow().isBefore(d))
                        .filter(d -> g.covers(d) && g.covers(d.plusDays(weedFree(cover) + STEP_DAYS)))
                        .flatMap(d -> of(cover, g, d)));
    }

    private static Optional<LivingMulch> of(CoverInTime cover, PlanGround g, LocalDate planted) {
        List<Integer> mulch = g.plants(cover.id());
        List<Integer> crop = g.plants(cover.next().orElseThrow().id());
        GroundCourse c = g.course();
        int look = g.before(planted.plusDays(LivingMulch.LOOK_DAYS));
        double[] then = c.sum(look, mulch, OfPlant.COVER);
        int alive = (int)
                IntStream.range(0, c.members()).filter(m -> then[m] > COVERS).count();
        if (crop.isEmpty() || alive < OFTEN * c.members()) {
            return Optional.empty();
        }
        List<Day> days = new ArrayList<>();
        for (int d = STEP_DAYS; d <= weedFree(cover); d += STEP_DAYS) {
            LocalDate on = planted.plusDays(d);
            int before = g.before(on.minusDays(STEP_DAYS));
            int r = g.before(on);
            days.add(new Day(
                    on,
                    tallest(g, r, mulch),
                    tallest(g, r, crop),
                    light(c, before, r, mulch, crop),
                    GroundCourse.band(c.sum(r, mulch, OfPlant.MASS_KG_HA)).middle(),
                    GroundCourse.band(c.sum(r, mulch, OfPlant.NITROGEN_KG_HA)).middle(),
                    cover.endings().stream()
                            .filter(e -> e.date().isAfter(on.minusDays(STEP_DAYS + 1L))
                                    && !e.date().isAfter(on))
                            .map(Termination::method)
                            .map(m -> m.name())
                            .toList()));
        }
        return Optional.of(LivingMulch.of(planted, weedFree(cover), alive, c.members(), days));
    }

    private static int weedFree(CoverInTime cover) {
        return LivingMulch.weedFreeDays(cover.next().orElseThrow().crop());
    }

    private static double tallest(PlanGround g, int r, List<Integer> plants) {
        return 100
                * plants.stream()
                        .mapToDouble(p -> g.band(r, p, OfPlant.HEIGHT_M).middle())
                        .max()
                        .orElse(0);
    }

    /** What the mulch took of the light that both took between two records, %. */
    private static Band light(GroundCourse c, int from, int to, List<Integer> mulch, List<Integer> crop) {
        double[] a = taken(c, from, to, mulch);
        double[] b = taken(c, from, to, crop);
        return GroundCourse.band(IntStream.range(0, a.length)
                .mapToDouble(m -> a[m] + b[m] > 0 ? 100 * a[m] / (a[m] + b[m]) : 0)
                .toArray());
    }

    private static double[] taken(GroundCourse c, int from, int to, List<Integer> plants) {
        double[] before = c.sum(from, plants, OfPlant.LIGHT_MJ_M2);
        double[] after = c.sum(to, plants, OfPlant.LIGHT_MJ_M2);
        return IntStream.range(0, before.length)
                .mapToDouble(m -> Math.max(0, after[m] - before[m]))
                .toArray();
    }
}
