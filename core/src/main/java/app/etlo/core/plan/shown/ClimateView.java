package app.etlo.core.plan.shown;

import app.etlo.core.field.SoilProfile;
import app.etlo.core.ground.GrassGround;
import app.etlo.core.plan.document.FieldEntry;
import app.etlo.core.plan.document.FieldSoil;
import app.etlo.core.plan.timeline.SiteWeather;
import app.etlo.core.quantity.Band;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.quantity.UnitSystem;
import app.etlo.core.weather.Climate;
import app.etlo.core.weather.FrostRisk;
import app.etlo.core.weather.Normals;
import app.etlo.core.weather.WeatherSeries;
import app.etlo.core.weather.Workability;
import app.etlo.core.working.Origin;
import java.time.LocalDate;
import java.time.MonthDay;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * The weather of a place as it is read: months, frosts and what the series holds, in the units of a farm.
 *
 * @param origin entered, or default where no station was chosen
 * @param recordedTo last day of the record, or the day before the evaluation's
 * @param filledDays days filled in on import
 */
public record ClimateView(
        String id,
        String name,
        String how,
        Origin origin,
        double latitude,
        int years,
        LocalDate recordedFrom,
        LocalDate recordedTo,
        int filledDays,
        String temperatureUnit,
        String depthUnit,
        String degreeDayUnit,
        List<MonthView> months,
        List<FrostDatesView> frosts,
        List<RecentWeek> recent,
        String soilWords) {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.UK);
    private static final double[] FROSTS_C = {0, -2, -4};
    private static final int RECENT_WEEKS = 13;

    /** 1 year in 10 below, the middle, 1 in 10 above; with the middle as written. */
    public record Range(double low, double middle, double high, String text) {}

    public record WorkView(String work, Range days) {}

    public record MonthView(
            int month,
            Range tmin,
            Range tmax,
            Range rain,
            Range et0,
            Range soil,
            Range coolDegreeDays,
            Range warmDegreeDays,
            List<WorkView> work) {}

    /**
     * Dates of frost below a threshold; absent where more years than that go without.
     *
     * @param without years of all in which it never came
     */
    public record FrostDatesView(
            String threshold,
            int seasons,
            int without,
            Optional<String> springEarly,
            Optional<String> springMiddle,
            Optional<String> springLate,
            Optional<String> autumnEarly,
            Optional<String> autumnMiddle,
            Optional<String> autumnLate) {}

    /** A week of the record just past. */
    public record RecentWeek(LocalDate from, double rain, double mean, double soil) {}

    /** Of a field: its weather, its soil, its own corrections. */
    public static ClimateView of(SiteWeather site, FieldEntry field, LocalDate asOf, UnitSystem units) {
        SoilProfile soil = FieldSoil.of(field);
        boolean known = soil.layers().get(0).origin() != Origin.DEFAULT;
        return of(
                site.climate(),
                site.how(),
                site.origin(),
                soil,
                known ? "on the field's soil" : "on a loam, as no soil is entered",
                field.coldHollowC().orElse(0.0),
                field.evapotranspirationScale().orElse(1.0),
                asOf,
                units);
    }

    /** Of a station or series by itself, with a loam under it. */
    public static ClimateView of(Climate climate, String how, LocalDate asOf, UnitSystem units) {
        return of(climate, how, Origin.ENTERED, SoilProfile.usual(), "on a loam", 0, 1, asOf, units);
    }

    private static ClimateView of(
            Climate c,
            String how,
            Origin origin,
            SoilProfile soil,
            String soilWords,
            double coldHollowC,
            double scale,
            LocalDate asOf,
            UnitSystem units) {
        Unit temperature = units.shown(Unit.CELSIUS);
        Unit depth = units.shown(Unit.MILLIMETRE);
        Unit warmth = units.shown(Unit.DEGREE_DAY_C);
        WeatherSeries s = c.series();
        LocalDate end = s.end().isAfter(asOf) ? asOf : s.end();
        GrassGround ground = GrassGround.of(c, soil, scale);
        return new ClimateView(
                c.id(),
                c.name(),
                how,
                origin,
                c.place().latitude(),
                (int) c.years().stream().filter(y -> y < asOf.getYear()).count(),
                s.first(),
                end.minusDays(1),
                s.filledDays(),
                temperature.written(),
                depth.written(),
                warmth.written(),
                Normals.of(c, ground, scale, asOf).stream()
                        .map(m -> month(m, temperature, depth, warmth))
                        .toList(),
                Arrays.stream(FROSTS_C)
                        .boxed()
                        .flatMap(t -> FrostRisk.of(c, t, -coldHollowC, asOf).stream())
                        .map(f -> frost(f, temperature))
                        .toList(),
                recent(c, ground, end, temperature, depth),
                soilWords);
    }

    private static MonthView month(Normals.Month m, Unit temperature, Unit depth, Unit warmth) {
        return new MonthView(
                m.month(),
                range(m.tminC(), Unit.CELSIUS, temperature),
                range(m.tmaxC(), Unit.CELSIUS, temperature),
                range(m.rainMm(), Unit.MILLIMETRE, depth),
                range(m.et0Mm(), Unit.MILLIMETRE, depth),
                range(m.soilC(), Unit.CELSIUS, temperature),
                range(m.coolDegreeDays(), Unit.DEGREE_DAY_C, warmth),
                range(m.warmDegreeDays(), Unit.DEGREE_DAY_C, warmth),
                Arrays.stream(Workability.values())
                        .map(w -> new WorkView(w.words(), range(m.workDays().get(w), Unit.DAY, Unit.DAY)))
                        .toList());
    }

    private static Range range(Band b, Unit unit, Unit shown) {
        Band v = b.map(x -> unit.to(shown, x));
        return new Range(v.low(), v.middle(), v.high(), Shown.text(v.middle(), shown));
    }

    private static FrostDatesView frost(FrostRisk f, Unit temperature) {
        double shown = Unit.CELSIUS.to(temperature, f.thresholdC());
        return new FrostDatesView(
                Shown.text(shown, Unit.COUNT) + " " + temperature.written(),
                f.seasons(),
                f.without(),
                f.lastSpringEarly().map(ClimateView::day),
                f.lastSpringMiddle().map(ClimateView::day),
                f.lastSpringLate().map(ClimateView::day),
                f.firstAutumnEarly().map(ClimateView::day),
                f.firstAutumnMiddle().map(ClimateView::day),
                f.firstAutumnLate().map(ClimateView::day));
    }

    private static String day(MonthDay d) {
        return DAY.format(d.atYear(2001));
    }

    private static List<RecentWeek> recent(Climate c, GrassGround ground, LocalDate end, Unit temperature, Unit depth) {
        WeatherSeries s = c.series();
        return IntStream.range(0, RECENT_WEEKS)
                .mapToObj(w -> end.minusDays(7L * (RECENT_WEEKS - w)))
                .filter(d -> s.index(d) >= 0)
                .map(d -> {
                    double rain = 0;
                    double mean = 0;
                    for (int i = s.index(d); i < s.index(d) + 7; i++) {
                        rain += s.isKnown(i) ? s.rainMm(i) : 0;
                        mean += s.isKnown(i) ? s.meanC(i) / 7 : 0;
                    }
                    return new RecentWeek(
                            d,
                            Unit.MILLIMETRE.to(depth, rain),
                            Unit.CELSIUS.to(temperature, mean),
                            Unit.CELSIUS.to(temperature, ground.soilC(s.index(d) + 6)));
                })
                .toList();
    }
}
