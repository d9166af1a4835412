package app.etlo.core.plan.shown;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.core.plan.Plans;
import app.etlo.core.plan.document.Json;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;

/** What changed, in words an adviser would use on the telephone. */
class DifferenceWordsTest {
    private final DifferenceWords words = new DifferenceWords(Plans.KNOWLEDGE, "EUR");

    private static ObjectNode plan() {
        return (ObjectNode) Json.tree(Json.write(Plans.dossier().plan()));
    }

    private static ObjectNode at(JsonNode node, String pointer) {
        return (ObjectNode) node.at(pointer);
    }

    private java.util.List<String> after(Consumer<ObjectNode> change) {
        ObjectNode changed = plan();
        change.accept(changed);
        return words.between(plan(), changed);
    }

    @Test
    void a_moved_date_is_told_with_both_days() {
        assertThat(after(p -> at(p, "/operations/3/when").put("on", "2027-04-25")))
                .containsExactly("cover before grain corn 2027 ended: 1 May 2027 → 25 Apr 2027");
    }

    @Test
    void a_share_is_told_with_its_species_and_cover() {
        assertThat(after(p -> at(p, "/covers/0/mix/components/0").put("sharePercent", 50.0)))
                .containsExactly("cover before grain corn 2027: cereal rye, share: 40 % → 50 %");
    }

    @Test
    void a_species_taken_out_and_one_added_are_two_sentences() {
        assertThat(after(p -> {
                    ArrayNode list = (ArrayNode) p.at("/covers/0/mix/components");
                    list.remove(2);
                    list.addObject().put("species", "crimson-clover").put("sharePercent", 10.0);
                }))
                .containsExactly(
                        "cover before grain corn 2027: removed daikon radish, 10 %",
                        "cover before grain corn 2027: added crimson clover, 10 %");
    }

    @Test
    void quantities_keep_the_unit_they_were_typed_in_and_money_the_farms_currency() {
        assertThat(after(p -> {
                    at(p, "/crops/1/yieldGoal").put("value", 10.0).put("unit", "t/ha");
                    at(p, "/crops/1/nitrogen/productPrice").put("value", 420.0);
                }))
                .containsExactly(
                        "grain corn 2027: yield goal: 160 bu/ac → 10 t/ha",
                        "grain corn 2027: nitrogen, product price: 400 EUR/t → 420 EUR/t");
    }

    @Test
    void what_was_not_there_is_none() {
        assertThat(after(p -> at(p, "/crops/0/yieldGoal").removeAll()).get(0)).startsWith("winter barley 2026");
        assertThat(after(p -> ((ObjectNode) p.at("/crops/0")).remove("yieldGoal")))
                .containsExactly("winter barley 2026: yield goal: 6.5 t/ha → none");
    }

    @Test
    void a_crop_and_its_operations_come_and_go_by_name() {
        assertThat(after(p -> {
                    ((ArrayNode) p.path("crops")).addObject().put("id", "c9").put("crop", "soybean");
                    ObjectNode o = ((ArrayNode) p.path("operations"))
                            .addObject()
                            .put("id", "o9")
                            .put("kind", "sow")
                            .put("subject", "c9");
                    o.putObject("when").put("on", "2028-05-10");
                }))
                .containsExactly("added soybean 2028", "soybean 2028 planted on 10 May 2028");
        assertThat(after(p -> ((ArrayNode) p.path("operations")).remove(5)))
                .containsExactly("grain corn 2027 harvested on 15 Oct 2027 was removed");
    }

    @Test
    void aims_are_told_in_their_order() {
        assertThat(after(p -> {
                    ArrayNode aims = (ArrayNode) p.at("/covers/0/aims");
                    aims.removeAll();
                    aims.add("mulch").add("fix-nitrogen");
                }))
                .singleElement()
                .asString()
                .startsWith("cover before grain corn 2027: aims: ")
                .contains(" → ");
    }

    @Test
    void a_field_is_told_by_its_members() {
        var field = Plans.dossier().context().field();
        ObjectNode before = (ObjectNode) Json.tree(Json.write(field));
        ObjectNode after = before.deepCopy();
        after.put("organicMatterPercent", 3.5).put("name", "Lower Bank");
        after.putObject("boundary").put("type", "Polygon").putArray("coordinates");
        assertThat(words.between(before, after))
                .contains("name: Upper Bank → Lower Bank")
                .anySatisfy(s -> assertThat(s).matches("organic matter: .* → 3.5 %"))
                .anySatisfy(s -> assertThat(s).matches("boundary: .* → an outline"));
    }

    @Test
    void a_name_that_looks_like_a_day_but_is_none_stays_a_name() {
        ObjectNode before = plan().put("name", "2027-05-01");
        assertThat(words.between(before, before.deepCopy().put("name", "2026-02-29")))
                .containsExactly("name: 1 May 2027 → 2026-02-29");
    }

    @Test
    void equal_documents_have_nothing_to_tell() {
        assertThat(after(p -> {})).isEmpty();
    }
}
