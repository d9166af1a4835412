package app.etlo.core.plan.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.mix.MixForecast.Sown;
import app.etlo.core.mix.SeasonGrowth;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.chapter.Evaluated;
import app.etlo.core.plan.chapter.Evaluator;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.shown.Evaluation;
import app.etlo.core.plan.shown.EvaluationWriter;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What a plan does to the simulated ground, and what comes of it in figures. */
class PlanGroundTest {
    private static FieldPlans plan(String coverEnd, String method) {
        return FieldPlans.of()
                .crop("winter-wheat", "2026-10-01", "2027-07-20")
                .crop("grain-corn", "2028-05-10", "2028-10-15")
                .coverWithAims("v1", "before", "c2", List.of("mulch"), "cereal-rye", "hairy-vetch")
                .operation("sow", "v1", "2027-08-25", "\"method\":\"drilled\"")
                .operation("end", "v1", coverEnd, "\"method\":\"" + method + "\"");
    }

    private static Evaluated evaluated(FieldPlans p) {
        Dossier d = Plans.read(p.text());
        return new Evaluator(Plans.KNOWLEDGE).evaluate(d.plan(), d.context(), FieldPlans.AS_OF);
    }

    private static double figure(Evaluated e, String id) {
        return e.figures().get(id).middle();
    }

    @Test
    void a_later_end_grows_more_and_leaves_less_water() {
        Evaluated early = evaluated(plan("2028-04-15", "burndown"));
        Evaluated late = evaluated(plan("2028-05-09", "burndown"));
        assertThat(figure(late, "mix/v1/mass")).isGreaterThan(figure(early, "mix/v1/mass") * 1.5);
        assertThat(figure(late, "grow/c2/water")).isLessThan(figure(early, "grow/c2/water"));
        assertThat(figure(late, "mix/v1/cn")).isGreaterThan(figure(early, "mix/v1/cn"));
        assertThat(figure(late, "grow/v1/nitrogen")).isGreaterThan(figure(early, "grow/v1/nitrogen"));
    }

    /** Carbon is 43 % of dry matter; the mix's C:N is all its carbon over all its nitrogen. */
    @Test
    void figures_of_a_cover_agree_with_each_other() {
        Evaluated e = evaluated(plan("2028-05-05", "roller-crimper"));
        double mass = figure(e, "mix/v1/mass");
        assertThat(figure(e, "mix/v1/cereal-rye/mass") + figure(e, "mix/v1/hairy-vetch/mass"))
                .isCloseTo(mass, within(1e-9));
        assertThat(430 * figure(e, "grow/v1/mass") / figure(e, "grow/v1/nitrogen"))
                .isCloseTo(figure(e, "grow/v1/cn"), within(0.02));
        // one number for one thing, whichever step shows it
        assertThat(figure(e, "grow/v1/mass")).isCloseTo(mass, within(1e-9));
        assertThat(figure(e, "grow/v1/cn")).isCloseTo(figure(e, "mix/v1/cn"), within(1e-9));
        var band = e.figures().get("mix/v1/mass").value();
        // the model's own error, 1.28 x 25 %, is in the band whatever the weather does
        assertThat(band.low()).isLessThan(0.68 * band.middle() + 1e-9);
        assertThat(band.high()).isGreaterThan(1.32 * band.middle() - 1e-9);
    }

    /** What a herbicide leaves alive of a cover is stunted, and does not smother the crop behind it. */
    @Test
    void a_crop_behind_a_cover_that_was_sprayed_is_not_smothered() {
        String place = "\"station\":\"isk-harbour\"";
        FieldPlans bare = FieldPlans.of()
                .field(place)
                .crop("winter-wheat", "2026-10-05", "2027-08-10")
                .crop("spring-barley", "2028-03-25", "2028-08-12");
        FieldPlans covered = FieldPlans.of()
                .field(place)
                .crop("winter-wheat", "2026-10-05", "2027-08-10")
                .crop("spring-barley", "2028-03-25", "2028-08-12")
                .cover("v1", "before", "c2", "", "white-mustard", "phacelia")
                .operation("sow", "v1", "2027-08-25", "\"method\":\"drilled\"")
                .operation("end", "v1", "2028-03-10", "\"method\":\"burndown\"");
        assertThat(figure(evaluated(covered), "grow/c2/cropMass"))
                .isGreaterThan(0.5 * figure(evaluated(bare), "grow/c2/cropMass"));
        assertThat(evaluated(covered).notes()).noneMatch(n -> n.rule().equals("crop-fails"));
    }

