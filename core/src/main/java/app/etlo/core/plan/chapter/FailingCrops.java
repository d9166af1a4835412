package app.etlo.core.plan.chapter;

import app.etlo.core.ground.CropFailure;
import app.etlo.core.ground.CropFailure.Cause;
import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.plan.growth.PlanGround;
import app.etlo.core.plan.timeline.CoverInTime;
import app.etlo.core.rotation.CropInTime;
import app.etlo.core.weather.Percentiles;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/** Which crops the simulation does not bring to a harvest, and the likeliest cause that it shows. */
final class FailingCrops {
    /** A crop fails with less than this share of the tops that its lowest usual yield stands on; Etlo's own. */
    private static final double FAILS = 0.4;
    /** Of a crop of which no harvest index is held. */
    private static final double LEAST_T_HA = 1;
    /** Days after planting on which its start is looked at. */
    private static final int YOUNG_DAYS = 30;
    /** So much of a cover beside a young crop chokes it. */
    private static final double CHOKES_KG_HA = 300;

    private static final double DRY_MM = 20;
    private static final double RIPE = 1.6;

    private final PlanGround ground;
    private final List<CoverInTime> covers;

    FailingCrops(PlanGround ground, List<CoverInTime> covers) {
        this.ground = ground;
        this.covers = covers;
    }

    /** By crop. */
    Map<String, CropFailure> of(List<CropInTime> crops) {
        Map<String, CropFailure> found = new LinkedHashMap<>();
        crops.forEach(c -> of(c).ifPresent(f -> found.put(c.id(), f)));
        return found;
    }

    private Optional<CropFailure> of(CropInTime c) {
        List<Integer> plants = ground.plants(c.id());
        Optional<LocalDate> harvested = c.harvested().filter(ground::covers);
        Optional<LocalDate> planted = c.planted().filter(ground::covers);
        if (plants.isEmpty() || harvested.isEmpty() || planted.isEmpty()) {
            return Optional.empty();
        }
        double leastTHa = c.crop()
                .harvestIndex()
                .map(index -> c.crop().yieldKgHa().low() / index / 1000)
                .orElse(LEAST_T_HA);
        double tHa = middle(ground.course().sum(ground.before(harvested.get()), plants, OfPlant.PEAK_KG_HA)) / 1000;
        return tHa >= FAILS * leastTHa
                ? Optional.empty()
                : Optional.of(cause(c, plants, planted.get(), harvested.get(), tHa, leastTHa));
    }

    private CropFailure cause(
            CropInTime c, List<Integer> plants, LocalDate planted, LocalDate harvested, double tHa, double leastTHa) {
        GroundCourse course = ground.course();
        int young = course.recordOf(ground.day(planted.plusDays(YOUNG_DAYS)));
        List<Integer> alive = covers.stream()
                .filter(v -> v.sown().filter(d -> d.isBefore(planted)).isPresent())
                .flatMap(v -> ground.plants(v.id()).stream())
                .toList();
        double beside = alive.isEmpty() ? 0 : middle(course.sum(young, alive, OfPlant.MASS_KG_HA));
        if (beside > CHOKES_KG_HA) {
            return new CropFailure(tHa, leastTHa, Cause.COVER_ALIVE, beside);
        }
        int last = ground.before(harvested);
        double driestMm = IntStream.rangeClosed(young, last)
                .mapToDouble(r -> middle(course.ground(r, OfGround.AVAILABLE_WATER_MM)))
                .min()
                .orElse(DRY_MM);
        if (tHa <= 0) {
            return new CropFailure(tHa, leastTHa, Cause.NOT_UP, driestMm);
        }
        if (driestMm < DRY_MM) {
            return new CropFailure(tHa, leastTHa, Cause.NO_WATER, driestMm);
        }
        boolean dead = middle(course.sum(last, plants, OfPlant.MASS_KG_HA)) <= 0;
        boolean unripe = middle(course.plant(last, plants.get(0), OfPlant.REACHED_STAGE)) < RIPE;
        return new CropFailure(tHa, leastTHa, dead && unripe ? Cause.FROST : Cause.OTHER, 0);
    }

    private static double middle(double[] years) {
        return Percentiles.of(years).at(0.5);
    }
}
