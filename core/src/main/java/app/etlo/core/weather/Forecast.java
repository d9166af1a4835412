package app.etlo.core.weather;

import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/**
 * What a forecast service says of the next days.
 *
 * @param issued when; empty when there is none
 * @param first the first day forecast
 */
public record Forecast(Optional<Instant> issued, LocalDate first, List<Day> days) {
    /** No forecast. */
    public static final Forecast NONE = new Forecast(Optional.empty(), LocalDate.EPOCH, List.of());

    /** One day of it. */
    public record Day(double tminC, double tmaxC, double rainMm) {}

    public Forecast {
        days = List.copyOf(days);
    }

    private Day at(LocalDate from, int day) {
        if (days.isEmpty()) {
            return null;
        }
        long i = ChronoUnit.DAYS.between(first, from) + day;
        return i < 0 || i >= days.size() ? null : days.get((int) i);
    }

    double tminC(LocalDate from, int day) {
        Day d = at(from, day);
        return d == null ? Double.NaN : d.tminC();
    }

    double tmaxC(LocalDate from, int day) {
        Day d = at(from, day);
        return d == null ? Double.NaN : d.tmaxC();
    }

    double rainMm(LocalDate from, int day) {
        Day d = at(from, day);
        return d == null ? Double.NaN : d.rainMm();
    }
}
