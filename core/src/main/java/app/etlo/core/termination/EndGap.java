package app.etlo.core.termination;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;

/**
 * The days between two things that are done, against what must lie between them.
 *
 * @param least days at least
 * @param most days at most
 * @param why it must be so
 * @param ofLabel whether a label says so, as typed; else it is practice
 */
public record EndGap(
        String id,
        String from,
        LocalDate fromOn,
        String to,
        LocalDate toOn,
        Optional<Integer> least,
        Optional<Integer> most,
        String why,
        boolean ofLabel) {

    public long days() {
        return ChronoUnit.DAYS.between(fromOn, toOn);
    }

    public boolean holds() {
        return least.filter(d -> days() < d).isEmpty()
                && most.filter(d -> days() > d).isEmpty();
    }

    /** What must lie between, in words. */
    public String wanted() {
        return least.map(d -> d + (d == 1 ? " day" : " days") + " or more")
                .map(l -> l + most.map(m -> ", " + m + " at most").orElse(""))
                .orElseGet(() -> most.map(m -> m + (m == 1 ? " day" : " days") + " at most")
                        .orElse(""));
    }
}
