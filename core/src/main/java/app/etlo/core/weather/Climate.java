package app.etlo.core.weather;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/**
 * A weather series at its place with what follows from it day by day: reference evapotranspiration and radiation.
 * Made once for a series and shared.
 */
public final class Climate {
    private final String id;
    private final String name;
    private final Place place;
    private final WeatherSeries series;
    private final double[] et0Mm;
    private final double[] solarMj;
    private final List<Integer> years;

    /**
     * @param id of the station or the imported series
     */
    public Climate(String id, String name, Place place, WeatherSeries series) {
        this.id = id;
        this.name = name;
        this.place = place;
        this.series = series;
        this.et0Mm = evapotranspiration();
        this.solarMj = radiation();
        this.years = completeYears();
    }

    public String id() {
        return id;
    }

    public String name() {
        return name;
    }

    public Place place() {
        return place;
    }

    public WeatherSeries series() {
        return series;
    }

    /** Reference evapotranspiration, mm/day; NaN where the day is not known. */
    public double et0Mm(int i) {
        return et0Mm[i];
    }

    /** Radiation, measured where it was, else from the day's span of temperature, MJ/m2/day. */
    public double solarMj(int i) {
        return solarMj[i];
    }

    /** The calendar years of which every day is known. */
    public List<Integer> years() {
        return years;
    }

    private double[] evapotranspiration() {
        double[] ra = new double[367];
        for (int d = 1; d <= 366; d++) {
            ra[d] = Sunlight.extraterrestrialMj(place.latitude(), d);
        }
        double[] et0 = new double[series.days()];
        LocalDate day = series.first();
        for (int i = 0; i < et0.length; i++, day = day.plusDays(1)) {
            et0[i] = series.isKnown(i)
                    ? Sunlight.referenceEvapotranspirationMm(series.tminC(i), series.tmaxC(i), ra[day.getDayOfYear()])
                    : Double.NaN;
        }
        return et0;
    }

    private double[] radiation() {
        double[] rs = new double[series.days()];
        LocalDate day = series.first();
        for (int i = 0; i < rs.length; i++, day = day.plusDays(1)) {
            double measured = series.solarMj(i);
            rs[i] = Double.isNaN(measured)
                    ? Sunlight.fromSpanMj(
                            series.tminC(i),
                            series.tmaxC(i),
                            Sunlight.extraterrestrialMj(place.latitude(), day.getDayOfYear()),
                            place.coastal(),
                            place.elevationM())
                    : measured;
        }
        return rs;
    }

    private List<Integer> completeYears() {
        List<Integer> found = new ArrayList<>();
        for (int year = series.first().getYear(); year <= series.end().getYear(); year++) {
            int from = series.index(LocalDate.of(year, 1, 1));
            int to = series.index(LocalDate.of(year + 1, 1, 1));
            boolean whole = from >= 0 && to <= series.days();
            for (int i = from; whole && i < to; i++) {
                whole = series.isKnown(i);
            }
            if (whole) {
                found.add(year);
            }
        }
        return List.copyOf(found);
    }

    /** Sum of degree days up to each day, °C d; day i holds what came before it. */
    public double[] cumulative(DegreeDays degreeDays) {
        double[] sum = new double[series.days() + 1];
        for (int i = 0; i < series.days(); i++) {
            double day = series.isKnown(i) ? degreeDays.of(series.tminC(i), series.tmaxC(i)) : 0;
            sum[i + 1] = sum[i] + day;
        }
        return sum;
    }
}
