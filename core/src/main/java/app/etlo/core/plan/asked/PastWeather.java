package app.etlo.core.plan.asked;

import app.etlo.core.weather.Climate;
import app.etlo.core.weather.Forecast;
import app.etlo.core.weather.WeatherSeries;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;

/**
 * The record of a place as if some of its past years were those of a plan: first all other years, under the dates of the years
 * before the plan, then the past years day by day under the plan's dates. So whatever reads a climate up to a day knows of the
 * replayed years what an adviser would have known on that day, and no more: they are in no average and in no ensemble.
 */
public final class PastWeather {
    /** Days ahead that are forecast. */
    static final int FORECAST_DAYS = 10;
    /** Error of a temperature forecast for tomorrow, one standard deviation, °C, and what each day more adds; Etlo's own round values. */
    private static final double ERROR_C = 1.2;

    private static final double ERROR_MORE_C = 0.25;
    /** Errors of following days go together by so much. */
    private static final double ERROR_STAYS = 0.7;
    /** How much of what will be is seen for tomorrow, and how much less each day more. */
    private static final double SEEN = 0.97;

    private static final double SEEN_LESS = 0.065;
    /** Amounts of rain are forecast with a factor, one standard deviation of its logarithm. */
    private static final double RAIN_ERROR = 0.4;

    private final Climate climate;
    private final LocalDate firstReplayed;
    private final List<Integer> others;
    private final int shiftYears;

    private PastWeather(Climate climate, LocalDate firstReplayed, List<Integer> others, int shiftYears) {
        this.climate = climate;
        this.firstReplayed = firstReplayed;
        this.others = others;
        this.shiftYears = shiftYears;
    }

    /**
     * Lays past years under a plan's.
     *
     * @param base with the whole record of the place
     * @param record the years of it that are over
     * @param firstYear of the plan that is replayed
     * @param lastYear of it
     * @param past the year of the record that stands for the last one
     * @return empty when one of the past years, or any other year, is not whole
     */
    public static Optional<PastWeather> of(Climate base, List<Integer> record, int firstYear, int lastYear, int past) {
        int shift = past - lastYear;
        List<Integer> replayed =
                IntStream.rangeClosed(firstYear + shift, past).boxed().toList();
        List<Integer> others =
                record.stream().filter(y -> !replayed.contains(y)).toList();
        if (!record.containsAll(replayed) || others.isEmpty()) {
            return Optional.empty();
        }
        List<Integer> order = new ArrayList<>(others);
        order.addAll(replayed);
        WeatherSeries series = relabelled(base.series(), order, firstYear - others.size());
        return Optional.of(new PastWeather(
                new Climate(base.id(), base.name(), base.place(), series),
                LocalDate.of(firstYear, 1, 1),
                others,
                shift));
    }

    /** Whole years one after the other under the dates of others; a 29 February that has none takes the day before. */
    private static WeatherSeries relabelled(WeatherSeries s, List<Integer> years, int firstYear) {
        LocalDate first = LocalDate.of(firstYear, 1, 1);
        int n = (int) first.until(LocalDate.of(firstYear + years.size(), 1, 1), ChronoUnit.DAYS);
        int[] from = new int[n];
        LocalDate day = first;
        for (int i = 0; i < n; i++, day = day.plusDays(1)) {
            from[i] = s.index(day.withYear(years.get(day.getYear() - firstYear)));
        }
        BitSet filled = new BitSet();
        for (int i = 0; i < n; i++) {
            filled.set(i, s.isFilled(from[i]));
        }
        return new WeatherSeries(
                first,
                Arrays.stream(from).mapToDouble(s::tminC).toArray(),
                Arrays.stream(from).mapToDouble(s::tmaxC).toArray(),
                Arrays.stream(from).mapToDouble(s::rainMm).toArray(),
                s.hasSolar() ? Arrays.stream(from).mapToDouble(s::solarMj).toArray() : new double[0],
                s.hasSnow() ? Arrays.stream(from).mapToDouble(s::snowCm).toArray() : new double[0],
                filled);
    }

    /** The record under the plan's dates. Days from a day on must not be looked at on that day. */
    public Climate climate() {
        return climate;
    }

    /** The day of the record that stands for a day of the plan. */
    public LocalDate past(LocalDate day) {
        return day.plusYears(shiftYears);
    }

    /**
     * What would have been forecast on a day for the next ones: what came, less and less of it the farther off, with an error that is
     * drawn from the date alone. The same day gives the same forecast, whoever asks and whatever they do.
     */
    public Forecast forecast(LocalDate day) {
        WeatherSeries s = climate.series();
        Random r = new Random(climate.id().hashCode() * 1_000_003L + past(day).toEpochDay());
        int year = others.size() - 1 - r.nextInt(others.size());
        List<Forecast.Day> days = new ArrayList<>();
        double error = ERROR_C * r.nextGaussian();
        for (int i = 0; i < FORECAST_DAYS; i++) {
            LocalDate ahead = day.plusDays(i);
            int truth = s.index(ahead);
            double seen = SEEN - SEEN_LESS * i;
            double sd = ERROR_C + ERROR_MORE_C * i;
            error = ERROR_STAYS * error + Math.sqrt(1 - ERROR_STAYS * ERROR_STAYS) * sd * r.nextGaussian();
            double narrow = 0.5 * r.nextGaussian();
            boolean right = r.nextDouble() < seen;
            double factor = Math.exp(RAIN_ERROR * r.nextGaussian() - RAIN_ERROR * RAIN_ERROR / 2);
            if (!s.isKnown(truth)) {
                break;
            }
            int usual = s.index(ahead.withYear(firstReplayed.getYear() - 1 - year));
            double low = seen * s.tminC(truth) + (1 - seen) * meanOf(ahead, true) + error + narrow;
            double high = seen * s.tmaxC(truth) + (1 - seen) * meanOf(ahead, false) + error - narrow;
            double rain = s.rainMm(right ? truth : usual) * factor;
            days.add(new Forecast.Day(Math.min(low, high), Math.max(low, high), rain));
        }
        return new Forecast(Optional.of(day.atStartOfDay().toInstant(ZoneOffset.UTC)), day, days);
    }

    /** What the other years had on a day of the calendar, on average. */
    private double meanOf(LocalDate day, boolean low) {
        WeatherSeries s = climate.series();
        int before = firstReplayed.getYear();
        return IntStream.range(before - others.size(), before)
                .map(y -> s.index(day.withYear(y)))
                .mapToDouble(i -> low ? s.tminC(i) : s.tmaxC(i))
                .average()
                .orElse(0);
    }
}