    @Test
    void a_cover_keeps_nitrate_from_the_winter_and_the_ground_covered() {
        Evaluated with = evaluated(plan("2028-05-05", "burndown"));
        Evaluated bare = evaluated(FieldPlans.of()
                .crop("winter-wheat", "2026-10-01", "2027-07-20")
                .crop("grain-corn", "2028-05-10", "2028-10-15"));
        assertThat(figure(with, "grow/leached")).isLessThan(figure(bare, "grow/leached"));
        assertThat(figure(with, "grow/livingRootDays")).isGreaterThan(figure(bare, "grow/livingRootDays") + 50);
        assertThat(figure(with, "grow/bareDays")).isLessThanOrEqualTo(figure(bare, "grow/bareDays"));
    }

    @Test
    void a_plough_buries_what_no_till_leaves() {
        Evaluated left = evaluated(plan("2028-04-25", "burndown"));
        Evaluated ploughed = evaluated(plan("2028-04-25", "burndown")
                .operation("pass", "", "2028-05-02", "\"operation\":\"mouldboard-plough\""));
        assertThat(figure(left, "grow/c2/residueCover")).isGreaterThan(50);
        assertThat(figure(ploughed, "grow/c2/residueCover")).isLessThan(30);
    }

    /** An alternative weighed for a mix is grown in the same ground. */
    @Test
    void another_mix_is_grown_in_the_same_ground() {
        Evaluated e = evaluated(plan("2028-05-05", "burndown"));
        MixBench bench = e.covers().get(0).bench().orElseThrow();
        var rye = Plans.KNOWLEDGE.species().get("cereal-rye");
        var clover = Plans.KNOWLEDGE.species().get("crimson-clover");
        SeasonGrowth grown = bench.forecast().grow(List.of(new Sown(clover, 0.8), new Sown(rye, 0.1)));
        assertThat(grown.species()).hasSize(2);
        assertThat(grown.years()).isEqualTo(e.years().orElseThrow().count());
        assertThat(Arrays.stream(grown.massKgHa(0)).average().orElseThrow()).isPositive();
        SeasonGrowth thicker = bench.forecast().grow(List.of(new Sown(clover, 0.8), new Sown(rye, 0.6)));
        assertThat(Arrays.stream(thicker.massKgHa(1)).average().orElseThrow())
                .isGreaterThan(Arrays.stream(grown.massKgHa(1)).average().orElseThrow());
    }

    /** What frost took in autumn carries nothing into spring; left to frost by itself it counts as it stood. */
    @Test
    void what_frost_killed_counts_where_winter_is_the_end_and_not_in_spring() {
        Evaluated spring = evaluated(FieldPlans.of()
                .crop("winter-wheat", "2026-10-01", "2027-07-20")
                .crop("grain-corn", "2028-05-10", "2028-10-15")
                .coverWithAims("v1", "before", "c2", List.of("mulch"), "cereal-rye", "daikon-radish")
                .operation("sow", "v1", "2027-08-10", "\"method\":\"drilled\"")
                .operation("end", "v1", "2028-04-20", "\"method\":\"burndown\""));
        assertThat(figure(spring, "mix/v1/daikon-radish/mass")).isLessThan(0.05);
        SeasonGrowth grown = spring.cover("v1").mix().outlook().orElseThrow().growth();
        assertThat(Arrays.stream(grown.species().get(1).grownKgHa()).average().orElseThrow())
                .isGreaterThan(500);
        Evaluated winter = evaluated(FieldPlans.of()
                .crop("winter-wheat", "2026-10-01", "2027-07-20")
                .crop("grain-corn", "2028-05-10", "2028-10-15")
                .coverWithAims("v1", "before", "c2", List.of("mulch"), "daikon-radish")
                .operation("sow", "v1", "2027-08-10", "\"method\":\"drilled\"")
                .operation("end", "v1", "2028-04-20", "\"method\":\"winterkill\""));
        assertThat(figure(winter, "mix/v1/mass")).isGreaterThan(0.5);
        assertThat(figure(winter, "grow/v1/mass")).isEqualTo(figure(winter, "mix/v1/mass"));
        assertThat(winter.figures().get("grow/v1/mass").label()).contains("before winter ends it");
    }

