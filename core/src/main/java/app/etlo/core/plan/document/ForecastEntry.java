package app.etlo.core.plan.document;

import app.etlo.core.weather.Forecast;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;

/**
 * The last good forecast for a field, as it is stored and exported.
 *
 * @param first the first day forecast
 */
public record ForecastEntry(Instant issued, LocalDate first, List<Forecast.Day> days) {
    /** An older one says nothing any more. */
    private static final int OLDEST_DAYS = 3;

    public ForecastEntry {
        days = List.copyOf(days);
    }

    /** What of it counts on a day: the days from then on, while it is not too old. */
    public Forecast on(LocalDate asOf) {
        LocalDate made = LocalDate.ofInstant(issued, ZoneOffset.UTC);
        boolean fresh = !made.isBefore(asOf.minusDays(OLDEST_DAYS)) && !made.isAfter(asOf.plusDays(1));
        return fresh ? new Forecast(Optional.of(issued), first, days) : Forecast.NONE;
    }
}
