package app.etlo.core.weather;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The season ahead, once for every weather year of a place: up to a day the weather as it was recorded, then, if there is one,
 * the forecast of the next days, then each year of the record in turn. Years that follow each other in the record follow each
 * other here, from a different year each, so that wet and cold carry over; the last is followed by the first.
 */
public final class YearsAhead {
    private static final int DAYS_OF_A_YEAR = 366;
    /**
     * The newest so many of a longer record: each is computed, and what the climate was longer ago says less of what is ahead (a
     * climatological normal is of 30 years, WMO-No. 1203, from memory).
     */
    private static final int MOST_YEARS = 50;

    private final Climate climate;
    private final LocalDate from;
    private final int days;
    private final List<Integer> years;
    /** Place in the series, by year ahead and day. */
    private final int[][] index;

    private final Forecast forecast;
    private final Map<DegreeDays, double[][]> sums = new HashMap<>();

    /**
     * @param asOf days before it are taken as recorded
     * @param from first day looked at
     * @param to day after the last looked at
     * @throws IllegalArgumentException when the climate has no whole year
     */
    public YearsAhead(Climate climate, Forecast forecast, LocalDate asOf, LocalDate from, LocalDate to) {
        if (climate.years().isEmpty()) {
            throw new IllegalArgumentException("no whole year of weather");
        }
        List<Integer> past =
                climate.years().stream().filter(y -> y < asOf.getYear()).toList();
        this.climate = climate;
        this.forecast = forecast;
        this.from = from;
        this.days = (int) Math.max(0, ChronoUnit.DAYS.between(from, to));
        // what is still to come on that day is no part of the record; a series from later years is all there is then
        List<Integer> all = past.isEmpty() ? climate.years() : past;
        this.years = all.subList(Math.max(0, all.size() - MOST_YEARS), all.size());
        this.index = new int[years.size()][days];
        int[][] starts = starts();
        WeatherSeries series = climate.series();
        LocalDate day = from;
        for (int d = 0; d < days; d++, day = day.plusDays(1)) {
            int recorded = series.index(day);
            boolean known = day.isBefore(asOf) && series.isKnown(recorded);
            int slot = slot(day);
            int ahead = day.getYear() - asOf.getYear();
            for (int y = 0; y < years.size(); y++) {
                index[y][d] = known ? recorded : starts[Math.floorMod(y + ahead, years.size())][slot];
            }
        }
    }

    /** Place of a day among 366; 29 February has its own. */
    private static int slot(LocalDate day) {
        int doy = day.getDayOfYear();
        return day.isLeapYear() || doy < 60 ? doy - 1 : doy;
    }

    /** Place in the series of each of 366 days of each year; a year without 29 February gives the day before. */
    private int[][] starts() {
        int[][] starts = new int[years.size()][DAYS_OF_A_YEAR];
        for (int y = 0; y < years.size(); y++) {
            int jan1 = climate.series().index(LocalDate.of(years.get(y), 1, 1));
            boolean leap = LocalDate.of(years.get(y), 1, 1).isLeapYear();
            for (int s = 0; s < DAYS_OF_A_YEAR; s++) {
                starts[y][s] = jan1 + (leap || s < 59 ? s : s - 1);
            }
        }
        return starts;
    }

    public Climate climate() {
        return climate;
    }

    /** How many years there are to play. */
    public int count() {
        return years.size();
    }

    /** The calendar year whose weather stands for the year of {@code asOf} in a member. */
    public int year(int member) {
        return years.get(member);
    }

    public LocalDate from() {
        return from;
    }

    public int days() {
        return days;
    }

    /** Place of a day among those looked at, held inside them. */
    public int day(LocalDate date) {
        return (int) Math.max(0, Math.min(days, ChronoUnit.DAYS.between(from, date)));
    }

    public double tminC(int member, int day) {
        double forecastValue = forecast.tminC(from, day);
        return Double.isNaN(forecastValue) ? climate.series().tminC(index[member][day]) : forecastValue;
    }

