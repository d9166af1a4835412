package app.etlo.core.mix;

import app.etlo.core.field.FrostDates;
import app.etlo.core.knowledge.Species;
import java.time.LocalDate;
import java.util.Optional;

/**
 * The last useful sowing day of a species, by a simple rule where no weather is known: so many days before (or after) the
 * usual first autumn frost. Etlo's own days per species.
 */
public final class LatestSowing {
    private LatestSowing() {}

    /** The day for the autumn that follows this sowing; empty for sowings of late winter and spring. */
    public static Optional<LocalDate> of(Species species, FrostDates frost, LocalDate sown) {
        return frost.autumnFrostFor(sown).map(f -> f.minusDays(species.latestSowDaysBeforeFrost()));
    }
}
