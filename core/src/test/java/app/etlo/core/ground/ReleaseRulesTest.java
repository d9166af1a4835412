package app.etlo.core.ground;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Nitrogen freed from residue mixed in, at 20 °C and moist, in ten weeks, against two published rules, both from memory: Vigil and
 * Kissel 1991, -53.44 + 16.98 sqrt(N, g/kg) %, and the table of Pacific Northwest bulletin PNW 636, lb of N a ton.
 */
class ReleaseRulesTest {
    private static final double POINTS = 8;
    private static final int TEN_WEEKS = 70;
    private static final double MASS_GM2 = 500;

    /** Percent of the residue's nitrogen that is mineral after ten weeks; below 0 where it bound more. */
    private static double released(double nitrogenPercent, boolean mixedIn, int days) {
        GroundState s = new GroundState(Trials.siltLoam(), new GroundPlant[0]);
        for (int l = 0; l < GroundSoil.LAYERS; l++) {
            s.waterMm[l] = s.soil.capacityMm[l];
        }
        s.nitrate[0] = 5;
        s.nitrate[1] = 10;
        double nitrogen = MASS_GM2 * nitrogenPercent / 100;
        (mixedIn ? s.mixed : s.surface).add(MASS_GM2, nitrogen, 0.005);
        double before = s.mineralN();
        s.soilC = 20;
        s.meanC = 20;
        for (int d = 0; d < days; d++) {
            ResidueDecay.pass(s);
        }
        return 100 * (s.mineralN() - before) / nitrogen;
    }

    private static double vigilKissel(double nitrogenPercent) {
        return -53.44 + 16.98 * Math.sqrt(10 * nitrogenPercent);
    }

    /** lb/ton at 1, 2, 3 and 3.5 % are 0, 14, 28 and 35; a ton at 1 % holds 20 lb. */
    private static double bulletin(double nitrogenPercent) {
        return 14 * (nitrogenPercent - 1) / (20 * nitrogenPercent) * 100;
    }

    @ParameterizedTest
    @ValueSource(doubles = {1.0, 1.25, 1.5, 1.75, 2.0, 2.25, 2.5, 2.75, 3.0, 3.25, 3.5})
    void between_the_two_rules_or_near_them(double n) {
        double low = Math.min(vigilKissel(n), bulletin(n)) - POINTS;
        double high = Math.max(vigilKissel(n), bulletin(n)) + POINTS;
        assertThat(released(n, true, TEN_WEEKS)).as("released at " + n + " %").isBetween(low, high);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.5, 0.6, 0.8, 3.75, 4.0, 4.2})
    void outside_the_bulletin_near_the_other(double n) {
        assertThat(released(n, true, TEN_WEEKS))
                .as("released at " + n + " %")
                .isCloseTo(vigilKissel(n), within(POINTS));
    }

    @Test
    void on_the_surface_it_is_slower() {
        for (int weeks = 2; weeks <= 10; weeks += 2) {
            assertThat(released(3, false, 7 * weeks)).isLessThan(released(3, true, 7 * weeks));
        }
    }

    /** A straw binds first and frees later: its deepest tie-up is in the first weeks (common practice: weeks 2 to 6). */
    @Test
    void straw_binds_first() {
        double deepest = 0;
        int when = 0;
        for (int d = 7; d <= 175; d += 7) {
            double r = released(0.8, true, d);
            if (r < deepest) {
                deepest = r;
                when = d;
            }
        }
        assertThat(deepest).isNegative();
        assertThat(when).isBetween(7, 112);
    }
}
