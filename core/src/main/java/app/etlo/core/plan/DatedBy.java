package app.etlo.core.plan;

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
}
