package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;

/** Two people on one plan: what they are told, what they may choose, and what each may take back. */
@ServerTest
class TogetherTest {
    @Autowired
    MockMvc mvc;

    Browser one;
    Browser two;

    @BeforeEach
    void a_practice_of_two() {
        one = Browser.ofNewPractice(mvc);
        Samples.into(one);
        two = one.invites("adviser");
    }

    private static String id() {
        return UUID.randomUUID().toString();
    }

    private static JsonNode changed(JsonNode plan, Consumer<ObjectNode> change) {
        ObjectNode copy = plan.deepCopy();
        change.accept(copy);
        return copy;
    }

    private static JsonNode with(Consumer<ObjectNode> change) {
        return changed(Samples.plan(), change);
    }

    private static Consumer<ObjectNode> share(int component, double percent) {
        return p -> ((ObjectNode) p.at("/covers/0/mix/components/" + component)).put("sharePercent", percent);
    }

    private static Consumer<ObjectNode> ended(String day) {
        return p -> ((ObjectNode) p.at("/operations/3/when")).put("on", day);
    }

    private JsonNode plan() {
        return one.get("/api/plans/p1").json().path("plan");
    }

    private Browser.Answer merge(Browser who, JsonNode mine, int base, int head) {
        return who.send(
                "POST",
                "/api/plans/p1/merge?base=" + base,
                mine.toString().getBytes(StandardCharsets.UTF_8),
                MediaType.APPLICATION_JSON,
                Map.of("If-Match", String.valueOf(head), "X-Request-Id", id()));
    }

    @Test
    void the_later_one_is_told_who_changed_what_and_what_they_did_themselves() {
        one.send(
                "PUT",
                "/api/me/name",
                "{\"name\":\"Ilse Varn\"}".getBytes(StandardCharsets.UTF_8),
                MediaType.APPLICATION_JSON,
                Map.of());
        one.save(with(ended("2027-04-25")), 1, id());
        Browser.Answer late = two.save(with(share(0, 50)), 1, id());
        assertThat(late.status()).isEqualTo(409);
        JsonNode told = late.json().path("comparison");
        assertThat(told.path("author").asText()).isEqualTo("Ilse Varn");
        assertThat(told.at("/theirs/0").asText())
                .isEqualTo("cover before grain corn 2027 ended: 1 May 2027 → 25 Apr 2027");
        assertThat(told.at("/mine/0").asText())
                .isEqualTo("cover before grain corn 2027: cereal rye, share: 40 % → 50 %");
        assertThat(told.path("overlaps")).isEmpty();
    }

    @Test
    void changes_in_different_places_are_both_kept_when_asked_to() {
        one.save(with(ended("2027-04-25")), 1, id());
        Browser.Answer both = merge(two, with(share(0, 50)), 1, 2);
        assertThat(both.status()).as(both.text()).isEqualTo(200);
        assertThat(plan().at("/operations/3/when/on").asText()).isEqualTo("2027-04-25");
        assertThat(plan().at("/covers/0/mix/components/0/sharePercent").asDouble())
                .isEqualTo(50);
        assertThat(one.get("/api/plans/p1/revisions").json().at("/0/kind").asText())
                .isEqualTo("merge");
    }

    @Test
    void changes_in_one_place_cannot_both_be_kept() {
        one.save(with(share(0, 45)), 1, id());
        Browser.Answer late = two.save(with(share(0, 50)), 1, id());
        assertThat(late.json().at("/comparison/overlaps/0").asText()).contains("cereal rye, share");
        assertThat(merge(two, with(share(0, 50)), 1, 2).status()).isEqualTo(409);
        assertThat(plan().at("/covers/0/mix/components/0/sharePercent").asDouble())
                .isEqualTo(45);
    }

    @Test
    void changes_that_fit_nowhere_together_are_told_so() {
        // one takes the corn out, the other undersows it
        one.save(
                with(p -> {
                    ((ArrayNode) p.path("crops")).remove(1);
                    ((ArrayNode) p.path("covers")).removeAll();
                    ArrayNode operations = (ArrayNode) p.path("operations");
                    for (int i = 5; i >= 2; i--) {
                        operations.remove(i);
                    }
                }),
                1,
                id());
        JsonNode mine = with(p -> ((ArrayNode) p.path("covers"))
                .addObject()
                .put("id", "v9")
                .putObject("place")
                .put("relation", "into")
                .put("cropId", "c2"));
        Browser.Answer late = two.save(mine, 1, id());
        assertThat(late.status()).isEqualTo(409);
        assertThat(late.json().path("comparison").path("overlaps").toString()).contains("no sound plan");
        assertThat(merge(two, mine, 1, 2).status()).isIn(400, 409);
    }

    @Test
    void keeping_mine_over_a_third_change_is_asked_again() {
        one.save(with(ended("2027-04-25")), 1, id());
        two.save(with(share(0, 50)), 1, id());
        one.save(changed(plan(), ended("2027-04-20")), 2, id());
        assertThat(two.save(with(share(0, 50)), 2, id()).status()).isEqualTo(409);
    }

    @Test
    void everybody_takes_back_only_their_own() {
        one.save(with(share(0, 50)), 1, id());
        two.save(changed(plan(), ended("2027-04-25")), 2, id());
        Browser.Answer back = one.step("undo", "p1", 3);
        assertThat(back.status()).as(back.text()).isEqualTo(200);
        assertThat(back.json()
                        .at("/plan/covers/0/mix/components/0/sharePercent")
                        .asDouble())
                .isEqualTo(40);
        assertThat(back.json().at("/plan/operations/3/when/on").asText()).isEqualTo("2027-04-25");
        assertThat(back.json().path("canUndo").asBoolean()).isFalse();
        assertThat(two.get("/api/plans/p1").json().path("canUndo").asBoolean()).isTrue();
        Browser.Answer again = one.step("redo", "p1", 4);
        assertThat(again.json()
                        .at("/plan/covers/0/mix/components/0/sharePercent")
                        .asDouble())
                .isEqualTo(50);
    }

