package app.etlo.core.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.knowledge.KnowledgeLoader;
import app.etlo.core.knowledge.Station;
import app.etlo.core.knowledge.Station.Month;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What goes in comes out: 300 years of each invented station against the normals it was given. The seeds are fixed. */
class WeatherGeneratorTest {
    private static final int FIRST = 1700;
    private static final int YEARS = 300;

    static Stream<Station> stations() {
        return KnowledgeLoader.shipped().stations().all().stream();
    }

    private record Monthly(double[] tmin, double[] tmax, double[] rain, double[] wet) {}

    private static Monthly month(WeatherSeries w, int month) {
        Monthly m = new Monthly(new double[YEARS], new double[YEARS], new double[YEARS], new double[YEARS]);
        for (int y = 0; y < YEARS; y++) {
            LocalDate first = LocalDate.of(FIRST + y, month, 1);
            int from = w.index(first);
            int to = w.index(first.plusMonths(1));
            for (int i = from; i < to; i++) {
                m.tmin[y] += w.tminC(i) / (to - from);
                m.tmax[y] += w.tmaxC(i) / (to - from);
                m.rain[y] += w.rainMm(i);
                m.wet[y] += w.rainMm(i) > 0 ? 1 : 0;
            }
        }
        return m;
    }

    private static double mean(double[] v) {
        return Arrays.stream(v).average().orElseThrow();
    }

    private static double sd(double[] v) {
        double mean = mean(v);
        return Math.sqrt(Arrays.stream(v).map(x -> (x - mean) * (x - mean)).sum() / (v.length - 1));
    }

    @ParameterizedTest
    @MethodSource("stations")
    void means_and_the_spread_of_years_come_back_to_what_was_given(Station station) {
        WeatherSeries w = new WeatherGenerator(station).years(FIRST, FIRST + YEARS - 1);
        for (int i = 1; i <= 12; i++) {
            Month given = station.months().get(i - 1);
            Monthly got = month(w, i);
            String where = station.name() + ", month " + i;
            double[] middle = IntStream.range(0, YEARS)
                    .mapToDouble(y -> (got.tmin()[y] + got.tmax()[y]) / 2)
                    .toArray();
            // four standard errors of a mean of 300 years, and a tenth for what keeps the night below the day
            double error = 4 * given.yearSdC() / Math.sqrt(YEARS) + 0.1;
            assertThat(mean(middle)).as(where + " mean").isCloseTo(given.meanC(), within(error));
            assertThat(mean(got.tmax()) - mean(got.tmin()))
                    .as(where + " span")
                    .isCloseTo(given.tmaxC() - given.tminC(), within(0.5));
            double rainError = 4 * given.rainCv() * given.rainMm() / Math.sqrt(YEARS) + 0.03 * given.rainMm();
            assertThat(mean(got.rain())).as(where + " rain").isCloseTo(given.rainMm(), within(rainError + 0.5));
            assertThat(mean(got.wet())).as(where + " wet days").isCloseTo(given.wetDays(), within(0.9));
            // the daily chance alone may make more than was given; never less, and never much more
            assertThat(sd(middle))
                    .as(where + " spread of years")
                    .isBetween(0.82 * given.yearSdC(), 1.3 * given.yearSdC());
            assertThat(sd(got.rain()) / mean(got.rain()))
                    .as(where + " spread of rain")
                    .isBetween(0.75 * given.rainCv(), 1.45 * given.rainCv());
        }
    }

    @Test
    void the_same_year_is_always_the_same_and_another_year_is_another() {
        Station station = stations().findFirst().orElseThrow();
        WeatherSeries one = new WeatherGenerator(station).years(1990, 1992);
        WeatherSeries two = new WeatherGenerator(station).years(1991, 1993);
        LocalDate day = LocalDate.of(1991, 8, 8);
        assertThat(one.tmaxC(one.index(day))).isEqualTo(two.tmaxC(two.index(day)));
        assertThat(IntStream.range(0, 365)
                        .filter(i -> one.tmaxC(i) == one.tmaxC(i + 366))
                        .count())
                .isLessThan(60);
    }

    @ParameterizedTest
    @MethodSource("stations")
    void no_day_is_impossible(Station station) {
        WeatherSeries w = new WeatherGenerator(station).years(2000, 2029);
        for (int i = 0; i < w.days(); i++) {
            assertThat(w.tminC(i)).isLessThan(w.tmaxC(i));
            assertThat(w.rainMm(i)).isBetween(0.0, 500.0);
        }
    }

    @Test
    void warm_days_follow_warm_days() {
        WeatherSeries w = new WeatherGenerator(stations().findFirst().orElseThrow()).years(FIRST, FIRST + 99);
        double cross = 0;
        double square = 0;
        double mean = IntStream.range(0, w.days())
                .filter(i -> w.date(i).getMonthValue() == 7)
                .mapToDouble(w::meanC)
                .average()
                .orElseThrow();
        for (int i = 0; i < w.days(); i++) {
            if (w.date(i).getMonthValue() == 7 && w.date(i).getDayOfMonth() < 31) {
                cross += (w.meanC(i) - mean) * (w.meanC(i + 1) - mean);
                square += (w.meanC(i) - mean) * (w.meanC(i) - mean);
            }
        }
        assertThat(cross / square).isBetween(0.5, 0.85);
    }

    @Test
    void eight_climates_or_more_on_both_halves_of_the_earth() {
        assertThat(stations().count()).isGreaterThanOrEqualTo(8);
        assertThat(stations().filter(s -> s.latitude() < 0).count()).isGreaterThanOrEqualTo(1);
    }
}
