package app.etlo.core.plan.timeline;

import app.etlo.core.quantity.Shown;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A date of the plan as it falls in a middle year.
 *
 * @param early the day of 1 year in 10, where weather decides it
 * @param late the day of 9 years in 10
 * @param how in words, where it was not typed
 */
public record DatedBy(LocalDate on, Optional<LocalDate> early, Optional<LocalDate> late, Optional<String> how) {
    static DatedBy typed(LocalDate on) {
        return new DatedBy(on, Optional.empty(), Optional.empty(), Optional.empty());
    }

    /** So many days later, or earlier where below 0; as sure as the day it follows. */
    DatedBy moved(int days) {
        String how = Math.abs(days) + (Math.abs(days) == 1 ? " day " : " days ") + (days < 0 ? "before " : "after ");
        return new DatedBy(
                on.plusDays(days),
                early.map(d -> d.plusDays(days)),
                late.map(d -> d.plusDays(days)),
                Optional.of(how + Shown.date(on)));
    }
}
