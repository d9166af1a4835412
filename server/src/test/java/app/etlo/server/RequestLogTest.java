package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.system.CapturedOutput;
import org.springframework.boot.test.system.OutputCaptureExtension;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;

/** The log: one JSON object a line, with the id of its request, and nobody's data. */
@ServerTest
@ExtendWith(OutputCaptureExtension.class)
class RequestLogTest {
    private static final ObjectMapper JSON = new ObjectMapper();

    @Autowired
    MockMvc mvc;

    Browser browser;

    @BeforeEach
    void stranger() {
        browser = new Browser(mvc);
        browser.get("/api/session");
    }

    private String post(String path, String body, String requestId) {
        return browser.send(
                        "POST",
                        path,
                        body.getBytes(StandardCharsets.UTF_8),
                        MediaType.APPLICATION_JSON,
                        Map.of("X-Request-Id", requestId))
                .response()
                .getHeader("X-Request-Id");
    }

    private static List<JsonNode> lines(CapturedOutput output) {
        return output.getOut()
                .lines()
                .filter(l -> l.startsWith("{"))
                .map(l -> {
                    try {
                        return JSON.readTree(l);
                    } catch (IOException e) {
                        throw new IllegalStateException(l, e);
                    }
                })
                .toList();
    }

    @Test
    void each_call_is_a_line_with_its_endpoint_and_request_id_and_nobodys_data(CapturedOutput output) {
        String email = UUID.randomUUID() + "@example.org";
        String id = UUID.randomUUID().toString();
        String body = "{\"practice\":\"Hollow Advice\",\"email\":\"" + email + "\",\"password\":\"correct horse\"}";
        assertThat(post("/api/practices", body, id)).isEqualTo(id);
        // the address is taken: what the database says of it is not logged either
        post("/api/practices", body, UUID.randomUUID().toString());
        post("/api/session", "{\"email\":\"" + email + "\",\"password\":\"wrong horse\"}", id);
        post("/api/invitations/opened", "{\"token\":\"a-secret-token\"}", id);
        assertThat(lines(output))
                .anySatisfy(l -> {
                    assertThat(l.path("requestId").asText()).isEqualTo(id);
                    assertThat(l.path("route").asText()).isEqualTo("/api/practices");
                    assertThat(l.path("status").asInt()).isEqualTo(201);
                })
                .anySatisfy(l -> assertThat(l.path("status").asInt()).isEqualTo(409));
        assertThat(output.getOut())
                .doesNotContain(email)
                .doesNotContain("Hollow")
                .doesNotContain("horse")
                .doesNotContain("a-secret-token");
    }

    @Test
    void an_id_that_is_none_is_replaced(CapturedOutput output) {
        String given = post("/api/session", "{}", "x\" injected");
        assertThat(given).matches("[0-9a-f-]{36}");
        assertThat(output.getOut()).doesNotContain("injected");
    }
}
