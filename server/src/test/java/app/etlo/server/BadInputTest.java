package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;

/** Whatever comes in is answered with what is wrong with it, never with a fault of the server. */
@ServerTest
class BadInputTest {
    @Autowired
    MockMvc mvc;

    Browser browser;

    @BeforeEach
    void fresh() {
        browser = Browser.ofNewPractice(mvc);
        Samples.into(browser);
    }

    @Test
    void over_five_megabytes_is_told_plainly() {
        byte[] huge = new byte[5 * 1024 * 1024 + 1];
        java.util.Arrays.fill(huge, (byte) ' ');
        for (String path : List.of("/api/boundaries", "/api/dossiers", "/api/evaluations")) {
            Browser.Answer a = browser.send("POST", path, huge, MediaType.APPLICATION_JSON, java.util.Map.of());
            assertThat(a.status()).as(path).isEqualTo(413);
            assertThat(a.json().path("detail").asText()).contains("over 5 MB");
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "{",
                "null",
                "[]",
                "{\"plan\":null,\"asOf\":\"2026-06-01\"}",
                "{\"plan\":{},\"asOf\":\"2026-06-01\"}",
                "{\"asOf\":\"soon\"}",
                "{\"asOf\":\"2026-06-01\",\"colour\":1}",
                "\u0000",
                "{\"plan\":{\"id\":\"\uD83C\uDF3E\"}}",
            })
    void an_evaluation_that_cannot_be_read_is_refused(String body) {
        Browser.Answer a = browser.post("/api/evaluations", body);
        assertThat(a.status()).as(a.text()).isEqualTo(400);
        assertThat(a.text())
                .doesNotContain("Exception")
                .doesNotContain("app.etlo")
                .doesNotContain("\tat ");
    }

    @Test
    void unknown_addresses_and_methods_are_told_as_such() {
        assertThat(browser.get("/api/nothing").status()).isEqualTo(404);
        assertThat(browser.send("PATCH", "/api/farms", new byte[0], MediaType.APPLICATION_JSON, java.util.Map.of())
                        .status())
                .isEqualTo(405);
        assertThat(browser.get("/api/fields?asOf=yesterday").status()).isEqualTo(400);
        assertThat(browser.get("/api/fields").status()).isEqualTo(400);
        assertThat(browser.send(
                                "POST",
                                "/api/evaluations",
                                "x".getBytes(StandardCharsets.UTF_8),
                                MediaType.TEXT_PLAIN,
                                java.util.Map.of())
                        .status())
                .isEqualTo(415);
    }

    /** Plans, boundaries and lots with a piece changed at random, from fixed seeds. */
    @Test
    void a_thousand_broken_documents_are_answered_with_400_or_taken() {
        Random r = new Random(20260601);
        JsonNode evaluation =
                Browser.JSON.createObjectNode().put("asOf", "2026-06-01").set("plan", Samples.plan());
        List<Integer> seen = new ArrayList<>();
        for (int i = 0; i < 700; i++) {
            JsonNode broken = evaluation.deepCopy();
            for (int k = r.nextInt(3); k >= 0; k--) {
                mutate(broken, r);
            }
            Browser.Answer a = browser.post("/api/evaluations", broken);
            assertThat(a.status()).as(broken.toString() + a.text()).isIn(200, 400, 404);
            seen.add(a.status());
        }
        assertThat(seen).contains(200, 400);
        String text = Samples.dossier();
        for (int i = 0; i < 300; i++) {
            StringBuilder cut = new StringBuilder(text);
            int at = r.nextInt(cut.length());
            cut.replace(at, Math.min(cut.length(), at + r.nextInt(12)), i % 2 == 0 ? "" : "\"},[9e999");
            Browser.Answer a = browser.file("/api/dossiers", cut.toString().getBytes(StandardCharsets.UTF_8));
            assertThat(a.status())
                    .as(cut.substring(Math.max(0, at - 40), Math.min(cut.length(), at + 40)))
                    .isIn(200, 400);
        }
    }

    private static final List<JsonNode> ODD = List.of(
            Browser.JSON.nullNode(),
            Browser.JSON.getNodeFactory().numberNode(-1),
            Browser.JSON.getNodeFactory().numberNode(0),
            Browser.JSON.getNodeFactory().numberNode(1e9),
            Browser.JSON.getNodeFactory().numberNode(1e-9),
            Browser.JSON.getNodeFactory().textNode(""),
            Browser.JSON.getNodeFactory().textNode("ha"),
            Browser.JSON.getNodeFactory().textNode("2026-02-29"),
            Browser.JSON.getNodeFactory().booleanNode(true),
            Browser.JSON.createArrayNode(),
            Browser.JSON.createObjectNode());

    /** Puts something odd somewhere, or takes something out. */
    private static void mutate(JsonNode node, Random r) {
        JsonNode at = node;
        while (true) {
            int n = at.size();
            if (n == 0) {
                return;
            }
            int k = r.nextInt(n);
            JsonNode child;
            if (at instanceof ObjectNode o) {
                String name = new ArrayList<>(iterable(o)).get(k);
                child = o.get(name);
                if (!child.isContainerNode() || r.nextInt(4) == 0) {
                    if (r.nextInt(4) == 0) {
                        o.remove(name);
                    } else {
                        o.set(name, ODD.get(r.nextInt(ODD.size())));
                    }
                    return;
                }
            } else {
                ArrayNode a = (ArrayNode) at;
                child = a.get(k);
                if (!child.isContainerNode() || r.nextInt(4) == 0) {
                    if (r.nextBoolean()) {
                        a.remove(k);
                    } else {
                        a.add(child.deepCopy());
                    }
                    return;
                }
            }
            at = child;
        }
    }

    private static List<String> iterable(ObjectNode o) {
        List<String> names = new ArrayList<>();
        o.fieldNames().forEachRemaining(names::add);
        return names;
    }
}
