package app.etlo.core.rotation;

import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Shown;
import app.etlo.core.quantity.Unit;
import app.etlo.core.weather.DegreeDays;
import app.etlo.core.weather.GroundRecord;
import app.etlo.core.weather.Workability;
import app.etlo.core.weather.YearFigure;
import app.etlo.core.weather.YearsAhead;
import app.etlo.core.working.About;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Optional;

/** What a window offers in a cool, a middle and a warm year: degree days, frosts, rain and soil water, days to drill on. */
public final class WindowOffer {
    /** The frost that ends tender growth. */
    private static final double FROST_C = 0;
    /** Of the month that parts the frosts of spring from those of autumn. */
    private static final int MIDSUMMER_DAY = 15;

    private static final Formula DEGREE_DAYS = Formula.of(
            "Degree days of the window",
            "gained",
            Source.fromMemory("Sum of daily means less the base, method 1 of McMaster and Wilhelm 1997, Agricultural"
                    + " and Forest Meteorology 87:291"),
            "gained");
    private static final Formula FROST_DAY = Formula.of(
            "Frost inside the window",
            "start + after",
            Source.identity("nights below freezing at the station, counted from the window's first day"),
            "start",
            "after");
    private static final Formula WATER = Formula.of(
            "Water on offer",
            "soil + rain",
            Source.own(
                    "water that roots can draw from the simulated ground as the window opens, and the rain that falls in it"),
            "soil",
            "rain");
    private static final Formula WORK_DAYS = Formula.of(
            "Days dry enough to drill",
            "days",
            Source.own(
                    "days on which the top 10 cm of a soil under short grass, as simulated, hold at most 92 % of field capacity, with"
                            + " hardly any rain on the day and no snow"),
            "days");
    private static final Formula LIGHT =
            Formula.of("Light under the standing crop", "share * 100", WindowKind.LIGHT, "share");

    private record Frosts(Optional<Figure> first, Optional<Figure> last) {}

    private final YearsAhead years;
    private final GroundRecord grass;
    private final RootZone water;

    /**
     * @param grass days fit for work are counted on it, as on the page of the weather, whatever is planned
     * @param water of the plan's own ground
     */
    public WindowOffer(YearsAhead years, GroundRecord grass, RootZone water) {
        this.years = years;
        this.grass = grass;
        this.water = water;
    }

    /** What one window offers. */
    public WindowResult of(Window w) {
        Frosts frosts = frosts(w);
        return new WindowResult(
                w,
                degreeDays(w, "degreeDays", 4, DegreeDays.COOL),
                degreeDays(w, "warmDegreeDays", 10, DegreeDays.WARM),
                frosts.first(),
                frosts.last(),
                water(w),
                drillDays(w, w.figures() + "/drillDays"),
                w.kind() == WindowKind.BETWEEN ? Optional.empty() : Optional.of(light(w)));
    }

    private Optional<Figure> degreeDays(Window w, String name, double baseC, DegreeDays by) {
        return YearFigure.of(years, years.degreeDays(by, w.from(), w.to()))
                .map(f -> f.figure(
                        w.figures() + "/" + name,
                        "Degree days above " + Said.of(baseC, Unit.CELSIUS),
                        Unit.DEGREE_DAY_C,
                        DEGREE_DAYS,
                        "gained",
                        days("Degree days", w),
                        Unit.DEGREE_DAY_C,
                        1));
    }

    private static Figure light(Window w) {
        return LIGHT.figure(
                w.figures() + "/light",
                "Light under the crop",
                Unit.PERCENT,
                Input.of(
                        "share",
                        "Share of the light",
                        w.kind().lightShare(),
                        Unit.FRACTION,
                        Origin.LIBRARY,
                        WindowKind.LIGHT.text()));
    }

    private static String days(String what, Window w) {
        return what + " from " + Shown.date(w.from()) + " to " + Shown.date(w.to());
    }

