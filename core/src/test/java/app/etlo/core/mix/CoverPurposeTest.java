package app.etlo.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.knowledge.CoverPurpose;
import app.etlo.core.knowledge.Species;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Input;
import app.etlo.core.working.Origin;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The seed rate follows from what a cover is for. */
class CoverPurposeTest {
    private static CoverPurpose purpose(String id) {
        return Seeds.KNOWLEDGE.purposes().get(id);
    }

    private static Species rye() {
        return Seeds.KNOWLEDGE.species().get("cereal-rye");
    }

    private static SeedRate rate(String purpose, double share) {
        Sowing sowing = new Sowing(
                Seeds.KNOWLEDGE.sowingMethods().get("drilled"),
                1,
                1,
                1,
                purpose(purpose),
                Input.of("area", "Sown area", 10, Unit.HECTARE, Origin.ENTERED, "test"),
                0.03,
                false,
                3,
                50,
                false,
                Optional.empty(),
                Optional.empty(),
                Map.of());
        return Blend.of("mix/v1", List.of(Seeds.share("cereal-rye", share)), sowing)
                .orElseThrow()
                .rates()
                .get(0);
    }

    // common practice: 56 lb/ac as a cover, 140 to 168 lb/ac as a mulch against weeds
    @Test
    void rye_has_two_right_rates() {
        assertThat(Unit.KG_PER_HA.to(
                        Unit.LB_PER_AC, purpose("cover").fullRateKgHa(rye()).low()))
                .isLessThanOrEqualTo(56);
        var mulch = purpose("mulch").fullRateKgHa(rye()).map(v -> Unit.KG_PER_HA.to(Unit.LB_PER_AC, v));
        assertThat(mulch.low()).isCloseTo(140, within(0.5));
        assertThat(mulch.high()).isCloseTo(168, within(0.5));
    }

    @Test
    void a_whole_share_is_the_rate_of_the_purpose_and_its_working_says_so() {
        SeedRate cover = rate("cover", 1);
        SeedRate mulch = rate("mulch", 1);
        assertThat(mulch.plsKgHa().middle()).isCloseTo(172, within(1e-9));
        assertThat(mulch.shareOfFull()).isEqualTo(1);
        assertThat(mulch.seedsM2().middle() / cover.seedsM2().middle()).isCloseTo(172.0 / 100, within(1e-9));
        assertThat(mulch.plsKgHa().working().inputs())
                .anyMatch(i ->
                        i.label().endsWith("for a rolled mulch") && i.from().contains("140 to 168 lb/ac"));
    }

    @Test
    void seed_crops_are_sown_thinner_than_covers_and_no_purpose_is_outside_reason() {
        for (CoverPurpose p : Seeds.KNOWLEDGE.purposes().all()) {
            for (Species s : Seeds.KNOWLEDGE.species().all()) {
                double over = p.overCover(s);
                assertThat(over).as(p.id() + " " + s.id()).isBetween(0.4, 2.0);
                if (p.id().equals("seed")) {
                    assertThat(over).as(s.id()).isLessThan(1);
                }
            }
        }
    }
}