    public double tmaxC(int member, int day) {
        double forecastValue = forecast.tmaxC(from, day);
        return Double.isNaN(forecastValue) ? climate.series().tmaxC(index[member][day]) : forecastValue;
    }

    public double rainMm(int member, int day) {
        double forecastValue = forecast.rainMm(from, day);
        return Double.isNaN(forecastValue) ? climate.series().rainMm(index[member][day]) : forecastValue;
    }

    public double et0Mm(int member, int day) {
        return climate.et0Mm(index[member][day]);
    }

    /** Radiation, measured or from the span of temperature, MJ/m2/day. */
    public double solarMj(int member, int day) {
        return climate.solarMj(index[member][day]);
    }

    /**
     * Days from the first to before another of which the record knows nothing: other years stand for them, so the simulation is as
     * unsure of them as of days to come.
     */
    public int missingUntil(LocalDate asOf) {
        int missing = 0;
        int end = Math.min(days, day(asOf));
        int first = climate.series().index(from);
        for (int d = 0; d < end; d++) {
            missing += climate.series().isKnown(first + d) ? 0 : 1;
        }
        return missing;
    }

    /** How many days from the first are the same in all years: those recorded before a day. */
    public int sameUntil(LocalDate asOf) {
        int d = 0;
        int end = Math.min(days, day(asOf));
        while (d < end && same(d)) {
            d++;
        }
        return d;
    }

    private boolean same(int day) {
        for (int[] member : index) {
            if (member[day] != index[0][day]) {
                return false;
            }
        }
        return true;
    }

    /** Place in the climate's series of what stands for a day. */
    public int place(int member, int day) {
        return index[member][day];
    }

    /** Depth of snow as measured, cm; NaN where nobody did, and on days of the forecast. */
    public double snowCm(int member, int day) {
        return Double.isNaN(forecast.tminC(from, day)) ? climate.series().snowCm(index[member][day]) : Double.NaN;
    }

    /** Degree days from the first day looked at up to each day, by member. */
    public double[][] cumulative(DegreeDays method) {
        return sums.computeIfAbsent(method, m -> {
            double[][] sum = new double[count()][days + 1];
            for (int y = 0; y < count(); y++) {
                for (int d = 0; d < days; d++) {
                    sum[y][d + 1] = sum[y][d] + m.of(tminC(y, d), tmaxC(y, d));
                }
            }
            return sum;
        });
    }

    /** Degree days from one day to before another, by member. */
    public double[] degreeDays(DegreeDays method, LocalDate start, LocalDate end) {
        double[][] sum = cumulative(method);
        int a = day(start);
        int b = Math.max(a, day(end));
        double[] found = new double[count()];
        for (int y = 0; y < found.length; y++) {
            found[y] = sum[y][b] - sum[y][a];
        }
        return found;
    }

    /** Days from a start to the day on which so many degree days are reached, by member; infinite where the span ends before. */
    public double[] daysTo(DegreeDays method, LocalDate start, double degreeDays) {
        double[][] sum = cumulative(method);
        int a = day(start);
        double[] found = new double[count()];
        for (int y = 0; y < found.length; y++) {
            double goal = sum[y][a] + degreeDays;
            int at = a;
            while (at <= days && sum[y][at] < goal) {
                at++;
            }
            // the sum before a day holds what came until the evening before
            found[y] = at > days ? Double.POSITIVE_INFINITY : Math.max(0, at - 1 - a);
        }
        return found;
    }

    /** Rain from one day to before another, mm, by member. */
    public double[] rain(LocalDate start, LocalDate end) {
        int a = day(start);
        int b = Math.max(a, day(end));
        double[] found = new double[count()];
        for (int y = 0; y < found.length; y++) {
            for (int d = a; d < b; d++) {
                found[y] += rainMm(y, d);
            }
        }
        return found;
    }
}
