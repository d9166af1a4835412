package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.etlo.server.access.Access;
import app.etlo.server.limits.Limited;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** No practice sees another's rows, and nobody sees any without signing in. */
@ServerTest
class WallTest {
    /** Endpoints that ask nobody who they are. */
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
    /** Endpoints whose address names nothing: body and answer are the practice's own. */
    private static final Set<String> OWN = Set.of(
            "GET /api/farms",
            "GET /api/fields",
            "GET /api/field-sections",
            "GET /api/field-turns",
            "GET /api/refresh",
            "POST /api/formats/plan",
            "GET /api/lots",
            "GET /api/lots.csv",
            "GET /api/seed",
            "GET /api/seed/orders.csv",
            "GET /api/knowledge",
            "GET /api/species",
            "GET /api/calibrations",
            "GET /api/kept-mixes",
            "PUT /api/kept-mixes/{mixId}",
            "POST /api/calibrations/results",
            "PUT /api/calibrations/{catchId}",
            "PUT /api/species/{speciesId}/cells/{columnId}",
            "DELETE /api/species/{speciesId}/cells/{columnId}",
            "GET /api/species/{speciesId}/corrections",
            "GET /api/people",
            "PUT /api/me/name",
            "PUT /api/me/units",
            "PUT /api/practice/zone",
            "PUT /api/me/password",
            "DELETE /api/me/sessions",
            "POST /api/invitations",
            "POST /api/boundaries",
            "POST /api/soil-tests/tables",
            "GET /api/weather",
            "POST /api/weather",
            "POST /api/weather/previews",
            "POST /api/covers/latest",
            "POST /api/mixes/candidates",
            "POST /api/mixes/aims",
            "POST /api/mixes/buys",
            "POST /api/covers/ways",
            "POST /api/covers/end-dates",
            "POST /api/covers/end-dates/workbook",
            "POST /api/covers/end-schools",
            "POST /api/mixes/alternatives",
            "POST /api/mixes/proposals",
            "POST /api/mixes/frontier",
            "POST /api/windows/proposals",
            "POST /api/windows/species",
            "POST /api/rotations/repeated",
            "POST /api/lots/tables",
            "POST /api/dossiers",
            "POST /api/evaluations",
            "POST /api/workings",
            "POST /api/sensitivities",
            "POST /api/ground/days",
            "POST /api/replays/years",
            "POST /api/replays/days",
            "POST /api/replays/ends",
            "POST /api/replays/other-days");
    /** Endpoints that an assistant may not use. */
    private static final Set<String> ADVISERS = Set.of(
            "POST /api/invitations",
            "DELETE /api/invitations/{invitationId}",
            "PUT /api/people/{personId}/role",
            "DELETE /api/people/{personId}",
            "PUT /api/practice/zone",
            "DELETE /api/lots/{lotId}",
            "DELETE /api/weather/{weatherId}",
            "DELETE /api/plans/{planId}",
            "DELETE /api/kept-mixes/{mixId}");

    @Autowired
    MockMvc mvc;

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    RequestMappingHandlerMapping handlers;

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

    /** The address of an endpoint with the ids of one practice in it. */
    private String withIds(String path, Browser owner) {
        JsonNode people = owner.get("/api/people").json();
        return path.replace("{fieldId}", "f1")
                .replace("{planId}", "p1")
                .replace("{farmId}", "farm1")
                .replace("{lotId}", "l1")
                .replace("{weatherId}", weather(owner))
                .replace("{coverId}/seed", "v1/seed?asOf=2026-06-01")
                .replace("{speciesId}", "cereal-rye")
                .replace("{catchId}", "k1")
                .replace("{ref}", "e1")
                .replace("{mixId}", "m1")
                .replace("{columnId}", "heightM")
                .replace("{kind}", "field")
                .replace("{documentId}", "f1")
                .replace("{number}", "1")
                .replace(
                        "{saveId}",
                        owner.get("/api/history/field/f1").json().at("/0/id").asText())
                .replace("{personId}", people.path("you").asText())
                .replace(
                        "{invitationId}",
                        people.path("invitations").isEmpty()
                                ? owner.post("/api/invitations", "{\"role\":\"assistant\"}")
                                        .json()
                                        .path("id")
                                        .asText()
                                : people.at("/invitations/0/id").asText())
                .concat(
                        path.endsWith("/merge")
                                ? "?base=1"
                                : path.endsWith("/climate")
                                        ? "?asOf=2026-06-01"
                                        : path.endsWith("{weatherId}")
                                                ? "?asOf=2026-06-01&units=metric"
                                                : path.endsWith("/compared")
                                                        ? "?asOf=2026-06-01&plan=p1"
                                                        : path.endsWith("/field-sections") ? "?field=f1" : "");
    }

    private static String weather(Browser owner) {
        return owner.get("/api/weather").json().at("/series/0/id").asText();
    }

    private static byte[] body(Endpoint e) {
        String body = "";
        if (e.path().endsWith("/pdf")) {
            body = "{\"asOf\":\"2026-06-01\"}";
        } else if (e.path().equals("/api/plans/{planId}") && e.method().equals("PUT")
                || e.path().endsWith("/merge")) {
            body = Samples.plan().toString();
        } else if (e.path().endsWith("/fields")) {
            body = "{\"fieldIds\":[\"f2\"]}";
        } else if (e.path().endsWith("/plans")) {
            body = "{\"label\":\"a copy\",\"plan\":" + Samples.plan() + "}";
        } else if (e.path().endsWith("/log/{ref}")) {
            body = LogTest.kill("2026-05-30", 40);
        } else if (e.path().endsWith("/zone")) {
            body = "{\"zone\":\"Europe/London\"}";
        } else if (e.path().endsWith("/role") || e.path().equals("/api/invitations")) {
            body = "{\"role\":\"assistant\"}";
        }
        return e.method().equals("GET") ? null : body.getBytes(java.nio.charset.StandardCharsets.UTF_8);
    }

