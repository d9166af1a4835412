package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** Every save is a revision; undo and redo are saves; nothing is overwritten unseen. */
@ServerTest
class PlanRevisionTest {
    @Autowired
    MockMvc mvc;

    Browser browser;

    @BeforeEach
    void fresh() {
        browser = Browser.ofNewPractice(mvc);
        Samples.into(browser);
    }

    private static String id() {
        return UUID.randomUUID().toString();
    }

    /** The sample with another share of rye. */
    private static JsonNode withShare(double percent) {
        ObjectNode plan = Samples.plan().deepCopy();
        ((ObjectNode) plan.at("/covers/0/mix/components/0")).put("sharePercent", percent);
        return plan;
    }

    private static double share(Browser.Answer saved) {
        return saved.json().at("/plan/covers/0/mix/components/0/sharePercent").asDouble();
    }

    @Test
    void changes_are_taken_back_and_done_again_in_their_order() {
        browser.save(withShare(50), 1, id());
        Browser.Answer second = browser.save(withShare(60), 2, id());
        assertThat(second.json().path("revision").asInt()).isEqualTo(3);
        assertThat(share(browser.step("undo", "p1", 3))).isEqualTo(50);
        Browser.Answer back = browser.step("undo", "p1", 4);
        assertThat(share(back)).isEqualTo(40);
        assertThat(back.json().path("canUndo").asBoolean()).isFalse();
        assertThat(share(browser.step("redo", "p1", 5))).isEqualTo(50);
        Browser.Answer last = browser.step("redo", "p1", 6);
        assertThat(share(last)).isEqualTo(60);
        assertThat(last.json().path("canRedo").asBoolean()).isFalse();
    }

    @Test
    void a_new_change_after_undo_forgets_what_was_undone() {
        browser.save(withShare(50), 1, id());
        browser.step("undo", "p1", 2);
        Browser.Answer fresh = browser.save(withShare(70), 3, id());
        assertThat(fresh.json().path("canRedo").asBoolean()).isFalse();
        assertThat(share(browser.step("undo", "p1", 4))).isEqualTo(40);
    }

    @Test
    void with_nothing_to_take_back_the_plan_stays() {
        Browser.Answer a = browser.step("undo", "p1", 1);
        assertThat(a.status()).isEqualTo(200);
        assertThat(a.json().path("revision").asInt()).isEqualTo(1);
    }

    @Test
    void a_save_over_another_is_a_conflict_and_changes_nothing() {
        browser.save(withShare(50), 1, id());
        Browser.Answer late = browser.save(withShare(90), 1, id());
        assertThat(late.status()).isEqualTo(409);
        assertThat(late.json().path("head").asInt()).isEqualTo(2);
        assertThat(share(browser.get("/api/fields/f1/plan"))).isEqualTo(50);
    }

    @Test
    void a_save_sent_twice_is_taken_once() {
        String request = id();
        browser.save(withShare(50), 1, request);
        Browser.Answer again = browser.save(withShare(50), 1, request);
        assertThat(again.status()).isEqualTo(200);
        assertThat(again.json().path("revision").asInt()).isEqualTo(2);
    }

    @Test
    void a_resend_after_another_saved_answers_what_it_made_not_what_is_there_now() {
        String request = id();
        browser.save(withShare(50), 1, request);
        browser.save(withShare(60), 2, id());
        Browser.Answer again = browser.save(withShare(50), 1, request);
        assertThat(again.json().path("revision").asInt()).isEqualTo(2);
        assertThat(share(again)).isEqualTo(50);
        // so that what comes after it is seen to be in conflict with the other's
        assertThat(browser.save(withShare(55), 2, id()).status()).isEqualTo(409);
    }

    @Test
    void a_save_without_a_change_is_no_revision() {
        assertThat(browser.save(Samples.plan(), 1, id()).json().path("revision").asInt())
                .isEqualTo(1);
    }

    @Test
    void of_many_savers_at_once_one_wins_and_the_others_are_told() throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(6);
        try {
            List<Callable<Integer>> savers = java.util.stream.IntStream.range(0, 6)
                    .<Callable<Integer>>mapToObj(
                            i -> () -> browser.save(withShare(50 + i), 1, id()).status())
                    .toList();
            List<Integer> answers = pool.invokeAll(savers).stream()
                    .map(PlanRevisionTest::value)
                    .sorted()
                    .toList();
            assertThat(answers).containsExactly(200, 409, 409, 409, 409, 409);
        } finally {
            pool.shutdown();
        }
        assertThat(browser.get("/api/fields/f1/plan").json().path("revision").asInt())
                .isEqualTo(2);
    }

    @Test
    void a_field_opened_by_several_at_once_gets_one_plan() throws Exception {
        browser.add(
                "/api/fields/f2",
                "{\"id\":\"f2\",\"farmId\":\"farm1\",\"name\":\"New\",\"area\":{\"value\":3,\"unit\":\"ha\"}}");
        ExecutorService pool = Executors.newFixedThreadPool(6);
        try {
            List<Callable<String>> lookers = java.util.stream.IntStream.range(0, 6)
                    .<Callable<String>>mapToObj(i -> () -> browser.get("/api/fields/f2/plan")
                            .json()
                            .at("/plan/id")
                            .asText())
                    .toList();
            assertThat(pool.invokeAll(lookers).stream()
                            .map(PlanRevisionTest::value)
                            .distinct())
                    .hasSize(1);
        } finally {
            pool.shutdown();
        }
        assertThat(browser.get("/api/fields/f2/plans").json()).hasSize(1);
    }

    private static <T> T value(Future<T> f) {
        try {
            return f.get();
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void a_plan_stays_with_its_field_and_its_address() {
        ObjectNode moved = Samples.plan().deepCopy();
        moved.put("fieldId", "f9");
        assertThat(browser.save(moved, 1, id()).json().at("/problems/0/pointer").asText())
                .isEqualTo("/fieldId");
        Browser.Answer wrong = browser.put(
                "/api/plans/p2", Samples.plan().toString(), java.util.Map.of("If-Match", "1", "X-Request-Id", id()));
        assertThat(wrong.status()).isEqualTo(400);
    }

    @Test
    void who_saved_what_and_when_is_kept() {
        browser.save(withShare(50), 1, id());
        JsonNode history = browser.get("/api/plans/p1/revisions").json();
        assertThat(history.findValuesAsText("kind")).containsExactly("edit", "create");
        assertThat(history.findValuesAsText("author")).containsOnly(browser.email());
        assertThat(history.at("/0/changes/0").asText())
                .isEqualTo("cover before grain corn 2027: cereal rye, share: 40 % → 50 %");
    }

    @Test
    void a_request_without_its_headers_is_told_which() {
        Browser.Answer a = browser.put("/api/plans/p1", Samples.plan().toString());
        assertThat(a.status()).isEqualTo(400);
        Browser.Answer b = browser.put(
                "/api/plans/p1", Samples.plan().toString(), java.util.Map.of("If-Match", "last", "X-Request-Id", id()));
        assertThat(b.json().at("/problems/0/pointer").asText()).isEqualTo("/If-Match");
    }
}
