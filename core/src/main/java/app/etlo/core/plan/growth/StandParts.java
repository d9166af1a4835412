package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.weather.MiddleParts;
import app.etlo.core.weather.Percentiles;
import java.util.List;

/** The dry tops of a stand on an evening and the nitrogen in them, plant by plant, so that they add up to those of the stand. */
public final class StandParts {
    private StandParts() {}

    private static double[][] each(GroundCourse course, int record, List<Integer> plants, OfPlant v) {
        return plants.stream().map(p -> course.plant(record, p, v)).toArray(double[][]::new);
    }

    /** kg/ha, in the order of the plants. */
    public static double[] massKgHa(GroundCourse course, int record, List<Integer> plants) {
        return MiddleParts.of(each(course, record, plants, OfPlant.MASS_KG_HA));
    }

    /** The middle share of nitrogen in the tops of all of them, 0 to 1. */
    public static double nitrogenShare(GroundCourse course, int record, List<Integer> plants) {
        return MiddleParts.ratio(
                course.sum(record, plants, OfPlant.NITROGEN_KG_HA), course.sum(record, plants, OfPlant.MASS_KG_HA));
    }

    /** In all of them, kg/ha: the middle of their mass times the middle of its share of nitrogen. */
    public static double allNitrogenKgHa(GroundCourse course, int record, List<Integer> plants) {
        return Percentiles.of(course.sum(record, plants, OfPlant.MASS_KG_HA)).at(0.5)
                * nitrogenShare(course, record, plants);
    }

    /** kg/ha, in the order of the plants. */
    public static double[] nitrogenKgHa(GroundCourse course, int record, List<Integer> plants) {
        double[] parts = MiddleParts.shares(each(course, record, plants, OfPlant.NITROGEN_KG_HA));
        double all = allNitrogenKgHa(course, record, plants);
        for (int i = 0; i < parts.length; i++) {
            parts[i] *= all;
        }
        return parts;
    }
}
