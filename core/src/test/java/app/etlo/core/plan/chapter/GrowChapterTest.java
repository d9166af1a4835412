package app.etlo.core.plan.chapter;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.mix.GrowVerdict;
import app.etlo.core.mix.StandCauses;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.document.Json;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What a look into the field says, and when to look again; when species flower. */
class GrowChapterTest {
    private static final Evaluator EVALUATOR = new Evaluator(Plans.KNOWLEDGE);
    private static final Evaluated PLAN = FieldPlans.of()
            .field("\"texture\":\"silt loam\",\"point\":{\"lat\":43,\"lon\":-89}")
            .crop("winter-wheat", "2025-10-04", "2026-07-18")
            .crop("grain-corn", "2027-05-20", "2027-10-15")
            .coverWithAims("v1", "before", "c2", List.of("mulch"), "cereal-rye", "hairy-vetch")
            .operation("sow", "v1", "2026-08-28", "\"method\":\"drilled\"")
            .operation("end", "v1", "2027-05-15", "\"method\":\"roller-crimper\"")
            .evaluated();

    private static List<GrowVerdict> verdicts(LocalDate asOf, String... checks) {
        ObjectNode plan = (ObjectNode) Json.tree(Json.write(PLAN.plan()));
        ((ObjectNode) plan.at("/covers/0")).set("checks", Json.tree("[" + String.join(",", checks) + "]"));
        Evaluated e = EVALUATOR.evaluate(Plans.READER.read((JsonNode) plan), PLAN.context(), asOf);
        return e.covers().get(0).verdicts().values().stream()
                .reduce((a, b) -> b)
                .orElse(List.of());
    }

    private static String plants(String on, double perM2, String more) {
        return "{\"id\":\"k-" + on + more.hashCode() + "\",\"on\":\"" + on + "\",\"plants\":{\"value\":" + perM2
                + ",\"unit\":\"/m2\"}" + more + "}";
    }

    private static double expected() {
        return PLAN.covers().get(0).mix().blend().orElseThrow().rates().stream()
                .mapToDouble(r -> r.comesUpM2().middle())
                .sum();
    }

    @Test
    void a_thin_count_is_early_before_two_weeks_and_then_has_a_cause_and_a_date() {
        LocalDate asOf = LocalDate.of(2026, 9, 30);
        assertThat(verdicts(asOf, plants("2026-09-05", 0.3 * expected(), ""))
                        .get(0)
                        .word())
                .isEqualTo("early");
        GrowVerdict failed = verdicts(asOf, plants("2026-09-20", 0.3 * expected(), ",\"evidence\":\"holes\""))
                .get(0);
        assertThat(failed.word()).isEqualTo("failed");
        assertThat(failed.causes().get(0)).startsWith("slugs");
        assertThat(failed.next()).contains(LocalDate.of(2026, 9, 30));
        assertThat(verdicts(asOf, plants("2026-09-20", 0.55 * expected(), ""))
                        .get(0)
                        .word())
                .isEqualTo("thin");
        GrowVerdict good =
                verdicts(asOf, plants("2026-09-20", 0.9 * expected(), "")).get(0);
        assertThat(good.word()).isEqualTo("good");
        assertThat(good.causes()).isEmpty();
    }

    // dense and tillering at 8 to 10 cm by dormancy
    @Test
    void the_autumn_gate_is_by_dormancy_and_dates_plan_b() {
        LocalDate asOf = LocalDate.of(2026, 12, 1);
        String thin =
                "{\"id\":\"k1\",\"on\":\"2026-11-10\",\"coverPercent\":30,\"height\":{\"value\":5,\"unit\":\"cm\"}}";
        GrowVerdict gate = verdicts(asOf, thin).get(0);
        assertThat(gate.about()).isEqualTo("autumn");
        assertThat(gate.word()).isEqualTo("too thin");
        assertThat(gate.next()).contains(LocalDate.of(2027, 4, 17));
        assertThat(gate.toDo().orElseThrow()).contains("plan B");
        assertThat(verdicts(asOf, thin.replace(":30", ":75").replace(":5,", ":10,"))
                        .get(0)
                        .word())
                .isEqualTo("dense and green enough");
        // in September it is no gate yet
        assertThat(verdicts(asOf, thin.replace("2026-11-10", "2026-09-10"))).isEmpty();
    }

