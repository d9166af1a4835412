package app.etlo.server;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;

import app.etlo.server.access.ThisMachine;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.servlet.http.Cookie;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.MvcResult;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** Asks as a browser does: keeps cookies, sends the CSRF token back, sends JSON. */
final class Browser {
    static final ObjectMapper JSON = new ObjectMapper();
    static final String PASSWORD = "correct horse";

    private final MockMvc mvc;
    private boolean secure;
    private boolean here = true;
    private final Map<String, Cookie> cookies = new HashMap<>();

    Browser(MockMvc mvc) {
        this.mvc = mvc;
    }

    /** From here on over TLS. */
    Browser overTls() {
        secure = true;
        return this;
    }

    /** From here on from another machine. */
    Browser fromElsewhere() {
        here = false;
        return this;
    }

    /** A browser signed in to a practice of its own. */
    static Browser ofNewPractice(MockMvc mvc) {
        Browser b = new Browser(mvc);
        b.get("/api/session");
        Answer made = b.post(
                "/api/practices",
                "{\"practice\":\"Test advice\",\"email\":\"" + UUID.randomUUID() + "@example.org\",\"password\":\""
                        + PASSWORD + "\"}");
        if (made.status() != 201) {
            throw new IllegalStateException("no practice: " + made.text());
        }
        return b;
    }

    record Answer(int status, String text, byte[] bytes, MockHttpServletResponse response) {
        JsonNode json() {
            try {
                return JSON.readTree(text);
            } catch (JsonProcessingException e) {
                throw new IllegalStateException(text, e);
            }
        }
    }

    Answer get(String path) {
        return send("GET", path, null, MediaType.APPLICATION_JSON, Map.of());
    }

    Answer post(String path, String body) {
        return send("POST", path, body.getBytes(StandardCharsets.UTF_8), MediaType.APPLICATION_JSON, Map.of());
    }

    Answer post(String path, JsonNode body) {
        return post(path, body.toString());
    }

    Answer put(String path, String body) {
        return put(path, body, Map.of());
    }

    /** Saves a shared document that is new. */
    Answer add(String path, String mine) {
        return put(path, "{\"mine\":" + mine + "}");
    }

    /** Saves what was changed of a shared document. */
    Answer change(String path, String base, String mine) {
        return put(path, "{\"base\":" + base + ",\"mine\":" + mine + "}");
    }

    Answer delete(String path) {
        return send("DELETE", path, null, null, Map.of());
    }

    /** Signs out here and in as somebody else. */
    Browser as(String email, String password) {
        delete("/api/session");
        get("/api/session");
        Answer in =
                post("/api/session", JSON.createObjectNode().put("email", email).put("password", password));
        if (in.status() != 200) {
            throw new IllegalStateException(in.text());
        }
        return this;
    }

    /** A browser of somebody else, who joins the practice of this one. */
    Browser invites(String role) {
        Answer invited = post("/api/invitations", "{\"role\":\"" + role + "\"}");
        Browser other = new Browser(mvc);
        other.get("/api/session");
        Answer joined = other.post(
                "/api/invitations/accepted",
                JSON.createObjectNode()
                        .put("token", invited.json().path("token").asText())
                        .put("name", "Somebody else")
                        .put("email", UUID.randomUUID() + "@example.org")
                        .put("password", PASSWORD));
        if (joined.status() != 204) {
            throw new IllegalStateException(joined.text());
        }
        return other;
    }

    String email() {
        return get("/api/session").json().path("email").asText();
    }

    Answer put(String path, String body, Map<String, String> headers) {
        return send("PUT", path, body.getBytes(StandardCharsets.UTF_8), MediaType.APPLICATION_JSON, headers);
    }

    Answer file(String path, byte[] body) {
        return send("POST", path, body, MediaType.APPLICATION_OCTET_STREAM, Map.of());
    }

    Answer send(String method, String path, byte[] body, MediaType type, Map<String, String> headers) {
        try {
            MockHttpServletRequestBuilder ask =
                    request(HttpMethod.valueOf(method), path).secure(secure).requestAttr(ThisMachine.ATTRIBUTE, here);
            if (!cookies.isEmpty()) {
                ask.cookie(cookies.values().toArray(Cookie[]::new));
            }
            Cookie token = cookies.get("XSRF-TOKEN");
            if (token != null) {
                ask.header("X-XSRF-TOKEN", token.getValue());
            }
            if (body != null) {
                ask.contentType(type).content(body);
            }
            headers.forEach(ask::header);
            MvcResult result = mvc.perform(ask).andReturn();
            if (result.getRequest().isAsyncStarted()) {
                // a stream is read to its end
                result.getAsyncResult(60_000);
            }
            MockHttpServletResponse r = result.getResponse();
            for (Cookie c : r.getCookies()) {
                if (c.getMaxAge() == 0) {
                    cookies.remove(c.getName());
                } else {
                    cookies.put(c.getName(), c);
                }
            }
            return new Answer(
                    r.getStatus(), r.getContentAsString(StandardCharsets.UTF_8), r.getContentAsByteArray(), r);
        } catch (Exception e) {
            throw new IllegalStateException(method + " " + path, e);
        }
    }

    void forget(String cookie) {
        cookies.remove(cookie);
    }

    Cookie cookie(String name) {
        return cookies.get(name);
    }

    /** Sends a plan on top of a revision. */
    Answer save(JsonNode plan, int parent, String requestId) {
        return put(
                "/api/plans/" + plan.path("id").asText(),
                plan.toString(),
                Map.of("If-Match", String.valueOf(parent), "X-Request-Id", requestId));
    }

    Answer step(String which, String planId, int parent) {
        return send(
                "POST",
                "/api/plans/" + planId + "/" + which,
                new byte[0],
                MediaType.APPLICATION_JSON,
                Map.of(
                        "If-Match",
                        String.valueOf(parent),
                        "X-Request-Id",
                        UUID.randomUUID().toString()));
    }
}
