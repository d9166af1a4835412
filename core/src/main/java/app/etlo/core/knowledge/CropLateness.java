package app.etlo.core.knowledge;

import app.etlo.core.quantity.Band;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;

/**
 * What a crop loses of its yield for each day that it is planted later, at 40 degrees of latitude and beyond; nearer to the equator the
 * dates do not hold.
 *
 * @param steps by the day of the year, in the order of the northern year; nothing is lost before the first
 */
public record CropLateness(String id, List<Step> steps) {
    /** Published for such latitudes. */
    public static final double FROM_LATITUDE = 38;

    private static final int HALF_A_YEAR = 182;

    /**
     * @param percent of the yield a day
     */
    public record Step(MonthDay from, Band percent, Source source) {}

    public CropLateness {
        steps = List.copyOf(steps);
    }

    /** Lost between two plantings, % of the yield; 0 where the second is not later. */
    public Band lost(LocalDate planned, LocalDate later, boolean southern) {
        double low = 0;
        double middle = 0;
        double high = 0;
        for (LocalDate d = planned; d.isBefore(later); d = d.plusDays(1)) {
            MonthDay day = MonthDay.from(southern ? d.plusDays(HALF_A_YEAR) : d);
            Band lost = steps.stream()
                    .filter(s -> !day.isBefore(s.from()))
                    .reduce((a, b) -> b)
                    .map(Step::percent)
                    .orElse(Band.exactly(0));
            low += lost.low();
            middle += lost.middle();
            high += lost.high();
        }
        return new Band(low, middle, high);
    }
}
