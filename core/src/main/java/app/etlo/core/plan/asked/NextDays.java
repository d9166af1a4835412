package app.etlo.core.plan.asked;

import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.weather.Forecast;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** The days of the forecast against what a spray and a roller need. No daily figure shows an inversion. */
public final class NextDays {
    private static final int MOST = 10;
    /** Growth and air temperature that a systemic spray asks for (common practice; the label decides). */
    private static final double SPRAY_DAY_C = 12;

    private static final double SPRAY_NIGHT_C = 5;
    private static final double WET_MM = 1;

    private final Evaluated e;
    private final Optional<Forecast> forecast;

    /**
     * A day of the forecast, and what of it speaks against spraying and rolling; empty where nothing does.
     *
     * @param said temperatures and rain in words
     */
    public record NextDayView(LocalDate on, String said, Optional<String> spray, Optional<String> roll) {}

    NextDays(Evaluated e) {
        this.e = e;
        this.forecast = e.context()
                .forecast()
                .map(f -> f.on(e.asOf()))
                .filter(f -> !f.days().isEmpty());
    }

    /** When the forecast was made. */
    Optional<Instant> issued() {
        return forecast.flatMap(Forecast::issued);
    }

    List<NextDayView> views() {
        return forecast.stream()
                .flatMap(f -> IntStream.range(0, Math.min(MOST, f.days().size()))
                        .mapToObj(i -> view(f.first().plusDays(i), f.days().get(i))))
                .filter(d -> !d.on().isBefore(e.asOf()))
                .toList();
    }

    private NextDayView view(LocalDate on, Forecast.Day d) {
        Unit c = e.units().shown(Unit.CELSIUS);
        Unit mm = e.units().shown(Unit.MILLIMETRE);
        Optional<String> rain = d.rainMm() >= WET_MM ? Optional.of("rain") : Optional.empty();
        return new NextDayView(
                on,
                Shown.plain(Unit.CELSIUS.to(c, d.tminC()), 0) + " to " + Shown.plain(Unit.CELSIUS.to(c, d.tmaxC()), 0)
                        + " " + c.written() + ", " + Shown.text(Unit.MILLIMETRE.to(mm, d.rainMm()), mm) + " "
                        + mm.written(),
                rain.or(() -> d.tmaxC() < SPRAY_DAY_C
                        ? Optional.of("too cold by day")
                        : d.tminC() < SPRAY_NIGHT_C ? Optional.of("too cold by night") : Optional.empty()),
                rain.or(() -> d.tmaxC() <= 0 ? Optional.of("frozen") : Optional.empty()));
    }
}
