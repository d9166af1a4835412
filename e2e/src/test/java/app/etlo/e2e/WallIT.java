package app.etlo.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.testkit.Visitor;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** The wall of the running product, attacked over the socket: every endpoint in every spelling, and bodies that never end. */
class WallIT {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final String PASSWORD = "correct horse";
    private static final Set<String> OPEN = Set.of(
            "GET /api/session",
            "POST /api/session",
            "DELETE /api/session",
            "POST /api/practices",
            "POST /api/resets",
            "POST /api/resets/used",
            "POST /api/invitations/opened",
            "POST /api/invitations/accepted",
            "GET /api/formats/plan.schema.json");
    private static final Set<String> ADVISERS = Set.of(
            "POST /api/invitations",
            "DELETE /api/invitations/{invitationId}",
            "PUT /api/people/{personId}/role",
            "DELETE /api/people/{personId}",
            "DELETE /api/lots/{lotId}",
            "DELETE /api/weather/{weatherId}",
            "DELETE /api/plans/{planId}",
            "DELETE /api/kept-mixes/{mixId}");

    private static Product product;

    @BeforeAll
    static void start() throws Exception {
        product = Product.fresh();
        product.start();
    }

    @AfterAll
    static void stop() throws Exception {
        product.close();
    }

    /** One address, spelled in all the ways that a router might read as the same. */
    static List<String> spellings(String path) {
        List<String> found = new ArrayList<>();
        String[] parts = path.substring(1).split("/");
        for (int i = 0; i < parts.length; i++) {
            String[] encoded = parts.clone();
            encoded[i] = encoded(parts[i], 1);
            found.add("/" + String.join("/", encoded));
        }
        String all = Stream.of(parts).map(p -> encoded(p, p.length())).collect(Collectors.joining("/", "/", ""));
        found.add(all);
        found.add(all.toLowerCase(Locale.ROOT));
        found.add(all.replace("%", "%25"));
        found.add(path.toUpperCase(Locale.ROOT));
        found.add(path.replaceFirst("/api", "/Api"));
        found.add("/" + path);
        found.add(path.replaceFirst("/api/", "/api//"));
        found.add(path.replaceFirst("/api/", "/api;x=1/"));
        found.add(path + ";x=1");
        found.add(path + "/");
        found.add(path + "/.");
        found.add("/." + path);
        found.add("/fields/.." + path);
        found.add("/fields/%2e%2e" + path);
        found.add("/%2e" + path);
        found.add("/assets/../" + path.substring(1));
        found.add(path.replaceFirst("/api/", "/api%2f"));
        found.add(path.replaceFirst("/api/", "/api%5c"));
        found.add(path.replaceFirst("/api/", "/api\\\\"));
        found.add(path + "%00");
        found.add(path + "%20");
        found.add(path + ".json");
        found.add("http://127.0.0.1" + path);
        return found;
    }

    private static String encoded(String word, int letters) {
        StringBuilder out = new StringBuilder();
        for (int i = 0; i < word.length(); i++) {
            out.append(i < letters ? String.format("%%%02X", (int) word.charAt(i)) : word.charAt(i));
        }
        return out.toString();
    }

    private static List<String> endpoints(Visitor here) throws Exception {
        List<String> found = new ArrayList<>();
        JsonNode paths = JSON.readTree(here.get("/v3/api-docs").ok()).path("paths");
        paths.fields()
                .forEachRemaining(p -> p.getValue()
                        .fieldNames()
                        .forEachRemaining(m -> found.add(m.toUpperCase(Locale.ROOT) + " " + p.getKey())));
        return found;
    }

    private static int call(String method, String path, Map<String, String> headers, String body) throws Exception {
        try (Raw raw = new Raw(product.url())) {
            byte[] bytes = body.getBytes(StandardCharsets.UTF_8);
            raw.send(method, path, headers, bytes.length, bytes);
            return raw.status();
        }
    }

    private static String filled(String endpoint, long person) {
        return endpoint.replace("{personId}", String.valueOf(person)).replaceAll("\\{\\w+}", "x1");
    }

