package app.etlo.core.ground;

import app.etlo.core.weather.Sunlight;
import app.etlo.core.weather.YearsAhead;
import java.time.LocalDate;
import java.util.Arrays;

/**
 * The weather of a simulation in plain arrays: every day of every weather year. Days up to which all years are the same are
 * counted, so that they are played once.
 */
public final class GroundWeather {
    final int members;
    final int days;
    final int sharedDays;
    final double[][] tminC;
    final double[][] tmaxC;
    final double[][] rainMm;
    final double[][] solarMj;
    final double[][] et0Mm;
    final double[] dayLengthH;

    private GroundWeather(int members, int days, int sharedDays) {
        this.members = members;
        this.days = days;
        this.sharedDays = sharedDays;
        this.tminC = new double[members][days];
        this.tmaxC = new double[members][days];
        this.rainMm = new double[members][days];
        this.solarMj = new double[members][days];
        this.et0Mm = new double[members][days];
        this.dayLengthH = new double[days];
    }

    /**
     * @param asOf the days before it are recorded, the same in all years
     * @param scale factor on the reference evapotranspiration for a windy or humid place
     */
    public static GroundWeather of(YearsAhead years, LocalDate asOf, double scale) {
        return of(years, asOf, scale, 1);
    }

    /**
     * @param rain factor on the rain
     */
    public static GroundWeather of(YearsAhead years, LocalDate asOf, double scale, double rain) {
        int days = years.days();
        int known = Math.min(days, years.sameUntil(asOf));
        GroundWeather w = new GroundWeather(years.count(), days, known);
        double latitude = years.climate().place().latitude();
        LocalDate day = years.from();
        for (int d = 0; d < days; d++, day = day.plusDays(1)) {
            w.dayLengthH[d] = Sunlight.dayLengthH(latitude, day.getDayOfYear());
        }
        for (int m = 0; m < w.members; m++) {
            for (int d = 0; d < days; d++) {
                w.tminC[m][d] = years.tminC(m, d);
                w.tmaxC[m][d] = years.tmaxC(m, d);
                w.rainMm[m][d] = years.rainMm(m, d) * rain;
                w.solarMj[m][d] = years.solarMj(m, d);
                w.et0Mm[m][d] = years.et0Mm(m, d) * scale;
            }
        }
        return w;
    }

    /** The first day on which this and another weather may differ; 0 when they cannot be compared. */
    public int sameUntil(GroundWeather o) {
        if (members != o.members || sharedDays != o.sharedDays) {
            return 0;
        }
        int same = Math.min(days, o.days);
        same = upTo(same, dayLengthH, o.dayLengthH);
        for (int m = 0; m < members && same > 0; m++) {
            same = upTo(same, tminC[m], o.tminC[m]);
            same = upTo(same, tmaxC[m], o.tmaxC[m]);
            same = upTo(same, rainMm[m], o.rainMm[m]);
            same = upTo(same, solarMj[m], o.solarMj[m]);
            same = upTo(same, et0Mm[m], o.et0Mm[m]);
        }
        return same;
    }

    private static int upTo(int same, double[] a, double[] b) {
        int at = Arrays.mismatch(a, 0, same, b, 0, same);
        return at < 0 ? same : at;
    }

    public int members() {
        return members;
    }

    public int days() {
        return days;
    }
}
