package app.etlo.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;

@ServerTest
class AccountTest {
    @Autowired
    MockMvc mvc;

    @Autowired
    JdbcClient jdbc;

    Browser browser;
    String email;

    @BeforeEach
    void fresh() {
        browser = new Browser(mvc);
        browser.get("/api/session");
        email = UUID.randomUUID() + "@example.org";
    }

    private Browser.Answer open(String practice, String address, String password) {
        return browser.post(
                "/api/practices",
                Browser.JSON
                        .createObjectNode()
                        .put("practice", practice)
                        .put("email", address)
                        .put("password", password));
    }

    private Browser.Answer signIn(Browser b, String address, String password) {
        return b.post(
                "/api/session",
                Browser.JSON.createObjectNode().put("email", address).put("password", password));
    }

    @Test
    void opening_a_practice_signs_in_and_signing_out_ends_it() {
        assertThat(browser.get("/api/farms").status()).isEqualTo(401);
        assertThat(open("Vale advice", email, "correct horse").status()).isEqualTo(201);
        assertThat(browser.get("/api/session").json().path("practice").asText()).isEqualTo("Vale advice");
        assertThat(browser.get("/api/farms").status()).isEqualTo(200);
        assertThat(browser.send("DELETE", "/api/session", null, null, java.util.Map.of())
                        .status())
                .isEqualTo(204);
        assertThat(browser.get("/api/farms").status()).isEqualTo(401);
    }

    private long lastUse(String session) {
        return jdbc.sql("select last_access_time from spring_session where primary_id = ?")
                .param(session)
                .query(Long.class)
                .single();
    }

    @Test
    void the_last_use_of_a_session_is_written_now_and_then() {
        open("Seldom", email, "correct horse");
        browser.get("/api/farms");
        String session = jdbc.sql("select primary_id from spring_session order by creation_time desc limit 1")
                .query(String.class)
                .single();
        long first = lastUse(session);
        browser.get("/api/farms");
        browser.get("/api/session");
        assertThat(lastUse(session)).isEqualTo(first);
        jdbc.sql("update spring_session set last_access_time = ? where primary_id = ?")
                .param(first - 600_000)
                .param(session)
                .update();
        browser.get("/api/farms");
        assertThat(lastUse(session)).isGreaterThan(first - 600_000);
    }

    @Test
    void the_address_is_taken_whatever_its_case_and_the_password_is_hashed() {
        open("One", email, "correct horse");
        assertThat(open("Two", email.toUpperCase(java.util.Locale.ROOT), "correct horse")
                        .status())
                .isEqualTo(409);
        String hash = jdbc.sql("select password_hash from adviser where email = ?")
                .param(email)
                .query(String.class)
                .single();
        assertThat(hash).startsWith("$2a$04$").doesNotContain("correct");
    }

    @Test
    void a_wrong_password_and_an_unknown_address_get_the_same_answer() {
        open("One", email, "correct horse");
        Browser other = new Browser(mvc);
        other.get("/api/session");
        Browser.Answer wrong = signIn(other, email, "wrong horse!");
        Browser.Answer unknown = signIn(other, "nobody-" + email, "wrong horse!");
        assertThat(wrong.status()).isEqualTo(401).isEqualTo(unknown.status());
        assertThat(wrong.json().path("detail")).isEqualTo(unknown.json().path("detail"));
        assertThat(signIn(other, email, "correct horse").status()).isEqualTo(200);
    }

    @Test
    void what_is_missing_is_told_at_its_field() {
        Browser.Answer a = open("", "no address", "short");
        assertThat(a.status()).isEqualTo(400);
        assertThat(a.json().path("problems").findValuesAsText("pointer"))
                .containsExactlyInAnyOrder("/practice", "/email", "/password");
    }

    @Test
    void a_change_without_its_token_is_refused() {
        open("One", email, "correct horse");
        browser.forget("XSRF-TOKEN");
        assertThat(browser.put("/api/farms/f", "{\"id\":\"f\"}").status()).isEqualTo(403);
    }

    @Test
    void the_session_cookie_is_out_of_reach_of_scripts_and_other_sites() {
        open("One", email, "correct horse");
        assertThat(browser.cookie("ETLO").isHttpOnly()).isTrue();
        assertThat(browser.cookie("ETLO").getAttribute("SameSite")).isEqualToIgnoringCase("strict");
        assertThat(browser.cookie("XSRF-TOKEN").getAttribute("SameSite")).isEqualToIgnoringCase("strict");
    }

    @Test
    void signing_in_changes_the_session() {
        open("One", email, "correct horse");
        String first = browser.cookie("ETLO").getValue();
        signIn(browser, email, "correct horse");
        assertThat(browser.cookie("ETLO").getValue()).isNotEqualTo(first);
    }

    @Test
    void pages_carry_a_content_security_policy_without_inline_scripts() {
        var response = browser.get("/api/session").response();
        String policy = response.getHeader("Content-Security-Policy");
        assertThat(policy)
                .startsWith("default-src 'none'")
                .contains("script-src 'self';")
                .contains("frame-ancestors 'none'")
                .contains("object-src 'none'");
        assertThat(policy.replaceAll("style-src[^;]*", "")).doesNotContain("unsafe");
        assertThat(response.getHeader("X-Content-Type-Options")).isEqualTo("nosniff");
        assertThat(response.getHeader("Referrer-Policy")).isEqualTo("no-referrer");
        assertThat(response.getHeader("Cache-Control")).contains("no-store");
    }

    @Test
    void every_cookie_is_kept_to_this_site_and_secure_where_the_way_is() {
        browser = new Browser(mvc).overTls();
        browser.get("/api/session");
        var response = open("One", email, "correct horse").response();
        for (String name : java.util.List.of("ETLO", "ETLO-KNOWN", "XSRF-TOKEN")) {
            var cookie = browser.cookie(name);
            assertThat(cookie.getSecure()).as(name).isTrue();
            assertThat(cookie.getAttribute("SameSite")).as(name).isEqualToIgnoringCase("strict");
            assertThat(cookie.isHttpOnly()).as(name).isEqualTo(!name.equals("XSRF-TOKEN"));
        }
        Browser plain = Browser.ofNewPractice(mvc);
        assertThat(plain.cookie("ETLO").getSecure()).isFalse();
        assertThat(response.getHeader("Strict-Transport-Security")).isNotNull();
    }

    @Test
    void health_and_the_description_are_for_this_machine_only() {
        Browser elsewhere = new Browser(mvc).fromElsewhere();
        for (String path : java.util.List.of("/actuator/health", "/v3/api-docs")) {
            assertThat(new Browser(mvc).get(path).status()).as(path).isEqualTo(200);
            assertThat(elsewhere.get(path).status()).as(path).isIn(401, 403);
        }
        assertThat(browser.get("/actuator/env").status()).isIn(401, 403, 404);
    }

    @Test
    void a_try_too_many_is_told_when_to_come_back_and_the_owners_browser_goes_on() {
        open("One", email, "correct horse");
        browser.delete("/api/session");
        browser.get("/api/session");
        Browser stranger = new Browser(mvc);
        stranger.get("/api/session");
        for (int i = 0; i < 5; i++) {
            assertThat(signIn(stranger, email, "wrong horse").status()).isEqualTo(401);
        }
        Browser.Answer refused = signIn(stranger, email, "correct horse");
        assertThat(refused.status()).isEqualTo(429);
        assertThat(refused.response().getHeader("Retry-After")).isNotNull();
        assertThat(refused.json().path("detail").asText()).contains("minutes");
        assertThat(signIn(browser, email, "correct horse").status()).isEqualTo(200);
    }
}
