package app.etlo.core.weather;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

class WorkabilityTest {
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
