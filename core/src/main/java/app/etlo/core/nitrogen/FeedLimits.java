package app.etlo.core.nitrogen;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Optional;

/**
 * What law allows a crop, as the adviser typed it.
 *
 * @param ceilingKgHa of all nitrogen brought to it, kg/ha
 * @param closed days of the year on which nothing may be brought out
 */
public record FeedLimits(Optional<Double> ceilingKgHa, Optional<Closed> closed) {
    public static final FeedLimits NONE = new FeedLimits(Optional.empty(), Optional.empty());

    /** From one day of the year to another, both in; it may run over the turn of the year. */
    public record Closed(MonthDay from, MonthDay to) {
        public boolean holds(LocalDate date) {
            MonthDay day = MonthDay.from(date);
            boolean late = !day.isBefore(from);
            boolean early = !day.isAfter(to);
            return from.isAfter(to) ? late || early : late && early;
        }
    }
}