    @Test
    void no_spelling_of_any_endpoint_answers_nobody_or_lets_an_assistant_do_what_is_the_advisers() throws Exception {
        Visitor owner = product.practice(UUID.randomUUID() + "@example.org", PASSWORD);
        Map<String, String> nobody = headers(product.visitor());
        Visitor helper = product.visitor();
        String token = JSON.readTree(owner.post("/api/invitations", "{\"role\":\"assistant\"}")
                        .ok())
                .path("token")
                .asText();
        helper.post(
                        "/api/invitations/accepted",
                        "{\"token\":\"" + token + "\",\"name\":\"H\",\"email\":\"" + UUID.randomUUID()
                                + "@example.org\",\"password\":\"" + PASSWORD + "\"}")
                .ok();
        Map<String, String> assistant = headers(helper);
        JsonNode people = JSON.readTree(helper.get("/api/people").ok());
        long own = people.path("you").asLong();
        List<String> through = new ArrayList<>();
        int tried = 0;
        for (String endpoint : endpoints(owner)) {
            String method = endpoint.substring(0, endpoint.indexOf(' '));
            String path = filled(endpoint.substring(endpoint.indexOf(' ') + 1), own);
            String body = method.equals("GET") ? "" : "{\"role\":\"adviser\"}";
            for (String spelled : spellings(path)) {
                if (!OPEN.contains(endpoint) && isThrough(call(method, spelled, nobody, body), spelled, method)) {
                    through.add("nobody: " + method + " " + spelled);
                }
                if (ADVISERS.contains(endpoint) && isThrough(call(method, spelled, assistant, body), spelled, method)) {
                    through.add("assistant: " + method + " " + spelled);
                }
                tried++;
            }
        }
        assertThat(through).isEmpty();
        assertThat(tried).isGreaterThan(1500);
        assertThat(JSON.readTree(owner.get("/api/people").ok())).isEqualTo(withYou(people, owner));
    }

    /** The page of the application answers unknown addresses under /fields and the like; anything else of success is a leak. */
    private static boolean isThrough(int status, String spelled, String method) {
        boolean page = method.equals("GET") && spelled.startsWith("/fields/");
        return status >= 200 && status < 300 && !page || status >= 500;
    }

    private static JsonNode withYou(JsonNode people, Visitor owner) throws Exception {
        com.fasterxml.jackson.databind.node.ObjectNode seen = people.deepCopy();
        seen.set("you", JSON.readTree(owner.get("/api/people").ok()).path("you"));
        return seen;
    }

    private static Map<String, String> headers(Visitor v) {
        Map<String, String> headers = new LinkedHashMap<>();
        headers.put("Content-Type", "application/json");
        headers.put("Cookie", v.cookie());
        headers.put("X-XSRF-TOKEN", v.token());
        headers.put("If-Match", "1");
        headers.put("X-Request-Id", "0123456789");
        return headers;
    }

    @Test
    void bodies_and_the_log_are_bounded_in_every_spelling() throws Exception {
        Visitor v = product.visitor();
        String big = "{\"email\":\"" + "a".repeat(20_000) + "\",\"password\":\"x\"}";
        assertThat(call("POST", "/api/session", headers(v), big)).isEqualTo(413);
        assertThat(call("POST", "/%61pi/session", headers(v), big)).isEqualTo(413);
        String id = UUID.randomUUID().toString();
        Map<String, String> headers = headers(v);
        headers.put("X-Request-Id", id);
        assertThat(call("POST", "/%61pi/%73ession", headers, "{\"email\":\"a@b.example\",\"password\":\"x\"}"))
                .isEqualTo(401);
        // the line is written once the answer is out
        Awaitility.await()
                .untilAsserted(() -> assertThat(product.log()
                                .lines()
                                .filter(l -> l.contains(id) && l.contains("\"message\":\"request\"")))
                        .singleElement()
                        .satisfies(l -> assertThat(l).contains("\"/api/session\"")));
    }

