package app.etlo.core.weather;

import app.etlo.core.knowledge.Station;
import app.etlo.core.knowledge.Station.Month;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.stream.DoubleStream;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.sampling.distribution.AhrensDieterMarsagliaTsangGammaSampler;
import org.apache.commons.rng.sampling.distribution.ZigguratSampler;
import org.apache.commons.rng.simple.RandomSource;

/**
 * Makes years of daily weather from a station's normals: a first-order Markov chain for wet days, gamma amounts of rain,
 * temperatures that hang on from day to day around the seasonal course (Richardson 1981, Water Resources Research 17:182;
 * Richardson and Wright 1984, WGEN; from memory). Such a generator makes years too much alike, so each month's mean is shifted
 * by the part of the given spread from year to year that the daily chance does not make by itself.
 *
 * <p>A year depends on the station and its number alone: the same year is always the same.
 */
public final class WeatherGenerator {
    /** How much of a day's departure is left on the next. */
    private static final double HANGS_ON = 0.65;
    /** Correlation of the night's departure with the day's. */
    private static final double TOGETHER = 0.6;
    /** How much a wet day's span of temperature is narrower than a dry one's at its upper end; half of it at the lower. */
    private static final double WET_COOLS_C = 2;

    private static final double LEAST_SPAN_C = 0.8;
    private static final double LEAST_RAIN_MM = 0.1;

    private final Station station;
    private final SeasonalMean tmin;
    private final SeasonalMean tmax;
    private final SeasonalMean spread;

    public WeatherGenerator(Station station) {
        this.station = station;
        this.tmin = course(station.months().stream().mapToDouble(Month::tminC));
        this.tmax = course(station.months().stream().mapToDouble(Month::tmaxC));
        this.spread = course(station.months().stream().mapToDouble(Month::daySdC));
    }

    private static SeasonalMean course(DoubleStream monthly) {
        return new SeasonalMean(monthly.toArray());
    }

    /** Every day of the years from the first to the last, both included. */
    public WeatherSeries years(int first, int last) {
        LocalDate from = LocalDate.of(first, 1, 1);
        int n = (int) (LocalDate.of(last + 1, 1, 1).toEpochDay() - from.toEpochDay());
        double[] low = new double[n];
        double[] high = new double[n];
        double[] rain = new double[n];
        int at = 0;
        for (int year = first; year <= last; year++) {
            at = year(year, at, low, high, rain);
        }
        return WeatherSeries.of(from, low, high, rain);
    }

    private int year(int year, int start, double[] low, double[] high, double[] rain) {
        UniformRandomProvider random = RandomSource.XO_SHI_RO_256_PP.create(
                ((long) station.id().hashCode() << 32) ^ (year * 0x9E3779B97F4A7C15L));
        ZigguratSampler.NormalizedGaussian gauss = ZigguratSampler.NormalizedGaussian.of(random);
        double day = gauss.sample();
        double night = TOGETHER * day + Math.sqrt(1 - TOGETHER * TOGETHER) * gauss.sample();
        double fresh = Math.sqrt(1 - HANGS_ON * HANGS_ON);
        boolean wet = random.nextDouble() < station.months().get(0).wetDays() / 31;
        int days = LocalDate.of(year, 12, 31).getDayOfYear();
        int at = start;
        for (int m = 1; m <= 12; m++) {
            Month month = station.months().get(m - 1);
            int length = YearMonth.of(year, m).lengthOfMonth();
            double wetShare = month.wetDays() / YearMonth.of(2001, m).lengthOfMonth();
            double shift = gauss.sample() * shiftSdC(month, length);
            double amount = month.rainMm() / month.wetDays() * wetter(random, month, length);
            double shape = station.rainShape();
            var gamma = AhrensDieterMarsagliaTsangGammaSampler.of(random, shape, Math.max(1e-6, amount / shape));
            double afterDry = wetShare * (1 - station.wetPersistence());
            double afterWet = wetShare + station.wetPersistence() * (1 - wetShare);
            for (int d = 0; d < length; d++, at++) {
                wet = random.nextDouble() < (wet ? afterWet : afterDry);
                rain[at] = wet ? Math.max(LEAST_RAIN_MM, gamma.sample()) : 0;
                double e = gauss.sample();
                double f = TOGETHER * e + Math.sqrt(1 - TOGETHER * TOGETHER) * gauss.sample();
                day = HANGS_ON * day + fresh * e;
                night = HANGS_ON * night + fresh * f;
                double season = (at - start + 0.5) / days;
                double sd = spread.at(season);
                double cool = wet ? -(1 - wetShare) * WET_COOLS_C : wetShare * WET_COOLS_C;
                double top = tmax.at(season) + shift + sd * day + cool;
                double bottom = tmin.at(season) + shift + sd * night - cool / 2;
                double middle = (top + bottom) / 2;
                double half = Math.max(LEAST_SPAN_C, top - bottom) / 2;
                low[at] = tenths(middle - half);
                high[at] = tenths(middle + half);
                rain[at] = tenths(rain[at]);
            }
        }
        return at;
    }

    private static double tenths(double v) {
        return Math.rint(v * 10) / 10;
    }

    /** What of the given spread of a month's mean is left to make after the daily departures have made theirs. */
    private static double shiftSdC(Month month, int days) {
        double ofMean = month.daySdC() * month.daySdC() * (1 + TOGETHER) / 2;
        double alone = ofMean / days * hangingOn(HANGS_ON, days);
        return Math.sqrt(Math.max(0, month.yearSdC() * month.yearSdC() - alone));
    }

    /** How many times the variance of a mean of n days grows when each keeps a share of the one before. */
    private static double hangingOn(double share, int n) {
        double sum = 0;
        for (int k = 1; k < n; k++) {
            sum += (1 - (double) k / n) * Math.pow(share, k);
        }
        return 1 + 2 * sum;
    }

    /** A month's factor on its rain, mean 1, for what of the given spread the chain and the amounts do not make. */
    private double wetter(UniformRandomProvider random, Month month, int days) {
        double share = Math.min(0.999, month.wetDays() / days);
        double perDay = share * (1 + 1 / station.rainShape())
                - share * share
                + share * (1 - share) * (hangingOn(station.wetPersistence(), days) - 1);
        double alone = perDay / (days * share * share);
        double left = (month.rainCv() * month.rainCv() - alone) / (1 + alone);
        if (left <= 0) {
            return 1;
        }
        return AhrensDieterMarsagliaTsangGammaSampler.of(random, 1 / left, left).sample();
    }
}
