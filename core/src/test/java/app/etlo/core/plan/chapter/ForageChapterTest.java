package app.etlo.core.plan.chapter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.grazing.GrazingResult;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.Refused;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A grazing of the plan: what it takes and leaves in the ground of the plan, and whether the cover is ready for it. */
class ForageChapterTest {
    private static final Evaluated PLAN = plan("2027-04-24", "cereal-rye");

    private static Evaluated plan(String grazed, String species) {
        return FieldPlans.of()
                .field("\"texture\":\"silt loam\",\"point\":{\"lat\":41,\"lon\":-89}")
                .crop("winter-wheat", "2025-10-04", "2026-07-18")
                .crop("soybean", "2027-05-20", "2027-10-15")
                .coverWithAims("v1", "before", "c2", List.of("feed-stock", "mulch"), species)
                .operation(
                        "sow",
                        "v1",
                        species.equals("cereal-rye") ? "2026-09-10" : "2026-07-24",
                        "\"method\":\"drilled\"")
                .operation("graze", "v1", grazed, "\"sharePercent\":50")
                .operation(
                        "end",
                        "v1",
                        species.equals("cereal-rye") ? "2027-05-12" : "2026-11-20",
                        "\"method\":\"burndown\"")
                .evaluated();
    }

    private static GrazingResult grazing(Evaluated e) {
        return e.covers().get(0).forage().grazings().get(0);
    }

    private static JsonNode withHerd(String members) {
        ObjectNode plan = (ObjectNode) Json.tree(Json.write(PLAN.plan()));
        plan.path("operations").forEach(o -> {
            if (o.path("kind").asText().equals("graze")) {
                ((ObjectNode) o).setAll((ObjectNode) Json.tree(members));
            }
        });
        return plan;
    }

    @Test
    void what_is_eaten_is_gone_in_the_forecast_of_the_next_day() {
        GrazingResult g = grazing(PLAN);
        assertThat(g.eaten().middle()).isCloseTo(g.left().middle(), within(1e-6));
        assertThat(g.herd()).isEmpty();
        var ground = PLAN.growth().ground().orElseThrow();
        double after = app.etlo.core.ground.GroundCourse.band(ground.course()
                        .sum(
                                ground.before(g.on().plusDays(8)),
                                ground.plants("v1"),
                                app.etlo.core.ground.GroundCourse.OfPlant.MASS_KG_HA))
                .middle();
        assertThat(after).isBetween(0.9 * g.left().middle(), g.left().middle() + 900);
    }

    @Test
    void a_cover_that_is_too_short_has_the_day_on_which_it_is_not() {
        assertThat(grazing(plan("2026-10-20", "cereal-rye")).says())
                .anyMatch(s -> s.contains("under the") && s.contains("It reaches them about"));
        assertThat(grazing(PLAN).says()).anyMatch(s -> s.endsWith("from which it bears grazing."));
    }

    private static Evaluated with(String members) {
        return new Evaluator(Plans.KNOWLEDGE)
                .evaluate(Plans.READER.read(withHerd(members)), PLAN.context(), PLAN.asOf());
    }

    @Test
    void a_herd_is_read_with_its_weight_and_paddocks() {
        Evaluated e = with(
                "{\"stock\":{\"class\":\"beef-cow\",\"head\":40,\"liveWeight\":{\"value\":1300,\"unit\":\"lb\"}},\"paddocks\":4}");
        GrazingResult.OfHerd h = grazing(e).herd().orElseThrow();
        assertThat(h.headDays().middle())
                .isCloseTo(grazing(e).eaten().middle() * 20 / (1300 * 0.45359237 * 0.0275), within(0.5));
        assertThat(e.figures()).containsKey(h.days().id());
        assertThatThrownBy(() -> Plans.READER.read(
                        withHerd("{\"stock\":{\"class\":\"beef-cow\",\"liveWeight\":{\"value\":13,\"unit\":\"ha\"}}}")))
                .isInstanceOfSatisfying(
                        Refused.class,
                        r -> assertThat(r.problems().get(0).pointer()).contains("/stock/liveWeight"));
        assertThatThrownBy(() -> Plans.READER.read(withHerd("{\"until\":\"2027-04-01\"}")))
                .isInstanceOfSatisfying(
                        Refused.class,
                        r -> assertThat(r.problems().get(0).pointer()).endsWith("/until"));
    }

    @Test
    void what_is_eaten_over_days_is_gone_after_the_last_and_the_stand_grew_meanwhile() {
        GrazingResult one = grazing(PLAN);
        GrazingResult week = grazing(with("{\"until\":\"2027-05-03\"}"));
        assertThat(week.eaten().middle()).isEqualTo(one.eaten().middle());
        assertThat(week.left().middle()).isGreaterThan(one.left().middle());
        double stopped = 0.5 * (one.eaten().middle() + one.left().middle());
        assertThat(week.left().middle()).isLessThan(2 * stopped);
    }

