package app.etlo.server.weather;

import app.etlo.core.knowledge.Knowledge;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.document.WeatherEntry;
import app.etlo.core.plan.shown.ClimateView;
import app.etlo.core.plan.timeline.Climates;
import app.etlo.core.quantity.DayOrder;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.weather.Reading;
import app.etlo.core.weather.UnreadableWeather;
import app.etlo.core.weather.WeatherFile;
import app.etlo.core.weather.WeatherReport;
import app.etlo.server.access.Access;
import app.etlo.server.access.Access.Who;
import app.etlo.server.documents.NotFound;
import app.etlo.server.limits.Limited;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Stations and imported series: what there is, looking at a file before it is kept, keeping it, and their climate. */
@RestController
class WeatherController {
    private final WeatherStore store;
    private final Knowledge knowledge;
    private final Climates climates;

    WeatherController(WeatherStore store, Knowledge knowledge, Climates climates) {
        this.store = store;
        this.knowledge = knowledge;
        this.climates = climates;
    }

    record StationChoice(String id, String name, String climate, double latitude) {}

    record SeriesChoice(String id, String name, double latitude, LocalDate first, LocalDate last) {}

    record Choices(List<StationChoice> stations, List<SeriesChoice> series) {}

    /** What was kept, and what the reading had to say. */
    record Taken(SeriesChoice series, WeatherReport report) {}

    @Access(Who.MEMBER)
    @GetMapping("/api/weather")
    Choices choices() {
        return new Choices(
                knowledge.stations().all().stream()
                        .map(s -> new StationChoice(s.id(), s.name(), s.climate(), s.latitude()))
                        .toList(),
                store.all().stream().map(WeatherController::choice).toList());
    }

    private static SeriesChoice choice(WeatherEntry w) {
        return new SeriesChoice(
                w.id(),
                w.name(),
                w.latitude(),
                w.first(),
                w.first().plusDays(w.tmin().size() - 1L));
    }

    /** Looks at a weather file before it is kept. */
    @Limited(Limited.Kind.IMPORT)
    @Access(Who.MEMBER)
    @PostMapping(value = "/api/weather/previews", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    WeatherReport preview(
            @RequestBody byte[] file,
            @RequestParam Optional<Double> latitude,
            @RequestParam Optional<String> temperature,
            @RequestParam Optional<String> rain,
            @RequestParam Optional<String> dayOrder) {
        return read(file, latitude, temperature, rain, dayOrder).report();
    }

    /** Keeps a weather file as a series of the practice. */
    @Limited(Limited.Kind.IMPORT)
    @Access(Who.MEMBER)
    @PostMapping(value = "/api/weather", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    Taken take(
            @RequestBody byte[] file,
            @RequestParam String name,
            @RequestParam double latitude,
            @RequestParam Optional<Double> elevationM,
            @RequestParam Optional<Boolean> coastal,
            @RequestParam Optional<String> temperature,
            @RequestParam Optional<String> rain,
            @RequestParam Optional<String> dayOrder,
            @RequestParam Optional<String> replaces) {
        replaces.filter(id -> store.find(id).isEmpty()).ifPresent(id -> {
            throw new NotFound("weather series");
        });
        WeatherFile.Read read = read(file, Optional.of(latitude), temperature, rain, dayOrder);
        WeatherEntry entry = WeatherEntry.of(
                replaces.orElseGet(() -> "weather-" + UUID.randomUUID()),
                name,
                latitude,
                elevationM,
                coastal,
                read.series());
        store.put(entry);
        return new Taken(choice(entry), read.report());
    }

    private static WeatherFile.Read read(
            byte[] file,
            Optional<Double> latitude,
            Optional<String> temperature,
            Optional<String> rain,
            Optional<String> dayOrder) {
        latitude.filter(l -> !(l >= -90 && l <= 90)).ifPresent(l -> {
            throw new Refused("/latitude", "from -90 to 90 degrees");
        });
        try {
            return WeatherFile.read(
                    new String(file, StandardCharsets.UTF_8),
                    latitude,
                    new Reading.Given(
                            temperature.map(Reading.Temperature::of),
                            rain.map(Reading.Rain::of),
                            dayOrder.map(DayOrder::of)));
        } catch (UnreadableWeather e) {
            throw new Refused("/file", e.getMessage());
        } catch (IllegalArgumentException e) {
            throw new Refused("/reading", e.getMessage());
        }
    }

    /** The climate of a station or of an imported series. */
    @Access(Who.MEMBER)
    @GetMapping("/api/weather/{weatherId}")
    ClimateView climate(
            @PathVariable String weatherId, @RequestParam LocalDate asOf, @RequestParam("units") String read) {
        UnitSystem units = units(read);
        return store.find(weatherId)
                .map(w -> ClimateView.of(climates.imported(w), "imported series " + w.name(), asOf, units))
                .or(() -> knowledge
                        .stations()
                        .find(weatherId)
                        .map(s -> ClimateView.of(
                                climates.station(s, asOf), "station " + s.name() + ", " + s.climate(), asOf, units)))
                .orElseThrow(() -> new NotFound("station or weather series"));
    }

    private static UnitSystem units(String id) {
        try {
            return UnitSystem.of(id);
        } catch (IllegalArgumentException e) {
            throw new Refused("/units", "metric or us");
        }
    }

    @Access(Who.ADVISER)
    @DeleteMapping("/api/weather/{weatherId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String weatherId) {
        store.remove(weatherId);
    }
}