    /** A slip of the pen far from all other dates leaves the rest of the plan standing, and its mix without a forecast. */
    @Test
    void a_sowing_far_out_of_the_simulated_days_is_not_grown() {
        for (String day : new String[] {"2001-08-25", "2099-08-25"}) {
            Evaluated e = evaluated(FieldPlans.of()
                    .crop("winter-wheat", "2026-10-01", "2027-07-20")
                    .crop("grain-corn", "2028-05-10", "2028-10-15")
                    .coverWithAims("v1", "before", "c2", List.of("mulch"), "cereal-rye")
                    .operation("sow", "v1", day, "\"method\":\"drilled\"")
                    .operation("end", "v1", "2028-04-20", "\"method\":\"burndown\""));
            assertThat(e.figures()).containsKey("grow/c2/water").doesNotContainKey("grow/v1/mass");
            assertThat(EvaluationWriter.write(e).section().orElseThrow().stands())
                    .isNotEmpty();
        }
    }

    @Test
    void a_plan_without_a_place_has_no_ground() {
        Evaluated e = evaluated(plan("2028-05-05", "burndown").field("\"area\":{\"value\":10,\"unit\":\"ha\"}"));
        assertThat(e.ground()).isEmpty();
        assertThat(e.figures()).doesNotContainKey("grow/lowestCover");
    }

    private static FieldPlans ryeBeforeCorn() {
        return FieldPlans.of()
                .crop("winter-wheat", "2026-10-01", "2027-07-20")
                .crop("grain-corn", "2028-05-10", "2028-10-15")
                .coverWithAims("v1", "before", "c2", List.of("mulch"), "cereal-rye")
                .operation("sow", "v1", "2027-08-25", "\"method\":\"drilled\"")
                .operation("end", "v1", "2028-05-01", "\"method\":\"burndown\"");
    }

    @Test
    void stock_eat_what_they_are_said_to_and_more_of_it_leaves_less() {
        double before = evaluated(ryeBeforeCorn()).figures().get("grow/v1/mass").middle();
        Evaluated grazed = evaluated(ryeBeforeCorn().operation("graze", "v1", "2028-04-20", "\"sharePercent\":40"));
        Evaluated bare = evaluated(ryeBeforeCorn().operation("graze", "v1", "2028-04-20", "\"sharePercent\":90"));
        double left = grazed.figures().get("grow/v1/mass").middle();
        assertThat(left).isLessThan(before);
        assertThat(bare.figures().get("grow/v1/mass").middle()).isLessThan(left);
        assertThat(EvaluationWriter.write(grazed).section().orElseThrow().pins())
                .extracting(Evaluation.PinView::label)
                .contains("Graze");
    }

    @Test
    void water_given_to_a_crop_lets_it_grow_in_a_dry_year() {
        double before = evaluated(ryeBeforeCorn())
                .figures()
                .get("grow/c2/cropMass")
                .value()
                .low();
        FieldPlans watered = ryeBeforeCorn();
        for (String day : new String[] {"2028-06-20", "2028-07-05", "2028-07-20", "2028-08-05"}) {
            watered.operation("irrigate", "c2", day, "\"depth\":{\"value\":40,\"unit\":\"mm\"}");
        }
        assertThat(evaluated(watered).figures().get("grow/c2/cropMass").value().low())
                .isGreaterThan(before);
    }

    @Test
    void grazing_and_watering_that_say_too_little_are_refused_at_their_place() {
        assertThatThrownBy(() -> evaluated(ryeBeforeCorn().operation("graze", "v1", "2028-04-20", "")))
                .hasMessageContaining("takePercent");
        assertThatThrownBy(
                        () -> evaluated(ryeBeforeCorn().operation("graze", "c2", "2028-07-20", "\"sharePercent\":40")))
                .hasMessageContaining("stock graze a cover");
        assertThatThrownBy(() -> evaluated(ryeBeforeCorn().operation("irrigate", "c2", "2028-07-20", "")))
                .hasMessageContaining("depth");
        assertThatThrownBy(() -> evaluated(ryeBeforeCorn()
                        .operation("irrigate", "c2", "2028-07-20", "\"depth\":{\"value\":40,\"unit\":\"cm\"}")))
                .hasMessageContaining("200 mm");
    }
}
