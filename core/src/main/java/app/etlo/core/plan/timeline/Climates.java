package app.etlo.core.plan.timeline;

import app.etlo.core.field.Boundary;
import app.etlo.core.field.BoundaryReader;
import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.knowledge.Station;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.document.ForecastEntry;
import app.etlo.core.plan.document.WeatherEntry;
import app.etlo.core.weather.Climate;
import app.etlo.core.weather.Forecast;
import app.etlo.core.weather.Place;
import app.etlo.core.weather.WeatherGenerator;
import app.etlo.core.working.Origin;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Finds the weather of a field: its imported series, the station it names, or, marked as default, the station nearest in
 * latitude. A station's years are made once and kept, a bounded number of them.
 */
public final class Climates {
    private static final int YEARS = 30;
    private static final int KEPT = 60;

    private final Knowledge knowledge;
    private final Cache<String, Climate> kept =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    public Climates(Knowledge knowledge) {
        this.knowledge = knowledge;
    }

    /**
     * The weather of a field on a day; empty when nothing says where it lies, or its series has no whole year.
     *
     * @param imported the series the field names, when it names one
     * @param forecast the last good one, when there is one
     */
    public Optional<SiteWeather> of(
            FieldEntry field, Optional<WeatherEntry> imported, Optional<ForecastEntry> forecast, LocalDate asOf) {
        Forecast ahead = forecast.map(f -> f.on(asOf)).orElse(Forecast.NONE);
        Optional<Climate> own = imported.filter(w -> field.weather().equals(Optional.of(w.id())))
                .map(this::imported)
                .filter(c -> !c.years().isEmpty());
        if (own.isPresent()) {
            return own.map(c -> new SiteWeather(c, ahead, Origin.ENTERED, "imported series " + c.name()));
        }
        Optional<Station> named =
                field.station().flatMap(s -> knowledge.stations().find(s));
        if (named.isPresent()) {
            return named.map(s -> new SiteWeather(
                    station(s, asOf), ahead, Origin.ENTERED, "station " + s.name() + ", " + s.climate()));
        }
        return place(field)
                .map(FieldEntry.Point::lat)
                .flatMap(lat -> knowledge.stations().all().stream()
                        .min(Comparator.comparingDouble(s -> Math.abs(s.latitude() - lat))))
                .map(s -> new SiteWeather(
                        station(s, asOf),
                        ahead,
                        Origin.DEFAULT,
                        "no station chosen: " + s.name() + ", " + s.climate() + ", is nearest in latitude"));
    }

    /** An imported series with what follows from it, made once. */
    public Climate imported(WeatherEntry w) {
        String key = "series " + w.id() + " " + w.hashCode();
        return kept.get(
                key,
                k -> new Climate(
                        w.id(),
                        w.name(),
                        new Place(
                                w.latitude(),
                                w.elevationM().orElse(0.0),
                                w.coastal().orElse(false)),
                        w.series()));
    }

    /** A station's thirty years before this one, and this one. */
    public Climate station(Station s, LocalDate asOf) {
        int year = asOf.getYear();
        return kept.get(
                "station " + s.id() + " " + year,
                k -> new Climate(
                        s.id(),
                        s.name(),
                        new Place(s.latitude(), s.elevationM(), s.coastal()),
                        new WeatherGenerator(s).years(year - YEARS, year)));
    }

    /** Where a field lies: the middle of its boundary, or its point. */
    public static Optional<FieldEntry.Point> place(FieldEntry field) {
        return field.boundary().map(b -> middle(BoundaryReader.read(b))).or(field::point);
    }

    private static FieldEntry.Point middle(Boundary boundary) {
        List<Boundary.Position> all = boundary.parts().stream()
                .flatMap(p -> p.outer().positions().stream())
                .toList();
        return new FieldEntry.Point(
                all.stream().mapToDouble(Boundary.Position::lat).average().orElse(0),
                all.stream().mapToDouble(Boundary.Position::lon).average().orElse(0));
    }
}
