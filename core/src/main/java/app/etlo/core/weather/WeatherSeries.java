package app.etlo.core.weather;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.BitSet;

/**
 * Daily weather of one place without holes in its dates: lowest and highest temperature, °C, and precipitation, mm; where
 * measured also the sun's radiation, MJ/m2, and the snow's depth, cm. A value that is not known is NaN.
 */
public final class WeatherSeries {
    private final LocalDate first;
    private final double[] tminC;
    private final double[] tmaxC;
    private final double[] rainMm;
    private final double[] solarMj;
    private final double[] snowCm;
    private final BitSet filled;

    /**
     * @param solarMj as long as the others, or empty where none was measured
     * @param snowCm as long as the others, or empty where none was measured
     * @param filled days that were filled in, not measured
     * @throws IllegalArgumentException when the arrays are of different length
     */
    public WeatherSeries(
            LocalDate first,
            double[] tminC,
            double[] tmaxC,
            double[] rainMm,
            double[] solarMj,
            double[] snowCm,
            BitSet filled) {
        int n = tminC.length;
        if (tmaxC.length != n || rainMm.length != n || !fits(solarMj, n) || !fits(snowCm, n)) {
            throw new IllegalArgumentException("the columns of a weather series are of one length");
        }
        this.first = first;
        this.tminC = tminC.clone();
        this.tmaxC = tmaxC.clone();
        this.rainMm = rainMm.clone();
        this.solarMj = solarMj.clone();
        this.snowCm = snowCm.clone();
        this.filled = (BitSet) filled.clone();
    }

    /** A series of temperatures and rain alone, all measured. */
    public static WeatherSeries of(LocalDate first, double[] tminC, double[] tmaxC, double[] rainMm) {
        return new WeatherSeries(first, tminC, tmaxC, rainMm, new double[0], new double[0], new BitSet());
    }

    private static boolean fits(double[] column, int n) {
        return column.length == 0 || column.length == n;
    }

    public LocalDate first() {
        return first;
    }

    /** The day after the last. */
    public LocalDate end() {
        return first.plusDays(tminC.length);
    }

    public int days() {
        return tminC.length;
    }

    /** Place of a day in the series; below 0 or from {@link #days()} on when it lies outside. */
    public int index(LocalDate day) {
        return (int) ChronoUnit.DAYS.between(first, day);
    }

    public LocalDate date(int index) {
        return first.plusDays(index);
    }

    public double tminC(int i) {
        return tminC[i];
    }

    public double tmaxC(int i) {
        return tmaxC[i];
    }

    /** Mean of the lowest and the highest temperature. */
    public double meanC(int i) {
        return (tminC[i] + tmaxC[i]) / 2;
    }

    public double rainMm(int i) {
        return rainMm[i];
    }

    /** Measured radiation, or NaN. */
    public double solarMj(int i) {
        return solarMj.length == 0 ? Double.NaN : solarMj[i];
    }

    /** Measured depth of snow, or NaN. */
    public double snowCm(int i) {
        return snowCm.length == 0 ? Double.NaN : snowCm[i];
    }

    public boolean hasSolar() {
        return solarMj.length > 0;
    }

    public boolean hasSnow() {
        return snowCm.length > 0;
    }

    public boolean isFilled(int i) {
        return filled.get(i);
    }

    public int filledDays() {
        return filled.cardinality();
    }

    /** Whether temperatures and rain of a day are known. */
    public boolean isKnown(int i) {
        return i >= 0
                && i < tminC.length
                && !Double.isNaN(tminC[i])
                && !Double.isNaN(tmaxC[i])
                && !Double.isNaN(rainMm[i]);
    }

    /** The days before one, as a series of their own. */
    public WeatherSeries before(LocalDate day) {
        int n = Math.max(0, Math.min(days(), index(day)));
        return n == days()
                ? this
                : new WeatherSeries(
                        first, cut(tminC, n), cut(tmaxC, n), cut(rainMm, n), cut(solarMj, n), cut(snowCm, n), filled);
    }

    private static double[] cut(double[] column, int n) {
        return Arrays.copyOf(column, Math.min(n, column.length));
    }
}
