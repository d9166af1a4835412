package app.etlo.core.ground;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.etlo.core.ground.GroundCourse.OfGround;
import app.etlo.core.ground.GroundCourse.OfPlant;
import app.etlo.core.weather.Climate;
import app.etlo.core.weather.Forecast;
import app.etlo.core.weather.Place;
import app.etlo.core.weather.WeatherSeries;
import app.etlo.core.weather.YearsAhead;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Polar days and nights, years that turn, days that all years share, events out of the span. */
class EdgesTest {
    private static Climate constant(double latitude, double low, double high) {
        int n = 1500;
        double[] tmin = new double[n];
        double[] tmax = new double[n];
        double[] rain = new double[n];
        java.util.Arrays.fill(tmin, low);
        java.util.Arrays.fill(tmax, high);
        java.util.Arrays.fill(rain, 2);
        return new Climate(
                "c", "C", new Place(latitude, 0, false), WeatherSeries.of(LocalDate.of(2022, 1, 1), tmin, tmax, rain));
    }

    @Test
    void polar_night_gives_no_growth_and_polar_day_does_without_a_number_missing() {
        for (double latitude : new double[] {78, -78, 66.6, 0}) {
            Trials.Grown g = Trials.at(constant(latitude, 5, 15), "2025-01-01", "2025-12-31")
                    .sow("cereal-rye", 200, "2025-01-10")
                    .sow("hairy-vetch", 40, "2025-06-01")
                    .run();
            int records = g.course().recordedDays().length;
            for (int r = 0; r < records; r++) {
                for (OfGround v : OfGround.values()) {
                    assertThat(g.course().ground(r, v, 0))
                            .as(v + " at " + latitude)
                            .isFinite();
                }
                for (OfPlant v : OfPlant.values()) {
                    assertThat(g.course().plant(r, 0, v, 0))
                            .as(v + " at " + latitude)
                            .isFinite();
                }
            }
            if (latitude == 78) {
                // up in the dark, and still without light in February
                assertThat(g.tHa(0, "2025-02-05")).isLessThan(0.05);
                assertThat(g.tHa(0, "2025-06-30")).isGreaterThan(0.6);
            }
        }
    }

    @Test
    void days_that_all_years_share_are_played_once_and_give_the_same() {
        LocalDate from = LocalDate.of(2015, 8, 1);
        LocalDate to = LocalDate.of(2016, 7, 1);
        YearsAhead years = new YearsAhead(Trials.NORTH, Forecast.NONE, LocalDate.of(2016, 2, 29), from, to);
        GroundWeather shared = GroundWeather.of(years, LocalDate.of(2016, 2, 29), 1);
        GroundWeather apart = GroundWeather.of(years, from, 1);
        assertThat(shared.sharedDays).isEqualTo(212);
        assertThat(apart.sharedDays).isZero();
        GroundScript script = new GroundScript(
                Trials.siltLoam(),
                List.of(Trials.plant("cereal-rye")),
                List.of(new GroundEvent.Sow(40, "s", 0, 200, false)));
        GroundCourse once = new GroundSimulation(script, shared).run();
        GroundCourse each = new GroundSimulation(script, apart).run();
        for (int r = 0; r < once.recordedDays().length; r++) {
            assertThat(once.plant(r, 0, OfPlant.MASS_KG_HA)).isEqualTo(each.plant(r, 0, OfPlant.MASS_KG_HA));
            for (OfGround v : OfGround.values()) {
                assertThat(once.ground(r, v)).as("%s", v).isEqualTo(each.ground(r, v));
            }
        }
    }

    /** Days on request are those of the whole run, also when they go on from what was kept of it. */
    @Test
    void days_on_request_are_those_of_the_run() {
        Trials t = Trials.north("2025-09-01", "2026-07-01").sow("cereal-rye", 220, "2025-09-20");
        GroundSimulation simulation = new GroundSimulation(t.script(), t.weather());
        GroundRun kept = simulation.kept(Optional.empty());
        GroundCourse all = kept.course();
        for (Optional<GroundRun> earlier : List.of(Optional.<GroundRun>empty(), Optional.of(kept))) {
            GroundCourse days = simulation.days(200, 260, earlier);
            assertThat(days.records()).isEqualTo(60);
            int checked = 0;
            for (int r = 0; r < all.records(); r++) {
                int day = all.recordedDay(r);
                if (day >= 200 && day < 260) {
                    assertThat(days.plant(days.recordOf(day), 0, OfPlant.MASS_KG_HA))
                            .isEqualTo(all.plant(r, 0, OfPlant.MASS_KG_HA));
                    checked++;
                }
            }
            assertThat(checked).isGreaterThan(7);
        }
    }

    @Test
    void an_event_for_a_plant_that_is_not_there_is_refused() {
        assertThatThrownBy(() -> new GroundScript(
                        Trials.siltLoam(), List.of(), List.of(new GroundEvent.Sow(3, "lost", 0, 100, false))))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("lost");
    }

    /** Harvest, kill and sowing on one day: the crop goes first, then the next stands in the seedbed. */
    @Test
    void harvest_and_sowing_on_one_day() {
        Trials t = Trials.north("2025-04-01", "2025-12-31").sowCrop("grain-corn", 7, "2025-05-10");
        t.sow("cereal-rye", 200, "2025-10-01");
        Trials.Grown g = t.event(new GroundEvent.Harvest(t.day("2025-10-01"), "h", 0, 0.5, 0.65, 0.5))
                .event(new GroundEvent.Terminate(
                        t.day("2025-10-01"), "weeds", List.of(GroundEvent.Kill.whole(1), GroundEvent.Kill.whole(1)), 0))
                .run();
        assertThat(g.tHa(0, "2025-09-30")).isGreaterThan(5);
        assertThat(g.tHa(0, "2025-10-08")).isZero();
        assertThat(g.tHa(1, "2025-12-15")).isPositive();
        double residue = GroundCourse.band(g.course().ground(g.at("2025-10-08"), OfGround.RESIDUE_KG_HA))
                .middle();
        assertThat(residue / 1000).isGreaterThan(0.45 * g.tHa(0, "2025-09-30"));
    }
}
