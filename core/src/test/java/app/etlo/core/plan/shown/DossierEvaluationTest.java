package app.etlo.core.plan.shown;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.plan.Plans;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.quantity.Unit;
import app.etlo.core.working.Figure;
import app.etlo.core.working.Input;
import app.etlo.core.working.OtherEvaluator;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The core as a library: a dossier in JSON to an evaluation, without a server. The expected values are worked by hand. */
class DossierEvaluationTest {
    private final Evaluated e = Plans.evaluated();

    private Figure figure(String id) {
        assertThat(e.figures()).containsKey(id);
        return e.figures().get(id);
    }

    @Test
    void rates_seeds_and_cost_follow_from_the_tags() {
        // rye: 100 kg/ha x 40 % / (0.98 x 0.90) = 45.35 kg/ha
        assertThat(figure("mix/v1/cereal-rye/bulk").middle()).isCloseTo(40 / 0.882, within(1e-9));
        assertThat(figure("mix/v1/cereal-rye/seeds").middle()).isCloseTo(40 * 39_700 / 1e4, within(1e-9));
        // vetch: hard seed counts on the tag (0.97 x 0.90), not for this season (0.97 x 0.80)
        double vetch = 12.5 / 0.873;
        assertThat(figure("mix/v1/hairy-vetch/bulk").middle()).isCloseTo(vetch, within(1e-9));
        assertThat(figure("mix/v1/hairy-vetch/seedsNow").middle())
                .isCloseTo(vetch * 0.776 * 35_300 / 1e4, within(1e-9));
        // 45.35 x 12 ha x 1.05 = 571.4 kg: 23 bags of 25 kg at 0.60
        assertThat(figure("mix/v1/cereal-rye/bags").middle()).isEqualTo(23);
        assertThat(figure("mix/v1/cereal-rye/cost").middle()).isCloseTo(23 * 25 * 0.6, within(1e-9));
        assertThat(e.figures()).doesNotContainKey("mix/v1/cost");
    }

    @Test
    void disturbance_counts_every_pass_from_the_harvest_before_to_its_own() {
        double drill = 0.5 * 5 * 3.25 * 0.8 * 1.5 * 0.3;
        double roller = 0.5 * 5 * 3.25 * 0.15 * 0.5;
        double strip = 0.5 * 5 * 3.25 * 0.7 * 7 * (10.0 / 30);
        double planter = 0.5 * 5 * 3.25 * 1.0 * 2 * 0.15;
        assertThat(figure("plant/c2/rating").middle()).isCloseTo(drill + roller + strip + planter, within(1e-9));
        assertThat(figure("plant/c2/disturbed").middle()).isCloseTo(100 / 3.0, within(1e-9));
    }

    @Test
    void nitrogen_left_is_need_less_what_the_evidence_lets_count() {
        double lbAc = 0.45359237 / 0.40468564224;
        double need = 160 * 1.1 * lbAc;
        double whole = 5200 * 0.025 * (-53.44 + 16.98 * 5) / 100;
        Figure left = figure("feed/c2/leftToBuy");
        assertThat(left.middle()).isCloseTo(need - whole / 2, within(1e-9));
        assertThat(left.value().low()).isCloseTo(need - whole, within(1e-9));
        assertThat(left.value().high()).isCloseTo(need, within(1e-9));
        assertThat(figure("feed/c2/productVolume").middle())
                .isCloseTo(left.in(Unit.LB_PER_AC) / (0.28 * 10.66), within(1e-9));
    }

    @Test
    void every_working_gives_its_result_again_in_another_evaluator() {
        assertThat(e.figures()).hasSizeGreaterThan(35);
        for (Figure f : e.figures().values()) {
            Map<String, Double> inputs = new HashMap<>();
            f.working().inputs().forEach(i -> inputs.put(i.symbol(), i.value().middle()));
            double result = OtherEvaluator.value(f.working().expression(), inputs);
            assertThat(result).as(f.id()).isCloseTo(f.middle(), within(1e-9 * Math.max(1, Math.abs(f.middle()))));
            assertThat(f.working().source().text()).as(f.id()).isNotBlank();
        }
    }

    @Test
    void inputs_that_are_figures_carry_that_figures_value() {
        for (Figure f : e.figures().values()) {
            for (Input i : f.working().inputs()) {
                i.figureId()
                        .ifPresent(id -> assertThat(i.value().middle())
                                .as(f.id() + " <- " + id)
                                .isCloseTo(figure(id).in(i.unit()), within(1e-9)));
            }
        }
    }

    @Test
    void a_dossier_read_and_written_is_the_same_to_the_byte() {
        String once = Plans.dossier().write();
        assertThat(Plans.read(once).write()).isEqualTo(once);
    }

    @Test
    void us_farms_read_the_same_figures_in_their_own_units() {
        Evaluation us = EvaluationWriter.write(Plans.with("\"metric\"", "\"us\""));
        Evaluation metric = EvaluationWriter.write(e);
        var bulkUs = us.mix().get("v1").sum().orElseThrow().bulk();
        assertThat(bulkUs.unit()).isEqualTo("lb/ac");
        assertThat(bulkUs.value() * 1.12085)
                .isCloseTo(metric.mix().get("v1").sum().orElseThrow().bulk().value(), within(0.01));
        assertThat(us.mix().get("v1").sum().orElseThrow().seeds().unit()).isEqualTo("/ft²");
        assertThat(us.field().orElseThrow().area().text()).isEqualTo("29.7");
    }

    @Test
    void the_section_shows_stands_residue_and_passes_in_their_time() {
        Evaluation.SectionView s = EvaluationWriter.write(e).section().orElseThrow();
        assertThat(s.stands()).extracting("label").containsExactly("Winter barley", "Grain corn", "3-species mix");
        assertThat(s.residues()).extracting("label").contains("Winter barley", "3-species mix");
        assertThat(s.passes()).extracting("name").contains("Roller-crimper", "Strip-till unit", "No-till planter");
        assertThat(s.heightM()).isEqualTo(2.6);
    }
}
