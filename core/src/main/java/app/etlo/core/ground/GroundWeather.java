package app.etlo.core.ground;

import app.etlo.core.weather.Climate;
import app.etlo.core.weather.Sunlight;
import app.etlo.core.weather.WeatherSeries;
import app.etlo.core.weather.YearsAhead;
import java.time.LocalDate;
import java.util.Arrays;

/**
 * The weather of a simulation in plain arrays: every day of every weather year. Days up to which all years are the same are
 * counted, so that they are played once.
 */
public final class GroundWeather {
    private static final double[][] NO_SNOW = {};

    final int members;
    final int days;
    final int sharedDays;
    final double[][] tminC;
    final double[][] tmaxC;
    final double[][] rainMm;
    final double[][] solarMj;
    final double[][] et0Mm;
    /** Depth of snow as water where it was measured; NaN where not, and no rows at all in a record without snow. */
    final double[][] snowMm;

    final double[] dayLengthH;

    private GroundWeather(int members, int days, int sharedDays, boolean hasSnow) {
        this.members = members;
        this.days = days;
        this.sharedDays = sharedDays;
        this.tminC = new double[members][days];
        this.tmaxC = new double[members][days];
        this.rainMm = new double[members][days];
        this.solarMj = new double[members][days];
        this.et0Mm = new double[members][days];
        this.snowMm = hasSnow ? new double[members][days] : NO_SNOW;
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
        GroundWeather w = new GroundWeather(
                years.count(), days, known, years.climate().series().hasSnow());
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
                if (w.snowMm.length > 0) {
                    w.snowMm[m][d] = years.snowCm(m, d) * Snow.MM_PER_CM;
                }
            }
        }
        return w;
    }

    /** A whole record as one member; days it does not know are NaN. */
    static GroundWeather of(Climate climate, double scale) {
        WeatherSeries s = climate.series();
        GroundWeather w = new GroundWeather(1, s.days(), s.days(), s.hasSnow());
        for (int d = 0; d < s.days(); d++) {
            w.dayLengthH[d] =
                    Sunlight.dayLengthH(climate.place().latitude(), s.date(d).getDayOfYear());
            w.tminC[0][d] = s.tminC(d);
            w.tmaxC[0][d] = s.tmaxC(d);
            w.rainMm[0][d] = s.rainMm(d);
            w.solarMj[0][d] = climate.solarMj(d);
            w.et0Mm[0][d] = climate.et0Mm(d) * scale;
            if (s.hasSnow()) {
                w.snowMm[0][d] = s.snowCm(d) * Snow.MM_PER_CM;
            }
        }
        return w;
    }

    /** Puts the weather of a day into a state. */
    void on(int member, int d, GroundState s) {
        s.day = d;
        s.tminC = tminC[member][d];
        s.tmaxC = tmaxC[member][d];
        s.meanC = (s.tminC + s.tmaxC) / 2;
        s.dayC = s.tmaxC - 0.25 * (s.tmaxC - s.tminC);
        s.rainMm = rainMm[member][d];
        s.parMj = 0.5 * solarMj[member][d];
        s.et0Mm = et0Mm[member][d];
        s.dayLengthH = dayLengthH[d];
        s.measuredSnowMm = snowMm.length == 0 ? Double.NaN : snowMm[member][d];
        s.irrigationMm = 0;
    }

    /** The first day on which this and another weather may differ; 0 when they cannot be compared. */
    public int sameUntil(GroundWeather o) {
        if (members != o.members || sharedDays != o.sharedDays || snowMm.length != o.snowMm.length) {
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
            if (snowMm.length > 0) {
                same = upTo(same, snowMm[m], o.snowMm[m]);
            }
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
