package app.etlo.core.field;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.MonthDay;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class FrostDatesTest {
    private static final FrostDates NORTH = new FrostDates(MonthDay.of(4, 25), MonthDay.of(10, 12));
    private static final FrostDates SOUTH = new FrostDates(MonthDay.of(10, 5), MonthDay.of(4, 20));

    @Test
    void a_summer_sowing_is_bounded_by_the_coming_autumn() {
        assertThat(NORTH.autumnFrostFor(LocalDate.of(2026, 8, 1))).contains(LocalDate.of(2026, 10, 12));
        assertThat(SOUTH.autumnFrostFor(LocalDate.of(2027, 2, 1))).contains(LocalDate.of(2027, 4, 20));
    }

    @Test
    void a_sowing_into_the_cold_is_bounded_by_the_frost_just_past() {
        assertThat(NORTH.autumnFrostFor(LocalDate.of(2026, 11, 20))).contains(LocalDate.of(2026, 10, 12));
    }

    @Test
    void a_frost_seeding_and_a_spring_sowing_have_no_autumn_yet() {
        assertThat(NORTH.autumnFrostFor(LocalDate.of(2027, 3, 1))).isEmpty();
    }

    @Test
    void the_cold_season_runs_over_the_turn_of_the_year_in_the_north_only() {
        assertThat(NORTH.coldSeasons(LocalDate.of(2026, 1, 1), LocalDate.of(2026, 12, 31)))
                .containsExactly(
                        new FrostDates.ColdSeason(LocalDate.of(2025, 10, 12), LocalDate.of(2026, 4, 25)),
                        new FrostDates.ColdSeason(LocalDate.of(2026, 10, 12), LocalDate.of(2027, 4, 25)));
        assertThat(SOUTH.coldSeasons(LocalDate.of(2026, 1, 1), LocalDate.of(2026, 12, 31)))
                .containsExactly(new FrostDates.ColdSeason(LocalDate.of(2026, 4, 20), LocalDate.of(2026, 10, 5)));
    }

    @Property
    void cold_seasons_follow_one_another_and_touch_the_span(
            @ForAll @IntRange(min = 0, max = 4000) int start, @ForAll @IntRange(min = 1, max = 2000) int length) {
        LocalDate from = LocalDate.of(2020, 1, 1).plusDays(start);
        LocalDate to = from.plusDays(length);
        LocalDate last = LocalDate.MIN;
        for (FrostDates.ColdSeason c : NORTH.coldSeasons(from, to)) {
            assertThat(c.firstFrost()).isAfter(last).isBefore(c.lastFrost()).isBeforeOrEqualTo(to);
            assertThat(c.lastFrost()).isAfterOrEqualTo(from);
            last = c.lastFrost();
        }
    }
}
