package app.etlo.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.knowledge.Species;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.chapter.Evaluated;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Depth of seed against Bond and others 1999 (Oecologia 120:132, from memory): 27.3 mm for a seed of 1 mg, by the power 0.334 of its mass. */
class SeedDepthTest {
    private static Species species(String id) {
        return Plans.KNOWLEDGE.species().get(id);
    }

    @ParameterizedTest
    @CsvSource({"crimson-clover", "winter-pea", "cereal-rye", "faba-bean"})
    void the_deepest_follows_the_mass_of_the_seed(String id) {
        double mg = 1e6 / species(id).seedsPerKg().middle();
        assertThat(SeedDepth.deepestCm(species(id))).isCloseTo(2.73 * Math.pow(mg, 0.334), within(0.05));
    }

    @Test
    void all_come_up_from_their_own_depth_and_none_from_the_deepest() {
        for (Species s : Plans.KNOWLEDGE.species().all()) {
            assertThat(SeedDepth.comesUp(s, s.depthCm())).as(s.id()).isEqualTo(1);
            assertThat(SeedDepth.comesUp(s, Math.max(s.depthCm(), SeedDepth.deepestCm(s)) + 0.2))
                    .as(s.id())
                    .isEqualTo(0);
        }
    }

    private static double mass(String species, String depth) {
        Evaluated e = FieldPlans.of()
                .crop("winter-wheat", "2026-10-04", "2027-07-18")
                .crop("grain-corn", "2028-05-08", "2028-10-15")
                .cover("v1", "before", "c2", "", species)
                .operation("sow", "v1", "2027-08-20", "\"method\":\"drilled\"" + depth)
                .operation("end", "v1", "2028-05-01", "\"method\":\"burndown\"")
                .evaluated();
        return e.covers().get(0).grow().map(g -> g.mass().middle()).orElse(0.0);
    }

    /** What is typed of a sowing acts: a clover does not come up from 5 cm, a pea hardly minds. */
    @Test
    void a_depth_that_is_typed_acts_on_each_species() {
        String deep = ",\"depth\":{\"value\":5,\"unit\":\"cm\"}";
        assertThat(mass("red-clover", "")).isGreaterThan(0.3);
        assertThat(mass("red-clover", deep)).isLessThan(0.05);
        assertThat(mass("winter-triticale", deep)).isGreaterThan(0.8 * mass("winter-triticale", ""));
    }
}
