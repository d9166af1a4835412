package app.etlo.core.plan.chapter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.etlo.core.advice.Note;
import app.etlo.core.plan.FieldPlans;
import app.etlo.core.plan.Plans;
import app.etlo.core.plan.document.Dossier;
import app.etlo.core.plan.document.Json;
import app.etlo.core.plan.document.PlanReader;
import app.etlo.core.plan.document.Refused;
import app.etlo.core.plan.growth.PlanGround;
import app.etlo.core.plan.timeline.DatedBy;
import app.etlo.core.plan.timeline.PlantingSystems;
import app.etlo.core.working.Figure;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What operations of version 2 do that version 1 could not say. */
class OperationsTest {
    private static final PlanReader READER = new PlanReader(Plans.KNOWLEDGE);

    /** Barley, then rye ahead of corn, on a field with weather. */
    private static FieldPlans ryeBeforeCorn() {
        return FieldPlans.of()
                .crop("winter-barley", "2026-10-01", "2027-07-20")
                .crop("grain-corn", "2028-05-12", "2028-10-10", "full-width")
                .cover("v1", "before", "c2", "", "cereal-rye")
                .operation("sow", "v1", "2027-09-10", "")
                .operation("end", "v1", "2028-05-01", "\"method\":\"roller-crimper\"");
    }

    private interface Edit {
        void on(ObjectNode plan);
    }

    private static Evaluated with(Edit edit) {
        Dossier d = Plans.read(ryeBeforeCorn().text());
        ObjectNode tree = (ObjectNode) Json.tree(Json.write(d.plan()));
        edit.on(tree);
        return new Evaluator(Plans.KNOWLEDGE).evaluate(READER.read(tree), d.context(), FieldPlans.AS_OF);
    }

    private static ObjectNode operation(ObjectNode plan, String kind, String subject) {
        for (var o : plan.path("operations")) {
            if (o.path("kind").asText().equals(kind)
                    && o.path("subject").asText().equals(subject)) {
                return (ObjectNode) o;
            }
        }
        throw new AssertionError("no " + kind + " of " + subject);
    }

    private static ObjectNode add(ObjectNode plan, String json) {
        ObjectNode o = (ObjectNode) Json.tree(json);
        ((ArrayNode) plan.path("operations")).add(o);
        return o;
    }

    private static double middle(Evaluated e, String id) {
        Figure f = e.figures().get(id);
        assertThat(f).as(id).isNotNull();
        return f.middle();
    }

    @Test
    void a_systems_pass_can_be_moved_and_removed() {
        Evaluated before = with(p -> {});
        Evaluated moved = with(p -> operation(p, "pass", "c2").putObject("when").put("on", "2028-04-20"));
        assertThat(moved.dates().values()).extracting(DatedBy::on).contains(LocalDate.of(2028, 4, 20));
        Evaluated without = with(p -> {
            ArrayNode all = (ArrayNode) p.path("operations");
            for (int i = all.size() - 1; i >= 0; i--) {
                if (all.get(i).has("system")) {
                    all.remove(i);
                }
            }
        });
        assertThat(middle(without, "plant/c2/rating")).isLessThan(middle(before, "plant/c2/rating"));
        assertThat(new PlantingSystems(without.plan(), Plans.KNOWLEDGE).of("c2"))
                .isEmpty();
    }

    @Test
    void passes_follow_the_planting_they_belong_to() {
        Evaluated later = with(p -> operation(p, "sow", "c2").putObject("when").put("on", "2028-05-22"));
        assertThat(later.crops().get(1).passes().stream()
                        .filter(p -> p.operation().id().equals("tandem-disc"))
                        .map(app.etlo.core.tillage.Pass::date)
                        .toList())
                .containsExactly(LocalDate.of(2028, 5, 8));
    }

    /** The disc of a full-width system falls into a cover that is rolled a week before planting. */
    @Test
    void tillage_while_a_cover_still_grows_is_noted() {
        Evaluated early = with(p -> {});
        assertThat(notes(early)).singleElement().satisfies(n -> {
            assertThat(n.subject()).isEqualTo("v1");
            assertThat(n.text()).contains("Tandem disc on 28 Apr 2028").contains("end on 1 May 2028");
        });
        Evaluated late = with(p -> operation(p, "pass", "c2").putObject("when").put("on", "2028-05-03"));
        assertThat(notes(late)).isEmpty();
    }

    private static List<Note> notes(Evaluated e) {
        return e.notes().stream()
                .filter(n -> n.rule().equals("tilled-before-end"))
                .toList();
    }

    /** Rolled too early most of it lives; a second way of ending it a week later kills what is left. */
    @Test
    void a_second_pass_ends_what_the_first_left_alive() {
        double once =
                alive(with(p -> operation(p, "end", "v1").putObject("when").put("on", "2028-04-10")));
        double twice = alive(with(p -> {
            ObjectNode end = operation(p, "end", "v1");
            end.putObject("when").put("on", "2028-04-10");
            ((ArrayNode) end.path("passes"))
                    .addObject()
                    .put("id", "second")
                    .put("method", "burndown")
                    .put("afterDays", 7);
        }));
        assertThat(once).isGreaterThan(50);
        assertThat(twice).isLessThan(once / 2);
    }

    /** Dry tops that stand a fortnight after the end, kg/ha. */
    private static double alive(Evaluated e) {
        PlanGround g = e.ground().orElseThrow();
        int plant = g.plant("v1", "cereal-rye");
        return g.band(g.before(LocalDate.of(2028, 4, 30)), plant, app.etlo.core.ground.GroundCourse.OfPlant.MASS_KG_HA)
                .middle();
    }

