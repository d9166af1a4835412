package app.etlo.core.plan.shown;

import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.ground.GroundSoil;
import app.etlo.core.ground.ModelError;
import app.etlo.core.plan.growth.PlanGround;
import app.etlo.core.plan.shown.Evaluation.GroundWeeks;
import app.etlo.core.plan.shown.Evaluation.GrownView;
import app.etlo.core.quantity.Band;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/** The simulated ground by weeks, as rounded numbers for the section. */
public final class GroundSeries {
    private static final int WEEK = 7;
    private static final double DEAD_SHARE = 0.03;
    private static final double ERROR_OF_HEIGHT = 0.15;
    private static final double ERROR_OF_WATER = 0.15;

    private GroundSeries() {}

    /** The days of an outline: every seven from a stand's first to its last, and the last. */
    private static List<LocalDate> days(LocalDate from, LocalDate to) {
        List<LocalDate> days = new ArrayList<>();
        for (LocalDate d = from; d.isBefore(to); d = d.plusDays(WEEK)) {
            days.add(d);
        }
        days.add(to);
        return days;
    }

    private static List<Integer> each(
            PlanGround g, int plant, OfPlant v, LocalDate from, LocalDate to, ToDoubleFunction<Band> read) {
        return days(from, to).stream()
                .map(d -> (int) Math.round(read.applyAsDouble(g.on(d, plant, v, to.minusDays(1)))))
                .toList();
    }

    static List<Integer> heightsCm(PlanGround g, String stand, String plant, LocalDate from, LocalDate to) {
        return each(g, g.plant(stand, plant), OfPlant.HEIGHT_M, from, to, b -> 100 * b.middle());
    }

    /**
     * @param errorOfMass of the stand, one standard deviation as a share of the middle
     */
    static GrownView grown(PlanGround g, String stand, String plant, LocalDate from, LocalDate to, double errorOfMass) {
        int p = g.plant(stand, plant);
        Function<Band, Band> mass = b -> ModelError.widen(b, errorOfMass);
        Function<Band, Band> height = b -> ModelError.widen(b, ERROR_OF_HEIGHT);
        return new GrownView(
                each(g, p, OfPlant.MASS_KG_HA, from, to, Band::middle),
                each(g, p, OfPlant.MASS_KG_HA, from, to, b -> mass.apply(b).low()),
                each(g, p, OfPlant.MASS_KG_HA, from, to, b -> mass.apply(b).high()),
                each(
                        g,
                        p,
                        OfPlant.HEIGHT_M,
                        from,
                        to,
                        b -> 100 * height.apply(b).low()),
                each(
                        g,
                        p,
                        OfPlant.HEIGHT_M,
                        from,
                        to,
                        b -> 100 * height.apply(b).high()),
                each(g, p, OfPlant.ROOT_M, from, to, b -> 100 * b.middle()),
                each(g, p, OfPlant.NITROGEN_KG_HA, from, to, Band::middle),
                each(g, p, OfPlant.COVER, from, to, b -> 100 * b.middle()),
                each(g, p, OfPlant.STAGE, from, to, b -> 100 * b.middle()),
                days(from, to).stream()
                        .map(d -> (int) Math.round(100 * alive(g, p, d, to)))
                        .toList());
    }

    /** Share of the years in which a plant stands on a day. */
    private static double alive(PlanGround g, int plant, LocalDate day, LocalDate to) {
        int record = g.before(day.isBefore(to) ? day.plusDays(1) : to);
        double n = 0;
        double[] stand = g.course().plant(record, plant, OfPlant.STAND);
        for (double s : stand) {
            n += s >= DEAD_SHARE ? 1 : 0;
        }
        return n / stand.length;
    }

    /** The week from which it is dead in half of the years though nothing was done to it; empty when it lives to its end. */
    static Optional<LocalDate> lost(PlanGround g, String stand, String plant, LocalDate from, LocalDate to) {
        int p = g.plant(stand, plant);
        boolean stood = false;
        for (LocalDate d : days(from, to)) {
            double share = alive(g, p, d, to);
            stood |= share >= 0.5;
            if (stood && share < 0.5) {
                return Optional.of(d);
            }
        }
        return Optional.empty();
    }

    static GroundWeeks weeks(PlanGround g, LocalDate from, LocalDate to) {
        List<Integer> records = new ArrayList<>();
        for (LocalDate d = from; !d.isAfter(to); d = d.plusDays(WEEK)) {
            records.add(g.course().recordOf(Math.max(0, g.day(d))));
        }
        OfGround[] water = {OfGround.WATER_1, OfGround.WATER_2, OfGround.WATER_3, OfGround.WATER_4, OfGround.WATER_5};
        return new GroundWeeks(
                read(g, records, OfGround.LIVING_COVER, b -> 100 * b.middle()),
                read(g, records, OfGround.RESIDUE_COVER, b -> 100 * b.middle()),
                read(g, records, OfGround.RESIDUE_KG_HA, Band::middle),
                read(
                        g,
                        records,
                        OfGround.RESIDUE_KG_HA,
                        b -> ModelError.widen(b, ModelError.OF_MASS).low()),
                read(
                        g,
                        records,
                        OfGround.RESIDUE_KG_HA,
                        b -> ModelError.widen(b, ModelError.OF_MASS).high()),
                read(g, records, OfGround.MINERAL_N_KG_HA, Band::middle),
                read(g, records, OfGround.AVAILABLE_WATER_MM, Band::middle),
                read(
                        g,
                        records,
                        OfGround.AVAILABLE_WATER_MM,
                        b -> ModelError.widen(b, ERROR_OF_WATER).low()),
                read(
                        g,
                        records,
                        OfGround.AVAILABLE_WATER_MM,
                        b -> ModelError.widen(b, ERROR_OF_WATER).high()),
                GroundSoil.bottomsM().stream()
                        .map(m -> (int) Math.round(100 * m))
                        .toList(),
                java.util.Arrays.stream(water)
                        .map(w -> read(g, records, w, b -> 100 * b.middle()))
                        .toList());
    }

    private static List<Integer> read(PlanGround g, List<Integer> records, OfGround v, ToDoubleFunction<Band> of) {
        return records.stream()
                .map(r -> (int) Math.round(of.applyAsDouble(g.band(r, v))))
                .toList();
    }
}