    @Test
    void what_another_changed_since_is_taken_back_only_when_asked_twice() {
        one.save(with(share(0, 50)), 1, id());
        two.save(changed(plan(), share(0, 60)), 2, id());
        Browser.Answer refused = one.step("undo", "p1", 3);
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.json().at("/overlaps/0").asText()).contains("60 % → 40 %");
        assertThat(refused.json().path("overridable").asBoolean()).isTrue();
        assertThat(plan().at("/covers/0/mix/components/0/sharePercent").asDouble())
                .isEqualTo(60);
        assertThat(one.step("undo?over=true", "p1", 3)
                        .json()
                        .at("/plan/covers/0/mix/components/0/sharePercent")
                        .asDouble())
                .isEqualTo(40);
    }

    @Test
    void undo_works_on_in_another_session_of_the_same_person() {
        one.save(with(share(0, 50)), 1, id());
        Browser later = new Browser(mvc).as(one.email(), Browser.PASSWORD);
        assertThat(later.get("/api/plans/p1").json().path("canUndo").asBoolean())
                .isTrue();
        assertThat(later.step("undo", "p1", 2)
                        .json()
                        .at("/plan/covers/0/mix/components/0/sharePercent")
                        .asDouble())
                .isEqualTo(40);
    }

    @Test
    void any_revision_is_restored_and_that_is_undone_too() {
        one.save(with(share(0, 50)), 1, id());
        two.save(changed(plan(), ended("2027-04-25")), 2, id());
        Browser.Answer restored = two.step("revisions/1/restore", "p1", 3);
        assertThat(restored.json().path("plan"))
                .isEqualTo(one.get("/api/plans/p1").json().path("plan"));
        assertThat(plan().at("/operations/3/when/on").asText()).isEqualTo("2027-05-01");
        JsonNode entry = one.get("/api/plans/p1/revisions").json().get(0);
        assertThat(entry.path("kind").asText()).isEqualTo("restore");
        assertThat(entry.path("target").asInt()).isEqualTo(1);
        assertThat(entry.path("changes")).hasSize(2);
        assertThat(two.step("undo", "p1", 4)
                        .json()
                        .at("/plan/operations/3/when/on")
                        .asText())
                .isEqualTo("2027-04-25");
        assertThat(two.step("revisions/99/restore", "p1", 5).status()).isEqualTo(404);
    }

    @Test
    void a_long_history_is_read_page_by_page() {
        for (int i = 1; i <= 45; i++) {
            one.save(with(share(0, i % 2 == 0 ? 41 : 42)), i, id());
        }
        JsonNode first = one.get("/api/plans/p1/revisions").json();
        assertThat(first).hasSize(40);
        assertThat(first.at("/39/changes")).hasSize(1);
        JsonNode rest = one.get("/api/plans/p1/revisions?before="
                        + first.at("/39/number").asInt())
                .json();
        assertThat(rest).hasSize(6);
        assertThat(rest.at("/5/kind").asText()).isEqualTo("create");
    }

    @Test
    void mine_is_kept_as_a_copy_beside_theirs_and_once_however_often_it_is_sent() {
        one.save(with(ended("2027-04-25")), 1, id());
        String request = id();
        ObjectNode mine = with(share(0, 50)).deepCopy();
        mine.put("id", "p2");
        for (int i = 0; i < 2; i++) {
            Browser.Answer copied = two.send(
                    "POST",
                    "/api/fields/f1/plans",
                    ("{\"label\":\"mine\",\"plan\":" + mine + "}").getBytes(StandardCharsets.UTF_8),
                    MediaType.APPLICATION_JSON,
                    Map.of("X-Request-Id", request));
            assertThat(copied.status()).as(copied.text()).isEqualTo(201);
            assertThat(copied.json().path("current").asBoolean()).isFalse();
        }
        JsonNode plans = one.get("/api/fields/f1/plans").json();
        assertThat(plans.findValuesAsText("id")).containsExactly("p1", "p2");
        // the field's own plan is theirs until somebody says otherwise
        assertThat(one.get("/api/fields/f1/plan").json().at("/plan/id").asText())
                .isEqualTo("p1");
        assertThat(two.post("/api/plans/p2/current", "").status()).isEqualTo(200);
        assertThat(one.get("/api/fields/f1/plan").json().at("/plan/id").asText())
                .isEqualTo("p2");
        assertThat(one.delete("/api/plans/p2").status()).isEqualTo(400);
        assertThat(one.delete("/api/plans/p1").status()).isEqualTo(204);
        assertThat(one.get("/api/fields/f1/plans").json()).hasSize(1);
    }

    @Test
    void a_file_with_another_plan_for_the_field_becomes_a_copy_and_differences_are_told() {
        String file = Samples.dossier().replace("\"p1\"", "\"p7\"").replace("\"Thornlea\"", "\"Thornlea of old\"");
        Browser.Answer taken = one.file("/api/dossiers", file.getBytes(StandardCharsets.UTF_8));
        assertThat(taken.json().path("kept").toString()).contains("farm Thornlea, name: Thornlea of old → Thornlea");
        assertThat(one.get("/api/fields/f1/plans").json().findValuesAsText("label"))
                .containsExactly("", "from a file");
    }
}
