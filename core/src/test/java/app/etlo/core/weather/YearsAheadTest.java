package app.etlo.core.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class YearsAheadTest {
    private static final LocalDate FIRST = LocalDate.of(2001, 1, 1);

    /** Ten years; the highest temperature of a day is its year, so that one sees which year a day was taken from. */
    private static Climate counting() {
        int days = (int) (LocalDate.of(2011, 1, 1).toEpochDay() - FIRST.toEpochDay());
        double[] tmin = new double[days];
        double[] tmax = new double[days];
        for (int i = 0; i < days; i++) {
            tmin[i] = FIRST.plusDays(i).getDayOfYear() / 100.0;
            tmax[i] = FIRST.plusDays(i).getYear();
        }
        return new Climate(
                "c", "Counting", new Place(45, 0, false), WeatherSeries.of(FIRST, tmin, tmax, new double[days]));
    }

    @Test
    void recorded_days_are_the_same_in_every_year_ahead() {
        LocalDate asOf = LocalDate.of(2010, 6, 1);
        YearsAhead years =
                new YearsAhead(counting(), Forecast.NONE, asOf, LocalDate.of(2010, 5, 30), LocalDate.of(2012, 7, 1));
        for (int y = 0; y < years.count(); y++) {
            assertThat(years.tmaxC(y, 0)).isEqualTo(2010);
            assertThat(years.tmaxC(y, 2)).isEqualTo(years.year(y));
        }
    }

    @Test
    void years_that_follow_each_other_stay_together_and_the_last_is_followed_by_the_first() {
        LocalDate asOf = LocalDate.of(2030, 1, 1);
        YearsAhead years = new YearsAhead(counting(), Forecast.NONE, asOf, asOf, asOf.plusYears(3));
        int next = years.day(LocalDate.of(2031, 6, 1));
        for (int y = 0; y < years.count(); y++) {
            assertThat(years.tmaxC(y, next)).isEqualTo(2001 + (years.year(y) - 2001 + 1) % 10);
        }
    }

    @Test
    void a_leap_day_ahead_is_the_day_before_in_a_year_without_one() {
        LocalDate asOf = LocalDate.of(2028, 2, 1);
        YearsAhead years = new YearsAhead(counting(), Forecast.NONE, asOf, asOf, asOf.plusDays(60));
        int leap = years.day(LocalDate.of(2028, 2, 29));
        assertThat(years.tminC(0, leap)).isEqualTo(0.59);
        assertThat(years.tminC(3, leap)).isEqualTo(0.60);
        assertThat(years.tminC(0, leap + 1)).isEqualTo(0.60);
        assertThat(years.tminC(3, leap + 1)).isEqualTo(0.61);
    }

    @Test
    void a_forecast_stands_before_the_record_on_its_days_alone() {
        LocalDate asOf = LocalDate.of(2028, 2, 1);
        Forecast ahead = new Forecast(Optional.of(Instant.EPOCH), asOf, List.of(new Forecast.Day(1, 2, 3)));
        YearsAhead years = new YearsAhead(counting(), ahead, asOf, asOf.minusDays(1), asOf.plusDays(3));
        assertThat(years.tmaxC(5, 0)).isEqualTo(2006);
        assertThat(years.tmaxC(5, 1)).isEqualTo(2);
        assertThat(years.rainMm(5, 1)).isEqualTo(3);
        assertThat(years.tmaxC(5, 2)).isEqualTo(2006);
    }

    @Test
    void degree_days_add_up_and_their_day_is_found_again() {
        LocalDate asOf = LocalDate.of(2028, 1, 1);
        YearsAhead years = new YearsAhead(counting(), Forecast.NONE, asOf, asOf, asOf.plusDays(300));
        double[] whole = years.degreeDays(DegreeDays.COOL, asOf, asOf.plusDays(100));
        double[] first = years.degreeDays(DegreeDays.COOL, asOf, asOf.plusDays(40));
        double[] second = years.degreeDays(DegreeDays.COOL, asOf.plusDays(40), asOf.plusDays(100));
        for (int y = 0; y < whole.length; y++) {
            assertThat(first[y] + second[y]).isCloseTo(whole[y], within(1e-6));
        }
        assertThat(years.daysTo(DegreeDays.COOL, asOf, whole[4])[4]).isEqualTo(99);
        assertThat(years.daysTo(DegreeDays.COOL, asOf, 1e9)[0]).isInfinite();
    }

    @Test
    void percentiles_by_hand() {
        Percentiles p = Percentiles.of(4, 1, 3, 2, 5);
        assertThat(p.at(0.5)).isEqualTo(3);
        assertThat(p.at(0.1)).isCloseTo(1.4, within(1e-12));
        assertThat(p.at(0.9)).isCloseTo(4.6, within(1e-12));
        assertThat(Percentiles.of(1, 2, Double.POSITIVE_INFINITY).at(0.9)).isInfinite();
        assertThat(Percentiles.of(1, Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY)
                        .at(0.5))
                .isInfinite();
    }

    /** A hole in this season's record is as unsure as the days to come, is counted, and does not touch the days around it. */
    @Test
    void a_day_that_the_record_misses_is_taken_from_the_other_years_and_counted() {
        WeatherSeries whole = counting().series();
        LocalDate hole = LocalDate.of(2010, 5, 20);
        int n = whole.days();
        double[] tmin = new double[n];
        double[] tmax = new double[n];
        for (int i = 0; i < n; i++) {
            boolean missing = whole.date(i).equals(hole);
            tmin[i] = missing ? Double.NaN : whole.tminC(i);
            tmax[i] = missing ? Double.NaN : whole.tmaxC(i);
        }
        Climate holed =
                new Climate("h", "Holed", new Place(45, 0, false), WeatherSeries.of(FIRST, tmin, tmax, new double[n]));
        LocalDate asOf = LocalDate.of(2010, 6, 1);
        YearsAhead years = new YearsAhead(holed, Forecast.NONE, asOf, LocalDate.of(2010, 5, 1), asOf.plusDays(30));
        assertThat(years.missingUntil(asOf)).isEqualTo(1);
        for (int y = 0; y < years.count(); y++) {
            assertThat(years.tmaxC(y, years.day(hole))).isEqualTo(years.year(y));
            assertThat(years.tmaxC(y, years.day(hole) - 1)).isEqualTo(2010);
            assertThat(years.tmaxC(y, years.day(hole) + 1)).isEqualTo(2010);
        }
        assertThat(years.sameUntil(asOf)).isEqualTo(years.day(hole));
    }
}