    @Test
    void nodules_and_the_balance_of_species() {
        LocalDate asOf = LocalDate.of(2026, 12, 1);
        String none = "{\"id\":\"k1\",\"on\":\"%s\",\"nodules\":\"none\"}";
        assertThat(verdicts(asOf, none.formatted("2026-09-15")).get(0).word()).isEqualTo("early");
        assertThat(verdicts(asOf, none.formatted("2026-10-20")).get(0).causes()).isNotEmpty();
        GrowVerdict balance = verdicts(
                        asOf,
                        plants("2026-10-01", 180, ",\"species\":\"cereal-rye\""),
                        plants("2026-10-02", 20, ",\"species\":\"hairy-vetch\""))
                .stream()
                .filter(v -> v.about().equals("balance"))
                .findFirst()
                .orElseThrow();
        assertThat(balance.word()).isEqualTo("dominated");
        assertThat(balance.said()).contains("cereal rye 90 % of the plants, sown as");
    }

    private static List<Double> factors(String... checks) {
        ObjectNode plan = (ObjectNode) Json.tree(Json.write(PLAN.plan()));
        ((ObjectNode) plan.at("/covers/0")).set("checks", Json.tree("[" + String.join(",", checks) + "]"));
        return EVALUATOR
                .evaluate(Plans.READER.read((JsonNode) plan), PLAN.context(), LocalDate.of(2026, 12, 1))
                .covers()
                .get(0)
                .checks()
                .stream()
                .map(s -> s.massFactor())
                .toList();
    }

    @Test
    void bare_patches_are_taken_off_once_however_often_they_are_seen() {
        String patches = "{\"id\":\"k%d\",\"on\":\"2026-%d-10\",\"patchesPercent\":30}";
        assertThat(factors(patches.formatted(1, 10), patches.formatted(2, 11))).containsExactly(0.7, 1.0);
        // a cover judged over the whole field has them in it
        String judged = "{\"id\":\"k1\",\"on\":\"2026-10-10\",\"coverPercent\":60%s}";
        assertThat(factors(judged.formatted(",\"patchesPercent\":30"))).isEqualTo(factors(judged.formatted("")));
    }

    @Test
    void the_clock_of_bloom_lies_inside_the_season_and_ahead_of_seed() {
        var rye = PLAN.covers().get(0).clocks().stream()
                .filter(k -> k.species().id().equals("cereal-rye"))
                .findFirst()
                .orElseThrow();
        rye.blooms().ifPresent(b -> {
            assertThat(b.early()).isBeforeOrEqualTo(b.middle());
            assertThat(b.middle()).isBeforeOrEqualTo(b.late());
            assertThat(b.late()).isBeforeOrEqualTo(LocalDate.of(2027, 5, 15));
            assertThat(b.early()).isAfter(LocalDate.of(2027, 3, 1));
        });
        assertThat(rye.seedYears()).isLessThanOrEqualTo(rye.bloomYears());
    }

    // the list of causes of poor emergence
    @Test
    void what_is_found_decides_the_cause_before_what_is_known() {
        StandCauses.Known slugs = new StandCauses.Known(true, false, true, 80, 80, true, true);
        assertThat(StandCauses.ranked(Optional.of("bent-shoots"), slugs))
                .startsWith("sown too deep", "a crust: break it before the shoots bend");
        assertThat(StandCauses.ranked(Optional.of("cut-plants"), slugs).get(0)).startsWith("cutworms");
        assertThat(StandCauses.ranked(Optional.empty(), slugs)).hasSize(3);
    }
}
