package app.etlo.core.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.field.SoilProfile;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;

class SoilWaterTest {
    @Property
    void the_balance_closes_every_day(
            @ForAll @Size(60) double[] chance,
            @ForAll @DoubleRange(min = 0, max = 1.15) double basal,
            @ForAll @DoubleRange(min = 0, max = 1) double mulch) {
        SoilWater soil = new SoilWater(SoilProfile.usual(), 0.6);
        for (double c : chance) {
            double rain = Math.abs(c % 1) * 60;
            double et0 = Math.abs(c % 7);
            double before = soil.availableMm();
            SoilWater.Day day = soil.pass(rain, et0, new WaterUse(basal, basal / 1.15, mulch));
            double out = day.runoffMm() + day.drainageMm() + day.evaporationMm() + day.transpirationMm();
            assertThat(soil.availableMm()).isCloseTo(before + rain - out, within(1e-9));
            assertThat(soil.availableMm()).isBetween(-1e-9, SoilProfile.usual().availableMm() + 1e-9);
            assertThat(soil.topShare()).isBetween(0.0, 1.0);
            assertThat(day.transpirationMm()).isGreaterThanOrEqualTo(-1e-12);
        }
    }

    @Property
    void mulch_never_dries_bare_ground_faster(
            @ForAll @DoubleRange(min = 0, max = 1) double mulch, @ForAll @DoubleRange(min = 0.5, max = 8) double et0) {
        SoilWater bare = new SoilWater(SoilProfile.usual());
        SoilWater covered = new SoilWater(SoilProfile.usual());
        for (int d = 0; d < 30; d++) {
            bare.pass(0, et0, WaterUse.BARE);
            covered.pass(0, et0, new WaterUse(0, 0, mulch));
        }
        assertThat(covered.availableMm()).isGreaterThanOrEqualTo(bare.availableMm() - 1e-9);
    }

    /** Each kind of work bears less water than the lighter one, and some days part them. */
    @Property(tries = 200)
    void heavier_work_wants_drier_ground(@ForAll @DoubleRange(min = 0, max = 0.5) double rain) {
        double heavy = wettest(Workability.HEAVY, rain);
        double till = wettest(Workability.TILL, rain);
        double spray = wettest(Workability.SPRAY, rain);
        assertThat(heavy).isBetween(0.1, 1.0).isLessThan(till);
        assertThat(till).isLessThan(spray);
    }

    /** The wettest top layer, as a share of what it holds, on which a kind of work is still done. */
    private static double wettest(Workability work, double rain) {
        double most = -0.01;
        for (int percent = 0; percent <= 100; percent++) {
            if (work.allows(percent / 100.0, rain, 0, 10)) {
                assertThat(most).as("nothing wetter than what was refused").isEqualTo((percent - 1) / 100.0);
                most = percent / 100.0;
            }
        }
        return most;
    }
}
