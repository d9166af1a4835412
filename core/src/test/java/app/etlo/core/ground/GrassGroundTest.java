package app.etlo.core.ground;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.field.SoilProfile;
import app.etlo.core.weather.Climate;
import app.etlo.core.weather.Place;
import app.etlo.core.weather.WeatherSeries;
import app.etlo.core.weather.Workability;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.BitSet;
import org.junit.jupiter.api.Test;

class GrassGroundTest {
    private static final int DAYS = 120;

    /** A record of 120 days from New Year: nights and days of one temperature, rain on the first day, snow as deep as said. */
    private static GrassGround under(double meanC, double rainMm, double... snowCm) {
        double[] low = new double[DAYS];
        double[] high = new double[DAYS];
        double[] rain = new double[DAYS];
        Arrays.fill(low, meanC - 5);
        Arrays.fill(high, meanC + 5);
        rain[0] = rainMm;
        WeatherSeries series =
                new WeatherSeries(LocalDate.of(2021, 1, 1), low, high, rain, new double[0], snowCm, new BitSet());
        return GrassGround.of(new Climate("c", "C", new Place(45, 100, false), series), SoilProfile.usual(), 1);
    }

    private static double[] deep(double cm) {
        double[] snow = new double[DAYS];
        Arrays.fill(snow, cm);
        return snow;
    }

    @Test
    void the_soil_comes_to_the_mean_of_the_air() {
        assertThat(under(18, 0).soilC(DAYS - 1)).isCloseTo(18, within(0.1));
    }

    @Test
    void wetted_ground_dries_until_it_can_be_worked_the_lightest_work_first() {
        GrassGround ground = under(14, 90);
        int spray = first(ground, Workability.SPRAY);
        int drill = first(ground, Workability.DRILL);
        int till = first(ground, Workability.TILL);
        assertThat(spray).isPositive().isLessThanOrEqualTo(drill);
        // two to eight days after a soaking rain a loam can be drilled in spring; common practice
        assertThat(drill).isBetween(2, 8);
        assertThat(till).isGreaterThanOrEqualTo(drill);
        assertThat(ground.allows(Workability.DRILL, DAYS - 1, 0)).isTrue();
        assertThat(ground.allows(Workability.DRILL, DAYS - 1, 12))
                .as("rain of the day itself")
                .isFalse();
    }

    private static int first(GrassGround ground, Workability work) {
        for (int d = 1; d < DAYS; d++) {
            if (ground.allows(work, d, 0)) {
                return d;
            }
        }
        return DAYS;
    }

    @Test
    void snow_that_was_measured_shelters_the_soil_and_stops_work() {
        double bare = under(-12, 0).soilC(20);
        GrassGround measured = under(-12, 0, deep(30));
        assertThat(measured.soilC(20)).isGreaterThan(bare + 5);
        assertThat(under(8, 0, deep(4)).allows(Workability.DRILL, 60, 0)).isFalse();
        assertThat(under(8, 0, deep(0)).allows(Workability.DRILL, 60, 0)).isTrue();
    }

    @Test
    void days_the_record_does_not_know_are_not_known() {
        double[] low = new double[DAYS];
        Arrays.fill(low, 5);
        double[] high = new double[DAYS];
        Arrays.fill(high, 15);
        low[40] = Double.NaN;
        WeatherSeries series = new WeatherSeries(
                LocalDate.of(2021, 1, 1), low, high, new double[DAYS], new double[0], new double[0], new BitSet());
        GrassGround ground =
                GrassGround.of(new Climate("c", "C", new Place(45, 100, false), series), SoilProfile.usual(), 1);
        assertThat(ground.soilC(40)).isNaN();
        assertThat(ground.allows(Workability.SPRAY, 40, 0)).isFalse();
        assertThat(ground.soilC(41)).isCloseTo(ground.soilC(39), within(0.5));
    }
}
