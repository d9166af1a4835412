package app.etlo.core.plan.chapter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.nitrogen.CoverSchools;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;

/** A cover's nitrogen: what is new to the farm, and what was only moved. */
class CreditSchoolsTest {
    private static CoverSchools of(String... species) {
        return FieldPlans.of()
                .field("\"texture\":\"silt loam\",\"point\":{\"lat\":39,\"lon\":-89}")
                .crop("winter-wheat", "2026-10-05", "2027-07-05")
                .crop("grain-corn", "2028-05-15", "2028-10-01")
                .cover("v1", "before", "c2", "", species)
                .operation("sow", "v1", "2027-08-25", "\"method\":\"drilled\"")
                .operation("end", "v1", "2028-05-05", "\"method\":\"burndown\"")
                .evaluated(LocalDate.of(2027, 3, 1))
                .crops()
                .get(1)
                .feed()
                .cover()
                .orElseThrow();
    }

    private static double kgHa(Figure f) {
        return f.in(Unit.KG_PER_HA);
    }

    @Test
    void rye_moves_nitrogen_and_makes_none() {
        CoverSchools rye = of("cereal-rye");
        assertThat(kgHa(rye.fixed().orElseThrow())).isZero();
        assertThat(kgHa(rye.moved().orElseThrow())).isGreaterThan(10);
    }

    /** Legumes fix some 50 to 90 % of their nitrogen (common in reviews, from memory): the most part of a stand of vetch. */
    @Test
    void vetch_fixes_most_of_its_own() {
        CoverSchools vetch = of("hairy-vetch");
        double fixed = kgHa(vetch.fixed().orElseThrow());
        double moved = kgHa(vetch.moved().orElseThrow());
        assertThat(fixed / (fixed + moved)).isBetween(0.5, 0.9);
    }

    @Test
    void fixed_and_moved_are_all_that_stands() {
        CoverSchools mix = of("cereal-rye", "hairy-vetch");
        double tops = mix.content().credit().working().inputs().get(0).value().middle();
        assertThat(kgHa(mix.fixed().orElseThrow()) + kgHa(mix.moved().orElseThrow()))
                .isCloseTo(tops, within(1e-6));
        assertThat(kgHa(mix.fixed().orElseThrow())).isPositive();
    }
}