    @Test
    void what_is_planned_to_be_fed_is_fed_and_taken_off_what_is_left_to_buy() {
        String feed = "{\"id\":\"f1\",\"kind\":\"feed\",\"subject\":\"c2\",\"when\":{\"on\":\"2028-06-10\"},"
                + "\"material\":{\"product\":\"urea\"},\"rate\":{\"value\":100,\"unit\":\"kg/ha\"},\"rateOf\":\"%s\"}";
        Edit goal = p -> ((ObjectNode) p.at("/crops/1"))
                .putObject("yieldGoal")
                .put("value", 10)
                .put("unit", "t/ha");
        double left = middle(with(goal), "feed/c2/leftToBuy");
        Evaluated fed = with(p -> {
            goal.on(p);
            add(p, feed.formatted("nitrogen"));
        });
        assertThat(middle(fed, "feed/c2/leftToBuy")).isCloseTo(left - 100, within(1e-9));
        // 100 kg of urea hold 46 of nitrogen by its analysis
        Evaluated product = with(p -> {
            goal.on(p);
            add(p, feed.formatted("material"));
        });
        assertThat(middle(product, "feed/c2/planned")).isCloseTo(46, within(1e-9));
        // and a hundredth of it starves the crop in the simulation
        double starved = middle(
                with(p -> add(p, feed.formatted("nitrogen").replace("\"value\":100", "\"value\":1"))),
                "grow/c2/cropMass");
        assertThat(starved).isLessThan(middle(fed, "grow/c2/cropMass"));
    }

    @Test
    void the_sowing_of_a_cover_can_be_limited_to_the_middles() {
        Edit zones = p -> {
            ObjectNode z = ((ObjectNode) p.at("/covers/0/mix")).putObject("zones");
            z.putObject("rowWidth").put("value", 75).put("unit", "cm");
            z.putObject("bandWidth").put("value", 25).put("unit", "cm");
        };
        double whole = middle(with(zones), "mix/v1/seed");
        double middles = middle(
                with(p -> {
                    zones.on(p);
                    operation(p, "sow", "v1").put("zone", "middle");
                }),
                "mix/v1/seed");
        assertThat(middles).isCloseTo(whole * 2 / 3, within(1e-6));
    }

    /** Grazed in the morning and ended in the evening is not ended and then grazed. */
    @Test
    void the_place_in_the_day_is_honoured() {
        String graze = "{\"id\":\"g1\",\"kind\":\"graze\",\"subject\":\"v1\",\"when\":{\"on\":\"2028-05-01\"},"
                + "\"takePercent\":60%s}";
        double after = cover(with(p -> add(p, graze.formatted(""))));
        double before = cover(with(p -> add(p, graze.formatted(",\"seq\":150"))));
        assertThat(before).isLessThan(after);
    }

    /** Ground covered by residue a week after the end, %. */
    private static double cover(Evaluated e) {
        return middle(e, "grow/v1/residueCover");
    }

    @Test
    void what_cannot_be_is_refused_at_its_place() {
        refused(
                p -> operation(p, "sow", "v1")
                        .putObject("when")
                        .putObject("offset")
                        .put("from", "gone")
                        .put("days", 3),
                "/when/offset/from");
        refused(
                p -> operation(p, "sow", "v1")
                        .putObject("when")
                        .putObject("offset")
                        .put("from", operation(p, "pass", "c2").path("id").asText())
                        .put("days", 3),
                "/when/offset/from");
        refused(
                p -> ((ObjectNode) operation(p, "end", "v1").at("/passes/0")).put("afterDays", 4),
                "/passes/0/afterDays");
        refused(
                p -> ((ObjectNode) operation(p, "end", "v1").at("/passes/0")).put("method", "wish"),
                "/passes/0/method");
        refused(p -> operation(p, "end", "v1").put("zone", "row"), "/zone");
        refused(
                p -> add(
                        p,
                        "{\"id\":\"f1\",\"kind\":\"feed\",\"subject\":\"v9\",\"when\":{\"on\":\"2028-06-10\"},"
                                + "\"material\":{\"product\":\"urea\"},\"rate\":{\"value\":9,\"unit\":\"kg/ha\"},"
                                + "\"rateOf\":\"nitrogen\"}"),
                "/subject");
    }

    private static void refused(Edit edit, String pointer) {
        assertThatThrownBy(() -> with(edit))
                .isInstanceOfSatisfying(
                        Refused.class,
                        r -> assertThat(r.problems())
                                .as(r.problems().toString())
                                .anySatisfy(p -> assertThat(p.pointer()).endsWith(pointer)));
    }

    @Test
    void every_kind_has_a_word_and_a_place_in_the_day() {
        assertThat(List.of("harvest 100", "end 200", "graze 300", "pass 400", "feed 500", "irrigate 600", "sow 700"))
                .containsAll(with(p -> add(
                                p,
                                "{\"id\":\"i1\",\"kind\":\"irrigate\",\"subject\":\"c2\",\"when\":{\"on\":\"2028-06-10\"},"
                                        + "\"depth\":{\"value\":25,\"unit\":\"mm\"}}"))
                        .plan()
                        .operations()
                        .stream()
                        .map(o -> o.kind() + " " + o.place())
                        .toList());
    }
}