    @Test
    void a_body_nobody_may_send_is_not_waited_for() throws Exception {
        Map<String, String> none = Map.of("Content-Type", "application/json");
        try (Raw token = new Raw(product.url());
                Raw form = new Raw(product.url());
                Raw signedOut = new Raw(product.url())) {
            // no token against forgery, a form, and nobody signed in: of none a byte of the body is there
            token.send("POST", "/api/practices", none, 1000, new byte[0]);
            assertThat(token.status()).isEqualTo(403);
            form.send(
                    "POST",
                    "/api/session",
                    Map.of("Content-Type", "application/x-www-form-urlencoded"),
                    1000,
                    new byte[0]);
            assertThat(form.status()).isEqualTo(415);
            signedOut.send("POST", "/api/boundaries", headers(product.visitor()), 4_500_000, new byte[0]);
            assertThat(signedOut.status()).isEqualTo(401);
        }
    }

    @Test
    void more_slow_bodies_than_there_are_threads_block_nobody() throws Exception {
        Visitor visitor = product.practice(UUID.randomUUID() + "@example.org", PASSWORD);
        Visitor stranger = product.visitor();
        List<Raw> open = new ArrayList<>();
        try {
            for (int i = 0; i < 260; i++) {
                Raw raw = new Raw(product.url());
                open.add(raw);
                boolean inside = i % 2 == 0;
                raw.send(
                        "POST",
                        inside ? "/api/evaluations" : "/api/session",
                        headers(inside ? visitor : stranger),
                        inside ? 4_500_000 : 4_000,
                        "{".getBytes(StandardCharsets.UTF_8));
            }
            for (int round = 0; round < 3; round++) {
                for (Raw raw : open) {
                    trickle(raw);
                }
                assertThat(visitor.get("/api/farms").status()).isEqualTo(200);
            }
            assertThat(visitor.put(
                                    "/api/farms/slow",
                                    "{\"mine\":{\"id\":\"slow\",\"name\":\"S\",\"units\":\"us\",\"currency\":\"USD\"}}")
                            .status())
                    .as("a body that is all there: taken, or asked for again in a moment")
                    .isIn(200, 503);
        } finally {
            for (Raw raw : open) {
                raw.close();
            }
        }
        assertThat(visitor.put(
                                "/api/farms/after",
                                "{\"mine\":{\"id\":\"after\",\"name\":\"A\",\"units\":\"us\",\"currency\":\"USD\"}}")
                        .status())
                .isEqualTo(200);
    }

    private static void trickle(Raw raw) {
        try {
            raw.more(" ".getBytes(StandardCharsets.UTF_8));
        } catch (java.io.IOException refused) {
            // refused before: that is the point
            return;
        }
    }

    @Test
    void forty_large_bodies_held_open_at_once_leave_the_memory_to_others() throws Exception {
        Visitor visitor = product.practice(UUID.randomUUID() + "@example.org", PASSWORD);
        Map<String, String> headers = headers(visitor);
        headers.put("Content-Type", "application/octet-stream");
        byte[] most = new byte[4_499_999];
        java.util.Arrays.fill(most, (byte) ' ');
        List<Raw> open = new ArrayList<>();
        try {
            int refused = 0;
            for (int i = 0; i < 40; i++) {
                Raw raw = new Raw(product.url());
                open.add(raw);
                try {
                    raw.send("POST", "/api/dossiers", headers, 4_500_000, most);
                } catch (java.io.IOException closed) {
                    refused++;
                }
            }
            assertThat(visitor.get("/api/farms").status()).isEqualTo(200);
            assertThat(refused).as("the server closes what it does not take").isPositive();
        } finally {
            for (Raw raw : open) {
                raw.close();
            }
        }
    }

    @Test
    void only_a_named_proxy_is_believed_and_no_header_makes_a_stranger_local() throws Exception {
        Map<String, String> claim = Map.of("X-Forwarded-For", "127.0.0.1");
        assertThat(call("GET", "/actuator/health", claim, "")).isIn(401, 403);
        assertThat(call("GET", "/%61ctuator/health", claim, "")).isIn(401, 403, 404);
        assertThat(call("GET", "/v3/api-docs", claim, "")).isIn(401, 403);
        assertThat(call("GET", "/v3/%61pi-docs", claim, "")).isIn(401, 403);
        assertThat(call("GET", "/actuator/health", Map.of(), "")).isEqualTo(200);
        assertThat(call("GET", "/error", Map.of(), "")).isEqualTo(404);
    }
}
