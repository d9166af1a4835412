package app.etlo.core.mix;

import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** By how much a late sowing is sown thicker: more plants for the tillers they will not make. The adviser takes it or not. */
public final class LateSowing {
    /** Beyond this more seed is money lost; another species or another year is better. */
    private static final double MOST = 1.5;

    private static final Formula FACTOR = Formula.of(
                    "Late sowing",
                    "min(most, 1 + 0.1 * late / 7)",
                    Source.commonPractice(
                            "about a tenth more seed for each week after the useful date, half more at most"),
                    "most",
                    "late")
            .remarking("Proposed, not applied: type it at Lateness to use it.");

    private LateSowing() {}

    /**
     * The factor for a sowing, after the day on which the median of its species' latest useful sowings lies; empty when in time.
     *
     * @param id of the figure
     */
    public static Optional<Figure> factor(String id, LocalDate sown, List<UsefulSowing> useful) {
        List<LocalDate> days = useful.stream()
                .flatMap(u -> u.mostYears().stream())
                .sorted(Comparator.naturalOrder())
                .toList();
        if (days.isEmpty()) {
            return Optional.empty();
        }
        long late = ChronoUnit.DAYS.between(days.get(days.size() / 2), sown);
        return late <= 0
                ? Optional.empty()
                : Optional.of(FACTOR.figure(
                        id,
                        "Factor proposed for late sowing",
                        Unit.FRACTION,
                        Input.of("most", "At most", MOST, Unit.FRACTION, Origin.LIBRARY, "common practice"),
                        Input.of(
                                "late",
                                "Days after the latest useful sowing",
                                late,
                                Unit.DAY,
                                Origin.FORECAST,
                                "weather")));
    }
}