    private static final Map<String, String> HEADERS = Map.of("If-Match", "1", "X-Request-Id", "0123456789");

    private Browser practice() {
        Browser b = Browser.ofNewPractice(mvc);
        Samples.into(b);
        Samples.weatherInto(b);
        return b;
    }

    private int call(Browser who, Endpoint e, Browser owner) {
        MediaType type = e.path().matches("/api/(dossiers|lots/tables|soil-tests/tables|weather|weather/previews)")
                ? MediaType.APPLICATION_OCTET_STREAM
                : MediaType.APPLICATION_JSON;
        return who.send(e.method(), withIds(e.path(), owner), body(e), type, HEADERS)
                .status();
    }

    @Test
    void nobody_gets_anything_without_signing_in() {
        Browser owner = practice();
        Browser stranger = new Browser(mvc);
        stranger.get("/api/session");
        for (Endpoint e : endpoints()) {
            if (!OPEN.contains(e.toString())) {
                assertThat(call(stranger, e, owner)).as(e.toString()).isEqualTo(401);
            }
        }
    }

    @Test
    void another_practices_ids_are_not_there() {
        Browser owner = practice();
        Browser other = Browser.ofNewPractice(mvc);
        int tried = 0;
        for (Endpoint e : endpoints()) {
            // putting a farm, field or lot of an id the practice does not have makes its own
            boolean makes = e.method().equals("PUT") && e.path().matches("/api/(farms|fields|lots)/\\{\\w+}");
            if (!OPEN.contains(e.toString()) && !OWN.contains(e.toString()) && !makes) {
                assertThat(call(other, e, owner)).as(e.toString()).isEqualTo(404);
                tried++;
            }
        }
        assertThat(tried).isGreaterThanOrEqualTo(18);
        assertThat(other.get("/api/fields").json().path("fields")).isEmpty();
        assertThat(other.get("/api/field-sections?field=f1").json()).isEmpty();
        assertThat(other.get("/api/weather").json().path("series")).isEmpty();
        for (String list : List.of("/api/farms", "/api/lots")) {
            assertThat(other.get(list).json()).as(list).isEmpty();
        }
        assertThat(other.get("/api/people").json().path("people")).hasSize(1);
        // and everything of the owner is as it was
        assertThat(owner.get("/api/plans/p1").json().path("revision").asInt()).isEqualTo(1);
        assertThat(owner.get("/api/people").json().at("/people/0/role").asText())
                .isEqualTo("adviser");
    }

    @Test
    void an_assistant_is_refused_what_is_the_advisers_and_nothing_else() {
        Browser owner = practice();
        Browser assistant = owner.invites("assistant");
        for (Endpoint e : endpoints()) {
            if (e.toString().equals("DELETE /api/session") || e.toString().equals("DELETE /api/me/sessions")) {
                continue; // would sign the assistant out
            }
            int status = call(assistant, e, owner);
            if (ADVISERS.contains(e.toString())) {
                assertThat(status).as(e.toString()).isEqualTo(403);
            } else {
                assertThat(status).as(e.toString()).isNotIn(401, 403, 500);
            }
        }
        assertThat(owner.get("/api/lots").json()).hasSize(2);
    }

    @Test
    void every_endpoint_says_who_may_call_it() {
        assertThat(handlers.getHandlerMethods()).allSatisfy((mapping, method) -> {
            if (mapping.getPatternValues().stream().anyMatch(p -> p.startsWith("/api/"))) {
                assertThat(method.getMethodAnnotation(Access.class))
                        .as(method + " needs @Access, or nobody may call it")
                        .isNotNull();
            }
        });
    }

    @Test
    void a_person_taken_out_is_out_at_once() {
        Browser owner = practice();
        Browser assistant = owner.invites("assistant");
        String id = owner.get("/api/people").json().at("/people/1/id").asText();
        assertThat(assistant.get("/api/farms").status()).isEqualTo(200);
        assertThat(owner.delete("/api/people/" + id).status()).isEqualTo(204);
        assertThat(assistant.get("/api/farms").status()).isEqualTo(401);
        assertThat(assistant.get("/api/session").json().path("signedIn").asBoolean())
                .isFalse();
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
        String farm = one.get("/api/farms").json().get(0).toString();
        one.change(
                "/api/farms/farm1", farm, "{\"id\":\"farm1\",\"name\":\"Mine\",\"units\":\"us\",\"currency\":\"USD\"}");
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

    /** What strangers can use up without a password is counted apart from signing in. */
    @Test
    void links_and_new_accounts_have_measures_of_their_own() {
        Map<String, Limited.Kind> found = new java.util.TreeMap<>();
        handlers.getHandlerMethods().forEach((where, handler) -> {
            Limited limited = handler.getMethodAnnotation(Limited.class);
            String path = where.getPathPatternsCondition() == null
                    ? ""
                    : where.getPathPatternsCondition()
                            .getPatternValues()
                            .iterator()
                            .next();
            if (path.matches("/api/(session|practices|invitations/\\w+|resets.*)") && limited != null) {
                found.put(path, limited.value());
            }
        });
        assertThat(found)
                .isEqualTo(Map.of(
                        "/api/session", Limited.Kind.ENTRANCE,
                        "/api/practices", Limited.Kind.JOINING,
                        "/api/invitations/accepted", Limited.Kind.JOINING,
                        "/api/invitations/opened", Limited.Kind.LINK,
                        "/api/resets", Limited.Kind.LINK,
                        "/api/resets/used", Limited.Kind.LINK));
    }
}
