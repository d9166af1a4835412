package app.etlo.core.plan.shown;

import app.etlo.core.plan.shown.Evaluation.WeatherWeeks;
import app.etlo.core.weather.Percentiles;
import app.etlo.core.weather.YearsAhead;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** The weather over the section, by weeks: share of frost nights, rain, mean temperature in tenths of a degree. */
public final class WeatherRibbon {
    private static final int WEEK = 7;

    private WeatherRibbon() {}

    static WeatherWeeks of(YearsAhead years, LocalDate from, LocalDate to, LocalDate asOf) {
        int a = years.day(from);
        int b = years.day(to);
        int n = Math.max(0, (b - a) / WEEK);
        List<Integer> frost = new ArrayList<>(n);
        List<Integer> rain = new ArrayList<>(n);
        List<Integer> rainHigh = new ArrayList<>(n);
        List<Integer> low = new ArrayList<>(n);
        List<Integer> middle = new ArrayList<>(n);
        List<Integer> high = new ArrayList<>(n);
        double[] mm = new double[years.count()];
        double[] mean = new double[years.count()];
        for (int w = 0; w < n; w++) {
            int nights = 0;
            for (int y = 0; y < years.count(); y++) {
                mm[y] = 0;
                mean[y] = 0;
                for (int d = a + w * WEEK; d < a + (w + 1) * WEEK; d++) {
                    double tmin = years.tminC(y, d);
                    nights += tmin < 0 ? 1 : 0;
                    mm[y] += years.rainMm(y, d);
                    mean[y] += (tmin + years.tmaxC(y, d)) / 2 / WEEK;
                }
            }
            Percentiles wet = Percentiles.of(mm);
            Percentiles warm = Percentiles.of(mean);
            frost.add((int) Math.round(100.0 * nights / (WEEK * years.count())));
            rain.add((int) Math.round(wet.at(0.5)));
            rainHigh.add((int) Math.round(wet.at(0.9)));
            low.add((int) Math.round(warm.at(0.1) * 10));
            middle.add((int) Math.round(warm.at(0.5) * 10));
            high.add((int) Math.round(warm.at(0.9) * 10));
        }
        int recorded = Math.max(0, Math.min(n, (years.day(asOf) - a) / WEEK));
        return new WeatherWeeks(recorded, frost, rain, rainHigh, low, middle, high);
    }
}
