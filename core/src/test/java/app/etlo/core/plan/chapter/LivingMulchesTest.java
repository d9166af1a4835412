package app.etlo.core.plan.chapter;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.plan.FieldPlans;
import app.etlo.core.termination.LivingMulch;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A cover that lives on under the crop after it, by the week, until the crop's weed-free period is over. */
class LivingMulchesTest {
    private static Optional<LivingMulch> under(String species, String method) {
        return FieldPlans.of()
                .field("\"texture\":\"silt loam\",\"point\":{\"lat\":41,\"lon\":-89}")
                .crop("winter-wheat", "2025-10-04", "2026-07-18")
                .crop("grain-corn", "2027-05-12", "2027-10-20")
                .cover("v1", "before", "c2", "", species)
                .operation("sow", "v1", "2026-08-05", "\"method\":\"drilled\"")
                .operation("end", "v1", "2027-05-11", "\"method\":\"" + method + "\"")
                .evaluated()
                .covers()
                .get(0)
                .livingMulch();
    }

    @Test
    void mown_white_clover_lives_on_and_takes_less_light_as_the_corn_grows() {
        LivingMulch m = under("white-clover", "mow").orElseThrow();
        assertThat(m.weedFreeUntil()).isEqualTo(LocalDate.of(2027, 7, 7));
        assertThat(m.aliveYears()).isGreaterThan(m.years() / 2);
        assertThat(m.days()).hasSize(8);
        LivingMulch.Day first = m.days().get(0);
        LivingMulch.Day last = m.days().get(7);
        assertThat(last.cropCm()).isGreaterThan(first.cropCm());
        assertThat(last.lightPercent().middle()).isLessThan(first.lightPercent().middle());
        assertThat(m.suppressBy()).isPresent();
    }

    @Test
    void what_is_killed_is_no_living_mulch() {
        assertThat(under("cereal-rye", "burndown")).isEmpty();
    }
}
