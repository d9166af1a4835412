package app.etlo.core.weather;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Arrays;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Against a series in which every frost was put by hand. */
class FrostRiskTest {
    private static final LocalDate FIRST = LocalDate.of(2000, 1, 1);
    private static final LocalDate LATER = LocalDate.of(2020, 1, 1);

    /** Five winters, no other frost; the last spring frosts and first autumn frosts are what was put in. */
    private static Climate climate(double latitude, LocalDate... frosts) {
        int days = (int) (LocalDate.of(2006, 1, 1).toEpochDay() - FIRST.toEpochDay());
        double[] tmin = new double[days];
        double[] tmax = new double[days];
        Arrays.fill(tmin, 5);
        Arrays.fill(tmax, 15);
        for (LocalDate f : frosts) {
            tmin[(int) (f.toEpochDay() - FIRST.toEpochDay())] = -1;
        }
        return new Climate(
                "hand",
                "By hand",
                new Place(latitude, 0, false),
                WeatherSeries.of(FIRST, tmin, tmax, new double[days]));
    }

    @Test
    void percentiles_of_five_winters_as_counted_by_hand() {
        Climate c = climate(
                45,
                LocalDate.of(2000, 10, 10),
                LocalDate.of(2001, 4, 10),
                LocalDate.of(2001, 10, 14),
                LocalDate.of(2002, 4, 20),
                LocalDate.of(2002, 10, 18),
                LocalDate.of(2003, 4, 30),
                LocalDate.of(2003, 10, 22),
                LocalDate.of(2004, 5, 10),
                LocalDate.of(2004, 10, 26),
                LocalDate.of(2005, 5, 20));
        FrostRisk risk = FrostRisk.of(c, 0, 0, LATER).orElseThrow();
        assertThat(risk.seasons()).isEqualTo(5);
        // ordered first autumn frosts 10, 14, 18, 22, 26 October: at (5 - 1) * 0.1 = 0.4 between the first two lies
        // 11.6
        assertThat(risk.firstAutumnEarly()).contains(MonthDay.of(10, 12));
        assertThat(risk.firstAutumnMiddle()).contains(MonthDay.of(10, 18));
        assertThat(risk.firstAutumnLate()).contains(MonthDay.of(10, 24));
        // last spring frosts 10, 20, 30 April, 10, 20 May: 14 April, 30 April, 16 May
        assertThat(risk.lastSpringEarly()).contains(MonthDay.of(4, 14));
        assertThat(risk.lastSpringMiddle()).contains(MonthDay.of(4, 30));
        assertThat(risk.lastSpringLate()).contains(MonthDay.of(5, 16));
    }

    @Test
    void a_winter_without_frost_counts_as_one_in_which_it_came_latest() {
        FrostRisk risk = FrostRisk.of(
                        climate(45, LocalDate.of(2000, 11, 1), LocalDate.of(2001, 11, 1), LocalDate.of(2002, 11, 1)),
                        0,
                        0,
                        LATER)
                .orElseThrow();
        assertThat(risk.without()).isEqualTo(2);
        assertThat(risk.firstAutumnMiddle()).contains(MonthDay.of(11, 1));
        assertThat(risk.firstAutumnLate()).isEmpty();
    }

    @Test
    void seasons_still_to_come_are_no_part_of_the_record() {
        Climate c = climate(45, LocalDate.of(2000, 11, 1), LocalDate.of(2001, 11, 1));
        assertThat(FrostRisk.of(c, 0, 0, LocalDate.of(2002, 1, 1)).orElseThrow().seasons())
                .isEqualTo(1);
    }

    @Test
    void a_hollow_freezes_where_the_screen_does_not() {
        Climate c = climate(45);
        assertThat(FrostRisk.of(c, 0, 0, LATER).orElseThrow().firstAutumnMiddle())
                .isEmpty();
        assertThat(FrostRisk.of(c, 0, -6, LATER).orElseThrow().firstAutumnMiddle())
                .isPresent();
    }

    @Test
    void on_the_southern_half_autumn_lies_in_the_first_half_of_the_year() {
        Climate c = climate(
                -38,
                LocalDate.of(2000, 5, 10),
                LocalDate.of(2000, 9, 20),
                LocalDate.of(2001, 5, 10),
                LocalDate.of(2001, 9, 20),
                LocalDate.of(2002, 5, 10),
                LocalDate.of(2002, 9, 20),
                LocalDate.of(2003, 5, 10),
                LocalDate.of(2003, 9, 20),
                LocalDate.of(2004, 5, 10),
                LocalDate.of(2004, 9, 20));
        FrostRisk risk = FrostRisk.of(c, 0, 0, LATER).orElseThrow();
        assertThat(risk.firstAutumnMiddle()).isEqualTo(Optional.of(MonthDay.of(5, 10)));
        assertThat(risk.lastSpringMiddle()).isEqualTo(Optional.of(MonthDay.of(9, 20)));
    }

    /** 2004 has a 29 February: the same calendar day is still the same day. */
    @Test
    void a_leap_year_does_not_move_the_last_frost_of_spring() {
        Climate c = climate(45, LocalDate.of(2003, 11, 1), LocalDate.of(2004, 4, 30), LocalDate.of(2004, 11, 1));
        Climate all = climate(
                45,
                LocalDate.of(2001, 4, 30),
                LocalDate.of(2002, 4, 30),
                LocalDate.of(2003, 4, 30),
                LocalDate.of(2004, 4, 30),
                LocalDate.of(2005, 4, 30));
        FrostRisk risk = FrostRisk.of(all, 0, 0, LATER).orElseThrow();
        assertThat(risk.lastSpringEarly()).contains(MonthDay.of(4, 30));
        assertThat(risk.lastSpringLate()).contains(MonthDay.of(4, 30));
        assertThat(FrostRisk.of(c, 0, 0, LATER).orElseThrow().without()).isEqualTo(3);
    }

    @Test
    void a_frost_that_only_comes_in_spring_is_no_first_frost_of_autumn() {
        FrostRisk south = FrostRisk.of(
                        climate(
                                -38,
                                LocalDate.of(2001, 5, 15),
                                LocalDate.of(2002, 9, 19),
                                LocalDate.of(2003, 9, 19),
                                LocalDate.of(2004, 9, 19)),
                        0,
                        0,
                        LATER)
                .orElseThrow();
        assertThat(south.firstAutumnMiddle()).isEmpty();
        assertThat(south.lastSpringMiddle()).contains(MonthDay.of(9, 19));
    }
}
