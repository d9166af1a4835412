package app.etlo.core.plan.growth;

import app.etlo.core.ground.CoverCost;
import app.etlo.core.ground.GroundCourse;
import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.quantity.Band;
import app.etlo.core.weather.Percentiles;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The ground at the start of a crop, by weather year.
 *
 * @param waterMm that roots can draw on the evening before planting
 * @param early nitrogen by the {@link #WEEKS}
 * @param freed nitrogen out of residue from one evening to another, kg/ha
 */
record GroundWithout(double[] waterMm, List<Nitrogen> early, double[] freed) {
    /** After planting: so long a crop lives on what is free in the soil, and what is bound is missed most. */
    static final List<Integer> WEEKS = List.of(2, 4, 6);

    static final int LAST_DAY = 42;
    /** Days after planting by which most crops have taken up what they take, and residue has freed what it frees in a season. */
    static final int SEASON_DAYS = 84;

    /**
     * By weather year, kg/ha.
     *
     * @param free mineral to 60 cm and in the crop's tops
     * @param residue in residue
     */
    private record Nitrogen(double[] free, double[] residue) {}

    GroundWithout {
        early = List.copyOf(early);
    }

    /**
     * @param planting record of the evening before planting
     * @param evenings their records, by the {@link #WEEKS}
     * @param crop plants of the crop
     * @param from record from which residue frees nitrogen
     * @param until record until which it does
     */
    static GroundWithout of(
            GroundCourse c, int planting, List<Integer> evenings, List<Integer> crop, int from, int until) {
        return new GroundWithout(
                c.ground(planting, OfGround.AVAILABLE_WATER_MM),
                evenings.stream().map(r -> nitrogen(c, r, crop)).toList(),
                minus(c.ground(from, OfGround.RESIDUE_N_KG_HA), c.ground(until, OfGround.RESIDUE_N_KG_HA)));
    }

    private static Nitrogen nitrogen(GroundCourse c, int record, List<Integer> crop) {
        return new Nitrogen(EarlyNitrogen.freeKgHa(c, record, crop), c.ground(record, OfGround.RESIDUE_N_KG_HA));
    }

    /** What a cover costs that the other ground carries. */
    CoverCost against(
            GroundWithout with, LocalDate planted, List<LocalDate> evenings, LocalDate from, LocalDate until) {
        return new CoverCost(
                planted,
                less(waterMm, with.waterMm),
                Percentiles.of(with.waterMm).at(0.5),
                IntStream.range(0, WEEKS.size())
                        .mapToObj(i -> new CoverCost.Early(
                                WEEKS.get(i),
                                evenings.get(i),
                                less(early.get(i).free, with.early.get(i).free),
                                Percentiles.of(with.early.get(i).free).at(0.5),
                                less(with.early.get(i).residue, early.get(i).residue)
                                        .middle()))
                        .toList(),
                new CoverCost.Released(from, until, less(with.freed, freed)));
    }

    private static Band less(double[] without, double[] with) {
        return GroundCourse.band(minus(without, with));
    }

    private static double[] minus(double[] a, double[] b) {
        return IntStream.range(0, a.length).mapToDouble(m -> a[m] - b[m]).toArray();
    }
}
