package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.MockMvc;

/** Seed held for covers: never more than there is, by however many at once. */
@ServerTest
class SeedTest {
    private static final String HOLD = "/api/plans/p1/covers/v1/seed?asOf=2026-06-01";

    @Autowired
    MockMvc mvc;

    private Browser us;

    @BeforeEach
    void practice() {
        us = Browser.ofNewPractice(mvc);
        Samples.into(us);
    }

    private void stock(String lot, double kg) {
        for (JsonNode l : us.get("/api/lots").json()) {
            if (l.path("id").asText().equals(lot)) {
                ObjectNode more = l.deepCopy();
                more.putObject("stock").put("value", kg).put("unit", "kg");
                assertThat(us.change("/api/lots/" + lot, l.toString(), more.toString())
                                .status())
                        .isEqualTo(200);
            }
        }
    }

    private JsonNode seed() {
        return us.get("/api/seed").json();
    }

    private double need(String lot) {
        for (JsonNode n : seed().path("needs")) {
            if (n.at("/need/lotId").asText().equals(lot)) {
                return n.at("/need/kilograms").asDouble();
            }
        }
        throw new AssertionError("nobody needs " + lot);
    }

    @Test
    void a_cover_holds_what_it_needs_and_lets_go_of_it() {
        stock("l1", 5000);
        stock("l2", 5000);
        double rye = need("l1");
        assertThat(us.put(HOLD, "").status()).isEqualTo(204);
        JsonNode lot = seed().path("stock").get(0);
        assertThat(lot.path("heldKg").asDouble()).isCloseTo(rye, within(1e-6));
        assertThat(lot.path("freeKg").asDouble()).isCloseTo(5000 - rye, within(1e-6));
        // held once more is no more held
        us.put(HOLD, "");
        assertThat(seed().path("stock").get(0).path("heldKg").asDouble()).isCloseTo(rye, within(1e-6));
        assertThat(us.delete("/api/plans/p1/covers/v1/seed").status()).isEqualTo(204);
        assertThat(seed().path("stock").get(0).path("heldKg").asDouble()).isZero();
    }

    @Test
    void what_is_not_there_is_refused_and_stands_on_the_order_list() {
        stock("l1", 1);
        Browser.Answer answer = us.put(HOLD, "");
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.text()).contains("/lots/l1").contains("are needed");
        assertThat(seed().path("orders").toString()).contains("cereal-rye");
        assertThat(us.get("/api/seed/orders.csv").text()).contains("Cereal rye");
        assertThat(us.get("/api/lots.csv").text()).contains("Cereal rye").contains("stock kg");
    }

    @Test
    void two_plans_at_once_never_hold_the_same_kilogram() throws Exception {
        int many = 6;
        double rye = need("l1");
        stock("l2", 1e6);
        // enough for two of them and a half
        stock("l1", 2.5 * rye);
        for (int i = 2; i <= many; i++) {
            JsonNode copy = Samples.plan().deepCopy();
            ((ObjectNode) copy).put("id", "p" + i);
            assertThat(us.send(
                                    "POST",
                                    "/api/fields/f1/plans",
                                    Browser.JSON
                                            .createObjectNode()
                                            .put("label", "copy " + i)
                                            .<ObjectNode>set("plan", copy)
                                            .toString()
                                            .getBytes(java.nio.charset.StandardCharsets.UTF_8),
                                    org.springframework.http.MediaType.APPLICATION_JSON,
                                    java.util.Map.of(
                                            "X-Request-Id", UUID.randomUUID().toString()))
                            .status())
                    .isEqualTo(201);
        }
        CyclicBarrier together = new CyclicBarrier(many);
        ExecutorService hands = Executors.newFixedThreadPool(many);
        try {
            List<Callable<Integer>> holds = new ArrayList<>();
            for (int i = 1; i <= many; i++) {
                String path = HOLD.replace("p1", "p" + i);
                holds.add(() -> {
                    together.await();
                    return us.put(path, "").status();
                });
            }
            List<Integer> answers = new ArrayList<>();
            for (Future<Integer> f : hands.invokeAll(holds)) {
                answers.add(f.get());
            }
            assertThat(answers).containsOnly(204, 400);
            assertThat(answers.stream().filter(a -> a == 204).count()).isEqualTo(2);
        } finally {
            hands.shutdownNow();
        }
        for (JsonNode lot : seed().path("stock")) {
            assertThat(lot.path("heldKg").asDouble())
                    .isLessThanOrEqualTo(lot.path("stockKg").asDouble() + 1e-6);
        }
    }
}
