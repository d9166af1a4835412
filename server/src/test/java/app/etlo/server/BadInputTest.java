package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
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
            MediaType type =
                    path.equals("/api/dossiers") ? MediaType.APPLICATION_OCTET_STREAM : MediaType.APPLICATION_JSON;
            Browser.Answer a = browser.send("POST", path, huge, type, java.util.Map.of());
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
}
