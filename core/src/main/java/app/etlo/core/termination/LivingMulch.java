package app.etlo.core.termination;

import app.etlo.core.knowledge.Crop;
import app.etlo.core.quantity.Band;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A cover that lives on under the crop after it.
 *
 * @param aliveYears in which something of it lives three weeks after planting, of {@code years}
 * @param days from planting to the end of the crop's weed-free period
 * @param suppressBy first of them on which it stands over half as tall as the crop and takes over a quarter of the light; empty where
 *     it never does
 */
public record LivingMulch(
        LocalDate planted,
        LocalDate weedFreeUntil,
        int aliveYears,
        int years,
        List<Day> days,
        Optional<LocalDate> suppressBy) {
    public static final Source SOURCE = Source.fromMemory(
            "weed-free until about 14 leaves in corn (Hall et al. 1992, Weed Science 40:441) and V4 in soybean (Van Acker et al. 1993, Weed"
                    + " Science 41:194)");
    private static final int CORN_DAYS = 56;
    private static final int OTHER_DAYS = 42;

    /** When the first look after planting is due. */
    public static final int LOOK_DAYS = 21;

    private static final double TALL = 0.5;
    private static final double SHADING = 0.25;

    /**
     * The ground between the rows on a day, middle of the years.
     *
     * @param mulchCm height of its tallest
     * @param lightPercent of the light that both took since the day before in the list, what the mulch took
     * @param mulchKgHa dry tops
     * @param nitrogenKgHa in them
     * @param passes of its end that fall between the day before in the list and this one, by name
     */
    public record Day(
            LocalDate on,
            double mulchCm,
            double cropCm,
            Band lightPercent,
            double mulchKgHa,
            double nitrogenKgHa,
            List<String> passes) {
        boolean presses() {
            return mulchCm > TALL * cropCm && lightPercent.middle() > 100 * SHADING;
        }
    }

    public LivingMulch {
        days = List.copyOf(days);
    }

    /** From planting to the end of a crop's weed-free period: eight weeks bring corn to about 14 leaves, six others to V4 and beyond. */
    public static int weedFreeDays(Crop crop) {
        return crop.id().endsWith("corn") ? CORN_DAYS : OTHER_DAYS;
    }

    public static LivingMulch of(LocalDate planted, int weedFreeDays, int aliveYears, int years, List<Day> days) {
        return new LivingMulch(
                planted,
                planted.plusDays(weedFreeDays),
                aliveYears,
                years,
                days,
                days.stream().filter(Day::presses).map(Day::on).findFirst());
    }
}