    /**
     * The last frost of spring and the first of autumn inside a window. Midsummer parts them, so that no band mixes two seasons; of
     * a window with more than one of them the first autumn and the last spring count.
     */
    private Frosts frosts(Window w) {
        int a = years.day(w.from());
        int b = years.day(w.to());
        LocalDate summer = midsummerFrom(w.from());
        boolean startsInAutumn = summer.minusMonths(6).isAfter(w.from());
        int autumnFrom = startsInAutumn ? a : Math.min(b, years.day(summer));
        LocalDate end = midsummerFrom(w.to());
        boolean endsInAutumn = end.minusMonths(6).isAfter(w.to());
        int springTo = endsInAutumn ? years.day(end.minusYears(1)) : b;
        double[] first = new double[years.count()];
        double[] last = new double[years.count()];
        for (int y = 0; y < years.count(); y++) {
            first[y] = Double.POSITIVE_INFINITY;
            last[y] = Double.NEGATIVE_INFINITY;
            for (int d = a; d < b; d++) {
                if (years.tminC(y, d) >= FROST_C) {
                    continue;
                }
                double day = w.from().toEpochDay() + d - a;
                if (d >= autumnFrom) {
                    first[y] = Math.min(first[y], day);
                }
                if (d < springTo && !(startsInAutumn && d < years.day(summer.minusMonths(6)))) {
                    last[y] = day;
                }
            }
        }
        return new Frosts(
                frost(w, "firstFrost", "First autumn frost in the window", first),
                frost(w, "lastFrost", "Last spring frost in the window", last));
    }

    /** The middle of July, on the southern half of January, on or after a day. */
    private LocalDate midsummerFrom(LocalDate day) {
        int month = years.climate().place().isSouthern() ? 1 : 7;
        LocalDate of = LocalDate.of(day.getYear(), month, MIDSUMMER_DAY);
        return of.isBefore(day) ? of.plusYears(1) : of;
    }

    /** Shown only where most years have one; how many is said in the working. */
    private Optional<Figure> frost(Window w, String name, String label, double[] days) {
        double[] finite = Arrays.stream(days).filter(Double::isFinite).toArray();
        if (finite.length * 2 <= days.length) {
            return Optional.empty();
        }
        Formula formula = FROST_DAY.remarking("In " + finite.length + " of " + days.length
                + " years there is a frost inside the window; the dates are of those years.");
        return YearFigure.of(years, days)
                .map(f -> f.figure(
                        w.figures() + "/" + name,
                        label,
                        Unit.DATE,
                        formula,
                        "after",
                        "Days after the window's first day",
                        Unit.DAY,
                        1,
                        Input.of("start", "First day", w.from().toEpochDay(), Unit.DATE, Origin.ENTERED, "rotation")));
    }

    private Optional<Figure> water(Window w) {
        Optional<LocalDate> evening = water.eveningBefore(w.from());
        if (evening.isEmpty()) {
            return Optional.empty();
        }
        double[] rain = years.rain(w.from(), w.to());
        double[] sum = new double[years.count()];
        for (int y = 0; y < sum.length; y++) {
            sum[y] = rain[y] + water.availableMm(w.from(), y);
        }
        return YearFigure.of(years, sum)
                .map(f -> f.figure(
                        w.figures() + "/water",
                        "Water on offer",
                        Unit.MILLIMETRE,
                        WATER,
                        "rain",
                        "Rain in the window",
                        Unit.MILLIMETRE,
                        1,
                        Input.of(
                                "soil",
                                "Water in the root zone on the evening of " + Shown.date(evening.get()),
                                water.availableMm(w.from(), f.member()),
                                Unit.MILLIMETRE,
                                Origin.FORECAST,
                                f.words())));
    }

    /**
     * Days on which one can drill until a window allows no more sowing; empty where its kind is not drilled.
     *
     * @param id of the figure
     */
    public Optional<Figure> drillDays(Window w, String id) {
        return w.kind().usualMethod().equals("drilled")
                ? workDays(w.from(), w.sowUntil().isBefore(w.to()) ? w.sowUntil() : w.to(), id)
                        .map(f -> f.about(About.drillDays(w.id(), w.sowUntil())))
                : Optional.empty();
    }

    private Optional<Figure> workDays(LocalDate from, LocalDate to, String id) {
        int a = years.day(from);
        int b = years.day(to);
        if (b <= a) {
            return Optional.empty();
        }
        double[] days = new double[years.count()];
        for (int y = 0; y < days.length; y++) {
            for (int d = a; d < b; d++) {
                boolean dry = grass.allows(Workability.DRILL, years.place(y, d), years.rainMm(y, d));
                days[y] += dry ? 1 : 0;
            }
        }
        return YearFigure.of(years, days)
                .map(f -> f.figure(
                        id,
                        "Days dry enough to drill",
                        Unit.DAY,
                        WORK_DAYS,
                        "days",
                        "Days from " + Shown.date(from) + " to " + Shown.date(to),
                        Unit.DAY,
                        1));
    }
}
