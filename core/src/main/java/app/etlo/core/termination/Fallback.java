package app.etlo.core.termination;

import app.etlo.core.quantity.Band;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * What is done if the end does not go as planned.
 *
 * @param id what went wrong: thin, short-mulch, alive-after-winter or not-killed
 * @param when it has, in words
 * @param look the day on which that is looked at
 * @param by the last day on which it can still be mended; empty where it cannot be
 * @param then what is done
 * @param method that does it, an id; empty where no method does
 * @param costPerHa of its passes, library money
 * @param planned whether the adviser has taken it into the plan
 */
public record Fallback(
        String id,
        String when,
        LocalDate look,
        Optional<LocalDate> by,
        String then,
        Optional<String> method,
        Optional<Band> costPerHa,
        boolean planned) {
    /** What can go wrong, as a plan writes it. */
    public static final List<String> WHAT = List.of("thin", "short-mulch", "alive-after-winter", "not-killed", "other");
}
