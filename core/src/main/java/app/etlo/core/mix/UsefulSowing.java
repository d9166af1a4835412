package app.etlo.core.mix;

import app.etlo.core.knowledge.Species;
import app.etlo.core.quantity.Said;
import app.etlo.core.quantity.Unit;
import app.etlo.core.weather.DegreeDays;
import app.etlo.core.weather.Percentiles;
import app.etlo.core.weather.YearFigure;
import app.etlo.core.weather.YearsAhead;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Formula;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import app.etlo.core.working.Source;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Optional;

/**
 * The latest useful sowing of a species in a window: the last day from which it still gathers the degree days of its smallest
 * useful stand before frost kills it or it must make way, and stands well enough before midwinter where it is to pass one.
 * Degree days stand for growth here.
 *
 * @param half the last day from which half of the years reach it
 * @param mostYears the last day from which 8 years in 10 do: the latest useful day
 * @param nearlyAll the last day from which 9 in 10 do
 * @param years how many years reach it from the window's first day
 * @param allYears how many years were looked at
 */
public record UsefulSowing(
        Species species,
        Optional<LocalDate> half,
        Optional<LocalDate> mostYears,
        Optional<LocalDate> nearlyAll,
        int years,
        int allYears,
        Optional<Figure> figure) {
    private static final Formula LATEST = Formula.of(
            "Latest useful sowing",
            "end - needed",
            Source.own("degree days to the smallest useful stand, counted back from the end of growth"),
            "end",
            "needed");
    /** Growth rests in mid January, on the southern half in mid July. */
    private static final int REST_DAY = 15;

    /**
     * In a window.
     *
     * @param sowUntil last day the window's kind allows sowing
     * @param id of the figure
     */
    public static UsefulSowing of(
            Species s, YearsAhead years, LocalDate from, LocalDate to, LocalDate sowUntil, String id) {
        double[][] sum = years.cumulative(DegreeDays.above(s.baseC()));
        int a = years.day(from);
        int b = years.day(to);
        int rest = Math.min(b, years.day(midwinterAfter(from, years)));
        boolean winters = rest < b;
        double[] last = new double[years.count()];
        int reached = 0;
        for (int y = 0; y < last.length; y++) {
            int end = b;
            for (int d = a; d < b; d++) {
                if (years.tminC(y, d) <= s.killC()) {
                    end = d;
                    break;
                }
            }
            int useful = lastWith(sum[y], a, end, s.usefulDegreeDays());
            boolean passesWinter = winters && end > rest;
            int standing = passesWinter ? lastWith(sum[y], a, rest, s.establishDegreeDays()) : useful;
            int day = Math.min(years.day(sowUntil), Math.min(useful, standing));
            last[y] = day < a ? Double.NEGATIVE_INFINITY : day - a;
            reached += day >= a ? 1 : 0;
        }
        Percentiles p = Percentiles.of(last);
        Optional<LocalDate> most = day(p.at(0.2), from);
        return new UsefulSowing(
                s,
                day(p.at(0.5), from),
                most,
                day(p.at(0.1), from),
                reached,
                last.length,
                most.isEmpty() ? Optional.empty() : figure(s, years, last, from, to, id));
    }

    private static LocalDate midwinterAfter(LocalDate day, YearsAhead years) {
        int month = years.climate().place().isSouthern() ? 7 : 1;
        LocalDate rest = LocalDate.of(day.getYear(), month, REST_DAY);
        return rest.isAfter(day) ? rest : rest.plusYears(1);
    }

    /** The last place from a on from which so much is still gathered before the end; a - 1 when none. */
    private static int lastWith(double[] sum, int a, int end, double need) {
        int low = a - 1;
        int high = end;
        while (high - low > 1) {
            int middle = (low + high) >>> 1;
            if (sum[end] - sum[middle] >= need) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return low;
    }

    private static Optional<LocalDate> day(double after, LocalDate from) {
        return Double.isFinite(after) ? Optional.of(from.plusDays((long) Math.round(after))) : Optional.empty();
    }

    private static Optional<Figure> figure(
            Species s, YearsAhead years, double[] last, LocalDate from, LocalDate to, String id) {
        double[] days = Arrays.stream(last)
                .map(v -> Double.isFinite(v) ? from.plusDays((long) v).toEpochDay() : from.toEpochDay())
                .toArray();
        return YearFigure.of(years, days, 0.2, 0.1, 0.5)
                .map(f -> f.figure(
                        id,
                        "Latest useful sowing of " + s.name().toLowerCase(java.util.Locale.ROOT),
                        Unit.DATE,
                        LATEST.remarking("Middle: 8 years in 10 reach "
                                + Said.of(Math.round(s.usefulDegreeDays()), Unit.DEGREE_DAY_C) + " above "
                                + Said.of(Math.round(s.baseC()), Unit.CELSIUS)
                                + " from it. Band: from 9 years in 10 to half of them."),
                        "needed",
                        "Days needed before the window ends",
                        Unit.DAY,
                        -1,
                        Input.of("end", "End of the window", to.toEpochDay(), Unit.DATE, Origin.ENTERED, "rotation")));
    }
}
