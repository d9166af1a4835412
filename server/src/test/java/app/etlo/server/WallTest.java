package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;

/** No practice sees another's rows, and nobody sees any without signing in. */
@ServerTest
class WallTest {
    /** Endpoints that belong to no practice. */
    private static final Set<String> OPEN = Set.of(
            "GET /api/session",
            "POST /api/session",
            "DELETE /api/session",
            "POST /api/practices",
            "GET /api/formats/plan.schema.json");
    /** Endpoints without an id in their path, whose body or answer is the practice's own. */
    private static final Set<String> OWN = Set.of(
            "GET /api/farms",
            "GET /api/fields",
            "GET /api/lots",
            "GET /api/knowledge",
            "POST /api/boundaries",
            "POST /api/dossiers",
            "POST /api/evaluations",
            "POST /api/workings");

    @Autowired
    MockMvc mvc;

    private record Endpoint(String method, String path) {
        @Override
        public String toString() {
            return method + " " + path;
        }
    }

    private List<Endpoint> endpoints() {
        List<Endpoint> found = new ArrayList<>();
        JsonNode paths = new Browser(mvc).get("/v3/api-docs").json().path("paths");
        paths.fields()
                .forEachRemaining(p -> p.getValue()
                        .fieldNames()
                        .forEachRemaining(
                                m -> found.add(new Endpoint(m.toUpperCase(java.util.Locale.ROOT), p.getKey()))));
        return found;
    }

    private static String withIds(String path) {
        return path.replace("{fieldId}", "f1")
                .replace("{planId}", "p1")
                .replace("/farms/{id}", "/farms/farm1")
                .replace("/fields/{id}", "/fields/f1")
                .replace("/lots/{id}", "/lots/l1");
    }

    private static byte[] body(Endpoint e) {
        if (e.path().endsWith("/pdf")) {
            return "{\"asOf\":\"2026-06-01\"}".getBytes(java.nio.charset.StandardCharsets.UTF_8);
        }
        if (e.path().equals("/api/plans/{planId}") && e.method().equals("PUT")) {
            return Samples.plan().toString().getBytes(java.nio.charset.StandardCharsets.UTF_8);
        }
        return e.method().equals("GET") ? null : new byte[0];
    }

    private static final Map<String, String> HEADERS = Map.of("If-Match", "1", "X-Request-Id", "0123456789");

    @Test
    void nobody_gets_anything_without_signing_in() {
        Browser stranger = new Browser(mvc);
        stranger.get("/api/session");
        for (Endpoint e : endpoints()) {
            if (!OPEN.contains(e.toString())) {
                assertThat(stranger.send(e.method(), withIds(e.path()), body(e), MediaType.APPLICATION_JSON, HEADERS)
                                .status())
                        .as(e.toString())
                        .isEqualTo(401);
            }
        }
    }

    @Test
    void another_practices_ids_are_not_there() {
        Samples.into(Browser.ofNewPractice(mvc));
        Browser other = Browser.ofNewPractice(mvc);
        int tried = 0;
        for (Endpoint e : endpoints()) {
            // putting a farm, field or lot of an id the practice does not have makes its own
            boolean makes = e.method().equals("PUT") && !e.path().contains("/plans/");
            if (!OPEN.contains(e.toString()) && !OWN.contains(e.toString()) && !makes) {
                assertThat(other.send(e.method(), withIds(e.path()), body(e), MediaType.APPLICATION_JSON, HEADERS)
                                .status())
                        .as(e.toString())
                        .isEqualTo(404);
                tried++;
            }
        }
        assertThat(tried).isGreaterThanOrEqualTo(7);
        for (String list : List.of("/api/farms", "/api/lots", "/api/fields?asOf=2026-06-01")) {
            assertThat(other.get(list).json()).as(list).isEmpty();
        }
    }

    @Test
    void a_plan_for_another_practices_field_is_not_evaluated() {
        Samples.into(Browser.ofNewPractice(mvc));
        Browser other = Browser.ofNewPractice(mvc);
        JsonNode ask = Browser.JSON.createObjectNode().put("asOf", "2026-06-01").set("plan", Samples.plan());
        assertThat(other.post("/api/evaluations", ask).status()).isEqualTo(404);
    }

    @Test
    void two_practices_may_have_things_of_one_id() {
        Browser one = Browser.ofNewPractice(mvc);
        Browser two = Browser.ofNewPractice(mvc);
        Samples.into(one);
        Samples.into(two);
        one.put("/api/farms/farm1", "{\"id\":\"farm1\",\"name\":\"Mine\",\"units\":\"us\",\"currency\":\"USD\"}");
        assertThat(two.get("/api/farms").json().get(0).path("name").asText()).isEqualTo("Thornlea");
        assertThat(one.get("/api/farms").json().get(0).path("name").asText()).isEqualTo("Mine");
        // a request id of one practice is free in the other
        String id = UUID.randomUUID().toString();
        assertThat(one.save(Samples.plan(), 1, id).status()).isEqualTo(200);
        assertThat(two.save(Samples.plan(), 1, id).status()).isEqualTo(200);
    }

    @Test
    void every_endpoint_is_known_to_this_test() {
        assertThat(endpoints())
                .allSatisfy(e -> assertThat(OPEN.contains(e.toString())
                                || OWN.contains(e.toString())
                                || e.path().contains("{"))
                        .as(e + " needs a rule here")
                        .isTrue());
    }
}
