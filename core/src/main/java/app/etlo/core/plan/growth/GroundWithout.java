package app.etlo.core.plan.growth;

import app.etlo.core.ground.CoverCost;
import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.quantity.Band;
import app.etlo.core.weather.Percentiles;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The ground at the start of a crop, by weather year.
 *
 * @param waterMm that roots can draw on the evening before planting
 * @param nitrogenKgHa mineral to 60 cm and in the crop's tops, some weeks later
 * @param residueKgHa nitrogen in residue then
 */
record GroundWithout(double[] waterMm, double[] nitrogenKgHa, double[] residueKgHa) {
    /** So long after planting a crop lives on what is free in the soil, and what is bound is missed most: weeks 2 to 6. */
    static final int YOUNG_DAYS = 28;

    /**
     * @param planting record of the evening before planting
     * @param young record some weeks later
     * @param crop plants of the crop
     */
    static GroundWithout of(GroundCourse c, int planting, int young, List<Integer> crop) {
        double[] inCrop = c.sum(young, crop, OfPlant.NITROGEN_KG_HA);
        return new GroundWithout(
                c.ground(planting, OfGround.AVAILABLE_WATER_MM),
                IntStream.range(0, c.members())
                        .mapToDouble(m -> inCrop[m]
                                + c.ground(young, OfGround.MINERAL_N_1, m)
                                + c.ground(young, OfGround.MINERAL_N_2, m)
                                + c.ground(young, OfGround.MINERAL_N_3, m))
                        .toArray(),
                c.ground(young, OfGround.RESIDUE_N_KG_HA));
    }

    /** What a cover costs that the other ground carries. */
    CoverCost against(GroundWithout with, LocalDate planted, LocalDate young) {
        return new CoverCost(
                planted,
                less(waterMm, with.waterMm),
                Percentiles.of(with.waterMm).at(0.5),
                young,
                less(nitrogenKgHa, with.nitrogenKgHa),
                Percentiles.of(with.nitrogenKgHa).at(0.5),
                less(with.residueKgHa, residueKgHa).middle());
    }

    private static Band less(double[] without, double[] with) {
        return GroundCourse.band(IntStream.range(0, without.length)
                .mapToDouble(m -> without[m] - with[m])
                .toArray());
    }
}
