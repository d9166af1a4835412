package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;

/** Two who do the same in the same moment, and one who sends the same again. */
@ServerTest
class AtOnceTest {
    private static final int ROUNDS = 8;

    @Autowired
    MockMvc mvc;

    @Autowired
    JdbcClient jdbc;

    Browser one;
    Browser two;

    @BeforeEach
    void a_practice_of_two() {
        one = Browser.ofNewPractice(mvc);
        Samples.into(one);
        two = one.invites("adviser");
    }

    private static List<Integer> atOnce(List<Callable<Browser.Answer>> calls) throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(calls.size());
        try {
            List<Integer> statuses = new ArrayList<>();
            for (Future<Browser.Answer> f : pool.invokeAll(calls)) {
                statuses.add(f.get().status());
            }
            return statuses;
        } finally {
            pool.shutdownNow();
        }
    }

    private static Browser.Answer send(Browser who, String path, String body, String requestId) {
        return who.send(
                "POST",
                path,
                body.getBytes(StandardCharsets.UTF_8),
                MediaType.APPLICATION_JSON,
                Map.of("X-Request-Id", requestId));
    }

    private static JsonNode copyOf(String id) {
        return ((ObjectNode) Samples.plan().deepCopy()).put("id", id);
    }

    private void copy(String id) {
        assertThat(send(
                                one,
                                "/api/fields/f1/plans",
                                "{\"label\":\"" + id + "\",\"plan\":" + copyOf(id) + "}",
                                UUID.randomUUID().toString())
                        .status())
                .isEqualTo(201);
    }

    private List<String> current() {
        List<String> found = new ArrayList<>();
        one.get("/api/fields/f1/plans").json().forEach(p -> {
            if (p.path("current").asBoolean()) {
                found.add(p.path("id").asText());
            }
        });
        return found;
    }

    @Test
    void two_plans_made_current_at_once_leave_one() throws Exception {
        copy("p2");
        for (int i = 0; i < ROUNDS; i++) {
            assertThat(atOnce(List.of(
                            () -> send(one, "/api/plans/p1/current", "", "x"),
                            () -> send(two, "/api/plans/p2/current", "", "x"))))
                    .allMatch(s -> s == 200 || s == 409);
            assertThat(current()).hasSize(1);
        }
    }

    @Test
    void the_database_itself_keeps_one_plan_current() {
        long field = jdbc.sql("select workspace_id from adviser where email = ?")
                .param(one.email())
                .query(Long.class)
                .single();
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> app.etlo.server.account.Workspace.acting(
                        field,
                        () -> jdbc.sql("update plan set is_current = false").update()))
                .hasMessageContaining("has one of its own");
        assertThat(current()).containsExactly("p1");
    }

    @Test
    void the_last_plan_cannot_be_deleted_while_another_becomes_current() throws Exception {
        for (int i = 0; i < ROUNDS; i++) {
            String id = "p" + (10 + i);
            copy(id);
            atOnce(List.of(
                    () -> send(one, "/api/plans/" + id + "/current", "", "x"), () -> two.delete("/api/plans/" + id)));
            assertThat(current()).hasSize(1);
        }
    }

    @Test
    void a_rotation_sent_twice_to_an_opened_empty_field_makes_one_plan() {
        assertThat(one.add(
                                "/api/fields/f2",
                                "{\"id\":\"f2\",\"farmId\":\"farm1\",\"name\":\"Two\",\"area\":{\"value\":3,\"unit\":\"ha\"}}")
                        .status())
                .isEqualTo(200);
        one.get("/api/fields/f2/plan");
        String request = UUID.randomUUID().toString();
        String first = send(one, "/api/plans/p1/fields", "{\"fieldIds\":[\"f2\"]}", request)
                .text();
        String again = send(one, "/api/plans/p1/fields", "{\"fieldIds\":[\"f2\"]}", request)
                .text();
        assertThat(again).isEqualTo(first);
        assertThat(one.get("/api/fields/f2/plans").json()).hasSize(1);
    }

    @Test
    void a_request_id_used_for_another_plan_or_another_content_is_refused() {
        copy("p2");
        String request = UUID.randomUUID().toString();
        ObjectNode mine = Samples.plan().deepCopy();
        mine.put("name", "first");
        assertThat(one.save(mine, 1, request).status()).isEqualTo(200);
        assertThat(one.save(mine, 1, request).status()).as("a resend").isEqualTo(200);
        JsonNode other = ((ObjectNode) copyOf("p2")).put("name", "elsewhere");
        Browser.Answer elsewhere = one.save(other, 1, request);
        assertThat(elsewhere.status()).isEqualTo(400);
        assertThat(elsewhere.json().at("/problems/0/pointer").asText()).isEqualTo("/X-Request-Id");
        assertThat(one.save(mine.deepCopy().put("name", "second"), 2, request).status())
                .isEqualTo(400);
        // nothing is lost: under an id of its own each goes through
        assertThat(one.save(other, 1, UUID.randomUUID().toString()).status()).isEqualTo(200);
        assertThat(one.get("/api/plans/p2").json().at("/plan/name").asText()).isEqualTo("elsewhere");
        assertThat(one.get("/api/plans/p1").json().at("/plan/name").asText()).isEqualTo("first");
    }

    @Test
    void a_copy_deleted_gives_its_seed_back() {
        copy("p2");
        one.get("/api/lots").json().forEach(lot -> {
            ObjectNode more = lot.deepCopy();
            more.putObject("stock").put("value", 5000).put("unit", "kg");
            one.change("/api/lots/" + lot.path("id").asText(), lot.toString(), more.toString());
        });
        String hold = "/api/plans/p2/covers/v1/seed?asOf=2026-06-01";
        assertThat(one.put(hold, "").status()).isEqualTo(204);
        assertThat(held()).isPositive();
        assertThat(one.delete("/api/plans/p2").status()).isEqualTo(204);
        assertThat(held()).isZero();
    }

    private double held() {
        double kg = 0;
        for (JsonNode s : one.get("/api/seed").json().path("stock")) {
            kg += s.path("heldKg").asDouble();
        }
        return kg;
    }

    @Test
    void the_first_saves_of_one_mix_and_the_last_of_one_lot_at_once_are_no_faults() throws Exception {
        JsonNode mix = Samples.plan().at("/covers/0/mix");
        for (int i = 0; i < ROUNDS; i++) {
            String id = "m" + i;
            String body = "{\"id\":\"" + id + "\",\"name\":\"ours\",\"mix\":" + mix + "}";
            assertThat(atOnce(List.of(
                            () -> one.put("/api/kept-mixes/" + id, body),
                            () -> two.put("/api/kept-mixes/" + id, body))))
                    .containsOnly(204);
            String lot = "lot" + i;
            JsonNode sample = one.get("/api/lots").json().get(0);
            assertThat(one.add(
                                    "/api/lots/" + lot,
                                    ((ObjectNode) sample.deepCopy())
                                            .put("id", lot)
                                            .toString())
                            .status())
                    .isEqualTo(200);
            assertThat(atOnce(List.of(() -> one.delete("/api/lots/" + lot), () -> two.delete("/api/lots/" + lot))))
                    .containsExactlyInAnyOrder(204, 404);
            String farm = "farm-at-once-" + i;
            String made = "{\"id\":\"" + farm + "\",\"name\":\"F\",\"units\":\"us\",\"currency\":\"USD\"}";
            assertThat(atOnce(List.of(
                            () -> one.add("/api/farms/" + farm, made), () -> two.add("/api/farms/" + farm, made))))
                    .allMatch(s -> s == 200 || s == 409);
        }
    }
}
