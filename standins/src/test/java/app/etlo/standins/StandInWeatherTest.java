package app.etlo.standins;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class StandInWeatherTest {
    private final StandInWeather weather = new StandInWeather();

    /** The day itself, told on the day, is nearest the truth there is from outside. */
    private double apart(LocalDate issued, int lead) {
        LocalDate day = issued.plusDays(lead);
        double told = weather.forecast(43, 0, issued).get(lead).tmaxC();
        List<Double> later = new ArrayList<>();
        for (double lon = 1; lon <= 12; lon++) {
            later.add(weather.forecast(43, lon, day).get(0).tmaxC());
        }
        double truth = later.stream().mapToDouble(v -> v).average().orElseThrow();
        return Math.abs(told - truth);
    }

    @Test
    void its_error_grows_with_the_days() {
        double first = 0;
        double last = 0;
        for (int i = 0; i < 40; i++) {
            first += apart(LocalDate.of(2026, 3, 1).plusDays(5L * i), 1);
            last += apart(LocalDate.of(2026, 3, 1).plusDays(5L * i), 9);
        }
        assertThat(last).isGreaterThan(2 * first);
    }

    @Test
    void the_same_question_has_the_same_answer_also_over_new_year() {
        LocalDate day = LocalDate.of(2026, 12, 27);
        assertThat(weather.forecast(50, -36, day)).isEqualTo(weather.forecast(50, -36, day));
        assertThat(weather.forecast(50, -36, day))
                .hasSize(StandInWeather.DAYS)
                .allSatisfy(d -> assertThat(d.tminC()).isLessThan(d.tmaxC()));
    }
}
