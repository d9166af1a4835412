package app.etlo.core.plan.asked;

import app.etlo.core.plan.asked.ReplayViews.SkyDay;
import app.etlo.core.plan.asked.ReplayViews.SkyView;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.weather.Climate;
import app.etlo.core.weather.Forecast;
import app.etlo.core.weather.WeatherSeries;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The weather that an adviser sees on a day: the last two weeks and the forecast for the next ten days. */
public final class Sky {
    private static final int LATELY_DAYS = 14;
    private static final int MONTH_DAYS = 30;

    private final PastWeather weather;
    private final LocalDate day;
    private final Optional<Double> soilC;
    private final Unit warmth;
    private final Unit depth;

    /**
     * @param soilC of the plan's ground on the evening before; empty where it is not simulated
     */
    Sky(PastWeather weather, LocalDate day, Optional<Double> soilC, UnitSystem units) {
        this.weather = weather;
        this.soilC = soilC;
        this.day = day;
        this.warmth = units.shown(Unit.CELSIUS);
        this.depth = units.shown(Unit.MILLIMETRE);
    }

    SkyView view() {
        Climate climate = weather.climate();
        WeatherSeries s = climate.series();
        int today = s.index(day);
        List<SkyDay> lately = new ArrayList<>();
        for (int i = today - LATELY_DAYS; i < today; i++) {
            lately.add(of(s.date(i), s.tminC(i), s.tmaxC(i), s.rainMm(i)));
        }
        double month = 0;
        for (int i = today - MONTH_DAYS; i < today; i++) {
            month += s.rainMm(i);
        }
        List<SkyDay> forecast = new ArrayList<>();
        LocalDate ahead = day;
        for (Forecast.Day d : weather.forecast(day).days()) {
            forecast.add(of(ahead, d.tminC(), d.tmaxC(), d.rainMm()));
            ahead = ahead.plusDays(1);
        }
        return new SkyView(
                lately,
                soilC.map(c -> temperature(c) + " " + warmth.written()).orElse("not known"),
                rain(month) + " " + depth.written(),
                forecast,
                warmth.written(),
                depth.written());
    }

    private SkyDay of(LocalDate on, double lowC, double highC, double mm) {
        return new SkyDay(
                on,
                Unit.CELSIUS.to(warmth, lowC),
                Unit.CELSIUS.to(warmth, highC),
                Unit.MILLIMETRE.to(depth, mm),
                temperature(lowC) + " to " + temperature(highC) + " " + warmth.written()
                        + (mm < 0.1 ? ", dry" : ", " + rain(mm) + " " + depth.written()));
    }

    private String temperature(double c) {
        return Shown.text(Math.round(Unit.CELSIUS.to(warmth, c)), warmth);
    }

    private String rain(double mm) {
        return Shown.text(Unit.MILLIMETRE.to(depth, mm), depth);
    }
}
