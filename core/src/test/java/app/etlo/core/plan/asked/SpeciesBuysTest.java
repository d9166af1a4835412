package app.etlo.core.plan.asked;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.asked.SpeciesBuys.BuysView;
import app.etlo.core.plan.asked.SpeciesBuys.MemberView;
import app.etlo.core.plan.asked.SpeciesBuys.MoreView;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.document.Context.LotEntry;
import app.etlo.core.plan.document.LotCsv;
import app.etlo.core.plan.document.Refused;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What each species of a mix adds, and what one more would: by the same simulation that the mix is shown with. */
class SpeciesBuysTest {
    private static final Evaluated E = FieldPlans.of()
            .field("\"texture\":\"silt loam\",\"point\":{\"lat\":43,\"lon\":-89}")
            .crop("winter-wheat", "2026-10-04", "2027-07-18")
            .crop("grain-corn", "2028-05-08", "2028-10-15")
            .coverWithAims("v1", "before", "c2", List.of("fix-nitrogen", "suppress-weeds"), "cereal-rye", "hairy-vetch")
            .operation("sow", "v1", "2027-08-20", "\"method\":\"drilled\"")
            .operation("end", "v1", "2028-05-01", "\"method\":\"burndown\"")
            .evaluated();

    private static List<LotEntry> store(String lines) {
        return LotCsv.read(
                        "species,lot,purity,germination,price per kg,stock kg\n" + lines,
                        Plans.KNOWLEDGE,
                        Optional.empty(),
                        Optional.empty())
                .lots();
    }

    private static BuysView buys(Optional<String> base, List<LotEntry> lots) {
        return SpeciesBuys.of(E, "v1", base, lots, Map.of());
    }

    private static double number(String signed) {
        return Double.parseDouble(signed.replace('−', '-').replace("±", "").replace(",", ""));
    }

    private static MemberView member(BuysView v, String species) {
        return v.members().stream()
                .filter(m -> m.species().equals(species))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void what_a_species_adds_is_the_mix_less_the_mix_without_it() {
        BuysView v = buys(Optional.empty(), List.of());
        for (MemberView m : v.members()) {
            for (int a = 0; a < v.aims().size(); a++) {
                double whole = number(v.whole().aims().get(a).text());
                double left = number(m.leaves().get(a).text());
                assertThat(number(m.buys().adds().get(a))).as(m.name()).isCloseTo(whole - left, within(1.01));
            }
        }
        // one truth: the whole is what the step Mix shows
        assertThat(v.whole().aims().get(0).text())
                .isEqualTo(
                        buys(Optional.empty(), List.of()).whole().aims().get(0).text());
        assertThat(number(member(v, "hairy-vetch").buys().adds().get(0))).isPositive();
        assertThat(member(v, "hairy-vetch").buys().seenYears())
                .isLessThanOrEqualTo(member(v, "hairy-vetch").buys().years());
        assertThat(member(v, "hairy-vetch").buys().perAim().get(0))
                .hasValueSatisfying(p -> assertThat(p).endsWith("/kg"));
        assertThat(member(v, "cereal-rye").buys().perAim().get(0)).isEmpty();
    }

    @Test
    void companions_of_one_species_that_is_fixed() {
        BuysView v = buys(Optional.of("cereal-rye"), List.of());
        assertThat(v.members()).isEmpty();
        assertThat(v.base()).contains("Cereal rye");
        MoreView best = v.more().stream()
                .max(Comparator.comparingDouble(m -> m.buys().worth()))
                .orElseThrow();
        assertThat(best.group().isLegume()).isTrue();
        assertThatThrownBy(() -> buys(Optional.of("kelp"), List.of())).isInstanceOf(Refused.class);
    }

    @Test
    void seed_in_store_comes_first_and_stands_in_for_what_is_not_there() {
        List<LotEntry> lots = store("sweetclover,A,97,88,5,400\ncereal-rye,B,97,88,0.8,4000\n");
        BuysView v = buys(Optional.empty(), lots);
        assertThat(member(v, "cereal-rye").buys().inStore()).isTrue();
        assertThat(member(v, "cereal-rye").substitute()).isEmpty();
        assertThat(member(v, "hairy-vetch").substitute()).hasValueSatisfying(s -> {
            assertThat(s.species()).isEqualTo("sweetclover");
            assertThat(s.inStore()).isTrue();
        });
        BuysView beside = buys(Optional.of("cereal-rye"), lots);
        assertThat(beside.more().get(0).species()).isEqualTo("sweetclover");
        assertThat(beside.more().get(0).buys().worth()).isPositive();
        assertThat(beside.more().get(1).buys().worth())
                .isGreaterThan(beside.more().get(0).buys().worth());
    }
}