    @Test
    void stock_that_stay_longer_than_they_are_fed_are_told_when_it_is_gone() {
        String herd = "{\"stock\":{\"class\":\"young-cattle\",\"head\":%d},\"until\":\"2027-05-03\"}";
        assertThat(grazing(with(herd.formatted(2000))).says())
                .anyMatch(s -> s.startsWith("They stay 10 days, and this feeds them about"));
        assertThat(grazing(with(herd.formatted(40))).says())
                .anyMatch(s -> s.contains("less is eaten than is said here"));
    }

    /** What is planted after the cover is not theirs. */
    @Test
    void stock_leave_when_the_cover_ends() {
        GrazingResult g = grazing(with("{\"until\":\"2027-06-30\"}"));
        assertThat(g.until()).isEqualTo("2027-05-12");
        assertThat(g.says()).anyMatch(s -> s.contains("stock are taken to leave then, not on 30 Jun"));
    }

    @Test
    void a_height_to_leave_limits_what_may_be_eaten() {
        GrazingResult g = grazing(with("{\"residualHeight\":{\"value\":15,\"unit\":\"cm\"}}"));
        double tall = 2 * g.heightLeft().middle();
        assertThat(g.says()).anyMatch(s -> tall < 30 ? s.contains("may be eaten") : s.contains("bears grazing"));
        assertThat(grazing(with("{\"residualHeight\":{\"value\":90,\"unit\":\"cm\"}}"))
                        .says())
                .anyMatch(s -> s.contains("may be eaten"));
    }

    @Test
    void cautions_for_the_stock_wait_until_they_are_read() {
        Evaluated vetch = plan("2027-04-24", "hairy-vetch");
        assertThat(vetch.covers().get(0).forage().cautions())
                .anyMatch(c -> c.caution().id().equals("vetch-poisoning") && c.concerns("cattle"));
        assertThat(grazing(vetch).says().get(0))
                .startsWith("Not read yet for the stock: ")
                .contains("vetch poisoning");
        assertThat(grazing(PLAN).says()).contains("Not read yet for the stock: nitrate.");
        assertThat(grazing(with("{\"heeded\":[\"nitrate\"]}")).says()).noneMatch(s -> s.startsWith("Not read yet"));
    }

    /**
     * Common practice: rye in the boot holds 14 to 18 % protein, headed 10 to 12; hay wants three dry days, silage one; what is cut leaves
     * stubble, half grazed leaves half.
     */
    @Test
    void uses_of_the_same_stand_are_laid_side_by_side() {
        var cover = PLAN.covers().get(0);
        var uses = cover.forage().uses();
        double tops = cover.ending().stand().orElseThrow().biomass().middle();
        assertThat(uses).extracting(u -> u.way().id()).containsExactly("mulch", "grazed", "silage", "hay");
        assertThat(uses.get(0).left().middle()).isEqualTo(tops);
        assertThat(uses.get(0).fed().middle()).isZero();
        assertThat(uses.get(1).left().middle()).isCloseTo(tops / 2, within(1e-6));
        assertThat(uses.get(2).left().middle()).isEqualTo(uses.get(3).left().middle());
        assertThat(uses.get(2).fed().middle()).isGreaterThan(uses.get(3).fed().middle());
        assertThat(uses.get(3).left().middle()).isLessThan(0.4 * tops);
        assertThat(uses.get(3).nitrogenGone().middle())
                .isGreaterThan(uses.get(1).nitrogenGone().middle());
        assertThat(uses.get(3).dryYearsOfTen()).isLessThanOrEqualTo(uses.get(2).dryYearsOfTen());
        assertThat(cover.forage().quality()).singleElement().asString().contains("% of the dry tops digestible");
    }

    /** The class that grazes counts as stock kept, also where the field has none. */
    @Test
    void the_stock_of_a_grazing_decides_which_cautions_are_notes() {
        assertThat(plan("2027-04-24", "hairy-vetch").notes())
                .anyMatch(n -> n.rule().equals("harms-stock") && n.text().contains("which is not entered"));
        assertThat(with("{\"stock\":{\"class\":\"sheep\"}}").notes())
                .noneMatch(n -> n.text().contains("which is not entered"));
    }

    /** Common practice: 60 cm for hybrids, and none from the first frost on, whatever the stock. */
    @Test
    void sorghum_too_short_or_frosted_is_a_stop() {
        assertThat(plan("2026-08-14", "sorghum-sudangrass").notes())
                .anyMatch(n -> n.rule().equals("sorghum-grazed") && n.text().contains("young plants"));
        assertThat(plan("2026-10-28", "sorghum-sudangrass").notes())
                .anyMatch(n -> n.rule().equals("sorghum-grazed") && n.text().contains("first frost"));
        assertThat(PLAN.notes()).noneMatch(n -> n.rule().equals("sorghum-grazed"));
    }
}
