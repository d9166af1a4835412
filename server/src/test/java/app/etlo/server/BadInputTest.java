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

    /** Each of these was a fault of the server once. */
    @Test
    void days_and_numbers_beyond_all_bounds_are_refused_at_their_place() {
        String plan = Samples.plan().toString();
        for (String day : List.of("+999999999-12-31", "-999999999-01-01", "9999-12-31", "0001-01-01")) {
            assertThat(browser.post("/api/evaluations", "{\"asOf\":\"" + day + "\",\"plan\":" + plan + "}")
                            .status())
                    .as(day)
                    .isEqualTo(400);
            for (String path : List.of("/api/fields/f1/climate", "/api/fields/f1/compared")) {
                assertThat(browser.get(path + "?plan=p1&asOf="
                                        + java.net.URLEncoder.encode(day, StandardCharsets.UTF_8))
                                .status())
                        .as(path + " " + day)
                        .isEqualTo(400);
            }
        }
        for (String number : List.of("\"NaN\"", "1e400", "-1e400", "\"Infinity\"", "\"12\"", "NaN")) {
            String lot = "{\"mine\":{\"id\":\"l9\",\"species\":\"cereal-rye\",\"label\":\"R\",\"purityPercent\":"
                    + number + ",\"germinationPercent\":90}}";
            assertThat(browser.put("/api/lots/l9", lot).status()).as(number).isEqualTo(400);
            assertThat(browser.post(
                                    "/api/evaluations",
                                    "{\"asOf\":\"2026-06-01\",\"plan\":"
                                            + plan.replaceFirst(
                                                    "\"sharePercent\":[0-9.]+", "\"sharePercent\":" + number)
                                            + "}")
                            .status())
                    .as(number)
                    .isEqualTo(400);
        }
    }

    @Test
    void a_target_without_a_unit_is_refused() {
        assertThat(browser.post("/api/calibrations/results", """
                                {"kind":"drill-distance","machine":"D","material":"rye","target":{"value":100},
                                "measured":{"caught":{"value":5,"unit":"kg"},"width":{"value":3,"unit":"m"},
                                "distance":{"value":50,"unit":"m"}}}""").status()).isEqualTo(400);
    }

    @Test
    void the_page_of_errors_has_no_address_of_its_own() {
        assertThat(browser.get("/error").status()).isEqualTo(404);
    }

    @Test
    void unknown_addresses_and_methods_are_told_as_such() {
        assertThat(browser.get("/api/nothing").status()).isEqualTo(404);
        assertThat(browser.send("PATCH", "/api/farms", new byte[0], MediaType.APPLICATION_JSON, java.util.Map.of())
                        .status())
                .isEqualTo(405);
        assertThat(browser.get("/api/fields/f1/climate?asOf=yesterday").status())
                .isEqualTo(400);
        assertThat(browser.get("/api/fields/f1/climate").status()).isEqualTo(400);
        for (String query : List.of(
                "show=some",
                "order=up",
                "limit=0",
                "limit=201",
                "after=x",
                "after=WyJhIl0",
                "find=" + "x".repeat(101))) {
            assertThat(browser.get("/api/fields?" + query).status()).as(query).isEqualTo(400);
        }
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
