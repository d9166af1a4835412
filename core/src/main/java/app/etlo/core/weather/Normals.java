package app.etlo.core.weather;

import app.etlo.core.quantity.Band;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;

/** The months of a climate, each as the middle of its years with 1 year in 10 below and 1 in 10 above. */
public final class Normals {
    private Normals() {}

    /**
     * @param tminC mean of the nights
     * @param tmaxC mean of the days
     * @param rainMm sum
     * @param et0Mm sum of reference evapotranspiration
     * @param soilC mean of bare soil at 5 to 10 cm
     * @param coolDegreeDays sum above 4 °C
     * @param warmDegreeDays sum above 10 °C
     * @param workDays days fit for each kind of work on a soil under short grass
     */
    public record Month(
            int month,
            Band tminC,
            Band tmaxC,
            Band rainMm,
            Band et0Mm,
            Band soilC,
            Band coolDegreeDays,
            Band warmDegreeDays,
            Map<Workability, Band> workDays) {}

    /** One month of one year. */
    private static final class Sums {
        private int days;
        private double tmin;
        private double tmax;
        private double rain;
        private double et0;
        private double soil;
        private double cool;
        private double warm;
        private final double[] work = new double[Workability.values().length];
    }

    /**
     * The twelve months, January first; empty without a whole year.
     *
     * @param ground under this climate
     * @param scale factor on the reference evapotranspiration
     * @param asOf only years that are over on this day
     */
    public static List<Month> of(Climate climate, GroundRecord ground, double scale, LocalDate asOf) {
        List<Integer> years =
                climate.years().stream().filter(y -> y < asOf.getYear()).toList();
        if (years.isEmpty()) {
            return List.of();
        }
        Sums[][] sums = new Sums[12][years.size()];
        WeatherSeries s = climate.series();
        for (int y = 0; y < years.size(); y++) {
            int from = s.index(LocalDate.of(years.get(y), 1, 1));
            int to = s.index(LocalDate.of(years.get(y) + 1, 1, 1));
            for (int i = from; i < to; i++) {
                int m = s.date(i).getMonthValue() - 1;
                if (sums[m][y] == null) {
                    sums[m][y] = new Sums();
                }
                add(sums[m][y], climate, ground, i, scale);
            }
        }
        List<Month> found = new ArrayList<>();
        for (int m = 0; m < 12; m++) {
            found.add(month(m + 1, sums[m]));
        }
        return List.copyOf(found);
    }

    private static void add(Sums sum, Climate climate, GroundRecord ground, int i, double scale) {
        WeatherSeries s = climate.series();
        sum.days++;
        sum.tmin += s.tminC(i);
        sum.tmax += s.tmaxC(i);
        sum.rain += s.rainMm(i);
        sum.et0 += climate.et0Mm(i) * scale;
        sum.soil += ground.soilC(i);
        sum.cool += DegreeDays.COOL.of(s.tminC(i), s.tmaxC(i));
        sum.warm += DegreeDays.WARM.of(s.tminC(i), s.tmaxC(i));
        for (Workability w : Workability.values()) {
            boolean fit = ground.allows(w, i, s.rainMm(i));
            sum.work[w.ordinal()] += fit ? 1 : 0;
        }
    }

    private static Month month(int month, Sums[] years) {
        Map<Workability, Band> work = new EnumMap<>(Workability.class);
        for (Workability w : Workability.values()) {
            work.put(w, band(years, x -> x.work[w.ordinal()]));
        }
        return new Month(
                month,
                band(years, x -> x.tmin / x.days),
                band(years, x -> x.tmax / x.days),
                band(years, x -> x.rain),
                band(years, x -> x.et0),
                band(years, x -> x.soil / x.days),
                band(years, x -> x.cool),
                band(years, x -> x.warm),
                work);
    }

    private static Band band(Sums[] years, ToDoubleFunction<Sums> of) {
        double[] values = new double[years.length];
        for (int y = 0; y < values.length; y++) {
            values[y] = of.applyAsDouble(years[y]);
        }
        Percentiles p = Percentiles.of(values);
        return new Band(p.at(0.1), p.at(0.5), p.at(0.9));
    }
}
