package app.etlo.core.plan.growth;

import app.etlo.core.ground.GroundCourse.OfPlant;
import java.util.List;

/**
 * What each species of a mix has grown to until its last evening, by species and weather year; what frost killed counts as it stood.
 *
 * @param massKgHa dry tops when it weighed most
 * @param lightMjM2 light they have taken
 * @param madeKgHa tops they have made, with what they lost since
 * @param nitrogenKgHa in the tops then
 */
public record GrownMix(double[][] massKgHa, double[][] lightMjM2, double[][] madeKgHa, double[][] nitrogenKgHa) {
    static GrownMix of(PlanGround ground, List<Integer> plants, int record) {
        return new GrownMix(
                read(ground, plants, record, OfPlant.PEAK_KG_HA),
                read(ground, plants, record, OfPlant.LIGHT_MJ_M2),
                read(ground, plants, record, OfPlant.MADE_KG_HA),
                read(ground, plants, record, OfPlant.PEAK_NITROGEN_KG_HA));
    }

    private static double[][] read(PlanGround ground, List<Integer> plants, int record, OfPlant v) {
        return plants.stream().map(p -> ground.course().plant(record, p, v)).toArray(double[][]::new);
    }
}
