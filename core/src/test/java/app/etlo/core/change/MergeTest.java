package app.etlo.core.change;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Changes of several people to one document, on examples small enough to see. */
class MergeTest {
    private static JsonNode json(String text) {
        try {
            return new ObjectMapper().readTree(text.replace('\'', '"'));
        } catch (com.fasterxml.jackson.core.JsonProcessingException e) {
            throw new IllegalArgumentException(text, e);
        }
    }

    private static final JsonNode BASE =
            json("{'crops':[{'id':'a','yield':{'value':6,'unit':'t/ha'}},{'id':'b'}],'aims':['x','y'],'name':'one'}");

    private static List<Difference> toward(String text) {
        return Differences.between(BASE, json(text));
    }

    @Test
    void the_same_document_in_another_order_of_entries_differs_in_nothing() {
        assertThat(
                        toward(
                                "{'name':'one','crops':[{'id':'b'},{'id':'a','yield':{'unit':'t/ha','value':6}}],'aims':['x','y']}"))
                .isEmpty();
    }

    @Test
    void a_quantity_and_a_list_without_keys_are_compared_whole() {
        List<Difference> found = toward(
                "{'crops':[{'id':'a','yield':{'value':90,'unit':'bu/ac'}},{'id':'b'}],'aims':['y','x'],'name':'one'}");
        assertThat(found).extracting(Difference::path).containsExactly(List.of("crops", "a", "yield"), List.of("aims"));
        assertThat(found.get(0).after()).contains(json("{'value':90,'unit':'bu/ac'}"));
    }

    @Test
    void an_added_entry_is_one_difference_at_its_top() {
        List<Difference> found = toward(
                "{'crops':[{'id':'a','yield':{'value':6,'unit':'t/ha'}},{'id':'b'},{'id':'c','x':1}],'aims':['x','y'],'name':'one'}");
        assertThat(found)
                .containsExactly(
                        new Difference(List.of("crops", "c"), Optional.empty(), Optional.of(json("{'id':'c','x':1}"))));
    }

    @Test
    void entries_that_share_a_key_make_their_list_one_whole() {
        JsonNode one = json("{'list':[{'id':'a','v':1},{'id':'a','v':2}]}");
        JsonNode two = json("{'list':[{'id':'a','v':1},{'id':'a','v':3}]}");
        assertThat(Differences.between(one, two)).extracting(Difference::path).containsExactly(List.of("list"));
    }

    @Test
    void changes_in_different_places_come_together() {
        JsonNode theirs = json(
                "{'crops':[{'id':'a','yield':{'value':7,'unit':'t/ha'}},{'id':'b'}],'aims':['x','y'],'name':'one'}");
        Merge merged = Merge.gently(
                theirs,
                toward("{'crops':[{'id':'a','yield':{'value':6,'unit':'t/ha'}}],'aims':['x','y'],'name':'two'}"));
        assertThat(merged.overlaps()).isEmpty();
        assertThat(merged.document())
                .isEqualTo(
                        json("{'crops':[{'id':'a','yield':{'value':7,'unit':'t/ha'}}],'aims':['x','y'],'name':'two'}"));
    }

    @Test
    void a_change_over_another_is_told_and_left_out_unless_overriding() {
        JsonNode theirs = json(
                "{'crops':[{'id':'a','yield':{'value':7,'unit':'t/ha'}},{'id':'b'}],'aims':['x','y'],'name':'one'}");
        List<Difference> mine = toward(
                "{'crops':[{'id':'a','yield':{'value':8,'unit':'t/ha'}},{'id':'b'}],'aims':['x','y'],'name':'two'}");
        Merge gentle = Merge.gently(theirs, mine);
        assertThat(gentle.overlaps()).extracting(Difference::path).containsExactly(List.of("crops", "a", "yield"));
        assertThat(gentle.document().at("/crops/0/yield/value").asInt()).isEqualTo(7);
        assertThat(gentle.document().path("name").asText()).isEqualTo("two");
        assertThat(Merge.overriding(theirs, mine)
                        .document()
                        .at("/crops/0/yield/value")
                        .asInt())
                .isEqualTo(8);
    }

    @Test
    void a_change_inside_what_another_took_out_overlaps_and_cannot_be_forced() {
        JsonNode theirs = json("{'crops':[{'id':'b'}],'aims':['x','y'],'name':'one'}");
        List<Difference> mine = toward(
                "{'crops':[{'id':'a','yield':{'value':8,'unit':'t/ha'}},{'id':'b'}],'aims':['x','y'],'name':'one'}");
        Merge forced = Merge.overriding(theirs, mine);
        assertThat(forced.overlaps()).hasSize(1);
        assertThat(forced.document()).isEqualTo(theirs);
    }

    @Test
    void taking_out_what_another_changed_overlaps() {
        JsonNode theirs = json(
                "{'crops':[{'id':'a','yield':{'value':7,'unit':'t/ha'}},{'id':'b'}],'aims':['x','y'],'name':'one'}");
        assertThat(Merge.gently(theirs, toward("{'crops':[{'id':'b'}],'aims':['x','y'],'name':'one'}"))
                        .overlaps())
                .hasSize(1);
    }
}
