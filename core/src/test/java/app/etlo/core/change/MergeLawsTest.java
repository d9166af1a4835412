package app.etlo.core.change;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Map;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** What holds for every two or three states of a document. */
class MergeLawsTest {
    private static final JsonNodeFactory F = JsonNodeFactory.instance;

    /** Documents of a plan's shape: a few members, and lists of entries with keys of which some are missing. */
    @Provide
    Arbitrary<JsonNode> documents() {
        Arbitrary<JsonNode> leaves = Arbitraries.oneOf(
                Arbitraries.integers().between(0, 3).map(F::numberNode),
                Arbitraries.of("x", "y").map(F::textNode));
        Arbitrary<JsonNode> entries =
                Arbitraries.maps(Arbitraries.of("v", "w"), leaves).ofMaxSize(2).map(MergeLawsTest::object);
        Arbitrary<JsonNode> lists = Arbitraries.maps(Arbitraries.of("a", "b", "c"), entries)
                .ofMaxSize(3)
                .map(byId -> {
                    ArrayNode list = F.arrayNode();
                    byId.forEach((id, e) -> {
                        ObjectNode entry = F.objectNode().put("id", id);
                        entry.setAll((ObjectNode) e);
                        list.add(entry);
                    });
                    return list;
                });
        return net.jqwik.api.Combinators.combine(
                        Arbitraries.maps(Arbitraries.of("p", "q", "r"), leaves).ofMaxSize(3), lists, lists)
                .as((members, crops, covers) -> {
                    ObjectNode document = (ObjectNode) object(members);
                    document.set("crops", crops);
                    document.set("covers", covers);
                    return document;
                });
    }

    private static JsonNode object(Map<String, JsonNode> members) {
        ObjectNode o = F.objectNode();
        members.forEach(o::set);
        return o;
    }

    private static void same(JsonNode a, JsonNode b) {
        assertThat(Differences.between(a, b)).isEmpty();
    }

    @Property
    void differences_put_on_the_earlier_state_give_the_later(
            @ForAll("documents") JsonNode a, @ForAll("documents") JsonNode b) {
        Merge merged = Merge.gently(a, Differences.between(a, b));
        assertThat(merged.overlaps()).isEmpty();
        same(merged.document(), b);
    }

    @Property
    void differences_taken_back_give_the_earlier_state_again(
            @ForAll("documents") JsonNode a, @ForAll("documents") JsonNode b) {
        List<Difference> back =
                Differences.between(a, b).stream().map(Difference::inverted).toList();
        same(Merge.gently(b, back).document(), a);
    }

    @Property
    void putting_the_same_changes_on_twice_is_putting_them_on_once(
            @ForAll("documents") JsonNode a, @ForAll("documents") JsonNode b) {
        Merge again = Merge.gently(b, Differences.between(a, b));
        assertThat(again.overlaps()).isEmpty();
        same(again.document(), b);
    }

    @Property
    void where_nothing_overlaps_it_does_not_matter_who_was_first(
            @ForAll("documents") JsonNode base,
            @ForAll("documents") JsonNode mine,
            @ForAll("documents") JsonNode theirs) {
        Merge one = Merge.gently(theirs, Differences.between(base, mine));
        Merge other = Merge.gently(mine, Differences.between(base, theirs));
        assertThat(one.overlaps().isEmpty()).isEqualTo(other.overlaps().isEmpty());
        if (one.overlaps().isEmpty()) {
            same(one.document(), other.document());
        }
    }

    @Property
    void merging_changes_no_document_it_was_given(
            @ForAll("documents") JsonNode base,
            @ForAll("documents") JsonNode mine,
            @ForAll("documents") JsonNode theirs) {
        JsonNode before = theirs.deepCopy();
        Merge merged = Merge.overriding(theirs, Differences.between(base, mine));
        assertThat(theirs).isEqualTo(before);
        // what nobody of us touched is as they have it
        assertThat(Differences.between(theirs, merged.document()))
                .allSatisfy(d -> assertThat(Differences.between(base, mine))
                        .anySatisfy(
                                m -> assertThat(d.path()).startsWith(m.path().toArray(String[]::new))));
    }
}
